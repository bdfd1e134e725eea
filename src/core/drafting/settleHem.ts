import { roleLength, type Panel } from "../pattern";
import { type Mm, Refusal } from "../units";
import { drawLegs } from "./draw";
import type { DrawnLegs } from "./drawn";
import { drawnLeg, hemGirthOf, type LegPlan, type PanelPlan, type Passing } from "./plan";

/** A hem that misses what was asked by more than this is drawn again. */
const CLOSE: Mm = 0.1;
const ROUNDS = 8;

const PANELS = ["front", "back"] as const;
type PerPanel = Readonly<Record<(typeof PANELS)[number], Mm>>;
type Widen = (plan: LegPlan, by: PerPanel) => LegPlan;

interface Settled {
  readonly plan: LegPlan;
  readonly legs: DrawnLegs;
}

const perPanel = (of: (panel: (typeof PANELS)[number]) => Mm): PerPanel => ({ front: of("front"), back: of("back") });

const wider = ({ side, inseam }: Passing, by: Mm): Passing => ({ side: side + by / 2, inseam: inseam - by / 2 });

/** Each panel's hem wider by an amount, half of it at either seam. */
const widened: Widen = (plan, by) => {
  const wide = (panel: PanelPlan, more: Mm): PanelPlan => ({ ...panel, hem: wider(panel.hem, more) });
  return { ...plan, front: wide(plan.front, by.front), back: wide(plan.back, by.back) };
};

/** A leg that comes upright above its hem: the turn goes with the hem. */
const widenedThrough: Widen = (plan, by) => ({
  ...widened(plan, by),
  turns: plan.turns.map((t, i) =>
    i === plan.turns.length - 1 ? { ...t, front: wider(t.front, by.front), back: wider(t.back, by.back) } : t,
  ),
});

const hemOf = (panel: Panel): Mm => roleLength(panel, "hem");

type MissOf = (legs: DrawnLegs) => PerPanel;

const size = (miss: PerPanel): Mm => Math.abs(miss.front) + Math.abs(miss.back);

/** Draws a plan again and again with its hems wider or narrower until nothing, or no less, is missed. */
function drawnNearest(
  plan: LegPlan,
  missOf: MissOf,
  widen: Widen,
): { readonly legs: DrawnLegs; readonly miss: PerPanel } {
  let legs = drawLegs(plan);
  let [off, miss] = [perPanel(() => 0), missOf(legs)];
  let rate = perPanel(() => 1);
  for (let round = 0; round < ROUNDS && size(miss) >= CLOSE; round++) {
    const next = perPanel((p) => off[p] + miss[p] / rate[p]);
    let drawn: DrawnLegs;
    try {
      drawn = drawLegs(widen(plan, next));
    } catch (error) {
      // A short leg may not reach the girth at all; what comes nearest stays.
      if (error instanceof Refusal) break;
      throw error;
    }
    const missed = missOf(drawn);
    if (size(missed) > size(miss)) break;
    rate = perPanel((p) => {
      const by = next[p] - off[p];
      return Math.abs(by) < 1e-9 ? rate[p] : Math.min(2, Math.max(0.1, (miss[p] - missed[p]) / by));
    });
    [off, miss, legs] = [next, missed, drawn];
  }
  return { legs, miss };
}

/**
 * The legs with front and back each as wide at the hem as wanted; where a short leg's thigh leaves one of them no way,
 * the other gives or takes what is missed, so that the girth is met.
 */
function settled(plan: LegPlan, wanted: PerPanel, widen: Widen): Settled {
  const apart = drawnNearest(plan, (legs) => perPanel((p) => wanted[p] - hemOf(legs[p])), widen);
  if (size(apart.miss) < 1) return { plan, legs: apart.legs };
  const together = drawnNearest(
    plan,
    (legs) => {
      const half = (wanted.front + wanted.back - hemOf(legs.front) - hemOf(legs.back)) / 2;
      return perPanel(() => half);
    },
    widen,
  );
  const missed = Math.abs(apart.miss.front + apart.miss.back);
  return { plan, legs: size(together.miss) < missed - CLOSE ? together.legs : apart.legs };
}

/** A leg that ends above a turn comes upright over so much of its last stretch, or this share of what lies below the crotch. */
const UPRIGHT: Mm = 30;
const UPRIGHT_SHARE = 0.25;

/**
 * A leg that ends above a turn it would have: led to the hem's width a little above the hem and straight down from there, so
 * that its hem is straight and square to both seams. Null where all its turns lie above its hem.
 */
function squared(plan: LegPlan): LegPlan | null {
  const { turns } = drawnLeg(plan);
  if (!plan.hemAsked || turns.length === plan.turns.length) return null;
  const { crotch, hem } = plan.levels;
  const level = hem - Math.min(UPRIGHT, UPRIGHT_SHARE * (hem - crotch));
  return {
    ...plan,
    turns: [...turns, { level, front: plan.front.hem, back: plan.back.hem, asked: true, squares: true }],
  };
}

/**
 * Draws the legs so that their trued hems measure what was asked, along their edges, front and back each their own
 * share of it. Returns them with the plan they are pulled by. Throws Refusal where the legs cannot be drawn.
 */
export function drawSettledLegs(plan: LegPlan): Settled {
  const girth = plan.hemAsked?.girth;
  if (girth === undefined || plan.levels.hem < drawnLeg(plan).hem) return { plan, legs: drawLegs(plan) };
  const planned = hemGirthOf(plan);
  const wanted = perPanel((p) => ((plan[p].hem.side - plan[p].hem.inseam) * girth) / planned);
  const short = squared(plan);
  return short ? { plan, legs: settled(short, wanted, widenedThrough).legs } : settled(plan, wanted, widened);
}
