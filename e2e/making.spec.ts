import { expect, test } from "@playwright/test";
import { expectSaved, openStage } from "./support";

test.describe("the lay", () => {
  test("is there soon, gets no longer, is stopped, and is kept over a reload", async ({ page }) => {
    await openStage(page, "cloth");
    const needed = page.getByRole("region", { name: "Figures of the lay" }).locator("dd").first();
    await expect(needed).toHaveText(/cm/);
    const first = parseFloat((await needed.textContent()) ?? "");
    await expect(page.getByRole("button", { name: "Look on" })).toBeVisible();
    const then = parseFloat((await needed.textContent()) ?? "");
    expect(then).toBeLessThanOrEqual(first);
    await page.reload();
    await expect(page.getByRole("button", { name: "Look on" })).toBeVisible();
    expect(parseFloat((await needed.textContent()) ?? "")).toBe(then);
  });

  test("on a remnant, given by its corners, takes longer; what it leaves is kept and taken again", async ({ page }) => {
    await openStage(page, "cloth");
    await expect(page.getByRole("button", { name: "Look on" })).toBeVisible();
    const needed = page.getByRole("region", { name: "Figures of the lay" }).locator("dd").first();
    const whole = parseFloat((await needed.textContent()) ?? "");
    await page.getByRole("button", { name: "It is a remnant: give its corners" }).click();
    await page.getByRole("button", { name: "One more corner" }).click();
    for (const [field, text] of [
      ["Corner 2, along", "120"],
      ["Corner 2, across", "35"],
      ["Corner 5, along", "40"],
    ] as const) {
      await page.getByLabel(field).fill(text);
      await page.getByLabel(field).press("Enter");
    }
    await expect(page.getByLabel("Usable width")).toHaveCount(0);
    await expect.poll(async () => parseFloat((await needed.textContent()) ?? "")).toBeGreaterThan(whole);
    await expect(page.getByRole("button", { name: "Look on" })).toBeVisible();
    await expectSaved(page);
    await page
      .getByRole("button", { name: /^Keep what is left/ })
      .first()
      .click();
    await page.getByRole("button", { name: "It is a whole strip" }).click();
    await expect(page.getByLabel("Usable width")).toBeVisible();
    await page.getByRole("button", { name: "Take Dune twill, left over" }).click();
    await expect(page.getByRole("region", { name: "Corners of the remnant" })).toBeVisible();
  });

  test("by keyboard alone: a piece is moved, locked, and the rest laid again", async ({ page }) => {
    await openStage(page, "cloth");
    await expect(page.getByRole("button", { name: "Look on" })).toBeVisible();
    // A piece that meets its neighbour stays where it is: beyond the backs the cloth is free.
    const back = page.getByRole("button", { name: /^Back/ }).last();
    await back.focus();
    const outline = (): Promise<string | null> => back.locator("path").first().getAttribute("d");
    for (let i = 0; i < 3; i++) {
      const before = await outline();
      await page.keyboard.press("Shift+ArrowRight");
      // Each move is worked out in the worker before the piece is drawn elsewhere.
      await expect.poll(outline).not.toBe(before);
    }
    await page.keyboard.press("l");
    await expect(page.getByRole("button", { name: /^Back.*locked/ })).toBeVisible();
    const locked = await outline();
    await page.getByRole("button", { name: "Lay the rest again" }).click();
    await expect(page.getByRole("button", { name: "Stop" })).toBeVisible();
    await page.waitForTimeout(1500);
    await page.getByRole("button", { name: "Stop" }).click();
    expect(await outline()).toBe(locked);
  });

  test("a fold the pieces do not fit on is said in a sentence, and open cloth lays them again", async ({ page }) => {
    await openStage(page, "cloth", "sample-moth-bell");
    await page.getByRole("button", { name: /^folded(?!,)/ }).click();
    await expect(page.getByRole("alert").filter({ hasText: /does not fit on the folded cloth/ })).toBeVisible();
    await page.getByRole("button", { name: /^open/ }).click();
    await expect(page.getByRole("group", { name: /^Lay of the shell, open/ })).toBeVisible();
  });

  test("as wide as my cloth allows: the largest is found, set, and stands in the worksheet", async ({ page }) => {
    await openStage(page, "cloth");
    const pane = page.getByRole("region", { name: "As wide as my cloth allows" });
    await pane.getByRole("button", { name: "Find the largest" }).click();
    await expect(pane.getByText(/The largest found that lies on/)).toBeVisible({ timeout: 120_000 });
    await pane.getByRole("button", { name: /^Set it to/ }).click();
    await expectSaved(page);
  });
});

