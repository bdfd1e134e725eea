import { edgesWithRole, type Fate, type Join, type Panel } from "../pattern";
import { grownCentre, hemTurnOf, type AllowanceSet, type ResolvedFinish, type Room } from "../finish";
import { pathTurn, type CutPlan, type HemCut, type OpeningCut } from "../pieces";
import { usualOn } from "../params";
import { quantity, type Mm, type Quantity, type Tape, say, making, angle, toDegrees } from "../units";
import { centreOf, type ZipPlan } from "./zip";

/** How the hem is cut: a double turn is twice as deep, what is sewn to another part takes a seam's allowance. */
export function hemCut(finish: ResolvedFinish, depth: Quantity | null, { widths }: AllowanceSet): HemCut | null {
  if (!finish.hem) return null;
  const turn = hemTurnOf(finish);
  return turn
    ? { allowance: turn.times * (depth?.mm ?? 0), mirrored: true }
    : { allowance: widths.inseam, mirrored: false };
}

/** What an edge that is in no seam is turned by, unless it is kept some other way. */
const TURNED: Mm = 10;

/** What is cut beyond an edge that is in no seam: overlocked, bound or raw it needs nothing, else it is turned. */
export const freeEdgeOf = ({ inside }: ResolvedFinish): Mm =>
  inside === "overlocked" || inside === "bound" || inside === "raw" ? 0 : TURNED;

/** What becomes of the edges that no seam takes, by how the garment is finished. */
export function fatesOf(finish: ResolvedFinish, open: ReadonlySet<Room>): CutPlan["fates"] {
  const { inside } = finish;
  const hem: Fate = hemTurnOf(finish) ? "turned" : finish.hem && inside === "bagged" ? "faced" : "undecided";
  return {
    free: inside === null ? "undecided" : inside === "lined" || inside === "bagged" ? "turned" : inside,
    hem,
    waist: open.has("waist") ? "undecided" : null,
  };
}

/** A mock fly ends at the hip line, or where the crotch begins to turn if that comes first. */
export function mockFlyLength(panels: readonly Panel[], joins: readonly Join[]): Mm {
  const front = centreOf(panels, joins, "front");
  return front ? Math.min(front.hipAlong, front.smoothAlong) : 0;
}

/** The stretch of a centre seam that opens, and what is cut beyond it. */
export function openingCut(finish: ResolvedFinish, zip: ZipPlan | null, { widths }: AllowanceSet): OpeningCut | null {
  if (!zip || zip.at === "side") return null;
  return {
    root: zip.at === "centre-front" ? "front" : "back",
    length: zip.length.mm,
    width: grownCentre(finish) ?? widths.zip,
  };
}

/** How deep a hem is turned up that is straight enough. */
const USUAL_TURN: Mm = 40;

/** Left `auto`, a hem is turned up 40 mm, or only as far as a curved hem lies flat: 6 / (2 x its turn). */
export function hemDepthOf(panels: readonly Panel[], finish: ResolvedFinish, tape: Tape): Quantity | null {
  const turned = hemTurnOf(finish);
  if (!turned) return null;
  if (turned.depth !== "auto") return turned.depth;
  const usual = usualOn(USUAL_TURN, tape);
  const hems = panels.flatMap((panel) => edgesWithRole(panel, "hem"));
  const turn = Math.max(0, ...hems.map((hem) => Math.abs(pathTurn(hem.path))));
  const flat = turn > 1e-6 ? 6 / (2 * turn) : Infinity;
  const depth = Math.max(7, Math.min(usual, flat));
  return quantity(
    depth,
    flat >= usual
      ? say`${usual}, the hem is straight enough`
      : say`${making(6)} / (2 x turn ${angle(toDegrees(turn))}), so that it lies flat`,
  );
}
