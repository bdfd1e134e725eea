import { expect, test, type Page } from "@playwright/test";
import { openStage } from "./support";

const choose = async (page: Page, label: string, option: string): Promise<void> => {
  await page.getByRole("combobox", { name: label, exact: true }).click();
  await page.getByRole("option", { name: option, exact: true }).click();
};
const cut = (page: Page) => page.getByRole("region", { name: "Cut" });

test.describe("pieces", () => {
  test("a contour band and a fly: chosen, drawn, cut, and nothing at fault", async ({ page }) => {
    await openStage(page, "pieces", "sample-lantern-bearer");
    await choose(page, "How it opens", "fly, centre front");
    await expect(cut(page)).toContainText("Fly facing");
    await choose(page, "Edge", "contour band");
    await expect(cut(page)).toContainText("Band, front");
    await expect(cut(page)).toContainText("2 to face it");
    await choose(page, "Its facing is", "cut with the fronts");
    await expect(cut(page)).not.toContainText("Fly facing");
    await expect(page.getByRole("button", { name: /: fault\./ })).toHaveCount(0);
  });

  test("no contour band can be cut from a pleated waist: it is said, and the fly stays", async ({ page }) => {
    await openStage(page, "pieces", "sample-mayor-pleats");
    await choose(page, "Edge", "contour band");
    await expect(page.getByText(/No contour band can be cut here.*is pleated/)).toBeVisible();
    await expect(cut(page)).toContainText("Fly facing");
  });

  test("pockets are added, made too small, caught, and opened again by one press", async ({ page }) => {
    await openStage(page, "pieces", "sample-rope-cigarette");
    await page.getByRole("button", { name: "Add: in-seam" }).click();
    await expect(cut(page)).toContainText("Pocket bag");
    const opening = page.getByRole("textbox", { name: "Opening", exact: true });
    await opening.fill("10");
    await opening.press("Enter");
    await expect(page.getByRole("button", { name: /Hand goes in: fault\./ })).toBeVisible();
    await page.getByRole("button", { name: /Open it 15(\.0)? cm/ }).click();
    await expect(page.getByRole("button", { name: /Hand goes in: fault\./ })).toHaveCount(0);
    await page.getByRole("button", { name: "Take out" }).click();
    await expect(cut(page)).not.toContainText("Pocket bag");
  });

  test("allowances: a set for the cloth, and a single edge that runs from one width to another", async ({ page }) => {
    await openStage(page, "pieces", "sample-heron-walk");
    await choose(page, "Set for", "stretch cloth");
    await expect(page.getByRole("textbox", { name: "Side seam", exact: true })).toHaveValue("0.7 cm");
    await page.getByRole("combobox", { name: "Another" }).click();
    await page.getByRole("option", { name: /^Back, inseam/ }).click();
    await page.getByRole("button", { name: "Set", exact: true }).click();
    const end = page.getByRole("textbox", { name: "at the centre" });
    await end.fill("2.5");
    await end.press("Enter");
    await expect(end).toHaveValue("2.5 cm");
    await expect(page.getByRole("button", { name: /Allowances: fault\./ })).toHaveCount(0);
    await page.getByRole("button", { name: "Put back" }).click();
    await expect(end).toHaveCount(0);
  });

  test("cloth that gives: said once, its set is advised, and taken by one press", async ({ page }) => {
    await openStage(page, "pieces", "sample-heron-walk");
    await choose(page, "It gives across", "a fifth");
    await page.getByRole("button", { name: "Take the set for stretch cloth" }).click();
    await expect(page.getByRole("textbox", { name: "Inseam", exact: true })).toHaveValue("0.7 cm");
    const width = page.getByRole("textbox", { name: "Usable width" });
    await width.fill("30");
    await width.press("Enter");
    await expect(page.getByRole("button", { name: /Fits on the cloth: fault\./ })).toBeVisible();
  });

  test("two edges roll along each other, by keys; the tape reads straight and along", async ({ page }) => {
    await openStage(page, "pieces", "sample-heron-walk");
    await page.keyboard.press("r");
    await expect(page.getByRole("group", { name: "Seams rolled on the table" })).toBeVisible();
    await choose(page, "Seam to roll", "Inseam");
    await expect(page.getByText(/At the end they are/)).toContainText("3.0 mm");
    const slider = page.getByRole("slider", { name: "How far it is rolled" });
    await slider.focus();
    await slider.press("End");
    await expect(slider).toHaveAttribute("aria-valuenow", "100");
    await page.getByRole("button", { name: "Lay the tape" }).click();
    const table = page.getByRole("group", { name: "Pieces on the table" });
    const box = await table.boundingBox();
    if (!box) throw new Error("no table");
    const back = await page.getByRole("img", { name: "Back", exact: true }).boundingBox();
    if (!back) throw new Error("no back");
    await page.mouse.click(back.x + back.width - 2, back.y + back.height - 4);
    await page.mouse.click(back.x + 2, back.y + back.height - 4);
    await expect(page.getByText(/along .* straight/)).toBeVisible();
  });

  test("what is pulled on and drawn up lists its elastic, its cord and their cautions", async ({ page }) => {
    await openStage(page, "pieces", "sample-climber-jogger");
    await expect(cut(page)).toContainText("Elastic, waist");
    await expect(cut(page)).toContainText("children");
    await choose(page, "How it ends", "rolled");
    await expect(cut(page)).not.toContainText("Cuff");
  });
});
