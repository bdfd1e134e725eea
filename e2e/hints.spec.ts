import { expect, test } from "@playwright/test";
import { openSample, openStage } from "./support";

test("hints are asked for once, and each is done by doing what it says", async ({ page }) => {
  await openStage(page, "restyle");
  await expect(page.getByText("Try it.")).toHaveCount(0);
  await page.goto("/");
  await page.getByRole("button", { name: "Try each stage with a hint" }).click();
  await openStage(page, "block");
  const hint = page.getByRole("status").filter({ hasText: /Try it|That is how/ });
  await expect(hint).toContainText("Choose another school");
  await page.getByRole("radio", { name: /^Hinged/ }).check();
  await expect(hint).toContainText("That is how. Then on to Restyle.");
  await openStage(page, "pieces");
  await expect(hint).toContainText("lay the tape");
  await page
    .getByRole("heading", { level: 1 })
    .focus()
    .catch(() => undefined);
  await page.keyboard.press("t");
  await expect(hint).toContainText("That is how. Then on to Cloth.");
  // What was done once is not told again, over a reload either.
  await page.reload();
  await expect(page.getByRole("group", { name: /on the table/ })).toBeVisible();
  await expect(hint).toHaveCount(0);
  await openStage(page, "restyle");
  await hint.getByRole("button", { name: "No more hints" }).click();
  await expect(hint).toHaveCount(0);
});

test("the guide is one page, from the workroom and from the search of commands", async ({ page }) => {
  await openSample(page);
  const [first] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Letter", exact: true }).click(),
  ]);
  expect(first.suggestedFilename()).toBe("eland-guide-letter.pdf");
  await openStage(page, "restyle");
  await page.keyboard.press("Control+k");
  await page.getByRole("combobox", { name: "Find a command" }).fill("print the guide, a4");
  const [second] = await Promise.all([page.waitForEvent("download"), page.keyboard.press("Enter")]);
  expect(second.suggestedFilename()).toBe("eland-guide-a4.pdf");
});

test("where colours are forced, the pattern and the choice at hand are still seen", async ({ browser }) => {
  const context = await browser.newContext({ forcedColors: "active", colorScheme: "dark" });
  const page = await context.newPage();
  await openStage(page, "restyle");
  const drawn = page.getByRole("group", { name: /on the table/ }).locator("path");
  // The table is of the person's own colour, and lines are not.
  const table = await page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  const strokes = await drawn.evaluateAll((paths) => paths.map((p) => getComputedStyle(p).stroke));
  expect(strokes.filter((s) => s !== "none" && s !== table).length).toBeGreaterThan(4);
  const outline = await page
    .locator('[aria-current="step"]')
    .first()
    .evaluate((element) => getComputedStyle(element).outlineStyle);
  expect(outline).toBe("solid");
  await context.close();
});
