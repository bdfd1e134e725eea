import { writeFileSync } from "node:fs";
import { chromium } from "@playwright/test";
import { deriveShape } from "../src/core/derive/shape";
import { jobInStyle } from "../src/core/derive/newJob";
import { panelPath, isOf, type Panel } from "../src/core/pattern";
import { STYLES } from "../src/core/styles";
import { FOUR_BODIES } from "../src/core/testing/jobs";
import { tell, NOTHING } from "../src/core/units";
import { arrange } from "../src/ui/table/arrange";
import { boundsOf, pathData } from "../src/ui/table/layout";

/** Prints one sheet of every style on four differing bodies, to be looked at as a cutter would: docs/screenshots/styles.png. */
const OUT = process.env.OUT ?? "docs/screenshots/styles.png";
const [WIDE, HIGH] = [300, 262];
/** Pattern millimetres to a pixel, the same for all. */
const SCALE = 0.165;

function drawn(panels: readonly Panel[]): string {
  const placed = arrange(panels);
  const b = boundsOf(placed);
  const k = Math.min(SCALE, (WIDE - 16) / (b.right - b.left), (HIGH - 20) / (b.bottom - b.top));
  const [x, y] = [(WIDE - k * (b.right - b.left)) / 2 - k * b.left, 6 - k * b.top];
  const paths = placed.map(({ item, at }) => {
    const dash = isOf(item, "back") ? ' stroke-dasharray="22 12"' : "";
    return `<path d="${pathData(panelPath(item), true)}" transform="translate(${at[0]} ${at[1]})" fill="#f3f6f4" stroke="#14302b" stroke-width="4.5"${dash}/>`;
  });
  return `<g transform="translate(${x} ${y}) scale(${k})">${paths.join("")}</g>`;
}

const bodies = Object.values(FOUR_BODIES);
const rows = Object.values(STYLES).map(({ id, label }, row) => {
  const cells = bodies.map((body, column) => {
    const shape = deriveShape(jobInStyle(id, body));
    const inside = shape.ok
      ? drawn(shape.panels)
      : `<text x="8" y="40" font-size="12">${tell(shape.errors[0]?.says ?? NOTHING, "cm")}</text>`;
    return `<g transform="translate(${110 + column * WIDE} ${34 + row * HIGH})">${inside}</g>`;
  });
  return `<text x="10" y="${34 + row * HIGH + 24}" font-size="15" font-weight="700">${label}</text>${cells.join("")}`;
});
const heads = bodies.map(
  (body, i) => `<text x="${110 + (i + 0.5) * WIDE}" y="22" font-size="15" text-anchor="middle">${body.name}</text>`,
);
const [w, h] = [120 + bodies.length * WIDE, 44 + rows.length * HIGH];
const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${w}" height="${h}" font-family="sans-serif"><rect width="100%" height="100%" fill="#fff"/>${heads.join("")}${rows.join("")}</svg>`;
writeFileSync("bench/results/styles.svg", svg);
const browser = await chromium.launch({
  executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
  args: ["--no-sandbox", "--disable-gpu"],
});
const page = await browser.newPage({ viewport: { width: w, height: h } });
await page.setContent(`<body style="margin:0">${svg}</body>`);
await page.screenshot({ path: OUT });
await browser.close();
