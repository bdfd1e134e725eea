import { line, pathFlatten, type Point } from "../../geometry";
import type { Edge, Panel } from "../../pattern";
import { say, type Mm, type Sentence } from "../../units";
import { around, handCurve, runsOf, type Run } from "../runs";
import { letter, numbersOf, type Act, type Draft } from "./card";
import { from, listed, placed, placeName, type Origin } from "./places";

/** Room kept round a drawing on a sheet. */
const MARGIN: Mm = 40;
/** Paper for one panel taller than this is joined from two sheets. */
const JOINED: Mm = 1400;

/** Tells a place: where it is, and the numbers it is told by. */
export type Telling = (p: Point) => { readonly says: Sentence; readonly numbers: Readonly<Record<string, Mm>> };

/** Places told right and down from the origin. */
export const plainly =
  (origin: Origin): Telling =>
  (p) => ({ says: placed(p, origin), numbers: numbersOf(from(origin)(p)) });

/** Nearer than this to the straight line no tape tells a place from it. */
const ON_CHORD: Mm = 0.8;
const offOf = (off: Mm): Sentence =>
  Math.abs(off) < ON_CHORD ? say`on it` : say`${Math.abs(off)} to the ${off > 0 ? "left" : "right"} of it`;

/** How a curve is drawn, by its guide places. */
function byGuides({ guides, miss }: Run, a: string, b: string): Sentence {
  const list = guides.reduce<Sentence>(
    (all, g, i) =>
      say`${all}${i === 0 ? "" : i === guides.length - 1 ? " and " : ", "}${offOf(g.off)}, ${g.along} from ${a}`,
    say``,
  );
  return say`Curve from ${a} to ${b}: along the straight line between them it passes ${list}.${miss > TOLD_MISS ? say` Drawn so it is within ${miss}.` : ""}`;
}
/** A curve drawn nearer than this needs no word of it. */
const TOLD_MISS: Mm = 0.6;

/** How a stretch is drawn, in words. */
export const drawing = (run: Run, a: string, b: string): Sentence =>
  run.straight ? say`Straight from ${a} to ${b}, ${run.length} long.` : byGuides(run, a, b);

/** A stretch as an act. */
export const stretchAct = (run: Run, edge: string, origin: Origin): Act => {
  const shift = from(origin);
  return {
    kind: run.straight ? "line" : "curve",
    from: shift(run.from),
    to: shift(run.to),
    guides: run.guides.map((g) => ({ ...g, at: shift(g.at) })),
    leaves: run.leaves,
    arrives: run.arrives,
    miss: run.miss,
    edge,
  };
};

/** Numbers of a stretch: its length and its guide places. */
export const stretchNumbers = (run: Run): Readonly<Record<string, Mm>> => ({
  length: run.length,
  ...Object.fromEntries(
    run.guides.flatMap((g, k) => [
      [`along${k + 1}`, g.along],
      [`off${k + 1}`, g.off],
    ]),
  ),
});

/** The stretches of a panel's outline, with their edges. */
export const stretchesOf = (panel: Panel): readonly { readonly edge: Edge; readonly run: Run }[] =>
  panel.edges.flatMap((edge) => runsOf(edge.path).map((run) => ({ edge, run })));

/** The outline of a panel, stretch by stretch, each ending in a lettered place. */
export function outlineCards(
  panel: Panel,
  origin: Origin,
  { drawing: of = panel.id, tells = plainly(origin) }: { readonly drawing?: string; readonly tells?: Telling } = {},
): readonly Draft[] {
  const shift = from(origin);
  const runs = stretchesOf(panel);
  const first = runs[0];
  if (!first) return [];
  const base = { panel: panel.id, name: panel.name, drawing: of };
  const begun = tells(first.run.from);
  const begin: Draft = {
    ...base,
    says: say`${panel.name}: mark A${placeName(panel, first.run.from)}: ${begun.says}.`,
    numbers: begun.numbers,
    act: { kind: "begin", at: shift(first.run.from), name: "A" },
    points: { A: shift(first.run.from) },
  };
  return [
    begin,
    ...runs.map(({ edge, run }, i): Draft => {
      const isLast = i === runs.length - 1;
      const [a, b] = [letter(i), isLast ? "A" : letter(i + 1)];
      const to = tells(run.to);
      const mark = isLast ? say`Back to A` : say`Mark ${b}${placeName(panel, run.to)}: ${to.says}`;
      return {
        ...base,
        says: say`${mark}. ${drawing(run, a, b)} This is the ${edge.name}.`,
        numbers: { ...(isLast ? {} : to.numbers), ...stretchNumbers(run) },
        act: stretchAct(run, edge.id, origin),
        points: isLast ? {} : { [b]: shift(run.to) },
      };
    }),
  ];
}

