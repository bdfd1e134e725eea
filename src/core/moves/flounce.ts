import { namedLength, length, choice, number, statedLength, type StatedOf } from "../params";
import { askedLength, defineMove } from "./define";
import {
  against,
  along,
  edgeOf,
  type EdgeRef,
  type Join,
  type Panel,
  ringPanel,
  stripPanel,
  rimLength,
  wholePanelOf,
} from "../pattern";
import { bisect, pathAt, pathLength } from "../geometry";
import { quantity, ratioText, type Mm, type Quantity, say, Refusal, range, ratio, count, type Figure } from "../units";
import { hemGirthOr, numberOr, paramOr, styleParam } from "./auto";
import { cutAcross, withoutPanels, wholeLegs } from "./legs";
import { levelHandle, levelOf, levelSchema, type LevelName } from "./level";
import { type Handle, type MoveContext, type StyleState } from "./move";

/** Least and most cloth to the seam it is gathered on. */
const STRIP_FULLNESS: readonly [number, number] = [1, 5];
/** Least and most of a circle. */
const CIRCLE_SHARE: readonly [number, number] = [0.2, 2];

const PARAMS = {
  start: namedLength("Where the leg ends and the flounce begins.", levelSchema, {
    label: "Starts at",
    shown: "start",
    names: ["knee", "calf"],
    tried: [200, 900],
  }),
  depth: length("How deep the flounce hangs; left auto, to the set length.", {
    label: "Depth",
    shown: "depth",
    tried: [60, 400],
  }),
  kind: choice("Part of a circle, or a straight strip gathered on.", {
    label: "Kind",
    options: [
      ["circle", "part of a circle"],
      ["gathered", "gathered strip"],
    ],
  }),
  share: number("Share of a circle: 1 is a full circle, 0.5 a half.", {
    label: "Share of a circle",
    least: CIRCLE_SHARE[0],
    most: CIRCLE_SHARE[1],
    step: 0.25,
    usual: 1,
    clears: ["hemGirth"],
    solvedBy: "hemGirth",
  }),
  fullness: number("Gathered: length of the strip to the seam.", {
    label: "Gathered: strip to seam",
    least: STRIP_FULLNESS[0],
    most: STRIP_FULLNESS[1],
    step: 0.25,
    usual: 2,
    clears: ["hemGirth"],
    solvedBy: "hemGirth",
  }),
  hemGirth: length("Finished hem of one leg; the share of a circle, or the fullness, is solved for it and gives way.", {
    label: "Or: hem of one leg",
    shown: "hemAfter",
    clears: ["share", "fullness"],
    tried: [300, 1400],
  }),
  surplus: statedLength("Left on the leg's end beyond its seam, to be trimmed when the flounce is sewn on.", {
    label: "Surplus on the leg, to trim",
    shown: "surplus",
    within: [0, 120],
    tried: [0, 60],
  }),
  parts: number("Into how many parts one flounce is divided.", {
    label: "Cut in parts",
    least: 1,
    most: 8,
    step: 1,
    usual: 2,
    whole: true,
  }),
  points: number("Points on the outer edge of one leg.", {
    label: "Points on the edge",
    least: 0,
    most: 24,
    step: 1,
    usual: 0,
    whole: true,
  }),
  valley: length("How far the valleys between the points are cut back.", {
    label: "Valleys cut back",
    shown: "valley",
    tried: [0, 120],
  }),
};
type Params = StatedOf<typeof PARAMS>;

const ID = "flounce";
const EDGE = { id: "leg-end", name: "flounce seam" };
const IS = wholePanelOf("legs", null, "flounce");
const LEAST_DEPTH: Mm = 40;
/** A flounce that has to start higher than usual is this deep. */
const USUAL_DEPTH: Mm = 150;

