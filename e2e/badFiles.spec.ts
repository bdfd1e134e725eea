import { readFileSync } from "node:fs";
import { join } from "node:path";
import { seededRandom } from "../src/core/testing/bodies";
import { mutatedText } from "../src/core/testing/mutatedText";
import { expect, test } from "@playwright/test";
import { openSample, openStage } from "./support";

const ROOT = join(__dirname, "..");
/** A page may think this long about a file, and has to answer then. */
const PATIENCE = 4_000;
const TRIES = 16;

test("damaged drawings in the dialog: each is read or refused in a sentence, and the page goes on", async ({
  page,
}) => {
  await openStage(page, "block");
  await page.getByRole("radio", { name: /My own block/ }).check();
  await page.getByRole("button", { name: "Bring in a block" }).click();
  const dialog = page.getByRole("dialog", { name: "Bring in a block" });
  const input = dialog.getByLabel("Drawing of the block");
  const svg = readFileSync(join(ROOT, "src/core/files/bringIn/fixtures/hand-drawn.svg"), "utf8");
  const random = seededRandom(11);
  let refused = 0;
  for (let i = 0; i < TRIES; i++) {
    await input.setInputFiles({
      name: `drawing-${i}.svg`,
      mimeType: "image/svg+xml",
      buffer: Buffer.from(mutatedText(svg, random)),
    });
    const answer = dialog
      .getByRole("alert")
      .or(dialog.getByText(/It measures/))
      .first();
    await expect(answer).toBeVisible({ timeout: PATIENCE });
    const text = (await answer.textContent()) ?? "";
    expect(text).not.toMatch(/undefined|NaN|\[object|Error:/);
    if (!text.startsWith("It measures")) refused++;
  }
  expect(refused).toBeGreaterThan(TRIES / 4);
  await page.keyboard.press("Escape");
  await expect(dialog).toBeHidden();
});

test("damaged job files at the workroom: each opens or is refused in a sentence, and no job is lost", async ({
  page,
}) => {
  const sample = JSON.parse(readFileSync(join(ROOT, "samples/garments/palazzo.json"), "utf8")) as object;
  const job = JSON.stringify(sample, null, 1);
  const random = seededRandom(12);
  // Every file that opens is a job of its own, and the workroom is loaded again after each.
  test.setTimeout(150_000);
  await openSample(page);
  const jobs = page.getByRole("listitem").filter({ has: page.getByRole("link") });
  await expect(jobs.first()).toBeVisible();
  const before = await jobs.count();
  for (let i = 0; i < TRIES; i++) {
    await page.getByLabel("Job or workroom file").setInputFiles({
      name: `job-${i}.json`,
      mimeType: "application/json",
      buffer: Buffer.from(mutatedText(job, random)),
    });
    const opened = page.waitForURL(/\/body\?job=/, { timeout: PATIENCE }).then(() => true);
    const said = page
      .getByRole("alert")
      .first()
      .waitFor({ timeout: PATIENCE })
      .then(() => false);
    if (await Promise.any([opened, said])) {
      await page.goto("/");
      await expect(jobs.first()).toBeVisible();
    } else {
      expect(await page.getByRole("alert").first().textContent()).not.toMatch(/undefined|NaN|\[object|Error:/);
      await page.reload();
      await expect(jobs.first()).toBeVisible();
    }
  }
  expect(await jobs.count()).toBeGreaterThanOrEqual(before);
});
