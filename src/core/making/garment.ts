import type { AllowanceSet, Notion, ResolvedFinish } from "../finish";
import type { Drawing, Panel } from "../pattern";
import type { Piece, Seam } from "../pieces";
import type { Mm, Quantity, Sentence } from "../units";

/** A line of the worksheet, as far as a card tells it. */
export interface ToldLine {
  readonly move: string;
  readonly label: string;
  readonly on: boolean;
  readonly sentence: Sentence;
  readonly numbers: Readonly<Record<string, Quantity>>;
  readonly drawn: readonly Drawing[];
  readonly passed: Sentence | null;
  /** The pattern before this act and after it. */
  readonly before: { readonly panels: readonly Panel[] };
  readonly after: { readonly panels: readonly Panel[] };
}

/** What a garment comes to, as far as its making asks. */
export interface MadeGarment {
  /** The pattern on its seam lines, and every panel as it is sewn. */
  readonly panels: readonly Panel[];
  readonly sewn: readonly Panel[];
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
  readonly notions: readonly Notion[];
  readonly finish: ResolvedFinish;
  readonly allowances: AllowanceSet;
  readonly zip: { readonly length: Quantity; readonly above: Mm } | null;
  readonly hemDepth: Quantity | null;
  readonly readings: { readonly hemGirth: Mm };
  readonly worksheet: readonly ToldLine[];
}
