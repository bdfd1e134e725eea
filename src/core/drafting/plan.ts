import { type Edge, type PanelLine } from "../pattern";
import type { Mm } from "../units";
import type { Path, Point } from "../geometry";
import type { DartPlan } from "./waist";

/** A panel brought in, on its seam lines, in the canonical frame, with the levels it was placed by. */
export interface OwnPanel {
  readonly waist: readonly Edge[];
  readonly dartLines: readonly PanelLine[];
  /** Its own notches. */
  readonly notches: readonly Point[];
  readonly side: Path;
  readonly inseamDown: Path;
  readonly hem: Path;
  readonly crotch: Path;
  readonly hip: Point;
  readonly knee: Passing;
  readonly hemAt: Passing;
}

export interface OwnLegs {
  readonly front: OwnPanel;
  readonly back: OwnPanel;
  readonly hemLevel: Mm;
}

/** Levels in millimetres below the natural waist. */
export interface Levels {
  readonly waist: Mm;
  readonly hip: Mm;
  readonly crotch: Mm;
  readonly knee: Mm;
  readonly hem: Mm;
}

/** Where side and inseam pass a level: x from the crease, the inseam's negative. */
export interface Passing {
  readonly side: Mm;
  readonly inseam: Mm;
}

/** What steers a crotch curve; lengths as the maker asked for them. */
export interface CurvePlan {
  readonly steer: "diagonal" | "hipPoint" | "outAndUp";
  readonly start: "hip" | "halfway";
  readonly hollow: Mm;
  readonly out: Mm;
  readonly up: Mm;
}

/** Everything one panel is drawn from, in the canonical frame: crease at x = 0, centre to the left. */
export interface PanelPlan {
  /** `slanted`: one straight line from crotch line to waist. `bent`: upright up to the crotch curve's start, then to the waist. */
  readonly centre: "slanted" | "bent";
  /** x of the centre line at the crotch line and at the natural waist (bent: at the waist end). */
  readonly centreAtCrotch: Mm;
  readonly centreAtWaist: Mm;
  /** Upward from the waist line (negative: the centre drops). */
  readonly centreRise: Mm;
  readonly hipX: Mm;
  /** Where the side passes the crotch line, if what the hip has more stays at the hip line; else it runs on from the hip. */
  readonly sideAtCrotch: Mm | null;
  readonly crotchX: Mm;
  readonly extension: Mm;
  readonly curve: CurvePlan;
  readonly darts: DartPlan;
  readonly netWaist: Mm;
  readonly hem: Passing;
}

/** A level between crotch line and hem at which both panels are led through a width of their own. */
export interface Turn {
  readonly level: Mm;
  readonly front: Passing;
  readonly back: Passing;
  /** A move asked for it; the block's own gives way to the first that is asked for. */
  readonly asked: boolean;
  /** It lies just above the hem, as wide as that: the leg comes upright there. */
  readonly squares?: true;
}

/** `kept`: about the middle that a block brought in has at each level. */
export type Hang = "crease" | "side" | "inseam" | "offset" | "kept";

/**
 * The draft of a leg as numbers, before it is drawn. Moves that redraw side or inseam change the plan; drawing it
 * reconciles front and back, so they always agree.
 */
export interface LegPlan {
  readonly levels: Levels;
  readonly sideRise: Mm;
  readonly backShorter: Mm;
  /** How much lower the maker wants the back crotch line. */
  readonly dropAsked: Mm;
  readonly hang: Hang;
  /** A move has given it widths of its own: what a style would give it is not given again. */
  readonly shaped: boolean;
  /** Where the leg turns on its way down, from the top; without any, side and inseam run straight to the hem. */
  readonly turns: readonly Turn[];
  /** The level its hem's widths were drawn for: a shorter leg without a hem of its own is cut off that line. */
  readonly hemLine: Mm;
  /** How much wider the back is than the front at knee and hem. */
  readonly backExtra: Mm;
  /** The finished hem of one leg, if a move gave it one; `stated` where the maker did, not a style's own sum. */
  readonly hemAsked: { readonly girth: Mm; readonly stated: boolean } | null;
  /** A finished girth of one leg that both sides are led through, below the crotch line. */
  readonly thigh: { readonly below: Mm; readonly girth: Mm } | null;
  readonly straightInseam: boolean;
  /** The waist is left as wide as the hip: it follows when the hip is widened. */
  readonly hipWide: boolean;
  /** A block that was brought in: its edges stay as they are where no move redraws them. */
  readonly own: OwnLegs | null;
  readonly front: PanelPlan;
  readonly back: PanelPlan;
}

/** Half of an asked leg girth for each panel: the back is wider than the front by `backExtra`. */
export function panelWidths(girth: Mm, backExtra: Mm): { readonly front: Mm; readonly back: Mm } {
  return { front: (girth - backExtra) / 2, back: (girth + backExtra) / 2 };
}

const widthOf = ({ side, inseam }: Passing): Mm => side - inseam;

/** Girth of one leg at its hem, as planned. */
export const hemGirthOf = ({ front, back }: LegPlan): Mm => widthOf(front.hem) + widthOf(back.hem);

