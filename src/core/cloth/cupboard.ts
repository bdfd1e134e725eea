import { phrase } from "../words";
import { z } from "zod";
import { boxOf, polygonArea, type Point } from "../geometry";
import { keptText, plain, type LengthInput, type Mm, type Unit } from "../units";
import { clothSchema, type Cloth } from "./schema";

/** A cloth of the cupboard: what a job says of its cloth, and what it is. */
const clothToday = clothSchema.extend({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(120),
  fibre: z.string().max(60).optional(),
  kind: z.string().max(60).optional(),
  /** Grams a square metre. */
  weight: z.number().min(5).max(2000).optional(),
  /** Colour of its swatch. */
  swatch: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i)
    .optional(),
});
export type CupboardCloth = z.infer<typeof clothToday>;

/** Cloths were once kept with a list of their remnants, which is empty: what is left of a cloth is a cloth by itself. */
export const cupboardClothSchema = z.preprocess((raw) => {
  if (typeof raw !== "object" || raw === null) return raw;
  const { remnants: _, ...cloth } = raw as Readonly<Record<string, unknown>>;
  return cloth;
}, clothToday);

/** A length with its unit, so that it means the same on any card. */
function withUnit(input: LengthInput, unit: Unit): LengthInput {
  if (typeof input === "number") return `${input} ${unit}`;
  return typeof input === "string" ? keptText(input, unit, unit === "mm" ? "cm" : "mm") : input;
}

/** A job's cloth as the cupboard keeps it: whatever the unit of its card, every length says its own. */
export function forCupboard(cloth: Cloth, name: string, id: string, unit: Unit): CupboardCloth {
  // Which pieces are joined or turned is a matter of the garment.
  const { width, length, liningWidth, foldWidth, gap, repeat, outline, joined: _, grain: _grain, ...rest } = cloth;
  const lengths = Object.entries({ width, length, liningWidth, foldWidth, gap }).flatMap(([key, input]) =>
    input === undefined ? [] : [[key, withUnit(input, unit)] as const],
  );
  return {
    ...rest,
    ...Object.fromEntries(lengths),
    ...(repeat && {
      repeat: {
        along: withUnit(repeat.along, unit),
        ...(repeat.first !== undefined && { first: withUnit(repeat.first, unit) }),
      },
    }),
    ...(outline && { outline: outline.map(([x, y]): Corner => [withUnit(x, unit), withUnit(y, unit)]) }),
    name,
    id,
  };
}

type Corner = NonNullable<Cloth["outline"]>[number];

/** What a lay leaves of a cloth, by its outline on it: a cloth of the cupboard by itself. */
export function leftOver(cloth: Cloth, name: string, unit: Unit, outline: readonly Point[], id: string): CupboardCloth {
  const { foldWidth: _, fold: _fold, outline: _outline, ...whole } = cloth;
  const { left, right, top, bottom } = boxOf(outline);
  const mm = (length: Mm): LengthInput => `${plain(Math.floor(length))} mm`;
  const isStrip =
    outline.length === 4 && Math.abs((right - left) * (bottom - top) - Math.abs(polygonArea(outline))) < 1;
  return {
    ...forCupboard(whole, phrase`${name}, left over`, id, unit),
    width: mm(bottom - top),
    length: mm(right - left),
    ...(!isStrip && { outline: outline.map(([x, y]): Corner => [mm(x - left), mm(y - top)]) }),
  };
}

/** What a job keeps of a cloth it takes: a snapshot of what is said of it, not of what it is. */
export function forJob(cloth: CupboardCloth): Cloth {
  const { id: _id, fibre: _fibre, kind: _kind, weight: _weight, swatch: _swatch, ...own } = cloth;
  return own;
}

/** Whether a job that takes the one takes what it would of the other. */
export function sameCloth(a: CupboardCloth, b: CupboardCloth): boolean {
  const taken = (cloth: CupboardCloth): string =>
    JSON.stringify(Object.entries(forJob(cloth)).sort(([one], [other]) => (one < other ? -1 : 1)));
  return taken(a) === taken(b);
}
