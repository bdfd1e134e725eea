import { type Identity } from "./identity";
import { type PartName } from "./cut";
import { type Edge, type Panel } from "./panel";
import {
  solveRising,
  circleArc,
  cubic,
  line,
  pathEnd,
  pathReverse,
  pathStart,
  pointBetween,
  segmentAt,
  segmentReverse,
  segmentSplit,
  type Path,
  type Point,
  type Segment,
} from "../geometry";
import type { Mm, Radians, Words } from "../units";

/** A part of a ring to be drawn: its inner radius and depth, the turn it makes, where it hangs, and its outer edge. */
export interface RingPart extends PartName {
  readonly is: Identity;
  readonly radius: Mm;
  readonly depth: Mm;
  readonly turn: Radians;
  /** Level below the waist at which its inner edge is sewn. */
  readonly from: Mm;
  /** Points on the outer edge of this part, in waves that need not be whole, and how many waves lie before it. */
  readonly points: number;
  readonly before: number;
  /** How far the valleys between them are cut back. */
  readonly valley: Mm;
  /** Half of a whole circle, its ends on the fold: one leg wears it twice. */
  readonly onFold?: true;
  /** Name of the inner edge. */
  readonly top: string;
}

/** Half a wave of the outer edge: along the circle at the valley, then up to the point in a hollow line. */
function halfWave(valleyAt: Radians, pointAt: Radians, inner: Mm, outer: Mm): Segment {
  const at = (angle: Radians, r: Mm): Point => [r * Math.cos(angle), r * Math.sin(angle)];
  const [start, point] = [at(valleyAt, inner), at(pointAt, outer)];
  const reach = 0.45 * Math.abs(pointAt - valleyAt) * inner * Math.sign(pointAt - valleyAt);
  const out: Point = [start[0] - reach * Math.sin(valleyAt), start[1] + reach * Math.cos(valleyAt)];
  return cubic(start, out, pointBetween(out, point, 0.5), point);
}

/** Where a segment that runs round the origin crosses the ray at an angle, within it. */
function crossesRay(segment: Segment, angle: Radians): number {
  const beside = (t: number): number => {
    const [x, y] = segmentAt(segment, t);
    return x * Math.sin(angle) - y * Math.cos(angle);
  };
  return solveRising(beside, 0, 0, 1);
}

/**
 * The outer edge from one angle to another: an arc, or points with hollow valleys between. The waves run on over the
 * joins between parts, so a part may begin and end anywhere on a wave.
 */
function outerEdge({ radius, depth, points, before, valley }: RingPart, from: Radians, to: Radians): Path {
  const outer = radius + depth;
  if (points === 0 || valley === 0) return circleArc([0, 0], outer, from, to);
  const angleAt = (wave: number): Radians => from + ((wave - before) * (to - from)) / points;
  const [first, last] = [Math.floor(2 * before + 1e-9), Math.ceil(2 * (before + points) - 1e-9)];
  return Array.from({ length: last - first }, (_, i): Segment => {
    const half = first + i;
    const [a, b] = [angleAt(half / 2), angleAt((half + 1) / 2)];
    const rises = half % 2 === 0;
    let piece = rises ? halfWave(a, b, outer - valley, outer) : segmentReverse(halfWave(b, a, outer - valley, outer));
    const way = Math.sign(to - from);
    if ((b - to) * way > 1e-9) piece = segmentSplit(piece, crossesRay(piece, to))[0];
    if ((from - a) * way > 1e-9) piece = segmentSplit(piece, crossesRay(piece, from))[1];
    return piece;
  });
}

/**
 * A piece of a ring on its seam lines, hanging symmetric below its centre at the origin. Edges: `top` (sewn), `end`,
 * `hem`, `start`; the top runs from `start` to `end`.
 */
export function ringPanel(part: RingPart): Panel {
  const { radius, depth, turn, onFold } = part;
  const [from, to]: readonly [Radians, Radians] = [Math.PI / 2 + turn / 2, Math.PI / 2 - turn / 2];
  const top = circleArc([0, 0], radius, from, to);
  const outer = outerEdge(part, from, to);
  const inner = (angle: Radians): Point => [radius * Math.cos(angle), radius * Math.sin(angle)];
  const [role, name] = onFold ? (["fold", "on the fold"] as const) : (["style", "end"] as const);
  const edges: Edge[] = [
    { id: "top", role: "style", name: part.top, path: top },
    { id: "end", role, name, path: [line(inner(to), pathEnd(outer))] },
    { id: "hem", role: "hem", name: "hem", path: pathReverse(outer) },
    { id: "start", role, name, path: [line(pathStart(outer), inner(from))] },
  ];
  return {
    id: part.id,
    name: part.name,
    is: part.is,
    half: "both",
    cutting: { material: "shell", ...(onFold && { pieces: { count: 2, onFold: true } }) },
    edges,
    landmarks: { hemMiddle: [0, radius + depth] },
    lines: [
      {
        kind: "grain",
        points: [
          [0, radius + depth * 0.2],
          [0, radius + depth * 0.8],
        ],
      },
    ],
    worn: {
      ring: {
        from: part.from,
        radius,
        depth,
        turn: onFold ? 2 * turn : turn,
        points: part.points,
        valley: part.valley,
        ...(onFold && { isHalf: true }),
      },
    },
  };
}

/** A straight strip in the frame of the levels: as wide as asked, hanging from a level. */
export function stripPanel(name: PartName & Pick<Panel, "is">, width: Mm, depth: Mm, from: Mm, top: string): Panel {
  const at = (x: Mm, y: Mm): Point => [x, from + y];
  const side = (id: string, a: Point, b: Point, role: Edge["role"], label: Words): Edge => ({
    id,
    role,
    name: label,
    path: [line(a, b)],
  });
  return {
    ...name,
    half: "both",
    cutting: { material: "shell" },
    edges: [
      side("top", at(0, 0), at(width, 0), "style", top),
      side("end", at(width, 0), at(width, depth), "style", "end"),
      side("hem", at(width, depth), at(0, depth), "hem", "hem"),
      side("start", at(0, depth), at(0, 0), "style", "end"),
    ],
    landmarks: { hemMiddle: at(width / 2, depth) },
    lines: [{ kind: "grain", points: [at(width / 2, depth * 0.2), at(width / 2, depth * 0.8)] }],
  };
}
