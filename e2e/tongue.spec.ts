import { expect, test } from "@playwright/test";
import { expectSaved, openSample, ruleFaults } from "./support";

test("another tongue is chosen in the workroom, and every page comes in it from then on", async ({ page }) => {
  await openSample(page);
  await page.getByRole("group", { name: "Language" }).getByRole("button", { name: "Deutsch" }).click();
  await expect(page.getByRole("heading", { name: "Die Werkstatt" })).toBeVisible();
  await expect(page.locator("html")).toHaveAttribute("lang", "de");
  // The maker's own words stay.
  await expect(page.getByText("Heron walk, wide leg")).toBeVisible();

  await page.goto("/restyle?job=sample-heron-walk");
  await expect(
    page.getByRole("region", { name: "Messwerte" }).getByRole("row", { name: /^Saum, ein Bein 47,2/ }),
  ).toBeVisible();
  await expect(page.getByRole("group", { name: "Modell auf dem Tisch" })).toBeVisible();

  // A number is read as it is written here, and the sentence follows it.
  const hem = page.getByRole("textbox", { name: "Oder: Saum eines Beins" });
  await hem.fill("92,5");
  await hem.press("Enter");
  await expect(hem).toHaveValue("92,5 cm");
  await expect(page.getByText("Gesichert")).toBeVisible();
  await expect(
    page.getByRole("list", { name: "Prüfung" }).or(page.getByText("Seiten- und Teilungsnähte")),
  ).toBeVisible();

  // What workers say comes in the same tongue.
  await page.goto("/make?job=sample-heron-walk");
  await expect(page.getByText(/ein Blatt nehmen, mindestens \d+,\d cm breit/)).toBeVisible();
});

test("back to English, nothing of the job has changed its tongue", async ({ page }) => {
  await openSample(page);
  await page.getByRole("button", { name: "Deutsch" }).click();
  await expect(page.getByRole("heading", { name: "Die Werkstatt" })).toBeVisible();
  await page.goto("/restyle?job=sample-heron-walk");
  await page.getByRole("button", { name: "Rückgängig" }).waitFor();
  const name = page.getByRole("textbox", { name: "Name des Auftrags" });
  await name.fill("Front");
  await name.press("Enter");
  await expect(page.getByText("Gesichert")).toBeVisible();
  await page.goto("/");
  await page.getByRole("button", { name: "English" }).click();
  await expect(page.getByRole("heading", { name: "The workroom" })).toBeVisible();
  await page.goto("/restyle?job=sample-heron-walk");
  await expect(page.getByRole("textbox", { name: "Name of the job" })).toHaveValue("Front");
  await expect(page.getByRole("group", { name: "Style on the table" })).toBeVisible();
  await expectSaved(page);
});

test("in German the rules of access hold as in English, and nothing is wider than a phone", async ({ page }) => {
  await openSample(page);
  await page.getByRole("button", { name: "Deutsch" }).click();
  await expect(page.getByRole("heading", { name: "Die Werkstatt" })).toBeVisible();
  const wrong: string[] = [];
  for (const path of ["/", ...["restyle", "pieces", "make"].map((stage) => `/${stage}?job=sample-heron-walk`)]) {
    await page.goto(path);
    await expect(page.getByRole("main").or(page.getByRole("heading")).first()).toBeVisible();
    for (const size of [
      { width: 390, height: 844 },
      { width: 1280, height: 800 },
    ]) {
      await page.setViewportSize(size);
      wrong.push(...(await ruleFaults(page, `${path}, ${size.width} wide`)));
      const wide = await page.evaluate(() => document.documentElement.scrollWidth);
      if (wide > size.width) wrong.push(`${path}: ${wide} wide on ${size.width}`);
    }
  }
  expect(wrong).toEqual([]);
});
