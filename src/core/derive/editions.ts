import { EDITION, type Job } from "../files";
import { STYLES } from "../styles";
import { isStated, say, type Sentence } from "../units";

/** What is drawn otherwise since an edition, for the jobs it concerns. */
interface Change {
  /** The first edition that draws it so. */
  readonly since: number;
  readonly says: Sentence;
  readonly concerns: (job: Job) => boolean;
}

const movesOf = (job: Job): readonly { readonly move: string; readonly params: Readonly<Record<string, unknown>> }[] =>
  job.moves ?? STYLES[job.style.id]?.moves ?? [];
const shapes = (job: Job): number => movesOf(job).filter((m) => m.move === "shape-leg").length;
const hangOf = ({ block: { rules } }: Job): unknown => (typeof rules.hang === "object" ? rules.hang.from : rules.hang);

const CHANGES: readonly Change[] = [
  {
    since: 2,
    says: say`The leg falls straight from hip and crotch point to the hem before it is slashed; it used to run through the knee.`,
    concerns: (job) => STYLES[job.style.id]?.defaults?.fall === "straight",
  },
  {
    since: 2,
    says: say`A hem that was asked for is shared between front and back as stated, wherever it lies; above the knee line the back used to get more.`,
    concerns: (job) =>
      movesOf(job).some((m) => m.move === "shape-leg" && isStated(m.params.hem)) || isStated(job.style.params.hemGirth),
  },
  {
    since: 2,
    says: say`A second line that shapes the leg adds to the first; it used to cancel it.`,
    concerns: (job) => shapes(job) > 1,
  },
  {
    since: 2,
    says: say`A leg hung from its side or inseam goes out on both edges below the knee, and its crease halves the crotch line.`,
    concerns: (job) => hangOf(job) === "side" || hangOf(job) === "inseam",
  },
  {
    since: 2,
    says: say`A hip-wide front goes straight up from the hip, and the back gives back at its own side what its slant takes in.`,
    concerns: (job) => (job.block.rules.waist?.shaping ?? STYLES[job.style.id]?.rules.waist?.shaping) === "hipWide",
  },
  {
    since: 2,
    says: say`Both sides of a seam are cut with one allowance; a part sewn on used to have its own.`,
    concerns: () => true,
  },
];

/** What of a job is drawn otherwise than when it was last looked at; nothing for a job of today. */
export const drawnOtherwise = (job: Job): readonly Sentence[] =>
  CHANGES.filter(({ since, concerns }) => since > (job.edition ?? EDITION) && concerns(job)).map(({ says }) => says);
