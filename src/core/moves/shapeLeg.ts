import { namedLength, length, statedLength, type StatedOf } from "../params";
import { defineMove } from "./define";
import { isOf, legOf, rimLength, type Panel } from "../pattern";
import { legGirthAt, panelWidths, passingOf, type LegPlan } from "../drafting";
import { quantity, type Mm, type Quantity, say, Refusal, range, isStated } from "../units";
import { paramOr, readParam, styleParam } from "./auto";
import { levelHandle, levelOf, levelSchema, LEVEL_NAMES } from "./level";
import { type Handle, type MoveContext } from "./move";

const PARAMS = {
  start: namedLength("Where the flare or taper starts: a level, or a length below the waist.", levelSchema, {
    label: "Turns at",
    shown: "start",
    names: LEVEL_NAMES,
    tried: [200, 900],
  }),
  knee: length("Finished girth of one leg where it turns: at the knee line, or at start.", {
    label: "Knee, one leg",
    shown: "knee",
    tried: [300, 800],
  }),
  hem: length("Finished girth of one leg at the hem.", {
    label: "Hem, one leg",
    shown: "hem",
    clears: ["out"],
    tried: [200, 900],
  }),
  out: statedLength("How far each of the four edges flares from the turn to the hem.", {
    label: "Or: out on each edge",
    shown: "out",
    negative: true,
    clears: ["hem"],
    tried: [200, 900],
  }),
  backExtra: length("How much wider the back is than the front.", {
    label: "Back wider than front",
    shown: "backExtra",
    negative: true,
    tried: [0, 60],
  }),
  kneeToSide: statedLength("Width moved from the inseam's half to the side's where it turns.", {
    label: "Knee: inseam's half to side's",
    shown: "kneeToSide",
    negative: true,
    tried: [-40, 40],
  }),
  hemToSide: statedLength("Width moved from the inseam's half to the side's at the hem.", {
    label: "Hem: inseam's half to side's",
    shown: "hemToSide",
    negative: true,
    tried: [-40, 40],
  }),
};
type Params = StatedOf<typeof PARAMS>;

interface Shares {
  readonly knee: Mm;
  readonly hem: Mm;
}

function reshaped(plan: LegPlan, panel: "front" | "back", widths: Shares, toSide: Shares): LegPlan["front"] {
  const now = plan[panel];
  return {
    ...now,
    knee: passingOf(plan.hang, widths.knee, now.knee, toSide.knee),
    hem: passingOf(plan.hang, widths.hem, now.hem, toSide.hem),
  };
}

