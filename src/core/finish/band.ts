import { line, type Point } from "../geometry";
import type { Panel } from "../drafting";
import type { Mm } from "../units";
import type { ResolvedFinish } from "./resolve";

/**
 * The straight waistband on its seam line: one folded strip as long as the sewn waist (its left and right half), with an underlap beyond the
 * centre back. Drawn whole, unfolded; the fold runs along its middle. The sewn edge runs left half, right half,
 * underlap, so that each half joins one side of the trousers from the centre back.
 */
export function straightBand(left: Mm, right: Mm, band: NonNullable<ResolvedFinish["band"]>): Panel {
  const end = left + right + band.overlap.mm;
  const depth = band.depth.mm;
  const at = (x: number, y: number): Point => [x, y];
  return {
    id: "waistband",
    name: "Waistband",
    half: "both",
    material: "shell",
    cut: { count: 1, onFold: false },
    edges: [
      { id: "inner", role: "waist", name: "inner edge", path: [line(at(0, 0), at(end, 0))] },
      { id: "end-overlap", role: "style", name: "underlap end", path: [line(at(end, 0), at(end, 2 * depth))] },
      ...(band.overlap.mm > 0
        ? [
            {
              id: "overlap",
              role: "waist" as const,
              name: "underlap",
              path: [line(at(end, 2 * depth), at(left + right, 2 * depth))],
            },
          ]
        : []),
      {
        id: "sewn-right",
        role: "waist",
        name: "sewn edge, right half",
        path: [line(at(left + right, 2 * depth), at(left, 2 * depth))],
      },
      {
        id: "sewn-left",
        role: "waist",
        name: "sewn edge, left half",
        path: [line(at(left, 2 * depth), at(0, 2 * depth))],
      },
      { id: "end", role: "style", name: "end at the centre back", path: [line(at(0, 2 * depth), at(0, 0))] },
    ],
    landmarks: {
      centreFront: [left, 2 * depth],
      centreBackLeft: [0, 2 * depth],
      centreBackRight: [left + right, 2 * depth],
    },
    lines: [
      { kind: "fold", points: [at(0, depth), at(end, depth)] },
      {
        kind: "grain",
        points: [at(left * 0.55, depth * 1.5), at(left * 0.55 + Math.min(200, left * 0.5), depth * 1.5)],
      },
    ],
  };
}
