import { cubic, fairThrough, line, type Path, type Point } from "../geometry";
import type { Mm } from "../units";
import type { BodyMeasures } from "./card";
import { halves } from "./halves";
import { oval } from "./figureOval";
import type { Levels, Sizes } from "./figureSizes";

/** The body from the front: its right half, what stands in the middle, and places that tapes run by. */
export interface FrontView {
  readonly right: readonly Path[];
  readonly middle: readonly Path[];
  /** The middle of a leg at its levels. */
  readonly places: Readonly<Record<"thigh" | "knee" | "calf" | "ankle", Mm>>;
  readonly shoulder: Point;
  readonly armAt: Point;
  readonly arm: Mm;
}

/** Both sides of a leg, from hip and crotch to the ankle. */
function legLines(levels: Levels, sizes: Sizes, places: FrontView["places"], above: readonly Point[]): readonly Path[] {
  const { hip, thigh, midThigh, knee, calf, shin, ankle } = sizes;
  const mid = levels.crotch + 0.48 * (levels.knee - levels.crotch);
  const midAt = (places.thigh + places.knee) / 2;
  const shinAt = (places.calf + places.ankle) / 2;
  const outer = fairThrough([
    ...above,
    [hip.width, levels.hip],
    [Math.max(places.thigh + thigh.width * 0.97, hip.width * 0.93), levels.crotch + 30],
    [midAt + midThigh.width, mid],
    [places.knee + knee.width, levels.knee],
    [places.calf + calf.width, levels.calf],
    [shinAt + shin.width, levels.shin],
    [places.ankle + ankle.width, levels.ankle],
  ]);
  const inner = fairThrough([
    [3, levels.crotch],
    [places.thigh - thigh.width * 0.95, levels.crotch + 30],
    [midAt - midThigh.width, mid],
    [places.knee - knee.width, levels.knee],
    [places.calf - calf.width * 1.05, levels.calf],
    [shinAt - shin.width, levels.shin],
    [places.ankle - ankle.width, levels.ankle],
  ]);
  return [outer, inner];
}

/** A foot from the front: it widens from the ankle, its edges round into the sole. */
function foot(at: Mm, half: Mm, ankle: Mm, floor: Mm): Path {
  const wide = half * 1.35;
  const down = (share: number): Mm => ankle + share * (floor - ankle);
  const [outside, inside] = [at + wide, at - wide * 0.78];
  return [
    cubic([at + half, ankle], [at + half, down(0.4)], [outside, down(0.55)], [outside, floor - 14]),
    cubic([outside, floor - 14], [outside, floor - 3], [outside - 8, floor], [outside - 16, floor]),
    line([outside - 16, floor], [inside + 14, floor]),
    cubic([inside + 14, floor], [inside + 6, floor], [inside, floor - 3], [inside, floor - 14]),
    cubic([inside, floor - 14], [inside, down(0.55)], [at - half, down(0.4)], [at - half, ankle]),
  ];
}

export function frontView(m: BodyMeasures, levels: Levels, sizes: Sizes, upper: boolean, top: Mm): FrontView {
  const { waist, hip, bust, neck, thigh, ankle, ribs } = sizes;
  const at = thigh.width + 3;
  const places = { thigh: at, knee: at * 0.95, calf: at * 0.92, ankle: at * 0.86 };
  const shoulder: Point = [m.shoulderWidth.mm / 2, levels.shoulder + 25];
  const neckBase: Point = [neck.width * 1.05, levels.shoulder];
  const above: readonly Point[] = [
    upper ? [bust.width * 0.98, levels.bust] : [ribs.width, top],
    [waist.width, 0],
    [waist.width + 0.72 * (hip.width - waist.width), levels.hip * 0.5],
  ];
  const legs = legLines(levels, sizes, places, above);
  const shoe = foot(places.ankle, ankle.width, levels.ankle, levels.floor);
  const arm = halves(m.upperArm.mm, 1).width;
  const hand: Point = [hip.width + 75, levels.crotch];
  const armAt: Point = [
    shoulder[0] + 0.3 * (hand[0] - shoulder[0]) - arm * 0.2,
    shoulder[1] + 0.3 * (hand[1] - shoulder[1]),
  ];
  const rest = { places, shoulder, armAt, arm };
  if (!upper) return { right: [...legs, shoe], middle: [[line([-ribs.width, top], [ribs.width, top])]], ...rest };
  const headHalf = 0.066 * m.height.mm;
  const headY = levels.crown + headHalf;
  const chin = levels.crown + 1.9 * headHalf;
  const arms: readonly Path[] = [
    fairThrough([shoulder, [armAt[0] + arm, armAt[1]], [hand[0] + arm * 0.55, hand[1]]]),
    fairThrough([
      [bust.width * 0.96, levels.bust - 35],
      [armAt[0] - arm * 0.8, armAt[1] + 45],
      [hand[0] - arm * 0.55, hand[1]],
    ]),
    [
      cubic(
        [hand[0] + arm * 0.55, hand[1]],
        [hand[0] + arm * 0.6, hand[1] + 70],
        [hand[0] - arm * 0.6, hand[1] + 70],
        [hand[0] - arm * 0.55, hand[1]],
      ),
    ],
  ];
  const chest: Path = [
    cubic(
      shoulder,
      [shoulder[0], shoulder[1] + 60],
      [bust.width * 0.93, levels.bust - 60],
      [bust.width * 0.98, levels.bust],
    ),
  ];
  const neckLine: Path = [
    cubic(
      [neck.width * 0.95, chin],
      [neck.width * 0.95, levels.shoulder - 30],
      [neckBase[0], levels.shoulder - 12],
      [neckBase[0] + 18, levels.shoulder + 3],
    ),
    line([neckBase[0] + 18, levels.shoulder + 3], shoulder),
  ];
  return {
    right: [...arms, ...legs, shoe, chest, neckLine],
    middle: [oval(0, headY, 0.74 * headHalf, headHalf)],
    ...rest,
  };
}
