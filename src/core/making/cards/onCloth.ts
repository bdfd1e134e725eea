import { boxOf, pathAt, pathNearest, type Point } from "../../geometry";
import { edgesWithRole, type Panel } from "../../pattern";
import type { Piece } from "../../pieces";
import { roundToTape, say, type Mm, type Sentence, type Tape, inside, count, joined, type Words } from "../../units";
import type { MadeGarment } from "../garment";
import type { Draft } from "./card";
import { innerCards, outlineCards, type Telling } from "./outline";
import { listed, ON_LINE, type Origin } from "./places";

/** A cut line turns by more than this at a corner. */
const CORNER = 0.2;

/** A cut line as edges: where it turns it is a corner. */
function cutPanel(piece: Piece): Panel {
  const points = piece.cutLine;
  const corner = (i: number): boolean => {
    const [a, b, c] = [points.at(i - 1), points[i], points[(i + 1) % points.length]] as [Point, Point, Point];
    const turn = Math.atan2(
      (b[0] - a[0]) * (c[1] - b[1]) - (b[1] - a[1]) * (c[0] - b[0]),
      (b[0] - a[0]) * (c[0] - b[0]) + (b[1] - a[1]) * (c[1] - b[1]),
    );
    return Math.abs(turn) > CORNER;
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

/** The place of the seam line nearest to another, and what lies beyond it there, by its kind. */
function seamAt(piece: Piece, p: Point): { readonly at: Point; readonly kind: string } {
  const near = piece.panel.edges.map(({ path }) => pathNearest(path, p));
  const nearest = near.reduce((best, own, i) => (own.distance < (near[best]?.distance ?? Infinity) ? i : best), 0);
  const panelEdge = piece.panel.edges[nearest] as Panel["edges"][number];
  const at = pathAt(panelEdge.path, near[nearest]?.along ?? 0).point;
  const edge = piece.edges.find((e) => e.edge === panelEdge.id);
  if (!edge) return { at, kind: "seam" };
  if (edge.surplus) return { at, kind: "seam and surplus to trim" };
  if (edge.role === "hem") return { at, kind: "hem" };
  return { at, kind: edge.isFree ? "edge" : "seam" };
}

/** A part of a number, by its kind; negative where it is taken off. */
interface NumberPart {
  readonly kind: string;
  readonly mm: Mm;
}

/** "(net 11 3/8, seam 1/2, hem 2)": what is taken off is said so. */
const partsSaid = (parts: readonly NumberPart[]): Sentence =>
  say`(${listed(
    parts.map(({ kind, mm }) => (mm < 0 ? say`less ${Math.abs(mm)} ${kind}` : say`${kind} ${mm}`)),
    ", ",
  )})`;

/**
 * Tells the places of a cut line from the upper left of the cloth it takes, every number with its parts. Parts and total are
 * whole divisions of the tape, so that what is printed adds up; places measured as they are drawn stay beside them.
 */
function inParts(piece: Piece, tape: Tape, origin: Origin): Telling {
  const [cut, seam] = [boxOf(piece.cutLine), boxOf(piece.seamLine)];
  const read = (mm: Mm): Mm => roundToTape(mm, tape).mm;
  const edgeOfBox = (axis: 0 | 1): Point => nearestAlong(piece.seamLine, axis);
  const [leftmost, topmost] = [edgeOfBox(0), edgeOfBox(1)];
  const told = (axis: 0 | 1, p: Point): { total: Mm; parts: readonly NumberPart[] } => {
    const [start, edge, at] = axis === 0 ? [cut.left, seam.left, leftmost] : [cut.top, seam.top, topmost];
    const net = seamAt(piece, p);
    const total = read(p[axis] - start);
    const before = read(edge - start);
    const here = read(p[axis] - net.at[axis]);
    const parts = [
      { kind: "net", mm: total - before - here },
      { kind: seamAt(piece, at).kind, mm: before },
      { kind: net.kind, mm: here },
    ].filter(({ mm }) => Math.abs(mm) > 1e-6);
    return { total, parts };
  };
  const along = (total: Mm, parts: readonly NumberPart[], away: string, on: string): Sentence =>
    Math.abs(total) < ON_LINE
      ? say`on ${on}`
      : say`${total} ${away} ${on}${parts.length > 1 ? say` ${partsSaid(parts)}` : ""}`;
  return (p) => {
    const [across, down] = [told(0, p), told(1, p)];
    const named = (name: string, { total, parts }: typeof across): readonly (readonly [string, Mm])[] => [
      [`${name}OnTape`, total],
      ...parts.map(({ mm }, i) => [`${name}Part${i + 1}`, mm] as const),
    ];
    return {
      says: say`${along(across.total, across.parts, "to the right of", origin.upright)}, ${along(down.total, down.parts, "below", origin.level)}`,
      numbers: {
        right: p[0] - origin.at[0],
        down: p[1] - origin.at[1],
        ...Object.fromEntries([...named("right", across), ...named("down", down)]),
      },
    };
  };
}

/** The place of an outline that lies furthest left, or highest. */
const nearestAlong = (points: readonly Point[], axis: 0 | 1): Point =>
  points.reduce((best, q) => (q[axis] < best[axis] ? q : best));

/** How a piece is cut once it is drawn. */
function cutWords({ cut, panel }: Piece): Words {
  if (cut.onFold) return say`Lay its ${edgesWithRole(panel, "fold")[0]?.name ?? "fold"} on the fold and cut it once`;
  return cut.pairs ? "Cut both layers together" : say`Cut ${count(cut.count)} of it, one layer at a time`;
}

/** How wide cloth is folded for each of its main pieces. */
function foldCard(shell: readonly Piece[]): Draft {
  const folded = shell
    .filter((p) => p.is.component !== "part")
    .map((piece) => {
      const box = boxOf(piece.cutLine);
      return { piece: piece.id, name: piece.name, wide: box.right - box.left };
    });
  const told = listed(folded.map((w) => say`${inside(w.name)} ${w.wide}`));
  return {
    panel: "",
    name: "Cloth",
    drawing: "",
    says: say`Fold the cloth right sides together, along its length, at least so wide: ${told}. Fold for each on its own, the fold towards you, the open edges away; the numbers hold their allowances.`,
    numbers: Object.fromEntries(folded.map((w) => [w.piece, w.wide])),
    act: { kind: "fold-cloth", pieces: folded.map(({ piece, wide }) => ({ piece, wide })) },
    points: {},
  };
}

const LEANS = "It lies a little off the thread: turn it until its grain line, drawn last, runs along the selvedge.";

/** How a piece is drawn that does not lie along the cloth. */
const LIES: Readonly<Record<NonNullable<Piece["lies"]>, string>> = {
  across: "It lies across the cloth: turn it so that its grain line, drawn last, runs along the selvedge.",
  bias: "It lies on the bias: turn it half way, so that its grain line, drawn last, runs along the selvedge.",
  clockwise: LEANS,
  anticlockwise: LEANS,
};

/** A piece straight on cloth: what it takes, its cut line with the parts of every number, what is marked inside it. */
function pieceCards(piece: Piece, tape: Tape): readonly Draft[] {
  const [box, seam] = [boxOf(piece.cutLine), boxOf(piece.seamLine)];
  const origin: Origin = {
    at: [box.left, box.top],
    name: "O",
    upright: "its left edge",
    level: "its upper end",
  };
  const also = piece.alsoCut.map((a) => say`${count(a.count)} of ${a.material}${a.note ? say`, ${a.note}` : ""}`);
  const parts: Draft = {
    panel: piece.panel.id,
    name: piece.name,
    drawing: piece.panel.id,
    says: say`${piece.name}${piece.material === "shell" ? "" : say`, from ${piece.material}`}: it takes ${box.right - box.left} by ${box.bottom - box.top}: net ${seam.right - seam.left} by ${seam.bottom - seam.top}, and on the left ${seam.left - box.left}, on the right ${box.right - seam.right}, above ${seam.top - box.top}, below ${box.bottom - seam.bottom} for seams and hem. Mark the hem's allowance first, at the cut end. ${cutWords(piece)}.${piece.lies ? say` ${LIES[piece.lies]}` : ""}${also.length > 0 ? say` Cut again by it: ${joined(also, "; ")}.` : ""}`,
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
  return [
    parts,
    ...outlineCards(cutPanel(piece), origin, { drawing: piece.panel.id, tells: inParts(piece, tape, origin) }),
    ...innerCards(piece.panel, origin),
  ];
}

/** Straight on folded cloth: how wide to fold it, then every piece by its cut line, its allowances in every number. */
export function clothCards({ pieces }: MadeGarment, tape: Tape): readonly Draft[] {
  const shell = pieces.filter((p) => p.material === "shell");
  const others = pieces.filter((p) => p.material !== "shell");
  return [foldCard(shell), ...[...shell, ...others].flatMap((piece) => pieceCards(piece, tape))];
}
