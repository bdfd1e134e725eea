import { Refusal, say, type Mm, typed, inside } from "../../units";
import { nestOnSheet } from "./nest";
import type { PrintOptions } from "./options";
import { LONGEST_PAGE, PAPERS } from "./papers";
import { layOnSheet, stoodUp, type PrintPiece, type Sheet } from "./sheet";
import { apartOnSheet, groundOf, MARGIN, tilesOf, type Ground, type Tile } from "./tiles";

/** What comes on which page: the sheet with all pieces, and the pages it is divided into. */
export interface PagePlan {
  readonly sheet: Sheet;
  /** Size of a page with its margins. */
  readonly page: { readonly width: Mm; readonly height: Mm };
  readonly ground: Ground;
  readonly tiles: readonly Tile[];
}

/** A projector's page is nested or wrapped within this. */
const PROJECTED_WIDTH: Mm = 2400;

/** Pieces that were asked for, in their own order. Throws Refusal where none of them is there. */
export function printedPieces<P extends PrintPiece>(
  pieces: readonly P[],
  { pieces: wanted }: Pick<PrintOptions, "pieces">,
): readonly P[] {
  if (wanted === null) return pieces;
  const strange = wanted.find((id) => !pieces.some((p) => p.id === id));
  if (strange !== undefined || wanted.length === 0)
    throw new Refusal(
      "pieces",
      strange === undefined
        ? say`No piece is chosen. Choose at least one.`
        : say`There is no piece “${typed(strange.slice(0, 30))}”. There are: ${pieces.map((p) => p.id).join(", ")}.`,
    );
  return pieces.filter((p) => wanted.includes(p.id));
}

/** Nested as wide as so many pages as need the fewest of them; null where a piece is wider than all. */
function nestedOnPages(pieces: readonly PrintPiece[], ground: Ground): Sheet | null {
  const step = ground.width - ground.overlap;
  const most = Math.ceil(layOnSheet(pieces).width / step);
  let best: { readonly sheet: Sheet; readonly pages: number } | null = null;
  for (let columns = 1; columns <= Math.min(most, MOST_COLUMNS); columns++) {
    const sheet = nestOnSheet(pieces, columns * step + ground.overlap);
    const pages = sheet ? tilesOf(sheet, ground).length : Infinity;
    if (sheet && pages < (best?.pages ?? Infinity)) best = { sheet, pages };
  }
  return best && best.sheet;
}
const MOST_COLUMNS = 8;

/**
 * Lays pieces on the paper asked for and divides it into pages; none is empty. Throws Refusal where a piece is wider than
 * the roll, or larger than a projector's page can be.
 */
export function pagePlan(all: readonly PrintPiece[], options: PrintOptions): PagePlan {
  const pieces = printedPieces(all, options);
  const { paper, arrange, join, order } = options;
  if (paper.on === "sheets") {
    const page = PAPERS[paper.size];
    const ground = groundOf(page, join);
    const sheet =
      arrange === "apart"
        ? apartOnSheet(pieces, ground)
        : ((arrange === "nested" ? nestedOnPages(pieces, ground) : null) ?? layOnSheet(pieces));
    return { sheet, page, ground, tiles: tilesOf(sheet, ground, order) };
  }
  const isRoll = paper.on === "roll";
  const room = isRoll ? paper.width - 2 * MARGIN : PROJECTED_WIDTH;
  refuseWiderThan(pieces, room, isRoll);
  const sheet = (arrange === "nested" ? nestOnSheet(pieces, room) : null) ?? layOnSheet(pieces, { within: room });
  if (isRoll) {
    const page = { width: paper.width, height: Math.min(sheet.height + 2 * MARGIN, LONGEST_PAGE) };
    const ground = groundOf(page, join);
    return { sheet, page, ground, tiles: tilesOf(sheet, ground, order) };
  }
  const page = { width: overGrid(sheet.width), height: overGrid(sheet.height) };
  if (Math.max(page.width, page.height) > LONGEST_PAGE)
    throw new Refusal(
      "paper",
      say`A projector's page is at most ${LONGEST_PAGE} long. Choose fewer pieces, or nest them.`,
    );
  const window = { left: 0, top: 0, right: page.width, bottom: page.height };
  return { sheet, page, ground: { ...page, overlap: 0 }, tiles: [{ column: 0, row: 0, name: "A1", window }] };
}

/** Squares of the calibration grid. */
export const GRID: Mm = 50;
const overGrid = (size: Mm): Mm => Math.ceil((size + GRID / 2) / GRID) * GRID;

function refuseWiderThan(pieces: readonly PrintPiece[], room: Mm, isRoll: boolean): void {
  const wide = pieces.find((piece) => stoodUp(piece).width > room);
  if (!wide) return;
  const { width } = stoodUp(wide);
  throw new Refusal(
    "paper",
    isRoll
      ? say`The ${inside(wide.name)} is ${width} wide, the roll has ${room} within its margins. Choose a wider roll, or pages to join.`
      : say`The ${inside(wide.name)} is ${width} wide: wider than a projector's page. Print it on pages to join.`,
  );
}
