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

/** What a panel has before it is pleated, and where its pleats run out. */
interface Ground {
  readonly panel: Panel;
  readonly plan: Plan;
  readonly first: Edge;
  readonly side: Edge;
  readonly corner: number;
  readonly top: Mm;
  /** The lower end of its hem. */
  readonly lowest: Mm;
  readonly outward: number;
  /** The waist that is to be sewn. */
  readonly net: Mm;
  readonly runOut: Mm | null;
}

function groundOf(panel: Panel, plan: Plan, sewn: Mm | null): Ground {
  const waists = edgesWithRole(panel, "waist");
  const [first, last] = [waists[0] as Edge, waists[waists.length - 1] as Edge];
  const side = edgeOf(panel, "side");
  const hem = edgeOf(panel, "hem");
  const top = Math.min(pathStart(first.path)[1], pathEnd(last.path)[1]);
  // A leg that ends above the place where its pleats would run out lets them run out at its hem.
  const runOut = plan.runOut === null ? null : Math.min(plan.runOut, pathEnd(side.path)[1]);
  if (runOut !== null && runOut < top + 120)
    throw new Refusal("run", say`Pleats run out between ${top + 120} below the waist and the hem.`);
  return {
    panel,
    plan,
    first,
    side,
    top,
    runOut,
    corner: sideCorner(panel, last, side),
    lowest: Math.max(pathStart(hem.path)[1], pathEnd(hem.path)[1]),
    outward: Math.sign((panel.landmarks.hipSide ?? pathEnd(last.path))[0]) || 1,
    net: sewn ?? waists.reduce((sum, e) => sum + pathLength(e.path), 0),
  };
}

/** The side moved out along the levels, as long as it was. */
function sideFor({ side, outward, top, runOut }: Ground, gap: Mm): Path {
  const moved = shiftRun(side.path, (y) => outward * gap * openedAt(y, top, runOut), runOut);
  const bend = runOut === null ? null : pathAlongAtLevel(moved, runOut);
  const soft = bend !== null && bend > 20 && bend < pathLength(moved) - 20 ? softenCorner(moved, bend) : moved;
  return restoreLength(soft, pathLength(side.path), "start");
}

/** The waist with its pleats folded: the first at `firstAt`, the others beside it toward the side. */
const folded = (ground: Ground, firstAt: Mm, gap: Mm, intake: Mm): ReturnType<typeof foldedWaist> =>
  foldedWaist({
    centre: pathStart(ground.first.path),
    leave: pathStartTangent(ground.first.path),
    side: sideFor(ground, gap),
    corner: ground.corner,
    folds: Array.from({ length: ground.plan.count }, (_, i) => ({
      x: firstAt + ground.outward * i * ground.plan.spacing,
      level: ground.runOut ?? FAR_BELOW,
      intake,
    })),
    kind: ground.plan.kind,
    toward: ground.plan.toward,
  });

/** How far the side moves out and how much a pleat takes, so that the folded waist is as long as it is to be sewn. */
function settled(ground: Ground, firstAt: Mm): { readonly gap: Mm; readonly intake: Mm } {
  const { panel, plan, net } = ground;
  const missed = (gap: Mm, intake: Mm): Mm => (folded(ground, firstAt, gap, intake)?.net ?? NaN) - net;
  if (plan.intake === null) {
    const intake = secant((t) => missed(0, t), 20, 30, { tolerance: 1e-5 });
    if (intake === null || intake < 16)
      throw new Refusal(
        "depth",
        say`The ${inside(panel.name)} has too little beyond the waist to pleat: state a depth, and it is opened.`,
      );
    return { gap: 0, intake };
  }
  const { intake } = plan;
  // What the darts held goes into the pleats; only the rest has to be opened.
  const darts = edgesWithRole(panel, "dart").reduce(
    (sum, e) => sum + pointDistance(pathStart(e.path), pathEnd(e.path)),
    0,
  );
  const guess = plan.count * intake - darts;
  const gap = secant((g) => missed(g, intake), guess, guess + 2, { tolerance: 1e-5 });
  if (gap === null) throw notFolded();
  if (gap < -2)
    throw new Refusal(
      "depth",
      say`The darts of the ${inside(panel.name)} hold more than these pleats would take. Make the pleats deeper, or leave the depth to Eland.`,
    );
  return { gap, intake };
}

const notFolded = (): Refusal =>
  new Refusal("depth", say`These pleats cannot be folded on this waist. Make them fewer or shallower.`);

