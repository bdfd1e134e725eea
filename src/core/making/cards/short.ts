import { pathFlatten, pointDistance, type Path, type Point, pointFlipped } from "../../geometry";
import { hasLegs, panelMap, type Drawing, type Edge, type Panel } from "../../pattern";
import { angle, say, toDegrees, type Mm, type Radians, type Sentence, asSentence } from "../../units";
import type { MadeGarment, ToldLine } from "../garment";
import { letter, type Draft, type LaidEdge } from "./card";
import { drawing, innerCards, runsThrough, stretchAct, stretchesOf, stretchNumbers, wholeCards } from "./outline";
import { from, listed, originOf, placed, placeName, type Origin } from "./places";

/** Nearer than this, two places are the same on paper. */
const SAME: Mm = 0.02;

/** How an edge lies after an act of the worksheet: as it lay, turned or moved as it is, or drawn anew. */
type Fate =
  | { readonly kind: "kept" }
  | { readonly kind: "moved"; readonly turn: Radians; readonly by: Point }
  | { readonly kind: "drawn" };

const controls = (path: Path): readonly Point[] => path.flatMap((segment) => [...segment.points]);

/** What became of an edge: a turn and a move take it to where it lies, or it has another shape. */
function fateOf(before: Edge | undefined, after: Edge): Fate {
  if (!before) return { kind: "drawn" };
  const [was, is] = [controls(before.path), controls(after.path)];
  if (was.length !== is.length) return { kind: "drawn" };
  if (was.every((p, i) => pointDistance(p, is[i] as Point) < SAME)) return { kind: "kept" };
  const [a, b] = [was[0] as Point, was.at(-1) as Point];
  const [c, d] = [is[0] as Point, is.at(-1) as Point];
  const turn = Math.atan2(d[1] - c[1], d[0] - c[0]) - Math.atan2(b[1] - a[1], b[0] - a[0]);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const turned = ([x, y]: Point): Point => [x * cos - y * sin, x * sin + y * cos];
  const [tx, ty] = turned(a);
  const by: Point = [c[0] - tx, c[1] - ty];
  const isRigid = was.every((p, i) => {
    const [x, y] = turned(p);
    return pointDistance([x + by[0], y + by[1]], is[i] as Point) < SAME;
  });
  return isRigid ? { kind: "moved", turn, by } : { kind: "drawn" };
}

/** The edges of a panel as they lie, from its origin. */
const laid = (panel: Panel, origin: Origin): readonly LaidEdge[] =>
  panel.edges.map(({ id, path }) => ({ edge: id, points: pathFlatten(path, 0.05).map(from(origin)) }));

/** Between which places a wedge is measured: at its open end, or at both where it has no point. */
const openingsOf = ({ wedges }: Drawing): readonly (readonly [Point, Point])[] =>
  wedges.flatMap((w): (readonly [Point, Point])[] => {
    const [a, b, c, d] = w;
    if (!a || !b || !c) return [];
    return d
      ? [
          [a, b],
          [c, d],
        ]
      : [[b, c]];
  });

/** Letters of the places that a slash runs by: beside those of the outline, which begin at A. */
const SLASH_LETTERS = [..."PQRSTUVWXYZ"];

