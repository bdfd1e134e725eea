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
import { count, toDegrees, type Mm, type Sentence, say, making, inside, type Words } from "../units";
import { verdict, type CheckRule, type Inspected, type Remedy } from "./check";
import { unequalSeams } from "./seamAllowances";

interface Misfit {
  readonly piece: Piece;
  readonly edge: Words;
  readonly point: Point;
  readonly off: number;
}

/** Cut line and allowance may differ by this. */
const MISFIT: Mm = 0.2;

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

/** Both sides of a seam are cut equally wide within this. */
const EQUAL: Mm = 1;
/** A mark lies on its boundary within this. */
const ON_BOUNDARY: Mm = 0.1;

/** What is wrong with the pieces, and where. */
interface Wrong {
  readonly status: "look" | "fault";
  readonly panel: string;
  readonly point: Point;
  readonly text: Sentence;
  readonly remedy?: Remedy;
}

function crossings(pieces: readonly Piece[]): readonly Wrong[] {
  return pieces.flatMap((piece): Wrong[] => {
    const point = polygonSelfCrossing(piece.cutLine);
    return point
      ? [
          {
            status: "fault",
            panel: piece.id,
            point,
            text: say`The cut line of the ${inside(piece.name)} crosses itself.`,
          },
        ]
      : [];
  });
}

/** Edges of which nobody has said what becomes of them, and sewn ones without an allowance. */
function bareEdges(pieces: readonly Piece[]): readonly Wrong[] {
  return pieces.flatMap((piece) =>
    piece.edges.flatMap((edge): Wrong[] => {
      const { path } = edgeOf(piece.panel, edge.edge);
      const where = { panel: piece.id, point: pathAt(path, pathLength(path) / 2).point };
      if (edge.fate === null)
        return [
          {
            ...where,
            status: "fault",
            text: say`The ${edge.name} of the ${inside(piece.name)} is sewn to nothing, and nothing is said to become of it.`,
          },
        ];
      if (edge.allowance > 0 || edge.fate === "folded" || edge.fate === "undecided" || edge.isFree) return [];
      return [
        {
          ...where,
          status: "fault",
          text: say`The ${edge.name} of the ${inside(piece.name)} has no allowance.`,
          ...(edge.role !== "hem" && {
            remedy: {
              label: say`Give it ${10}`,
              changes: [{ path: ["allowances", "edges", `${piece.id}.${edge.edge}`], value: "10 mm" }],
            },
          }),
        },
      ];
    }),
  );
}

/** Seams whose sides are not cut equally wide; where the maker has set one apart that is only to be looked at. */
function unequal({ panels, pieces, seams, setApart }: Inspected): readonly Wrong[] {
  return unequalSeams(panels, pieces, seams, EQUAL).map(({ seam, panel, point, off }) => ({
    status: [...seam.a, ...seam.b].some((key) => setApart.has(key)) ? "look" : "fault",
    panel,
    point,
    text: say`${seam.label}: one side is cut ${making(off)} wider beyond the seam than the other.`,
  }));
}

/** Marks that do not lie on their seam line or end on their cut line. */
function strayMarks(pieces: readonly Piece[]): readonly Wrong[] {
  return pieces.flatMap((piece) =>
    piece.notches.flatMap(({ at, outer }): Wrong[] => {
      const off = Math.max(distanceToOutline(at, piece.seamLine), distanceToOutline(outer, piece.cutLine));
      return off <= ON_BOUNDARY
        ? []
        : [
            {
              status: "fault",
              panel: piece.id,
              point: at,
              text: say`A notch of the ${inside(piece.name)} lies ${making(off)} off its line.`,
            },
          ];
    }),
  );
}

/** Every sewn edge carries its allowance once, both sides of a seam the same. Measured between cut line and seam line. */
export const allowances: CheckRule = {
  id: "allowances",
  label: "Allowances",
  note: "Every sewn edge has its allowance once and as wide as the edge it is sewn to, a fold has none; cut lines do not cross themselves; notches lie on their lines.",
  measure(inspected) {
    const { pieces } = inspected;
    const misfit = worstMisfit(pieces);
    const off = misfit?.off ?? 0;
    const wrong = [
      ...crossings(pieces),
      ...bareEdges(pieces),
      ...(misfit && Math.abs(off) > MISFIT
        ? [
            {
              status: "fault" as const,
              panel: misfit.piece.id,
              point: misfit.point,
              text: say`The ${misfit.edge} is ${making(Math.abs(off))} ${off > 0 ? "wider" : "narrower"} than its allowance.`,
            },
          ]
        : []),
      ...unequal(inspected),
      ...strayMarks(pieces),
    ];
    const worst: Wrong | undefined = wrong.find((w) => w.status === "fault") ?? wrong[0];
    return verdict(this, {
      status: worst?.status ?? "pass",
      value: off,
      limit: MISFIT,
      unit: "making",
      message: worst
        ? wrong.length > 1
          ? say`${worst.text} And ${count(wrong.length - 1)} more.`
          : worst.text
        : say`Every sewn edge has its allowance once.`,
      where: worst ? { panel: worst.panel, point: worst.point } : null,
      fix: worst ? say`Set the allowance of this edge.` : null,
      remedy: worst?.remedy ?? null,
    });
  },
};
