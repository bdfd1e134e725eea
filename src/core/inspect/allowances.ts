import { inSentence } from "../words";
import { edgeOf, panelOutline, type Edge, type Panel } from "../pattern";
import {
  angleFromTo,
  distanceToOutline,
  pathAt,
  pathEndTangent,
  pathLength,
  pathStartTangent,
  polygonArea,
  polygonSelfCrossing,
  type Path,
  type Point,
} from "../geometry";
import type { Piece } from "../pieces";
import { toDegrees, type Mm, say, making } from "../units";
import { verdict, type CheckRule } from "./check";

interface Misfit {
  readonly piece: Piece;
  readonly edge: string;
  readonly point: Point;
  readonly off: number;
}

/** A turn this sharp within an edge is a corner: the cut line beside it belongs to both its sides. */
const CORNER_DEGREES = 10;

/** Where an edge turns sharply, by arc length from its start. */
function cornersOf(path: Path): Mm[] {
  let reached = 0;
  return path.flatMap((segment, i) => {
    const before = path[i - 1];
    const at = reached;
    reached += pathLength([segment]);
    const turn = before ? angleFromTo(pathEndTangent([before]), pathStartTangent([segment])) : 0;
    return Math.abs(toDegrees(turn)) > CORNER_DEGREES ? [at] : [];
  });
}

/**
 * How far from its start and its end an edge's allowance is cut away by its neighbour's, because the outline turns in on
 * itself there: the sharper the hollow, the further.
 */
function hollowAt(panel: Panel, edge: Edge, allowance: Mm): readonly [start: Mm, end: Mm] {
  const { edges } = panel;
  const way = Math.sign(polygonArea(panelOutline(panel)));
  const at = edges.indexOf(edge);
  const reach = (before: Edge, after: Edge): Mm => {
    const turn = way * angleFromTo(pathEndTangent(before.path), pathStartTangent(after.path));
    return turn < 0 ? allowance / Math.tan((Math.PI + turn) / 2) : 0;
  };
  const n = edges.length;
  return [reach(edges[(at + n - 1) % n] as Edge, edge), reach(edge, edges[(at + 1) % n] as Edge)];
}

/** Places along each stretch, away from its corners, where cut line and seam line lie furthest from the allowance. */
function worstMisfit(pieces: readonly Piece[]): Misfit | null {
  let worst: Misfit | null = null;
  for (const piece of pieces) {
    for (const stretch of piece.edges) {
      // Near a corner the neighbour's cut line may be nearer; a narrowing stretch has no single width.
      // A dart's or pleat's mouth is all corners.
      if (
        stretch.role === "dart" ||
        stretch.allowanceEnd !== undefined ||
        stretch.length < 3 * (stretch.allowance + (stretch.surplus ?? 0)) + 10
      )
        continue;
      const edge = edgeOf(piece.panel, stretch.edge);
      const { path } = edge;
      const corners = cornersOf(path);
      const [fromStart, fromEnd] = hollowAt(piece.panel, edge, stretch.allowance);
      const whole = pathLength(path);
      for (const share of [0.35, 0.5, 0.65]) {
        const at = stretch.from + stretch.length * share;
        if (corners.some((c) => Math.abs(c - at) < 2 * stretch.allowance)) continue;
        if (at < fromStart || at > whole - fromEnd) continue;
        const { point } = pathAt(path, at);
        const off = distanceToOutline(point, piece.cutLine) - stretch.allowance - (stretch.surplus ?? 0);
        if (!worst || Math.abs(off) > Math.abs(worst.off)) worst = { piece, edge: stretch.name, point, off };
      }
    }
  }
  return worst;
}

/** Every sewn edge carries its allowance, once. Measured between cut line and seam line. */
export const allowances: CheckRule = {
  id: "allowances",
  label: "Allowances",
  note: "Every sewn edge has its allowance once, a fold has none; cut lines do not cross themselves.",
  measure({ pieces, finish }) {
    const crossing = pieces.map((piece) => ({ piece, at: polygonSelfCrossing(piece.cutLine) })).find((c) => c.at);
    const bare = pieces.flatMap((piece) =>
      piece.edges.filter((e) => e.allowance <= 0 && e.role !== "fold" && !e.isFree).map((edge) => ({ piece, edge })),
    )[0];
    const misfit = worstMisfit(pieces);
    const off = misfit?.off ?? 0;
    const wrong = crossing
      ? {
          panel: crossing.piece.id,
          point: crossing.at as Point,
          text: say`The cut line of the ${inSentence(crossing.piece.name)} crosses itself.`,
        }
      : bare
        ? {
            panel: bare.piece.id,
            point: bare.piece.seamLine[0] as Point,
            text:
              finish.hem === null && bare.edge.role === "hem"
                ? say`The hem is not decided, so it has no allowance.`
                : say`The ${bare.edge.name} of the ${inSentence(bare.piece.name)} has no allowance.`,
          }
        : misfit && Math.abs(off) > 0.2
          ? {
              panel: misfit.piece.id,
              point: misfit.point,
              text: say`The ${misfit.edge} is ${making(Math.abs(off))} ${off > 0 ? "wider" : "narrower"} than its allowance.`,
            }
          : null;
    return verdict(this, {
      status: wrong ? "fault" : "pass",
      value: off,
      limit: 0.2,
      unit: "making",
      message: wrong?.text ?? say`Every sewn edge has its allowance once.`,
      where: wrong ? { panel: wrong.panel, point: wrong.point } : null,
      fix: wrong ? say`Set the allowance of this edge.` : null,
      remedy:
        bare && !crossing && bare.edge.role !== "hem"
          ? {
              label: say`Give it ${10}`,
              changes: [{ path: ["allowances", "edges", `${bare.piece.id}.${bare.edge.edge}`], value: "10 mm" }],
            }
          : null,
    });
  },
};
