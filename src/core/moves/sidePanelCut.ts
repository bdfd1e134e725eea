import { edgeOf, type Panel, type Place } from "../pattern";
import {
  chordsCross,
  cubic,
  line,
  pathAlongAtX,
  pathAt,
  pathEnd,
  pathLength,
  pathNearest,
  pathStart,
  segmentLength,
  type Path,
  type Point,
  type Segment,
} from "../geometry";
import { quantity, range, Refusal, say, type Mm, type Quantity, inside } from "../units";
import { fromHem, type WholeLegs } from "./legs";

/** How the side of one panel is cut away. */
export interface Side {
  readonly panel: Panel;
  readonly start: Mm;
  /** The cut from the side seam: a curve, then straight down to the hem. */
  readonly curve: Segment;
  /** Where the cut ends on the outline, and the way it takes there from the curve. */
  readonly end: Place;
  readonly straight: Path;
}

const USUAL_DROP: Mm = 170;
/** The straight part of the cut below the curve is at least this long. */
const LEAST_STRAIGHT: Mm = 45;

/** How far the curve takes to stand straight: 170, or less on a leg that ends before. */
export function usualDrop(legs: WholeLegs, above: Mm): Quantity {
  const rooms = [legs.front, legs.back].map((panel) => {
    const start = (panel.landmarks.hipSide?.[1] ?? 0) - above;
    const hem = edgeOf(panel, "hem").path;
    return Math.min(pathStart(hem)[1], pathEnd(hem)[1]) - start - LEAST_STRAIGHT - 15;
  });
  const room = Math.min(...rooms);
  return room >= USUAL_DROP
    ? quantity(USUAL_DROP, say`the usual ${170} below its start`)
    : quantity(Math.max(60, room), "as far as the short leg allows");
}

/** Places along a curve, close enough to be drawn. */
export const sample = (curve: Segment): Point[] =>
  Array.from({ length: 13 }, (_, i) => pathAt([curve], (segmentLength(curve) * i) / 12).point);

/** Where the cut leaves the side, so far above the hip line: the same length from the hem on both panels. */
function startOn(panel: Panel, legs: WholeLegs, above: Mm): Mm {
  const frontSide = edgeOf(legs.front, "side").path;
  const hip = legs.front.landmarks.hipSide;
  if (!hip)
    throw new Refusal("above", say`The hip line has been cut away, so the side panel has no place to start from.`);
  const up = fromHem(legs.front, pathNearest(frontSide, hip).along - above);
  const start = fromHem(panel, up);
  if (start < 20) {
    throw new Refusal(
      "above",
      say`The panel has to start at least ${20} below the waist, or a yoke: at most ${start + above - 20} above the hip line.`,
      { yields: start + above - 20 },
    );
  }
  return start;
}

/** x of the dart's tip, of the dart nearest the crease; null where the panel has none. */
export function dartLine(panel: Panel): Mm | null {
  const tips = panel.lines.filter((l) => l.kind === "dart").map((l) => (l.points[1] as Point)[0]);
  return tips.length === 0 ? null : tips.reduce((a, b) => (Math.abs(b) < Math.abs(a) ? b : a));
}

/** The cut to the hem: a curve from the side to the dart line, then straight down. */
export function sideOf(panel: Panel, legs: WholeLegs, above: Mm, reach: Mm, drop: Mm): Side {
  const start = startOn(panel, legs, above);
  if (drop < 60 || drop > 500) throw new Refusal("drop", say`The curve runs out ${range(60, 500)} below its start.`);
  const from = pathAt(edgeOf(panel, "side").path, start);
  const outward = Math.sign(from.point[0]) || 1;
  const x = (dartLine(panel) ?? 0) + outward * reach;
  const hem = edgeOf(panel, "hem");
  const hemAlong = pathAlongAtX(hem.path, x);
  if (hemAlong === null || hemAlong < 15 || (from.point[0] - x) * outward < 30) {
    throw new Refusal(
      "reach",
      say`A panel ${reach} from the dart line leaves nothing of the side to replace. Bring it nearer to the crease.`,
      { yields: reach + (from.point[0] - x) * outward - 30 },
    );
  }
  const bend: Point = [x, from.point[1] + drop];
  if (bend[1] > Math.min(pathStart(hem.path)[1], pathEnd(hem.path)[1]) - LEAST_STRAIGHT + 5)
    throw new Refusal("drop", say`The curve would run out below the hem. Let it run out higher.`);
  const across = Math.abs(from.point[0] - x);
  // Leaves the side inward and a little down, arrives on the straight line upright.
  const curve = cubic(
    from.point,
    [from.point[0] - outward * across * 0.55, from.point[1] + drop * 0.12],
    [x, bend[1] - drop * 0.55],
    bend,
  );
  const foot = pathAt(hem.path, hemAlong).point;
  refuseThroughDart(panel, [...sample(curve), foot]);
  return { panel, start, curve, end: { edge: "hem", along: hemAlong }, straight: [line(bend, foot)] };
}

/** The cut across: one curve from the side to the inseam, at the same length from the hem on both panels. */
export function acrossTo(panel: Panel, legs: WholeLegs, above: Mm, below: Mm): Side {
  const start = startOn(panel, legs, above);
  const along = pathLength(edgeOf(legs.front, "inseam").path) - below;
  const inseam = edgeOf(panel, "inseam").path;
  if (along < 100 || along > pathLength(inseam) - 8)
    throw new Refusal("below", say`The cut has to end on the inseam, at least ${100} above the hem.`);
  const [from, to] = [pathAt(edgeOf(panel, "side").path, start).point, pathAt(inseam, along).point];
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const curve = cubic(from, [from[0] + 0.4 * dx, from[1] + 0.15 * dy], [from[0] + 0.65 * dx, to[1] - 0.08 * dy], to);
  refuseThroughDart(panel, sample(curve));
  return { panel, start, curve, end: { edge: "inseam", along }, straight: [] };
}

function refuseThroughDart(panel: Panel, cut: readonly Point[]): void {
  if (crossesDart(panel, cut))
    throw new Refusal(
      "drop",
      say`The curve would run through a dart of the ${inside(panel.name)}. Let it run out lower, or stand further from the dart.`,
    );
}

/** True where a line runs through the cloth of a dart. */
function crossesDart(panel: Panel, line: readonly Point[]): boolean {
  const chords = (points: readonly Point[]): (readonly [Point, Point])[] =>
    points.slice(1).map((p, i) => [points[i] as Point, p]);
  return panel.lines
    .filter((l) => l.kind === "dart")
    .some((dart) => chords(dart.points).some(([a, b]) => chords(line).some(([c, d]) => chordsCross(a, b, c, d))));
}
