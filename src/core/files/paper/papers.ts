import { z } from "zod";
import type { Mm } from "../../units";

/** Paper that a home printer or a copy shop takes. */
interface SheetPaper {
  readonly label: string;
  readonly width: Mm;
  readonly height: Mm;
}

/** Sizes of ISO 216 and of the North American series, upright. */
export const PAPERS = {
  a4: { label: "A4", width: 210, height: 297 },
  letter: { label: "Letter", width: 215.9, height: 279.4 },
  legal: { label: "Legal", width: 215.9, height: 355.6 },
  a3: { label: "A3", width: 297, height: 420 },
  a0: { label: "A0", width: 841, height: 1189 },
} as const satisfies Readonly<Record<string, SheetPaper>>;

export type SheetName = keyof typeof PAPERS;
export const SHEET_NAMES = Object.keys(PAPERS) as readonly SheetName[];

/** Rolls of plotters and copy shops are between these wide. */
export const ROLL_WIDTHS: { readonly least: Mm; readonly most: Mm } = { least: 300, most: 2000 };
/** A page of a PDF is at most 14,400 points long; a longer roll goes on over more pages. */
export const LONGEST_PAGE: Mm = 5000;

/** What a pattern is printed on: sheets to join, a roll so wide, or the wall and table of a projector. */
export type Paper =
  | { readonly on: "sheets"; readonly size: SheetName }
  | { readonly on: "roll"; readonly width: Mm }
  | { readonly on: "projector" };

const ROLL = /^roll-(\d{2,5}(?:\.\d+)?)$/;

/** The paper by its word: `a4`, `roll-914`, `projector`. */
export const paperSchema = z.string().transform((word, context): Paper => {
  if (Object.hasOwn(PAPERS, word)) return { on: "sheets", size: word as SheetName };
  if (word === "projector") return { on: "projector" };
  const width = Number(ROLL.exec(word)?.[1]);
  if (width >= ROLL_WIDTHS.least && width <= ROLL_WIDTHS.most) return { on: "roll", width };
  context.addIssue({
    code: "custom",
    message: `Choose one of: ${SHEET_NAMES.join(", ")}, roll-<width in mm, ${ROLL_WIDTHS.least} to ${ROLL_WIDTHS.most}>, projector.`,
  });
  return z.NEVER;
});

/** What a paper is called in a file's name. */
export const paperWord = (paper: Paper): string =>
  paper.on === "sheets" ? paper.size : paper.on === "roll" ? `roll-${Math.round(paper.width)}` : "projector";