/** Girth of one leg where it turns. */
export const turnGirth = ({ front, back }: Turn): Mm => widthOf(front) + widthOf(back);

/**
 * Where a panel of `width` passes a level: halved by the crease, or from the side or the inseam that the leg hangs
 * from, which then stay where they are. `toSide` moves width from the inseam's half to the side's.
 */
export function passingOf(hang: Hang, width: Mm, now: Passing, toSide: Mm = 0): Passing {
  if (hang === "side") return { side: now.side + toSide, inseam: now.side + toSide - width };
  if (hang === "inseam") return { side: now.inseam + toSide + width, inseam: now.inseam + toSide };
  const middle = hang === "kept" ? (now.side + now.inseam) / 2 : 0;
  return { side: middle + width / 2 + toSide, inseam: middle + toSide - width / 2 };
}

/** A panel of `width` further down: what it gains or loses on the way is shared by both edges, wherever the leg hangs. */
export function passingBelow(hang: Hang, width: Mm, above: Passing, toSide: Mm = 0): Passing {
  if (hang === "crease" || hang === "offset") return passingOf(hang, width, above, toSide);
  const middle = (above.side + above.inseam) / 2 + toSide;
  return { side: middle + width / 2, inseam: middle - width / 2 };
}

/** Where the crotch line and the turns lead a panel, from the top: what lies above a level on its way down. */
export function passingAbove(plan: LegPlan, panel: "front" | "back", level: Mm): Passing {
  const turn = plan.turns.filter((t) => t.level < level - 1e-6).at(-1);
  return turn ? turn[panel] : { side: plan[panel].hipX, inseam: plan[panel].crotchX };
}

/** A leg that ends less than this below a turn has no room for the turn's own width. */
const TURN_ROOM: Mm = 60;
/** A leg without a hem of its own is drawn at least this far below its last turn, and cut off. */
const BELOW_TURN: Mm = 100;

/** The leg as it is drawn: the turns it has room for, and the level it is drawn to before it is cut at its hem. */
export function drawnLeg(plan: LegPlan): { readonly turns: readonly Turn[]; readonly hem: Mm } {
  const { hem } = plan.levels;
  if (plan.hemAsked?.stated) return { turns: plan.turns.filter((t) => t.squares || t.level <= hem - TURN_ROOM), hem };
  const last = plan.turns.at(-1);
  return { turns: plan.turns, hem: Math.max(hem, last ? last.level + BELOW_TURN : plan.hemLine) };
}

/** The plan with every x moved: for a crease that lies elsewhere than first drawn. */
export function shiftPanel(plan: PanelPlan, by: Mm): PanelPlan {
  return {
    ...plan,
    centreAtCrotch: plan.centreAtCrotch + by,
    centreAtWaist: plan.centreAtWaist + by,
    hipX: plan.hipX + by,
    sideAtCrotch: plan.sideAtCrotch === null ? null : plan.sideAtCrotch + by,
    crotchX: plan.crotchX + by,
    hem: shiftPassing(plan.hem, by),
  };
}

/** A place on a panel's way down, moved the same. */
export const shiftPassing = ({ side, inseam }: Passing, by: Mm): Passing => ({ side: side + by, inseam: inseam + by });

/**
 * The sewn waists that leave each panel as wide as its hip: the front goes straight up from there, and what the back's
 * centre takes in by its slant the back gives back at its own side.
 */
export function hipWideWaists(plan: LegPlan): { readonly front: Mm; readonly back: Mm } {
  const { levels } = plan;
  const straight = (panel: PanelPlan): { readonly top: Mm; readonly hip: Mm } => {
    const lean = panel.centre === "slanted" ? (panel.centreAtWaist - panel.centreAtCrotch) / levels.crotch : 0;
    const raised = panel.centreAtWaist + lean * (panel.centreRise - levels.waist);
    const atHip = panel.centreAtCrotch + lean * (levels.crotch - levels.hip);
    return { top: panel.hipX - raised, hip: panel.hipX - atHip };
  };
  const whole = ({ top, hip }: { readonly top: Mm; readonly hip: Mm }): Mm => Math.max(top, hip);
  return { front: whole(straight(plan.front)), back: whole(straight(plan.back)) };
}

/** The plan with its waist following its hip, where the waist is left as wide as the hip. */
export function withHipWideWaist(plan: LegPlan): LegPlan {
  if (!plan.hipWide) return plan;
  const waists = hipWideWaists(plan);
  return {
    ...plan,
    front: { ...plan.front, netWaist: waists.front },
    back: { ...plan.back, netWaist: waists.back },
  };
}

/** Seams that part by more than this, in radians, make a flare, whose hem is trued. */
export const FLARED = 0.03;

/**
 * Chord of a flared hem that measures `arc` along its trued edge: square to both seams it is close to a circular arc,
 * whose chord is arc x sin(f/2) / (f/2), f the turn between the seams.
 */
export function hemChord(arc: Mm, turn: number): Mm {
  const half = Math.abs(turn) / 2;
  return half < 1e-6 ? arc : (arc * Math.sin(half)) / half;
}
