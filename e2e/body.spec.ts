import { expect, test } from "@playwright/test";
import { expectSaved, openStage } from "./support";

test("the tape lights where the measure in focus is taken, on a figure of this wearer", async ({ page }) => {
  await openStage(page, "body");
  const lit = page.locator("[data-tape=lit]");
  await expect(page.getByRole("img", { name: "Figure, front" })).toBeVisible();
  await page.getByLabel("Crotch depth").focus();
  await expect(page.getByRole("img", { name: "Figure, sitting" })).toBeVisible();
  await expect(lit).toHaveCount(1);
  await page.getByLabel("Crotch length").focus();
  await expect(page.getByRole("img", { name: "Figure, side" }).locator("[data-tape=lit]")).toHaveCount(1);
  await page.getByRole("button", { name: "Back", exact: true }).click();
  await expect(page.getByRole("img", { name: "Figure, back" })).toBeVisible();
  await page.getByRole("button", { name: "Card the upper body too" }).click();
  await page.getByLabel("Bust span").fill("19,5");
  await page.getByLabel("Bust span").press("Enter");
  await expect(page.getByText(/^Bust span 19\.5 cm/)).toBeVisible();
  await expectSaved(page);
});

test("a girth that already holds its ease gets no more, and says so", async ({ page }) => {
  await openStage(page, "body");
  await page.getByLabel("Hip", { exact: true }).focus();
  await page.getByLabel("This girth already holds its ease; add no more").check();
  await expect(page.getByText("already with ease", { exact: true })).toBeVisible();
  await page.getByRole("link", { name: /2 Block/ }).click();
  await expect(page.getByText(/hip 101\.0( cm)? \/ 4, carded with its ease/).first()).toBeVisible();
});

test("cards are kept by date, go out and come in as CSV, and a newer one is offered", async ({ page }) => {
  await openStage(page, "body");
  const cards = page.getByRole("region", { name: "Cards by date" });
  await expect(cards.getByText("12 Oct 2026, in use")).toBeVisible();
  await page.getByLabel("Hip", { exact: true }).focus();
  await expect(page.getByRole("img", { name: "Hip on each card by date" })).toBeVisible();

  await cards.getByRole("listitem").filter({ hasText: "8 Sept 2025" }).getByRole("button", { name: "Use" }).click();
  await expect(page.getByLabel("Hip", { exact: true })).toHaveValue("99,5");
  await expect(cards.getByText(/There is a newer card of 12 Oct 2026/)).toBeVisible();
  await cards.getByRole("button", { name: "Use the newer card" }).click();
  await expect(page.getByLabel("Hip", { exact: true })).toHaveValue("101");

  const coming = page.waitForEvent("download");
  await cards.getByRole("button", { name: "Cards as CSV" }).click();
  expect((await coming).suggestedFilename()).toBe("cards.csv");

  const csv = 'wearer,taken,unit,waist,hip\nMarit Oswin,2026-11-20,cm,74,"102,5"\n';
  await page
    .getByLabel("Cards as CSV", { exact: true })
    .and(page.locator("input"))
    .setInputFiles({
      name: "cards.csv",
      mimeType: "text/csv",
      buffer: Buffer.from(csv),
    });
  await expect(cards.getByText(/There is a newer card of 20 Nov 2026/)).toBeVisible();
  await page
    .getByLabel("Cards as CSV", { exact: true })
    .and(page.locator("input"))
    .setInputFiles({
      name: "bad.csv",
      mimeType: "text/csv",
      buffer: Buffer.from("wearer,unit,hip\nMarit Oswin,cm,wide\n"),
    });
  await expect(page.getByText(/Row 2, hip: “wide” is not a length/)).toBeVisible();
});
