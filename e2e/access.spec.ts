import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "@playwright/test";
import { openSample, openStage } from "./support";

for (const scheme of ["light", "dark"] as const) {
  test(`every view is reachable and readable, ${scheme}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: scheme });
    const errors: string[] = [];
    page.on("console", (message) => message.type() === "error" && errors.push(message.text()));
    page.on("pageerror", (error) => errors.push(error.message));
    await openSample(page);
    for (const stage of ["", "body", "block", "restyle", "pieces"]) {
      if (stage) await openStage(page, stage);
      const { violations } = await new AxeBuilder({ page }).withTags(["wcag2a", "wcag2aa"]).analyze();
      expect(
        violations.map(
          (v) =>
            `${stage || "workroom"}: ${v.id}: ${v.nodes
              .map((n) => n.target.join(" "))
              .slice(0, 3)
              .join("; ")}`,
        ),
      ).toEqual([]);
    }
    expect(errors).toEqual([]);
  });
}

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
  await openSample(page);
  await openStage(page, "restyle");
  await page.getByRole("button", { name: "Readings" }).click();
  await expect(page.getByRole("region", { name: "Proof" })).toBeVisible();
});
