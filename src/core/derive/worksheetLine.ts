import type { Drawing } from "../pattern";
import type { Numbers } from "../drafting";
import type { Handle, MoveResult, StyleState } from "../moves";
import type { EngineFault, Figure, Sentence } from "../units";

/** One line of the worksheet: a move that was made or was switched off, or the reconciling between them. */
export interface WorksheetLine {
  readonly id: string;
  /** Place of the move in the job; null for the reconciling, which nobody asked for. */
  readonly index: number | null;
  readonly move: string;
  readonly label: string;
  readonly on: boolean;
  readonly sentence: Sentence;
  /** What of the style's own gave way, as its sentence goes on; null where nothing did. */
  readonly gaveWay: Sentence | null;
  readonly numbers: Numbers;
  /** Numbers of it that are no lengths. */
  readonly figures: Readonly<Record<string, Figure>>;
  readonly handles: readonly Handle[];
  /** The pattern before this act and after it; what was redrawn is drawn when it is looked at. */
  readonly before: StyleState;
  readonly after: StyleState;
  /** True where seams of `after` are planned and not drawn yet. */
  readonly isPlanned: boolean;
  /** What it drew on the panels as they lay before it, and the seams it made on those after it. */
  readonly drawn: readonly Drawing[];
  readonly seams: readonly Drawing[];
  /** How what it drafts is drawn, act by act; null where it drafts nothing. */
  readonly drafted: MoveResult["drafted"] | null;
  /** Why the move could not be made here; it is passed over, and the others are made without it. */
  readonly passed: Sentence | null;
  /** Set where it was passed over because Eland failed at it. */
  readonly fault?: EngineFault;
}

/** The pattern that moves have made, and the lines that made it. */
export interface MovesRun {
  readonly state: StyleState;
  readonly worksheet: readonly WorksheetLine[];
  readonly shown: readonly Drawing[];
}
