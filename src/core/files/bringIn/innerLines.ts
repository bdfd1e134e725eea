import { pathFlatten, pathNearest, pointBetween, pointDistance, type Path, type Point } from "../../geometry";
import type { Mm } from "../../units";
import type { Stroke } from "./shapes";

/** A dart as it is drawn: mouth, tip, mouth. */
export type DartLines = readonly [Point, Point, Point];

/** What is drawn inside an outline without the file saying what it is. */
export interface InnerLines {
  /** Two legs that meet in a tip and both end on the outline. */
  readonly darts: readonly DartLines[];
  /** All others: grain lines, levels, notes. They are not taken in. */
  readonly others: readonly (readonly Point[])[];
}

/** Ends within this of each other are the same place. */
export const JOIN: Mm = 0.6;
/** A leg of a dart ends on the outline within this. */
const ON_OUTLINE: Mm = 2;
/** A dart's mouth is at least and at most this wide, and no wider than it is deep. */
const MOUTH = [2, 90] as const;
/** A leg of a dart that was drawn by hand may be hollowed or rounded by this. */
const HOLLOW: Mm = 6;
/** A drawing with more lines inside a panel is no block; only the first of them are looked at for darts. */
const MOST = 400;
/** Shorter lines are the file's own marks. */
const LEAST_LINE: Mm = 12;

const isStraight = (line: readonly Point[]): boolean => {
  const [a, b] = [line[0] as Point, line.at(-1) as Point];
  const long = pointDistance(a, b);
  return (
    long > LEAST_LINE &&
    line.every((p) => Math.abs((b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])) / long < HOLLOW)
  );
};

/** Legs of one stroke: cut in two where it turns back, if it does. */
function legsOf(line: readonly Point[]): (readonly Point[])[] {
  if (isStraight(line)) return [line];
  const [a, b] = [line[0] as Point, line.at(-1) as Point];
  const tip = line.reduce((best, p, i) => {
    const far = (q: Point): number => pointDistance(q, a) + pointDistance(q, b);
    return far(p) > far(line[best] as Point) ? i : best;
  }, 0);
  return [line.slice(0, tip + 1), line.slice(tip)].filter((part) => part.length > 1);
}

/**
 * Lines inside an outline, in millimetres, told apart: what can only be a dart, and the rest. `isInside` says whether a
 * place lies within the outline.
 */
export function innerLines(strokes: readonly Stroke[], outline: Path, isInside: (p: Point) => boolean): InnerLines {
  const isOn = (p: Point): boolean => pathNearest(outline, p).distance < ON_OUTLINE;
  const drawn = strokes.map((s) => pathFlatten(s.path, 0.5)).filter((line) => line.length > 1);
  const within = drawn.filter((line) =>
    [line[0], pointBetween(line[0] as Point, line[1] as Point, 0.5), line[line.length >> 1], line.at(-1)].some(
      (p) => p && isInside(p) && !isOn(p),
    ),
  );
  /** Legs from the outline to a tip inside it, each with the line it is of. */
  const legs = within.slice(0, MOST).flatMap((line) =>
    legsOf(line).flatMap((leg) => {
      const [a, b] = [leg[0] as Point, leg.at(-1) as Point];
      if (!isStraight(leg)) return [];
      if (isOn(a) && isInside(b) && !isOn(b)) return [{ line, mouth: a, tip: b }];
      return isOn(b) && isInside(a) && !isOn(a) ? [{ line, mouth: b, tip: a }] : [];
    }),
  );
  const darts: DartLines[] = [];
  const used = new Set<readonly Point[]>();
  legs.forEach((leg, i) => {
    if (used.has(leg.line) && darts.some((d) => pointDistance(d[1], leg.tip) <= JOIN)) return;
    const partners = legs.filter((other, k) => k > i && pointDistance(other.tip, leg.tip) <= JOIN);
    const all = [leg, ...partners];
    // A centre line drawn to the tip as well stands between the two legs.
    const pairs = all.flatMap((x, k) => all.slice(k + 1).map((y) => [x, y] as const));
    const [widest] = pairs.toSorted(
      ([a, b], [c, d]) => pointDistance(c.mouth, d.mouth) - pointDistance(a.mouth, b.mouth),
    );
    if (!widest) return;
    const [x, y] = widest;
    const mouth = pointDistance(x.mouth, y.mouth);
    const deep = Math.min(pointDistance(x.mouth, x.tip), pointDistance(y.mouth, y.tip));
    if (mouth < MOUTH[0] || mouth > Math.min(MOUTH[1], deep)) return;
    darts.push([x.mouth, x.tip, y.mouth]);
    all.forEach((one) => used.add(one.line));
  });
  return { darts, others: within.filter((line) => !used.has(line)) };
}
