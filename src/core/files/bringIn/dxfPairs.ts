import { CannotBringIn } from "./shapes";

/** A comment, which may stand anywhere. */
const COMMENT = 999;

/** What a light polyline holds that is drawn: its places and arcs, and what it says of itself. Vertex ids are read over. */
const POLYLINE = "LWPOLYLINE";
const POLYLINE_CODES = new Set([
  0, 5, 6, 8, 10, 20, 30, 38, 39, 40, 41, 42, 43, 48, 60, 62, 70, 90, 100, 210, 220, 230, 330, 370,
]);

const DAMAGED = "The drawing is damaged: it is not readable as DXF. Save it again and bring in the new file.";

/** Codes run from -5 to 1071. */
function codeOf(line: string): number | null {
  if (!/^\s*-?\d{1,4}\s*$/.test(line)) return null;
  const code = Number(line);
  return code >= -5 && code <= 1071 ? code : null;
}

/**
 * The text of a DXF with nothing in it but pairs of a code and a value that a pattern is drawn by: blank lines between
 * pairs, comments and vertex ids are read over. Throws CannotBringIn where the pairs do not hold together.
 */
export function cleanDxf(text: string): string {
  const lines = text.split(/\r\n|\r|\n/);
  const kept: string[] = [];
  let entity = "";
  let isEnded = false;
  for (let i = 0; i < lines.length && !isEnded;) {
    const line = lines[i] as string;
    if (line.trim() === "") {
      i++;
      continue;
    }
    const code = codeOf(line);
    const value = lines[i + 1];
    if (code === null || value === undefined) throw new CannotBringIn(DAMAGED);
    i += 2;
    if (code === 0) {
      entity = value.trim();
      isEnded = entity === "EOF";
    }
    if (code === COMMENT || (entity === POLYLINE && !POLYLINE_CODES.has(code))) continue;
    kept.push(String(code), value);
  }
  if (!isEnded) throw new CannotBringIn(DAMAGED);
  return `${kept.join("\n")}\n`;
}
