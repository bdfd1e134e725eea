import { chromium, type Browser, type Page } from "@playwright/test";

/** Where a running `bin/demo` answers. */
export const base = `http://127.0.0.1:${process.env.PORT ?? "4310"}`;

/** A browser on the sample workroom, at the size every view is judged at. */
export async function openSample(): Promise<{ readonly browser: Browser; readonly page: Page }> {
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/?workroom=sample`);
  await page.getByText("Heron walk").first().waitFor();
  return { browser, page };
}
