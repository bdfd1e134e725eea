import { panelOutline, type Panel } from "@/core/pattern";
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
  /** Laid in the rows of parts, not beside the legs; left out, wide and low things are. */
  readonly part?: boolean;
  /** Width of its label in pixels; two lines stand below it. */
  readonly label?: number;
}

/** The view everything has to be shown in, in pixels. */
export interface ViewSize {
  readonly width: number;
  readonly height: number;
}

/** Height of a label of two lines below its piece, in pixels. */
const LABEL_HEIGHT = 44;

const height = (b: Box): number => b.bottom - b.top;
const width = (b: Box): number => b.right - b.left;

/** Rows from a place on, no wider than `most`; every cell is as wide as its label at `k` pixels a millimetre. */
function inRows<T>(items: readonly Laid<T>[], from: Point, most: number, k: number): Placed<T>[] {
  const below = Math.max(GAP, LABEL_HEIGHT / k);
  let [x, top, rowHeight] = [from[0], from[1], 0];
  return items.map(({ id, item, box, label }) => {
    const cell = Math.max(width(box), (label ?? 0) / k);
    if (x > from[0] && x + cell > from[0] + most) [x, top, rowHeight] = [from[0], top + rowHeight + below, 0];
    const placed = { id, item, at: [x - box.left, top - box.top] as const, box };
    x += cell + GAP / 2;
    rowHeight = Math.max(rowHeight, height(box));
    return placed;
  });
}

/** Things side by side, their own frames' levels aligned. */
function sideBySide<T>(items: readonly Laid<T>[], k: number): { readonly placed: Placed<T>[]; readonly right: number } {
  let x = 0;
  const placed = items.map(({ id, item, box, label }) => {
    const at = { id, item, at: [x - box.left, 0] as const, box };
    x += Math.max(width(box), (label ?? 0) / k) + GAP;
    return at;
  });
  return { placed, right: Math.max(x - GAP, 1) };
}

/** What everything takes of a view, labels included, in millimetres: its right and lower ends. */
function reach<T>(items: readonly Laid<T>[], placed: readonly Placed<T>[], k: number): Box {
  const box = boundsOf(placed);
  const labels = placed.map((p) => p.at[0] + p.box.left + (items.find((i) => i.id === p.id)?.label ?? 0) / k);
  return { ...box, right: Math.max(box.right, ...labels), bottom: box.bottom + LABEL_HEIGHT / k };
}

/**
 * Lays things side by side in the order given, tops and levels aligned (their frames share y = 0 at the waist); wide
 * and low ones go in rows below, no wider than what lies above.
 */
export function layOut<T>(items: readonly Laid<T>[]): Placed<T>[] {
  const tallest = Math.max(0, ...items.map((i) => height(i.box)));
  const isPart = ({ box }: Laid<T>): boolean => width(box) > 2.5 * height(box) || height(box) < 0.35 * tallest;
  const legs = sideBySide(
    items.filter((i) => !isPart(i)),
    Infinity,
  );
  const bottom = Math.max(0, ...legs.placed.map((p) => p.box.bottom));
  return [...legs.placed, ...inRows(items.filter(isPart), [0, bottom + GAP], legs.right, Infinity)];
}

/**
 * Lays legs side by side and their parts in rows, below or beside them, whichever shows everything largest in the
 * view, with room for every label. Returns the places and the box they take, labels included.
 */
export function layOutParts<T>(
  items: readonly Laid<T>[],
  view: ViewSize,
): { readonly placed: Placed<T>[]; readonly bounds: Box } {
  const legs = items.filter((i) => !i.part);
  const parts = items.filter((i) => i.part);
  let k = 0.4;
  let best = { placed: [] as Placed<T>[], bounds: { left: 0, right: 1, top: 0, bottom: 1 } };
  // The room for labels depends on the scale, and the scale on the room: a few rounds settle it.
  for (let round = 0; round < 6; round++) {
    const row = sideBySide(legs, k);
    const top = Math.min(0, ...row.placed.map((p) => p.box.top));
    const bottom = Math.max(0, ...row.placed.map((p) => p.box.bottom));
    const under = bottom + LABEL_HEIGHT / k;
    const below = (wide: number): Placed<T>[] => [...row.placed, ...inRows(parts, [0, under], wide, k)];
    const beside = (wide: number): Placed<T>[] => {
      const small = parts.filter((i) => Math.max(width(i.box), (i.label ?? 0) / k) <= wide);
      const large = parts.filter((i) => !small.includes(i));
      const right = inRows(small, [row.right + GAP, top], wide, k);
      const lowest = Math.max(bottom, ...right.map((r) => r.at[1] + r.box.bottom));
      return [...row.placed, ...right, ...inRows(large, [0, lowest + LABEL_HEIGHT / k], row.right + GAP + wide, k)];
    };
    const widest = Math.max(1, ...parts.map((i) => width(i.box)), ...parts.map((i) => (i.label ?? 0) / k));
    const tries = [
      ...[1, 1.2, 1.5, 1.9, 2.4].map((factor) => below(Math.max(row.right * factor, widest))),
      ...(legs.length > 0 ? [1, 1.6, 2.2, 3.3].map((n) => beside((n * 150) / k)) : []),
    ].map((placed) => {
      const bounds = reach(items, placed, k);
      return { placed, bounds, scale: Math.min(view.width / width(bounds), view.height / height(bounds)) };
    });
    const largest = tries.reduce((a, b) => (b.scale > a.scale * 1.001 ? b : a));
    best = largest;
    if (Math.abs(largest.scale - k) < 0.01 * k) break;
    k = largest.scale;
  }
  return best;
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
