import { expect, test, type Page } from "@playwright/test";
import { openSample, openStage } from "./support";

/** The jobs of the sample workroom whose moves leave handles, one for each kind of move. */
const JOBS = [
  ["sample-heron-walk", ["front-hem-1", "front-slash", "front-hinge", "front-length"]],
  ["sample-ferry-flare", ["front-knee-side", "front-hem-side", "front-start", "front-length"]],
  ["sample-moth-bell", ["flounce-start", "flounce-depth"]],
  ["sample-wave-sides", ["side-panel-above", "side-panel-drop", "side-panel-reach"]],
  ["sample-mayor-pleats", ["front-pleat-depth", "front-pleat-count", "front-pleat-run"]],
  ["sample-baker-yoke", ["back-yoke-crotch", "back-yoke-side", "front-yoke-crotch"]],
  ["sample-cook-paperbag", ["front-casing-waist"]],
  ["sample-string-sweat", ["front-widen", "front-crotch"]],
] as const;

const handle = (page: Page, id: string) => page.locator(`[data-handle="${id}"]`);

const value = (page: Page, id: string) =>
  handle(page, id)
    .getAttribute("aria-valuenow")
    .then((text) => Number(text));

test.describe("every handle", () => {
  for (const [job, ids] of JOBS) {
    test(`by keys and by mouse: ${job}`, async ({ page }) => {
      await openStage(page, "restyle", job);
      for (const id of ids) {
        const before = await value(page, id);
        await handle(page, id).focus();
        const counts = id.endsWith("count");
        await page.keyboard.press(counts || !id.includes("pleat-depth") ? "Shift+ArrowUp" : "ArrowUp");
        await expect.poll(() => value(page, id), { message: `${id} by keys` }).not.toBe(before);
        await page.keyboard.press("Control+z");
        await expect.poll(() => value(page, id), { message: `${id} undone` }).toBe(before);
        // The label beside a chosen handle is not for pulling, so the middle is that of the handle itself.
        const box = await handle(page, id).locator("rect").first().boundingBox();
        if (!box) throw new Error(`${id} is not on the table`);
        const upright = (await handle(page, id).evaluate((g) => (g as SVGGElement).style.cursor)) === "ns-resize";
        const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
        await page.mouse.move(x, y);
        await page.mouse.down();
        // Down or outward as far as a hand would; what way it goes is the handle's own matter, that it follows is not.
        for (const step of [6, 16, 30]) await page.mouse.move(x + (upright ? 0 : step), y + (upright ? step : 0));
        if ((await value(page, id)) === before)
          for (const step of [6, 16, 30]) await page.mouse.move(x - (upright ? 0 : step), y - (upright ? step : 0));
        await expect.poll(() => value(page, id), { message: `${id} by mouse` }).not.toBe(before);
        await page.keyboard.press("Escape");
        await page.mouse.up();
        await expect.poll(() => value(page, id), { message: `${id} let go` }).toBe(before);
      }
    });
  }

  test("a pull past what can be made stops there, says why, and keeps as far as it went", async ({ page }) => {
    await openStage(page, "restyle", "sample-cook-paperbag");
    const casing = handle(page, "front-casing-waist");
    const before = await value(page, "front-casing-waist");
    const box = await casing.locator("rect").first().boundingBox();
    if (!box) throw new Error("no casing handle");
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    for (const step of [2, 4, 200]) await page.mouse.move(x, y + step, { steps: 4 });
    await page.mouse.up();
    await expect(page.getByText("A casing is 1 to 12 cm deep.").first()).toBeVisible();
    await expect(casing).toBeVisible();
    const after = await value(page, "front-casing-waist");
    expect(after).toBeLessThan(before);
    expect(after).toBeGreaterThanOrEqual(10);
  });

  test("by touch: the hem follows a finger", async ({ page }) => {
    await openStage(page, "restyle", "sample-ferry-flare");
    const hem = handle(page, "front-hem-inseam");
    const before = await value(page, "front-hem-inseam");
    const box = await hem.locator("rect").first().boundingBox();
    if (!box) throw new Error("no hem handle");
    const at = (dx: number) => ({
      pointerId: 7,
      pointerType: "touch",
      clientX: box.x + box.width / 2 + dx,
      clientY: box.y + box.height / 2,
      bubbles: true,
    });
    // A synthetic finger has no capture, so the browser's own is left out.
    await hem.evaluate((g) => (g.setPointerCapture = () => undefined));
    await hem.dispatchEvent("pointerdown", at(0));
    await hem.dispatchEvent("pointermove", at(24));
    await page.waitForFunction(() => new Promise((done) => requestAnimationFrame(() => done(true))));
    await hem.dispatchEvent("pointerup", at(24));
    await expect.poll(() => value(page, "front-hem-inseam")).toBeGreaterThan(before);
  });
});

