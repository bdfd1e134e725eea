import { line, type Point } from "../geometry";
import { netWaist, type Panel } from "../drafting";
import type { ResolvedFinish } from "./resolve";

/**
 * The straight waistband on its seam line: one folded strip as long as the sewn waist, with an underlap beyond the
 * centre back. Drawn whole, unfolded; the fold runs along its middle. The sewn edge runs left half, right half,
 * underlap, so that each half joins one side of the trousers from the centre back.
 */
export function straightBand(front: Panel, back: Panel, band: NonNullable<ResolvedFinish["band"]>): Panel {
  const half = netWaist(front.edges) + netWaist(back.edges);
  const end = 2 * half + band.overlap.mm;
  const depth = band.depth.mm;
  const at = (x: number, y: number): Point => [x, y];
  return {
    id: "waistband",
    name: "Waistband",
    half: "both",
    material: "shell",
    edges: [
      { id: "inner", role: "waist", name: "inner edge", path: [line(at(0, 0), at(end, 0))] },
      { id: "end-overlap", role: "style", name: "underlap end", path: [line(at(end, 0), at(end, 2 * depth))] },
      ...(band.overlap.mm > 0
        ? [
            {
              id: "overlap",
              role: "waist" as const,
              name: "underlap",
              path: [line(at(end, 2 * depth), at(2 * half, 2 * depth))],
            },
          ]
        : []),
      {
        id: "sewn-right",
        role: "waist",
        name: "sewn edge, right half",
        path: [line(at(2 * half, 2 * depth), at(half, 2 * depth))],
      },
      {
        id: "sewn-left",
        role: "waist",
        name: "sewn edge, left half",
        path: [line(at(half, 2 * depth), at(0, 2 * depth))],
      },
      { id: "end", role: "style", name: "end at the centre back", path: [line(at(0, 2 * depth), at(0, 0))] },
    ],
    landmarks: {
      centreFront: [half, 2 * depth],
      centreBackLeft: [0, 2 * depth],
      centreBackRight: [2 * half, 2 * depth],
    },
    lines: [
      { kind: "fold", points: [at(0, depth), at(end, depth)] },
      {
        kind: "grain",
        points: [at(half * 0.55, depth * 1.5), at(half * 0.55 + Math.min(200, half * 0.5), depth * 1.5)],
      },
    ],
  };
}