/** The hem asked for: a girth, or what each edge flares; a number of the move's own beats the style's. */
function hemOf(params: Params, knee: Quantity, plan: LegPlan, context: MoveContext): Quantity {
  const stated = isStated(params.hem);
  const flared = (each: Quantity): Quantity =>
    quantity(knee.mm + 4 * each.mm, say`${knee.mm} + 4 x ${each.mm} out`, { knee, out: each });
  if (!stated && params.out !== undefined) return flared(readParam("out", params.out, context, "as chosen"));
  const asked = paramOr("shape-leg", "hem", params.hem, context);
  if (asked) return asked;
  const out = paramOr("shape-leg", "out", undefined, context);
  return out ? flared(out) : quantity(legGirthAt(plan, "hem"), "as the block");
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

/** New widths where the leg turns and at the hem, equal about the crease; side and inseam are redrawn and reconciled. */
export const shapeLeg = defineMove({
  id: "shape-leg",
  label: "Shape the leg",
  note: "Redraws side and inseam through new widths at knee and hem: straight, tapered or flared from any level.",
  params: PARAMS,
  redraws: true,
  apply(state, params, context) {
    const { plan } = state;
    const knee =
      paramOr("shape-leg", "knee", params.knee, context) ?? quantity(legGirthAt(plan, "knee"), "as the block");
    const hem = hemOf(params, knee, plan, context);
    const extra =
      paramOr("shape-leg", "backExtra", params.backExtra, context) ??
      quantity(plan.backExtra, "the block's own: back wider than front");
    const asked = params.start ?? (styleParam("shape-leg", "start", context) as Params["start"]);
    const start =
      asked === undefined
        ? (context.autos["shape-leg.start"]?.(context.measures) ?? quantity(plan.levels.turn, "the knee line"))
        : levelOf("start", asked, state, context);
    const least = plan.levels.crotch + 60;
    if (start.mm < least || start.mm > context.measures.waistToFloor.mm) {
      throw new Refusal(
        "start",
        say`A leg can turn between ${least} below the waist and the floor, not at ${start.mm}.`,
      );
    }
    for (const [param, girth] of [
      ["knee", knee],
      ["hem", hem],
    ] as const) {
      if (girth.mm < 80 + Math.abs(extra.mm) || girth.mm > 2500) {
        throw new Refusal(param, say`A leg of ${girth.mm} at the ${param} cannot be cut. Choose ${range(120, 2500)}.`);
      }
    }
    const moved = (param: "kneeToSide" | "hemToSide"): Quantity =>
      params[param] === undefined
        ? quantity(0, "halved by the crease")
        : readParam(param, params[param], context, "moved from the inseam's half to the side's, on front and back");
    const [kneeToSide, hemToSide] = [moved("kneeToSide"), moved("hemToSide")];
    for (const [param, by, girth] of [
      ["kneeToSide", kneeToSide, knee],
      ["hemToSide", hemToSide, hem],
    ] as const) {
      if (Math.abs(by.mm) > girth.mm / 8)
        throw new Refusal(param, say`At most an eighth of the leg, ${girth.mm / 8}, can be moved across the crease.`);
    }
    const toSide = { knee: kneeToSide.mm, hem: hemToSide.mm };
    const atKnee = panelWidths(knee.mm, extra.mm);
    const atHem = panelWidths(hem.mm, extra.mm);
    const shaped: LegPlan = {
      ...plan,
      levels: { ...plan.levels, turn: start.mm },
      backExtra: extra.mm,
      hemAsked: { girth: hem.mm, stated: hemIsStated(params, context) },
      front: reshaped(plan, "front", { knee: atKnee.front, hem: atHem.front }, toSide),
      back: reshaped(plan, "back", { knee: atKnee.back, hem: atHem.back }, toSide),
    };
    const straight = Math.abs(knee.mm - hem.mm) < 0.05;
    const elsewhere = Math.abs(start.mm - plan.levels.knee) > 0.5;
    const out = quantity((hem.mm - knee.mm) / 4, "a quarter of what the hem gains", { knee, hem });
    const where = elsewhere ? "{start} below the waist" : "the knee line";
    return {
      state: { ...state, plan: shaped },
      template: straight
        ? "Let the leg fall straight, {knee} round at knee and hem, shared about the crease."
        : hem.mm > knee.mm
          ? `Bring the leg to {knee} round at ${where} and flare it from there, {out} on each of the four edges, to {hem} at the hem.`
          : `Bring the leg to {knee} round at ${where} and taper it to {hem} at the hem, shared about the crease.`,
      numbers: { knee, hem, out, start, backExtra: extra, kneeToSide, hemToSide },
      shown: [],
      handles: [],
    };
  },
  handlesOn: (plan, { knee, hem, start, kneeToSide, hemToSide }, panels) =>
    knee && hem && start
      ? handlesOf({ knee: knee.mm, hem: hem.mm }, { knee: kneeToSide?.mm ?? 0, hem: hemToSide?.mm ?? 0 }, plan, panels)
      : [],
});

/** Knee and hem widths, pulled at both edges of both panels, both halves together or one alone; and the turn's level. */
function handlesOf(girths: Shares, toSide: Shares, plan: LegPlan, panels: readonly Panel[]): Handle[] {
  const { levels } = plan;
  const hemLevel = levels.hem;
  return (["front", "back"] as const).flatMap((panel): Handle[] => {
    // Panels are drawn with the front mirrored.
    const way = panel === "front" ? -1 : 1;
    const own = plan[panel];
    // What the hem measures in the end: lines below may have opened it further.
    const finished = legOf(panels, "right")
      .filter((p) => isOf(p, panel))
      .reduce((sum, p) => sum + rimLength(p, "hem"), 0);
    const handle = (param: "knee" | "hem", at: "side" | "inseam", y: Mm, clears: readonly string[]): Handle => ({
      id: `${panel}-${param}-${at}`,
      panel,
      root: panel,
      ofHem: param === "hem",
      at: [way * own[param][at], y],
      axis: [way * Math.sign(own[param][at] || 1), 0],
      param,
      clears,
      perMm: 4,
      value: girths[param],
      label: `${panel} ${param}`,
      reading: param === "hem" && finished > 0 ? finished : own[param].side - own[param].inseam,
      // One edge of front and back alone: the leg gains half as much, and half of that lies on this side of the crease.
      oneSide: {
        perMm: 2,
        also: [{ param: `${param}ToSide`, perMm: at === "side" ? 0.5 : -0.5, value: toSide[param] }],
      },
    });
    const turns = levels.turn < hemLevel - 40;
    return [
      ...(turns ? [handle("knee", "side", levels.turn, []), handle("knee", "inseam", levels.turn, [])] : []),
      ...(hemLevel > levels.turn + 100
        ? [handle("hem", "side", hemLevel, ["out"]), handle("hem", "inseam", hemLevel, ["out"])]
        : []),
      ...(turns && Math.abs(girths.hem - girths.knee) > 0.05
        ? [
            {
              ...levelHandle(`${panel}-start`, panel, [0, levels.turn], "start", levels.turn, "turns at"),
              root: panel,
              inside: true,
            },
          ]
        : []),
    ];
  });
}
