import AxeBuilder from "@axe-core/playwright";
import { expect, type Locator, type Page } from "@playwright/test";

/** Where the store that every test starts with is kept; it holds the sample workroom. */
export const SEEDED = "test-results/seeded.json";

/** For tests that start with a browser that has never seen Eland. */
export const EMPTY_BROWSER = { cookies: [], origins: [] };

/** Opens the workroom; the sample is laid out in it. */
export async function openSample(page: Page): Promise<void> {
  await page.goto("/");
  await expect(page.getByText("Heron walk, wide leg")).toBeVisible();
}

/** Opens a stage of a sample job and waits until its proof is there. */
export async function openStage(page: Page, stage: string, job = "sample-heron-walk"): Promise<void> {
  await page.goto(`/${stage}?job=${job}`);
  await expect(
    page.getByRole("group", { name: /on the table|^Lay of/ }).or(page.getByRole("region", { name: "Chalk cards" })),
  ).toBeVisible();
}

/** The header's word on saving. */
export async function expectSaved(page: Page): Promise<void> {
  await expect(page.getByRole("status").filter({ hasText: /^Saved$/ })).toBeVisible();
}

/** The reading of a row, as text such as "47.2 to 98.1". */
export function reading(page: Page, row: string) {
  return page.getByRole("region", { name: "Readings" }).getByRole("row", { name: new RegExp(`^${row}`) });
}

/** Walks the focus by Tab alone until it reaches a place, as a person without a mouse does. */
export async function tabTo(page: Page, target: Locator, key: "Tab" | "Shift+Tab" = "Tab"): Promise<void> {
  for (let i = 0; i < 80; i++) {
    if (await target.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press(key);
  }
  throw new Error("the place is not reached by Tab");
}

/** What the accessibility rules find on the page as it is, or those about colour alone, by place. */
export async function ruleFaults(page: Page, where: string, colourOnly = false): Promise<string[]> {
  const axe = new AxeBuilder({ page });
  const rules = colourOnly
    ? axe.withRules(["color-contrast", "link-in-text-block"])
    : axe.withTags(["wcag2a", "wcag2aa"]);
  const { violations } = await rules.analyze();
  return violations.map(
    (v) =>
      `${where}: ${v.id}: ${v.nodes
        .map((n) => n.target.join(" "))
        .slice(0, 3)
        .join("; ")}`,
  );
}
