import { join } from "node:path";
import { expect, test, type Page } from "@playwright/test";
import { HAND_BODY, palazzoJob } from "../src/core/testing/jobs";
import { ownBodiceOf } from "../src/core/testing/ownBodice";
import { expectSaved, openStage } from "./support";

const rule = (page: Page, name: string) => page.getByRole("region", { name: "Rules", exact: true }).getByLabel(name);

async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.getByRole("combobox", { name: label }).click();
  await page.getByRole("option", { name: option, exact: true }).click();
}

test("another school and another back redraw the block; a changed rule shows and can be put back", async ({ page }) => {
  await openStage(page, "block");
  const numbers = page.getByRole("region", { name: "Numbers" });
  await page.getByRole("radio", { name: /Traced/ }).check();
  await expect(numbers.getByText(/hip 101\.0( cm)? \/ 16/)).toBeVisible();
  await choose(page, "Back is", "hinged");
  await expect(page.getByText(/the school’s: traced/)).toBeVisible();
  await expect(rule(page, "Slash opened at the centre")).toHaveValue("5.0 cm");
  await choose(page, "Crotch depth from", "crotch length / 2");
  await expect(numbers.getByText(/crotch length 66\.5( cm)? \/ 2/, { exact: false })).toBeVisible();
  await rule(page, "Front extension, added").fill("1,5");
  await rule(page, "Front extension, added").press("Enter");
  await expect(numbers.getByText(/hip 101\.0( cm)? \/ 16 \+ 1\.5/)).toBeVisible();
  await page
    .getByText(/the school’s: 0\.0 cm/)
    .last()
    .getByRole("button", { name: "Put back" })
    .click();
  await expect(numbers.getByText(/hip 101\.0( cm)? \/ 16 \+ 1\.5/)).toHaveCount(0);
  await page.getByRole("button", { name: "Put all rules back" }).click();
  await expect(page.getByText(/the school’s: traced/)).toHaveCount(0);
  await expectSaved(page);
});

test("a garment's block is set up by choosing alone: slit front, steered at the hip line, hip-wide", async ({
  page,
}) => {
  await openStage(page, "block", "sample-wren-shorts");
  await choose(page, "Back's extra at the hip", "left out");
  await choose(page, "Crotch curve steered by", "a point outside the hip line");
  await rule(page, "Out on the hip line").fill("1/2");
  await rule(page, "Out on the hip line").press("Enter");
  await choose(page, "Waist is shaped by", "nothing: as wide as the hip");
  await rule(page, "Side rise, front and back").fill("1/2 in");
  await rule(page, "Side rise, front and back").press("Enter");
  await expect(rule(page, "Side rise, front and back")).toHaveValue("1/2 in");
  await expect(rule(page, "Front dart")).toHaveCount(0);
  await expect(page.getByRole("img", { name: "Back" })).toBeVisible();
  await expectSaved(page);
  await page.reload();
  await expect(page.getByRole("combobox", { name: "Waist is shaped by" })).toContainText("as wide as the hip");
});

test("the construction plays back step by step, with its sums", async ({ page }) => {
  await openStage(page, "block");
  await page.getByRole("tab", { name: "Step by step" }).click();
  const playback = page.getByRole("region", { name: "Construction, step by step" });
  await expect(playback.getByText(/Front, 1 of \d+/)).toBeVisible();
  await expect(playback.getByText("Draw the crease upright")).toBeVisible();
  await playback.getByRole("button", { name: "Next step" }).click();
  await expect(playback.getByRole("list", { name: "Sums of this step" })).toContainText(
    "20.5 cm = waist to hip from the card",
  );
  await expect(page.getByRole("img", { name: "Front, drawn up to step 2" })).toBeVisible();
  await playback.getByRole("slider").focus();
  await page.keyboard.press("End");
  await expect(playback.getByText(/Walk side and inseam/)).toBeVisible();
  await playback.getByRole("button", { name: "Play" }).click();
  await expect(playback.getByText(/Front, 1 of \d+/)).toBeVisible();
  await expect(playback.getByText(/Front, 2 of \d+/)).toBeVisible();
  await playback.getByRole("button", { name: "Stop" }).click();
});

test("schools are compared on the same body, by drawing, number and chart", async ({ page }) => {
  await openStage(page, "block");
  await page.getByRole("tab", { name: "Compare" }).click();
  await expect(page.getByRole("img", { name: "Hinged, back" })).toBeVisible();
  await expect(
    page.getByRole("img", { name: "Crotch seam of each draft beside the wearer's crotch length" }),
  ).toBeVisible();
  const differs = page.getByRole("region", { name: "Compare" }).getByRole("table");
  await expect(differs.getByRole("row", { name: /^Front extension/ })).toContainText("10.6");
  await page.getByRole("button", { name: "Add a way of drafting" }).click();
  const added = page
    .getByRole("group")
    .filter({ has: page.getByText("Proportional") })
    .last();
  await added.locator("summary").click();
  await added.getByRole("combobox", { name: "Crotch depth from" }).click();
  await page.getByRole("option", { name: "crotch length / 2" }).click();
  await expect(page.getByText("Proportional, depth crotch length / 2")).toBeVisible();
  await expect(differs.getByRole("row", { name: /^Crotch depth/ })).toContainText("33.3");
});

