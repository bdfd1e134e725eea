import { type Mm, type Unit, say, type Sentence, type Complaint } from "../units";
import type { Finish } from "./schema";
import type {
  ResolvedWaist,
  ResolvedFastening,
  ResolvedPocket,
  ResolvedHem,
  ResolvedBelt,
  ResolvedTrim,
  ResolvedFinish,
} from "./resolved";
import { type Entry, EntryReader } from "./entryReader";

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
): { readonly finish: ResolvedFinish; readonly errors: readonly Complaint[] } {
  const errors: Complaint[] = [];
  const undecided: Sentence[] = [];
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
    question: Sentence,
  ): Exclude<Finish[R], "undecided" | undefined> | null => {
    const value = own[room] ?? style[room] ?? "undecided";
    if (value !== "undecided") return value as Exclude<Finish[R], "undecided" | undefined>;
    undecided.push(question);
    return null;
  };
  const waist = chosen("waist", say`The waist edge is not decided: band, facing or casing.`);
  const fastening = chosen("fastening", say`The closure is not decided.`);
  const pockets = chosen("pockets", say`Pockets are not decided.`);
  const hem = chosen("hem", say`The hem is not decided.`);
  const inside = own.inside ?? style.inside ?? "undecided";
  if (inside === "undecided") undecided.push(say`How the inner edges are finished is not decided.`);
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
