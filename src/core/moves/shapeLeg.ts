import {
  choice,
  namedLength,
  length,
  levelList,
  statedLength,
  type StatedOf,
  levelSchema,
  LEVEL_NAMES,
} from "../params";
import { defineMove } from "./define";
import {
  hemGirthOf,
  panelWidths,
  passingAbove,
  passingBelow,
  passingOf,
  shiftPanel,
  turnGirth,
  type LegPlan,
  type Numbers,
  type Passing,
} from "../drafting";
import { quantity, type Mm, type Quantity, say, Refusal, range, isStated } from "../units";
import { paramOr, readParam, styleParam } from "./auto";
import { levelOf } from "./level";
import { legLevelsSchema, MOST_LEVELS, readLevels, refuseLevel, withLevels, type LegLevel } from "./legLevels";
import { type MoveContext, type StyleState } from "./move";
import { shapeHandles } from "./shapeHandles";
import { edgesOut, shapeDrawn, shapeWords } from "./shapeWords";

const PARAMS = {
  fall: choice("How the leg comes down: through the width where it turns, or in one line from hip and crotch point.", {
    label: "Comes down",
    options: [
      ["turned", "through knee and hem"],
      ["straight", "straight from hip and crotch"],
    ],
  }),
  start: namedLength("Where the flare or taper starts: a level, or a length below the waist.", levelSchema, {
    label: "Turns at",
    shown: "start",
    names: LEVEL_NAMES,
    tried: [200, 900],
  }),
  knee: length("Finished girth of one leg where it turns: at the knee line, or at start.", {
    gives: "knee",
    label: "Knee, one leg",
    shown: "knee",
    tried: [300, 800],
  }),
  hem: length("Finished girth of one leg at the hem.", {
    gives: "hem",
    label: "Hem, one leg",
    shown: "hem",
    clears: ["out"],
    tried: [200, 900],
  }),
  out: statedLength(
    "How far each of the four edges goes out from the turn, or from hip and crotch point, to the hem.",
    {
      leadsHem: true,
      label: "Or: out on each edge",
      shown: "out",
      negative: true,
      clears: ["hem"],
      tried: [-60, 200],
    },
  ),
  levels: levelList(
    "More widths on the way down, each at its level: thigh, knee, calf, ankle, a length, or one counted from another.",
    legLevelsSchema,
    {
      label: "More widths on the way",
      names: ["thigh", "knee", "calf", "ankle"],
      most: MOST_LEVELS,
      usual: { at: 700, girth: 480 },
    },
  ),
  backExtra: length("How much wider the back is than the front.", {
    movesWidth: true,
    label: "Back wider than front",
    shown: "backExtra",
    negative: true,
    tried: [0, 60],
  }),
  kneeToSide: statedLength("Width moved from the inseam's half to the side's where it turns.", {
    movesWidth: true,
    label: "Knee: inseam's half to side's",
    shown: "kneeToSide",
    negative: true,
    tried: [-40, 40],
  }),
  hemToSide: statedLength("Width moved from the inseam's half to the side's at the hem.", {
    movesWidth: true,
    label: "Hem: inseam's half to side's",
    shown: "hemToSide",
    negative: true,
    tried: [-40, 40],
  }),
};
type Params = StatedOf<typeof PARAMS>;

/** What the leg measures above its hem, from which an edge goes out: its last width, or straight down. */
const baseOf = (plan: LegPlan): Quantity => {
  const last = plan.turns.at(-1);
  return last
    ? quantity(turnGirth(last), "the width above")
    : quantity(hemGirthOf(plan), "straight down from hip and crotch point");
};

/** A parameter of the move or, while nothing has shaped the leg yet, of the style or its own sum. */
function askedOr(param: "knee" | "hem" | "out" | "backExtra", params: Params, first: boolean, context: MoveContext) {
  const own = params[param];
  if (first) return paramOr("shape-leg", param, own, context);
  return isStated(own) ? readParam(param, own, context, "as chosen") : null;
}

/** The hem asked for: a girth, or what each edge goes out; a number of the move's own beats the style's. */
function hemOf(params: Params, base: Quantity, first: boolean, context: MoveContext): Quantity | null {
  const flared = (each: Quantity): Quantity =>
    quantity(base.mm + 4 * each.mm, say`${base.mm} + 4 x ${each.mm} out`, { base, out: each });
  if (!isStated(params.hem) && params.out !== undefined)
    return flared(readParam("out", params.out, context, "as chosen"));
  const asked = askedOr("hem", params, first, context);
  if (asked) return asked;
  const out = first ? paramOr("shape-leg", "out", undefined, context) : null;
  return out && flared(out);
}

/** True where a number of the move or of the style gives the hem, not the style's own sum. */
function hemIsStated(params: Params, context: MoveContext): boolean {
  const given = [
    params.hem,
    params.out,
    styleParam("shape-leg", "hem", context),
    styleParam("shape-leg", "out", context),
  ];
  return given.some(isStated);
}

/** The width the move asks for where the leg turns, with its level; null where it asks for none. */
function turnOf(params: Params, first: boolean, state: StyleState, context: MoveContext): LegLevel | null {
  const { plan } = state;
  const asked = params.start ?? (first ? (styleParam("shape-leg", "start", context) as Params["start"]) : undefined);
  const ofStyle = first ? context.autos["shape-leg.start"]?.(context.measures) : undefined;
  const knee = askedOr("knee", params, first, context);
  // A leg that falls straight turns nowhere unless it is asked to; later moves add what they state.
  if (!knee && asked === undefined && (!first || plan.turns.length === 0)) return null;
  const own = plan.turns.find((turn) => !turn.asked);
  const level =
    asked !== undefined
      ? levelOf("start", asked, state, context)
      : (ofStyle ?? quantity(own?.level ?? plan.levels.knee, "the knee line"));
  refuseLevel("start", level, 60, state, context);
  if (knee) return { level, girth: knee };
  return { level, girth: own ? quantity(turnGirth(own), "as the block") : baseOf(plan) };
}

