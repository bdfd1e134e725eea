import { type Edge, type Panel, type PanelLine, wholePanelOf } from "../pattern";
import {
  cubic,
  line,
  pathEnd,
  pathStart,
  segmentLength,
  segmentReverse,
  type Path,
  pathAt,
  type Point,
  type Segment,
  solveRising,
} from "../geometry";
import type { Mm } from "../units";

/** The cut edge of a leg: its curve, into which the fullness goes, and the plain part below. */
export interface SeamLengths {
  readonly curve: Mm;
  readonly straight: Mm;
}

/** What the panel is let into: the curve of the cut, from the side seam down. */
export interface CutSide {
  readonly curve: Segment;
}

/** A curve down and across whose length is asked: as wide as it has to be. */
function slopeOfLength(
  height: Mm,
  length: Mm,
): { readonly width: Mm; readonly draw: (from: Point, way: 1 | -1) => Segment } {
  const at =
    (width: Mm) =>
    (from: Point, way: 1 | -1): Segment =>
      cubic(
        from,
        [from[0] + way * width * 0.45, from[1]],
        [from[0] + way * width * 0.8, from[1] + height * 0.55],
        [from[0] + way * width, from[1] + height],
      );
  const width = solveRising((w) => segmentLength(at(w)([0, 0], 1)), length, 1, length);
  return { width, draw: at(width) };
}

/**
 * The panel that replaces both sides, flat: its middle line stands where the side seam was. Each half's top slopes from
 * the middle down to where the curve runs out, `fullness` times as long as the curve it is set into; below that its
 * edges are upright and as long as the straight cut, so that the hem is level.
 */
export function drawSidePanel(
  lengths: readonly [SeamLengths, SeamLengths],
  sides: readonly [CutSide, CutSide],
  fullness: number,
  top: Mm,
  { plain, isPleated }: { readonly plain: "style" | "inseam"; readonly isPleated: boolean },
): Panel {
  const heights = sides.map((side) => pathEnd([side.curve])[1] - pathStart([side.curve])[1]);
  const drop = Math.max(...heights.map((h, i) => h + (lengths[i] as SeamLengths).straight));
  const [front, back] = lengths.map(({ curve, straight }) => ({
    // Measured from the hem up, so that both halves stand on one line: what front and back differ by lies in the slope.
    slope: slopeOfLength(drop - straight, fullness * curve),
    straight,
  })) as [HalfPanel, HalfPanel];
  const start: Point = [0, top];
  const frontTop = front.slope.draw(start, 1);
  const backTop = back.slope.draw(start, -1);
  const [frontEnd, backEnd] = [pathEnd([frontTop]), pathEnd([backTop])];
  const hemY = top + drop;
  const edges: Edge[] = [
    { id: "top-back", role: "style", name: "top, to the back", path: [segmentReverse(backTop)] },
    { id: "top-front", role: "style", name: "top, to the front", path: [frontTop] },
    { id: "plain-front", role: plain, name: "edge to the front", path: [line(frontEnd, [frontEnd[0], hemY])] },
    { id: "hem", role: "hem", name: "hem", path: [line([frontEnd[0], hemY], [backEnd[0], hemY])] },
    { id: "plain-back", role: plain, name: "edge to the back", path: [line([backEnd[0], hemY], backEnd)] },
  ];
  return {
    id: "side-panel",
    name: "Side panel",
    is: wholePanelOf("legs", "side", "side-panel"),
    half: "both",
    cutting: { material: "shell" },
    edges,
    landmarks: { sideTop: start, sideHem: [0, hemY], notchFront: frontEnd, notchBack: backEnd },
    lines: [
      {
        kind: "grain",
        points: [
          [0, top + drop * 0.3],
          [0, top + drop * 0.75],
        ],
      },
      {
        kind: "crease",
        points: [
          [0, start[1]],
          [0, hemY],
        ],
      },
      ...(isPleated
        ? [...foldLines([frontTop], lengths[0].curve, fullness), ...foldLines([backTop], lengths[1].curve, fullness)]
        : []),
    ],
  };
}

/** One pleat for about so much of the seam it is set into. */
const PER_PLEAT: Mm = 45;
const FOLD_LONG: Mm = 70;

/** Where the pleats of a top are folded: each pair of lines is brought together; what lies between them is its underlay. */
function foldLines(top: Path, sewn: Mm, fullness: number): readonly PanelLine[] {
  if (fullness <= 1.02) return [];
  const count = Math.max(2, Math.round(sewn / PER_PLEAT));
  const [each, shown] = [(sewn * fullness) / count, sewn / count];
  return Array.from({ length: count }, (_, i) => [i * each + shown / 2, i * each + shown / 2 + each - shown])
    .flat()
    .map((along): PanelLine => {
      const { point } = pathAt(top, along);
      return { kind: "pleat", points: [point, [point[0], point[1] + FOLD_LONG]] };
    });
}

interface HalfPanel {
  readonly slope: ReturnType<typeof slopeOfLength>;
  readonly straight: Mm;
}
