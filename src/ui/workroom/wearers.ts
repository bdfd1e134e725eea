import type { StoredCard, StoredJob } from "@/store/database";
import type { Job } from "@/core/files";

/** A person clothes are made for: the cards there are of them, and what was made. */
export interface Wearer {
  readonly name: string;
  /** Days on which a card was taken, newest first. */
  readonly taken: readonly string[];
  /** The newest card. */
  readonly card: Job["body"];
  readonly jobs: readonly StoredJob[];
}

const nameOf = (card: Job["body"]): string => card.name.trim();

/** Everyone who has a card here or in a job, by name. */
export function wearersOf(jobs: readonly StoredJob[], cards: readonly StoredCard[]): readonly Wearer[] {
  const bodies = [...cards.map((c) => c.card), ...jobs.map((r) => r.job.body)].filter((body) => nameOf(body) !== "");
  const names = [...new Set(bodies.map(nameOf))].sort((a, b) => a.localeCompare(b));
  return names.map((name) => {
    const own = bodies
      .filter((body) => nameOf(body) === name)
      .sort((a, b) => (b.taken ?? "").localeCompare(a.taken ?? ""));
    return {
      name,
      taken: [...new Set(own.flatMap((body) => body.taken ?? []))],
      card: own[0] as Job["body"],
      jobs: jobs.filter(({ job }) => nameOf(job.body) === name),
    };
  });
}

export type SortBy = "changed" | "name" | "wearer";

/** Jobs that hold what is searched for, in their name, wearer, style or cloth; in the order asked. */
export function foundJobs(jobs: readonly StoredJob[], search: string, by: SortBy): readonly StoredJob[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const held = ({ job }: StoredJob): string =>
    [job.name, job.body.name, job.style.id, job.cloth?.name ?? ""].join(" ").toLowerCase();
  const found = jobs.filter((record) => words.every((word) => held(record).includes(word)));
  const key = ({ job }: StoredJob): string => (by === "wearer" ? nameOf(job.body) : job.name);
  return by === "changed" ? found : [...found].sort((a, b) => key(a).localeCompare(key(b)));
}