test("one side only: the side gains, the crease no longer halves the hem, and says so", async ({ page }) => {
  await openStage(page, "restyle", "sample-ferry-flare");
  await page.getByLabel("pull one side only").check();
  await handle(page, "front-hem-side").focus();
  for (let i = 0; i < 2; i++) await page.keyboard.press("Shift+ArrowUp");
  await page.getByRole("tab", { name: "Girths" }).click();
  await expect(page.getByRole("region", { name: "Girths" })).toContainText("wider toward the side");
});

test("every style is chosen from the shelf and its moves are made on this wearer", async ({ page }) => {
  await openStage(page, "restyle");
  const shelf = page.getByRole("region", { name: "Styles for this wearer" });
  for (const [name, part] of [
    ["Bell with flounce", "Flounce front"],
    ["Side fullness", "Side panel"],
    ["Front slit", "Front left, side"],
    ["Yoke and flare", "Back yoke"],
    ["Pleated", "Front"],
    ["Paper-bag", "Front"],
    ["Jogger", "Front"],
  ] as const) {
    await shelf.getByRole("button", { name }).click();
    await expect(page.getByRole("img", { name: part, exact: true })).toBeVisible();
    await expect(page.getByText(": passed over.")).toHaveCount(0);
  }
});

test("a flounce is added to a worksheet, and a move that no longer makes sense says why", async ({ page }) => {
  await openStage(page, "restyle");
  const add = async (name: RegExp) => {
    await page.getByRole("button", { name: "Add a line" }).click();
    await page.getByRole("menuitem", { name }).click();
  };
  await add(/Add a flounce/);
  await expect(page.getByRole("img", { name: "Flounce front" })).toBeVisible();
  await add(/Cut on a casing/);
  await expect(page.getByText("Cut on a casing: passed over.")).toBeVisible();
  const lines = page.getByRole("region", { name: "Worksheet lines" });
  await expect(lines.getByText(/darts or pleats in its waist/)).toBeVisible();
});

test("every handle of every job can be taken hold of: nothing lies over its middle", async ({ page }) => {
  await openSample(page);
  const jobs = await page
    .locator("a[href*='job=']")
    .evaluateAll((links) => [
      ...new Set(links.map((a) => new URL((a as HTMLAnchorElement).href).searchParams.get("job") ?? "")),
    ]);
  expect(jobs.length).toBeGreaterThan(12);
  for (const job of jobs) {
    await openStage(page, "restyle", job);
    await expect(page.locator("[data-handle]").first()).toBeVisible();
    const covered = await page.locator("[data-handle]").evaluateAll((handles) =>
      handles.flatMap((g) => {
        const { x, y, width, height } = (g.querySelector("rect") as SVGRectElement).getBoundingClientRect();
        const top = document.elementFromPoint(x + width / 2, y + height / 2)?.closest("[data-handle]");
        return top === g ? [] : [(g as SVGGElement).dataset.handle];
      }),
    );
    expect([job, covered]).toEqual([job, []]);
  }
});
