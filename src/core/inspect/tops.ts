import { edgesWithRole, halvesOf as timesWorn, isBodice } from "../pattern";
import { pathLength } from "../geometry";
import { opensAt } from "../finish";
import { ABOVE_BUST, BEYOND_BUST, cowl as cowlMove } from "../moves/cowl";
import { isLineOf } from "../moves/given";
import { plain, say, type Mm } from "../units";
import { byEstimate, byFloor, estimateSaid, placeOf, verdict, type CheckRule } from "./check";

/** A neck without an opening passes the head with at least this to spare. */
const HEAD_EASE: Mm = 20;

/** Where a bodice opens at the neck, nothing has to pass over the head. */
const OPENS_NECK: ReadonlySet<string> = new Set(["centre-back", "centre-front"]);

export const neckOpening: CheckRule = {
  id: "neck-opening",
  label: "Goes over the head",
  note: "A neck that does not open is wide enough to pass over the head.",
  measure({ legs, measures: { head }, finish }) {
    const bodice = legs.filter((p) => isBodice(p));
    if (bodice.length === 0 || OPENS_NECK.has(opensAt(finish))) return null;
    const half = bodice.reduce(
      (sum, p) =>
        sum +
        (timesWorn(p) / 2) *
          ((p.worn?.cowl?.edge ?? 0) + edgesWithRole(p, "neck").reduce((all, e) => all + pathLength(e.path), 0)),
      0,
    );
    const value = 2 * half - head.mm;
    return verdict(this, {
      status: byEstimate(head, (slack) => byFloor(value + slack, HEAD_EASE, 0)),
      value,
      limit: HEAD_EASE,
      unit: "length",
      message:
        value < HEAD_EASE
          ? say`The neck is ${2 * half} round and does not open: ${HEAD_EASE - value} more are needed to pass a head of ${head.mm}.${estimateSaid(head, "head")}`
          : say`The neck passes over the head with ${value} to spare.`,
      where: placeOf(bodice, "neckCentre"),
      fix: say`Widen or lower the neck, or let the bodice open down the centre back.`,
    });
  },
};

export const facingCovers: CheckRule = {
  id: "facing-covers",
  label: "Facing of the cowl",
  note: "The facing that is cut on reaches beyond the bust point where the neck hangs, so that nobody looks into the wrong side.",
  measure(inspected) {
    const panel = inspected.legs.find((p) => p.worn?.cowl);
    const cowl = panel?.worn?.cowl;
    if (!panel || !cowl) return null;
    const value = cowl.drop + cowl.facing - cowl.bust;
    // Hanging below the bust it is a matter of taste, and of how deep its facing is.
    const isDeep = cowl.drop > cowl.bust - ABOVE_BUST + 0.5;
    const status = isDeep ? "look" : byFloor(value, BEYOND_BUST, -Infinity);
    const index = inspected.moves.findIndex((m) => m.on && isLineOf(m, cowlMove));
    const deep = Math.ceil(cowl.facing + BEYOND_BUST - value);
    return verdict(this, {
      status,
      value,
      limit: BEYOND_BUST,
      unit: "length",
      message: isDeep
        ? say`The neck hangs ${cowl.drop} below the shoulder, the bust point lies ${cowl.bust} below it: a deep cowl, worn over something. Its facing is ${cowl.facing} deep.`
        : status !== "pass"
          ? say`The neck hangs ${cowl.drop} below the shoulder and its facing is ${cowl.facing} deep: it ends ${Math.abs(value)} ${value < 0 ? "above" : "below"} the bust point, and the wrong side is seen.`
          : say`The neck hangs ${cowl.drop} below the shoulder; its facing reaches ${value} beyond the bust point.`,
      where: placeOf([panel], "neckCentre"),
      fix: say`Cut the facing deeper.`,
      remedy:
        index < 0
          ? null
          : {
              label: say`Cut the facing ${deep} deep`,
              changes: [{ path: ["moves", index, "params", "facing"], value: `${plain(deep)} mm` }],
            },
    });
  },
};
