import { length, number, statedLength } from "../params";
import { askedLength, defineMove } from "./define";
import { withHipWideWaist, type LegPlan, type PanelPlan, type Passing } from "../drafting";
import { quantity, type Mm, Refusal, say, range, ratio } from "../units";
import { hemGirthOr, paramOr } from "./auto";
import { landmarkHandles, levelHandle } from "./level";
import { widenOwn } from "./ownMaps";

const PARAMS = {
  side: length("Out at the side on the hip line, squared down from there; per panel.", {
    label: "Out at the side",
    shown: "side",
    negative: true,
    usual: { mm: 25, where: "a panel" },
    tried: [-50, 150],
  }),
  inseamShare: number("Share of what the side gained at the hem that the inseam gains too (a third by default).", {
    leadsHem: true,
    label: "Inseam gains, share of the side",
    least: 0,
    most: 1,
    step: 0.05,
    usual: 0.33,
    clears: ["inseam", "hemGirth"],
    solvedBy: "hemGirth",
  }),
  inseam: statedLength("Out at the inseam, instead of a share.", {
    leadsHem: true,
    label: "Or: out at the inseam",
    shown: "inner",
    clears: ["hemGirth", "inseamShare"],
    tried: [0, 80],
  }),
  hemGirth: length("Finished hem of one leg: the inseam gains what the sides leave of it. Beats the share.", {
    gives: "hem",
    label: "Or: hem of one leg",
    shown: "hemGirth",
    clears: ["inseam", "inseamShare"],
    tried: [300, 1400],
  }),
};

const USUAL_SHARE = 1 / 3;
/** The hem goes on at least this far from the crease to the inseam. */
const LEAST_INNER_HALF: Mm = 30;
/** For each millimetre down an inseam runs in or out by at most this much, or neither crotch nor hem can be turned. */
const STEEPEST = { in: 0.4, out: 0.9 };

/** What each inseam gains so that the hem of one leg measures `girth` with the sides `out` further out. */
function innerFor(girth: Mm, { front, back, levels }: LegPlan, out: Mm): Mm {
  const down = levels.hem - levels.crotch;
  // By how much an inseam stands further out at the hem than at the crotch point.
  const beyond = [front, back].map((panel) => panel.crotchX - panel.hem.inseam);
  const most = STEEPEST.out * down - Math.max(...beyond);
  const least = Math.max(
    0 - STEEPEST.in * down - Math.min(...beyond),
    Math.max(front.hem.inseam, back.hem.inseam) + LEAST_INNER_HALF,
  );
  const around = (inner: Mm): Mm => front.hipX + back.hipX + 2 * out - front.hem.inseam - back.hem.inseam + 2 * inner;
  const inner = (girth - around(0)) / 2;
  if (inner >= least && inner <= most) return inner;
  const [low, high] = [Math.ceil(around(least)), Math.floor(around(most))];
  throw new Refusal(
    "hemGirth",
    say`The sides, squared down, leave a hem of ${range(low, high)}, not ${girth}. Choose one of these, move the sides, or shape the leg instead.`,
    inner < least ? { least: low } : { most: high },
  );
}

/** Out at the side on the hip line and squared down; the inseam gains a share of what the hem gained at the side. */
export const widenLeg = defineMove({
  id: "widen-leg",
  label: "Widen the leg",
  note: "Moves the side out and squares it down; the inseam gains a third of what the hem gained, or as chosen.",
  params: PARAMS,
  redraws: true,
  widensHem: true,
  apply(state, params, context) {
    const { plan } = state;
    const out = askedLength("widen-leg", PARAMS, "side", params, context);
    if (out.mm < -60 || out.mm > 200) {
      throw new Refusal("side", say`A side ${out.mm} further out is refused. Choose ${range(-60, 200)}.`);
    }
    const share = params.inseamShare ?? USUAL_SHARE;
    const own = params.inseam === undefined ? null : paramOr("widen-leg", "inseam", params.inseam, context);
    const gained = (panel: PanelPlan): Mm => panel.hipX + out.mm - panel.hem.side;
    const girth = own ? null : hemGirthOr("widen-leg", params.hemGirth, params.inseamShare, context);
    // Front and back gain alike at the inseam, by the front's hem, or by what the sides leave of an asked one.
    const inner = own?.mm ?? (girth ? innerFor(girth.mm, plan, out.mm) : share * Math.max(0, gained(plan.front)));
    // A hem that takes width away tapers straight from the crotch; one that adds it is squared down from the knee.
    const { crotch, hem } = plan.levels;
    const innerAt = (level: Mm): Mm =>
      inner < 0 ? (inner * (level - crotch)) / Math.max(hem - crotch, level - crotch) : inner;
    const widened = (panel: PanelPlan): PanelPlan => {
      const side = panel.hipX + out.mm;
      return {
        ...panel,
        hipX: side,
        sideAtCrotch: null,
        hem: { side, inseam: panel.hem.inseam - inner },
      };
    };
    const drafted: LegPlan = {
      ...plan,
      hang: "side",
      turns: plan.turns.map((turn) => {
        const at = (panel: "front" | "back"): Passing => ({
          side: plan[panel].hipX + out.mm,
          inseam: turn[panel].inseam - innerAt(turn.level),
        });
        return { ...turn, front: at("front"), back: at("back") };
      }),
      hemAsked: girth && { girth: girth.mm, stated: true },
      front: widened(plan.front),
      back: widened(plan.back),
    };
    return {
      state: { ...state, plan: plan.own ? widenOwn(plan, out.mm, inner) : withHipWideWaist(drafted) },
      numbers: {
        side: out,
        ...(girth && { hemGirth: girth }),
        gain: quantity(gained(plan.front), "front hem at the side, after less before"),
        inner:
          own ??
          (girth
            ? quantity(inner, say`half of what the sides leave of a hem of ${girth.mm}`, { hemGirth: girth })
            : quantity(inner, say`${ratio(share)} of what the front hem gained at the side`)),
      },
    };
  },
  says: () =>
    "Move the side out {side} on the hip line and square it down; the hem gains {gain} there, and the inseam {inner}.",
  handlesOn: (_plan, { side }, panels) =>
    side
      ? landmarkHandles(panels, "hipSide", (at, root) => ({
          ...levelHandle(`${root}-widen`, root, at, "side", side.mm, "out at the side"),
          axis: [Math.sign(at[0]) || 1, 0],
          least: -60,
        }))
      : [],
});
