import { derive, type Derived } from "../../derive";
import type { Job } from "../../files";
import { seededRandom, shuffled } from "../../geometry";
import { tapeDivision, tapeOf, textOf, type Mm } from "../../units";
import { MISTAKES } from "./mistakes";
import type { Mistake } from "./spoiling";

/** A mistake hidden in a garment: what it measures with it, and what it should. */
export interface Hidden {
  readonly mistake: Mistake;
  readonly job: Job;
  readonly derived: Derived;
  readonly found: Mm;
  readonly right: Mm;
}

/** A pattern with one mistake in it, for a learner to find, and what it might be. */
export interface Exercise extends Hidden {
  readonly sound: Derived;
  /** The job without it. */
  readonly from: Job;
  /** What is offered as an answer: the mistake among others this garment might have. */
  readonly offered: readonly Mistake[];
}

/** An exercise as plain data, as a worker hands it on: mistakes by their ids, jobs instead of what they come to. */
export interface DrawnExercise extends Pick<Exercise, "found" | "right"> {
  readonly mistake: string;
  readonly offered: readonly string[];
  readonly sound: Job;
  readonly spoilt: Job;
}

/** An exercise as plain data. `from` is the sound job it was made of. */
export const asDrawn = ({ mistake, offered, found, right, job, from }: Exercise): DrawnExercise => ({
  mistake: mistake.id,
  offered: offered.map((m) => m.id),
  found,
  right,
  sound: from,
  spoilt: job,
});

/** An exercise from plain data; null where a mistake of it is not known here, or a job of it cannot be derived. */
export function fromDrawn({ mistake, offered, found, right, sound, spoilt }: DrawnExercise): Exercise | null {
  const known = (id: string): Mistake[] => MISTAKES.filter((m) => m.id === id);
  const [own] = known(mistake);
  const [before, after] = [derive(sound), derive(spoilt)];
  return own && before.ok && after.ok
    ? {
        mistake: own,
        offered: offered.flatMap(known),
        found,
        right,
        job: spoilt,
        derived: after,
        sound: before,
        from: sound,
      }
    : null;
}

/** Hides a mistake in a sound job; null where the garment has no place for it, or no tape would show it. */
export function hide(mistake: Mistake, job: Job, sound: Derived, size: number): Hidden | null {
  const right = mistake.read(sound);
  if (right === null) return null;
  const spoilt = mistake.spoil(job, sound, size);
  if (!spoilt) return null;
  const derived = derive(spoilt);
  if (!derived.ok || derived.worksheet.some((l, i) => l.passed && !sound.worksheet[i]?.passed)) return null;
  const found = mistake.read(derived);
  if (found === null || Math.abs(found - right) < 1.5 * tapeDivision(tapeOf(job.body.unit))) return null;
  return { mistake, job: spoilt, derived, found, right };
}

/** How plain a mistake is at a level, and among how many it is hidden. */
const SIZES = [1.4, 1.15, 0.9, 0.7] as const;
const OFFERED = [3, 4, 6, 8] as const;
export const MOST_LEVEL = SIZES.length - 1;

/**
 * Draws an exercise: a job of those given with one mistake hidden in it, rather of a kind that was missed before. The same
 * seed, jobs and weights give the same exercise. Null where none of the jobs can be spoilt.
 */
export function exerciseOf(
  jobs: readonly Job[],
  seed: number,
  level: number,
  weight: (mistake: Mistake) => number = () => 1,
): Exercise | null {
  const random = seededRandom(seed);
  const at = Math.max(0, Math.min(MOST_LEVEL, Math.floor(level)));
  for (const job of shuffled(jobs, random)) {
    const sound = derive(job);
    if (!sound.ok) continue;
    const wanted = shuffled(MISTAKES, random)
      .map((mistake) => ({ mistake, by: weight(mistake) * (0.5 + random()) }))
      .sort((a, b) => b.by - a.by)
      .map(({ mistake }) => mistake);
    for (const mistake of wanted) {
      const hidden = hide(mistake, job, sound, SIZES[at] as number);
      if (!hidden) continue;
      const grew = hidden.found > hidden.right;
      const others = shuffled(MISTAKES, random)
        .filter((m) => m !== mistake && m.read(sound) !== null)
        // Two that show in one measure, the same way, cannot be told apart.
        .filter((m) => textOf(m.measure) !== textOf(mistake.measure) || isOpposite(m, job, sound, grew))
        .slice(0, OFFERED[at]);
      return { ...hidden, sound, from: job, offered: shuffled([mistake, ...others], random) };
    }
  }
  return null;
}

const isOpposite = (mistake: Mistake, job: Job, sound: Derived, grew: boolean): boolean => {
  const other = hide(mistake, job, sound, 1);
  return other !== null && other.found > other.right !== grew;
};
