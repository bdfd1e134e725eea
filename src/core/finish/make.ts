import { type Join, type Panel } from "../pattern";
import { quantity, type Mm, say } from "../units";
import { contourBand } from "./contourBand";
import { cuffGirth, withCuff } from "./cuff";
import { elasticNotions } from "./elastic";
import { withBelt, withTrim } from "./extras";
import { waistFacing } from "./facing";
import { withFly, withMockFly } from "./fly";
import { unsettled, withParts, type FinishContext, type Garment, type Notion } from "./garment";
import { withHemFacing } from "./hemFacing";
import { inSeamPocket, patchPocket } from "./otherPockets";
import { opensAt, pulledOn, type OpensAt } from "./resolve";
import type { ResolvedFinish, ResolvedWaist } from "./resolved";
import { slantPocket } from "./slantPocket";
import { waistStrip } from "./waistStrips";

/** What the finishes need to know of the pattern they finish. */
export interface Finishing extends FinishContext {
  readonly hipLevel: Mm;
  /** Length of a mock fly down the centre front. */
  readonly mockFly: Mm;
  /** What the length has given up for a cuff; its own depth unless a move says so. */
  readonly cuffDepth: Mm | null;
}

/** The waist edge, whichever way it is finished. */
function withWaist(garment: Garment, waist: ResolvedWaist, opens: OpensAt, context: Finishing): Garment {
  switch (waist.kind) {
    case "straight-band":
    case "casing":
    case "ring-band":
      return waistStrip(garment, waist, opens, context);
    case "contour-band":
      return contourBand(garment, waist, opens);
    case "facing":
      return waistFacing(garment, waist.depth.mm, opens);
    case "cut-on-casing": {
      const drawn = withParts(garment, { notions: elasticNotions(waist, context) });
      return garment.panels.some((p) => p.worn?.casings?.waist)
        ? drawn
        : unsettled(
            drawn,
            say`The waist has no casing cut on to it yet: add the move that cuts one on, or choose a band.`,
          );
    }
  }
}

/**
 * The garment from its style panels: waist, fastening, pockets, hem, belt and trims, in the order in which each takes
 * from what the others left. What cannot be made here is said, never left out silently.
 */
export function finishGarment(
  panels: readonly Panel[],
  joins: readonly Join[],
  finish: ResolvedFinish,
  context: Finishing,
): Garment {
  const opens = opensAt(finish);
  const zip: readonly Notion[] =
    context.zip > 0
      ? [{ id: "zip", label: say`Zip`, count: 1, length: quantity(context.zip, "below the sewn waist, at the least") }]
      : [];
  let garment: Garment = { panels, joins, notions: zip, marks: [], undecided: finish.undecided };
  const { waist, fastening, hem } = finish;
  const cased = panels.some((p) => p.worn?.casings?.waist);
  if (cased && waist && waist.kind !== "cut-on-casing") {
    garment = unsettled(
      garment,
      say`A casing is cut on to the waist already: take that move out, or let the casing be the waist's finish.`,
    );
  } else if (waist) garment = withWaist(garment, waist, opens, context);
  if (fastening?.kind === "fly") garment = withFly(garment, fastening, context);
  if (fastening?.kind === "mock-fly") garment = withMockFly(garment, context.mockFly, fastening.extension.mm);
  for (const pocket of finish.pockets ?? []) {
    if (pocket.kind === "slant") garment = slantPocket(garment, pocket);
    else if (pocket.kind === "in-seam") garment = inSeamPocket(garment, pocket);
    else garment = patchPocket(garment, pocket, context.hipLevel);
  }
  if (hem?.kind === "faced") garment = withHemFacing(garment, hem.depth.mm);
  if (hem?.kind === "cuff") {
    const girth = cuffGirth(hem.girth, context.measures);
    garment = withCuff(garment, girth, context.cuffDepth ?? hem.depth.mm, hem.elastic);
  }
  if (finish.belt) garment = withBelt(garment, finish.belt, context);
  for (const trim of finish.trims) garment = withTrim(garment, trim);
  if (!pulledOn(finish) && opens !== "none" && context.zip === 0 && fastening?.kind !== "front-placket") {
    const where = opens === "side" ? "side seam" : opens.replace("-", " ");
    garment = withParts(garment, {
      undecided: [
        say`The closure is not decided: the ${where} is cut or lies on a fold, so no zip can be set in there.`,
      ],
    });
  }
  // The legs come first, as they are cut first; what was cut from them and sewn on follows.
  const legs = new Set(panels.map((p) => p.id));
  const isLeg = (p: Panel): boolean => legs.has(p.is.leftOf ?? p.id);
  return { ...garment, panels: [...garment.panels.filter(isLeg), ...garment.panels.filter((p) => !isLeg(p))] };
}
