import type { BodyMeasures } from "../body";
import { isOf, type LegPlan, type Panel } from "../drafting";
import type { ResolvedFinish } from "../finish";
import type { Point } from "../geometry";
import type { Piece, Seam } from "../pieces";
import type { Mm } from "../units";
import type { Readings } from "./readings";

export type CheckStatus = "pass" | "look" | "fault";

/** One fact about the finished pattern, measured from its outlines. */
export interface Check {
  readonly id: string;
  readonly label: string;
  readonly status: CheckStatus;
  readonly value: number;
  readonly limit: number;
  readonly unit: "mm" | "degrees" | "pieces";
  readonly message: string;
  readonly where: { readonly panel: string; readonly point: Point } | null;
  readonly fix: string | null;
}

/** What a check may look at: results only, never intentions. */
export interface Inspected {
  readonly measures: BodyMeasures;
  readonly plan: LegPlan;
  /** Every panel of the garment on its seam line, bands and flounces included. */
  readonly panels: readonly Panel[];
  readonly seams: readonly Seam[];
  readonly pieces: readonly Piece[];
  readonly finish: ResolvedFinish;
  readonly readings: Readings;
  readonly zip: {
    readonly at: "centre-back" | "side";
    readonly length: Mm;
    readonly hipAlong: Mm;
    readonly smoothAlong: Mm;
  } | null;
  readonly hemDepth: Mm | null;
  /** Relaxed girth of an ankle cuff; null without one. */
  readonly cuffGirth: Mm | null;
  /** How much lower than the draft the moves have put the crotch. */
  readonly crotchDrop: Mm;
  readonly shoe: Mm;
}

/** One check: its file, its id, its words. */
export interface CheckRule {
  readonly id: string;
  readonly label: string;
  readonly note: string;
  readonly measure: (inspected: Inspected) => Check | null;
}

/** The first panel that has a landmark, with its place; null where no panel is left with it. */
export function placeOf(panels: readonly Panel[], landmark: string, root?: "front" | "back"): Check["where"] {
  const panel = panels.find((p) => p.landmarks[landmark] && (!root || isOf(p.id, root)));
  const point = panel?.landmarks[landmark];
  return panel && point ? { panel: panel.id, point } : null;
}

/** A check's finding under its rule's name; what passes needs no remedy. */
export function verdict(rule: CheckRule, found: Omit<Check, "id" | "label">): Check {
  return { id: rule.id, label: rule.label, ...found, fix: found.status === "pass" ? null : found.fix };
}

/** Pass, look or fault for a deviation that should be small. */
export function byLimits(value: number, look: number, fault: number): CheckStatus {
  const size = Math.abs(value);
  return size > fault ? "fault" : size > look ? "look" : "pass";
}

/** Pass, look or fault for an amount that should be large enough. */
export function byFloor(value: number, look: number, fault: number): CheckStatus {
  return value < fault ? "fault" : value < look ? "look" : "pass";
}
