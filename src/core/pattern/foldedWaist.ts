import { type Edge } from "./panel";
import {
  crossingParameter,
  curveByDirections,
  line,
  linesMeet,
  pathEnd,
  pathEndTangent,
  pathLength,
  pathMap,
  pathReverse,
  pathStart,
  pathStartTangent,
  pointDistance,
  pointRotate,
  pointSubtract,
  segmentAt,
  segmentReverse,
  segmentSplit,
  type Path,
  type Point,
  type Segment,
} from "../geometry";
import { type Mm, type Radians, say, count } from "../units";

/** A pleat to be folded: where it stands on the crease frame, the level it turns about, and the cloth it takes. */
export interface FoldTask {
  readonly x: Mm;
  readonly level: Mm;
  readonly intake: Mm;
}

export interface FoldedWaistTask {
  readonly centre: Point;
  /** Unit direction in which the waist leaves the centre. */
  readonly leave: Point;
  /** The side seam with the pleats open, from the waist down. */
  readonly side: Path;
  /** Signed turn from the waist's end to the side's start. */
  readonly corner: Radians;
  readonly folds: readonly FoldTask[];
  readonly kind: "knife" | "box" | "inverted";
  readonly toward: "side" | "centre";
}

/** A pleat on the open panel: both ends of its mouth on the waist, and the place it runs out at. */
export interface Fold {
  readonly from: Point;
  readonly to: Point;
  readonly tip: Point;
}

export interface FoldedWaist {
  /** Waist edges and pleat mouths (role `dart`, not sewn length) from the centre to the side. */
  readonly edges: readonly Edge[];
  /** Placement and fold lines, from the waist to where the pleat runs out. */
  readonly lines: readonly (readonly Point[])[];
  readonly folds: readonly Fold[];
  /** Length of the waist with the pleats folded. */
  readonly net: Mm;
}

/** `p` mirrored in the line through two places. */
export function mirroredIn(p: Point, a: Point, b: Point): Point {
  const along = pointSubtract(b, a);
  const size = along[0] * along[0] + along[1] * along[1];
  const t = ((p[0] - a[0]) * along[0] + (p[1] - a[1]) * along[1]) / size;
  const foot: Point = [a[0] + along[0] * t, a[1] + along[1] * t];
  return [2 * foot[0] - p[0], 2 * foot[1] - p[1]];
}

const ROUNDS = 4;

/**
 * The waist drawn with its pleats folded, like a dart's: one fair curve from the centre to the folded side, cut at the
 * pleats and turned open about the places they run out at. The cap of each mouth is the waist itself, mirrored in the
 * folds, so that folded it lies on the waist. Null where the pleats leave no room on the waist.
 */
export function foldedWaist(task: FoldedWaistTask): FoldedWaist | null {
  const { centre, side } = task;
  const tips = task.folds.map((fold): Point => [fold.x, fold.level]);
  const start = pathStart(side);
  const outward = Math.sign(start[0] - centre[0]) || 1;
  // A mouth of `intake` at the waist, seen from the place the pleat runs out at.
  const angles = task.folds.map(
    (fold): Radians =>
      outward * 2 * Math.asin(Math.min(0.5, fold.intake / 2 / (fold.level - (centre[1] + start[1]) / 2))),
  );
  let turns = angles;
  let curve: Segment = line(centre, start);
  let ts: number[] = [];
  // Shut nearest the centre first: each tip is stated with the pleats before it folded.
  const shut = (p: Point): Point => tips.reduce((q, tip, i) => pointRotate(q, tip, -(turns[i] as Radians)), p);
  // The turn that makes a mouth of the asked width depends on where the curve lies: a few rounds settle it.
  for (let round = 0; ; round++) {
    const end = shut(start);
    const direction = pathStartTangent(side);
    const ahead = shut([start[0] + direction[0], start[1] + direction[1]]);
    const sideDown = pointSubtract(ahead, end);
    const arrive = pointRotate(sideDown, [0, 0], outward * -Math.abs(task.corner));
    curve = curveByDirections(centre, task.leave, end, arrive);
    const found = tips.map((tip, i) => crossingParameter(curve, tip, [task.folds[i]?.x ?? 0, centre[1] - 50]));
    if (found.some((t, i) => t === null || t < 0.04 || t > 0.97 || (i > 0 && t - (found[i - 1] ?? 0) < 0.02)))
      return null;
    ts = found as number[];
    // Opened again by the very turns it was shut by, the waist ends where the side starts.
    if (round === ROUNDS) break;
    turns = tips.map((tip, i) => {
      const reach = pointDistance(segmentAt(curve, ts[i] as number), tip);
      return outward * 2 * Math.asin((task.folds[i] as FoldTask).intake / 2 / reach);
    });
  }
  const open = (p: Point, n: number): Point =>
    tips.slice(0, n).reduceRight((q, tip, i) => pointRotate(q, tip, turns[i] as Radians), p);
  const edges: Edge[] = [];
  const lines: Point[][] = [];
  const folds: Fold[] = [];
  let rest = curve;
  let reached = 0;
  for (const [i, t] of ts.entries()) {
    const [before, after] = segmentSplit(rest, (t - reached) / (1 - reached));
    edges.push(
      waistEdge(
        i,
        pathMap([before], (p) => open(p, i)),
      ),
    );
    const tip = open(tips[i] as Point, i);
    const mouth = open(segmentAt(curve, t), i);
    const far = open(segmentAt(curve, t), i + 1);
    const cap = mouthCap({ curve, t, tip: tips[i] as Point, turn: turns[i] as Radians, task });
    edges.push({
      id: i === 0 ? "pleat" : `pleat-${i + 1}`,
      role: "dart",
      name: ts.length === 1 ? "pleat" : say`pleat ${count(i + 1)}`,
      path: pathMap(cap.path, (p) => open(p, i)),
    });
    lines.push([mouth, tip], ...cap.folds.map((p) => [open(p, i), tip]), [far, tip]);
    folds.push({ from: mouth, to: far, tip });
    rest = after;
    reached = t;
  }
  edges.push(
    waistEdge(
      ts.length,
      pathMap([rest], (p) => open(p, ts.length)),
    ),
  );
  return { edges, lines, folds, net: pathLength([curve]) };
}

