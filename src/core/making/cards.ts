import type { MadeGarment } from "./garment";
import { hasLegs, isBodice, type Panel } from "../pattern";
import { boxOf, type Point } from "../geometry";
import type { Piece } from "../pieces";
import { say, type Mm, type Sentence } from "../units";
import { around, runsOf, type Run } from "./runs";

/** How a card's act is drawn, for a program as for a hand; lengths in millimetres, right and down from the card's origin. */
export type Act =
  | { readonly kind: "sheet"; readonly wide: Mm; readonly tall: Mm; readonly origin: readonly [right: Mm, down: Mm] }
  | { readonly kind: "fold-cloth"; readonly pieces: readonly { readonly piece: string; readonly wide: Mm }[] }
  | { readonly kind: "begin"; readonly at: Point; readonly name: string }
  | {
      readonly kind: "line" | "curve";
      readonly from: Point;
      readonly to: Point;
      /** Places a curve passes: along the straight line between its ends, and off it to the left of the way. */
      readonly guides: readonly { readonly along: Mm; readonly off: Mm; readonly at: Point }[];
      readonly leaves: Point;
      readonly arrives: Point;
      readonly miss: Mm;
      readonly edge: string;
    }
  | { readonly kind: "inner"; readonly line: string; readonly points: readonly Point[] }
  | { readonly kind: "allowance"; readonly edge: string; readonly width: Mm; readonly widthEnd: Mm }
  | { readonly kind: "notch"; readonly at: Point; readonly double: boolean }
  | {
      readonly kind: "slash";
      readonly move: string;
      readonly lines: readonly (readonly Point[])[];
      readonly hinges: readonly Point[];
    };

export const CARD_KINDS = ["paper", "cloth", "short"] as const;
export type CardKind = (typeof CARD_KINDS)[number];

/** One act at a time: what is drawn, from where, which way, how far. */
export interface Card {
  readonly n: number;
  /** The panel or piece it belongs to, by id and as it is called; empty where it is about all of them. */
  readonly panel: string;
  readonly name: string;
  readonly says: Sentence;
  readonly numbers: Readonly<Record<string, Mm>>;
  readonly act: Act;
  /** Places it marks, by letter. */
  readonly points: Readonly<Record<string, Point>>;
}

type Draft = Omit<Card, "n">;

/** Room kept round a drawing on a sheet. */
const MARGIN: Mm = 40;

const LETTERS = "ABCDEFGHIJKLMNOPQRSTUVWXYZ";
const letter = (i: number): string => (i < 26 ? (LETTERS[i] as string) : `${LETTERS[i % 26]}${Math.floor(i / 26)}`);

/** What a place of a panel is called in the trade. */
const PLACES: Readonly<Record<string, string>> = {
  waistCentre: "centre of the waist",
  waistSide: "side of the waist",
  hipSide: "hip line at the side",
  hipCentre: "hip line at the centre",
  crotchPoint: "crotch point",
  kneeSide: "knee line at the side",
  kneeInseam: "knee line at the inseam",
  hemSide: "hem at the side",
  hemInseam: "hem at the inseam",
  hemCentre: "centre of the hem",
  neckCentre: "centre of the neck",
  neckEnd: "neck's end of the shoulder",
  shoulderEnd: "shoulder's end",
  underarm: "underarm",
};

/** Where measures start on a panel, and its lines. */
interface Origin {
  readonly at: Point;
  readonly name: string;
  readonly upright: string;
  readonly level: string;
}

function originOf(panel: Panel): Origin {
  if (panel.is.component === "legs" && panel.is.part === null)
    return {
      at: [0, 0],
      name: "O, where the crease meets the waist line",
      upright: "the crease",
      level: "the waist line",
    };
  const centre = panel.landmarks.waistCentre ?? panel.landmarks.hemCentre;
  if (isBodice(panel) && centre)
    return {
      at: [centre[0], 0],
      name: "O, where the centre meets the waist line",
      upright: "the centre line",
      level: "the waist line",
    };
  const { left, top } = boxOf(panel.edges.flatMap((e) => e.path.flatMap((s) => [...s.points])));
  return {
    at: [left, top],
    name: "O, the upper left corner of the sheet",
    upright: "the left edge",
    level: "the upper edge",
  };
}

