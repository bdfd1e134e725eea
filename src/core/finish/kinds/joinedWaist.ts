import { say } from "../../units";
import { defineFinish } from "../define";
import { unsettled } from "../garment";

export const joinedWaist = defineFinish({
  room: "waist",
  kind: "joined",
  words: "sewn to a bodice",
  about: "The waist is sewn to a bodice, and needs no finish of its own.",
  params: {},
  facts: { told: "The waist is sewn to the bodice" },
  make(garment) {
    const isJoined = garment.joins.some((join) => join.kind === "waist");
    return isJoined
      ? garment
      : unsettled(
          garment,
          say`The waist is said to be sewn to a bodice, and there is none. Join one, or choose a band or facing.`,
        );
  },
});
