import { isLineOf } from "../moves/given";
import { flounce } from "../moves/flounce";
import { godet } from "../moves/godet";
import { setLength } from "../moves/setLength";
import { shapeLeg } from "../moves/shapeLeg";
import { sidePanel } from "../moves/sidePanel";
import { spread } from "../moves/spread";
import { widenLeg } from "../moves/widenLeg";
import { yoke } from "../moves/yoke";
import { EDITION, type Job } from "../files";
import { STYLES } from "../styles";
import { movesOfStyle } from "./newJob";
import { isStated, say, type Sentence } from "../units";

/** What is drawn otherwise since an edition, for the jobs it concerns. */
interface Change {
  /** The first edition that draws it so. */
  readonly since: number;
  readonly says: Sentence;
  readonly concerns: (job: Job) => boolean;
}

const movesOf = (job: Job): NonNullable<Job["moves"]> => job.moves ?? movesOfStyle(job.style.id, job.style.params);
const shapes = (job: Job): number => movesOf(job).filter((m) => isLineOf(m, shapeLeg)).length;
const hangOf = ({ block: { rules } }: Job): unknown => (typeof rules.hang === "object" ? rules.hang.from : rules.hang);

const makes = (job: Job, move: { readonly id: string }): boolean => movesOf(job).some((m) => isLineOf(m, move));

/** The kinds of finish of a job's room, its own or its style's. */
function finished(job: Job, room: "waist" | "fastening" | "hem" | "pockets" | "trims"): readonly string[] {
  const chosen: unknown = job.finish?.[room] ?? STYLES[job.style.id]?.finish[room];
  const entries: readonly unknown[] = Array.isArray(chosen) ? chosen : [chosen];
  return entries.flatMap((entry) =>
    typeof entry === "object" && entry !== null && "kind" in entry ? [String(entry.kind)] : [],
  );
}

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
      movesOf(job).some((m) => isLineOf(m, shapeLeg) && isStated(m.params.hem)) || isStated(job.style.params.hemGirth),
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
  {
    since: 3,
    says: say`What the back has more at the hip line only is gone at the crotch line; it used to run out at the knee.`,
    concerns: ({ block: { rules } }) => rules.hipInch === "hipOnly",
  },
  {
    since: 3,
    says: say`A dart whose width is stated is drawn as stated; a small surplus used to leave it out.`,
    concerns: ({ block: { rules } }) => isStated(rules.waist?.frontIntake) || isStated(rules.waist?.backIntake),
  },
  {
    since: 3,
    says: say`What nobody stated lies on the tape: bands, hems, ease and the schools' own numbers are whole eighths of an inch.`,
    concerns: ({ body }) => body.unit === "in",
  },
  {
    since: 3,
    says: say`The straight part of a side panel is counted from the dart line of each panel; it used to be counted from the crease.`,
    concerns: (job) => makes(job, sidePanel),
  },
  {
    since: 3,
    says: say`A patch opens across its upper outer corner alone, and is doubled on a fold at the dart line.`,
    concerns: (job) => finished(job, "pockets").includes("patch"),
  },
  {
    since: 3,
    says: say`A mock fly is a piece of its own, with a shield; the fronts keep their plain centre.`,
    concerns: (job) => finished(job, "fastening").includes("mock-fly"),
  },
  {
    since: 3,
    says: say`An edge of a part that is in no seam is cut with what keeps it from fraying, and no more.`,
    concerns: (job) =>
      [
        ...finished(job, "waist"),
        ...finished(job, "hem"),
        ...finished(job, "fastening"),
        ...finished(job, "pockets"),
      ].some((kind) => ["facing", "faced", "fly", "slant"].includes(kind)),
  },
  {
    since: 3,
    says: say`A block brought in keeps its seams as straight as they are when its length is set.`,
    concerns: (job) => job.block.school === "own" && makes(job, setLength),
  },
  {
    since: 3,
    says: say`Points of a flounce are as many as were asked for, an odd number too.`,
    concerns: (job) => makes(job, flounce) && movesOf(job).some((m) => Number(m.params.points) % 2 === 1),
  },
  {
    since: 3,
    says: say`A pleated strip is sewn inside its seam, and what it shows is what was asked.`,
    concerns: (job) => finished(job, "trims").includes("pleated-strip"),
  },
  {
    since: 4,
    says: say`A leg that ends above its knee comes down upright to a straight hem; its hem used to be arched.`,
    concerns: (job) => makes(job, setLength),
  },
  {
    since: 4,
    says: say`Darts that are kept clear of the hip end up to a millimetre higher.`,
    concerns: ({ block: { rules } }) => rules.waist?.shaping !== "hipWide",
  },
  {
    since: 4,
    says: say`A wide allowance goes on to the end of its seam and steps in square, where it used to run to meet a narrower one.`,
    concerns: (job) => finished(job, "pockets").length > 0,
  },
  {
    since: 4,
    says: say`The bag of a pocket is caught less deep where it reaches less far below its opening.`,
    concerns: (job) => finished(job, "pockets").some((kind) => kind === "slant" || kind === "in-seam"),
  },
  {
    since: 4,
    says: say`A pleated strip ends below a band that is cut from the panels.`,
    concerns: (job) => finished(job, "trims").includes("pleated-strip"),
  },
  {
    since: 4,
    says: say`The hem asked of a block that was brought in is met whatever line follows.`,
    concerns: ({ block }) => block.school === "own",
  },
  {
    since: 5,
    says: say`A side that a slash turns out lies at most 3 mm inside the straight line to the hem; it used to be rounded to 4.`,
    concerns: (job) => makes(job, spread),
  },
  {
    since: 5,
    says: say`A block brought in that is widened keeps its hem square to the grain, and its waist runs on without a corner.`,
    concerns: (job) => job.block.school === "own" && makes(job, widenLeg),
  },
  {
    since: 5,
    says: say`A crease that is set off stays so where the leg falls straight; it used to lie in the middle.`,
    concerns: (job) => hangOf(job) === "offset",
  },
  {
    since: 5,
    says: say`On a body too short for a usual depth or length that nobody stated, it gives way; the line used to be passed over.`,
    concerns: (job) => [yoke, sidePanel, godet, flounce].some((move) => makes(job, move)),
  },
  {
    since: 5,
    says: say`A transferred back whose side is set out by more than its centre comes in is wider by the difference on the hip line.`,
    concerns: ({ block: { rules } }) => rules.back?.how === "transferred",
  },
  {
    since: 6,
    says: say`Above and below a full hip the side is rounded over a longer stretch, up to ${15} further out between hip and knee; it used to turn too sharply to be sewn without a pucker.`,
    concerns: ({ block }) => block.school !== "own",
  },
  {
    since: 6,
    says: say`A straight band whose depth nobody stated is narrower where the usual one would gape on the body.`,
    concerns: (job) => finished(job, "waist").includes("straight-band"),
  },
  {
    since: 7,
    says: say`Where a full hip lies close above the knee, a knee or a hem that nobody stated is wider, so that the side runs in gently and the hem lies flat.`,
    concerns: ({ style }) => Object.keys(STYLES[style.id]?.autos ?? {}).includes("shape-leg.knee"),
  },
  {
    since: 7,
    says: say`Where the hip lies close below the waist the darts take more and the side less, or it would turn too sharply.`,
    concerns: ({ block }) => block.school !== "own",
  },
];

/** What of a job is drawn otherwise than when it was last looked at; nothing for a job of today. */
export const drawnOtherwise = (job: Job): readonly Sentence[] =>
  CHANGES.filter(({ since, concerns }) => since > (job.edition ?? EDITION) && concerns(job)).map(({ says }) => says);