test("the width budget follows a level", async ({ page }) => {
  await openStage(page, "block");
  await page.getByRole("tab", { name: "Widths" }).click();
  const widths = page.getByRole("region", { name: "Width budget" });
  await expect(widths.getByRole("row", { name: /^body/ })).toContainText("25.3 cm");
  await widths.getByRole("slider").focus();
  await page.keyboard.press("End");
  await expect(widths.getByRole("row", { name: /^opened/ })).not.toContainText("0.0 cm");
});

test("a block drawn by hand is brought in, its places moved, and restyled; a bad file is refused", async ({ page }) => {
  await openStage(page, "block");
  await page.getByRole("radio", { name: /My own block/ }).check();
  await expect(page.getByText(/There is no own block yet/).first()).toBeVisible();
  await page.getByRole("button", { name: "Bring in a block" }).click();
  const dialog = page.getByRole("dialog", { name: "Bring in a block" });
  const input = dialog.getByLabel("Drawing of the block");
  await input.setInputFiles({
    name: "bad.svg",
    mimeType: "image/svg+xml",
    buffer: Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>'),
  });
  await expect(dialog.getByRole("alert")).toContainText("may run or load things");
  await expect(dialog.getByRole("button", { name: "Use this block" })).toBeDisabled();
  await input.setInputFiles(join(__dirname, "../src/core/files/bringIn/fixtures/hand-drawn.svg"));
  await expect(dialog.getByText(/It measures .* round the hip/)).toBeVisible();
  const before = await dialog.getByText(/It measures/).textContent();
  const hip = dialog.getByRole("button", { name: "Front, hip at the side" });
  await hip.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press("Shift+ArrowDown");
  await expect(dialog.getByText(/It measures/)).not.toHaveText(before ?? "");
  for (let i = 0; i < 4; i++) await page.keyboard.press("Shift+ArrowUp");
  await dialog.getByLabel("Allowances it holds").fill("1");
  await dialog.getByLabel("Allowances it holds").press("Enter");
  await dialog.getByRole("button", { name: "Use this block" }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByText(/It stays as it is when the card changes/)).toBeVisible();
  await expect(page.getByLabel("It has allowances of")).toHaveValue("1.0 cm");
  await page.getByRole("link", { name: /3 Restyle/ }).click();
  await expect(page.getByRole("slider", { name: "front hem" }).first()).toBeVisible();
  await expectSaved(page);
});

test("a bodice is brought in above the trousers of a one-piece, and says what its edges cannot", async ({ page }) => {
  const bodice = ownBodiceOf(palazzoJob(HAND_BODY, { style: { id: "one-piece", params: {} } }));
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="900mm" height="600mm" viewBox="-300 -500 900 600">
    <path id="bodice-front" d="${bodice.panels.front.path}"/>
    <path id="bodice-back" transform="translate(200 0)" d="${bodice.panels.back.path}"/></svg>`;
  await openStage(page, "block", "sample-bell-ringer");
  await page.getByRole("button", { name: "Bring in a bodice" }).click();
  const dialog = page.getByRole("dialog", { name: "Bring in a bodice" });
  await dialog.getByLabel("Drawing of the bodice").setInputFiles({
    name: "my bodice.svg",
    mimeType: "image/svg+xml",
    buffer: Buffer.from(svg),
  });
  await expect(dialog.getByText(/round the underarm/)).toBeVisible();
  const bust = dialog.getByRole("button", { name: "Front, bust point" });
  await bust.focus();
  for (let i = 0; i < 30; i++) await page.keyboard.press("Shift+ArrowDown");
  await expect(dialog.getByRole("alert")).toContainText("bust point must lie above");
  for (let i = 0; i < 30; i++) await page.keyboard.press("Shift+ArrowUp");
  await dialog.getByRole("button", { name: "Use this bodice" }).click();
  await expect(page.getByText("my bodice.svg.")).toBeVisible();
  await page.getByRole("link", { name: /3 Restyle/ }).click();
  await expect(page.getByText(/Take the bodice brought in/)).toBeVisible();
  await expect(page.getByText(/keeps its neck, shoulders and underarm/)).toBeVisible();
  await expectSaved(page);
});