/** A place told from the origin: so far right or left, so far above or below. */
function placed([x, y]: Point, { at, upright, level }: Origin): Sentence {
  const [right, down] = [x - at[0], y - at[1]];
  const across =
    Math.abs(right) < 0.25
      ? say`on ${upright}`
      : say`${Math.abs(right)} to the ${right > 0 ? "right" : "left"} of ${upright}`;
  const along =
    Math.abs(down) < 0.25 ? say`on ${level}` : say`${Math.abs(down)} ${down > 0 ? "below" : "above"} ${level}`;
  return say`${across}, ${along}`;
}

const from =
  ({ at }: Origin) =>
  ([x, y]: Point): Point => [x - at[0], y - at[1]];

/** How a curve is drawn, by its guide places. */
function byGuides({ guides, miss }: Run, a: string, b: string): Sentence {
  const list = guides.reduce<Sentence>(
    (all, g, i) =>
      say`${all}${i === 0 ? "" : i === guides.length - 1 ? " and " : ", "}${Math.abs(g.off)} to the ${g.off > 0 ? "left" : "right"} of it, ${g.along} from ${a}`,
    say``,
  );
  return say`Curve from ${a} to ${b}: along the straight line between them it passes ${list}.${miss > 1 ? say` Drawn so it is within ${miss}.` : ""}`;
}

/** The outline of a panel, run by run, each ending in a lettered place. */
function outlineCards(panel: Panel, origin: Origin): readonly Draft[] {
  const shift = from(origin);
  const runs = panel.edges.flatMap((edge) => runsOf(edge.path).map((run) => ({ edge, run })));
  const first = runs[0];
  if (!first) return [];
  const nameAt = (p: Point): string => {
    const known = Object.entries(panel.landmarks).find(
      ([name, q]) => PLACES[name] && Math.hypot(p[0] - q[0], p[1] - q[1]) < 0.5,
    );
    return known ? `, the ${PLACES[known[0]]}` : "";
  };
  const base = { panel: panel.id, name: panel.name };
  const begin: Draft = {
    ...base,
    says: say`${panel.name}: mark A${nameAt(first.run.from)}: ${placed(first.run.from, origin)}.`,
    numbers: numbersOf(first.run.from, origin),
    act: { kind: "begin", at: shift(first.run.from), name: "A" },
    points: { A: shift(first.run.from) },
  };
  return [
    begin,
    ...runs.map(({ edge, run }, i): Draft => {
      const isLast = i === runs.length - 1;
      const [a, b] = [letter(i), isLast ? "A" : letter(i + 1)];
      const mark = isLast ? say`Back to A` : say`Mark ${b}${nameAt(run.to)}: ${placed(run.to, origin)}`;
      const draw = run.straight ? say`Straight from ${a} to ${b}, ${run.length} long.` : byGuides(run, a, b);
      return {
        ...base,
        says: say`${mark}. ${draw} This is the ${edge.name}.`,
        numbers: {
          ...(isLast ? {} : numbersOf(run.to, origin)),
          length: run.length,
          ...Object.fromEntries(
            run.guides.flatMap((g, k) => [
              [`along${k + 1}`, g.along],
              [`off${k + 1}`, g.off],
            ]),
          ),
        },
        act: {
          kind: run.straight ? "line" : "curve",
          from: shift(run.from),
          to: shift(run.to),
          guides: run.guides.map((g) => ({ ...g, at: shift(g.at) })),
          leaves: run.leaves,
          arrives: run.arrives,
          miss: run.miss,
          edge: edge.id,
        },
        points: isLast ? {} : { [b]: shift(run.to) },
      };
    }),
  ];
}

const numbersOf = ([x, y]: Point, { at }: Origin): Readonly<Record<string, Mm>> => ({
  right: x - at[0],
  down: y - at[1],
});

const INNER: Readonly<Record<string, string>> = {
  grain: "the grain line",
  dart: "the dart, to its tip",
  pleat: "the pleat line",
  opening: "the opening",
  placement: "the placement line",
  fold: "the fold line",
  crease: "the crease",
};

