import { z } from "zod";
import { lengthInputSchema, readLength, unitSchema, type LengthInput, type Quantity } from "../units";
import { ESTIMATES } from "./estimates";
import { MEASURES, measureKeySchema, type MeasureKey } from "./measures";

/**
 * A wearer's card: lengths kept exactly as typed, with the unit they were typed in.
 * A girth may be given as `{ "length": …, "net": false }`: it already holds ease.
 */
export const bodySchema = z.strictObject({
  name: z.string().max(120).default(""),
  unit: unitSchema,
  taken: z.iso.date().optional(),
  measures: z.partialRecord(
    measureKeySchema,
    z.union([lengthInputSchema, z.strictObject({ length: lengthInputSchema, net: z.boolean() })]),
  ),
  note: z.string().max(2000).optional(),
});
export type Body = z.infer<typeof bodySchema>;
type CardEntry = NonNullable<Body["measures"][MeasureKey]>;

/** The typed length of a card entry, whichever way it was stored. */
export function entryLength(entry: CardEntry): LengthInput {
  return typeof entry === "object" && "length" in entry ? entry.length : entry;
}

export interface CardError {
  readonly path: string;
  readonly message: string;
}

/** Every measure as a quantity in millimetres, given or estimated. */
export type BodyMeasures = Readonly<Record<MeasureKey, Quantity & { readonly source: "given" | "estimated" }>>;

export type ResolvedBody =
  | { readonly ok: true; readonly measures: BodyMeasures }
  | { readonly ok: false; readonly errors: readonly CardError[] };

/**
 * Reads every length of the card and estimates what is missing. Refuses, with the field's path and a sentence,
 * a required measure that is missing, a length that cannot be read, and one that is not above zero.
 */
export function resolveBody(body: Body): ResolvedBody {
  const errors: CardError[] = [];
  const known = new Map<MeasureKey, Quantity & { readonly source: "given" | "estimated" }>();
  for (const { key, label, required } of MEASURES) {
    const path = `body.measures.${key}`;
    const entry = body.measures[key];
    const typed = entry === undefined ? undefined : entryLength(entry);
    if (typed === undefined || typed === "") {
      if (required) errors.push({ path, message: `${label} is needed. Measure it and write it on the card.` });
      continue;
    }
    const read = readLength(typed, body.unit);
    if (!read.ok) errors.push({ path, message: `${label}: ${read.message}` });
    else if (read.mm <= 0) errors.push({ path, message: `${label} must be more than nothing.` });
    else if (read.mm > 4000) {
      errors.push({ path, message: `${label} is over 4 metres. Check the unit: write 72 cm, 725 mm or 28 1/2 in.` });
    } else known.set(key, { mm: read.mm, formula: "from the card", uses: [], estimated: false, source: "given" });
  }
  if (errors.length > 0) return { ok: false, errors };
  for (const { key, from } of ESTIMATES) {
    if (!known.has(key)) known.set(key, { ...from(known), estimated: true, source: "estimated" });
  }
  return { ok: true, measures: Object.fromEntries(known) as BodyMeasures };
}
