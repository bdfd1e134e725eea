import { isOf, type Panel } from "../pattern";
import type { BodyMeasure, BodyMeasures } from "../body";
import { type LegPlan, type ResolvedRules } from "../drafting";
import type { ResolvedFinish } from "../finish";
import type { Point } from "../geometry";
import type { Piece, Seam } from "../pieces";
import type { MoveEntry } from "../styles";
import { plain, say, type EngineFault, type Mm, type Sentence, type Tape, NOTHING, type Words } from "../units";
import type { Readings } from "./readings";

export type CheckStatus = "pass" | "look" | "fault";

/** One fact about the finished pattern, measured from its outlines. */
export interface Check {
  readonly id: string;
  readonly label: string;
  readonly status: CheckStatus;
  readonly value: number;
  readonly limit: number;
  /** What `value` and `limit` are: lengths, tolerances of making (both in millimetres), degrees or a number of pieces. */
  readonly unit: "length" | "making" | "degrees" | "pieces";
  readonly message: Sentence;
  readonly where: { readonly panel: string; readonly point: Point } | null;
  readonly fix: Sentence | null;
  /** What one press changes in the job to mend it; null or absent where that is for the maker. */
  readonly remedy?: Remedy | null;
  /** Why its maker means it so; it is then listed and printed, and counts as nothing to settle. */
  readonly meant?: Words;
  /** Set where nothing was measured because Eland failed at it. */
  readonly failed?: EngineFault;
}

/** True for what is left to settle: neither passed nor meant so. */
export const isOpen = ({ status, meant }: Pick<Check, "status" | "meant">): boolean =>
  status !== "pass" && meant === undefined;

/** A change to the job's own data, by path; applying a remedy or advice is nothing but this. */
export interface JobChange {
  readonly path: readonly (string | number)[];
  readonly value: unknown;
}

export interface Remedy {
  readonly label: Sentence;
  readonly changes: readonly JobChange[];
}

/** What a check may look at: results only, never intentions. */
export interface Inspected {
  readonly measures: BodyMeasures;
  readonly plan: LegPlan;
  /** The legs as the moves left them, and how they are joined: the shape on the body. */
  readonly legs: readonly Panel[];
  readonly legSeams: readonly Seam[];
  /** Every panel of the garment as it is sewn: what is left of the legs, bands, pockets, flounces. */
  readonly panels: readonly Panel[];
  readonly seams: readonly Seam[];
  readonly pieces: readonly Piece[];
  readonly finish: ResolvedFinish;
  readonly readings: Readings;
  readonly zip: {
    readonly at: "centre-back" | "centre-front" | "side";
    readonly length: Mm;
    readonly hipAlong: Mm;
    readonly smoothAlong: Mm;
  } | null;
  readonly hemDepth: Mm | null;
  /** How much lower than the draft the moves have put the crotch. */
  readonly crotchDrop: Mm;
  readonly shoe: Mm;
  /** Edges whose allowance the maker has set apart, by "panel.edge". */
  readonly setApart: ReadonlySet<string>;
  /** The length set, below the natural waist, and how much of it is a cuff sewn on below the leg. */
  readonly length: { readonly whole: Mm; readonly cuff: Mm; readonly stated: boolean };
  readonly rules: ResolvedRules;
  /** The maker's tape, on which numbers are read off. */
  readonly tape: Tape;
  /** The block was brought in, so no rule redraws it. */
  readonly ownBlock: boolean;
  readonly moves: readonly MoveEntry[];
  /** The finish as stored, so that a change keeps the rest of it. */
  readonly finishSource: Readonly<Record<string, unknown>>;
  /** The cloth in hand; null for what is not said. `stretch` is the share it gives across. */
  readonly cloth: {
    readonly width: Mm | null;
    readonly length: Mm | null;
    readonly liningWidth: Mm | null;
    readonly stretch: number;
  };
  /** Lines that were to be made and were passed over, with why; `byEland` where Eland itself failed at one. */
  readonly passedOver: readonly { readonly label: string; readonly why: Sentence; readonly byEland: boolean }[];
  /** Girths of one leg that the moves were asked for; null where none was stated. */
  readonly asked: { readonly hem: Mm | null };
}

