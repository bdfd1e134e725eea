import { panelOutline, type Panel } from "@/core/drafting";
import { boxOf, type Box, type Path, type Point } from "@/core/geometry";

/** SVG path data of a run of lines and curves, in its own millimetres. */
export function pathData(path: Path, close = false): string {
  const first = path[0];
  if (!first) return "";
  const start = first.points[0];
  const parts = path.map((s) =>
    s.kind === "line"
      ? `L${s.points[1][0]} ${s.points[1][1]}`
      : `C${s.points[1][0]} ${s.points[1][1]} ${s.points[2][0]} ${s.points[2][1]} ${s.points[3][0]} ${s.points[3][1]}`,
  );
  return `M${start[0]} ${start[1]}${parts.join("")}${close ? "Z" : ""}`;
}

/** SVG path data of points. */
export function pointsData(points: readonly Point[], close = false): string {
  return `M${points.map(([x, y]) => `${x} ${y}`).join("L")}${close ? "Z" : ""}`;
}

/** Something that lies on the table: where its own frame's origin is. */
export interface Placed<T> {
  readonly item: T;
  readonly id: string;
  readonly at: Point;
  readonly box: Box;
}

const GAP = 70;

/**
 * Lays things side by side in the order given, tops and levels aligned (their frames share y = 0 at the waist); wide
 * and low ones go in rows below, no wider than what lies above, `below` millimetres apart.
 */
export function layOut<T>(
  items: readonly { readonly id: string; readonly item: T; readonly box: Box }[],
  below: number = GAP,
): Placed<T>[] {
  const height = (b: Box): number => b.bottom - b.top;
  const width = (b: Box): number => b.right - b.left;
  const tallest = Math.max(0, ...items.map((i) => height(i.box)));
  const isLow = (b: Box): boolean => width(b) > 2.5 * height(b) || height(b) < 0.35 * tallest;
  let x = 0;
  let bottom = 0;
  const placed: Placed<T>[] = [];
  for (const { id, item, box } of items.filter((i) => !isLow(i.box))) {
    placed.push({ id, item, at: [x - box.left, 0], box });
    x += width(box) + GAP;
    bottom = Math.max(bottom, box.bottom);
  }
  const [left, most] = [0, Math.max(x - GAP, 1)];
  let [rowX, rowTop, rowHeight] = [left, bottom + below, 0];
  for (const { id, item, box } of items.filter((i) => isLow(i.box))) {
    if (rowX > left && rowX + width(box) > most) [rowX, rowTop, rowHeight] = [left, rowTop + rowHeight + below, 0];
    placed.push({ id, item, at: [rowX - box.left, rowTop - box.top], box });
    rowX += width(box) + Math.max(GAP, below);
    rowHeight = Math.max(rowHeight, height(box));
  }
  return placed;
}

/** The box around everything placed. */
export function boundsOf(placed: readonly Placed<unknown>[]): Box {
  return boxOf(
    placed.flatMap(({ at, box }): Point[] => [
      [box.left + at[0], box.top + at[1]],
      [box.right + at[0], box.bottom + at[1]],
    ]),
  );
}

/** The box of a panel's outline. */
export function panelBox(panel: Panel): Box {
  return boxOf(panelOutline(panel));
}
