import { fairThrough, line, pathReverse, type Path, type Point, cubic } from "../geometry";
import type { Mm } from "../units";
import type { Tape } from "./figure";
import type { halves } from "./halves";

type Halves = ReturnType<typeof halves>;

interface Seated {
  readonly waist: Halves;
  readonly seat: Mm;
  readonly thigh: Halves;
  readonly knee: Halves;
  readonly calf: Halves;
  readonly ankle: Halves;
  readonly ribs: Halves;
  readonly top: Mm;
  readonly levels: Readonly<Record<"hip" | "crotch" | "knee" | "calf" | "ankle" | "floor", Mm>>;
}

/** Sitting on a hard chair, facing left: the seat lies a crotch depth below the waist, the thigh runs level. */
export function sittingOutline(s: Seated): { outline: readonly Path[]; crotchDepth: Tape; kneeBent: Tape } {
  const { levels, waist, seat, thigh, knee, calf, ankle, ribs, top } = s;
  const seatY = levels.crotch;
  const kneeX = -(levels.knee - levels.crotch) - seat * 0.35;
  const shin = levels.ankle - levels.knee;
  const over = seatY - 2 * thigh.depth * 0.9;
  const kneeTop: Point = [kneeX, seatY - 2 * knee.depth];
  const ankleY = seatY - knee.depth + shin;
  const back = fairThrough([
    [ribs.depth * 0.95, top],
    [waist.depth * 0.86, 0],
    [seat, levels.hip * 0.95],
    [seat * 0.75, seatY],
  ]);
  const lap: Path = [
    cubic([-waist.depth, 0], [-waist.depth * 1.25, over * 0.8], [-waist.depth * 1.5, over], [-waist.depth * 2.1, over]),
    line([-waist.depth * 2.1, over], kneeTop),
  ];
  const shinFront: Path = [
    cubic(
      kneeTop,
      [kneeX - knee.depth * 1.2, kneeTop[1]],
      [kneeX - knee.depth * 1.2, seatY - knee.depth * 0.4],
      [kneeX - knee.depth, seatY + 20],
    ),
    line([kneeX - knee.depth, seatY + 20], [kneeX - ankle.depth, ankleY]),
  ];
  const shinBack: Path = [
    cubic(
      [kneeX + knee.depth * 1.3, seatY],
      [kneeX + calf.depth * 1.4, seatY + shin * 0.25],
      [kneeX + calf.depth * 1.3, seatY + shin * 0.45],
      [kneeX + ankle.depth * 1.1, ankleY],
    ),
  ];
  const foot = ankleY + (levels.floor - levels.ankle);
  const sole: Path = [
    line([kneeX - ankle.depth, ankleY], [kneeX - ankle.depth * 4, foot - 20]),
    line([kneeX - ankle.depth * 4, foot - 20], [kneeX - ankle.depth * 4, foot]),
    line([kneeX - ankle.depth * 4, foot], [kneeX + ankle.depth * 1.4, foot]),
    line([kneeX + ankle.depth * 1.4, foot], [kneeX + ankle.depth * 1.1, ankleY]),
  ];
  const chair: Path = [line([seat * 1.5, seatY + 2], [kneeX + knee.depth * 2.2, seatY + 2])];
  const leg: Path = [line([seat * 0.75, seatY], [kneeX + knee.depth * 1.3, seatY])];
  return {
    outline: [
      back,
      fairThrough([
        [-ribs.depth, top],
        [-waist.depth, 0],
      ]),
      [line([-ribs.depth, top], [ribs.depth * 0.95, top])],
      ...[lap, shinFront, shinBack, sole, chair, leg],
    ],
    crotchDepth: {
      view: "sitting",
      runs: [[line([0, 0], [0, seatY])], [line([-10, 0], [10, 0])], [line([-10, seatY], [10, seatY])]],
      hidden: [],
    },
    kneeBent: {
      view: "sitting",
      runs: [
        pathReverse([line([kneeX + knee.depth * 1.3, seatY], [kneeX - knee.depth * 0.6, seatY - 1.95 * knee.depth])]),
      ],
      hidden: [],
    },
  };
}
