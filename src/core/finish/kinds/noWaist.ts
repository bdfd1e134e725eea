import { rimEdges } from "../../pattern";
import { say } from "../../units";
import { defineFinish } from "../define";
import { unsettled } from "../garment";

export const noWaist = defineFinish({
  room: "waist",
  kind: "from-shoulders",
  words: "none: it hangs from the shoulders",
  about: "A top has no waist edge of its own.",
  params: {},
  facts: { told: "There is no waist edge to finish" },
  make(garment) {
    const hasRim = garment.panels.some((panel) => rimEdges(panel, "waist").length > 0);
    return hasRim
      ? unsettled(
          garment,
          say`The waist is said to need no finish, and there is a waist edge. Choose a band, facing or casing.`,
        )
      : garment;
  },
});