/**
 * Pleats one panel. The side is moved out along the levels until the waist, with the pleats folded, is as long as
 * `sewn` says, or, where that is null, as it was; its length is kept by trimming it at the waist.
 */
export function pleatPanel(panel: Panel, plan: Plan, sewn: Mm | null): Pleated {
  const ground = groundOf(panel, plan, sewn);
  const { first, outward, net } = ground;
  // In the folded frame the first pleat stands on the crease or where it is asked, the others beside it toward the side.
  const wanted = plan.at === null ? null : Math.min(plan.at, net - BEFORE_SIDE - (plan.count - 1) * plan.spacing);
  if (wanted !== null && wanted < 10)
    throw new Refusal(
      "count",
      say`So many pleats find no place on a waist of ${net} a panel. Take fewer, or nearer together.`,
    );
  let firstAt = wanted === null ? 0 : pathStart(first.path)[0] + outward * wanted;
  let found = settled(ground, firstAt);
  // The place is measured along the sewn waist, which depends on where the pleats stand: a few rounds settle it.
  for (let round = 0; wanted !== null && round < 8; round++) {
    const reached = firstLength(folded(ground, firstAt, found.gap, found.intake));
    if (reached === null || Math.abs(reached - wanted) < 1e-4) break;
    firstAt += outward * (wanted - reached);
    found = settled(ground, firstAt);
  }
  const waist = folded(ground, firstAt, found.gap, found.intake);
  if (!waist) throw notFolded();
  // Opened by one width all the way down, the leg has a new middle.
  const by = ground.runOut === null ? (outward * found.gap) / 2 : 0;
  return {
    panel: recreased(pleatedOn(ground, waist, firstAt, found.gap), by),
    depth: found.intake / (plan.kind === "knife" ? 2 : 4),
    intake: found.intake,
    opened: found.gap,
    fromCentre: firstLength(waist) ?? 0,
    folds: waist.folds.map((f) => ({ ...f, from: [f.from[0] - by, f.from[1]], to: [f.to[0] - by, f.to[1]] })),
    shown: drawingMoved(shownOf(ground, waist), ([x, y]) => [x - by, y]),
  };
}

/** The panel with its waist folded, its side and hem moved out, and what lies beyond the pleats with them. */
function pleatedOn(ground: Ground, waist: FoldedWaist, firstAt: Mm, gap: Mm): Panel {
  const { panel, plan, top, lowest, outward, runOut } = ground;
  const side = sideFor(ground, gap);
  const widen = (p: Point): Point => {
    // What lies beyond the pleats goes out with the side; what lies between them stays.
    const beyond = (p[0] - firstAt) * outward;
    return beyond <= 0 ? p : [p[0] + outward * gap * openedAt(p[1], top, runOut), p[1]];
  };
  const edge = (e: Edge): Edge => {
    if (e.role === "side") return { ...e, path: side };
    if (e.role !== "hem") return e;
    return { ...e, path: hemMoved(e.path, outward * gap * openedAt(lowest, top, runOut), outward, panel, firstAt) };
  };
  const landmarks = Object.fromEntries(
    Object.entries(panel.landmarks).map(([name, p]) => [
      name,
      name === "creaseHem" || name === "creaseCrotch" ? p : widen(p),
    ]),
  );
  return {
    ...panel,
    edges: [...waist.edges, ...panel.edges.filter((e) => e.role !== "waist" && e.role !== "dart").map(edge)],
    lines: [
      ...panel.lines
        .filter((l) => l.kind !== "dart")
        .map((l) => (l.kind === "grain" || l.kind === "crease" ? l : { ...l, points: l.points.map(widen) })),
      ...waist.lines.map((points): PanelLine => ({
        kind: "pleat",
        points: runOut === null ? cutAtLevel(points, lowest) : points,
      })),
    ],
    landmarks: { ...landmarks, waistSide: pathStart(side), hemSide: pathEnd(side) },
    worn: { ...panel.worn, pleats: { each: gap / plan.count, from: top, runOut } },
  };
}

/** The pleats as they are opened: wedges to their tips, or strips to the hem. */
const shownOf = ({ panel, runOut, lowest }: Ground, { folds }: FoldedWaist): Drawing =>
  drawingOn(panel.id, {
    wedges: folds.map(({ from, to, tip }) =>
      runOut === null
        ? [from, to, ...cutAtLevel([to, tip], lowest).slice(1), ...cutAtLevel([from, tip], lowest).slice(1)]
        : [from, to, tip],
    ),
    hinges: runOut === null ? [] : folds.map((f) => f.tip),
  });

type FoldedWaist = NonNullable<ReturnType<typeof foldedWaist>>;

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
