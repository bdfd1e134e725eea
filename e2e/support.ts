import { expect, type Page } from "@playwright/test";

/** Opens the workroom with the sample laid out. */
export async function openSample(page: Page): Promise<void> {
  await page.goto("/?workroom=sample");
  await expect(page.getByText("Heron walk, wide leg")).toBeVisible();
}

/** Opens a stage of a sample job and waits until its proof is there. */
export async function openStage(page: Page, stage: string, job = "sample-heron-walk"): Promise<void> {
  await page.goto(`/${stage}?job=${job}`);
  await expect(page.getByRole("group", { name: /on the table/ })).toBeVisible();
}

/** The header's word on saving. */
export async function expectSaved(page: Page): Promise<void> {
  await expect(page.getByRole("status").filter({ hasText: /^Saved$/ })).toBeVisible();
}

/** The reading of a row, as text such as "47.2 to 98.1". */
export function reading(page: Page, row: string) {
  return page.getByRole("region", { name: "Readings" }).getByRole("row", { name: new RegExp(`^${row}`) });
}
