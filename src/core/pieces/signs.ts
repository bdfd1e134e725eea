import { panelOutline, type Edge, type Panel, type PanelWord } from "../pattern";
import { pathAt, pathLength, pointAdd, pointBetween, pointScale, polygonArea, type Point } from "../geometry";
import { type Mm, say } from "../units";
import type { EdgeAllowance } from "./cutLine";
import type { PieceSigns } from "./piece";

/** Signs stand this far inside the seam line. */
const INSIDE: Mm = 9;
const HEAD: Mm = 6;
/** Parts lower than this have no room for the arrow that shows the way up. */
const LEAST_UP: Mm = 40;

const WORDS: Readonly<Record<Edge["role"], string>> = {
  waist: "at the waist",
  side: "at the side",
  hem: "at the hem",
  inseam: "at the inseam",
  crotch: "at the centre",
  centre: "at the centre",
  neck: "at the neck",
  shoulder: "at the shoulder",
  armhole: "at the armhole",
  fold: "at the fold",
  dart: "at the dart",
  style: "at the seam",
  casing: "at the casing",
};

/** What lies at the start and at the end of an edge: a centre seam runs from the crotch point up to the waist. */
export function endWords(panel: Panel, edge: Edge): readonly [string, string] {
  const n = panel.edges.length;
  const at = panel.edges.indexOf(edge);
  const [before, after] = [panel.edges[(at + n - 1) % n] as Edge, panel.edges[(at + 1) % n] as Edge];
  const word = (beside: Edge): string =>
    edge.role === "crotch" && beside.role === "inseam" ? "at the crotch" : WORDS[beside.role];
  return [word(before), word(after)];
}

/** A place beside the middle of an edge, inside the panel, and the directions along the edge and inward there. */
function beside(
  edge: Edge,
  inward: number,
  by: Mm,
): { readonly at: Point; readonly along: Point; readonly into: Point } {
  const { point, tangent } = pathAt(edge.path, pathLength(edge.path) / 2);
  const into: Point = [-tangent[1] * inward, tangent[0] * inward];
  return { at: pointAdd(point, pointScale(into, by)), along: tangent, into };
}

/** The sign of a fold: a bracket along the edge whose arrows point at it, and the word. */
function foldSign(edge: Edge, inward: number, centre: string | null): PieceSigns {
  const half = Math.min(60, 0.3 * pathLength(edge.path));
  const { at, along, into } = beside(edge, inward, INSIDE);
  const [from, to] = [pointAdd(at, pointScale(along, -half)), pointAdd(at, pointScale(along, half))];
  const arrow = (foot: Point): readonly (readonly Point[])[] => {
    const tip = pointAdd(foot, pointScale(into, 1 - INSIDE));
    const back = pointAdd(tip, pointScale(into, 0.6 * HEAD));
    const wing = (way: 1 | -1): Point => pointAdd(back, pointScale(along, way * 0.4 * HEAD));
    return [
      [foot, tip],
      [wing(1), tip, wing(-1)],
    ];
  };
  return {
    lines: [[from, to], ...arrow(from), ...arrow(to)],
    words: [{ text: centre ? say`centre ${centre}, on the fold` : "fold", at: pointAdd(at, pointScale(into, 5)) }],
  };
}

/** The way up, beside the grain line of a part. */
function upSign(panel: Panel): PieceSigns {
  const grain = panel.lines.find((l) => l.kind === "grain");
  const [a, b] = [grain?.points[0], grain?.points.at(-1)];
  if (!a || !b || Math.abs(b[1] - a[1]) < LEAST_UP * 0.5) return { lines: [], words: [] };
  const middle = pointBetween(a, b, 0.5);
  const [foot, tip]: readonly [Point, Point] = [
    [middle[0] + 8, middle[1] + 12],
    [middle[0] + 8, middle[1] - 12],
  ];
  return {
    lines: [
      [foot, tip],
      [[tip[0] - 3, tip[1] + HEAD], tip, [tip[0] + 3, tip[1] + HEAD]],
    ],
    words: [{ text: "up", at: [tip[0] + 5, tip[1] + 4] }],
  };
}

/** Whether an edge on the centre of a panel lies in front or behind; null where its panel lies at neither. */
function centreAt(panel: Panel, edge: Edge): "front" | "back" | null {
  const root = edge.root ?? panel.is.root;
  return root === "side" ? null : root;
}

/** Which edge of a part lies where on the body: its side, its centre in front or behind. */
function placeWords(panel: Panel, inward: number): readonly PanelWord[] {
  return panel.edges.flatMap((edge): PanelWord[] => {
    if (pathLength(edge.path) < 20) return [];
    const { at } = beside(edge, inward, 4);
    if (edge.role === "side") return [{ text: "side", at }];
    const centre = edge.role === "crotch" ? centreAt(panel, edge) : null;
    if (centre) return [{ text: say`centre ${centre}`, at }];
    return [];
  });
}

/** What is drawn and written on a piece besides its lines. */
export function signsOf(panel: Panel, applied: readonly EdgeAllowance[]): PieceSigns {
  const inward = polygonArea(panelOutline(panel)) > 0 ? 1 : -1;
  // What is cut as a part, or from the top of a leg, no longer shows by its shape how it lies on the body.
  const isSmall = panel.is.component === "part" || panel.is.cuts.some((cut) => cut.part === "above");
  const folds = panel.edges
    .filter((e) => e.role === "fold")
    .map((e) => foldSign(e, inward, isSmall ? centreAt(panel, e) : null));
  const trims = applied
    .filter(({ surplus }) => surplus > 0)
    .map(({ edge }) => ({ text: edge.surplus?.says ?? "trim", at: beside(edge, inward, -3).at }));
  const up = isSmall ? upSign(panel) : { lines: [], words: [] };
  return {
    lines: [...folds.flatMap((f) => f.lines), ...up.lines],
    words: [
      ...(panel.words ?? []),
      ...(isSmall ? placeWords(panel, inward) : []),
      ...folds.flatMap((f) => f.words),
      ...up.words,
      ...trims,
    ],
  };
}
