import { type Edge, type PanelLine } from "../pattern";
import type { Mm } from "../units";
import type { Path, Point } from "../geometry";
import type { DartPlan } from "./waist";

/** A panel brought in, on its seam lines, in the canonical frame, with the levels it was placed by. */
export interface OwnPanel {
  readonly waist: readonly Edge[];
  readonly dartLines: readonly PanelLine[];
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
  /** Where the leg turns from its upper to its lower line: the knee line, unless a flare or taper starts elsewhere. */
  readonly turn: Mm;
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
  readonly crotchX: Mm;
  readonly extension: Mm;
  readonly curve: CurvePlan;
  readonly darts: DartPlan;
  readonly netWaist: Mm;
  /** Where side and inseam pass the level at which the leg turns. */
  readonly knee: Passing;
  readonly hem: Passing;
}

export type Hang = "crease" | "side" | "inseam" | "offset";

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

/** Girth of one leg where the plan passes a level. */
export function legGirthAt(plan: LegPlan, level: "knee" | "hem"): Mm {
  return [plan.front, plan.back].reduce((sum, p) => sum + p[level].side - p[level].inseam, 0);
}

/**
 * Where a panel of `width` passes a level: halved by the crease, or from the side or the inseam the leg hangs from,
 * which then stay where they are. `toSide` moves width from the inseam's half to the side's.
 */
export function passingOf(hang: Hang, width: Mm, now: Passing, toSide: Mm = 0): Passing {
  if (hang === "side") return { side: now.side, inseam: now.side - width };
  if (hang === "inseam") return { side: now.inseam + width, inseam: now.inseam };
  return { side: width / 2 + toSide, inseam: toSide - width / 2 };
}

/** The plan with every x moved: for a crease that lies elsewhere than first drawn. */
export function shiftPanel(plan: PanelPlan, by: Mm): PanelPlan {
  const pass = (p: Passing): Passing => ({ side: p.side + by, inseam: p.inseam + by });
  return {
    ...plan,
    centreAtCrotch: plan.centreAtCrotch + by,
    centreAtWaist: plan.centreAtWaist + by,
    hipX: plan.hipX + by,
    crotchX: plan.crotchX + by,
    knee: pass(plan.knee),
    hem: pass(plan.hem),
  };
}

/** The sewn waists that leave both panels as wide as the hip; what the centres take in is given back at both sides alike. */
export function hipWideWaists(plan: LegPlan): { readonly front: Mm; readonly back: Mm } {
  const { levels } = plan;
  const straight = (panel: PanelPlan): { readonly top: Mm; readonly hip: Mm } => {
    const lean = panel.centre === "slanted" ? (panel.centreAtWaist - panel.centreAtCrotch) / levels.crotch : 0;
    const raised = panel.centreAtWaist + lean * (panel.centreRise - levels.waist);
    const atHip = panel.centreAtCrotch + lean * (levels.crotch - levels.hip);
    return { top: panel.hipX - raised, hip: panel.hipX - atHip };
  };
  const [front, back] = [straight(plan.front), straight(plan.back)];
  const lost = Math.max(0, front.hip + back.hip - front.top - back.top) / 2;
  return { front: front.top + lost, back: back.top + lost };
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