/** Cuts the leg off at a level and hangs part of a circle, or a gathered strip, from the sewn leg girth. */
export const flounce = defineMove({
  id: ID,
  label: "Add a flounce",
  note: "Cuts the leg off at a level and sews on part of a circle, or a gathered strip, as deep as the length asks.",
  params: PARAMS,
  redraws: false,
  apply(state, params, context) {
    const legs = wholeLegs(state, "start", this.label);
    const start = startOf(params, state, context);
    const depth = depthOf(params, start, state, context);
    const cut = cutAcross(state, legs, start.mm, ID, (panel) => ({ id: `${panel.id}-off`, name: "cut off" }), EDGE);
    const off = [`${legs.front.id}-off`, `${legs.back.id}-off`];
    const surplus = askedLength(ID, PARAMS, "surplus", params, context);
    const upper = withSurplus(withoutPanels(cut, off), surplus.mm);
    const sewn: readonly EdgeRef[] = [against(legs.front.id, EDGE.id), along(legs.back.id, EDGE.id)];
    const lengths = sewn.map((ref) => pathLength(edgeOf(panelIn(upper, ref.panel), ref.edge).path));
    const girth = lengths.reduce((sum, l) => sum + l, 0);
    const seam = quantity(girth, "the sewn leg at the start, front and back");
    const gathered = (params.kind ?? styleParam("flounce", "kind", context)) === "gathered";
    const made = gathered
      ? strip(params, girth, depth.mm, start.mm, context)
      : circle(params, lengths, depth.mm, start.mm, context);
    const joins: Join[] = [
      {
        id: "flounce",
        label: "Flounce seam",
        kind: "cut",
        by: ID,
        how: gathered ? "gathered" : "equal",
        leg: "both",
        a: sewn,
        // Half a circle on the fold is sewn on with both its halves.
        b: made.panels.flatMap((p) => [along(p.id, "top"), ...(p.worn?.ring?.isHalf ? [against(p.id, "top")] : [])]),
      },
      ...(made.panels.some((p) => p.worn?.ring?.isHalf) ? [] : made.panels).map((panel, i): Join => {
        const next = made.panels[(i + 1) % made.panels.length] as Panel;
        return {
          id: `flounce-join-${i + 1}`,
          label: "Flounce join",
          kind: "cut",
          by: ID,
          how: "equal",
          leg: "both",
          a: [along(panel.id, "end")],
          b: [against(next.id, "start")],
        };
      }),
    ];
    const end = edgeOf(panelIn(upper, legs.front.id), EDGE.id).path;
    const middle = pathAt(end, pathLength(end) / 2).point;
    const [first] = made.panels;
    const hemAt = first?.landmarks.hemMiddle;
    const handles: Handle[] = [
      levelHandle("flounce-start", legs.front.id, middle, "start", start.mm, "flounce starts"),
      ...(first && hemAt ? [levelHandle("flounce-depth", first.id, hemAt, "depth", depth.mm, "flounce depth")] : []),
    ];
    return {
      state: { ...upper, panels: [...upper.panels, ...made.panels], joins: [...upper.joins, ...joins] },
      template: gathered
        ? "End the leg {start} below the waist and gather a strip {strip} long and {depth} deep onto its {seam}."
        : `End the leg {start} below the waist and hang ${made.words} from its {seam}, sewn at a radius of {radius}, cut at {cutRadius}, {depth} deep.${surplus.mm > 0 ? " Leave {surplus} on the leg's end, to be trimmed." : ""}`,
      numbers: {
        start,
        depth,
        seam,
        surplus,
        hemAfter: quantity(hemOf(made), "hem of one leg, all parts of the flounce"),
        ...made.numbers,
      },
      figures: made.figures,
      shown: [],
      handles,
    };
  },
});

/** The legs with cloth left on beyond the seam that the flounce is sewn to. */
const withSurplus = (state: StyleState, surplus: Mm): StyleState =>
  surplus === 0
    ? state
    : {
        ...state,
        panels: state.panels.map((p) => ({
          ...p,
          edges: p.edges.map((e) =>
            e.id === EDGE.id && e.by === ID
              ? { ...e, surplus: { mm: surplus, says: "trim when the flounce is sewn on" } }
              : e,
          ),
        })),
      };

const panelIn = (state: StyleState, id: string): Panel => state.panels.find((p) => p.id === id) as Panel;