const refuseGirth = (param: string, at: string, girth: Quantity, extra: Quantity): void => {
  if (girth.mm < 80 + Math.abs(extra.mm) || girth.mm > 2500)
    throw new Refusal(param, say`A leg of ${girth.mm} at the ${at} cannot be cut. Choose ${range(120, 2500)}.`);
};

/**
 * True where the leg comes straight down: asked here, or of the style by the first line where that gives the knee no
 * width. A later line adds to what was asked before, and clears nothing unless it says so.
 */
function falls({ fall, knee, start }: Params, first: boolean, context: MoveContext): boolean {
  if (fall !== undefined) return fall === "straight";
  return first && styleParam("shape-leg", "fall", context) === "straight" && !isStated(knee) && start === undefined;
}

/** The plan with its leg straight down from hip and crotch point, the crease of each panel in its middle. */
function fallen(plan: LegPlan): LegPlan {
  const down = (panel: "front" | "back"): LegPlan["front"] => {
    const { hipX, sideAtCrotch, crotchX } = plan[panel];
    const own = plan.hang === "offset" ? plan[panel] : shiftPanel(plan[panel], -((sideAtCrotch ?? hipX) + crotchX) / 2);
    return { ...own, hem: { side: own.sideAtCrotch ?? own.hipX, inseam: own.crotchX } };
  };
  const [front, back] = [down("front"), down("back")];
  const width = ({ hem }: LegPlan["front"]): Mm => hem.side - hem.inseam;
  return { ...plan, turns: [], front, back, backExtra: width(back) - width(front) };
}

/** New widths where the leg turns, on its way and at the hem; side and inseam are redrawn and reconciled. */
export const shapeLeg = defineMove({
  id: "shape-leg",
  label: "Shape the leg",
  note: "Redraws side and inseam through new widths: straight, tapered or flared from any level, or through several.",
  params: PARAMS,
  redraws: true,
  widensHem: true,
  apply(state, params, context) {
    const first = !state.plan.shaped;
    const start = falls(params, first, context) ? fallen(state.plan) : state.plan;
    const extra =
      askedOr("backExtra", params, first, context) ??
      quantity(start.backExtra, "the block's own: back wider than front");
    const turn = turnOf(params, first, { ...state, plan: start }, context);
    const more = readLevels(params.levels, state, context);
    if (turn) refuseGirth("knee", "knee", turn.girth, extra);
    const moved = (param: "kneeToSide" | "hemToSide", girth: Mm): Quantity => {
      const by =
        params[param] === undefined
          ? quantity(0, "halved by the crease")
          : readParam(param, params[param], context, "moved from the inseam's half to the side's, on front and back");
      if (Math.abs(by.mm) > girth / 8)
        throw new Refusal(param, say`At most an eighth of the leg, ${girth / 8}, can be moved across the crease.`);
      return by;
    };
    const kneeToSide = turn && moved("kneeToSide", turn.girth.mm);
    const { plan: led, replaced } = withLevels(
      start,
      [...(turn ? [{ ...turn, toSide: kneeToSide?.mm ?? 0 }] : []), ...more],
      extra.mm,
      turn !== null,
    );
    const base = baseOf(led);
    const asked = hemOf(params, base, first, context);
    const hem = asked ?? quantity(hemGirthOf(start), first ? "as the block" : "as it was");
    refuseGirth("hem", "hem", hem, extra);
    const hemToSide = moved("hemToSide", hem.mm);
    const widths = panelWidths(hem.mm, extra.mm);
    const below = (panel: "front" | "back"): Passing =>
      led.turns.length === 0
        ? passingOf("kept", widths[panel], led[panel].hem, hemToSide.mm)
        : passingBelow(led.hang, widths[panel], passingAbove(led, panel, Infinity), hemToSide.mm);
    const keepsHem = !asked && !first && params.hemToSide === undefined;
    const shaped: LegPlan = {
      ...led,
      shaped: true,
      backExtra: extra.mm,
      hemAsked: keepsHem ? led.hemAsked : { girth: hem.mm, stated: hemIsStated(params, context) },
      front: { ...led.front, hem: keepsHem ? led.front.hem : below("front") },
      back: { ...led.back, hem: keepsHem ? led.back.hem : below("back") },
    };
    const out = quantity((hem.mm - base.mm) / 4, "a quarter of what the hem gains", { base, hem });
    const onTheWay = Object.fromEntries(
      more.flatMap(({ level, girth }, i) => [
        [`level${i + 1}`, level],
        [`girth${i + 1}`, girth],
      ]),
    );
    const numbers: Numbers = {
      ...(turn && { knee: turn.girth, start: turn.level, ...(kneeToSide && { kneeToSide }) }),
      ...onTheWay,
      hem,
      out,
      ...edgesOut(shaped),
      backExtra: extra,
      hemToSide,
      ...Object.fromEntries(replaced.map((t, i) => [`replaced${i + 1}`, quantity(turnGirth(t), "asked further up")])),
    };
    return {
      state: { ...state, plan: shaped },
      numbers,
    };
  },
  says: shapeWords,
  drawnAs: shapeDrawn,
  handlesOn: shapeHandles,
});
