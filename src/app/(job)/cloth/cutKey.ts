import type { Job } from "@/core/files";

/** What a job says of its cloth that changes the shapes that are cut from it. */
const cuttingOf = ({ cloth }: Job): unknown => (cloth?.grain ? [cloth.joined, cloth.grain] : cloth?.joined);

/** What stands for what is cut of garments: it changes with anything that may change a shape, and with nothing else. */
export const cutKey = (jobs: readonly Job[]): string =>
  JSON.stringify(jobs.map((job) => ({ ...job, name: "", date: "", versions: [], meant: {}, cloth: cuttingOf(job) })));
