import { lastGiving } from "../moves/given";
import { say, typedOnTape } from "../units";
import type { AdviceRule } from "./advice";

/** A seat is full from this far over what the waist would lead one to expect. */
const FULL_SEAT = 300;

/** A fuller seat asks for more back rise and a longer back extension. */
export const fullerSeat: AdviceRule = {
  id: "fuller-seat",
  label: "Room for a fuller seat",
  note: "Fuller seat, so more back rise and a longer back extension.",
  judge({ measures, rules, ownBlock }) {
    const over = measures.hip.mm - measures.waist.mm;
    const { rise } = rules.back;
    if (ownBlock || over < FULL_SEAT || rise === "auto" || rise >= 50 || rules.back.how !== "slanted") return null;
    return {
      id: this.id,
      message: say`Hip and waist differ by ${over}: a seat as full as this wants a higher centre back.`,
      reason: say`The back waist is pulled down over a full seat when one sits or bends.`,
      action: {
        label: say`Raise the centre back to ${50}`,
        changes: [{ path: ["block", "rules", "back", "rise"], value: "50 mm" }],
      },
    };
  },
};

/** Kneeling and crouching work: the bent knee decides, and the crotch is deeper. */
export const bentKneeDecides: AdviceRule = {
  id: "bent-knee",
  label: "The knee binds when bent",
  note: "Kneeling or crouching work, so measure the knee bent and add crotch depth.",
  judge({ measures, readings, moves, tape }) {
    const { kneeGirth } = readings;
    if (kneeGirth === null || kneeGirth >= measures.kneeBent.mm) return null;
    const shaped = lastGiving(moves, "knee");
    return {
      id: this.id,
      message: say`The leg is ${measures.kneeBent.mm - kneeGirth} smaller than the bent knee.`,
      reason: say`A knee measured standing binds when it is bent; cloth that does not stretch then pulls down the waist.`,
      action: !shaped
        ? null
        : {
            label: say`Shape the knee for the bent knee`,
            changes: [
              {
                path: ["moves", shaped.index, "params", shaped.param],
                value: typedOnTape(measures.kneeBent.mm + 20, tape),
              },
            ],
          },
    };
  },
};
