import { line, pathMap, type Path, type Point, pointFlipped } from "../geometry";
import type { Mm } from "../units";
import type { BodyMeasures } from "./card";
import { frontView, type FrontView } from "./figureFront";
import { levelsOf, sizesOf, type Levels, type Sizes } from "./figureSizes";
import { sideView, type SideView } from "./figureSide";
import { sittingOutline } from "./figureSitting";
import type { MeasureKey } from "./measures";

export type FigureView = "front" | "back" | "side" | "sitting";

/** A body drawn from its own numbers: outlines by view, in millimetres, x = 0 at the middle, y = 0 at the waist, y down. */
export interface Figure {
  readonly views: Readonly<Record<FigureView, readonly Path[]>>;
  /** Levels the tape runs at, for the view that shows it best. */
  readonly tapes: Partial<Readonly<Record<MeasureKey, Tape>>>;
  readonly top: Mm;
  readonly floor: Mm;
}

/** How the tape runs for one measure: in which view, over what; `hidden` parts pass behind the body. */
export interface Tape {
  readonly view: FigureView;
  readonly runs: readonly Path[];
  readonly hidden: readonly Path[];
}

const mirror = (path: Path): Path => pathMap(path, pointFlipped);

/** The two halves of a level ring seen from a little above: nearer half and farther half. */
function ring(cx: Mm, y: Mm, half: Mm): { near: Path; far: Path } {
  const sag = half * 0.2;
  const bow = (by: Mm): Path => [
    {
      kind: "cubic",
      points: [
        [cx - half, y],
        [cx - half * 0.55, y + by * 1.33],
        [cx + half * 0.55, y + by * 1.33],
        [cx + half, y],
      ],
    },
  ];
  return { near: bow(sag), far: bow(-sag) };
}

/**
 * Draws the figure of a card: every width comes from a girth, every level from a length of this wearer. `upper`
 * includes bust, shoulders and head.
 */
export function figureOf(m: BodyMeasures, upper: boolean): Figure {
  const levels = levelsOf(m);
  const sizes = sizesOf(m);
  const top = upper ? Math.min(levels.crown, levels.shoulder - 180) : Math.max(levels.bust, -170);
  const front = frontView(m, levels, sizes, upper, top);
  const side = sideView(m, levels, sizes, upper, top);
  const { waist, thigh, knee, calf, ankle, ribs } = sizes;
  const sitting = sittingOutline({
    waist,
    seat: side.seat,
    thigh,
    knee,
    calf,
    ankle,
    ribs,
    top: Math.max(top, -170),
    levels,
  });
  const both = [...front.right, ...front.right.map(mirror), ...front.middle];
  return {
    views: { front: both, back: both, side: side.outline, sitting: sitting.outline },
    tapes: tapesOf(m, levels, sizes, front, side, sitting),
    top,
    floor: levels.floor,
  };
}

/** From the waist in front between the legs to the waist behind, seen from the side. */
const betweenLegs = (levels: Levels, { waist, hip, thigh }: Sizes, seat: Mm): Path => [
  {
    kind: "cubic",
    points: [
      [-waist.depth, 0],
      [-hip.depth * 0.95, levels.hip * 0.7],
      [-thigh.depth * 0.9, levels.crotch],
      [0, levels.crotch],
    ],
  },
  {
    kind: "cubic",
    points: [
      [0, levels.crotch],
      [thigh.depth * 1.1, levels.crotch],
      [seat * 1.06, levels.hip * 1.1],
      [waist.depth * 0.86, 0],
    ],
  },
];

/** Where the tape runs for every measure, on the view that shows it best. */
function tapesOf(
  m: BodyMeasures,
  levels: Levels,
  sizes: Sizes,
  { places, shoulder, armAt, arm }: FrontView,
  { seat, toe, crown }: SideView,
  sitting: ReturnType<typeof sittingOutline>,
): Figure["tapes"] {
  const { waist, hip, thigh, knee, calf, ankle, bust, neck } = sizes;
  const [shoulderY, bustY] = [levels.shoulder, levels.bust];
  const around = (cx: Mm, y: Mm, wide: Mm): Tape => {
    const { near, far } = ring(cx, y, wide + 2);
    return { view: "front", runs: [near], hidden: [far] };
  };
  const edge = Math.max(hip.width, places.thigh + thigh.width) + 26;
  const down = (to: Mm, from = 0): Tape => ({
    view: "front",
    runs: [
      [line([edge, from], [edge, to])],
      [line([edge - 9, from], [edge + 9, from])],
      [line([edge - 9, to], [edge + 9, to])],
    ],
    hidden: [],
  });
  const thighY = levels.crotch + 25;
  const neckPoint: Point = [neck.width, shoulderY];
  const bustPoint: Point = [m.bustSpan.mm / 2, bustY];
  return {
    waist: around(0, 0, waist.width),
    hip: around(0, levels.hip, hip.width),
    thigh: around(places.thigh, thighY, thigh.width),
    knee: around(places.knee, levels.knee, knee.width),
    calf: around(places.calf, levels.calf, calf.width),
    ankle: around(places.ankle, levels.ankle, ankle.width),
    heel: {
      view: "side",
      runs: [[line([ankle.depth * 1.42, levels.floor - 4], [-ankle.depth * 1.3, levels.ankle + 26])]],
      hidden: [],
    },
    kneeBent: sitting.kneeBent,
    crotchDepth: sitting.crotchDepth,
    crotchLength: { view: "side", runs: [betweenLegs(levels, sizes, seat)], hidden: [] },
    height: {
      view: "side",
      runs: [[line([toe - 30, crown], [toe - 30, levels.floor])]],
      hidden: [],
    },
    waistToHip: down(levels.hip),
    waistToKnee: down(levels.knee),
    waistToCalf: down(levels.calf),
    waistToAnkle: down(levels.ankle),
    waistToFloor: down(levels.floor),
    bust: around(0, bustY, bust.width),
    // Above the ears, where the drawn head is widest.
    head: around(0, levels.crown + 0.066 * 0.75 * m.height.mm, 0.066 * 0.74 * m.height.mm),
    neck: around(0, shoulderY - 8, neck.width * 1.02),
    upperArm: around(armAt[0], armAt[1], arm),
    shoulderWidth: { view: "back", runs: [[line([-shoulder[0], shoulder[1]], shoulder)]], hidden: [] },
    napeToWaist: { view: "back", runs: [[line([0, -m.napeToWaist.mm], [0, 0])]], hidden: [] },
    shoulderToWaist: {
      view: "front",
      runs: [[line(neckPoint, bustPoint), line(bustPoint, [bustPoint[0] * 0.8, 0])]],
      hidden: [],
    },
    shoulderToBust: { view: "front", runs: [[line(neckPoint, bustPoint)]], hidden: [] },
    bustSpan: { view: "front", runs: [[line([-bustPoint[0], bustY], bustPoint)]], hidden: [] },
  };
}
