import { rgb, type RGB } from "pdf-lib";
import type { Point } from "../../geometry";
import type { Mm } from "../../units";
import type { PrintOptions } from "./options";
import { GRID, type PagePlan } from "./pagePlan";
import type { Pen } from "./pen";
import { labelPlace } from "./sheet";

/** Lines are this wide on the cloth: they are cut along their middle. */
const HEAVY: Mm = 1.6;
const FINE: Mm = 0.8;
/** Every so many squares of the grid a line is heavier and says its length. */
const EVERY = 5;

/** Colours that are told apart in projected light, one piece after the other. */
const LIGHTS: readonly (readonly [number, number, number])[] = [
  [1, 0.75, 0.2],
  [0.35, 0.85, 1],
  [0.55, 1, 0.5],
  [1, 0.5, 0.75],
  [0.8, 0.7, 1],
  [1, 1, 1],
];

/** Light colours on black; on white the same, darkened so that they are seen. */
const coloured = ([r, g, b]: readonly [number, number, number], inverted: boolean): RGB =>
  inverted ? rgb(r, g, b) : rgb(r * 0.5, g * 0.42, b * 0.5);

/** One page without margins: the pieces by heavy lines, over a grid of five centimetres to set the projector by. */
export function drawProjected(pen: Pen, { sheet, page }: PagePlan, options: PrintOptions): void {
  const { inverted, outlines, inner } = options;
  const ground = inverted ? rgb(0, 0, 0) : rgb(1, 1, 1);
  const grid = inverted ? rgb(0.32, 0.32, 0.32) : rgb(0.8, 0.8, 0.8);
  pen.fill({ left: 0, top: 0, right: page.width, bottom: page.height }, ground);
  const lines = (along: Mm, draw: (at: Mm, n: number) => void): void => {
    for (let n = 0; n * GRID <= along + 1e-6; n++) draw(n * GRID, n);
  };
  const gridLine = (from: Point, to: Point, n: number): void =>
    pen.run([from, to], { color: grid, width: n % EVERY === 0 ? 0.8 : 0.3 });
  lines(page.width, (x, n) => gridLine([x, 0], [x, page.height], n));
  lines(page.height, (y, n) => gridLine([0, y], [page.width, y], n));
  pen.text(`One square is 5 cm; from heavy line to heavy line 25 cm.`, [4, 10], 7, { color: grid });
  sheet.placed.forEach(({ piece, place, turned }, i) => {
    const color = coloured(LIGHTS[i % LIGHTS.length] as (typeof LIGHTS)[number], inverted);
    if (outlines !== "seam") pen.run(piece.cutLine.map(place), { color, width: HEAVY, close: true });
    if (outlines !== "cut")
      pen.run(piece.seamLine.map(place), {
        color,
        width: outlines === "seam" ? HEAVY : FINE,
        close: true,
        dash: [8, 5],
      });
    for (const line of inner ? piece.panel.lines : [])
      if (line.kind !== "grain") pen.run(line.points.map(place), { color, width: FINE, dash: [4, 4] });
    pen.run(piece.grain.map(place), { color, width: FINE });
    for (const { at, outer } of piece.notches) pen.run([place(at), place(outer)], { color, width: HEAVY });
    const at = place(labelPlace(piece));
    piece.label.slice(0, 2).forEach((text, row) => {
      const down = 16 * (row + 1);
      pen.text(text, turned ? [at[0] - down, at[1]] : [at[0] + 8, at[1] + down], 11, { color, down: turned });
    });
  });
}
