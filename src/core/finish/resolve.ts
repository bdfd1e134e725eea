import { plain, quantity, readLength, type LengthInput, type Mm, type Quantity, type Unit } from "../units";
import type { Finish } from "./schema";

export interface FinishError {
  readonly path: string;
  readonly message: string;
}

/** How long an elastic is: by a rule, or as chosen. */
export type ElasticRule = "none" | "waist" | "waist-less" | "hip-less" | Quantity;

export type ResolvedWaist =
  | {
      readonly kind: "straight-band";
      readonly depth: Quantity;
      readonly sits: "above" | "on" | "outside";
      readonly overlap: Quantity;
      readonly fit: "edge" | "waist";
      readonly contrast: boolean;
    }
  | {
      readonly kind: "contour-band";
      readonly depth: Quantity;
      readonly sits: "cut" | "above";
      readonly contrast: boolean;
    }
  | { readonly kind: "facing"; readonly depth: Quantity }
  | { readonly kind: "cut-on-casing"; readonly elastic: ElasticRule; readonly drawstring: boolean }
  | {
      readonly kind: "casing";
      readonly depth: Quantity;
      readonly sits: "above" | "on";
      readonly elastic: ElasticRule;
      readonly drawstring: boolean;
    }
  | {
      readonly kind: "ring-band";
      readonly frill: Quantity;
      readonly channel: Quantity;
      readonly fit: "edge" | "waist";
      readonly elastic: ElasticRule;
      readonly drawstring: boolean;
    };

export type ResolvedFastening =
  | { readonly kind: "zip-centre-back" | "zip-side"; readonly length: Quantity | "auto" }
  | {
      readonly kind: "fly";
      readonly length: Quantity | "auto";
      readonly extension: Quantity;
      readonly grown: "on" | "separate";
    }
  | { readonly kind: "mock-fly"; readonly extension: Quantity }
  | { readonly kind: "front-placket" | "none" };

export type ResolvedPocket =
  | {
      readonly kind: "slant";
      readonly across: Quantity | "auto";
      readonly down: Quantity;
      readonly width: Quantity;
      readonly below: Quantity;
      readonly edge: "straight" | "curved" | "scalloped";
      readonly contrast: boolean;
    }
  | {
      readonly kind: "in-seam";
      readonly from: Quantity;
      readonly opening: Quantity;
      readonly width: Quantity;
      readonly below: Quantity;
    }
  | {
      readonly kind: "patch";
      readonly opening: Quantity;
      readonly depth: Quantity | "auto";
      readonly contrast: boolean;
    };

export type ResolvedHem =
  | { readonly kind: "turned" | "bonded"; readonly depth: Quantity | "auto" }
  | { readonly kind: "double" | "rolled" | "faced"; readonly depth: Quantity }
  | {
      readonly kind: "cuff";
      readonly depth: Quantity;
      readonly girth: Quantity | "auto";
      readonly elastic: boolean;
    };

export interface ResolvedBelt {
  readonly width: Quantity;
  readonly length: Quantity | "auto";
  readonly loops: number;
  readonly loopWidth: Quantity;
}

export type ResolvedTrim =
  | {
      readonly kind: "pleated-strip";
      readonly width: Quantity;
      readonly fullness: number;
      readonly contrast: boolean;
    }
  | { readonly kind: "flounce-lining" };

/** The finish in millimetres; null where it is undecided. */
export interface ResolvedFinish {
  readonly waist: ResolvedWaist | null;
  readonly fastening: ResolvedFastening | null;
  readonly pockets: readonly ResolvedPocket[] | null;
  readonly hem: ResolvedHem | null;
  /** How the inner edges are finished; null while it is undecided. */
  readonly inside: "overlocked" | "bound" | "lined" | "raw" | null;
  readonly belt: ResolvedBelt | null;
  readonly trims: readonly ResolvedTrim[];
  /** What the maker has not chosen, as sentences. */
  readonly undecided: readonly string[];
}

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
type Entry = Readonly<Record<string, unknown>>;

