import { length, statedLength, onTable, type StatedOf } from "../params";
import { defineMove } from "./define";
import {
  edgeOf,
  edgesWithRole,
  panelOutline,
  roleLength,
  smallestRadius,
  type Panel,
  TIGHTEST_TURNED,
  CannotOpen,
} from "../pattern";
import { pathLength, polygonSelfCrossing, secant, bracket } from "../geometry";
import { quantity, type Mm, type Quantity, type Radians, Refusal, say } from "../units";
import { hemGirthOr, paramOr, readParam } from "./auto";
import { wholeLegs } from "./legs";
import { type MoveContext } from "./move";
import { cutsSchema, planCuts, share } from "./spreadCuts";
import { type SpreadPanel, unopened, spreadPanel, shownOf, hemHandles, slashHandles } from "./spreadPanel";

const PARAMS = {
  hemSpread: length("Sum of the openings of one panel at the hem.", {
    leadsHem: true,
    takesCloth: true,
    label: "Opened, each panel",
    shown: "hemSpread",
    clears: ["hemGirth"],
    tried: [-60, 400],
  }),
  hemGirth: statedLength("Finished hem of one leg; beats hemSpread.", {
    gives: "hem",
    label: "Or: hem of one leg",
    shown: "hemAfter",
    clears: ["hemSpread"],
    tried: [300, 1400],
  }),
  slashAt: statedLength("How far from the crease toward the side the slash runs.", {
    label: "Slash, from the crease to the side",
    shown: "slashAt",
    negative: true,
    tried: [-80, 80],
  }),
  hingeAt: statedLength("How far below the hip line the side hinge lies.", {
    label: "Hinge, below the hip line",
    shown: "hingeAt",
    negative: true,
    tried: [-60, 200],
  }),
  cuts: onTable(
    "The slashes; left out, each panel is slashed up the crease and hinged at hip and crotch point.",
    cutsSchema,
    { label: "Slashes", leadsHem: true },
  ),
};
type Params = StatedOf<typeof PARAMS>;

/** Slash and spread, hinged: the hem grows by the gaps, side seam and inseam keep their lengths. */
export const spread = defineMove({
  id: "spread",
  label: "Slash and spread",
  note: "Slashes each panel up the crease, hinges it at hip and crotch point and opens it at the hem.",
  params: PARAMS,
  redraws: false,
  widensHem: true,
  apply(state, params, context) {
    const legs = wholeLegs(state, "cuts", this.label, ["side", "hem", "inseam", "crotch"]);
    const panels = [legs.front, legs.back];
    const offset = (param: "slashAt" | "hingeAt", usual: string): Quantity =>
      params[param] === undefined ? quantity(0, usual) : readParam(param, params[param], context, "as chosen");
    const [slashAt, hingeAt] = [offset("slashAt", "on the crease"), offset("hingeAt", "on the hip line")];
    const planned = new Map(
      panels.map((panel) => [panel.id, planCuts(panel, params.cuts, context, slashAt.mm, hingeAt.mm)]),
    );
    const at = (sum: Mm): SpreadPanel[] =>
      panels.map((panel) => spreadPanel(panel, share(planned.get(panel.id) ?? [], sum)));
    const amount = askedSpread(params, context, panels, at);
    const spreadPanels = amount.asked.mm === 0 && !params.cuts ? panels.map(unopened) : refusing(at, amount);
    const [front, back] = [spreadPanels[0] as SpreadPanel, spreadPanels[1] as SpreadPanel];
    const hem = hemOf(spreadPanels);
    const each = quantity(amount.asked.mm / 2, "half of the panel's opening in each wedge");
    return {
      state: {
        ...state,
        panels: state.panels.map((p) => spreadPanels.find((s) => s.panel.id === p.id)?.panel ?? p),
      },
      numbers: {
        hemSpread: amount.asked,
        eachGap: each,
        slashAt,
        hingeAt,
        hemBefore: quantity(hemOf(panels.map(unopened)), "hem of one leg before the spread"),
        hemAfter: quantity(hem, "trued hem of one leg"),
        crotchChange: quantity(
          crotchOf(spreadPanels.map((s) => s.panel)) - crotchOf(panels),
          "crotch seam after less before: its curve turns with the inseam, to stay square to it",
        ),
        frontCreaseGrowth: quantity(front.growth, "the trued front hem below the set length, at the crease"),
        backCreaseGrowth: quantity(back.growth, "the trued back hem below the set length, at the crease"),
      },
      shown: spreadPanels.map(shownOf),
      handles: spreadPanels.flatMap((s) => [
        ...hemHandles(s, amount.asked.mm),
        ...(params.cuts ? [] : slashHandles(s, slashAt.mm, hingeAt.mm)),
      ]),
    };
  },
  remarks: ({ hemBefore, hemAfter, frontCreaseGrowth, backCreaseGrowth, crotchChange }) =>
    hemBefore && hemAfter && frontCreaseGrowth && backCreaseGrowth && crotchChange
      ? say`Hem ${hemBefore} to ${hemAfter}. Side seam and inseam keep their length; along the crease the front hangs ${frontCreaseGrowth}, the back ${backCreaseGrowth} lower. The crotch seam, turned with the inseam, changes by ${crotchChange}.`
      : null,
  says: () => "Slash up the crease, hinge at hip and crotch point, open {hemSpread} a panel at the hem.",
});

