/** What is kept, each on a shelf of its own: what does not belong to a job's undo lies beside the job. */
export const SHELVES = [
  "jobs",
  "cards",
  "styles",
  "bin",
  "diary",
  "photos",
  "cloths",
  "lays",
  "making",
  "practice",
  "days",
] as const;
export type ShelfName = (typeof SHELVES)[number];

/** What lies on a shelf, by its id. What is in it is only known once it was read. */
export interface Kept {
  readonly id: string;
}