/** Reads the lengths of one entry; what it leaves out is the style's where that is of the same kind, then the usual. */
class EntryReader {
  constructor(
    private readonly room: string,
    private readonly path: string,
    private readonly entry: Entry,
    private readonly style: Entry | undefined,
    private readonly unit: Unit,
    private readonly errors: FinishError[],
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
export function lengthWithin(path: string, input: LengthInput, limits: Limits, unit: Unit, errors: FinishError[]): Mm {
  const read = readLength(input, unit);
  if (!read.ok) errors.push({ path, message: read.message });
  else if (read.mm < limits[0] || read.mm > limits[1]) {
    errors.push({ path, message: `Choose between ${plain(limits[0] / 10)} and ${plain(limits[1] / 10)} cm here.` });
  } else return read.mm;
  return limits[0];
}

function quantityOf(path: string, input: LengthInput, limits: Limits, unit: Unit, errors: FinishError[]): Quantity {
  const mm = lengthWithin(path, input, limits, unit, errors);
  return quantity(mm, `${plain(mm)} as chosen`);
}

function waistOf(read: EntryReader, kind: ResolvedWaist["kind"]): ResolvedWaist {
  const channel = () => ({ elastic: read.elastic(), drawstring: read.value("drawstring", false) });
  switch (kind) {
    case "straight-band":
      return {
        kind,
        depth: read.length("depth"),
        sits: read.value("sits", "above"),
        overlap: read.length("overlap"),
        fit: read.value("fit", "edge"),
        contrast: read.value("contrast", false),
      };
    case "contour-band":
      return {
        kind,
        depth: read.length("depth"),
        sits: read.value("sits", "cut"),
        contrast: read.value("contrast", false),
      };
    case "facing":
      return { kind, depth: read.length("depth") };
    case "cut-on-casing":
      return { kind, ...channel() };
    case "casing":
      return { kind, depth: read.length("depth"), sits: read.value("sits", "above"), ...channel() };
    case "ring-band":
      return {
        kind,
        frill: read.length("frill"),
        channel: read.length("channel"),
        fit: read.value("fit", "edge"),
        ...channel(),
      };
  }
}

function fasteningOf(read: EntryReader, kind: ResolvedFastening["kind"]): ResolvedFastening {
  switch (kind) {
    case "zip-centre-back":
    case "zip-side":
      return { kind, length: read.autoLength("length") };
    case "fly":
      return {
        kind,
        length: read.autoLength("length"),
        extension: read.length("extension"),
        grown: read.value("grown", "separate"),
      };
    case "mock-fly":
      return { kind, extension: read.length("extension") };
    default:
      return { kind };
  }
}

function pocketOf(read: EntryReader, kind: ResolvedPocket["kind"]): ResolvedPocket {
  switch (kind) {
    case "slant":
      return {
        kind,
        across: read.autoLength("across"),
        down: read.length("down"),
        width: read.length("width"),
        below: read.length("below"),
        edge: read.value("edge", "straight"),
        contrast: read.value("contrast", false),
      };
    case "in-seam":
      return {
        kind,
        from: read.length("from"),
        opening: read.length("opening"),
        width: read.length("width"),
        below: read.length("below"),
      };
    case "patch":
      return {
        kind,
        opening: read.length("opening"),
        depth: read.autoLength("depth"),
        contrast: read.value("contrast", false),
      };
  }
}

function hemOf(read: EntryReader, kind: ResolvedHem["kind"]): ResolvedHem {
  if (kind === "cuff")
    return {
      kind,
      depth: read.length("depth"),
      girth: read.autoLength("girth"),
      elastic: read.value("elastic", false),
    };
  if (kind === "turned" || kind === "bonded") return { kind, depth: read.autoLength("depth") };
  return { kind, depth: read.length("depth") };
}

/** Lays the maker's finish over the style's and reads its lengths; errors name their path. */
export function resolveFinish(
  style: Finish,
  own: Finish,
  unit: Unit,
): { readonly finish: ResolvedFinish; readonly errors: readonly FinishError[] } {
  const errors: FinishError[] = [];
  const undecided: string[] = [];
  const reader = (room: string, path: string, entry: Entry, usual: unknown): EntryReader =>
    new EntryReader(
      room,
      `finish.${path}`,
      entry,
      typeof usual === "object" && usual !== null ? (usual as Entry) : undefined,
      unit,
      errors,
    );
  /** What is chosen in a room; null, and said, while it is undecided. */
  const chosen = <R extends "waist" | "fastening" | "pockets" | "hem">(
    room: R,
    question: string,
  ): Exclude<Finish[R], "undecided" | undefined> | null => {
    const value = own[room] ?? style[room] ?? "undecided";
    if (value !== "undecided") return value as Exclude<Finish[R], "undecided" | undefined>;
    undecided.push(question);
    return null;
  };
  const waist = chosen("waist", "The waist edge is not decided: band, facing or casing.");
  const fastening = chosen("fastening", "The closure is not decided.");
  const pockets = chosen("pockets", "Pockets are not decided.");
  const hem = chosen("hem", "The hem is not decided.");
  const inside = own.inside ?? style.inside ?? "undecided";
  if (inside === "undecided") undecided.push("How the inner edges are finished is not decided.");
  const belt = own.belt ?? style.belt ?? "none";
  const stylePockets = Array.isArray(style.pockets) ? style.pockets : [];
  const finish: ResolvedFinish = {
    waist: waist && waistOf(reader("waist", "waist", waist, style.waist), waist.kind),
    fastening: fastening && fasteningOf(reader("fastening", "fastening", fastening, style.fastening), fastening.kind),
    pockets:
      pockets &&
      pockets.map((p, i) =>
        pocketOf(
          reader(
            "pocket",
            `pockets.${i}`,
            p,
            stylePockets.find((s) => s.kind === p.kind),
          ),
          p.kind,
        ),
      ),
    hem: hem && hemOf(reader("hem", "hem", hem, style.hem), hem.kind),
    inside: inside === "undecided" ? null : inside,
    belt: belt === "none" ? null : beltOf(reader("belt", "belt", belt, style.belt)),
    trims: (own.trims ?? style.trims ?? []).map((trim, i): ResolvedTrim => {
      if (trim.kind === "flounce-lining") return trim;
      const read = reader("trim", `trims.${i}`, trim, undefined);
      return {
        kind: trim.kind,
        width: read.length("width"),
        fullness: trim.fullness ?? 2,
        contrast: trim.contrast ?? false,
      };
    }),
    undecided,
  };
  return { finish, errors };
}

function beltOf(read: EntryReader): ResolvedBelt {
  return {
    width: read.length("width"),
    length: read.autoLength("length"),
    loops: read.value("loops", 5),
    loopWidth: read.length("loopWidth"),
  };
}

/** Where the garment opens; `none` where it is pulled on, or nobody has said. */
export type OpensAt = "centre-back" | "centre-front" | "side" | "none";

export function opensAt(finish: ResolvedFinish): OpensAt {
  switch (finish.fastening?.kind) {
    case "zip-centre-back":
      return "centre-back";
    case "zip-side":
      return "side";
    case "fly":
    case "front-placket":
      return "centre-front";
    default:
      return "none";
  }
}

/** True where the garment is said to be pulled on, without an opening. */
export const pulledOn = ({ fastening }: ResolvedFinish): boolean =>
  fastening?.kind === "none" || fastening?.kind === "mock-fly";

/**
 * What the finish does to the levels before the block is drawn: what sits on the waist comes off the panels, a contour
 * band that stands above the waist is drawn on to them first.
 */
export function waistLevelEffect({ waist }: ResolvedFinish): Mm {
  if (waist?.kind === "contour-band") return waist.sits === "above" ? waist.depth.mm : 0;
  if (waist?.kind === "straight-band" || waist?.kind === "casing") return waist.sits === "on" ? -waist.depth.mm : 0;
  return 0;
}
