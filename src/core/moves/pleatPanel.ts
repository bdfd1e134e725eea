import {
  edgeOf,
  edgesWithRole,
  panelOutline,
  type Edge,
  type Panel,
  type PanelLine,
  restoreLength,
  softenCorner,
  foldedWaist,
  type Fold,
  type Drawing,
  drawingMoved,
  drawingOn,
  openedAt,
} from "../pattern";
import {
  angleFromTo,
  line,
  pathEnd,
  pathEndTangent,
  pathAlongAtX,
  pathLength,
  pathMap,
  pathStart,
  pathSplit,
  pathStartTangent,
  pointDistance,
  polygonArea,
  secant,
  segmentEnd,
  segmentSplit,
  type Path,
  type Point,
  type Segment,
  parameterAt,
  pathAlongAtLevel,
} from "../geometry";
import { type Mm, Refusal, say, inside } from "../units";
import { recreased } from "./legs";

export interface Plan {
  readonly count: number;
  /** Cloth one pleat takes; null leaves it to what the panel has beyond the waist quarter. */
  readonly intake: Mm | null;
  readonly kind: "knife" | "box" | "inverted";
  readonly toward: "side" | "centre";
  /** Level where the pleats run out; null runs them parallel to the hem. */
  readonly runOut: Mm | null;
  readonly spacing: Mm;
  /** From the centre along the sewn waist to the first pleat; null stands it on the crease. */
  readonly at: Mm | null;
}

/** Between the last pleat and the side seam at least this much waist is left to be sewn. */
const BEFORE_SIDE: Mm = 15;

/** Parallel pleats are turned about a place so far below that their folds part by less than a thousandth. */
const FAR_BELOW: Mm = 1e6;

export interface Pleated {
  readonly panel: Panel;
  readonly depth: Mm;
  readonly intake: Mm;
  readonly opened: Mm;
  /** From the centre to the first pleat, along the sewn waist. */
  readonly fromCentre: Mm;
  readonly shown: Drawing;
  readonly folds: readonly Fold[];
}

/**
 * Pleats one panel. The side is moved out along the levels until the waist, with the pleats folded, is as long as
 * `sewn` says, or, where that is null, as it was; its length is kept by trimming it at the waist.
 */
