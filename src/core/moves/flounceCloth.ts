import { listOf } from "../words";
import { ringPanel, rimLength, stripPanel, wholePanelOf, type Panel } from "../pattern";
import { solveRising } from "../geometry";
import {
  count,
  quantity,
  range,
  ratio,
  Refusal,
  say,
  type AutoLength,
  type Figure,
  type Mm,
  type Quantity,
  type Sentence,
} from "../units";
import { hemGirthOr, numberOr, paramOr } from "./auto";
import type { MoveContext } from "./move";

/** Least and most cloth to the seam it is gathered on. */
export const STRIP_FULLNESS: readonly [number, number] = [1, 5];
/** Least and most of a circle. */
export const CIRCLE_SHARE: readonly [number, number] = [0.2, 2];

/** The seam that a flounce is sewn by. */
export const EDGE = { id: "leg-end", name: "flounce seam" };
const IS = wholePanelOf("legs", null, "flounce");

/** What may be stated of a flounce's cloth. */
interface Params {
  readonly hemGirth?: AutoLength | undefined;
  readonly share?: number | undefined;
  readonly fullness?: number | undefined;
  readonly parts?: number | undefined;
  readonly points?: number | undefined;
  readonly valley?: AutoLength | undefined;
}

/** What a circular flounce is of a circle: its share, in how many parts, with how many points. */
interface Circle {
  readonly share: number;
  readonly parts: number;
  readonly onFold: boolean;
  readonly points: number;
}

/** A flounce of one leg: its parts, their numbers, and how it is called. */
export interface FlounceCloth {
  readonly panels: readonly Panel[];
  readonly numbers: Readonly<Record<string, Quantity>>;
  readonly figures: Readonly<Record<string, Figure>>;
  /** What of a circle it is; null for a strip. */
  readonly circle: Circle | null;
}

/** Its hem, of one leg. */
export const hemOf = ({ panels }: FlounceCloth): Mm => panels.reduce((sum, p) => sum + rimLength(p, "hem"), 0);

/** A straight strip, gathered on. */
export function strip(params: Params, girth: Mm, depth: Mm, from: Mm, context: MoveContext): FlounceCloth {
  const hem = hemGirthOr("flounce", params.hemGirth, params.fullness, context);
  const fullness = hem
    ? within(hem.mm / girth, STRIP_FULLNESS, hem.mm, (fullness) => fullness * girth)
    : numberOr("flounce", "fullness", params.fullness, context, 2);
  const width = fullness * girth;
  const panel = stripPanel({ id: "flounce", name: "Flounce", is: IS }, width, depth, from, EDGE.name);
  return {
    panels: [panel],
    numbers: { strip: quantity(width, say`${ratio(fullness)} x sewn leg ${girth}`) },
    figures: { fullness: { ...ratio(fullness), sum: say`strip ${width} / sewn leg ${girth}` } },
    circle: null,
  };
}

/** A ratio solved for an asked hem, refused with the nearest hem that works where it leaves its range. */
function within(share: number, [least, most]: readonly [number, number], asked: Mm, hemAt: (share: number) => Mm) {
  if (share >= least && share <= most) return share;
  const [low, high] = [Math.ceil(hemAt(least)), Math.floor(hemAt(most))];
  throw new Refusal(
    "hemGirth",
    say`A flounce here ends in a hem of ${range(low, high)}, not ${asked}. Choose one of these, or start it elsewhere.`,
    share < least ? { least: low } : { most: high },
  );
}

/** A circle of the share whose hem measures what is asked: the outer edge is the seam and 2 pi x share x depth. */
export function circle(
  params: Params,
  lengths: readonly Mm[],
  depth: Mm,
  from: Mm,
  context: MoveContext,
): FlounceCloth {
  const hem = hemGirthOr("flounce", params.hemGirth, params.share, context);
  const girth = lengths.reduce((sum, l) => sum + l, 0);
  const drawn = (share: number, parts = params.parts): FlounceCloth =>
    circleOf(share, { ...params, parts }, lengths, depth, from, context);
  if (!hem) return drawn(numberOr("flounce", "share", params.share, context, 1));
  const points = numberOr("flounce", "points", params.points, context, 0);
  if (points === 0) {
    const hemAt = (share: number): Mm => girth + 2 * Math.PI * share * depth;
    return drawn(within((hem.mm - girth) / (2 * Math.PI * depth), CIRCLE_SHARE, hem.mm, hemAt));
  }
  // Points leave the circle, so the share is found by trying, with as few parts as it then takes.
  for (let parts = params.parts ?? 1; parts <= (params.parts ?? leastParts(CIRCLE_SHARE[1])); parts++) {
    const share = shareFor(
      hem.mm,
      (of) => hemOf(drawn(of, parts)),
      Math.min(CIRCLE_SHARE[1], parts * WIDEST_PART, points * WIDEST_POINT),
    );
    if (share !== null) return drawn(share, parts);
  }
  throw new Refusal(
    "hemGirth",
    say`No circle with these points ends in a hem of ${hem.mm}. Take fewer points, shallower valleys, or another hem.`,
  );
}

