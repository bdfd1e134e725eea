import { plain, quantity, readLength, type LengthInput, type Mm, type Quantity, type Unit } from "../units";
import type { Allowances, Finish } from "./schema";

export interface FinishError {
  readonly path: string;
  readonly message: string;
}

/** The finish in millimetres; null where it is undecided. */
export interface ResolvedFinish {
  readonly band: { readonly depth: Quantity; readonly sits: "above" | "on"; readonly overlap: Quantity } | null;
  readonly zip: { readonly length: Quantity | "auto"; readonly at: "centre-back" | "side" } | null;
  /** Depth of the shaped facing that turns the waist; null without one. */
  readonly facing: Quantity | null;
  /** The waist is the casing cut on to the panels. */
  readonly cutOn: boolean;
  readonly pulledOn: boolean;
  readonly hem: { readonly depth: Quantity | "auto" } | null;
  /** The hem is gathered into a cuff instead of being turned. */
  readonly cuff: { readonly depth: Quantity; readonly girth: Quantity | "auto" } | null;
  /** What the maker has not chosen, as sentences. */
  readonly undecided: readonly string[];
}

/** Which edges take what width, in millimetres. */
export type AllowanceSet = Readonly<Record<"side" | "inseam" | "crotch" | "zip" | "waist" | "band", Mm>>;

/** Firm woven cloth, pressed open seams. */
const WOVEN: AllowanceSet = { side: 20, inseam: 15, crotch: 12, zip: 25, waist: 10, band: 10 };

const FINISH_LIMITS: Readonly<Record<string, readonly [Mm, Mm]>> = {
  "waist.depth": [15, 150],
  "waist.overlap": [0, 100],
  "fastening.length": [60, 400],
  "hem.depth": [4, 120],
  "hem.girth": [100, 700],
};

function reader(unit: Unit, errors: FinishError[]) {
  return (path: string, input: LengthInput, limits: readonly [Mm, Mm]): Mm => {
    const read = readLength(input, unit);
    if (!read.ok) errors.push({ path, message: read.message });
    else if (read.mm < limits[0] || read.mm > limits[1]) {
      errors.push({ path, message: `Choose between ${plain(limits[0] / 10)} and ${plain(limits[1] / 10)} cm here.` });
    } else return read.mm;
    return limits[0];
  };
}

/** Lays the maker's finish over the style's and reads its lengths; errors name their path. */
export function resolveFinish(
  style: Finish,
  own: Finish,
  unit: Unit,
): { readonly finish: ResolvedFinish; readonly errors: readonly FinishError[] } {
  const errors: FinishError[] = [];
  const read = reader(unit, errors);
  const undecided: string[] = [];
  const waist = own.waist ?? style.waist ?? "undecided";
  const fastening = own.fastening ?? style.fastening ?? "undecided";
  const hem = own.hem ?? style.hem ?? "undecided";
  const styleBand = typeof style.waist === "object" && style.waist.kind === "straight-band" ? style.waist : undefined;
  const length = (room: string, key: string, input: LengthInput): Quantity => {
    const mm = read(`finish.${room}.${key}`, input, FINISH_LIMITS[`${room}.${key}`] as readonly [Mm, Mm]);
    return quantity(mm, `${plain(mm)} as chosen`);
  };
  if (waist === "undecided") undecided.push("The waist edge is not decided: band, facing or casing.");
  if (fastening === "undecided") undecided.push("The closure is not decided.");
  if (hem === "undecided") undecided.push("The hem is not decided.");
  const finish: ResolvedFinish = {
    band:
      waist === "undecided" || waist.kind !== "straight-band"
        ? null
        : {
            depth: length("waist", "depth", waist.depth ?? styleBand?.depth ?? "40 mm"),
            sits: waist.sits ?? styleBand?.sits ?? "above",
            overlap: length("waist", "overlap", waist.overlap ?? styleBand?.overlap ?? "30 mm"),
          },
    zip:
      fastening === "undecided" || fastening.kind === "none"
        ? null
        : {
            at: fastening.kind === "zip-side" ? "side" : "centre-back",
            length:
              fastening.length === undefined || fastening.length === "auto"
                ? "auto"
                : length("fastening", "length", fastening.length),
          },
    facing:
      typeof waist === "object" && waist.kind === "facing"
        ? length(
            "waist",
            "depth",
            waist.depth ??
              (typeof style.waist === "object" && "depth" in style.waist ? style.waist.depth : undefined) ??
              "50 mm",
          )
        : null,
    cutOn: typeof waist === "object" && waist.kind === "cut-on-casing",
    pulledOn: typeof fastening === "object" && fastening.kind === "none",
    hem:
      hem === "undecided" || hem.kind !== "turned"
        ? null
        : { depth: hem.depth === undefined || hem.depth === "auto" ? "auto" : length("hem", "depth", hem.depth) },
    cuff:
      hem === "undecided" || hem.kind !== "cuff"
        ? null
        : {
            depth: length("hem", "depth", hem.depth ?? "60 mm"),
            girth: hem.girth === undefined || hem.girth === "auto" ? "auto" : length("hem", "girth", hem.girth),
          },
    undecided,
  };
  return { finish, errors };
}

/** The allowances in millimetres: the set's, with the maker's own laid over. */
export function resolveAllowances(
  own: Allowances,
  unit: Unit,
): { readonly set: AllowanceSet; readonly errors: readonly FinishError[] } {
  const errors: FinishError[] = [];
  const read = reader(unit, errors);
  const set = Object.fromEntries(
    Object.entries(WOVEN).map(([key, usual]) => {
      const asked = own[key as keyof AllowanceSet];
      return [key, asked === undefined ? usual : read(`allowances.${key}`, asked, [0, 60])];
    }),
  ) as AllowanceSet;
  return { set, errors };
}

/** What the finish does to the levels before the block is drawn: a band on the waist comes off the panels. */
export function waistLevelEffect(finish: ResolvedFinish): Mm {
  return finish.band && finish.band.sits === "on" ? -finish.band.depth.mm : 0;
}