/** Darts, pleats, folds and grain inside a panel. */
function innerCards(panel: Panel, origin: Origin): readonly Draft[] {
  const shift = from(origin);
  return panel.lines.flatMap((line): Draft[] => {
    const what = INNER[line.kind];
    if (!what || line.points.length < 2) return [];
    const told = line.points.reduce<Sentence>(
      (all, p, i) => say`${all}${i === 0 ? "" : "; to "}${placed(p, origin)}`,
      say``,
    );
    return [
      {
        panel: panel.id,
        name: panel.name,
        says: say`${panel.name}: draw ${what}: from ${told}.`,
        numbers: Object.fromEntries(
          line.points.flatMap((p, i) => [
            [`right${i + 1}`, p[0] - origin.at[0]],
            [`down${i + 1}`, p[1] - origin.at[1]],
          ]),
        ),
        act: { kind: "inner", line: line.kind, points: line.points.map(shift) },
        points: {},
      },
    ];
  });
}

/** How large a sheet each panel takes, and where its origin lies on it. */
function sheetCard(panel: Panel, origin: Origin): Draft {
  const box = around(panel.edges.map((e) => e.path));
  const [wide, tall] = [box.right - box.left + 2 * MARGIN, box.bottom - box.top + 2 * MARGIN];
  const [right, down] = [origin.at[0] - box.left + MARGIN, origin.at[1] - box.top + MARGIN];
  return {
    panel: panel.id,
    name: panel.name,
    says: say`${panel.name}: take a sheet at least ${wide} wide and ${tall} tall${tall > 1400 ? ", joined from two" : ""}. Square two lines across it: ${origin.upright}, ${right} from the left edge, and ${origin.level}, ${down} from the upper edge. They meet in ${origin.name}.`,
    numbers: { wide, tall, right, down },
    act: { kind: "sheet", wide, tall, origin: [right, down] },
    points: { O: [0, 0] },
  };
}

/** Allowances of a piece, edge by edge; those that a fold or a free edge has none of are left out. */
function allowanceCards(piece: Piece): readonly Draft[] {
  return piece.edges
    .filter((e) => e.allowance > 0)
    .map((e): Draft => ({
      panel: piece.panel.id,
      name: piece.name,
      says:
        e.allowanceEnd === undefined
          ? say`${piece.name}: cut ${e.allowance} beyond the ${e.name}.`
          : say`${piece.name}: cut ${e.allowance} beyond the ${e.name} where it begins, running to ${e.allowanceEnd} where it ends.`,
      numbers: { width: e.allowance, widthEnd: e.allowanceEnd ?? e.allowance },
      act: { kind: "allowance", edge: e.edge, width: e.allowance, widthEnd: e.allowanceEnd ?? e.allowance },
      points: {},
    }));
}

/** Net panels on paper, then their allowances. */
function paperCards({ panels, sewn, pieces }: MadeGarment): readonly Draft[] {
  const all = [...panels, ...sewn.filter((p) => !panels.some((own) => own.id === p.id))].filter(
    (p) => !sewn.some((s) => s.is.leftOf === p.id),
  );
  const drawn = all.flatMap((panel) => {
    const origin = originOf(panel);
    return [sheetCard(panel, origin), ...outlineCards(panel, origin), ...innerCards(panel, origin)];
  });
  return [...drawn, ...pieces.flatMap(allowanceCards)];
}

/** A cut line as edges: where it turns it is a corner. */
function cutPanel(piece: Piece): Panel {
  const points = piece.cutLine;
  const corner = (i: number): boolean => {
    const [a, b, c] = [points.at(i - 1), points[i], points[(i + 1) % points.length]] as [Point, Point, Point];
    const turn = Math.atan2(
      (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]),
      (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]),
    );
    return Math.abs(turn) > 0.2;
  };
  const at = points.flatMap((_, i) => (corner(i) ? [i] : []));
  const starts = at.length > 1 ? at : [0, Math.floor(points.length / 2)];
  const edges = starts.map((start, k) => {
    const end = starts[(k + 1) % starts.length] as number;
    const count = ((end - start + points.length - 1) % points.length) + 1;
    const path = Array.from({ length: count }, (_, i) => ({
      kind: "line" as const,
      points: [points[(start + i) % points.length] as Point, points[(start + i + 1) % points.length] as Point] as const,
    }));
    return { id: `cut-${k + 1}`, role: "style" as const, name: "cut line", path };
  });
  return { ...piece.panel, name: piece.name, edges };
}

