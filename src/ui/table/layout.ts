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

interface Laid<T> {
  readonly id: string;
  readonly item: T;
  readonly box: Box;
}

/** How low parts are laid out: room below each for its label, the least room across, and the shape of the view. */
export interface PartsLayout {
  readonly below: number;
  readonly least: number;
  /** Width of the view against its height. */
  readonly aspect: number;
}

const BESIDE: PartsLayout = { below: GAP, least: 0, aspect: 0 };

const height = (b: Box): number => b.bottom - b.top;
const width = (b: Box): number => b.right - b.left;

/** Rows of parts from a place on, no wider than `most`. */
function inRows<T>(items: readonly Laid<T>[], from: Point, most: number, { below, least }: PartsLayout): Placed<T>[] {
  let [x, top, rowHeight] = [from[0], from[1], 0];
  return items.map(({ id, item, box }) => {
    const cell = Math.max(width(box), least);
    if (x > from[0] && x + cell > from[0] + most) [x, top, rowHeight] = [from[0], top + rowHeight + below, 0];
    const placed = { id, item, at: [x - box.left, top - box.top] as const, box };
    x += cell + GAP;
    rowHeight = Math.max(rowHeight, height(box));
    return placed;
  });
}

/**
 * Lays things side by side in the order given, tops and levels aligned (their frames share y = 0 at the waist). Wide
 * and low ones go in rows: below, no wider than what lies above; or, where the view's shape is given, below or beside,
 * whichever shows everything largest.
 */
export function layOut<T>(items: readonly Laid<T>[], parts: PartsLayout = BESIDE): Placed<T>[] {
  const tallest = Math.max(0, ...items.map((i) => height(i.box)));
  const isLow = (b: Box): boolean => width(b) > 2.5 * height(b) || height(b) < 0.35 * tallest;
  let x = 0;
  let bottom = 0;
  const legs: Placed<T>[] = [];
  for (const { id, item, box } of items.filter((i) => !isLow(i.box))) {
    legs.push({ id, item, at: [x - box.left, 0], box });
    x += width(box) + GAP;
    bottom = Math.max(bottom, box.bottom);
  }
  const low = items.filter((i) => isLow(i.box));
  const [most, under] = [Math.max(x - GAP, 1), bottom + parts.below];
  const below = (wide: number): Placed<T>[] => [...legs, ...inRows(low, [0, under], wide, parts)];
  if (parts.aspect === 0 || legs.length === 0 || low.length === 0) return below(most);
  const top = Math.min(...legs.map((l) => l.box.top));
  const beside = (wide: number): Placed<T>[] => {
    const small = low.filter((i) => width(i.box) <= wide);
    const strips = low.filter((i) => width(i.box) > wide);
    const right = inRows(small, [x, top], wide, parts);
    const lowest = Math.max(bottom, ...right.map((r) => r.at[1] + r.box.bottom));
    return [...legs, ...right, ...inRows(strips, [0, lowest + parts.below], most + GAP + wide, parts)];
  };
  const room = (placed: readonly Placed<T>[]): number => {
    const box = boundsOf(placed);
    return Math.max(width(box) + parts.least / 2, (height(box) + parts.below) * parts.aspect);
  };
  const widths = [1, 1.2, 1.4, 1.7, 2].map((factor) => most * factor);
  const columns = [1, 2, 3, 4].map((n) => n * Math.max(parts.least, 250) + (n - 1) * GAP);
  const tries = [...widths.map(below), ...columns.map(beside)];
  return tries.reduce((best, next) => (room(next) < room(best) - 1e-6 ? next : best));
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