/** Each slash on a card of its own: from where, by what, to where, hinged or not, and how far it is opened. */
function slashCards(
  base: Pick<Draft, "panel" | "name" | "drawing">,
  drawn: readonly Drawing[],
  origin: Origin,
): readonly Draft[] {
  const shift = from(origin);
  // A place that two slashes share has one letter.
  const known: Point[] = [];
  const nameOf = (p: Point): string => {
    const held = known.findIndex((q) => pointDistance(p, q) < HINGE);
    return SLASH_LETTERS[(held < 0 ? known.push(p) - 1 : held) % SLASH_LETTERS.length] as string;
  };
  return drawn.flatMap((d) => {
    const openings = openingsOf(d);
    const each = d.slashes.length > 0 ? openings.length / d.slashes.length : 0;
    return d.slashes.flatMap((slash, i): readonly Draft[] => {
      const own = openings.slice(Math.round(i * each), Math.round((i + 1) * each));
      const end = slash.at(-1);
      const isHinged = end !== undefined && d.hinges.some((h) => pointDistance(h, end) < HINGE);
      const widths = own.map(([a, b]) => say`${pointDistance(a, b)}`);
      const cut = (says: Sentence, places: readonly Point[], isLast: boolean): Draft => ({
        ...base,
        says: say`${base.name}: mark ${listed(
          places.map((p) => say`${nameOf(p)}, ${placed(p, origin)}`),
        )}. ${says}${isLast && isHinged ? say`, up to ${nameOf(end)} and not through it: it is hinged there` : ""}.${isLast && widths.length > 0 ? say` Open by ${listed(widths, " and ")}, lay paper under and tape it.` : ""}`,
        numbers: isLast ? Object.fromEntries(own.map(([a, b], k) => [`opened${k + 1}`, pointDistance(a, b)])) : {},
        act: {
          kind: "cut",
          points: places.map(shift),
          hinge: isLast && isHinged ? shift(end) : null,
          openings: isLast ? own.map(([a, b]) => ({ from: shift(a), to: shift(b), width: pointDistance(a, b) })) : [],
        },
        points: Object.fromEntries(places.map((p) => [nameOf(p), shift(p)])),
      });
      if (slash.length <= MOST_PLACES)
        return [
          cut(
            say`Cut from ${listed(
              slash.map((p) => asSentence(nameOf(p))),
              say` to `,
            )}`,
            slash,
            true,
          ),
        ];
      // A slash along a curve is cut stretch by stretch.
      const runs = runsThrough(slash);
      return runs.map((run, k) =>
        cut(
          say`${drawing(run, nameOf(run.from), nameOf(run.to))} Cut along it`,
          [run.from, run.to],
          k === runs.length - 1,
        ),
      );
    });
  });
}
/** Places that one card of a slash marks. */
const MOST_PLACES = 4;
/** A slash ends on its hinge, within this. */
const HINGE: Mm = 1;

/** A panel that a line of the worksheet has changed: its slash, what has turned, what is drawn anew, and its outline. */
function changedCards(line: ToldLine, was: Panel, is: Panel, n: number): readonly Draft[] {
  const origin = originOf(is);
  const shift = from(origin);
  const group = `${n}:${is.id}`;
  const base = { panel: is.id, name: is.name, drawing: group };
  const drawn = line.drawn.filter((d) => d.panel === is.id);
  const fates = new Map(
    is.edges.map((edge) => [
      edge.id,
      fateOf(
        was.edges.find((e) => e.id === edge.id),
        edge,
      ),
    ]),
  );
  const change: Draft = {
    ...base,
    says: say`${is.name}: ${line.sentence}`,
    numbers: Object.fromEntries(Object.entries(line.numbers).map(([name, q]) => [name, q.mm])),
    act: { kind: "change", move: line.move, before: laid(was, originOf(was)) },
    points: {},
  };
  const moved = is.edges.flatMap((edge): Draft[] => {
    const fate = fates.get(edge.id) as Fate;
    if (fate.kind !== "moved") return [];
    const [start, end] = [controls(edge.path)[0] as Point, controls(edge.path).at(-1) as Point];
    const degrees = toDegrees(fate.turn);
    return [
      {
        ...base,
        says: say`${is.name}: the ${edge.name} keeps its line${Math.abs(degrees) > 0.05 ? say`, turned by ${angle(Math.abs(degrees))}` : ""}. It now runs from ${placed(start, origin)} to ${placed(end, origin)}.`,
        numbers: {},
        act: {
          kind: "moved",
          edge: edge.id,
          degrees,
          by: byFromOrigin(fate, originOf(was), origin),
          from: shift(start),
          to: shift(end),
        },
        points: {},
      },
    ];
  });
  const stretches = stretchesOf(is);
  const anew = stretches.flatMap(({ edge, run }, i): Draft[] => {
    if (fates.get(edge.id)?.kind !== "drawn") return [];
    const [a, b] = [letter(i), letter((i + 1) % stretches.length)];
    return [
      {
        ...base,
        says: say`${is.name}, ${edge.name}: mark ${a}${placeName(is, run.from)}: ${placed(run.from, origin)}, and ${b}${placeName(is, run.to)}: ${placed(run.to, origin)}. ${drawing(run, a, b)}`,
        numbers: stretchNumbers(run),
        act: stretchAct(run, edge.id, origin),
        points: { [a]: shift(run.from), [b]: shift(run.to) },
      },
    ];
  });
  return [change, ...slashCards(base, drawn, originOf(was)), ...moved, ...anew, outlineCard(is, group)];
}