export function pleatPanel(panel: Panel, plan: Plan, sewn: Mm | null): Pleated {
  const waists = edgesWithRole(panel, "waist");
  const [first, last] = [waists[0] as Edge, waists[waists.length - 1] as Edge];
  const side = edgeOf(panel, "side");
  const hem = edgeOf(panel, "hem");
  const top = Math.min(pathStart(first.path)[1], pathEnd(last.path)[1]);
  const outward = Math.sign((panel.landmarks.hipSide ?? pathEnd(last.path))[0]) || 1;
  const net = sewn ?? waists.reduce((sum, e) => sum + pathLength(e.path), 0);
  const lowest = Math.max(pathStart(hem.path)[1], pathEnd(hem.path)[1]);
  // A leg that ends above the place where its pleats would run out lets them run out at its hem.
  const runOut = plan.runOut === null ? null : Math.min(plan.runOut, pathEnd(side.path)[1]);
  if (runOut !== null && runOut < top + 120) {
    throw new Refusal("run", say`Pleats run out between ${top + 120} below the waist and the hem.`);
  }
  const tipLevel = runOut ?? FAR_BELOW;
  // In the folded frame the first pleat stands on the crease or where it is asked, the others beside it toward the side.
  const wanted = plan.at === null ? null : Math.min(plan.at, net - BEFORE_SIDE - (plan.count - 1) * plan.spacing);
  if (wanted !== null && wanted < 10)
    throw new Refusal(
      "count",
      say`So many pleats find no place on a waist of ${net} a panel. Take fewer, or nearer together.`,
    );
  let firstAt = wanted === null ? 0 : pathStart(first.path)[0] + outward * wanted;
  const corner = sideCorner(panel, last, side);
  const sideLength = pathLength(side.path);
  const sideFor = (gap: Mm): Path => {
    const moved = shiftRun(side.path, (y) => outward * gap * openedAt(y, top, runOut), runOut);
    const bend = runOut === null ? null : pathAlongAtLevel(moved, runOut);
    const soft = bend !== null && bend > 20 && bend < pathLength(moved) - 20 ? softenCorner(moved, bend) : moved;
    return restoreLength(soft, sideLength, "start");
  };
  const draw = (gap: Mm, intake: Mm): ReturnType<typeof foldedWaist> =>
    foldedWaist({
      centre: pathStart(first.path),
      leave: pathStartTangent(first.path),
      side: sideFor(gap),
      corner,
      folds: Array.from({ length: plan.count }, (_, i) => ({
        x: firstAt + outward * i * plan.spacing,
        level: tipLevel,
        intake,
      })),
      kind: plan.kind,
      toward: plan.toward,
    });
  let gap = 0;
  let intake = plan.intake ?? 0;
  const settle = (): void => {
    if (plan.intake === null) {
      const found = secant((t) => (draw(0, t)?.net ?? NaN) - net, 20, 30, { tolerance: 1e-5 });
      if (found === null || found < 16)
        throw new Refusal(
          "depth",
          say`The ${inside(panel.name)} has too little beyond the waist to pleat: state a depth, and it is opened.`,
        );
      intake = found;
    } else {
      const total = plan.count * intake;
      // What the darts held goes into the pleats; only the rest has to be opened.
      const darts = edgesWithRole(panel, "dart").reduce(
        (sum, e) => sum + pointDistance(pathStart(e.path), pathEnd(e.path)),
        0,
      );
      const guess = total - darts;
      const found = secant((g) => (draw(g, intake)?.net ?? NaN) - net, guess, guess + 2, { tolerance: 1e-5 });
      if (found === null)
        throw new Refusal("depth", say`These pleats cannot be folded on this waist. Make them fewer or shallower.`);
      if (found < -2) {
        throw new Refusal(
          "depth",
          say`The darts of the ${inside(panel.name)} hold more than these pleats would take. Make the pleats deeper, or leave the depth to Eland.`,
        );
      }
      gap = found;
    }
  };
  settle();
  // The place is measured along the sewn waist, which depends on where the pleats stand: a few rounds settle it.
  for (let round = 0; wanted !== null && round < 8; round++) {
    const reached = firstLength(draw(gap, intake));
    if (reached === null || Math.abs(reached - wanted) < 1e-4) break;
    firstAt += outward * (wanted - reached);
    settle();
  }
  const waist = draw(gap, intake);
  if (!waist)
    throw new Refusal("depth", say`These pleats cannot be folded on this waist. Make them fewer or shallower.`);
  const sidePath = sideFor(gap);
  const widen = (p: Point): Point => {
    // What lies beyond the pleats goes out with the side; what lies between them stays.
    const beyond = (p[0] - firstAt) * outward;
    return beyond <= 0 ? p : [p[0] + outward * gap * openedAt(p[1], top, runOut), p[1]];
  };
  const edges: Edge[] = [
    ...waist.edges,
    ...panel.edges
      .filter((e) => e.role !== "waist" && e.role !== "dart")
      .map((e) =>
        e.role === "side"
          ? { ...e, path: sidePath }
          : e.role === "hem"
            ? { ...e, path: hemMoved(e.path, outward * gap * openedAt(lowest, top, runOut), outward, panel, firstAt) }
            : e,
      ),
  ];
  const landmarks = Object.fromEntries(
    Object.entries(panel.landmarks).map(([name, p]) => [
      name,
      name === "creaseHem" || name === "creaseCrotch" ? p : widen(p),
    ]),
  );
  const tips = waist.folds.map((f) => f.tip);
  const lines: PanelLine[] = [
    ...panel.lines
      .filter((l) => l.kind !== "dart")
      .map((l) => (l.kind === "grain" || l.kind === "crease" ? l : { ...l, points: l.points.map(widen) })),
    ...waist.lines.map((points): PanelLine => ({
      kind: "pleat",
      points: runOut === null ? cutAtLevel(points, lowest) : points,
    })),
  ];
  const pleated: Panel = {
    ...panel,
    edges,
    lines,
    landmarks: { ...landmarks, waistSide: pathStart(sidePath), hemSide: pathEnd(sidePath) },
    worn: { ...panel.worn, pleats: { each: gap / plan.count, from: top, runOut } },
  };
  const depth = intake / (plan.kind === "knife" ? 2 : 4);
  // Opened by one width all the way down, the leg has a new middle.
  const by = runOut === null ? (outward * gap) / 2 : 0;
  return {
    panel: recreased(pleated, by),
    depth,
    intake,
    opened: gap,
    fromCentre: firstLength(waist) ?? 0,
    folds: waist.folds.map((f) => ({ ...f, from: [f.from[0] - by, f.from[1]], to: [f.to[0] - by, f.to[1]] })),
    shown: drawingMoved(
      drawingOn(panel.id, {
        wedges: waist.folds.map((f, i) => {
          const bottom = tips[i] as Point;
          return runOut === null
            ? [
                f.from,
                f.to,
                ...[...cutAtLevel([f.to, bottom], lowest)].slice(1),
                ...cutAtLevel([f.from, bottom], lowest).slice(1),
              ]
            : [f.from, f.to, bottom];
        }),
        hinges: runOut === null ? [] : tips,
      }),
      ([x, y]) => [x - by, y],
    ),
  };
}