/** The share, up to `most`, whose hem measures what is asked, by bisection; null where none does. */
function shareFor(asked: Mm, hemAt: (share: number) => Mm, most: number): number | null {
  const [least] = CIRCLE_SHARE;
  return hemAt(least) > asked || hemAt(most) < asked ? null : solveRising(hemAt, asked, least, most);
}

/** Widest part of a circle cut in one piece: more than half would lie over itself once allowances are added. */
const WIDEST_PART = 0.55;

/** Share of a circle from one point to the next at most: beyond a half, no hollow line runs round from valley to point. */
const WIDEST_POINT = 0.5;

const leastParts = (share: number): number => Math.ceil(share / WIDEST_PART - 1e-9);

/** A ring whose inner edge is the sewn seam: radius = seam / (2 pi x share), shared between front and back as the seam is. */
function circleOf(
  share: number,
  params: Params,
  lengths: readonly Mm[],
  depth: Mm,
  from: Mm,
  context: MoveContext,
): FlounceCloth {
  const girth = lengths.reduce((sum, l) => sum + l, 0);
  const radius = girth / (2 * Math.PI * share);
  const whole = 2 * Math.PI * share;
  const least = leastParts(share);
  // Asked for in one piece, a whole circle is cut as half of it on the fold.
  const onFold = share === 1 && params.parts === 1;
  const parts = onFold ? 1 : Math.max(least, params.parts ?? least);
  if (params.parts !== undefined && params.parts < least && !onFold) {
    throw new Refusal(
      "parts",
      say`This share of a circle takes at least ${count(least)} parts: one part is half a circle at most, or a whole one.`,
    );
  }
  const points = numberOr("flounce", "points", params.points, context, 0);
  const fewest = Math.ceil(share / WIDEST_POINT - 1e-9);
  if (points > 0 && points < fewest)
    throw new Refusal(
      "points",
      say`From one point to the next the edge takes half a circle at most, so this share has ${count(fewest)} points or more.`,
    );
  const valley = points > 0 ? (paramOr("flounce", "valley", params.valley, context)?.mm ?? Math.min(60, depth / 3)) : 0;
  if (valley > depth * 0.8) throw new Refusal("valley", say`The valleys would cut into the flounce's seam.`);
  const turns = onFold
    ? [Math.PI]
    : parts % 2 === 0
      ? lengths.flatMap((l) => Array.from({ length: parts / 2 }, () => (whole * l) / girth / (parts / 2)))
      : Array.from({ length: parts }, () => whole / parts);
  const word = (i: number): string => {
    if (parts === 1) return "";
    if (parts === 2) return i === 0 ? "front" : "back";
    return `${i + 1}`;
  };
  const wavesTo = (i: number): number => (points * turns.slice(0, i).reduce((sum, turn) => sum + turn, 0)) / whole;
  const panels = turns.map((turn, i) =>
    ringPanel({
      id: ["flounce", word(i)].filter(Boolean).join("-"),
      name: listOf(["Flounce", word(i)].filter(Boolean), " "),
      is: IS,
      radius,
      depth,
      turn,
      from,
      points: (points * turn) / whole,
      before: wavesTo(i),
      valley,
      top: EDGE.name,
      ...(onFold && { onFold: true as const }),
    }),
  );
  return {
    panels,
    numbers: {
      radius: quantity(radius, say`sewn leg ${girth} / (2 x pi x ${ratio(share)})`),
      cutRadius: quantity(
        Math.max(0, radius - context.allowances.style),
        say`sewn radius ${radius} - allowance ${context.allowances.style}`,
      ),
      across: quantity(2 * (radius + depth), "twice radius and depth: the cloth a full circle needs"),
      ...(points > 0 && { valley: quantity(valley, "cut back between the points") }),
    },
    figures: { share: { ...ratio(share), sum: say`share of a circle` } },
    circle: { share, parts, onFold, points },
  };
}

/** What is cut of a circle, in words. */
export function circleWords({ share, parts, onFold, points }: Circle): Sentence {
  const named = share === 1 ? "a full circle" : share === 0.5 ? "half a circle" : say`${ratio(share)} of a circle`;
  const cut = onFold ? " in one piece" : parts > 1 ? say` in ${count(parts)} parts` : "";
  return say`${named}${cut}${points > 0 ? say`, ${count(points)} points,` : ""}`;
}