/** A turn about one origin and a move, said from the origins before and after. */
function byFromOrigin({ turn, by }: Extract<Fate, { kind: "moved" }>, was: Origin, is: Origin): Point {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const [x, y] = was.at;
  return [x * cos - y * sin + by[0] - is.at[0], x * sin + y * cos + by[1] - is.at[1]];
}

/** What the outline of a panel is from here on. */
const outlineCard = (panel: Panel, group: string): Draft => ({
  panel: panel.id,
  name: panel.name,
  drawing: group,
  says: say`${panel.name}: its outline is now ${listed(
    panel.edges.map((e) => e.name),
    ", ",
  )}. Strike out every other line, and true the corners.`,
  numbers: {},
  act: { kind: "outline", edges: panel.edges.map((e) => e.id) },
  points: {},
});

/** A panel that was not there before. */
const newCards = (panel: Panel, n: number): readonly Draft[] => {
  const group = `${n}:${panel.id}`;
  return [...wholeCards(panel, originOf(panel), group), outlineCard(panel, group)];
};

const isSame = (was: Panel, is: Panel): boolean =>
  was === is ||
  (was.edges.length === is.edges.length &&
    is.edges.every(
      (edge) =>
        fateOf(
          was.edges.find((e) => e.id === edge.id),
          edge,
        ).kind === "kept",
    ));

/** What one line of the worksheet does, panel by panel; a line that changes no outline says what it does all the same. */
function lineCards(line: ToldLine, n: number): readonly Draft[] {
  const { before, after } = line;
  const cards = after.panels.flatMap((panel): readonly Draft[] => {
    const was = before.panels.find((p) => p.id === panel.id);
    if (!was) return newCards(panel, n);
    return isSame(was, panel) ? [] : changedCards(line, was, panel, n);
  });
  const gone = before.panels
    .filter((p) => !after.panels.some((q) => q.id === p.id))
    .map((panel): Draft => ({
      panel: panel.id,
      name: panel.name,
      drawing: `${n}:${panel.id}`,
      says: say`${panel.name}: what was cut from it takes its place; put it away.`,
      numbers: {},
      act: { kind: "put-away" },
      points: {},
    }));
  // Where it changes no panel that was there, what it does is said once before what is new.
  const isSaid = after.panels.some((panel) => {
    const was = before.panels.find((p) => p.id === panel.id);
    return was !== undefined && !isSame(was, panel);
  });
  const told: Draft = {
    panel: cards[0]?.panel ?? line.drawn[0]?.panel ?? "",
    name: line.label,
    drawing: `${n}`,
    says: line.sentence,
    numbers: Object.fromEntries(Object.entries(line.numbers).map(([name, q]) => [name, q.mm])),
    act: { kind: "change", move: line.move, before: [] },
    points: {},
  };
  return [...(isSaid ? [] : [told]), ...cards, ...gone];
}

/** The block as it is cut out, traced. */
const traceCards = (block: readonly Panel[]): readonly Draft[] =>
  block.map((panel): Draft => ({
    panel: panel.id,
    name: panel.name,
    drawing: `0:${panel.id}`,
    says: say`${panel.name}: lay the block that is cut out on paper and draw round it, with its grain and its levels.`,
    numbers: {},
    act: { kind: "trace", edges: laid(panel, originOf(panel)) },
    points: {},
  }));

/** What lies inside the finished panels: darts move and grain is drawn anew; a panel of the left leg is turned over first. */
function lastCards({ panels }: MadeGarment): readonly Draft[] {
  return panels.flatMap((panel): readonly Draft[] => {
    const own = panel.half === "left" ? panelMap(panel, pointFlipped) : panel;
    const group = `last:${panel.id}`;
    const over: readonly Draft[] =
      panel.half === "left"
        ? [
            {
              panel: panel.id,
              name: panel.name,
              drawing: group,
              says: say`${panel.name}: turn it over. It belongs to the left leg.`,
              numbers: {},
              act: { kind: "turn-over" },
              points: {},
            },
          ]
        : [];
    return [...innerCards(own, originOf(own), group), ...over];
  });
}

/** For those whose block is cut out already: what each line of the worksheet does to it. */
export function shortCards(garment: MadeGarment): readonly Draft[] {
  const done = garment.worksheet.filter((line) => line.on && line.passed === null);
  const block = done[0]?.before.panels ?? garment.panels;
  return [
    ...(hasLegs(block) || block.length > 0 ? traceCards(block) : []),
    ...done.flatMap((line, i) => lineCards(line, i + 1)),
    ...lastCards(garment),
  ];
}
