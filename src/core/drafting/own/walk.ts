import {
  line,
  pathBetween,
  pathLength,
  pathReverse,
  pathStart,
  pointAdd,
  pointSubtract,
  type Path,
  type Point,
} from "../../geometry";
import { type Mm } from "../../units";
import type { OwnPanel } from "../plan";

/** Moves the start of a path and its handle to another place, so that it runs on without changing elsewhere. */
export function startMoved(path: Path, by: Point): Path {
  const [first, ...rest] = path as [Path[number], ...Path];
  const [a, b] = first.points;
  const moved =
    first.kind === "line"
      ? line(pointAdd(a, by), b)
      : { ...first, points: [pointAdd(a, by), pointAdd(b, by), first.points[2], first.points[3]] as const };
  return [moved, ...rest];
}

/** The inseam longer (or shorter) at the crotch point, which moves along it; the crotch curve goes with it. */
export function longerInseam(panel: OwnPanel, by: Mm): OwnPanel {
  const { inseamDown, crotch } = panel;
  const moved = by < 0 ? pathBetween(inseamDown, 0 - by, pathLength(inseamDown)) : startMoved(inseamDown, [0, 0 - by]);
  return {
    ...panel,
    inseamDown: moved,
    crotch: startMoved(crotch, pointSubtract(pathStart(moved), pathStart(inseamDown))),
  };
}

/** The side longer (or shorter) at the waist; the end of the waist goes with it. */
export function longerSide(panel: OwnPanel, by: Mm): OwnPanel {
  const side = by < 0 ? pathBetween(panel.side, 0 - by, pathLength(panel.side)) : startMoved(panel.side, [0, 0 - by]);
  const moved = pointSubtract(pathStart(side), pathStart(panel.side));
  const waist = panel.waist.map((edge, i) =>
    i === panel.waist.length - 1 ? { ...edge, path: pathReverse(startMoved(pathReverse(edge.path), moved)) } : edge,
  );
  return { ...panel, side, waist };
}

interface Halves {
  readonly front: OwnPanel;
  readonly back: OwnPanel;
}

const longer = ({ front, back }: Halves, seam: "side" | "inseamDown"): Mm =>
  pathLength(back[seam]) - pathLength(front[seam]);

/** A seam that is bent where it is lengthened comes out a little off: it is walked again until it agrees. */
const WALKS = 40;

/**
 * Front and back after an alteration, with what their seams differed by before: one of the two yields at the crotch point
 * and at the waist's end of the side.
 */
export function walked(was: Halves, is: Halves, yields: "front" | "back" = "back"): Halves {
  const way = yields === "back" ? 1 : -1;
  let now = is;
  for (let i = 0; i < WALKS; i++) {
    const owed = (seam: "side" | "inseamDown"): Mm => way * (longer(was, seam) - longer(now, seam));
    const [inseam, side] = [owed("inseamDown"), owed("side")];
    if (Math.abs(inseam) < EXACT && Math.abs(side) < EXACT) break;
    const withInseam = Math.abs(inseam) < EXACT ? now[yields] : longerInseam(now[yields], inseam);
    now = { ...now, [yields]: Math.abs(side) < EXACT ? withInseam : longerSide(withInseam, side) };
  }
  return now;
}
const EXACT: Mm = 1e-6;
