import { hasLegs, isBodice, isSewnOn, rimEdges, withFoldsWithin, type Join, type Panel } from "../pattern";
import { faultOf, saidOfFault, say, type EngineFault } from "../units";
import { boughtFor } from "./bought";
import { withFacingEnds } from "./facingEnds";
import { withLining } from "./lining";
import { zipNotion } from "./zips";
import type { Finishing, OpensAt, Room } from "./define";
import { unsettled, withParts, type Garment, type Notion } from "./garment";
import { finishKind, FINISHES } from "./kinds";
import { opensAt, opensByItself, pulledOn, waistIsCutOn } from "./resolve";
import type { ResolvedFinish } from "./resolved";

const WHERE: Readonly<Record<Exclude<OpensAt, "none">, string>> = {
  "centre-back": "centre back",
  "centre-front": "centre front",
  side: "side seam",
};

/**
 * A garment with its finishes, the rooms of them that are undecided or could not be made as asked, and the finishes at which
 * Eland failed.
 */
export interface Finished extends Garment {
  readonly open: ReadonlySet<Room>;
  readonly faults: readonly EngineFault[];
}

/**
 * The garment from its style panels: waist, fastening, pockets, hem, belt and trims, in the order in which each takes
 * from what the others left. What cannot be made here is said, never left out silently.
 */
export function finishGarment(
  panels: readonly Panel[],
  joins: readonly Join[],
  finish: ResolvedFinish,
  context: Omit<Finishing, "opens">,
): Finished {
  const opens = opensAt(finish);
  const open = new Set<Room>();
  const faults: EngineFault[] = [];
  const zip: readonly Notion[] = context.zip > 0 ? [zipNotion(context.zip, context.tape)] : [];
  let garment: Garment = { panels, joins, notions: zip, marks: [], undecided: finish.undecided };
  const make = (room: Room, chosen: { readonly kind: string } | null): void => {
    const said = garment.undecided.length;
    const kind = chosen && finishKind(room, chosen.kind);
    try {
      if (kind) garment = kind.make?.(garment, chosen, { ...context, opens }) ?? garment;
    } catch (error) {
      const fault = faultOf(kind?.words ?? room, error);
      faults.push(fault);
      garment = unsettled(garment, saidOfFault(fault));
    }
    if (!chosen || garment.undecided.length > said) open.add(room);
  };
  if (finish.waist && !waistIsCutOn(finish) && panels.some((p) => p.worn?.casings?.waist)) {
    garment = unsettled(
      garment,
      say`A casing is cut on to the waist already: take that move out, or let the casing be the waist's finish.`,
    );
    open.add("waist");
  } else make("waist", finish.waist);
  make("fastening", finish.fastening);
  const taken = new Set<string>();
  for (const pocket of finish.pockets ?? []) {
    const kind = finishKind("pocket", pocket.kind);
    const place = kind?.facts.opensIn ?? "";
    if (kind && taken.has(place)) {
      garment = unsettled(
        garment,
        say`There is a pocket ${place === "side" ? "at the side" : "on the front"} already: the ${kind.words} pocket is left out.`,
      );
    } else make("pocket", pocket);
    taken.add(place);
  }
  make("hem", finish.hem);
  make("belt", finish.belt);
  // In the order of their kinds: a sleeve is set in before what is left open is faced.
  for (const kind of FINISHES.trim) for (const trim of finish.trims) if (trim.kind === kind.kind) make("trim", trim);
  garment = withFacingEnds(garment, opens);
  if (isApart(garment))
    garment = unsettled(
      garment,
      say`Bodice and trousers are not sewn to each other: join them, or take the bodice out.`,
    );
  if (hasOpenEdges(garment))
    garment = unsettled(garment, say`How neck and armholes are finished is not decided: facings, binding or a sleeve.`);
  if (!pulledOn(finish) && opens !== "none" && context.zip === 0 && !opensByItself(finish)) {
    garment = withParts(garment, {
      undecided: [
        say`The closure is not decided: the ${WHERE[opens]} is cut or lies on a fold, so no zip can be set in there.`,
      ],
    });
  }
  // The legs come first, as they are cut first; what was cut from them and sewn on follows.
  const legs = new Set(panels.map((p) => p.id));
  const isLeg = (p: Panel): boolean => legs.has(p.is.leftOf ?? p.id);
  garment = withParts(withLining(garment, finish, isLeg), {
    notions: boughtFor(garment, finish, { ...context, opens }),
  });
  const laid = garment.panels.map(withFoldsWithin);
  return { ...garment, panels: [...laid.filter(isLeg), ...laid.filter((p) => !isLeg(p))], open, faults };
}

/** True for a bodice whose waist is sewn to nothing, beside trousers. */
const isApart = (garment: Garment): boolean =>
  hasLegs(garment.panels) &&
  garment.panels.some((p) => isBodice(p) && rimEdges(p, "waist").some((e) => !isSewnOn(garment, p.id, e.id)));

/** True while nothing is sewn to a neck or an armhole of the garment. */
const hasOpenEdges = (garment: Garment): boolean =>
  garment.panels.some((panel) =>
    panel.edges.some((e) => (e.role === "neck" || e.role === "armhole") && !isSewnOn(garment, panel.id, e.id)),
  );
