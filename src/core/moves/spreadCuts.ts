import { edgeOf, isOf, landmarkOf, type Panel, outlinePlace, type Cut } from "../pattern";
import { z } from "zod";
import { pathAlongAtX, pathLength, pathNearest } from "../geometry";
import { lengthInputSchema, type Mm, Refusal, say, range, typed, inside } from "../units";
import { readParam } from "./auto";
import { type MoveContext } from "./move";

const placeSchema = z.strictObject({
  edge: z.string().max(40).describe("Edge of the panel, such as hem, side, crotch."),
  at: z.union([z.string().max(40), z.number()]).describe("A landmark's name, or a length from the edge's start."),
});

export const cutsSchema = z
  .array(
    z.strictObject({
      panel: z.enum(["front", "back"]),
      open: placeSchema,
      hinge: placeSchema,
      gap: lengthInputSchema.optional(),
    }),
  )
  .max(24)
  .describe("The slashes; left out, each panel is slashed up the crease and hinged at hip and crotch point.");

interface PlannedCut {
  readonly open: Mm;
  readonly hinge: Mm;
  /** A gap stated by the maker; null shares in `hemSpread`. */
  readonly gap: Mm | null;
}

/** The slashes asked for; else the usual one: up the crease, branching to the hip at the side and to the crotch point. */
export function planCuts(
  panel: Panel,
  asked: z.infer<typeof cutsSchema> | undefined,
  context: MoveContext,
  slashAt: Mm,
  hingeAt: Mm,
): PlannedCut[] {
  if (asked) {
    return asked
      .filter((cut) => isOf(panel, cut.panel))
      .map((cut) => ({
        open: placeOn(panel, cut.open),
        hinge: placeOn(panel, cut.hinge),
        gap: cut.gap === undefined ? null : readParam("cuts", cut.gap, context, "as chosen").mm,
      }));
  }
  const open = slashAt === 0 ? placeOn(panel, { edge: "hem", at: "creaseHem" }) : slashPlace(panel, slashAt);
  const hip = placeOn(panel, { edge: "side", at: "hipSide" });
  const [top, bottom] = [
    outlinePlace(panel, "side", 0),
    outlinePlace(panel, "side", pathLength(edgeOf(panel, "side").path)),
  ];
  // The hip line itself is always a place to hinge; only a hinge moved by hand has to keep clear of both ends.
  if (hingeAt !== 0 && (hip + hingeAt < top + 20 || hip + hingeAt > Math.max(hip, bottom - 150))) {
    throw new Refusal(
      "hingeAt",
      say`The hinge can lie ${range(top + 20 - hip, Math.max(0, bottom - 150 - hip))} below the hip line.`,
    );
  }
  return [
    { open, hinge: hip + hingeAt, gap: null },
    { open, hinge: outlinePlace(panel, "crotch", 0), gap: null },
  ];
}

/** Where a slash beside the crease is opened at the hem. */
function slashPlace(panel: Panel, out: Mm): Mm {
  const hem = edgeOf(panel, "hem").path;
  const crease = landmarkOf(panel, "creaseHem")[0];
  const outward = Math.sign(landmarkOf(panel, "hemSide")[0] - crease) || 1;
  const at = pathAlongAtX(hem, crease + outward * out);
  if (at === null || at < 15 || at > pathLength(hem) - 15)
    throw new Refusal(
      "slashAt",
      say`A slash ${out} from the crease does not reach the hem of the ${inside(panel.name)}.`,
    );
  return outlinePlace(panel, "hem", at);
}

function placeOn(panel: Panel, place: z.infer<typeof placeSchema>): Mm {
  if (!panel.edges.some((edge) => edge.id === place.edge)) {
    throw new Refusal("cuts", say`The ${inside(panel.name)} has no edge “${typed(place.edge.slice(0, 20))}”.`);
  }
  const { path } = edgeOf(panel, place.edge);
  if (typeof place.at === "number") {
    const length = pathLength(path);
    if (!(place.at >= 0 && place.at <= length)) {
      throw new Refusal("cuts", say`A slash lies beyond the ${place.edge}, which is ${length} long.`);
    }
    return outlinePlace(panel, place.edge, place.at);
  }
  const landmark = panel.landmarks[place.at];
  if (!landmark)
    throw new Refusal("cuts", say`The ${inside(panel.name)} has no landmark “${typed(place.at.slice(0, 20))}”.`);
  return outlinePlace(panel, place.edge, pathNearest(path, landmark).along);
}

export function share(cuts: readonly PlannedCut[], sum: Mm): Cut[] {
  const sharing = cuts.filter((cut) => cut.gap === null).length;
  return cuts.map((cut) => ({ open: cut.open, hinge: cut.hinge, gap: cut.gap ?? sum / sharing }));
}
