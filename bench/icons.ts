import { mkdirSync, readFileSync } from "node:fs";
import { chromium } from "@playwright/test";

/** The program's sign in the sizes an installed program is shown in, from `src/app/icon.svg`. */
const SIZES = [
  { name: "icon-192", size: 192, bleed: false },
  { name: "icon-512", size: 512, bleed: false },
  // Cut to any shape by the device: the ground runs to the edge, the mark keeps clear of it.
  { name: "icon-maskable-512", size: 512, bleed: true },
  { name: "icon-apple-180", size: 180, bleed: true },
] as const;
const MARK_SHARE = 0.8;

async function main(): Promise<void> {
  const svg = readFileSync("src/app/icon.svg", "utf8");
  const ground = /fill="(#\w+)"/.exec(svg)?.[1] ?? "#000000";
  mkdirSync("public/icons", { recursive: true });
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
  });
  const page = await browser.newPage();
  for (const { name, size, bleed } of SIZES) {
    await page.setViewportSize({ width: size, height: size });
    const inside = bleed ? size * MARK_SHARE : size;
    await page.setContent(
      `<style>html,body{margin:0;height:100%;background:${bleed ? ground : "transparent"}}body{display:grid;place-items:center}svg{width:${inside}px;height:${inside}px}</style>${svg}`,
    );
    await page.screenshot({ path: `public/icons/${name}.png`, omitBackground: true });
  }
  await browser.close();
}

void main();