test("cards go on by space, steps are ticked, and both are kept", async ({ page }) => {
  await openStage(page, "make");
  await expect(page.getByText(/take a sheet at least/)).toBeVisible();
  await page.keyboard.press(" ");
  await expect(page.getByText(/card 2 of/)).toBeVisible();
  await page.getByRole("tab", { name: "Order" }).click();
  await page.getByRole("checkbox", { name: "Step 1 done" }).check();
  await expect(page.getByText(/^1 of \d+ steps done/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/card 2 of/)).toBeVisible();
  await expect(page.getByText(/^1 of \d+ steps done/)).toBeVisible();
});

test("the legs of a one-piece are chosen on the shelf, and a top is made of it", async ({ page }) => {
  await openStage(page, "restyle", "sample-kite-one-piece");
  await page.getByRole("combobox", { name: "Trousers" }).click();
  await page.getByRole("option", { name: /culotte/ }).click();
  await expect(page.getByText(/in front .* gathered to/)).toBeVisible();
  await page.getByRole("button", { name: "Cowl top" }).click();
  await expect(page.getByText(/Slash the chest line from the centre/)).toBeVisible();
});

test("ticks in two tabs are all kept and seen in both, and undo of the job takes none away", async ({
  page,
  context,
}) => {
  await openStage(page, "make");
  await page.getByRole("tab", { name: "Order" }).click();
  const other = await context.newPage();
  await other.goto("/make?job=sample-heron-walk");
  await other.getByRole("tab", { name: "Order" }).click();
  const ticks = (where: typeof page) => where.getByRole("checkbox", { name: /^\d|done|Done|Fuse|Sew/ });
  await expect(ticks(page).first()).toBeVisible();
  await expect(ticks(other).first()).toBeVisible();
  await ticks(page).nth(0).check();
  await expect(ticks(other).nth(0)).toBeChecked();
  await ticks(other).nth(1).check();
  await expect(ticks(page).nth(1)).toBeChecked();
  await page.getByRole("combobox", { name: "The hem" }).click();
  await page.getByRole("option").first().click();
  await page.getByRole("button", { name: "Undo" }).click();
  await page.reload();
  await page.getByRole("tab", { name: "Order" }).click();
  await expect(page.getByRole("checkbox", { checked: true })).toHaveCount(2);
});

test.describe("on a phone", () => {
  test.use({ viewport: { width: 390, height: 780 }, hasTouch: true });

  for (const kind of [/paper/, /cloth/, /block/])
    test(`a card stands whole on the screen, ${kind.source}, and the next comes by a swipe`, async ({ page }) => {
      await openStage(page, "make");
      if (kind.source !== "paper") {
        await page
          .getByRole("button", { name: /^Making|^Make|Worksheet|Cards/ })
          .first()
          .click();
        await page.getByRole("combobox", { name: "Drawn" }).click();
        await page.getByRole("option", { name: kind }).click();
        await page.getByRole("button", { name: "Back to the table" }).click();
      }
      const cards = page.getByRole("region", { name: "Chalk cards" });
      for (let n = 1; n <= 8; n++) {
        await expect(cards.getByText(new RegExp(`card ${n} of`))).toBeVisible();
        const next = await cards.getByRole("button", { name: "Next" }).boundingBox();
        expect((next?.y ?? 1e9) + (next?.height ?? 0)).toBeLessThanOrEqual(780);
        await cards.evaluate((element) => {
          const at = (type: string, clientX: number): boolean =>
            element.dispatchEvent(
              new PointerEvent(type, { bubbles: true, pointerType: "touch", clientX, clientY: 200 }),
            );
          at("pointerdown", 300);
          at("pointerup", 120);
        });
      }
    });
});
