import { readFileSync } from "node:fs";
import { expect, test } from "@playwright/test";
import { EMPTY_BROWSER, expectSaved, openStage, reading, tabTo } from "./support";

test.describe("in an empty workroom", () => {
  test.use({ storageState: EMPTY_BROWSER });

  test("a new user goes from an empty card to a printed palazzo", async ({ page }) => {
    await page.goto("/");
    await page.getByRole("button", { name: "Start a job" }).click();
    await expect(page.getByRole("radio", { name: "Palazzo" })).toBeChecked();
    await page.getByLabel("Name of the job").fill("First wide leg");
    await page.getByRole("button", { name: "Take the measures" }).click();

    await expect(page).toHaveURL(/\/body\?job=/);
    // One calm line, a plain figure, and nothing red before a mistake.
    await expect(page.getByText("Waist and hip are enough for a first pattern")).toBeVisible();
    await expect(page.getByRole("img", { name: "Front" })).toBeVisible();
    await expect(page.getByLabel("Waist", { exact: true })).toBeFocused();
    await expect(page.locator(".Mui-error")).toHaveCount(0);
    await page.getByRole("textbox", { name: "Wearer" }).fill("Pia Marlow");
    await page.getByLabel("Waist", { exact: true }).fill("29 1/8 in");
    await page.getByLabel("Hip", { exact: true }).fill("104");
    await page.getByLabel("Waist to floor").fill("104,5");
    await page.getByLabel("Waist to floor").press("Enter");
    await expect(page.getByRole("img", { name: "Front" })).toBeVisible();

    await page.getByRole("link", { name: /3 Restyle/ }).click();
    await expect(reading(page, "Hem, one leg")).toContainText("to");
    await page.getByLabel("Or: hem of one leg").fill("96 cm");
    await page.getByLabel("Or: hem of one leg").press("Enter");
    await expect(reading(page, "Hem, one leg")).toContainText("96.0");

    await page.getByRole("button", { name: "Hand over" }).click();
    const coming = page.waitForEvent("download");
    await expect(page.getByRole("img", { name: /pages: Front/ })).toBeVisible();
    await page.getByRole("button", { name: "PDF on A4" }).click();
    const file = await coming;
    expect(file.suggestedFilename()).toBe("first-wide-leg-a4.pdf");
    expect(
      readFileSync(await file.path())
        .subarray(0, 5)
        .toString(),
    ).toBe("%PDF-");
    await expect(page.getByText("Estimated, not measured:")).toBeVisible();
  });

  test("the same by keyboard alone: nothing but keys, from an empty workroom", async ({ page }) => {
    await page.goto("/");
    await expect(page.getByText("Nothing is on the table yet")).toBeVisible();
    await tabTo(page, page.getByRole("button", { name: "New job" }));
    await page.keyboard.press("Enter");
    await expect(page.getByRole("radio", { name: "A new card, centimetres" })).toBeFocused();
    await page.keyboard.press("Enter");
    await expect(page).toHaveURL(/\/body\?job=/);
    // The first measure is one key away.
    await expect(page.getByLabel("Waist", { exact: true })).toBeFocused();
    await page.keyboard.type("74");
    await page.keyboard.press("Tab");
    await page.keyboard.type("104");
    await page.keyboard.press("Enter");
    await expect(page.getByRole("img", { name: "Front" })).toBeVisible();
    // Single keys act only outside a field.
    await tabTo(page, page.getByRole("link", { name: /3 Restyle/ }), "Shift+Tab");
    await page.keyboard.press("3");
    const handle = page.getByRole("slider", { name: "front hem" }).first();
    await expect(handle).toBeVisible();
    await tabTo(page, handle);
    await page.keyboard.press("Shift+ArrowRight");
    await expect(page.getByText("25.0 cm", { exact: true })).toBeVisible();
    await page.keyboard.press("h");
    await expect(page.getByRole("dialog", { name: "Hand over" })).toBeVisible();
    await tabTo(page, page.getByRole("button", { name: "PDF on A4" }));
    const coming = page.waitForEvent("download");
    await page.keyboard.press("Enter");
    expect((await coming).suggestedFilename()).toBe("palazzo-a4.pdf");
  });
});

test("bad input says what to do, and the last good pattern stays", async ({ page }) => {
  await openStage(page, "body");
  const waist = page.getByLabel("Waist", { exact: true });
  await waist.fill("seventy");
  await waist.blur();
  await expect(page.getByText("“seventy” is not a length.")).toBeVisible();
  await expect(page.getByRole("img", { name: "Front" })).toBeVisible();
  await waist.fill("240");
  await waist.press("Enter");
  await expect(page.getByText(/far larger than the hip/).first()).toBeVisible();
  await expect(page.getByText("The table shows the last pattern that could be drawn.")).toBeVisible();
  await expect(page.getByRole("img", { name: "Front" })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByText(/far larger than the hip/)).toHaveCount(0);
  await expect(waist).toHaveValue("73,5");

  await page.getByRole("link", { name: /3 Restyle/ }).click();
  await page.getByLabel("Opened, each panel").fill("280 cm");
  await page.getByLabel("Opened, each panel").press("Enter");
  await expect(page.getByText(/The largest that works is/).first()).toBeVisible();
  await expect(page.getByRole("img", { name: "Back" })).toBeVisible();
});

test("pieces: a finish and an allowance change what is cut, and the proof follows", async ({ page }) => {
  await openStage(page, "pieces");
  await expect(page.getByText("14 of 14 pass").or(page.getByText("Fold what passes"))).toBeVisible();
  await page.getByLabel("Depth, mirrored").fill("4");
  await page.getByLabel("Depth, mirrored").press("Enter");
  await expect(page.getByText(/A turn-up of 4.0 cm leaves/).first()).toBeVisible();
  await page.getByRole("button", { name: "Turn it up only as far as lies flat" }).click();
  await expect(page.getByText(/A turn-up of 4.0 cm leaves/)).toHaveCount(0);
  await page.getByRole("textbox", { name: "Side seam" }).fill("0");
  await page.getByRole("textbox", { name: "Side seam" }).press("Enter");
  await expect(page.getByText(/The side seam of the front has no allowance/)).toBeVisible();
  await expectSaved(page);
});

test("a job goes out as a file and comes in again, a bad file is refused", async ({ page }) => {
  await openStage(page, "restyle");
  await page.getByRole("button", { name: "Hand over" }).click();
  const coming = page.waitForEvent("download");
  await page.getByRole("radio", { name: /The job itself/ }).check();
  await page.getByRole("button", { name: "Job file" }).click();
  const path = await (await coming).path();
  const content = readFileSync(path, "utf8");
  await page.goto("/");
  await expect(page.getByText("Heron walk, wide leg")).toBeVisible();
  await page
    .getByLabel("Job or workroom file")
    .setInputFiles({ name: "back.eland.json", mimeType: "application/json", buffer: Buffer.from(content) });
  await expect(page).toHaveURL(/\/body\?job=/);
  await expect(page.getByLabel("Name of the job")).toHaveValue("Heron walk, wide leg");

  await page.goto("/");
  await expect(page.getByText("Heron walk, wide leg")).toHaveCount(2);
  const dropped = await page.evaluateHandle(() => {
    const data = new DataTransfer();
    data.items.add(new File(['{"format":"other"}'], "odd.json", { type: "application/json" }));
    return data;
  });
  await page.getByRole("main").dispatchEvent("drop", { dataTransfer: dropped });
  await expect(page.getByText(/odd.json was not opened/)).toBeVisible();
  await expect(page.getByText("Heron walk, wide leg")).toHaveCount(2);
});
