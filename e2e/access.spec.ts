import { expect, test } from "@playwright/test";
import { openSample, openStage, reading, ruleFaults } from "./support";

const [PHONE, NARROW, WIDE] = [
  { width: 390, height: 844 },
  { width: 1024, height: 700 },
  { width: 1280, height: 800 },
];
/** Where a narrow window is laid out by itself: its readings are a drawer. On every other view it is a wide one with less room. */
const HAS_DRAWER: ReadonlySet<string> = new Set(["restyle", "pieces"]);
const STAGES = ["body", "block", "restyle", "pieces"];

for (const view of ["workroom", ...STAGES, "cloth", "make", "diary"])
  test(`${view} is reachable and readable in both themes at every layout`, async ({ page }) => {
    const errors: string[] = [];
    page.on("console", (message) => message.type() === "error" && errors.push(message.text()));
    page.on("pageerror", (error) => errors.push(error.message));
    await (view === "workroom" ? openSample(page) : openStage(page, view));
    const wrong: string[] = [];
    for (const size of [PHONE, ...(HAS_DRAWER.has(view) ? [NARROW] : []), WIDE]) {
      await page.setViewportSize(size);
      wrong.push(...(await ruleFaults(page, `light, ${size.width} wide`)));
    }
    // A theme changes colours alone.
    await page.emulateMedia({ colorScheme: "dark" });
    wrong.push(...(await ruleFaults(page, "dark", true)));
    expect(wrong).toEqual([]);
    expect(errors).toEqual([]);
  });

test("the trade's words are shown on the pattern that is on the table, by keyboard alone", async ({ page }) => {
  await openStage(page, "restyle");
  await page.getByRole("link", { name: /3 Restyle/ }).focus();
  await page.keyboard.press("q");
  const words = page.getByRole("dialog", { name: "What the words mean" });
  await expect(words.getByRole("img", { name: "Waist line on the pattern: lit" })).toBeVisible();
  await words.getByRole("button", { name: "Back rise" }).focus();
  await expect(words.getByRole("img", { name: "Back rise on the pattern: lit" })).toBeVisible();
  await words.getByRole("button", { name: "Armhole" }).focus();
  await expect(words.getByText("The pattern on the table has none.")).toBeVisible();
  expect(await ruleFaults(page, "words")).toEqual([]);
  await page.keyboard.press("Escape");
  await expect(words).toHaveCount(0);
});

test.describe("on a phone", () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test("the table comes first, panels are sheets, and a number is changed by touch", async ({ page }) => {
    for (const stage of STAGES) {
      await openStage(page, stage);
      const box = await page.getByRole("group", { name: /on the table/ }).boundingBox();
      expect([stage, (box?.height ?? 0) > 400, (box?.width ?? 0) > 370]).toEqual([stage, true, true]);
    }
    await openStage(page, "restyle");
    await page.getByRole("button", { name: "Worksheet" }).tap();
    expect(await ruleFaults(page, "worksheet sheet")).toEqual([]);
    const hem = page.getByLabel("Or: hem of one leg");
    await hem.fill("92 cm");
    await hem.press("Enter");
    await page.getByRole("button", { name: "Back to the table" }).tap();
    await page.getByRole("button", { name: "Readings" }).tap();
    await expect(reading(page, "Hem, one leg")).toContainText("92.0");
    expect(await ruleFaults(page, "readings sheet")).toEqual([]);
    await page.getByRole("button", { name: "Back to the table" }).tap();
    await page.getByRole("button", { name: "Hand over" }).tap();
    await expect(page.getByRole("dialog", { name: "Hand over" })).toBeVisible();
  });
});

test("what can be pulled is at least 24 px wide and high", async ({ page }) => {
  await openStage(page, "restyle");
  const sizes = await page.locator("[data-handle] > rect:first-of-type").evaluateAll((all) =>
    all.map((rect) => {
      const { width, height } = rect.getBoundingClientRect();
      return Math.min(width, height);
    }),
  );
  expect(sizes.length).toBeGreaterThan(4);
  expect(Math.min(...sizes)).toBeGreaterThanOrEqual(24);
});

test("no request leaves the machine, and pages carry a strict policy", async ({ page }) => {
  const outside: string[] = [];
  page.on("request", (request) => {
    if (!/^(http:\/\/127.0.0.1|blob:|data:)/.test(request.url())) outside.push(request.url());
  });
  const response = await page.goto("/?workroom=sample");
  expect(response?.headers()["content-security-policy"]).toContain("default-src 'self'");
  await expect(page.getByText("Heron walk, wide leg")).toBeVisible();
  await openStage(page, "restyle");
  expect(outside).toEqual([]);
});

test("under 1200 px the readings become a drawer", async ({ page }) => {
  await page.setViewportSize({ width: 1024, height: 700 });
  await openStage(page, "restyle");
  await page.getByRole("button", { name: "Readings" }).click();
  await expect(page.getByRole("region", { name: "Proof" })).toBeVisible();
});
