import type { HandedFile } from "@/core/files";
import { keyWords } from "../command";
import type { HomePaper } from "../homePapers";
import { STAGES } from "../stages";
import { BEFORE_CUTTING, GUIDE } from "./guide";

export const NO_GUIDE = "The guide could not be made.";

/** The guide on one page, as a file. */
export async function guideFile(paper: HomePaper): Promise<HandedFile> {
  const { guidePdf } = await import("@/core/files/paper/guidePdf");
  const stages = STAGES.map(({ id, label }) => ({ label, does: GUIDE[id].does, first: GUIDE[id].first }));
  return guidePdf({ title: "Eland on one page", stages, keys: keyWords(), before: BEFORE_CUTTING }, paper);
}
