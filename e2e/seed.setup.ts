import { expect, test } from "@playwright/test";
import { SEEDED } from "./support";

/** A browser's store with the sample workroom in it, laid out once and given to every test that starts from it. */
test("the sample workroom is laid out", async ({ page }) => {
  await page.goto("/?workroom=sample");
  await expect(page.getByText("Heron walk, wide leg")).toBeVisible();
  await page.context().storageState({ path: SEEDED, indexedDB: true });
});
