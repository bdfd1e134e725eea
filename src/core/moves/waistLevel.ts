import { length } from "../params";
import { defineMove } from "./define";
import { landmarkOf, panelOutline, sectionWidth } from "../pattern";
import { ABOVE_HIP, drawSettledLegs, withHipWideWaist, type LegPlan, type PanelPlan } from "../drafting";
import { pointRotate, type Point } from "../geometry";
import { quantity, type Mm, type Quantity, Refusal, say, range } from "../units";
import { paramOr } from "./auto";
import { landmarkHandles, levelHandle } from "./level";
import type { MoveResult, StyleState } from "./move";
import { lowerOwn } from "./ownMaps";

const PARAMS = {
  by: length("How far up the waist line moves (negative: down).", {
    label: "Up by",
    shown: "by",
    negative: true,
    tried: [-100, 120],
  }),
};

/** Least height of a panel between waist line and hip line. */
const LEAST_ABOVE_HIP = 40;

/** A dart whose mouth the lowered waist leaves narrower than this is gone. */
const LEAST_DART: Mm = 3;

/**
 * What a lowered waist finds of a panel: its width along a line that much below the old waist and parallel to it, darts
 * closed, and what is left of the darts. The body is wider there, so the edge is; kept at the old girth it would bind.
 */
function recutter(plan: LegPlan, down: Mm): (panel: "front" | "back") => PanelPlan {
  const { legs } = drawSettledLegs(plan);
  return (id) => {
    const panel = legs[id];
    const own = plan[id];
    const [centre, side] = [landmarkOf(panel, "waistCentre"), landmarkOf(panel, "waistSide")];
    // Turned so that the waist lies level.
    const [left, right] = centre[0] < side[0] ? [centre, side] : [side, centre];
    const level = (p: Point): Point => pointRotate(p, left, 0 - Math.atan2(right[1] - left[1], right[0] - left[0]));
    const outline = panelOutline(panel).map(level);
    const darts = panel.lines.filter((l) => l.kind === "dart").map((l) => l.points.map(level));
    const mouths = (at: Mm): Mm => darts.reduce((sum, dart) => sum + sectionWidth(dart, left[1] + at), 0);
    const net = (at: Mm): Mm => sectionWidth(outline, left[1] + at) - mouths(at);
    // The waist itself is curved: what straight lines near it would measure is read off two lines below it.
    const rate = (net(2 * READ_AT) - net(READ_AT)) / READ_AT;
    const gained = down < READ_AT ? rate * down : net(down) - net(READ_AT) + rate * READ_AT;
    const taken = down < READ_AT ? own.darts.count * own.darts.intake * (1 - down / own.darts.length) : mouths(down);
    const intake = own.darts.count === 0 ? 0 : taken / own.darts.count;
    const kept = intake >= LEAST_DART;
    return {
      ...own,
      netWaist: own.netWaist + gained,
      darts: {
        ...own.darts,
        count: kept ? own.darts.count : 0,
        intake: kept ? intake : 0,
        length: own.darts.length - down,
      },
    };
  };
}

/** Clear of the waist's own curve. */
const READ_AT: Mm = 20;

/** A block that was brought in is cut lower along its own lines; there is nothing above it to be raised to. */
function ownLowered(state: StyleState, by: Quantity): MoveResult {
  const { plan } = state;
  const most = plan.levels.hip - LEAST_ABOVE_HIP;
  if (by.mm > 0 || -by.mm > most)
    throw new Refusal(
      "by",
      say`The waist of a block brought in can be cut ${range(0, most)} lower; above it there is nothing drawn.`,
      by.mm > 0 ? { most: 0 } : { least: -most },
    );
  const lowered = by.mm === 0 ? plan : lowerOwn(plan, -by.mm);
  const waist = 2 * (lowered.front.netWaist + lowered.back.netWaist);
  return {
    state: { ...state, plan: { ...lowered, levels: { ...plan.levels, waist: plan.levels.waist - by.mm } } },
    numbers: {
      amount: quantity(-by.mm, by.sum, { by }),
      by,
      waist: quantity(waist, "sewn waist of both legs, darts closed"),
    },
  };
}

/** Moves the waist line: lowered, the panels are cut again further down; raised, the waist's girth stays. */
export const waistLevel = defineMove({
  id: "waist-level",
  label: "Move the waist line",
  note: "Cuts the waist edge lower, as wide as the panels are there, or raises it; other levels still count from the natural waist.",
  params: PARAMS,
  redraws: true,
  apply(state, params, context) {
    const { plan } = state;
    const { levels } = plan;
    const by = paramOr("waist-level", "by", params.by, context) ?? quantity(0, "nothing asked");
    if (plan.own) return ownLowered(state, by);
    const waist = levels.waist - by.mm;
    if (levels.hip - waist < LEAST_ABOVE_HIP || by.mm > 200) {
      const lowest = levels.waist - levels.hip + LEAST_ABOVE_HIP;
      throw new Refusal(
        "by",
        say`The waist line can move between ${range(lowest, 200, "and")} here, not ${by.mm}.`,
        by.mm > 200 ? { most: 200 } : { least: lowest },
      );
    }
    const recut = by.mm < 0 ? recutter(plan, -by.mm) : (panel: "front" | "back"): PanelPlan => plan[panel];
    // Darts end clear of the hip line however low the waist comes.
    const room = levels.hip - waist - ABOVE_HIP;
    const shorter = (panel: PanelPlan): PanelPlan => ({
      ...panel,
      darts: { ...panel.darts, length: Math.max(25, Math.min(panel.darts.length, room)) },
    });
    const moved: LegPlan = {
      ...plan,
      levels: { ...levels, waist },
      front: shorter(recut("front")),
      back: shorter(recut("back")),
    };
    return {
      state: { ...state, plan: withHipWideWaist(moved) },
      numbers: {
        amount: quantity(Math.abs(by.mm), by.sum, { by }),
        by,
        waist: quantity(2 * (moved.front.netWaist + moved.back.netWaist), "sewn waist of both legs, darts closed"),
      },
    };
  },
  says: ({ plan, numbers: { by } }) =>
    plan.own
      ? "Cut the waist of the block {amount} lower, {waist} round; all levels still count from where it was."
      : by && by.mm < 0
        ? "Lower the waist line by {amount} and cut the panels there, {waist} round; all levels still count from the natural waist."
        : "Raise the waist line by {amount}; all levels still count from the natural waist.",
  handlesOn: (_plan, { by }, panels) =>
    by
      ? landmarkHandles(panels, "waistSide", (at, root) => ({
          ...levelHandle(`${root}-waist`, root, at, "by", by.mm, "waist", true),
          least: -300,
        }))
      : [],
});
