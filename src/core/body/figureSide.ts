import { cubic, fairThrough, line, type Path, type Point } from "../geometry";
import type { Mm } from "../units";
import type { BodyMeasures } from "./card";
import { oval } from "./figureOval";
import type { Levels, Sizes } from "./figureSizes";

/** The body from the side, facing left. */
export interface SideView {
  readonly outline: readonly Path[];
  /** How far the seat stands out behind. */
  readonly seat: Mm;
  /** The tip of the foot, and the top of the head. */
  readonly toe: Mm;
  readonly crown: Mm;
}

/** A foot from the side: instep, toes, sole with its hollow, and heel. */
function foot(depth: Mm, toe: Mm, ankle: Mm, floor: Mm): Path {
  const high = floor - ankle;
  const heel = depth * 1.5;
  return [
    cubic([-depth * 0.85, ankle], [-depth * 0.95, ankle + 0.5 * high], [toe * 0.6, floor - 42], [toe + 20, floor - 22]),
    cubic([toe + 20, floor - 22], [toe + 4, floor - 18], [toe, floor - 3], [toe + 14, floor]),
    cubic([toe + 14, floor], [toe * 0.55, floor + 1], [toe * 0.4, floor - 7], [heel - 34, floor]),
    cubic([heel - 34, floor], [heel - 6, floor + 1], [heel + 2, floor - 18], [heel - 4, floor - 34]),
    cubic([heel - 4, floor - 34], [heel - 8, floor - 50], [depth * 1.15, ankle + 24], [depth * 1.15, ankle]),
  ];
}

export function sideView(m: BodyMeasures, levels: Levels, sizes: Sizes, upper: boolean, top: Mm): SideView {
  const { waist, hip, bust, neck, thigh, midThigh, knee, calf, shin, ankle, ribs } = sizes;
  const seat = hip.depth * 1.12;
  const mid = levels.crotch + 0.5 * (levels.knee - levels.crotch);
  const front = fairThrough([
    [-(upper ? bust.depth * 1.1 : ribs.depth), upper ? levels.bust : top],
    [-waist.depth, 0],
    [-hip.depth * 0.93, levels.hip * 0.6],
    [-hip.depth * 0.84, levels.hip * 1.05],
    [-thigh.depth * 0.98, levels.crotch + 45],
    [-midThigh.depth, mid],
    [-knee.depth, levels.knee],
    [-calf.depth * 0.76, levels.calf],
    [-shin.depth * 0.82, levels.shin],
    [-ankle.depth * 0.85, levels.ankle],
  ]);
  const back = fairThrough([
    [upper ? bust.depth * 0.92 : ribs.depth * 0.95, upper ? levels.bust : top],
    [waist.depth * 0.86, 0],
    [waist.depth * 0.86 + 0.7 * (seat - waist.depth * 0.86), levels.hip * 0.52],
    [seat, levels.hip * 0.96],
    [seat * 0.6 + thigh.depth * 0.5, levels.hip + 0.62 * (levels.crotch - levels.hip) + 12],
    [thigh.depth * 1.08, levels.crotch + 50],
    [midThigh.depth * 1.04, mid],
    [knee.depth * 0.9, levels.knee],
    [calf.depth * 1.24, levels.calf],
    [shin.depth * 1.16, levels.shin],
    [ankle.depth * 1.15, levels.ankle],
  ]);
  const toe = -ankle.depth - m.heel.mm * 0.5;
  const outline = [front, back, foot(ankle.depth, toe, levels.ankle, levels.floor)];
  const rest = { seat, toe, crown: levels.crown };
  if (!upper) return { outline: [...outline, [line([-ribs.depth, top], [ribs.depth * 0.95, top])]], ...rest };
  const headHalf = 0.066 * m.height.mm;
  const chin = levels.crown + 1.9 * headHalf;
  const [chest, nape]: readonly [Point, Point] = [
    [-neck.depth, levels.shoulder],
    [neck.depth * 1.1, levels.shoulder - 25],
  ];
  return {
    outline: [
      ...outline,
      [
        cubic(
          [-bust.depth * 1.1, levels.bust],
          [-bust.depth * 1.02, levels.bust - 70],
          [-neck.depth * 1.1, levels.shoulder + 30],
          chest,
        ),
        line(chest, [-neck.depth * 0.95, chin]),
      ],
      [
        cubic(
          [bust.depth * 0.92, levels.bust],
          [bust.depth * 1.05, levels.bust - 80],
          [neck.depth * 1.5, levels.shoulder + 10],
          nape,
        ),
        line(nape, [neck.depth * 0.95, chin]),
      ],
      oval(-8, levels.crown + headHalf, 0.82 * headHalf, headHalf),
    ],
    ...rest,
  };
}
