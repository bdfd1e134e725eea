import { type Identity } from "./identity";
import { type PartName } from "./cut";
import { type Edge, type Panel } from "./panel";
import { circleArc, cubic, line, pointBetween, type Path, type Point } from "../geometry";
import type { Mm, Radians } from "../units";

/** A part of a ring to be drawn: its inner radius and depth, the turn it makes, where it hangs, and its outer edge. */
export interface RingPart extends PartName {
  readonly is: Identity;
  readonly radius: Mm;
  readonly depth: Mm;
  readonly turn: Radians;
  /** Level below the waist at which its inner edge is sewn. */
  readonly from: Mm;
  /** Points on the outer edge, and how far the valleys between them are cut back. */
  readonly points: number;
  readonly valley: Mm;
  /** Name of the inner edge. */
  readonly top: string;
}

/** The outer edge: an arc, or points with hollow valleys between, whole waves so that they close evenly. */
function outerEdge({ radius, depth, points, valley }: RingPart, from: Radians, to: Radians): Path {
  const outer = radius + depth;
  if (points === 0 || valley === 0) return circleArc([0, 0], outer, from, to);
  const at = (angle: Radians, r: Mm): Point => [r * Math.cos(angle), r * Math.sin(angle)];
  const wave = (to - from) / points;
  return Array.from({ length: points }, (_, i): Path => {
    const [a, c] = [from + i * wave, from + (i + 1) * wave];
    const [start, point, end] = [at(a, outer - valley), at((a + c) / 2, outer), at(c, outer - valley)];
    // Along the circle at the valley, then up to the point in a hollow line.
    const reach = 0.45 * ((Math.abs(wave) / 2) * (outer - valley));
    const way = Math.sign(wave);
    const out: Point = [start[0] - way * reach * Math.sin(a), start[1] + way * reach * Math.cos(a)];
    const back: Point = [end[0] + way * reach * Math.sin(c), end[1] - way * reach * Math.cos(c)];
    return [
      cubic(start, out, pointBetween(out, point, 0.5), point),
      cubic(point, pointBetween(back, point, 0.5), back, end),
    ];
  }).flat();
}

/**
 * A piece of a ring on its seam lines, hanging symmetric below its centre at the origin. Edges: `top` (sewn), `end`,
 * `hem`, `start`; the top runs from `start` to `end`.
 */
export function ringPanel(part: RingPart): Panel {
  const { radius, depth, turn, valley, points } = part;
  const [from, to]: readonly [Radians, Radians] = [Math.PI / 2 + turn / 2, Math.PI / 2 - turn / 2];
  const top = circleArc([0, 0], radius, from, to);
  const hem = outerEdge(part, to, from);
  const cutBack = points > 0 ? valley : 0;
  const ray = (angle: Radians): readonly [Point, Point] =>
    [radius, radius + depth - cutBack].map((r): Point => [r * Math.cos(angle), r * Math.sin(angle)]) as [Point, Point];
  const [startIn, startOut] = ray(from);
  const [endIn, endOut] = ray(to);
  const edges: Edge[] = [
    { id: "top", role: "style", name: part.top, path: top },
    { id: "end", role: "style", name: "end", path: [line(endIn, endOut)] },
    { id: "hem", role: "hem", name: "hem", path: hem },
    { id: "start", role: "style", name: "end", path: [line(startOut, startIn)] },
  ];
  return {
    id: part.id,
    name: part.name,
    is: part.is,
    half: "both",
    cutting: { material: "shell" },
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
    worn: { ring: { from: part.from, radius, depth, turn } },
  };
}

/** A straight strip in the frame of the levels: as wide as asked, hanging from a level. */
export function stripPanel(name: PartName & Pick<Panel, "is">, width: Mm, depth: Mm, from: Mm, top: string): Panel {
  const at = (x: Mm, y: Mm): Point => [x, from + y];
  const side = (id: string, a: Point, b: Point, role: Edge["role"], label: string): Edge => ({
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