const waistEdge = (before: number, path: Path): Edge => ({
  id: before === 0 ? "waist" : `waist-${before + 1}`,
  role: "waist",
  name: "waist",
  path,
});

interface Mouth {
  readonly curve: Segment;
  readonly t: number;
  readonly tip: Point;
  readonly turn: Radians;
  readonly task: FoldedWaistTask;
}

/**
 * The upper edge of a pleat's mouth, from its near to its far end, and where its folds meet it. A knife pleat's
 * underlay lies over the waist on one side of its line: that stretch of the waist, mirrored in the near line, and
 * again in the fold. Box and inverted pleats are two of them, one to either side.
 */
function mouthCap({ curve, t, tip, turn, task }: Mouth): { readonly path: Path; readonly folds: readonly Point[] } {
  const near = segmentAt(curve, t);
  const layer = (from: Radians, angle: Radians, toCentre: boolean): { path: Path; fold: Point } => {
    // The stretch of waist the underlay covers, found where the fold comes to lie when the pleat is shut.
    const away = toCentre ? -Math.abs(angle) : Math.abs(angle);
    const way = Math.sign(turn);
    const covered = stretchTo(curve, t, tip, pointRotate(near, tip, way * away), toCentre);
    // Toward the centre the layer is the waist mirrored in the mouth's near line; toward the side it is turned with it.
    const laid = toCentre ? pathMap(covered, (p) => mirroredIn(p, near, tip)) : covered;
    const first = pathMap(laid, (p) => pointRotate(p, tip, from));
    const fold = pathEnd(first);
    const second = pathReverse(pathMap(first, (p) => mirroredIn(p, fold, tip)));
    return { path: [...first, ...second], fold };
  };
  if (task.kind === "knife") {
    const one = layer(0, turn / 2, task.toward === "centre");
    return { path: one.path, folds: [one.fold] };
  }
  const one = layer(0, turn / 4, true);
  const two = layer(turn / 2, turn / 4, false);
  return { path: [...one.path, ...two.path], folds: [one.fold, pathEnd(one.path), two.fold] };
}

/**
 * The stretch of a curve from `t` to where the ray from `tip` through `through` crosses it, on the centre's side or the
 * side's. Where the waist ends before, the underlay reaches past it (and is caught in the seam): it runs on straight.
 */
function stretchTo(curve: Segment, t: number, tip: Point, through: Point, toCentre: boolean): Path {
  const [before, after] = segmentSplit(curve, t);
  const run = toCentre ? segmentReverse(before) : after;
  const u = crossingParameter(run, tip, through);
  if (u !== null) return [segmentSplit(run, u)[0]];
  const end = pathEnd([run]);
  const meet = linesMeet(end, pathEndTangent([run]), tip, pointSubtract(through, tip));
  return meet ? [run, line(end, meet)] : [run];
}
