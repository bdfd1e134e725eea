import { hearTongue } from "./hearTongue";
import { WorkEnded } from "./supervised";
import { expose, transfer } from "comlink";
import { derive } from "@/core/derive";
import { deriveShape } from "@/core/derive/shape";
import { corrected, type Corrected } from "@/core/derive/corrected";
import { curesOf, type Cure } from "@/core/derive/correcting";
import { withCures } from "@/core/derive/cures";
import { handOver, noticesOf, type HandOver } from "@/core/derive/handOver";
import { eachFile, nestedFile, nestedPieces, sizeRows, sizesOf, type SizeRow } from "@/core/derive/sizeSet";
import type { Body } from "@/core/body";
import type { HandedFile, Job } from "@/core/files";
import { symptomOf, type Fitting } from "@/core/fitting";
import { cardsOf, type Card, type CardKind } from "@/core/making";
import { STYLES } from "@/core/styles";
import { Refusal, tapeOf, tell, type Sentence, type Tape, say } from "@/core/units";
import { pagePlan } from "@/core/files/paper/pagePlan";
import type { PrintOptions } from "@/core/files/paper/options";
import { pagesShown, type PagesShown } from "@/core/files/paper/pagesShown";
import { asDrawn, exerciseOf, type DrawnExercise } from "@/core/derive/practice";
import { wornOf } from "@/core/derive/worn";
import type { Miniature, Proof, WornGarment } from "./proof";

const CANNOT = say`This job cannot be drawn.`;

/** The end of a piece of work, as a sentence on the maker's tape. */
const cannot = (job: Job, says: Sentence = CANNOT): WorkEnded => new WorkEnded(tell(says, tapeOf(job.body.unit)));

/** Work whose refusal ends it with a sentence. */
function refusing<T>(job: Job, work: () => T): T {
  try {
    return work();
  } catch (error) {
    throw error instanceof Refusal ? cannot(job, error.complaint.says) : error;
  }
}

/** A size set as it is shown. */
export interface SizesShown {
  readonly names: readonly string[];
  readonly rows: readonly SizeRow[];
  readonly pages: PagesShown;
}

const face = {
  /** A job's style and outline in miniature, or why it cannot be drawn. */
  miniature(job: Job): Miniature {
    const shape = deriveShape(job);
    const style = STYLES[job.style.id]?.label ?? job.style.id;
    return shape.ok
      ? { style, panels: shape.panels, message: null }
      : { style, panels: [], message: shape.errors[0]?.says ?? CANNOT };
  },

  /** One of these jobs with a mistake hidden in it, rather of a kind with more weight; null where none can be spoilt. */
  exercise(
    jobs: readonly Job[],
    seed: number,
    level: number,
    weights: Readonly<Record<string, number>>,
  ): DrawnExercise | null {
    const found = exerciseOf(jobs, seed, level, ({ id }) => weights[id] ?? 1);
    return found && asDrawn(found);
  },

  /** A job's garment on its wearer; null where it cannot be drawn. */
  worn(job: Job): WornGarment | null {
    const shape = deriveShape(job);
    return shape.ok ? { worn: wornOf(shape), readings: shape.readings } : null;
  },

  /** The corrections of what was seen that change this pattern; none where it cannot be drawn. */
  cures(job: Job, seen: Fitting["seen"]): readonly Cure[] {
    const shape = deriveShape(job);
    return shape.ok ? curesOf(job, shape, symptomOf(seen)) : [];
  },

  /** What one more fitting would do to a garment. */
  corrected(job: Job, fitting: Fitting): Corrected | { readonly refused: Sentence } {
    return corrected(job, fitting);
  },

  /** Pieces, proof and advice of a job; null where it cannot be derived. */
  proof(job: Job): Proof | null {
    const derived = derive(job);
    if (!derived.ok) return null;
    const { sewn, notions, hemDepth, pieces, seams, checks, advice, undecided, faults } = withCures(job, derived);
    return { sewn, notions, hemDepth, pieces, seams, checks, advice, undecided, faults, notices: noticesOf(derived) };
  },

  /** The chalk cards of a job; none where it cannot be derived. */
  cards(job: Job, on: CardKind, tape: Tape): readonly Card[] {
    const derived = derive(job);
    return derived.ok ? cardsOf(derived, on, tape) : [];
  },

  /** The file that leaves the program; throws the first fault as a sentence. */
  async handOver(job: Job, how: HandOver): Promise<HandedFile> {
    const derived = derive(job);
    if (!derived.ok) throw cannot(job, derived.errors[0]?.says);
    try {
      const file = await handOver(job, derived, how);
      return transfer(file, [file.bytes.buffer]);
    } catch (error) {
      throw error instanceof Refusal ? cannot(job, error.complaint.says) : error;
    }
  },

  /** A style in several sizes: what it measures in each, and the pages they would come on, nested. */
  sizes(job: Job, bodies: readonly Body[], how: PrintOptions): SizesShown {
    return refusing(job, () => {
      const sizes = sizesOf(job, bodies);
      return {
        names: sizes.map((s) => s.name),
        rows: sizeRows(sizes),
        pages: pagesShown(pagePlan(nestedPieces(sizes), how)),
      };
    });
  },

  /** The file of a size set: all sizes over each other, or a file for each in one zip. */
  async sizeFile(job: Job, bodies: readonly Body[], how: HandOver, as: "nested" | "each"): Promise<HandedFile> {
    const sizes = refusing(job, () => sizesOf(job, bodies));
    try {
      const file = await (as === "nested" ? nestedFile(sizes, how) : eachFile(sizes, how));
      return transfer(file, [file.bytes.buffer]);
    } catch (error) {
      throw error instanceof Refusal ? cannot(job, error.complaint.says) : error;
    }
  },

  /** What would come on which page, small; or why it cannot. */
  pages(job: Job, how: PrintOptions): PagesShown {
    const derived = derive(job);
    if (!derived.ok) throw cannot(job, derived.errors[0]?.says);
    return refusing(job, () => pagesShown(pagePlan(derived.pieces, how)));
  },
};

export type DeriveWorker = typeof face;

hearTongue();
expose(face);
