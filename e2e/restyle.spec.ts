import { expect, test, type Page } from "@playwright/test";
import { expectSaved, openStage, reading } from "./support";

const worksheet = (page: Page) => page.getByRole("region", { name: "Worksheet lines" });

test("another style brings its own moves; its knee and hem are pulled by keys on the pattern", async ({ page }) => {
  await openStage(page, "restyle");
  await page.getByRole("button", { name: "Flare", exact: true }).click();
  await expect(worksheet(page).getByText(/flare it from there/)).toBeVisible();
  await expect(reading(page, "Hem, one leg")).toContainText("70.5");
  const hem = page.getByRole("slider", { name: /hem/ }).first();
  await hem.focus();
  await page.keyboard.press("Shift+ArrowRight");
  await expect(reading(page, "Hem, one leg")).toContainText("71.5");
  await expectSaved(page);
});

test("moves are added, switched, doubled, taken out and put in another order by keys", async ({ page }) => {
  await openStage(page, "restyle");
  const lines = worksheet(page).getByRole("listitem");
  await page.getByRole("button", { name: "Add a line" }).click();
  await page.getByRole("menuitem", { name: /Drop the crotch/ }).click();
  await expect(worksheet(page).getByText("Drop the crotch line by", { exact: false })).toBeVisible();
  await worksheet(page).getByLabel("Lower by").fill("2");
  await worksheet(page).getByLabel("Lower by").press("Enter");
  await expect(worksheet(page).getByText(/Drop the crotch line by\s*2\.0 cm/)).toBeVisible();
  await page.getByRole("button", { name: "Make it twice" }).click();
  await expect(worksheet(page).getByText("Drop the crotch line by", { exact: false })).toHaveCount(2);
  await page.getByRole("button", { name: "Take it out" }).click();
  await expect(worksheet(page).getByText("Drop the crotch line by", { exact: false })).toHaveCount(1);

  // The spread put first: what redraws the seams after it is passed over and says why.
  const grip = page.getByRole("button", { name: /Move “Slash and spread” up or down/ });
  await grip.focus();
  await page.keyboard.press("Space");
  await page.waitForFunction(() => document.querySelector("[aria-pressed=true]") !== null);
  for (let i = 0; i < 4; i++) {
    await page.keyboard.press("ArrowUp");
    await page.waitForTimeout(120);
  }
  await page.keyboard.press("Space");
  await expect(
    worksheet(page)
      .getByText(/passed over/)
      .first(),
  ).toBeVisible();
  await expect(
    worksheet(page)
      .getByText(/Move it up/)
      .first(),
  ).toBeVisible();
  await page.keyboard.press("Control+z");
  await expect(worksheet(page).getByText(/passed over/)).toHaveCount(0);
  expect(await lines.count()).toBeGreaterThan(4);
});

test("the silhouette stands on the floor, and the girths are charted against block and body", async ({ page }) => {
  await openStage(page, "restyle");
  await page.getByRole("tab", { name: "Figure" }).click();
  await expect(page.getByRole("img", { name: "Silhouette, back" })).toBeVisible();
  await expect(page.getByText(/off the floor in shoes of 3\.0 cm/)).toBeVisible();
  await page.getByRole("tab", { name: "Girths" }).click();
  await expect(page.getByRole("img", { name: "Girth of one leg by level: block, style and body" })).toBeVisible();
  await expect(page.getByRole("region", { name: "Girths" }).getByRole("row", { name: /^Front/ })).toContainText("cm");
});

test("a version is kept, laid over the pattern with what differs, and returned to", async ({ page }) => {
  await openStage(page, "restyle");
  const before = await reading(page, "Hem, one leg").textContent();
  await page.getByRole("tab", { name: "Versions" }).click();
  await page.getByLabel("Name of the version").fill("As wide as planned");
  await page.getByRole("button", { name: "Keep", exact: true }).click();
  await page.getByRole("button", { name: "Straight", exact: true }).click();
  await page.getByRole("button", { name: "Lay over" }).click();
  await expect(page.getByRole("img", { name: "Front of version As wide as planned" })).toBeVisible();
  await expect(page.getByText("Readings, “As wide as planned” and now", { exact: false })).toBeVisible();
  await page.getByRole("button", { name: "Return to it" }).click();
  await page.getByRole("tab", { name: "Readings" }).click();
  await expect(reading(page, "Hem, one leg")).toHaveText(before ?? "");
  await expectSaved(page);
});

