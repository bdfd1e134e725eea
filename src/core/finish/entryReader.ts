import {
  quantity,
  readLength,
  type LengthInput,
  type Mm,
  type Quantity,
  type Unit,
  say,
  range,
  type Complaint,
} from "../units";
import type { ElasticRule } from "./resolved";

type Limits = readonly [Mm, Mm];

/** What is usual where nobody says, and the limits of what can be sewn, by room, kind and name. */
const USUAL: Readonly<Record<string, readonly [usual: LengthInput | "auto", ...Limits]>> = {
  "waist.straight-band.depth": ["40 mm", 15, 150],
  "waist.straight-band.overlap": ["30 mm", 0, 100],
  "waist.contour-band.depth": ["50 mm", 30, 120],
  "waist.facing.depth": ["50 mm", 15, 150],
  "waist.casing.depth": ["40 mm", 15, 120],
  "waist.ring-band.frill": ["45 mm", 0, 120],
  "waist.ring-band.channel": ["35 mm", 15, 100],
  "fastening.zip-centre-back.length": ["auto", 60, 400],
  "fastening.zip-side.length": ["auto", 60, 400],
  "fastening.fly.length": ["auto", 60, 300],
  "fastening.fly.extension": ["38 mm", 20, 60],
  "fastening.mock-fly.extension": ["38 mm", 20, 60],
  "pocket.slant.across": ["auto", 25, 120],
  "pocket.slant.down": ["170 mm", 60, 260],
  "pocket.slant.width": ["165 mm", 80, 260],
  "pocket.slant.below": ["75 mm", 20, 200],
  "pocket.in-seam.from": ["50 mm", 15, 150],
  "pocket.in-seam.opening": ["150 mm", 60, 260],
  "pocket.in-seam.width": ["160 mm", 80, 260],
  "pocket.in-seam.below": ["100 mm", 20, 200],
  "pocket.patch.opening": ["150 mm", 60, 260],
  "pocket.patch.depth": ["auto", 80, 400],
  "hem.turned.depth": ["auto", 4, 120],
  "hem.bonded.depth": ["auto", 4, 120],
  "hem.double.depth": ["15 mm", 4, 60],
  "hem.rolled.depth": ["5 mm", 3, 10],
  "hem.faced.depth": ["50 mm", 20, 120],
  "hem.cuff.depth": ["60 mm", 15, 150],
  "hem.cuff.girth": ["auto", 100, 700],
  "belt.belt.width": ["40 mm", 15, 120],
  "belt.belt.length": ["auto", 400, 2500],
  "belt.belt.loopWidth": ["12 mm", 8, 200],
  "trim.pleated-strip.width": ["32 mm", 10, 120],
};

const ELASTIC_LIMITS: Limits = [200, 1800];

/** An entry of the finish as stored: the kind, and what its maker stated. */
export type Entry = Readonly<Record<string, unknown>>;

/** Reads the lengths of one entry; what it leaves out is the style's where that is of the same kind, then the usual. */
export class EntryReader {
  constructor(
    private readonly room: string,
    private readonly path: string,
    private readonly entry: Entry,
    private readonly style: Entry | undefined,
    private readonly unit: Unit,
    private readonly errors: Complaint[],
  ) {}

  value<T>(key: string, usual: T): T {
    const kind = this.entry.kind;
    const inherited = this.style && this.style.kind === kind ? this.style[key] : undefined;
    return (this.entry[key] ?? inherited ?? usual) as T;
  }

  length(key: string): Quantity {
    const found = this.autoLength(key);
    return found === "auto" ? quantity(0, "auto") : found;
  }

  autoLength(key: string): Quantity | "auto" {
    const [usual, ...limits] = USUAL[`${this.room}.${(this.entry.kind as string | undefined) ?? this.room}.${key}`] ?? [
      "auto",
      0,
      0,
    ];
    const input = this.value<LengthInput | "auto">(key, usual);
    if (input === "auto") return "auto";
    return quantityOf(`${this.path}.${key}`, input, limits, this.unit, this.errors);
  }

  elastic(): ElasticRule {
    const input = this.value<LengthInput>("elastic", "waist-less");
    if (input === "none" || input === "waist" || input === "waist-less" || input === "hip-less") return input;
    return quantityOf(`${this.path}.elastic`, input, ELASTIC_LIMITS, this.unit, this.errors);
  }
}

/** A length read within its limits; what cannot be read is an error at its path, and the least of the limits. */
export function lengthWithin(path: string, input: LengthInput, limits: Limits, unit: Unit, errors: Complaint[]): Mm {
  const read = readLength(input, unit);
  if (!read.ok) errors.push({ path, says: [read.message] });
  else if (read.mm < limits[0] || read.mm > limits[1]) {
    errors.push({ path, says: say`Choose between ${range(...limits, "and")} here.` });
  } else return read.mm;
  return limits[0];
}

function quantityOf(path: string, input: LengthInput, limits: Limits, unit: Unit, errors: Complaint[]): Quantity {
  const mm = lengthWithin(path, input, limits, unit, errors);
  return quantity(mm, say`${mm} as chosen`);
}
