import { readDxf } from "./readDxf";
import { readSvg } from "./readSvg";
import { CannotBringIn, type Drawing } from "./shapes";

export { CannotBringIn, findOutlines, outlineData, type Drawing, type FoundOutline } from "./shapes";
export { guessLandmarks, guessPanels } from "./guess";

/** A drawing larger than this is no block. */
const MAX_BYTES = 8_000_000;

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
  return drawing;
}
