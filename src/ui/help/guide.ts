import type { Job } from "@/core/files";
import type { StageId } from "../stages";

/** What a stage is for, and the first thing to try in it: told on the printed guide and as a hint while it is new. */
export interface GuideEntry {
  readonly does: string;
  readonly first: string;
  /** True once the first thing was done: what the job was when the hint was shown, and what is now. */
  readonly isDone: (then: Seen, now: Seen) => boolean;
}

/** What a hint looks at: the job, and what the hand does. */
export interface Seen {
  readonly job: Job;
  readonly isPulling: boolean;
  readonly tool: "none" | "roll" | "tape";
  /** How often a chalk card was turned to. */
  readonly turned: number;
}

const differ = (a: unknown, b: unknown): boolean => JSON.stringify(a) !== JSON.stringify(b);

export const GUIDE: Readonly<Record<StageId, GuideEntry>> = {
  body: {
    does: "The wearer’s card: girths and lengths as the tape says them, and how each is taken.",
    first: "Press a measure, see on the figure where the tape lies, and type what you measured. Enter keeps it.",
    isDone: (then, now) => differ(then.job.body, now.job.body),
  },
  block: {
    does: "The base block, drafted from the card by the rules of a school, step by step.",
    first: "Choose another school: the block is drawn anew, and the sums beside it say why.",
    isDone: (then, now) => differ(then.job.block, now.job.block),
  },
  restyle: {
    does: "The style: slashed, spread, pleated, flared; every line of the worksheet is one move.",
    first: "Pull an orange dot on the pattern. The number follows the hand, and can be typed.",
    isDone: (_, now) => now.isPulling,
  },
  pieces: {
    does: "What is cut: allowances, waist, fastening, pockets and hem, with notches, grain and labels.",
    first: "Press T and lay the tape along a seam, or R and roll two seams along each other.",
    isDone: (_, now) => now.tool !== "none",
  },
  cloth: {
    does: "How the pieces lie on the cloth, how much to buy, and as wide as your cloth allows.",
    first: "Say how wide your cloth is, or fold it another way: the pieces are laid at once.",
    isDone: (then, now) => differ(then.job.cloth, now.job.cloth),
  },
  make: {
    does: "Chalk cards to draw it by ruler, the order of work with its cautions, and the lists.",
    first: "Go on to the next card with the space bar, as you would at the table.",
    isDone: (then, now) => now.turned > then.turned,
  },
  diary: {
    does: "Fittings that change the pattern, what happened to the garment, and its versions.",
    first: "Press the pattern where it pulls on the body; choose what you see, and what cures it.",
    isDone: (then, now) => differ(then.job.fittings, now.job.fittings),
  },
};

/** What is checked before good cloth is cut, and what can hurt. */
export const BEFORE_CUTTING: readonly string[] = [
  "Measure the test square of the first page: 5 cm, or 2 in. If it is not, print again without scaling.",
  "Walk the seams that are sewn to each other; read hip, waist and hem on the pattern, not on the card.",
  "Sew a toile of old cloth first. Change one thing at a time.",
  "Is every piece there as a left and a right? Do the arrows lie along the cloth, all one way where it has a nap?",
  "Blades, hot irons and machines can hurt: cut away from yourself, unplug what you thread, and follow local rules.",
];