test("a style made here is kept and used on another wearer", async ({ page }) => {
  await openStage(page, "restyle");
  await page.getByRole("button", { name: "Flare", exact: true }).click();
  await page.getByRole("button", { name: "Keep this as a style of mine" }).click();
  await page.getByLabel("Name of the style").fill("Lantern flare");
  await page.getByLabel("Name of the style").press("Enter");
  await expect(page.getByRole("button", { name: "Lantern flare", exact: true })).toBeVisible();
  await expectSaved(page);
  await openStage(page, "restyle", "sample-wren-shorts");
  await page.getByRole("button", { name: "Lantern flare", exact: true }).click();
  await expect(worksheet(page).getByText(/flare it from there/)).toBeVisible();
  await page.getByRole("button", { name: "Undo", exact: true }).first().click();
  await expect(worksheet(page).getByText(/flare it from there/)).toHaveCount(0);
});

test.describe("leg shapes made from the screen", () => {
  const SHAPES = [
    {
      style: "Bell with flounce",
      line: /^End the leg/,
      set: [
        ["Starts at: below the natural waist", "72 cm"],
        ["Points on the edge", "8"],
      ],
      says: /End the leg\s*72\.0 cm\s*below the waist and hang a full circle in 2 parts, 8 points/,
    },
    {
      style: "Side fullness",
      line: /^Cut the sides away/,
      set: [
        ["Starts above the hip line", "3 in"],
        ["Top to its seam", "3"],
      ],
      says: /from\s*7\.6 cm\s*above the hip line .* pleated 3 times/,
    },
    {
      style: "Flare",
      line: /^Bring the leg/,
      set: [["Or: out on each edge", "2 1/2 in"]],
      says: /flare it from there,\s*6\.4 cm\s*on each of the four edges/,
    },
    {
      style: "Front slit",
      line: /^Add .* beyond/,
      set: [
        ["Added on each side", "2 in"],
        ["From button to button", "3 1/2 in"],
      ],
      says: /Add\s*5\.1 cm\s*beyond both sides of the split/,
    },
    {
      style: "Sweat",
      line: /^Move the side out/,
      set: [
        ["Out at the side", "2.5 cm"],
        ["Or: hem of one leg", "70 cm"],
      ],
      says: /Move the side out\s*2\.5 cm\s*on the hip line/,
    },
  ] as const;

  for (const { style, line, set, says } of SHAPES) {
    test(style, async ({ page }) => {
      await openStage(page, "restyle");
      await page.getByRole("button", { name: style, exact: true }).click();
      const row = worksheet(page).getByRole("button", { name: line });
      await row.waitFor();
      if ((await row.getAttribute("aria-expanded")) !== "true") await row.click();
      for (const [label, value] of set) {
        const field = worksheet(page).getByLabel(label, { exact: true });
        await field.fill(value);
        await field.press("Enter");
      }
      await expect(worksheet(page)).toContainText(says);
      await expect(page.getByText(": passed over.")).toHaveCount(0);
      await expectSaved(page);
    });
  }
});

test("a hem asked of a flounce gives the share of the circle up, and the share takes the hem back", async ({
  page,
}) => {
  await openStage(page, "restyle", "sample-moth-bell");
  const field = (label: string) => worksheet(page).getByLabel(label, { exact: true });
  await field("Or: hem of one leg").fill("200 cm");
  await field("Or: hem of one leg").press("Enter");
  await expect(reading(page, "Hem, one leg")).toContainText("200.0");
  await expect(worksheet(page)).toContainText("solved for the hem");
  await expect(field("Share of a circle")).toHaveValue("");
  await field("Share of a circle").fill("0.5");
  await field("Share of a circle").press("Enter");
  await expect(worksheet(page)).toContainText("half a circle");
  await expect(worksheet(page)).not.toContainText("solved for the hem");
  // Too narrow a hem is refused with what works, and the pattern stays.
  await field("Or: hem of one leg").fill("20 cm");
  await field("Or: hem of one leg").press("Enter");
  await expect(page.getByText(/ends in a hem of [\d.]+( cm)? to [\d.]+ cm/).first()).toBeVisible();
  await expect(page.getByRole("img", { name: "Flounce", exact: true })).toBeVisible();
});

test("the shelf is one row, opens to all styles, and keeps the maker's moves where asked", async ({ page }) => {
  await openStage(page, "restyle");
  const shelf = page.getByRole("region", { name: "Styles for this wearer" });
  const row = await shelf.getByRole("button", { name: "Palazzo" }).boundingBox();
  const straight = await shelf.getByRole("button", { name: "Straight" }).boundingBox();
  expect(row?.y).toBe(straight?.y);
  await shelf.getByRole("button", { name: /^All \d+$/ }).click();
  const culotte = await shelf.getByRole("button", { name: "Culotte" }).boundingBox();
  expect(culotte?.y ?? 0).toBeGreaterThan((row?.y ?? 0) + 100);
  await shelf.getByLabel("Keep my moves").check();
  await shelf.getByRole("button", { name: "Culotte" }).click();
  await expect(worksheet(page).getByText(/Slash up the crease/)).toBeVisible();
  await shelf.getByRole("button", { name: "One row" }).click();
  await expect(shelf.getByRole("button", { name: /^All \d+$/ })).toBeVisible();
});
