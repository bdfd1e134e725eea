import { SaxesParser } from "saxes";
import svgpath from "svgpath";
import { cubic, line, pathEnd, pointBetween, pointDistance, type Point, type Segment } from "../../geometry";
import { CannotBringIn, type Drawing, type Stroke } from "./shapes";

const MAX_ELEMENTS = 20_000;
const MAX_SEGMENTS = 60_000;
/** Groups within groups. */
const MAX_DEPTH = 60;
/** Parts of a drawing that are shown only where something refers to them. */
const HIDDEN = new Set(["defs", "symbol", "clipPath", "mask", "pattern", "marker"]);
/** Parts that can run a program or reach outside the file. */
const ACTIVE = new Set([
  "script",
  "foreignobject",
  "iframe",
  "object",
  "embed",
  "audio",
  "video",
  "image",
  "use",
  "set",
]);

const UNIT_MM: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6 };

interface Frame {
  readonly transform: string;
  readonly hidden: boolean;
  readonly name: string;
  readonly kind: Stroke["kind"];
}

/** What a drawing's unit measures, from its stated width and view box; null when it does not say. */
function unitOf(attributes: Readonly<Record<string, string>>): number | null {
  const stated = /^\s*([\d.]+)\s*(mm|cm|in|pt|pc)\s*$/.exec(attributes.width ?? "");
  if (!stated) return null;
  const width = Number(stated[1]) * (UNIT_MM[stated[2] as string] as number);
  const box = (attributes.viewBox ?? "")
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (box.length === 4 && (box[2] as number) > 0) return width / (box[2] as number);
  return (UNIT_MM[stated[2] as string] as number) / 1;
}

const number = (value: string | undefined): number => {
  const read = Number.parseFloat(value ?? "0");
  return Number.isFinite(read) ? read : 0;
};

/** Any drawn shape as path data; null for what draws nothing. */
function dataOf(name: string, a: Readonly<Record<string, string>>): string | null {
  switch (name) {
    case "path":
      return a.d ?? null;
    case "polygon":
    case "polyline":
      return a.points ? `M${a.points.trim()}${name === "polygon" ? "Z" : ""}` : null;
    case "line":
      return `M${number(a.x1)} ${number(a.y1)}L${number(a.x2)} ${number(a.y2)}`;
    case "rect":
      return `M${number(a.x)} ${number(a.y)}h${number(a.width)}v${number(a.height)}h${-number(a.width)}Z`;
    default:
      return null;
  }
}

/** The strokes of path data under a chain of transforms: curves and arcs as cubics. */
function strokesOf(data: string, transform: string): Segment[][] {
  const runs: Segment[][] = [];
  let run: Segment[] = [];
  let start: Point = [0, 0];
  const flush = (): void => {
    if (run.length > 0) runs.push(run);
    run = [];
  };
  const parsed = svgpath(data).transform(transform).abs().unshort().unarc();
  if ((parsed as unknown as { err?: string }).err)
    throw new CannotBringIn("A line in the drawing is damaged. Save the drawing again and bring in the new file.");
  parsed.iterate((segment, _index, x, y) => {
    const at: Point = [x, y];
    const [command, ...n] = segment as [string, ...number[]];
    const to: Point = [n[n.length - 2] ?? x, n[n.length - 1] ?? y];
    if (command === "M") {
      flush();
      start = to;
    } else if (command === "L") push(line(at, to));
    else if (command === "H") push(line(at, [n[0] as number, y]));
    else if (command === "V") push(line(at, [x, n[0] as number]));
    else if (command === "C") push(cubic(at, [n[0] as number, n[1] as number], [n[2] as number, n[3] as number], to));
    else if (command === "Q") {
      const control: Point = [n[0] as number, n[1] as number];
      push(cubic(at, pointBetween(at, control, 2 / 3), pointBetween(to, control, 2 / 3), to));
    } else if (command === "Z" || command === "z") {
      const end = run.length > 0 ? pathEnd(run) : start;
      if (pointDistance(end, start) > 1e-9) push(line(end, start));
      flush();
    }
  });
  flush();
  return runs;

  function push(segment: Segment): void {
    const end = segment.kind === "line" ? segment.points[1] : segment.points[3];
    if (pointDistance(segment.points[0], end) > 1e-9) run.push(segment);
  }
}

/**
 * Reads the lines of an SVG drawing. Refused, with a sentence: what is no SVG, what is damaged, drawings with scripts,
 * embedded pictures or references out of the file, and drawings with more lines than any pattern has.
 */
export function readSvg(text: string): Drawing {
  const parser = new SaxesParser({ xmlns: false });
  const stack: Frame[] = [];
  const strokes: Stroke[] = [];
  let unitMm: number | null = null;
  let elements = 0;
  let segments = 0;
  let seen = false;
  parser.on("doctype", (doctype) => {
    if (/entity/i.test(doctype))
      throw new CannotBringIn("The drawing declares entities, which a pattern never needs. It was not read.");
  });
  parser.on("opentag", ({ name, attributes }) => {
    const a = attributes as Record<string, string>;
    const local = name.replace(/^.*:/, "");
    if (++elements > MAX_ELEMENTS)
      throw new CannotBringIn("The drawing holds more than 20,000 parts. Bring in the block's outline alone.");
    if (ACTIVE.has(local.toLowerCase()) || local.startsWith("animate"))
      throw new CannotBringIn(
        `The drawing holds “${local.slice(0, 20)}”, which may run or load things. Save it as plain lines and bring it in again.`,
      );
    for (const [key, value] of Object.entries(a)) {
      if (/^on/i.test(key) || /javascript:/i.test(value))
        throw new CannotBringIn("The drawing holds a script. Save it as plain lines and bring it in again.");
    }
    if (!seen) {
      if (local !== "svg") throw new CannotBringIn("This is not an SVG drawing.");
      seen = true;
      unitMm = unitOf(a);
    }
    if (stack.length >= MAX_DEPTH)
      throw new CannotBringIn("The drawing holds groups within groups beyond counting. Save it as plain lines.");
    const above = stack[stack.length - 1];
    const said = `${a.id ?? ""} ${a.class ?? ""} ${a["data-layer"] ?? ""}`;
    const frame: Frame = {
      transform: `${above?.transform ?? ""} ${a.transform ?? ""}`.trim(),
      hidden: (above?.hidden ?? false) || HIDDEN.has(local) || a.display === "none" || a.visibility === "hidden",
      name: a["data-piece"] ?? above?.name ?? "",
      kind: a["data-kind"]
        ? a["data-kind"] === "dart"
          ? "dart"
          : "other"
        : /seam/i.test(said)
          ? "seam"
          : /\bcut/i.test(said)
            ? "cut"
            : (above?.kind ?? "other"),
    };
    stack.push(frame);
    const data = frame.hidden ? null : dataOf(local, a);
    if (data === null) return;
    for (const run of strokesOf(data, frame.transform)) {
      segments += run.length;
      if (segments > MAX_SEGMENTS)
        throw new CannotBringIn("The drawing holds more than 60,000 lines. Bring in the block's outline alone.");
      strokes.push({ path: run, name: frame.name || (a.id ?? ""), kind: frame.kind });
    }
  });
  parser.on("closetag", () => void stack.pop());
  parser.on("error", () => {
    throw new CannotBringIn(
      "The drawing is damaged: it is not well-formed SVG. Save it again and bring in the new file.",
    );
  });
  parser.write(text).close();
  if (!seen) throw new CannotBringIn("This is not an SVG drawing.");
  return { strokes, unitMm };
}
