import { type Segment } from "../../geometry";
import { readDxf } from "./readDxf";
import { readSvg } from "./readSvg";
import type { OwnBodice } from "../../bodice";
import type { OwnPanelLandmarks } from "../../drafting";
import { guessBodice, guessBodicePlaces, guessLandmarks, guessLegs, type GuessedPanels } from "./guess";
import { CannotBringIn, findOutlines, type Drawing, type FoundOutline } from "./shapes";

export { type GuessedPanels } from "./guess";
export { type FoundOutline } from "./shapes";

/** A drawing larger than this is no block. */
const MAX_BYTES = 8_000_000;

export interface Guessed<Places> {
  readonly panels: GuessedPanels | null;
  readonly places: Readonly<Record<string, Places>>;
}

/** What a drawing gave: its outlines with first guesses, a question about its unit, or a refusal in a sentence. */
export type BroughtIn =
  | {
      readonly kind: "outlines";
      readonly unitMm: number;
      readonly found: readonly FoundOutline[];
      /** Likely front and back, and first places on every outline, read as legs and as halves of a bodice. */
      readonly legs: Guessed<OwnPanelLandmarks>;
      readonly bodice: Guessed<OwnBodice["landmarks"]["front"]>;
    }
  | { readonly kind: "ask-unit" }
  | { readonly kind: "refused"; readonly message: string };

/** Takes in the text of a drawing. `unitMm` overrides what the file says, and is asked for where it says nothing. */
export function bringIn(text: string, unitMm: number | null): BroughtIn {
  try {
    const drawing = readDrawing(text);
    const unit = unitMm ?? drawing.unitMm;
    if (unit === null) return { kind: "ask-unit" };
    const found = findOutlines(drawing, unit);
    return {
      kind: "outlines",
      unitMm: unit,
      found,
      legs: { panels: guessLegs(found), places: placesOn(found, guessLandmarks) },
      bodice: { panels: guessBodice(found), places: placesOn(found, guessBodicePlaces) },
    };
  } catch (error) {
    if (error instanceof CannotBringIn) return { kind: "refused", message: error.message };
    throw error;
  }
}

const placesOn = <Places>(
  found: readonly FoundOutline[],
  guess: (outline: FoundOutline) => Places,
): Readonly<Record<string, Places>> => Object.fromEntries(found.map((o) => [o.id, guess(o)]));

/** No unit that drawings are made in puts a place of a pattern further out than this: 20 m in hundredths of a millimetre. */
const FARTHEST = 2_000_000;

const isWithinReach = (segment: Segment): boolean =>
  segment.points.every(([x, y]) => Math.abs(x) <= FARTHEST && Math.abs(y) <= FARTHEST);

/**
 * Reads a drawing by what it holds, not by what its file is called. Throws CannotBringIn with a sentence when it
 * cannot be taken in.
 */
export function readDrawing(text: string): Drawing {
  if (text.length > MAX_BYTES)
    throw new CannotBringIn("The file is over 8 MB; a block's outline is far smaller. Bring in the outline alone.");
  if (text.trim() === "") throw new CannotBringIn("The file is empty.");
  if (text.includes("\u0000"))
    throw new CannotBringIn("This is not a drawing in text form. Save it as SVG or as text DXF.");
  const drawing =
    /<svg[\s>]/i.test(text.slice(0, 20_000)) || text.trimStart().startsWith("<") ? readSvg(text) : readDxf(text);
  if (drawing.strokes.length === 0) throw new CannotBringIn("The drawing holds no lines.");
  if (!drawing.strokes.every((stroke) => stroke.path.every(isWithinReach)))
    throw new CannotBringIn("A line in the drawing runs out to where no pattern lies. Bring in the outline alone.");
  return drawing;
}
