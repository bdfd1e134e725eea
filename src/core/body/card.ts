import { z } from "zod";
import {
  lengthInputSchema,
  quantity,
  readLength,
  unitSchema,
  type LengthInput,
  type Quantity,
  say,
  type Complaint,
} from "../units";
import { ESTIMATES } from "./estimates";
import { DATUM_LEVELS, MEASURES, measureKeySchema, type MeasureKey } from "./measures";

/**
 * A wearer's card: lengths kept exactly as typed, with the unit they were typed in.
 * A girth may be given as `{ "length": …, "net": false }`: it already holds ease.
 */
export const bodySchema = z.strictObject({
  name: z.string().max(120).default(""),
  unit: unitSchema,
  taken: z.iso.date().optional(),
  /** What the levels on this card count from; a card taken from the shoulder is brought to the waist. */
  datum: z.enum(["waist", "shoulder"]).optional(),
  measures: z.partialRecord(
    measureKeySchema,
    z.union([lengthInputSchema, z.strictObject({ length: lengthInputSchema, net: z.boolean() })]),
  ),
  note: z.string().max(2000).optional(),
});
export type Body = z.infer<typeof bodySchema>;
type CardEntry = NonNullable<Body["measures"][MeasureKey]>;

/** False where the card says that the girth already holds its ease. */
export function entryNet(entry: CardEntry | undefined): boolean {
  return !(typeof entry === "object" && "length" in entry) || entry.net;
}

/** The typed length of a card entry, whichever way it was stored. */
export function entryLength(entry: CardEntry): LengthInput {
  return typeof entry === "object" && "length" in entry ? entry.length : entry;
}

/** A measure in millimetres: given or estimated; `net` is false for a girth that already holds ease. */
export type BodyMeasure = Quantity & { readonly source: "given" | "estimated"; readonly net: boolean };
export type BodyMeasures = Readonly<Record<MeasureKey, BodyMeasure>>;

export type ResolvedBody =
  | { readonly ok: true; readonly measures: BodyMeasures }
  | { readonly ok: false; readonly errors: readonly Complaint[] };

/**
 * Reads every length of the card and estimates what is missing. Refuses, with the field's path and a sentence,
 * a required measure that is missing, a length that cannot be read, and one that is not above zero.
 */
export function resolveBody(body: Body): ResolvedBody {
  const errors: Complaint[] = [];
  const known = new Map<MeasureKey, BodyMeasure>();
  for (const { key, label, required } of MEASURES) {
    const path = `body.measures.${key}`;
    const entry = body.measures[key];
    const typed = entry === undefined ? undefined : entryLength(entry);
    if (typed === undefined || typed === "") {
      if (required) errors.push({ path, says: say`${label} is needed. Measure it and write it on the card.` });
      continue;
    }
    const read = readLength(typed, body.unit);
    if (!read.ok) errors.push({ path, says: say`${label}: ${read.message}` });
    else if (read.mm <= 0) errors.push({ path, says: say`${label} must be more than nothing.` });
    else if (read.mm > 4000) {
      errors.push({ path, says: say`${label} is over 4 metres. Check the unit: write its unit with it.` });
    } else {
      const net = entryNet(entry);
      const sum = net ? "from the card" : "from the card, with its ease";
      known.set(key, { ...quantity(read.mm, sum), source: "given", net });
    }
  }
  if (errors.length > 0) return { ok: false, errors };
  if (body.datum === "shoulder") {
    errors.push(...fromShoulder(known));
    if (errors.length > 0) return { ok: false, errors };
  }
  for (const { key, from } of ESTIMATES) {
    if (!known.has(key)) known.set(key, { ...from(known), estimated: true, source: "estimated", net: true });
  }
  return { ok: true, measures: Object.fromEntries(known) as BodyMeasures };
}

/** Brings levels taken from the shoulder to the waist, in place; returns what stands in the way. */
function fromShoulder(known: Map<MeasureKey, BodyMeasure>): Complaint[] {
  const shoulder = shoulderToWaist(known);
  if (!shoulder) {
    return [
      {
        path: "body.measures.shoulderToWaist",
        says: say`The levels are taken from the shoulder, so shoulder to waist is needed. Measure it.`,
      },
    ];
  }
  known.set("shoulderToWaist", shoulder);
  const errors: Complaint[] = [];
  for (const key of DATUM_LEVELS) {
    const level = known.get(key);
    if (!level) continue;
    const mm = level.mm - shoulder.mm;
    const sum = say`${level.mm} from the shoulder - shoulder to waist ${shoulder.mm}`;
    known.set(key, { ...quantity(mm, sum, { shoulderToWaist: shoulder }), source: "given", net: true });
    if (mm <= 0) {
      errors.push({
        path: `body.measures.${key}`,
        says: say`${level.mm} from the shoulder lies above the waist, which is ${shoulder.mm} down.`,
      });
    }
  }
  return errors;
}

/** Shoulder to waist from the card, else by the height: as carded, or 1 / 0.82 of shoulder to floor. */
function shoulderToWaist(known: ReadonlyMap<MeasureKey, BodyMeasure>): BodyMeasure | null {
  const given = known.get("shoulderToWaist");
  if (given) return given;
  const [height, floor] = [known.get("height"), known.get("waistToFloor")];
  if (!height && !floor) return null;
  const tall = height?.mm ?? (floor as BodyMeasure).mm / 0.82;
  const sum = say`0.245 x height ${tall} + ${25}`;
  return { ...quantity(0.245 * tall + 25, sum), estimated: true, source: "estimated", net: true };
}
