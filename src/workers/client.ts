import type { Body } from "@/core/body";
import type { HandedFile, Job } from "@/core/files";
import type { BroughtIn } from "@/core/files/bringIn";
import type { Corrected } from "@/core/derive/corrected";
import type { Cure } from "@/core/derive/correcting";
import type { HandOver } from "@/core/derive/handOver";
import type { DrawnExercise } from "@/core/derive/practice";
import type { Fitting } from "@/core/fitting";
import type { Card, CardKind } from "@/core/making";
import type { PrintOptions } from "@/core/files/paper/options";
import type { PagesShown } from "@/core/files/paper/pagesShown";
import type { Sentence, Tape } from "@/core/units";
import type { WorkroomRead, WorkroomRecords } from "@/store/workroomFile";
import type { DeriveWorker, SizesShown } from "./derive.worker";
import type { DrawingWorker } from "./drawing.worker";
import type { LayWorker } from "./lay.worker";
import type { Miniature, Proof, WornGarment } from "./proof";
import { newestOnly, supervised } from "./supervised";

const DERIVES_WITHIN_MS = 15_000;
const WRITES_WITHIN_MS = 60_000;
const READS_WITHIN_MS = 10_000;
const UNPACKS_WITHIN_MS = 30_000;

const deriving = supervised<DeriveWorker>(
  () => new Worker(new URL("./derive.worker.ts", import.meta.url), { type: "module" }),
);
/** Files are written beside the deriving, so that a long one holds nothing up. */
const writing = supervised<DeriveWorker>(
  () => new Worker(new URL("./derive.worker.ts", import.meta.url), { type: "module" }),
);
/** What comes from elsewhere is read where it can hang nothing. */
const reading = supervised<DrawingWorker>(
  () => new Worker(new URL("./drawing.worker.ts", import.meta.url), { type: "module" }),
);

/** The lay looks on beside everything else, for as long as it is let. */
const laying = supervised<LayWorker>(() => new Worker(new URL("./lay.worker.ts", import.meta.url), { type: "module" }));
const LOOKS_FOR_MS = 3_600_000;

/** What other cloths, widths and numbers would take is worked out beside the lay, so that it holds nothing up. */
const layingElsewhere = supervised<LayWorker>(
  () => new Worker(new URL("./lay.worker.ts", import.meta.url), { type: "module" }),
);

/** Asks what the lay would be elsewhere. */
export const besideTheLay = <T>(work: Parameters<typeof layingElsewhere.ask<T>>[1]): Promise<T> =>
  layingElsewhere.ask<T>(LOOKS_FOR_MS, work);

/** Asks the worker of the lay. */
export const atTheLay = <T>(work: Parameters<typeof laying.ask<T>>[1]): Promise<T> => laying.ask<T>(LOOKS_FOR_MS, work);

/** Pieces, proof and advice of the job that was asked for last; null where it cannot be derived or a newer one came. */
export const proofOf: (job: Job) => Promise<Proof | null> = newestOnly((job: Job) =>
  deriving.ask(DERIVES_WITHIN_MS, (face) => face.proof(job)),
);

/** The corrections of what was seen that change a job's pattern. */
export const curesFor = (job: Job, seen: Fitting["seen"]): Promise<readonly Cure[]> =>
  deriving.ask<readonly Cure[]>(DERIVES_WITHIN_MS, (face) => face.cures(job, seen));

/** What the fitting that was asked for last would do; null where a newer one came. */
export const correctedBy: (asked: {
  readonly job: Job;
  readonly fitting: Fitting;
}) => Promise<Corrected | { readonly refused: Sentence } | null> = newestOnly(({ job, fitting }) =>
  deriving.ask<Corrected | { readonly refused: Sentence }>(DERIVES_WITHIN_MS, (face) => face.corrected(job, fitting)),
);

/** The chalk cards of a job. */
export const cardsFor = (job: Job, on: CardKind, tape: Tape): Promise<readonly Card[]> =>
  deriving.ask<readonly Card[]>(DERIVES_WITHIN_MS, (face) => face.cards(job, on, tape));

/** A job's style and outline in miniature. */
export const miniatureOf = (job: Job): Promise<Miniature> =>
  deriving.ask(DERIVES_WITHIN_MS, (face) => face.miniature(job));

/** A pattern with a mistake in it; null where none of the jobs can be spoilt. */
export const exerciseFrom = (
  jobs: readonly Job[],
  seed: number,
  level: number,
  weights: Readonly<Record<string, number>>,
): Promise<DrawnExercise | null> =>
  deriving.ask<DrawnExercise | null>(DERIVES_WITHIN_MS, (face) => face.exercise(jobs, seed, level, weights));

/** A job's garment on its wearer; null where it cannot be drawn. */
export const wornBy = (job: Job): Promise<WornGarment | null> =>
  deriving.ask<WornGarment | null>(DERIVES_WITHIN_MS, (face) => face.worn(job));

/** The file that leaves the program. */
export const fileOf = (job: Job, how: HandOver): Promise<HandedFile> =>
  writing.ask(WRITES_WITHIN_MS, (face) => face.handOver(job, how));

/** A style in several sizes, as it is shown. */
export const sizesOf = (job: Job, bodies: readonly Body[], how: PrintOptions): Promise<SizesShown> =>
  writing.ask<SizesShown>(WRITES_WITHIN_MS, (face) => face.sizes(job, bodies, how));

/** The file of a size set. */
export const sizeFileOf = (
  job: Job,
  bodies: readonly Body[],
  how: HandOver,
  as: "nested" | "each",
): Promise<HandedFile> => writing.ask(WRITES_WITHIN_MS, (face) => face.sizeFile(job, bodies, how, as));

/** What would come on which page. */
export const pagesOf = (job: Job, how: PrintOptions): Promise<PagesShown> =>
  writing.ask<PagesShown>(WRITES_WITHIN_MS, (face) => face.pages(job, how));

/** Ends the writing of a file. */
export const stopWriting = (): void => writing.stop();

/** The outlines of a drawing, or why it cannot be taken in. `unitMm` is asked of the person where the file is silent. */
export const broughtIn = (text: string, unitMm: number | null): Promise<BroughtIn> =>
  reading.ask<BroughtIn>(READS_WITHIN_MS, (face) => face.bringIn(text, unitMm));

/** A whole workroom handed over as a file, or why it cannot be taken in. */
export const workroomRead = (bytes: Uint8Array): Promise<WorkroomRead> =>
  reading.ask<WorkroomRead>(UNPACKS_WITHIN_MS, (face) => face.readWorkroomFile(bytes));

/** The whole workroom as the bytes of a file. */
export const workroomWritten = (records: WorkroomRecords, made: string): Promise<Uint8Array> =>
  reading.ask<Uint8Array>(WRITES_WITHIN_MS, (face) => face.writeWorkroomFile(records, made));
