import { edgesWithRole, type Join, type Panel } from "../pattern";
import type { AllowanceSet, ResolvedFinish } from "../finish";
import { pathTurn, type HemCut, type OpeningCut } from "../pieces";
import { quantity, type Mm, type Quantity, say, making, angle, toDegrees } from "../units";
import { centreOf, type ZipPlan } from "./zip";

/** How the hem is cut: a double turn is twice as deep, what is sewn to another part takes a seam's allowance. */
export function hemCut({ hem }: ResolvedFinish, depth: Quantity | null, { widths }: AllowanceSet): HemCut | null {
  switch (hem?.kind) {
    case undefined:
      return null;
    case "turned":
    case "bonded":
      return { allowance: depth?.mm ?? 0, mirrored: true };
    case "double":
    case "rolled":
      return { allowance: 2 * hem.depth.mm, mirrored: true };
    default:
      return { allowance: widths.inseam, mirrored: false };
  }
}

/** A mock fly ends at the hip line, or where the crotch begins to turn if that comes first. */
export function mockFlyLength(panels: readonly Panel[], joins: readonly Join[]): Mm {
  const front = centreOf(panels, joins, "front");
  return front ? Math.min(front.hipAlong, front.smoothAlong) : 0;
}

/** The stretch of a centre seam that opens, and what is cut beyond it. */
export function openingCut(
  { fastening }: ResolvedFinish,
  zip: ZipPlan | null,
  { widths }: AllowanceSet,
  mockFly: Mm,
): OpeningCut | null {
  if (fastening?.kind === "mock-fly") {
    return mockFly > 0 ? { root: "front", length: mockFly, width: fastening.extension.mm } : null;
  }
  if (!zip || zip.at === "side") return null;
  const grown = fastening?.kind === "fly" && fastening.grown === "on";
  return {
    root: zip.at === "centre-front" ? "front" : "back",
    length: zip.length.mm,
    width: grown ? fastening.extension.mm : widths.zip,
  };
}

/** Left `auto`, a hem is turned up 40 mm, or only as far as a curved hem lies flat: 6 / (2 x its turn). */
export function hemDepthOf(panels: readonly Panel[], finish: ResolvedFinish): Quantity | null {
  const { hem } = finish;
  if (!hem || hem.kind === "cuff" || hem.kind === "faced") return null;
  if (hem.depth !== "auto") return hem.depth;
  const hems = panels.flatMap((panel) => edgesWithRole(panel, "hem"));
  const turn = Math.max(0, ...hems.map((hem) => Math.abs(pathTurn(hem.path))));
  const flat = turn > 1e-6 ? 6 / (2 * turn) : Infinity;
  const depth = Math.max(7, Math.min(40, flat));
  return quantity(
    depth,
    flat >= 40
      ? say`${40}, the hem is straight enough`
      : say`${making(6)} / (2 x turn ${angle(toDegrees(turn))}), so that it lies flat`,
  );
}
