import { count as times, say, textOf } from "../units";
import { derive } from "../derive";
import type { Job } from "../files";
import type { BundleLabel } from "../files/paper/wallPdf";
import { bundlesOf, cuttingList } from "../making";

/** Labels of one garment or several cut together, piece after piece: all fronts, then all backs; and which cannot be drawn. */
export function labelsOf(jobs: readonly Job[]): {
  readonly labels: readonly BundleLabel[];
  readonly missing: readonly string[];
} {
  const missing: string[] = [];
  const all = jobs.flatMap((job) => {
    const derived = derive(job);
    if (!derived.ok) {
      missing.push(job.name || "Unnamed job");
      return [];
    }
    return bundlesOf(cuttingList(derived)).map(({ line, side, count }): BundleLabel => ({
      wearer: job.body.name,
      garment: job.name,
      piece: textOf(line.name),
      side: side ?? (line.onFold ? "on the fold" : ""),
      count: textOf(say`${times(count)} from ${line.material}`),
      about: [job.date, job.versions?.at(-1)?.name].filter(Boolean).join(", "),
    }));
  });
  const pieces = [...new Set(all.map((label) => label.piece))];
  return { labels: pieces.flatMap((piece) => all.filter((label) => label.piece === piece)), missing };
}
