import { base, openSample } from "./browser";

/** One current picture of each main view, from the sample workroom, into docs/screenshots. Needs a running bin/demo. */
const job = "sample-heron-walk";

async function main(): Promise<void> {
  const { browser, page } = await openSample();
  // The miniatures are drawn behind the page.
  await page.waitForFunction(() => document.querySelectorAll("li svg path[stroke-dasharray]").length >= 8);
  await page.screenshot({ path: "docs/screenshots/workroom.png" });
  for (const stage of ["body", "block", "restyle", "pieces"]) {
    await page.goto(`${base}/${stage}?job=${job}`);
    await page.getByRole("group", { name: /on the table/ }).waitFor();
    if (stage !== "body" && stage !== "block")
      await page.getByRole("button", { name: /Fold what passes|pass$/ }).waitFor();
    await page.waitForFunction(() => document.fonts.status === "loaded");
    if (stage === "body") {
      await page
        .getByRole("img", { name: /by date/ })
        .locator("svg, canvas")
        .waitFor();
      await page.waitForTimeout(1200);
    }
    await page.screenshot({ path: `docs/screenshots/${stage}.png` });
  }
  await page.goto(`${base}/cloth?job=${job}`);
  // It looks for six seconds by itself, and other folds and widths a little longer.
  await page.getByRole("button", { name: "Look on" }).waitFor({ timeout: 30_000 });
  await page
    .getByText(/^At .* wide$/)
    .first()
    .waitFor();
  // What no lay is under is proved after that, better and better for some fifteen seconds.
  await page.getByText(/no lay is under/).waitFor({ timeout: 30_000 });
  await page.waitForTimeout(25_000);
  await page.screenshot({ path: "docs/screenshots/cloth.png" });
  await page.goto(`${base}/make?job=${job}`);
  await page.getByText(/take a sheet at least/).waitFor();
  const crotch = page.getByText(/the crotch point/);
  for (let i = 0; i < 30 && !(await crotch.isVisible()); i++) await page.keyboard.press("ArrowRight");
  await crotch.waitFor();
  await page.screenshot({ path: "docs/screenshots/make.png" });
  await page.goto(`${base}/diary?job=${job}`);
  await page.getByRole("button", { name: "pulls across the seat", exact: true }).click();
  await page.getByRole("table", { name: "What changes" }).getByText("Crotch seam", { exact: true }).waitFor();
  await page.screenshot({ path: "docs/screenshots/diary.png" });
  await page.goto(`${base}/wearer?name=Marit%20Oswin`);
  await page.getByRole("img", { name: /worn$/ }).nth(2).waitFor();
  await page.getByRole("img", { name: /by date$/ }).waitFor();
  await page.waitForTimeout(1200);
  await page.screenshot({ path: "docs/screenshots/wearer.png" });
  await page.goto(`${base}/block?job=${job}`);
  await page.getByRole("tab", { name: "Step by step" }).click();
  const next = page.getByRole("button", { name: "Next step" });
  for (let i = 0; i < 7; i++) await next.click();
  await page.screenshot({ path: "docs/screenshots/block-steps.png" });
  await page.getByRole("tab", { name: "Rules" }).click();
  await page.getByRole("tab", { name: "Compare" }).click();
  await page
    .getByRole("img", { name: /^Ease of each draft/ })
    .locator("svg")
    .waitFor();
  await page.screenshot({ path: "docs/screenshots/block-compare.png" });
  await page.getByRole("tab", { name: "Numbers" }).click();
  await page.getByRole("radio", { name: /My own block/ }).check();
  await page.getByRole("button", { name: "Bring in a block" }).click();
  await page.getByLabel("Drawing of the block").setInputFiles("src/core/files/bringIn/fixtures/hand-drawn.svg");
  await page.getByText(/It measures/).waitFor();
  await page.waitForFunction(() => document.getAnimations().length === 0);
  await page.screenshot({ path: "docs/screenshots/own-block.png" });
  await page.goto(`${base}/?workroom=sample`);
  await page.goto(`${base}/pieces?job=sample-lantern-bearer`);
  await page.getByRole("button", { name: /Fold what passes|pass$/ }).waitFor();
  await page.getByRole("button", { name: "Hand over" }).click();
  await page.getByRole("dialog", { name: "Hand over" }).waitFor();
  await page.getByRole("img", { name: /pages: Front/ }).waitFor();
  // The dialog fades in; its last frame is the picture.
  await page.waitForFunction(() => document.getAnimations().length === 0);
  await page.screenshot({ path: "docs/screenshots/hand-over.png" });
  for (const [name, other] of [
    ["restyle-flounce", "sample-moth-bell"],
    ["restyle-one-piece", "sample-kite-one-piece"],
  ] as const) {
    await page.goto(`${base}/restyle?job=${other}`);
    await page.getByRole("button", { name: /Fold what passes|pass$/ }).waitFor();
    await page.screenshot({ path: `docs/screenshots/${name}.png` });
  }
  await page.goto(`${base}/practice`);
  await page.getByRole("group", { name: "Pieces on the table" }).waitFor();
  await page.getByRole("region", { name: "What is wrong" }).getByRole("radio").first().check();
  await page.getByRole("button", { name: "That is it" }).click();
  await page.getByRole("status").getByText("is right.").waitFor();
  await page.screenshot({ path: "docs/screenshots/practice.png" });
  await page.goto(`${base}/pieces?job=sample-lantern-bearer`);
  await page.getByRole("button", { name: /Fold what passes|pass$/ }).waitFor();
  await page.getByRole("button", { name: "Roll the seams" }).click();
  await page.getByRole("group", { name: "Seams rolled on the table" }).waitFor();
  await page.screenshot({ path: "docs/screenshots/pieces-roll.png" });
  await page.setViewportSize({ width: 1920, height: 1080 });
  await page.goto(`${base}/restyle?job=sample-lantern-bearer`);
  await page.getByRole("button", { name: /Fold what passes|pass$/ }).waitFor();
  await page.screenshot({ path: "docs/screenshots/restyle-1920.png" });
  await browser.close();
}

void main();
