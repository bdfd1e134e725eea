import { isOf, type EdgeRole, type LineKind, type Panel } from "@/core/pattern";
import { pathFlatten, type Point } from "@/core/geometry";

/** A word of the trade: what it means, and where it lies on a pattern. */
export interface Term {
  readonly word: string;
  readonly means: string;
  readonly edges?: readonly EdgeRole[];
  readonly lines?: readonly LineKind[];
  /** On the front or the back alone; left out, wherever it lies. */
  readonly on?: "front" | "back";
}

/** The trade's words, as they are met from the waist down, then within a panel, then above it. */
export const TERMS: readonly Term[] = [
  {
    word: "Waist line",
    means: "The upper edge of the panels, where a band, a facing or a casing begins.",
    edges: ["waist"],
  },
  {
    word: "Side seam",
    means: "Joins front and back on the outside of the leg, from the waist to the hem.",
    edges: ["side"],
  },
  {
    word: "Inseam",
    means: "Joins front and back on the inside of the leg, from the crotch point down.",
    edges: ["inseam"],
  },
  {
    word: "Crotch seam",
    means: "Runs from the front waist between the legs to the back waist; its curve is what the body sits in.",
    edges: ["crotch"],
  },
  {
    word: "Back rise",
    means: "The crotch seam of the back: steeper and longer than the front’s, so that one can sit down.",
    edges: ["crotch"],
    on: "back",
  },
  {
    word: "Hem",
    means: "The lower edge of the leg; what is turned up there is added when the piece is cut.",
    edges: ["hem"],
  },
  {
    word: "Hip line",
    means: "The level of the fullest hip; from there down the side may run straight.",
    lines: ["hip"],
  },
  {
    word: "Crotch line",
    means:
      "The level on which one sits. From the waist to it is the crotch depth; beyond the centre it is the extension.",
    lines: ["crotch"],
  },
  { word: "Knee line", means: "The level at which the leg is narrowed or begins to flare.", lines: ["knee"] },
  {
    word: "Crease line",
    means: "The middle of the leg below the crotch, half on either side of it; an ironed crease lies there.",
    lines: ["crease"],
  },
  {
    word: "Grain",
    means: "The way of the long thread. It lies along the selvedge unless a piece is turned on purpose.",
    lines: ["grain"],
  },
  {
    word: "Dart",
    means: "A wedge that is sewn away so that the waist becomes narrower than the hip.",
    edges: ["dart"],
    lines: ["dart"],
  },
  { word: "Pleat", means: "Cloth that is folded at the waist and opens below it.", lines: ["pleat"] },
  { word: "Slash", means: "A line along which the paper is cut and spread, to let width in.", lines: ["slash"] },
  { word: "Opening", means: "Where the garment is opened to put it on.", lines: ["opening", "placement"] },
  {
    word: "Style line",
    means: "A seam that is drawn for the look of it: of a yoke, a panel or a flounce.",
    edges: ["style"],
  },
  { word: "Casing", means: "A turned edge through which elastic or a cord is drawn.", edges: ["casing"] },
  {
    word: "Fold",
    means: "An edge that lies on the folded cloth, so that both halves are cut in one.",
    edges: ["fold"],
    lines: ["fold"],
  },
  {
    word: "Notch",
    means: "A mark on the cut edge that meets its like on the other side of the seam.",
    lines: ["notch"],
  },
  { word: "Shoulder", means: "Joins the front and the back of a bodice above the arm.", edges: ["shoulder"] },
  { word: "Neck line", means: "The edge round the neck.", edges: ["neck"] },
  {
    word: "Armhole",
    means: "The edge round the arm, into which a sleeve is set or which is faced.",
    edges: ["armhole"],
  },
];

/** Where a term lies on a panel, as runs of points in the panel's own frame; none where it has no place there. */
export function runsOf(term: Term, panel: Panel): readonly (readonly Point[])[] {
  if (term.on && !isOf(panel, term.on)) return [];
  const { edges = [], lines = [] } = term;
  return [
    ...panel.edges.filter(({ role }) => edges.includes(role)).map(({ path }) => pathFlatten(path)),
    ...panel.lines.filter(({ kind }) => lines.includes(kind)).map(({ points }) => points),
  ];
}