/** How much to open: the move's own numbers, else the style's, `hemGirth` before `hemSpread`. */
function askedSpread(
  params: Params,
  context: MoveContext,
  panels: readonly Panel[],
  at: (sum: Mm) => SpreadPanel[],
): { readonly asked: Quantity; readonly param: "hemSpread" | "hemGirth" } {
  const girth = hemGirthOr("spread", params.hemGirth, params.hemSpread, context);
  if (!girth) {
    const asked = paramOr("spread", "hemSpread", params.hemSpread, context) ?? quantity(0, "nothing asked");
    return { asked, param: "hemSpread" };
  }
  const closed = hemOf(panels.map(unopened));
  if (girth.mm < closed * 0.6) {
    throw new Refusal(
      "hemGirth",
      say`The hem already measures ${closed} before spreading. Narrow the leg first, or ask for more.`,
    );
  }
  const guess = (girth.mm - closed) / 2;
  // Near nothing the secant needs two different starts; elsewhere the gaps themselves are within two percent.
  const hemAt = (sum: Mm): Mm => {
    try {
      return hemOf(at(sum));
    } catch (error) {
      // A slash too short for its gap: the girth lies beyond what this leg can be opened to.
      if (error instanceof CannotOpen) return NaN;
      throw error;
    }
  };
  const found = secant((sum) => hemAt(sum) - girth.mm, guess, guess * 1.02 + 1, { tolerance: 1e-4, steps: 25 });
  if (found === null) {
    throw new Refusal(
      "hemGirth",
      say`A hem of ${girth.mm} cannot be reached by spreading a leg this short. Ask for less, or make it longer.`,
    );
  }
  return {
    asked: quantity(found, say`solved for a hem of ${girth.mm} a leg`, { hemGirth: girth }),
    param: "hemGirth",
  };
}

/** A wedge opened wider than this swings its part of the leg out so far that no fair hem lies under it (45 degrees). */
const WIDEST_SWING: Radians = Math.PI / 4;

/** A crotch curve turned so far with its inseam that it can no longer be sewn. */
const tooSharp = (panel: Panel): boolean =>
  edgesWithRole(panel, "crotch").some((edge) => smallestRadius(edge.path) < TIGHTEST_TURNED - 0.5);

/** Spreads, and turns what cannot be done into a sentence that names the largest amount that works. */
function refusing(
  at: (sum: Mm) => SpreadPanel[],
  amount: { readonly asked: Quantity; readonly param: string },
): SpreadPanel[] {
  const works = (sum: Mm): SpreadPanel[] | null => {
    try {
      const done = at(sum);
      const bad = ({ panel, opened }: SpreadPanel): boolean =>
        opened.some((cut) => Math.abs(cut.angle) > WIDEST_SWING) ||
        tooSharp(panel) ||
        polygonSelfCrossing(panelOutline(panel)) !== null;
      return done.some(bad) ? null : done;
    } catch (error) {
      if (error instanceof CannotOpen) return null;
      throw error;
    }
  };
  const done = works(amount.asked.mm);
  if (done) return done;
  const halvings = Math.ceil(Math.log2(Math.max(1, Math.abs(amount.asked.mm)) / 0.5));
  const [good] = bracket((opened) => works(opened) !== null, 0, amount.asked.mm, halvings);
  const sum = Math.floor(Math.abs(good)) * Math.sign(good);
  const [asked, largest] =
    amount.param === "hemGirth"
      ? [say`A hem of ${hemOf(at(amount.asked.mm))}`, Math.floor(hemOf(at(sum)))]
      : [say`${amount.asked.mm < 0 ? "Laying over" : "Opening"} ${Math.abs(amount.asked.mm)} a panel`, sum];
  throw new Refusal(
    amount.param,
    say`${asked} would lay the pattern over itself, swing a short leg out like a wing, or bend the crotch curve too sharply to sew. The largest that works is ${largest}.`,
    amount.asked.mm < 0 ? { least: largest } : { most: largest },
  );
}

function crotchOf(panels: readonly Panel[]): Mm {
  return panels.reduce((sum, panel) => sum + roleLength(panel, "crotch"), 0);
}

function hemOf(panels: readonly SpreadPanel[]): Mm {
  return panels.reduce((sum, s) => sum + pathLength(edgeOf(s.panel, "hem").path), 0);
}
