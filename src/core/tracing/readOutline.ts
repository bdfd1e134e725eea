import { cubic, line, pathEnd, pathLength, pointDistance, type Path, type Point, type Segment } from "../geometry";
import { Refusal, say, type Mm } from "../units";

/**
 * Reads absolute M, L, C, Z path data as one closed run of segments. Throws Refusal with a sentence when it is
 * something else, crosses its own size limits, or does not close.
 */
export function readOutline(data: string, path: string): Path {
  const refuse = (why: string): never => {
    throw new Refusal(path, say`This outline cannot be read: ${why}.`);
  };
  const tokens = data.match(/[MLCZ]|[+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?/g) ?? [];
  const segments: Segment[] = [];
  let at: Point | null = null;
  let start: Point | null = null;
  let command = "";
  let i = 0;
  const number = (): number => {
    const value = Number(tokens[i++]);
    return Number.isFinite(value) && Math.abs(value) < 20_000 ? value : refuse("a number in it is not a length");
  };
  const point = (): Point => [number(), number()];
  while (i < tokens.length) {
    if (/[MLCZ]/.test(tokens[i] as string)) command = tokens[i++] as string;
    if (command === "M") {
      if (start) refuse("it holds more than one outline");
      at = start = point();
      command = "L";
    } else if (command === "L" && at) {
      const to = point();
      if (pointDistance(at, to) > 1e-6) segments.push(line(at, to));
      at = to;
    } else if (command === "C" && at) {
      const [a, b, to] = [point(), point(), point()];
      segments.push(cubic(at, a, b, to));
      at = to;
    } else if (command === "Z" && at && start) {
      if (pointDistance(at, start) > 1e-6) segments.push(line(at, start));
      at = start;
      command = "";
    } else refuse("it does not start with M");
    if (segments.length > 20_000) refuse("it has more than 20,000 parts");
  }
  if (segments.length < 4 || !start || pointDistance(pathEnd(segments), start) > 1e-6) refuse("it does not close");
  return withoutStubs(segments);
}

/** A stretch shorter than this between two longer ones is a slip of the drawing. */
const STUB: Mm = 1;

/** The outline without stretches under 1 mm that stand between longer ones: its neighbours are brought together. */
function withoutStubs(outline: Path): Path {
  const long = outline.map((segment) => pathLength([segment]));
  const n = outline.length;
  const isStub = (i: number): boolean =>
    (long[i] as Mm) < STUB && (long[(i + 1) % n] as Mm) > 3 * STUB && (long[(i + n - 1) % n] as Mm) > 3 * STUB;
  const kept = outline.filter((_, i) => !isStub(i));
  if (kept.length === n || kept.length < 3) return outline;
  return kept.map((segment, i): Segment => {
    const end = pathEnd([kept[(i + kept.length - 1) % kept.length] as Segment]);
    const [, ...others] = segment.points;
    return { ...segment, points: [end, ...others] } as unknown as Segment;
  });
}
