import { CannotBringIn } from "./shapes";

/** A comment, which may stand anywhere. */
const COMMENT = 999;

const POLYLINE = "LWPOLYLINE";
const X = 10;
const COUNT = 90;
/** What stands at each place of a light polyline: x, y, z, widths and the arc to the next. Vertex ids are read over. */
const OF_PLACE = new Set([X, 20, 30, 40, 41, 42]);
/** What it says of itself. */
const OF_POLYLINE = new Set([0, 5, 6, 8, 38, 39, 43, 48, 60, 62, 70, 100, 210, 220, 230, 330, 370]);

type Pair = readonly [code: number, value: string];

/**
 * A light polyline as its reader needs it: first what it says of itself, then its places, as many as it says. Left as it
 * came, any other code between two places would have the reader go round for ever.
 */
function polylineInOrder(pairs: readonly Pair[]): readonly Pair[] {
  const first = pairs.findIndex(([code]) => code === X);
  if (first < 0) return [];
  const places = pairs.slice(first).filter(([code]) => OF_PLACE.has(code));
  const count = places.filter(([code]) => code === X).length;
  return [...pairs.filter(([code]) => OF_POLYLINE.has(code)), [COUNT, String(count)], ...places];
}

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
  const kept: Pair[] = [];
  let polyline: Pair[] | null = null;
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
      if (polyline) kept.push(...polylineInOrder(polyline));
      polyline = value.trim() === POLYLINE ? [] : null;
      isEnded = value.trim() === "EOF";
    }
    if (code !== COMMENT) (polyline ?? kept).push([code, value]);
  }
  if (!isEnded) throw new CannotBringIn(DAMAGED);
  return `${kept.map(([code, value]) => `${code}\n${value}`).join("\n")}\n`;
}