/** One check: its file, its id, its words. */
export interface CheckRule {
  readonly id: string;
  readonly label: string;
  readonly note: string;
  /** It is about legs, and silent where the garment has none. */
  readonly onLegs?: true;
  readonly measure: (inspected: Inspected) => Check | null;
}

/** The first panel that has a landmark, with its place; null where no panel is left with it. */
export function placeOf(panels: readonly Panel[], landmark: string, root?: "front" | "back"): Check["where"] {
  const panel = panels.find((p) => p.landmarks[landmark] && (!root || isOf(p, root)));
  const point = panel?.landmarks[landmark];
  return panel && point ? { panel: panel.id, point } : null;
}

/** A check's finding under its rule's name; what passes needs no remedy. */
export function verdict(rule: CheckRule, found: Omit<Check, "id" | "label">): Check {
  const passes = found.status === "pass";
  return {
    id: rule.id,
    label: rule.label,
    ...found,
    fix: passes ? null : found.fix,
    remedy: passes ? null : (found.remedy ?? null),
  };
}

/**
 * The entry of a room of the finish, to change one thing of: as the job holds it, or the bare kind where it follows its
 * style, which then fills in the rest. A remedy that wrote less would lose the maker's other numbers.
 */
export function asStored(
  room: "waist" | "fastening" | "hem",
  kind: string,
  finishSource: Inspected["finishSource"],
): Readonly<Record<string, unknown>> {
  const own = finishSource[room];
  const held = typeof own === "object" && own !== null ? (own as Readonly<Record<string, unknown>>) : null;
  return held?.kind === kind ? held : { kind };
}

/** Differences smaller than this are none: they come from the way numbers are kept. */
const NEGLIGIBLE: Mm = 0.01;

/** How much the first is more than the second; 0 where that is negligible. */
export const difference = (a: Mm, b: Mm): Mm => (Math.abs(a - b) < NEGLIGIBLE ? 0 : a - b);

/** Pass, look or fault for a deviation that should be small. */
export function byLimits(value: number, look: number, fault: number): CheckStatus {
  const size = Math.abs(value);
  return size > fault + NEGLIGIBLE ? "fault" : size > look + NEGLIGIBLE ? "look" : "pass";
}

/** Of the same height and hip, bodies differ from what is estimated for them by so much. */
const SCATTER = 0.08;

/**
 * What is judged against a measure. Against an estimated one it is never a fault, and looked at only where it would be
 * were the body as much in its favour as bodies differ: `judge` is given that slack, 0 where the measure was taken.
 */
export function byEstimate(measure: BodyMeasure, judge: (slack: Mm) => CheckStatus): CheckStatus {
  if (measure.source !== "estimated") return judge(0);
  return judge(SCATTER * measure.mm) === "pass" ? "pass" : "look";
}

/** What to measure where a check rests on an estimate; nothing where it was measured. */
export const estimateSaid = (measure: BodyMeasure, name: string): Sentence =>
  measure.source === "estimated" ? say` The ${name} is estimated: measure it.` : NOTHING;

/** Pass, look or fault for an amount that should be large enough. */
export function byFloor(value: number, look: number, fault: number): CheckStatus {
  return value < fault - NEGLIGIBLE ? "fault" : value < look - NEGLIGIBLE ? "look" : "pass";
}

/** A deeper crotch, or with a negative amount a higher one. */
export function deeperBy(present: Mm, by: Mm): Remedy {
  const mm = by > 0 ? Math.ceil(by) : Math.floor(by);
  return {
    label: say`${mm > 0 ? "Lower" : "Raise"} the crotch by ${Math.abs(mm)}`,
    changes: [{ path: ["block", "rules", "crotchDepth", "add"], value: `${plain(present + mm)} mm` }],
  };
}