const INNER: Readonly<Record<string, string>> = {
  grain: "the grain line",
  dart: "the dart, to its tip",
  pleat: "the pleat line",
  opening: "the opening",
  placement: "the placement line",
  fold: "the fold line",
  crease: "the crease line",
};

/** The stretches in which a hand draws a line through places. */
export const runsThrough = (points: readonly Point[]): readonly Run[] =>
  runsOf(points.slice(1).map((to, i) => line(points[i] as Point, to)));

/** A line inside a panel with more corners than a dart is drawn stretch by stretch. */
const MOST_TOLD = 3;

/** Darts, pleats, folds and grain inside a panel. */
export function innerCards(panel: Panel, origin: Origin, of: string = panel.id): readonly Draft[] {
  const shift = from(origin);
  const card = (says: Sentence, kind: string, points: readonly Point[]): Draft => ({
    panel: panel.id,
    name: panel.name,
    drawing: of,
    says,
    numbers: Object.fromEntries(
      points.map(shift).flatMap(([right, down], i) => [
        [`right${i + 1}`, right],
        [`down${i + 1}`, down],
      ]),
    ),
    act: { kind: "inner", line: kind, points: points.map(shift) },
    points: {},
  });
  return panel.lines.flatMap(({ kind, points }): readonly Draft[] => {
    const what = INNER[kind];
    if (!what || points.length < 2) return [];
    if (points.length <= MOST_TOLD) {
      const told = listed(
        points.map((p) => placed(p, origin)),
        "; to ",
      );
      return [card(say`${panel.name}: draw ${what}: from ${told}.`, kind, points)];
    }
    return runsThrough(points).map((run) =>
      card(
        say`${panel.name}, ${what}: mark M, ${placed(run.from, origin)}, and N, ${placed(run.to, origin)}. ${drawing(run, "M", "N")}`,
        kind,
        drawnThrough(run),
      ),
    );
  });
}

/** The places of a stretch as a hand draws it. */
const drawnThrough = ({ straight, from: a, to, guides, leaves, arrives }: Run): readonly Point[] =>
  straight ? [a, to] : pathFlatten(handCurve([a, ...guides.map((g) => g.at), to], leaves, arrives), 0.2);

/** How large a sheet a panel takes, and where its origin lies on it. */
export function sheetCard(panel: Panel, origin: Origin, of: string = panel.id): Draft {
  const box = around(panel.edges.map((e) => e.path));
  const [wide, tall] = [box.right - box.left + 2 * MARGIN, box.bottom - box.top + 2 * MARGIN];
  const [right, down] = [origin.at[0] - box.left + MARGIN, origin.at[1] - box.top + MARGIN];
  return {
    panel: panel.id,
    name: panel.name,
    drawing: of,
    says: say`${panel.name}: take a sheet at least ${wide} wide and ${tall} tall${tall > JOINED ? ", joined from two" : ""}. Square two lines across it: ${origin.upright}, ${right} from the left edge, and ${origin.level}, ${down} from the upper edge. They meet in ${origin.name}.`,
    numbers: { wide, tall, right, down },
    act: { kind: "sheet", wide, tall, origin: [right, down] },
    points: { O: [0, 0] },
  };
}

/** A panel drawn from nothing: its sheet, its outline, what lies inside it. */
export const wholeCards = (panel: Panel, origin: Origin, of: string = panel.id): readonly Draft[] => [
  sheetCard(panel, origin, of),
  ...outlineCards(panel, origin, { drawing: of }),
  ...innerCards(panel, origin, of),
];