/** Straight on folded cloth: how wide to fold it, then every piece by its cut line, its allowances in every number. */
function clothCards({ pieces }: MadeGarment): readonly Draft[] {
  const shell = pieces.filter((p) => p.material === "shell");
  const widths = shell.map((piece) => {
    const box = boxOf(piece.cutLine);
    return { piece: piece.id, name: piece.name, wide: box.right - box.left };
  });
  const folded = widths.filter(({ piece }) => shell.find((p) => p.id === piece)?.is.component !== "part");
  const told = folded.reduce<Sentence>(
    (all, w, i) => say`${all}${i === 0 ? "" : "; "}${w.name.toLowerCase()} ${w.wide}`,
    say``,
  );
  const fold: Draft = {
    panel: "",
    name: "Cloth",
    says: say`Fold the cloth right sides together, along its length, at least so wide: ${told}. Fold for each on its own; the numbers hold their allowances.`,
    numbers: Object.fromEntries(folded.map((w) => [w.piece, w.wide])),
    act: { kind: "fold-cloth", pieces: folded.map(({ piece, wide }) => ({ piece, wide })) },
    points: {},
  };
  const drawn = shell.flatMap((piece) => {
    const panel = cutPanel(piece);
    const box = boxOf(piece.cutLine);
    const seam = boxOf(piece.seamLine);
    const fromEdge: Origin = {
      at: [box.left, box.top],
      name: "O",
      upright: "the left edge of the cloth for it",
      level: "its upper end",
    };
    const parts: Draft = {
      panel: piece.id,
      name: piece.name,
      says: say`${piece.name}: it takes ${box.right - box.left} by ${box.bottom - box.top}: net ${seam.right - seam.left} by ${seam.bottom - seam.top}, and on the left ${seam.left - box.left}, on the right ${box.right - seam.right}, above ${seam.top - box.top}, below ${box.bottom - seam.bottom} for seams and hem. Cut ${piece.cut.onFold ? "it once, on the fold" : piece.cut.pairs ? "both layers together" : `${piece.cut.count} of it`}.`,
      numbers: {
        wide: box.right - box.left,
        tall: box.bottom - box.top,
        net: seam.right - seam.left,
        left: seam.left - box.left,
        right: box.right - seam.right,
        above: seam.top - box.top,
        below: box.bottom - seam.bottom,
      },
      act: { kind: "sheet", wide: box.right - box.left, tall: box.bottom - box.top, origin: [0, 0] },
      points: { O: [0, 0] },
    };
    return [parts, ...outlineCards(panel, fromEdge), ...innerCards(piece.panel, fromEdge)];
  });
  return [fold, ...drawn];
}

/** For those whose block is cut out already: what each line of the worksheet does to it. */
function shortCards({ worksheet, panels }: MadeGarment): readonly Draft[] {
  const start: Draft = {
    panel: "",
    name: "Block",
    says: hasLegs(panels)
      ? say`Lay the block that is cut out on paper and draw round it, front and back, with the grain, the crease and the levels.`
      : say`Lay the bodice that is cut out on paper and draw round it, front and back, with the grain.`,
    numbers: {},
    act: { kind: "begin", at: [0, 0], name: "O" },
    points: {},
  };
  return [
    start,
    ...worksheet
      .filter((line) => line.on && line.passed === null)
      .map((line): Draft => ({
        panel: line.drawn[0]?.panel ?? "",
        name: line.label,
        says: line.sentence,
        numbers: Object.fromEntries(Object.entries(line.numbers).map(([name, q]) => [name, q.mm])),
        act: {
          kind: "slash",
          move: line.move,
          lines: line.drawn.flatMap((d) => d.slashes),
          hinges: line.drawn.flatMap((d) => d.hinges),
        },
        points: Object.assign({}, ...line.drawn.map((d) => d.points)) as Record<string, Point>,
      })),
  ];
}

/** The chalk cards of a garment, one act each. */
export function cardsOf(derived: MadeGarment, on: CardKind): readonly Card[] {
  const drafts = on === "paper" ? paperCards(derived) : on === "cloth" ? clothCards(derived) : shortCards(derived);
  return drafts.map((draft, i) => ({ n: i + 1, ...draft }));
}
