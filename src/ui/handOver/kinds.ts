import { phrase } from "@/core/words";
import { DXF_LAYERS } from "@/core/files/drawing/layers";
import type { HandOver } from "@/core/derive/handOver";
import { PAPERS, type SheetName } from "@/core/files/paper/papers";
import { formatLength, type Tape } from "@/core/units";

/** What can leave the program, as the bench offers it. */
export const KINDS = ["paper", "projector", "drawing", "sizes", "table", "sheet", "job"] as const;
export type Kind = (typeof KINDS)[number];

export const KIND_WORDS: Readonly<Record<Kind, { readonly label: string; readonly about: string }>> = {
  paper: { label: "Pattern on paper", about: "At true size, on pages to join or on a roll." },
  projector: { label: "Projector", about: "One page at true size on a grid, to be thrown on the cloth." },
  drawing: { label: "Drawing", about: "For a cutter, a copy shop or another program." },
  sizes: { label: "Size set", about: "This style for several wearers: nested outlines, or a file for each." },
  table: { label: "Table", about: "Measures, numbers, readings, pieces, edges and seams, for a spreadsheet." },
  sheet: { label: "Work sheet", about: "One page for the machine: drawing, measures, finishes, order, open matters." },
  job: { label: "The job itself", about: "A small file with every choice. Drop it on the workroom to open it again." },
};

/** Kinds whose pages are shown before they are made. */
export const hasPages = (kind: Kind): boolean => kind === "paper" || kind === "projector" || kind === "sizes";
/** Kinds of which pieces can be chosen. */
export const hasPieces = (kind: Kind): boolean => kind !== "sizes" && (hasPages(kind) || kind === "drawing");

export const SHEET_OPTIONS: readonly (readonly [SheetName | "roll", string])[] = [
  ...Object.entries(PAPERS).map(([size, { label }]) => [size as SheetName, label] as const),
  ["roll", "Roll"],
];

export const DRAWINGS = [
  ["svg", "SVG, named layers"],
  ["r12", "DXF R12"],
  ["2000", "DXF 2000"],
] as const;
export type DrawingKind = (typeof DRAWINGS)[number][0];

/** Layers of the drawings, so that whoever opens one knows where to look. */
export const layerNote = (as: "svg" | "dxf"): string =>
  as === "svg"
    ? "Layers: cut line, seam line, grain, notches, inner lines, signs, labels. Units are millimetres."
    : phrase`Layers of the apparel industry’s standard: ${DXF_LAYERS.boundary} cut line, ${DXF_LAYERS.notches} notches, ${DXF_LAYERS.mirror} fold, ${DXF_LAYERS.grain} grain, ${DXF_LAYERS.internal} inner lines, ${DXF_LAYERS.drills} drill holes, ${DXF_LAYERS.sew} sew line, ${DXF_LAYERS.words} words. Units are millimetres.`;

/** What the button that makes the file is called. */
export function makes(kind: Kind, how: HandOver, tape: Tape): string {
  if (kind === "paper")
    return how.paper.on === "roll"
      ? phrase`PDF on a roll of ${formatLength(how.paper.width, tape)}`
      : phrase`PDF on ${how.paper.on === "sheets" ? PAPERS[how.paper.size].label : ""}`;
  if (kind === "projector") return "PDF for a projector";
  if (kind === "drawing") return how.format === "svg" ? "SVG" : "DXF";
  if (kind === "sizes") return "Size set";
  return { table: "CSV", sheet: "Work sheet as PDF", job: "Job file" }[kind];
}
