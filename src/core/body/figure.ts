import { fairThrough, line, pathMap, type Path, type Point } from "../geometry";
import type { Mm } from "../units";
import type { BodyMeasures } from "./card";
import { halves } from "./halves";
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

/** Width over depth of the body at its levels, seen on usual figures. */
const RATIO = {
  bust: 1.3,
  waist: 1.38,
  hip: 1.34,
  neck: 1.05,
  thigh: 0.86,
  knee: 0.95,
  calf: 0.94,
  ankle: 0.9,
} as const;
type Level = keyof typeof RATIO;

const mirror = (path: Path): Path => pathMap(path, ([x, y]) => [0 - x, y]);

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
  const half = (key: MeasureKey, level: Level): { readonly width: Mm; readonly depth: Mm } =>
    halves(m[key].mm, RATIO[level]);
  const [waist, hip, bust, neck] = [
    half("waist", "waist"),
    half("hip", "hip"),
    half("bust", "bust"),
    half("neck", "neck"),
  ];
  const [thigh, knee, calf, ankle] = [
    half("thigh", "thigh"),
    half("knee", "knee"),
    half("calf", "calf"),
    half("ankle", "ankle"),
  ];
  const levels = {
    hip: m.waistToHip.mm,
    crotch: Math.max(m.crotchDepth.mm, m.waistToHip.mm + 15),
    knee: m.waistToKnee.mm,
    calf: m.waistToCalf.mm,
    ankle: m.waistToAnkle.mm,
    floor: m.waistToFloor.mm,
  };
  const shoulderY = -m.shoulderToWaist.mm + 20;
  const bustY = -(m.shoulderToWaist.mm - m.shoulderToBust.mm) * 0.97;
  const crown = levels.floor - m.height.mm;
  const top = upper ? Math.min(crown, shoulderY - 180) : Math.max(bustY, -170);
  const ribs = {
    width: waist.width + 0.55 * (bust.width - waist.width),
    depth: waist.depth + 0.6 * (bust.depth - waist.depth),
  };

  // Seen from the front: right half outside, then the inside of the leg.
  const legAt = thigh.width + 3;
  const places = {
    thigh: legAt,
    knee: legAt * 0.95,
    calf: legAt * 0.92,
    ankle: legAt * 0.86,
  };
  const shoulder: Point = [m.shoulderWidth.mm / 2, shoulderY + 25];
  const outer = fairThrough([
    ...(upper ? ([[bust.width * 0.98, bustY]] as const) : ([[ribs.width, top]] as const)),
    [waist.width, 0],
    [hip.width, levels.hip],
    [Math.max(places.thigh + thigh.width, hip.width * 0.93), levels.crotch + 20],
    [places.knee + knee.width, levels.knee],
    [places.calf + calf.width, levels.calf],
    [places.ankle + ankle.width, levels.ankle],
  ]);
  const inner = fairThrough([
    [4, levels.crotch],
    [places.knee - knee.width, levels.knee],
    [places.calf - calf.width, levels.calf],
    [places.ankle - ankle.width, levels.ankle],
  ]);
  const footWide = ankle.width * 1.35;
  const foot = fairThrough([
    [places.ankle + ankle.width, levels.ankle],
    [places.ankle + footWide, levels.floor - 12],
  ]);
  const footInside = fairThrough([
    [places.ankle - ankle.width, levels.ankle],
    [places.ankle - footWide * 0.7, levels.floor - 12],
  ]);
  const sole: Path = [
    line([places.ankle + footWide, levels.floor - 12], [places.ankle + footWide * 0.8, levels.floor]),
    line([places.ankle + footWide * 0.8, levels.floor], [places.ankle - footWide * 0.6, levels.floor]),
    line([places.ankle - footWide * 0.6, levels.floor], [places.ankle - footWide * 0.7, levels.floor - 12]),
  ];
  const neckBase: Point = [neck.width * 1.05, shoulderY];
  const chest: Path = upper
    ? [
        {
          kind: "cubic",
          points: [
            shoulder,
            [shoulder[0], shoulder[1] + 60],
            [bust.width * 0.93, bustY - 60],
            [bust.width * 0.98, bustY],
          ],
        },
      ]
    : [];
  const headHalf = 0.066 * m.height.mm;
  const headY = crown + headHalf;
  const chin = crown + 1.9 * headHalf;
  const head: Path = upper ? oval(0, headY, 0.74 * headHalf, headHalf) : [];
  const neckLine: Path = upper ? [line([neck.width * 0.95, chin], neckBase), line(neckBase, shoulder)] : [];
  const arm = halves(m.upperArm.mm, 1).width;
  const hand: Point = [hip.width + 75, levels.crotch];
  const armAt: Point = [
    shoulder[0] + 0.3 * (hand[0] - shoulder[0]) - arm * 0.2,
    shoulder[1] + 0.3 * (hand[1] - shoulder[1]),
  ];
  const arms: readonly Path[] = upper
    ? [
        fairThrough([shoulder, [armAt[0] + arm, armAt[1]], [hand[0] + arm * 0.55, hand[1]]]),
        fairThrough([
          [bust.width * 0.96, bustY - 35],
          [armAt[0] - arm * 0.8, armAt[1] + 45],
          [hand[0] - arm * 0.55, hand[1]],
        ]),
        [line([hand[0] + arm * 0.55, hand[1]], [hand[0] - arm * 0.55, hand[1]])],
      ]
    : [];
  const right: readonly Path[] = [...arms, outer, inner, foot, footInside, sole, ...(upper ? [chest, neckLine] : [])];
  const both = [...right, ...right.map(mirror), ...(upper ? [head] : [[line([-ribs.width, top], [ribs.width, top])]])];

  // Seen from the side, facing left: front line, then back line.
  const seat = hip.depth * 1.18;
  const frontLine = fairThrough([
    [-(upper ? bust.depth * 1.1 : ribs.depth), upper ? bustY : top],
    [-waist.depth, 0],
    [-hip.depth * 0.86, levels.hip * 0.75],
    [-thigh.depth * 0.92, levels.crotch + 30],
    [-knee.depth * 1.0, levels.knee],
    [-calf.depth * 0.78, levels.calf],
    [-ankle.depth * 0.85, levels.ankle],
  ]);
  const backLine = fairThrough([
    [upper ? bust.depth * 0.92 : ribs.depth * 0.95, upper ? bustY : top],
    [waist.depth * 0.86, 0],
    [seat, levels.hip],
    [thigh.depth * 1.08, levels.crotch + 30],
    [knee.depth * 0.9, levels.knee],
    [calf.depth * 1.22, levels.calf],
    [ankle.depth * 1.15, levels.ankle],
  ]);
  const toe = -ankle.depth - m.heel.mm * 0.52;
  const footSide: Path = [
    line([-ankle.depth * 0.85, levels.ankle], [-ankle.depth * 1.25, levels.ankle + 25]),
    line([-ankle.depth * 1.25, levels.ankle + 25], [toe, levels.floor - 22]),
    line([toe, levels.floor - 22], [toe, levels.floor]),
    line([toe, levels.floor], [ankle.depth * 1.4, levels.floor]),
    line([ankle.depth * 1.4, levels.floor], [ankle.depth * 1.15, levels.ankle]),
  ];
  const sideTop: readonly Path[] = upper
    ? [
        [
          {
            kind: "cubic",
            points: [
              [-bust.depth * 1.1, bustY],
              [-bust.depth * 1.02, bustY - 70],
              [-neck.depth * 1.1, shoulderY + 30],
              [-neck.depth, shoulderY],
            ],
          },
          line([-neck.depth, shoulderY], [-neck.depth * 0.95, chin]),
        ],
        [
          {
            kind: "cubic",
            points: [
              [bust.depth * 0.92, bustY],
              [bust.depth * 1.05, bustY - 80],
              [neck.depth * 1.5, shoulderY + 10],
              [neck.depth * 1.1, shoulderY - 25],
            ],
          },
          line([neck.depth * 1.1, shoulderY - 25], [neck.depth * 0.95, chin]),
        ],
        oval(-8, headY, 0.82 * headHalf, headHalf),
      ]
    : [[line([-ribs.depth, top], [ribs.depth * 0.95, top])]];

  const sitting = sittingOutline({ waist, seat, thigh, knee, calf, ankle, ribs, top: Math.max(top, -170), levels });
  return {
    views: { front: both, back: both, side: [frontLine, backLine, footSide, ...sideTop], sitting: sitting.outline },
    tapes: tapesOf(),
    top,
    floor: levels.floor,
  };

  function tapesOf(): Figure["tapes"] {
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
      crotchLength: {
        view: "side",
        runs: [
          [
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
          ],
        ],
        hidden: [],
      },
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
}

function oval(cx: Mm, cy: Mm, rx: Mm, ry: Mm): Path {
  const k = 0.5523;
  const at = (x: number, y: number): Point => [cx + x * rx, cy + y * ry];
  return [
    { kind: "cubic", points: [at(0, -1), at(k, -1), at(1, -k), at(1, 0)] },
    { kind: "cubic", points: [at(1, 0), at(1, k), at(k, 1), at(0, 1)] },
    { kind: "cubic", points: [at(0, 1), at(-k, 1), at(-1, k), at(-1, 0)] },
    { kind: "cubic", points: [at(-1, 0), at(-1, -k), at(-k, -1), at(0, -1)] },
  ];
}
