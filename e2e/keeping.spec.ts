import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, expect, test } from "@playwright/test";
import { expectSaved, openSample, openStage } from "./support";

test("undo goes back through more than a hundred steps, and forward again", async ({ page }) => {
  await openStage(page, "body");
  const hip = page.getByLabel("Hip", { exact: true });
  await hip.focus();
  for (let i = 0; i < 110; i++) await page.keyboard.press("ArrowUp");
  await expect(hip).toHaveValue("112.0 cm");
  await expectSaved(page);
  await page.getByRole("link", { name: /1 Body/ }).focus();
  for (let i = 0; i < 110; i++) await page.keyboard.press("Control+z");
  await expect(hip).toHaveValue("101");
  await expect(page.getByRole("button", { name: "Undo" })).toBeDisabled();
  for (let i = 0; i < 110; i++) await page.keyboard.press("Control+Shift+z");
  await expect(hip).toHaveValue("112.0 cm");
});

test("a reload keeps the work; a second tab follows; two tabs never overwrite silently", async ({ page, context }) => {
  await openStage(page, "body");
  const hip = page.getByLabel("Hip", { exact: true });
  await hip.fill("103");
  await hip.press("Enter");
  await expectSaved(page);
  await page.reload();
  await expect(hip).toHaveValue("103");

  const other = await context.newPage();
  await openStage(other, "body");
  const otherHip = other.getByLabel("Hip", { exact: true });
  await expect(otherHip).toHaveValue("103");
  await otherHip.fill("104");
  await otherHip.press("Enter");
  await expectSaved(other);
  await expect(hip).toHaveValue("104");

  // The other tab's word is lost here, as when this tab slept: a newer revision lies in the store.
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open("eland");
        opening.onerror = () => reject(new Error("no store"));
        opening.onsuccess = () => {
          const store = opening.result.transaction("jobs", "readwrite").objectStore("jobs");
          const get = store.get("sample-heron-walk");
          get.onsuccess = () => {
            const record = get.result as { revision: number };
            store.put({ ...record, revision: record.revision + 5 }).onsuccess = () => {
              opening.result.close();
              resolve();
            };
          };
        };
      }),
  );
  await hip.fill("99");
  await hip.press("Enter");
  await expect(page.getByRole("dialog", { name: "Changed in another tab" })).toBeVisible();
  await page.getByRole("button", { name: "Keep mine as a copy" }).click();
  await expect(page.getByLabel("Name of the job")).toHaveValue("Heron walk, wide leg (my copy)");
});

test("a browser restart keeps the work", async ({ baseURL }) => {
  const profile = mkdtempSync(join(tmpdir(), "eland-profile-"));
  const options = {
    executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
    baseURL: baseURL ?? "",
  };
  try {
    const first = await chromium.launchPersistentContext(profile, options);
    const page = await first.newPage();
    await page.goto("/?workroom=sample");
    await expect(page.getByText("Heron walk, wide leg")).toBeVisible();
    await openStage(page, "restyle");
    await page.getByLabel("Opened, each panel").fill("18");
    await page.getByLabel("Opened, each panel").press("Enter");
    await expectSaved(page);
    await first.close();
    const second = await chromium.launchPersistentContext(profile, options);
    const again = await second.newPage();
    await openStage(again, "restyle");
    await expect(again.getByLabel("Opened, each panel")).toHaveValue("18.0 cm");
    await second.close();
  } finally {
    rmSync(profile, { recursive: true, force: true });
  }
});

test("a removed job can be put back; an unknown one says so", async ({ page }) => {
  await openSample(page);
  await page.getByRole("button", { name: "Remove Tide chorus" }).click();
  await expect(page.getByText("Tide chorus", { exact: true })).toHaveCount(0);
  await page.getByRole("button", { name: "Put it back" }).click();
  await expect(page.getByText("Tide chorus", { exact: true })).toBeVisible();
  await page.goto("/restyle?job=nothing");
  await expect(page.getByText("There is no such job here")).toBeVisible();
});
