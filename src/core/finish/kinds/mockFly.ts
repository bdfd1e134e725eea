import { say } from "../../units";
import { defineFinish } from "../define";
import { unsettled } from "../garment";
import { flyRun, stitched } from "./flyRun";
import { FLY_WIDTH } from "./shared";

/** A mock fly: the fronts are cut with an extension that is folded back and topstitched; the seam stays shut. */
export const mockFly = defineFinish({
  room: "fastening",
  kind: "mock-fly",
  words: "mock fly, pulled on",
  about: "It looks like a fly and does not open; the garment is pulled on.",
  params: { extension: FLY_WIDTH },
  facts: { opens: "none", isPulledOn: true, isSham: true, grows: ({ extension }) => extension.mm },
  make(garment, { extension }, { mockFly: long }) {
    const run = flyRun(garment, long);
    if (run.length === 0)
      return unsettled(garment, say`The centre front is cut or lies on a fold, so there is no seam for a mock fly.`);
    return stitched(garment, run, extension.mm);
  },
});
