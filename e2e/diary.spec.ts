import AxeBuilder from "@axe-core/playwright";
import { expect, test, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { EMPTY_BROWSER, expectSaved, openStage } from "./support";

const violations = async (page: Page): Promise<string[]> =>
  (await new AxeBuilder({ page }).withTags(["wcag2a", "wcag2aa"]).analyze()).violations.map((v) => v.id);

/** A picture that the browser itself drew, as a file to choose. */
async function picture(page: Page): Promise<Buffer> {
  const data = await page.evaluate(() => {
    const canvas = document.createElement("canvas");
    [canvas.width, canvas.height] = [2400, 1200];
    canvas.getContext("2d")?.fillRect(100, 100, 900, 900);
    return canvas.toDataURL("image/png");
  });
  return Buffer.from(data.split(",")[1] ?? "", "base64");
}

test("a fitting by keyboard: a symptom, its amounts, applied with its note, which stands at the rule and can be undone", async ({
  page,
}) => {
  await openStage(page, "diary");
  await page.getByRole("button", { name: "smiles at the front crotch", exact: true }).focus();
  await page.keyboard.press("Enter");
  const amount = page.getByLabel("Front extension out", { exact: true });
  await expect(amount).toHaveValue("0.6 cm");
  await amount.fill("0.9");
  await page.keyboard.press("Enter");
  await page.getByLabel("In your own words").fill("When she steps over the rope.");
  await expect(page.getByRole("table", { name: "What changes" })).toContainText("Crotch seam");
  expect(await violations(page)).toEqual([]);
  const apply = page.getByRole("button", { name: "Apply, with this note" });
  await apply.focus();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("region", { name: "Changed by fittings" })).toContainText("front extension out 0.9 cm");
  await expect(page.getByRole("region", { name: "Pages of the diary" })).toContainText("When she steps over the rope.");
  await expectSaved(page);
  await page.reload();
  await expect(page.getByRole("region", { name: "Changed by fittings" })).toContainText("smiles at the front crotch");
  await page.getByRole("link", { name: /2 Block/ }).click();
  await expect(page.getByText(/^\+ 0\.9 cm, fitting of .*: smiles at the front crotch$/)).toBeVisible();
  await page.getByRole("link", { name: /7 Diary/ }).click();
  await page.getByRole("button", { name: "Take it back" }).click();
  await expect(page.getByRole("region", { name: "Changed by fittings" })).toHaveCount(0);
  await page.keyboard.press("Control+z");
  await expect(page.getByRole("region", { name: "Changed by fittings" })).toBeVisible();
  // Undo of the job takes no page out of the diary.
  await expect(page.getByRole("region", { name: "Pages of the diary" })).toContainText("When she steps over the rope.");
});

test("a block brought in is corrected as a drafted one is, and says so beside its outline", async ({ page }) => {
  await page.goto("/");
  await page.getByLabel("Job or workroom file").setInputFiles(join(__dirname, "../samples/garments/loose-sweat.json"));
  await page.getByRole("link", { name: /7 Diary/ }).click();
  await page.getByRole("button", { name: "pulls across the seat", exact: true }).click();
  await expect(page.getByLabel("Back rise up", { exact: true })).toHaveValue("3/8 in");
  await page.getByRole("button", { name: "Apply, with this note" }).click();
  await expectSaved(page);
  await page.getByRole("link", { name: /2 Block/ }).click();
  const corrected = page.getByRole("region", { name: "Corrected by fittings" });
  await expect(corrected).toContainText(/\+ 3\/8 in, fitting of .*: pulls across the seat/);
  await page.getByRole("tab", { name: "Step by step" }).click();
  await expect(page.getByText(/raise the centre by 3\/8 in and run the waist to nothing at the side/)).toBeVisible();
});

