import { line, type Path, type Point } from "../geometry";
import { toRadians } from "../units";
import type { Card } from "./cards";
import { handCurve } from "./runs";

/** A line of a drawing: drawn for good, as the panel lay before, cut, or inside the outline. */
export interface DrawnLine {
  /** The card that draws it. */
  readonly n: number;
  readonly kind: "outline" | "before" | "cut" | "inner";
  readonly path: Path;
}

/** A line of a card's picture; the card's own is lit. */
export interface PictureLine extends DrawnLine {
  readonly isNew: boolean;
}

const through = (points: readonly Point[]): Path => points.slice(1).map((to, i) => line(points[i] as Point, to));

/** How an edge lay before the act of its drawing. */
const layBefore = (edge: string, own: readonly Card[]): readonly Point[] =>
  own.flatMap(({ act }) => (act.kind === "change" ? act.before : [])).find((laid) => laid.edge === edge)?.points ?? [];

/** What one card draws, as a hand draws it. */
function drawnBy({ n, act }: Card, own: readonly Card[]): readonly DrawnLine[] {
  const drawn = (kind: DrawnLine["kind"], path: Path): DrawnLine => ({ n, kind, path });
  switch (act.kind) {
    case "line":
      return [drawn("outline", [line(act.from, act.to)])];
    case "curve":
      return [drawn("outline", handCurve([act.from, ...act.guides.map((g) => g.at), act.to], act.leaves, act.arrives))];
    case "inner":
      return [drawn("inner", through(act.points))];
    case "trace":
      return act.edges.map(({ points }) => drawn("outline", through(points)));
    case "change":
      return act.before.map(({ points }) => drawn("before", through(points)));
    case "cut":
      return [drawn("cut", through(act.points))];
    case "moved": {
      const turn = toRadians(act.degrees);
      const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
      const { by } = act;
      const points = layBefore(act.edge, own).map(([x, y]): Point => [
        x * cos - y * sin + by[0],
        x * sin + y * cos + by[1],
      ]);
      return [drawn("outline", through(points))];
    }
    default:
      return [];
  }
}

/** All lines of a drawing, card after card. */
export const linesOf = (own: readonly Card[]): readonly DrawnLine[] => own.flatMap((card) => drawnBy(card, own));

/** All that the cards of a drawing have drawn up to one of them; empty where they draw nothing. */
export const pictureOf = (card: Card, own: readonly Card[]): readonly PictureLine[] =>
  linesOf(own)
    .filter(({ n }) => n <= card.n)
    .map((drawn) => ({ ...drawn, isNew: drawn.n === card.n && drawn.kind !== "before" }));

/** The cards of the drawing that a card belongs to. */
export function cardsByDrawing(cards: readonly Card[]): (card: Card) => readonly Card[] {
  const byDrawing = new Map<string, Card[]>();
  for (const card of cards) byDrawing.set(card.drawing, [...(byDrawing.get(card.drawing) ?? []), card]);
  return ({ drawing }) => byDrawing.get(drawing) ?? [];
}
