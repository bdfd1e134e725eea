import type { BodyMeasures } from "../body";
import { type Mm, type Quantity, type Unit, say, type Sentence, type Complaint } from "../units";
import type { Facts, OpensAt, Room } from "./define";
import { finishKind } from "./kinds";
import { readEntry, type Asked, type Entry, type Reading } from "./readEntry";
import type { Finish } from "./schema";
import type { ResolvedFinish } from "./resolved";
import type { ElasticRule } from "./elastic";

/** What is asked of a maker who has not chosen yet. */
const QUESTIONS = {
  waist: say`The waist edge is not decided: band, facing or casing.`,
  fastening: say`The closure is not decided.`,
  pockets: say`Pockets are not decided.`,
  hem: say`The hem is not decided.`,
  inside: say`How the inner edges are finished is not decided.`,
} as const;

const asEntry = (value: unknown): Entry | undefined =>
  typeof value === "object" && value !== null ? (value as Entry) : undefined;

/** Lays the maker's finish over the style's and reads its lengths; errors name their path. */
export function resolveFinish(
  style: Finish,
  own: Finish,
  { measures, unit }: { readonly measures: BodyMeasures; readonly unit: Unit },
): { readonly finish: ResolvedFinish; readonly errors: readonly Complaint[] } {
  const errors: Complaint[] = [];
  const undecided: Sentence[] = [];
  const at = (path: string): Reading => ({ path: `finish.${path}`, unit, measures, errors });
  const read = (room: Room, path: string, entry: Entry, styles: unknown): Asked | null => {
    const kind = finishKind(room, String(entry.kind ?? room));
    return kind && readEntry(kind, entry, asEntry(styles), at(path));
  };
  /** What is chosen in a room; null, and said, while it is undecided. */
  const chosen = <R extends keyof typeof QUESTIONS>(room: R): Exclude<Finish[R], "undecided" | undefined> | null => {
    const value = own[room] ?? style[room] ?? "undecided";
    if (value !== "undecided") return value as Exclude<Finish[R], "undecided" | undefined>;
    undecided.push(QUESTIONS[room]);
    return null;
  };
  const one = (room: "waist" | "fastening" | "hem"): Asked | null => {
    const entry = chosen(room);
    return entry && read(room, room, entry, style[room]);
  };
  const several = (room: Room, name: "pockets" | "trims", entries: readonly { readonly kind: string }[]): Asked[] => {
    const styles = style[name];
    return entries.flatMap((entry, i) => {
      const ofStyle = Array.isArray(styles) ? styles.find((s) => s.kind === entry.kind) : undefined;
      return read(room, `${name}.${i}`, entry, ofStyle) ?? [];
    });
  };
  const [waist, fastening] = [one("waist"), one("fastening")];
  const pockets = chosen("pockets");
  const hem = one("hem");
  const inside = chosen("inside");
  const belt = own.belt ?? style.belt ?? "none";
  const finish = {
    waist,
    fastening,
    pockets: pockets && several("pocket", "pockets", pockets),
    hem,
    inside,
    belt: belt === "none" ? null : read("belt", "belt", belt, style.belt),
    trims: several("trim", "trims", own.trims ?? style.trims ?? []),
    undecided,
  };
  return { finish: finish as unknown as ResolvedFinish, errors };
}

/** What the rest has to know of the finish chosen for a part of the garment; null while it is undecided. */
function factsOf<R extends "waist" | "fastening" | "hem">(finish: ResolvedFinish, room: R): Facts<object>[R] | null {
  const chosen = finish[room];
  return chosen && (finishKind(room, chosen.kind)?.facts ?? null);
}

/** Where the garment opens. */
export const opensAt = (finish: ResolvedFinish): OpensAt => factsOf(finish, "fastening")?.opens ?? "none";

/** True where the garment is said to be pulled on, without an opening. */
export const pulledOn = (finish: ResolvedFinish): boolean => factsOf(finish, "fastening")?.isPulledOn ?? false;

/** True where nothing has to be set in for it to open. */
export const opensByItself = (finish: ResolvedFinish): boolean => factsOf(finish, "fastening")?.opensByItself ?? false;

/** The zip below the sewn waist as asked; null where it closes without one. */
export const zipOf = (finish: ResolvedFinish): Quantity | "auto" | null =>
  (finish.fastening && factsOf(finish, "fastening")?.zip?.(finish.fastening)) ?? null;

/** How far a centre is cut beyond its seam for a fastening that is grown on; null where none is. */
export const grownCentre = (finish: ResolvedFinish): Mm | null =>
  (finish.fastening && factsOf(finish, "fastening")?.grows?.(finish.fastening)) ?? null;

/** How deep the hem is turned up, and how often; null where it is sewn to a part, or undecided. */
export const hemTurnOf = (
  finish: ResolvedFinish,
): { readonly depth: Quantity | "auto"; readonly times: number } | null =>
  // A bagged lining is sewn to the hem: nothing is turned up.
  (finish.hem && finish.inside !== "bagged" ? factsOf(finish, "hem")?.turn?.(finish.hem) : null) ?? null;

/** What the hem's finish hangs below the leg, which comes off its length; null where it hangs nothing. */
export const hangsBelow = (finish: ResolvedFinish): Quantity | null =>
  (finish.hem && factsOf(finish, "hem")?.hangs?.(finish.hem)) ?? null;

/**
 * What the finish does to the levels before the block is drawn: what sits on the waist comes off the panels, a contour
 * band that stands above the waist is drawn on to them first.
 */
export const waistLevelEffect = (finish: ResolvedFinish): Mm =>
  (finish.waist && factsOf(finish, "waist")?.raises?.(finish.waist)) ?? 0;

/** The waist's finish in a few words, and its depth where it has one of its own; null while it is undecided. */
export function waistTold(finish: ResolvedFinish): { readonly words: string; readonly depth: Mm | null } | null {
  const facts = factsOf(finish, "waist");
  return finish.waist && facts ? { words: facts.told, depth: facts.depth?.(finish.waist) ?? null } : null;
}

/** True where the waist's finish is the casing that a move cuts on. */
export const waistIsCutOn = (finish: ResolvedFinish): boolean => factsOf(finish, "waist")?.isCutOn ?? false;

/** The elastic of a waist: its rule, where the waist holds one. */
export const elasticOf = ({ waist }: ResolvedFinish): ElasticRule =>
  waist && "elastic" in waist ? waist.elastic : "none";
