import { expect, test } from "@playwright/test";
import { openStage, reading } from "./support";

test("pulling a wedge: the number follows the hand, one undo step, long tasks counted", async ({ page }) => {
  await openStage(page, "restyle");
  await expect(page.getByText("Fold what passes")).toBeVisible();
  const before = await reading(page, "Hem, one leg").textContent();
  await page.evaluate(() => {
    const held = window as unknown as { longTasks: number[] };
    held.longTasks = [];
    new PerformanceObserver((list) => held.longTasks.push(...list.getEntries().map((e) => e.duration))).observe({
      type: "longtask",
    });
  });
  const handle = page.getByRole("slider", { name: "front hem" }).first();
  const box = await handle.boundingBox();
  if (!box) throw new Error("the handle is not on the screen");
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  const seen = new Set<string | null>();
  for (let i = 1; i <= 60; i++) {
    await page.mouse.move(x - i * 0.6, y);
    if (i % 15 === 0) seen.add(await reading(page, "Hem, one leg").textContent());
  }
  expect(seen.size).toBeGreaterThan(2);
  await page.mouse.up();
  await expect(reading(page, "Hem, one leg")).not.toHaveText(before ?? "");
  const long = await page.evaluate(() => (window as unknown as { longTasks: number[] }).longTasks);
  // A figure to read, not a limit to fail on: a busy machine says nothing about the program.
  test.info().annotations.push({ type: "long tasks while pulling, ms", description: JSON.stringify(long) });
  console.log(`long tasks while pulling: ${JSON.stringify(long)} ms`);
  await page.keyboard.press("Control+z");
  await expect(reading(page, "Hem, one leg")).toHaveText(before ?? "");
  await expect(page.getByRole("button", { name: "Undo" })).toBeDisabled();
});

test("a handle still pulls after the hem was typed as a girth", async ({ page }) => {
  await openStage(page, "restyle");
  await page.getByLabel("Or: hem of one leg").fill("90");
  await page.getByLabel("Or: hem of one leg").press("Enter");
  await expect(reading(page, "Hem, one leg")).toContainText("90.0");
  await page.getByRole("slider", { name: "front hem" }).first().focus();
  await page.keyboard.press("Shift+ArrowRight");
  await expect(reading(page, "Hem, one leg")).not.toContainText("90.0");
});

test("Esc lets go of a pull without a change", async ({ page }) => {
  await openStage(page, "restyle");
  const before = await reading(page, "Hem, one leg").textContent();
  const handle = page.getByRole("slider", { name: "back hem" }).first();
  const box = await handle.boundingBox();
  if (!box) throw new Error("the handle is not on the screen");
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x - 30, box.y);
  await expect(reading(page, "Hem, one leg")).not.toHaveText(before ?? "");
  await page.keyboard.press("Escape");
  await page.mouse.up();
  await expect(reading(page, "Hem, one leg")).toHaveText(before ?? "");
  await expect(page.getByRole("button", { name: "Undo" })).toBeDisabled();
});

test("keys: front, back, ghost, tape, command search, list of keys", async ({ page }) => {
  await openStage(page, "restyle");
  await page.getByRole("link", { name: /3 Restyle/ }).focus();
  await page.keyboard.press("f");
  await expect(page.getByRole("img", { name: "Front" })).toHaveCount(0);
  await page.keyboard.press("f");
  await expect(page.getByRole("img", { name: "Front" })).toBeVisible();
  await page.keyboard.press("u");
  await expect(page.getByText(/Readings, block and now, inches/)).toBeVisible();
  await page.keyboard.press("Control+k");
  await page.keyboard.type("block");
  await page.getByRole("option", { name: /Go to Block/ }).click();
  await expect(page).toHaveURL(/\/block/);
  await page.getByRole("link", { name: /2 Block/ }).focus();
  await page.keyboard.press("?");
  await expect(page.getByRole("dialog", { name: "Keys" })).toBeVisible();
});
