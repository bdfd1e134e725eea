import type { Mm } from "../units";
import type { Fitting } from "./schema";
import { changeOf, isOf, type Correction, type Symptom } from "./symptoms";

/** An amount that came back in the fittings of one wearer. */
export interface Learned {
  readonly label: string;
  readonly change: Fitting["changes"][number];
  /** In how many of the wearer's garments. */
  readonly times: number;
  readonly seen: Fitting["seen"];
}

/**
 * What several garments of one wearer were corrected by: corrections that came back, each with the mean of its amounts,
 * the most frequent first.
 */
export function learnedFrom(
  jobs: readonly { readonly fittings?: readonly Fitting[] }[],
  symptoms: readonly Symptom[],
): readonly Learned[] {
  const found = new Map<Correction, { by: Mm[]; jobs: Set<number>; seen: Fitting["seen"] }>();
  jobs.forEach(({ fittings = [] }, n) =>
    fittings.forEach((fitting) =>
      fitting.changes.forEach((change) => {
        const correction = symptoms.find((s) => s.id === fitting.seen)?.cures.find((c) => isOf(c, change));
        if (!correction) return;
        const held = found.get(correction) ?? { by: [], jobs: new Set<number>(), seen: fitting.seen };
        held.by.push(change.by);
        held.jobs.add(n);
        found.set(correction, held);
      }),
    ),
  );
  return [...found]
    .map(([correction, { by, jobs: of, seen }]): Learned => {
      const mean = by.reduce((sum, mm) => sum + mm, 0) / by.length;
      return {
        label: correction.label,
        change: changeOf(correction, (correction.way * Math.round(mean * 10)) / 10),
        times: of.size,
        seen,
      };
    })
    .filter(({ times }) => times > 1)
    .sort((a, b) => b.times - a.times);
}
