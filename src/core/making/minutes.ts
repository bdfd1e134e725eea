import type { Step } from "./order";

/** What a maker took over one step, beside what was guessed for it. */
export interface Taken {
  readonly doing: Step["doing"];
  /** When it was ticked, so that the latest count. */
  readonly at: string;
  readonly minutes: number;
  readonly guess: number;
}

/** So many of a kind say how a maker works. */
const LAST = 5;

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1
    ? (sorted[middle] as number)
    : ((sorted[middle - 1] as number) + (sorted[middle] as number)) / 2;
};

/**
 * The minutes of steps as this maker takes them: the guess from the seam, times the median of what the last five of the
 * kind took of their guesses. A kind that was never timed keeps its guess.
 */
export function minutesLearned<S extends Pick<Step, "doing" | "minutes">>(
  steps: readonly S[],
  taken: readonly Taken[],
): readonly (S & { readonly isLearned: boolean })[] {
  const latest = [...taken].filter((t) => t.minutes > 0 && t.guess > 0).sort((a, b) => b.at.localeCompare(a.at));
  return steps.map((step) => {
    const own = latest.filter((t) => t.doing === step.doing).slice(0, LAST);
    if (own.length === 0) return { ...step, isLearned: false };
    const factor = median(own.map((t) => t.minutes / t.guess));
    return { ...step, minutes: Math.max(1, Math.round(step.minutes * factor)), isLearned: true };
  });
}
