import { lastGiving } from "../moves/given";
import { spread } from "../moves/spread";
import { say } from "../units";
import type { AdviceRule } from "./advice";

/** Spreading lengthens the leg along the crease; a floor-length leg then hangs too low. */
export const levelHem: AdviceRule = {
  id: "shorten-after-spread",
  label: "Shorten a spread leg",
  note: "Floor-length, so hem clearance with the shoe on.",
  judge({ moveNumbers, moves, measures, shoe, readings, length }) {
    const opened = moveNumbers[spread.id];
    const set = lastGiving(moves, "length");
    if (!opened || !set) return null;
    const growth = Math.max(opened.frontCreaseGrowth?.mm ?? 0, opened.backCreaseGrowth?.mm ?? 0);
    const clear = measures.waistToFloor.mm + shoe - readings.lowestPoint - length.cuff;
    if (clear >= 10 || growth < 1) return null;
    const shorter = Math.round((length.whole - growth) * 10) / 10;
    return {
      id: this.id,
      message: say`Opening the hem lets it hang ${growth} lower along the crease, ${Math.max(0, clear)} off the floor.`,
      reason: say`Side seam and inseam keep their length, but the trued hem dips between them. A hem on the floor trips the wearer.`,
      action: {
        label: say`Shorten the leg by ${growth}`,
        changes: [{ path: ["moves", set.index, "params", set.param], value: `${shorter} mm` }],
      },
    };
  },
};
