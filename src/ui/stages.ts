/** The stages of the work that exist, in the order of the trade. */
export const STAGES = [
  { n: 1, id: "body", label: "Body" },
  { n: 2, id: "block", label: "Block" },
  { n: 3, id: "restyle", label: "Restyle" },
  { n: 4, id: "pieces", label: "Pieces" },
  { n: 5, id: "cloth", label: "Cloth" },
  { n: 6, id: "make", label: "Make" },
  { n: 7, id: "diary", label: "Diary" },
] as const;

export type StageId = (typeof STAGES)[number]["id"];

/** The page of a stage for a job. */
export function stageHref(stage: StageId, job: string): string {
  return `/${stage}?job=${encodeURIComponent(job)}`;
}

/** A stage as it is called. */
export const stageLabel = (stage: StageId): string => STAGES.find(({ id }) => id === stage)?.label ?? "";
