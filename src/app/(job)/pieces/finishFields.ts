import { say, type Words } from "@/core/units";
import { type AllowanceKind } from "@/core/pattern";

/** One number or choice of a finish, as the form shows it. */
export type FinishField =
  | { readonly key: string; readonly label: string; readonly as: "length" }
  | { readonly key: string; readonly label: string; readonly as: "yes" }
  | {
      readonly key: string;
      readonly label: string;
      readonly as: "choice";
      readonly options: readonly (readonly [string, Words])[];
    };

/** A kind of finish, its words, what can be set of it, and what it does, in one line. */
export interface FinishKind {
  readonly kind: string;
  readonly words: string;
  readonly fields: readonly FinishField[];
  readonly note?: string;
}

const length = (key: string, label: string): FinishField => ({ key, label, as: "length" });
const yes = (key: string, label: string): FinishField => ({ key, label, as: "yes" });
const choice = (key: string, label: string, ...options: readonly (readonly [string, Words])[]): FinishField => ({
  key,
  label,
  as: "choice",
  options,
});

const ELASTIC = choice(
  "elastic",
  "Elastic",
  ["waist-less", "waist less 1/10"],
  ["waist", "as the waist"],
  ["hip-less", say`hip less ${254}`],
  ["none", "none"],
);
const CORD = yes("drawstring", "With a cord");
const SECOND = yes("contrast", "From a second cloth");
const SITS = choice("sits", "It sits", ["above", "above the waist"], ["on", "on the waist"]);
const FIT = choice("fit", "As long as", ["edge", "the sewn edge"], ["waist", "the body’s waist"]);

export const WAIST_KINDS: readonly FinishKind[] = [
  {
    kind: "straight-band",
    words: "straight band",
    fields: [
      length("depth", "Depth"),
      choice("sits", "It sits", ["above", "above the waist"], ["on", "on the waist"], ["outside", "turned outside"]),
      length("overlap", "Underlap"),
      FIT,
      SECOND,
    ],
  },
  {
    kind: "contour-band",
    words: "contour band",
    fields: [
      length("depth", "Depth"),
      choice("sits", "It is", ["cut", "cut from the panels"], ["above", "drawn on above"]),
      SECOND,
    ],
    note: "The top of the panels, its darts closed; cut twice, it faces itself.",
  },
  { kind: "facing", words: "shaped facing", fields: [length("depth", "Depth")] },
  { kind: "cut-on-casing", words: "casing cut on", fields: [ELASTIC, CORD] },
  { kind: "casing", words: "separate casing", fields: [length("depth", "Depth"), SITS, ELASTIC, CORD] },
  {
    kind: "ring-band",
    words: "frilled ring",
    fields: [length("frill", "Frill"), length("channel", "Channel"), FIT, ELASTIC, CORD],
    note: "One strip, twice as deep as frill and channel together, closed into a ring.",
  },
];

export const FASTENING_KINDS: readonly FinishKind[] = [
  { kind: "zip-centre-back", words: "zip, centre back", fields: [length("length", "Zip, below the band")] },
  { kind: "zip-side", words: "zip, left side", fields: [length("length", "Zip, below the band")] },
  {
    kind: "fly",
    words: "fly, centre front",
    fields: [
      length("length", "Zip, below the band"),
      length("extension", "Width of the fly"),
      choice("grown", "Its facing is", ["separate", "a part of its own"], ["on", "cut with the fronts"]),
    ],
  },
  { kind: "mock-fly", words: "mock fly, pulled on", fields: [length("extension", "Width of the fly")] },
  { kind: "front-placket", words: "placket of a front", fields: [] },
  { kind: "none", words: "pulled on", fields: [] },
];

export const HEM_KINDS: readonly FinishKind[] = [
  { kind: "turned", words: "turned up", fields: [length("depth", "Depth, mirrored")] },
  { kind: "double", words: "turned twice", fields: [length("depth", "Depth of each turn")] },
  { kind: "rolled", words: "rolled", fields: [length("depth", "Width of the roll")] },
  { kind: "faced", words: "faced", fields: [length("depth", "Depth of the facing")] },
  {
    kind: "bonded",
    words: "held by a web",
    fields: [length("depth", "Depth, mirrored")],
    note: "Hot iron: try the web on a scrap, and press, do not slide.",
  },
  {
    kind: "cuff",
    words: "into a cuff",
    fields: [length("depth", "Depth of the cuff"), length("girth", "Girth, relaxed"), yes("elastic", "With elastic")],
  },
];

export const POCKET_KINDS: readonly FinishKind[] = [
  {
    kind: "slant",
    words: "slant",
    fields: [
      length("across", "Across the waist"),
      length("down", "Down the side"),
      length("width", "Width of the bag"),
      length("below", "Bag below the opening"),
      choice("edge", "Opening is", ["straight", "straight"], ["curved", "curved"], ["scalloped", "scalloped"]),
      SECOND,
    ],
  },
  {
    kind: "in-seam",
    words: "in the side seam",
    fields: [
      length("from", "Below the waist"),
      length("opening", "Opening"),
      length("width", "Width of the bag"),
      length("below", "Bag below the opening"),
    ],
  },
  {
    kind: "patch",
    words: "patch",
    fields: [length("opening", "Slanting opening"), length("depth", "Depth from the waist"), SECOND],
    note: "Over the closed dart, doubled.",
  },
];

export const TRIM_KINDS: readonly FinishKind[] = [
  { kind: "pleated-strip", words: "pleated strip in the sides", fields: [length("width", "Finished width"), SECOND] },
  { kind: "flounce-lining", words: "lined flounce", fields: [] },
];

export const BELT: FinishKind = {
  kind: "belt",
  words: "belt in loops",
  fields: [length("width", "Width"), length("length", "Length"), length("loopWidth", "Width of a loop")],
};

export const ALLOWANCES: readonly (readonly [AllowanceKind, string])[] = [
  ["side", "Side seam"],
  ["inseam", "Inseam"],
  ["crotch", "Crotch"],
  ["zip", "Along the zip"],
  ["waist", "Waist"],
  ["band", "Band, all round"],
  ["style", "Seams of cuts"],
  ["pocket", "Pockets"],
];