function startOf(params: Params, state: StyleState, context: MoveContext): Quantity {
  const asked = params.start ?? (styleParam("flounce", "start", context) as LevelName | undefined);
  const { crotch, hem, knee } = state.plan.levels;
  const usual = context.autos["flounce.start"]?.(context.measures) ?? quantity(knee, say`knee line ${knee}`);
  // Left to itself, the flounce of a garment that ends higher starts higher.
  const above = hem - USUAL_DEPTH;
  const start =
    asked !== undefined
      ? levelOf("start", asked, state, context)
      : usual.mm <= above
        ? usual
        : quantity(above, say`${USUAL_DEPTH} above the hem ${hem}`);
  const [least, most] = [crotch + 80, hem - LEAST_DEPTH];
  if (start.mm < least || start.mm > most) {
    throw new Refusal(
      "start",
      say`A flounce starts between ${range(least, most, "and")} below the waist here, not at ${start.mm}.`,
    );
  }
  return start;
}

function depthOf(params: Params, start: Quantity, state: StyleState, context: MoveContext): Quantity {
  const { hem } = state.plan.levels;
  const depth =
    paramOr("flounce", "depth", params.depth, context) ??
    quantity(hem - start.mm, say`set length ${hem} - start ${start.mm}`, { start });
  if (depth.mm < LEAST_DEPTH || depth.mm > 1200)
    throw new Refusal("depth", say`A flounce is between ${range(40, 1200, "and")} deep.`);
  return depth;
}

interface Made {
  readonly panels: readonly Panel[];
  readonly numbers: Readonly<Record<string, Quantity>>;
  readonly figures: Readonly<Record<string, Figure>>;
  readonly words: string;
}

const hemOf = ({ panels }: Made): Mm => panels.reduce((sum, p) => sum + rimLength(p, "hem"), 0);

function strip(params: Params, girth: Mm, depth: Mm, from: Mm, context: MoveContext): Made {
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
    words: "",
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
function circle(params: Params, lengths: readonly Mm[], depth: Mm, from: Mm, context: MoveContext): Made {
  const hem = hemGirthOr("flounce", params.hemGirth, params.share, context);
  const girth = lengths.reduce((sum, l) => sum + l, 0);
  const drawn = (share: number, parts = params.parts): Made =>
    circleOf(share, { ...params, parts }, lengths, depth, from, context);
  if (!hem) return drawn(numberOr("flounce", "share", params.share, context, 1));
  if (numberOr("flounce", "points", params.points, context, 0) === 0) {
    const hemAt = (share: number): Mm => girth + 2 * Math.PI * share * depth;
    return drawn(within((hem.mm - girth) / (2 * Math.PI * depth), CIRCLE_SHARE, hem.mm, hemAt));
  }
  // Points leave the circle, so the share is found by trying, with as few parts as it then takes.
  for (let parts = params.parts ?? 1; parts <= (params.parts ?? leastParts(CIRCLE_SHARE[1])); parts++) {
    const share = shareFor(hem.mm, (of) => hemOf(drawn(of, parts)), Math.min(CIRCLE_SHARE[1], parts * WIDEST_PART));
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
  return hemAt(least) > asked || hemAt(most) < asked ? null : bisect(hemAt, asked, least, most);
}

/** Widest part of a circle cut in one piece: more than half would lie over itself once allowances are added. */
const WIDEST_PART = 0.55;

const leastParts = (share: number): number => Math.ceil(share / WIDEST_PART - 1e-9);

/** A ring whose inner edge is the sewn seam: radius = seam / (2 pi x share), shared between front and back as the seam is. */
function circleOf(
  share: number,
  params: Params,
  lengths: readonly Mm[],
  depth: Mm,
  from: Mm,
  context: MoveContext,
): Made {
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
      name: ["Flounce", word(i)].filter(Boolean).join(" "),
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
  const named = share === 1 ? "a full circle" : share === 0.5 ? "half a circle" : `${ratioText(share)} of a circle`;
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
    figures: { share: { ...ratio(share), sum: ["share of a circle"] } },
    words: `${named}${onFold ? " in one piece" : parts > 1 ? ` in ${parts} parts` : ""}${points > 0 ? `, ${points} points,` : ""}`,
  };
}