test("what was pinned on one side may stay there: the legs are then cut apart, and the diary says so", async ({
  page,
}) => {
  await openStage(page, "diary");
  await page.getByRole("button", { name: "All that can be seen" }).click();
  await page.getByRole("button", { name: "hem too short", exact: true }).click();
  await page.getByRole("combobox", { name: "Pinned on" }).click();
  await page.getByRole("option", { name: "left alone" }).click();
  await page.getByRole("button", { name: "Apply, with this note" }).click();
  await expect(page.getByRole("region", { name: "Changed by fittings" })).toContainText("pinned left, there alone");
  await expectSaved(page);
  await openStage(page, "pieces");
  for (const piece of ["Front right", "Front left", "Back right", "Back left"])
    await expect(page.getByRole("complementary", { name: "Readings" }).getByText(piece, { exact: true })).toBeVisible();
});

test("photos are scaled and kept over a reload; what is no picture, or too large, is said", async ({ page }) => {
  await openStage(page, "diary");
  await page.getByRole("button", { name: /7 Nov 2026, toile/ }).click();
  const input = page.getByLabel("Photos for this page");
  const png = await picture(page);
  await input.setInputFiles({ name: "seat.png", mimeType: "image/png", buffer: png });
  await expect(page.getByRole("button", { name: "Photo 1, large" })).toBeVisible();
  await input.setInputFiles({ name: "notes.txt", mimeType: "text/plain", buffer: Buffer.from("no picture") });
  await expect(page.getByText("notes.txt is no picture.")).toBeVisible();
  await input.setInputFiles({ name: "odd.png", mimeType: "image/png", buffer: Buffer.from("no picture either") });
  await expect(page.getByText("odd.png cannot be read as a picture.")).toBeVisible();
  const bomb = Buffer.from(png.subarray(0, 64));
  bomb.writeUInt32BE(60_000, 16);
  bomb.writeUInt32BE(60_000, 20);
  await input.setInputFiles({ name: "huge.png", mimeType: "image/png", buffer: bomb });
  await expect(page.getByText(/huge\.png is 60000 by 60000 points large/)).toBeVisible();
  await page.reload();
  await page.getByRole("button", { name: /7 Nov 2026, toile/ }).click();
  await page.getByRole("button", { name: "Photo 1, large" }).click();
  const large = page.getByAltText("Photo of the fitting");
  await expect.poll(() => large.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(1600);
});

test("good cloth waits for the toile: passed in the diary, it may be cut, and that is written down", async ({
  page,
}) => {
  await openStage(page, "make");
  await page.getByRole("tab", { name: "Order" }).click();
  await expect(page.getByLabel("Good cloth is cut")).toBeDisabled();
  await page.getByRole("link", { name: /7 Diary/ }).click();
  await page.getByRole("button", { name: /7 Nov 2026, toile, not passed/ }).click();
  await page.getByRole("button", { name: "Pass it" }).click();
  await expect(page.getByText("The toile is passed: good cloth may be cut.")).toBeVisible();
  await page.getByRole("tab", { name: "Versions" }).click();
  await expect(page.getByRole("region", { name: "Versions" })).toContainText("Toile passed");
  await page.getByRole("link", { name: /6 Make/ }).click();
  await page.getByRole("tab", { name: "Order" }).click();
  await page.getByLabel("Good cloth is cut").check();
  await page.getByRole("link", { name: /7 Diary/ }).click();
  await expect(page.getByRole("region", { name: "Pages of the diary" })).toContainText("cloth cut");
});

test("what was learned with a wearer is offered, taken, and then said to be taken", async ({ page }) => {
  await openStage(page, "diary");
  const learned = page.getByRole("region", { name: "Learned" });
  await expect(learned).toContainText("Back rise up, twice");
  await learned.getByRole("button", { name: "Take it" }).click();
  await expect(learned).toContainText("taken");
  await expect(page.getByRole("region", { name: "Changed by fittings" })).toContainText("back rise up 0.7 cm");
});

test("practice: a mistake is looked for, answered, explained, and the next one comes", async ({ page }) => {
  await page.goto("/practice");
  await expect(page.getByRole("group", { name: "Pieces on the table" })).toBeVisible();
  expect(await violations(page)).toEqual([]);
  await page.getByRole("region", { name: "What is wrong" }).getByRole("radio").first().check();
  await page.getByRole("button", { name: "That is it" }).click();
  await expect(page.getByRole("status")).toContainText("is right.");
  await expect(page.getByText(/How it goes, level/)).toBeVisible();
  await page.getByRole("button", { name: "The next one" }).click();
  await expect(page.getByRole("button", { name: "That is it" })).toBeVisible();
  await page.getByRole("button", { name: "Lay the tape" }).click();
  await expect(page.getByText(/press two places/)).toBeVisible();
});

test("a week of work goes out as one file, and comes in on an empty browser exactly the same", async ({
  page,
  browser,
}) => {
  await openStage(page, "diary");
  await page.getByRole("button", { name: /7 Nov 2026, toile/ }).click();
  const input = page.getByLabel("Photos for this page");
  await input.setInputFiles({ name: "seat.png", mimeType: "image/png", buffer: await picture(page) });
  await expect(page.getByRole("button", { name: "Photo 1, large" })).toBeVisible();
  await openStage(page, "make");
  await page.getByRole("tab", { name: "Order" }).click();
  await page.getByLabel("Step 1 done").check();
  await page.getByLabel("Minutes for step 1").fill("7");
  await page.goto("/");
  const coming = page.waitForEvent("download");
  await page.getByRole("button", { name: "Hand over the workroom" }).click();
  const content = readFileSync(await (await coming).path());
  const elsewhere = await browser.newContext({ storageState: EMPTY_BROWSER });
  const other = await elsewhere.newPage();
  await other.goto(page.url());
  const file = { name: "all.eland.zip", mimeType: "application/zip", buffer: content };
  await other.getByLabel("Job or workroom file").setInputFiles(file);
  await expect(other.getByText(/records came in; 0 were here already/)).toBeVisible();
  await expect(other.getByText("Heron walk, wide leg")).toBeVisible();
  const kept = (p: Page): Promise<string> =>
    p.evaluate(
      () =>
        new Promise<string>((resolve, reject) => {
          const opening = indexedDB.open("eland");
          opening.onerror = () => reject(new Error("not opened"));
          opening.onsuccess = () => {
            const db = opening.result;
            const names = [...db.objectStoreNames].sort();
            const tx = db.transaction(names);
            const all: Record<string, unknown[]> = {};
            for (const name of names) {
              const reading = tx.objectStore(name).getAll();
              reading.onsuccess = () => (all[name] = reading.result as unknown[]);
            }
            tx.oncomplete = () =>
              resolve(JSON.stringify(all, (_, value: unknown) => (value instanceof Uint8Array ? [...value] : value)));
          };
        }),
    );
  const sorted = (text: string): unknown => JSON.parse(text) as unknown;
  expect(sorted(await kept(other))).toEqual(sorted(await kept(page)));
  // The same file again brings nothing new; a changed job is asked about.
  await other.getByLabel("Job or workroom file").setInputFiles(file);
  await expect(other.getByText(/^0 records came in/)).toBeVisible();
  await other.goto(`${new URL(page.url()).origin}/body?job=sample-heron-walk`);
  await other.getByLabel("Name of the job").fill("Heron walk, changed");
  await other.getByLabel("Name of the job").press("Enter");
  await expectSaved(other);
  await other.goto("/");
  await other.getByLabel("Job or workroom file").setInputFiles(file);
  const dialog = other.getByRole("dialog", { name: "all.eland.zip" });
  await expect(dialog).toContainText("1 differs");
  await dialog.getByLabel(/Keep both/).check();
  await dialog.getByRole("button", { name: "Take it in" }).click();
  await expect(other.getByText("Heron walk, changed")).toBeVisible();
  await expect(other.getByText("Heron walk, wide leg")).toBeVisible();
  await elsewhere.close();
});