/** From the centre to the first pleat, along the folded waist. */
const firstLength = (waist: ReturnType<typeof foldedWaist>): Mm | null => {
  const [edge] = waist?.edges ?? [];
  return edge ? pathLength(edge.path) : null;
};

/** A line from the waist that would run on far below is ended at the hem. */
function cutAtLevel(points: readonly Point[], y: Mm): readonly Point[] {
  const [a, b] = [points[0] as Point, points[points.length - 1] as Point];
  if (b[1] <= y) return points;
  const t = (y - a[1]) / (b[1] - a[1]);
  return [a, [a[0] + (b[0] - a[0]) * t, y]];
}

/** Angle inside the panel between waist and side, kept so that the waist still runs on into the back's. */
function sideCorner(panel: Panel, last: Edge, side: Edge): number {
  const orientation = Math.sign(polygonArea(panelOutline(panel)));
  return orientation * angleFromTo(pathEndTangent(last.path), pathStartTangent(side.path));
}

/** A run with every place moved across by an amount that depends on its level; divided where the amount stops. */
function shiftRun(path: Path, by: (y: Mm) => Mm, stop: Mm | null): Path {
  const at = (p: Point): Point => [p[0] + by(p[1]), p[1]];
  const parts = stop === null ? path : path.flatMap((s) => splitAtLevel(s, stop));
  return pathMap(parts, at);
}

function splitAtLevel(segment: Segment, y: Mm): Segment[] {
  const [a, b] = [segment.points[0][1], segmentEnd(segment)[1]];
  if ((a - y) * (b - y) >= 0) return [segment];
  return [...segmentSplit(segment, parameterAt(segment, "y", y))];
}

/** The hem with its side part moved by `by`: opened at the crease, or, where darts held a hair more than the pleats, laid in. */
function hemMoved(path: Path, by: Mm, outward: number, panel: Panel, at: Mm): Path {
  // A leg narrower at its hem than where the pleats stand opens there at its crease.
  if (by * outward >= 0) return widened(path, pathAlongAtX(path, at) === null ? 0 : at, by, panel);
  const end = Math.max(pathStart(path)[0] * outward, pathEnd(path)[0] * outward);
  return pathMap(path, (p) => [p[0] + by * Math.max(0, (p[0] * outward) / end), p[1]]);
}

/** A hem opened at one place by a step along the level. */
export function widened(path: Path, x: Mm, by: Mm, panel: Panel): Path {
  if (Math.abs(by) < 1e-6) return path;
  const at = pathAlongAtX(path, x);
  if (at === null) throw new Refusal("run", say`The pleats of the ${inside(panel.name)} do not reach its hem.`);
  const [before, after] = pathSplit(path, at);
  const out = (p: Point): Point => [p[0] + by, p[1]];
  const sideFirst = Math.sign(pathStart(path)[0] - x) === Math.sign(by);
  const shift = (run: Path): Path => pathMap(run, out);
  return sideFirst
    ? [...shift(before), line(out(pathEnd(before)), pathEnd(before)), ...after]
    : [...before, line(pathEnd(before), out(pathEnd(before))), ...shift(after)];
}
