import { expect, test, type Download, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import { openSample, openStage, ruleFaults } from "./support";

const bench = (page: Page) => page.getByRole("dialog", { name: "Hand over" });

async function openBench(page: Page, job?: string): Promise<void> {
  await openStage(page, "pieces", job);
  await page.getByRole("button", { name: "Hand over" }).click();
  await expect(bench(page)).toBeVisible();
}

async function made(page: Page, button: string | RegExp): Promise<Download> {
  const coming = page.waitForEvent("download");
  await bench(page).getByRole("button", { name: button }).click();
  return coming;
}

const pageCount = async (page: Page): Promise<number> =>
  Number(
    /^(\d+)/.exec(
      (await bench(page)
        .getByText(/pages?, and one before/)
        .textContent()) ?? "",
    )?.[1],
  );

test("the pages are shown before they are made: fewer when nested, each piece by itself, on a roll", async ({
  page,
}) => {
  await openBench(page);
  await expect(bench(page).getByRole("img", { name: /pages: Front/ })).toBeVisible();
  const beside = await pageCount(page);
  await bench(page).getByRole("combobox", { name: "Arranged" }).click();
  await page.getByRole("option", { name: /nested/ }).click();
  await expect.poll(() => pageCount(page)).toBeLessThan(beside);
  await bench(page).getByRole("checkbox", { name: "Back" }).uncheck();
  await expect(bench(page).getByRole("img", { name: /Back/ })).toHaveCount(0);
  await bench(page).getByRole("combobox", { name: "Paper" }).click();
  await page.getByRole("option", { name: "Roll" }).click();
  const file = await made(page, /^PDF on a roll/);
  expect(file.suggestedFilename()).toBe("heron-walk-wide-leg-roll-900.pdf");
  await bench(page).getByLabel("Width of the roll").fill("30 cm");
  await bench(page).getByLabel("Width of the roll").press("Enter");
  await expect(bench(page).getByRole("alert")).toContainText("the roll has");
  await expect(bench(page).getByRole("button", { name: /^PDF on a roll/ })).toBeDisabled();
});

test("every kind of file leaves: drawing, exchange drawing, table, work sheet, projector", async ({ page }) => {
  await openBench(page);
  const kinds: readonly (readonly [RegExp, string | RegExp, RegExp])[] = [
    [/^Projector/, "PDF for a projector", /-projector\.pdf$/],
    [/^Drawing/, "SVG", /\.svg$/],
    [/^Table/, "CSV", /\.csv$/],
    [/^Work sheet/, "Work sheet as PDF", /-work-sheet\.pdf$/],
  ];
  for (const [kind, button, name] of kinds) {
    await bench(page).getByRole("radio", { name: kind }).check();
    expect((await made(page, button)).suggestedFilename()).toMatch(name);
  }
  await bench(page)
    .getByRole("radio", { name: /^Drawing/ })
    .check();
  await bench(page).getByRole("combobox", { name: "Written as" }).click();
  await page.getByRole("option", { name: "DXF R12" }).click();
  const file = await made(page, "DXF");
  expect(readFileSync(await file.path(), "utf8")).toContain("AC1009");
});

test("one style for two wearers: what differs is told, nested outlines leave as one file", async ({ page }) => {
  await openBench(page);
  await bench(page)
    .getByRole("radio", { name: /^Size set/ })
    .check();
  await bench(page).getByRole("checkbox", { name: "Ilka Brandreth" }).check();
  const row = bench(page).getByRole("row", { name: /^Hip/ });
  await expect(row).toContainText(/−\d/);
  await bench(page).getByRole("combobox", { name: "As" }).click();
  await page.getByRole("option", { name: "SVG, sizes nested" }).click();
  const file = await made(page, "Size set");
  expect(file.suggestedFilename()).toBe("heron-walk-wide-leg-sizes.svg");
  expect(readFileSync(await file.path(), "utf8")).toContain('data-size="Ilka Brandreth"');
});

test("bench, wearer and figure can be read by everyone, in both themes", async ({ page }) => {
  const wrong: string[] = [];
  const read = async (where: string): Promise<void> => {
    await page.emulateMedia({ colorScheme: "light" });
    wrong.push(...(await ruleFaults(page, where)));
    await page.emulateMedia({ colorScheme: "dark" });
    wrong.push(...(await ruleFaults(page, `${where}, dark`, true)));
  };
  await openBench(page);
  await expect(bench(page).getByRole("img", { name: /pages: Front/ })).toBeVisible();
  await read("bench");
  await bench(page)
    .getByRole("radio", { name: /^Size set/ })
    .check();
  await expect(bench(page).getByRole("row", { name: /^Hip/ })).toBeVisible();
  await read("size set");
  await page.goto("/wearer?name=Marit%20Oswin");
  await expect(page.getByRole("img", { name: /Heron walk, wide leg, worn/ })).toBeVisible();
  await read("wearer");
  await page.goto("/diary?job=sample-heron-walk");
  await page.getByRole("tab", { name: "On the wearer" }).click();
  await expect(page.getByRole("img", { name: /On the wearer, front/ })).toBeVisible();
  await read("figure");
  expect(wrong).toEqual([]);
});

test("a wearer is opened from the list: cards, what was learned, garments on the body", async ({ page }) => {
  await openSample(page);
  await page.getByRole("tab", { name: /Wearers/ }).click();
  await page.getByRole("link", { name: "Marit Oswin" }).click();
  await expect(page.getByRole("heading", { name: "Marit Oswin" })).toBeVisible();
  await expect(page.getByText(/Measured on 8 Sept 2025/)).toBeVisible();
  await expect(page.getByText(/Back rise up: /)).toBeVisible();
  await expect(page.getByRole("img", { name: /worn$/ })).toHaveCount(3);
  await page.goto("/wearer?name=Nobody");
  await expect(page.getByText("Nobody of this name is kept here.")).toBeVisible();
});

test("pressed on the wearer, the seat's trouble is offered first, and a cure is shown on the pattern", async ({
  page,
}) => {
  await openStage(page, "diary").catch(() => undefined);
  await page.getByRole("tab", { name: "On the wearer" }).click();
  const back = page.getByRole("img", { name: /On the wearer, back/ });
  const box = await back.boundingBox();
  if (!box) throw new Error("not shown");
  await page.mouse.click(box.x + box.width / 2, box.y + box.height * 0.36);
  await expect(page.getByText(/near where you pressed on the back/)).toBeVisible();
  await expect(page.getByRole("group", { name: "What you see" }).getByRole("button").first()).toContainText(/seat|sit/);
});

test("two garments on one cloth: both are laid, it is kept over a reload, and taken off again", async ({ page }) => {
  await openStage(page, "cloth", "sample-climber-jogger");
  await expect(page.getByRole("button", { name: "Look on" })).toBeVisible();
  const alone = await page.locator("[data-piece]").count();
  await page.getByRole("button", { name: "Lay another garment on it too" }).click();
  const shared = page.getByRole("region", { name: "Also on this cloth" });
  await shared.getByRole("checkbox", { name: /Tide chorus/ }).check();
  await expect(page.locator('[data-piece="1:front"]').first()).toBeVisible();
  expect(await page.locator("[data-piece]").count()).toBeGreaterThan(alone);
  await page.reload();
  await expect(page.locator('[data-piece="1:front"]').first()).toBeVisible();
  await shared.getByRole("checkbox", { name: /Tide chorus/ }).click();
  await expect(page.locator('[data-piece="1:front"]')).toHaveCount(0);
});
