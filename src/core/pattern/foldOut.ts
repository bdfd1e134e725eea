import { edgesWithRole, findEdge, type Edge, type Panel } from "./panel";
import {
  angleFromTo,
  pathAlongAtX,
  pathAt,
  pathEnd,
  pathEndTangent,
  pathLength,
  pathMap,
  pathSplit,
  pathStart,
  pathStartTangent,
  pointAdd,
  pointBetween,
  pointCross,
  pointDistance,
  pointRotate,
  pointSubtract,
  truedCurve,
  type Path,
  type Point,
} from "../geometry";

/**
 * The panel with what is left of its darts folded out: each is laid together from its mouth to nothing at the hem, the
 * part toward the side turned about the place there below the dart's tip. Every edge keeps its length but the hem, which
 * is drawn anew over the fold and changes by a millimetre or two. Null where the hem does not lie below the dart.
 */
export function foldedOut(panel: Panel): Panel | null {
  let now = panel;
  for (const dart of edgesWithRole(panel, "dart")) {
    const next = oneFolded(now, dart.id);
    if (!next) return null;
    now = next;
  }
  return now;
}

function oneFolded(panel: Panel, id: string): Panel | null {
  const at = panel.edges.findIndex((e) => e.id === id);
  const dart = panel.edges[at];
  // From the dart once round the outline and back to it.
  const round = [...panel.edges.slice(at + 1), ...panel.edges.slice(0, at)];
  const hemAt = round.findIndex((e) => e.role === "hem");
  const hem = round[hemAt];
  if (!dart || !hem || !findEdge(panel, "side")) return null;
  const [from, to] = [pathStart(dart.path), pathEnd(dart.path)];
  const tip = panel.lines.find((l) => l.kind === "dart" && isDartOf(l.points, from))?.points[1];
  const hinge = pathAlongAtX(hem.path, tip?.[0] ?? from[0]);
  if (hinge === null) return null;
  const centre = pathAt(hem.path, hinge).point;
  const isFirst = round.slice(0, hemAt).some((e) => e.role === "side");
  const [start, end] = isFirst ? [to, from] : [from, to];
  const angle = angleFromTo(pointSubtract(start, centre), pointSubtract(end, centre));
  const slide = pointSubtract(end, pointRotate(start, centre, angle));
  const turn = (p: Point): Point => pointAdd(pointRotate(p, centre, angle), slide);
  const turned = (path: Path, isTurned: boolean): Path => (isTurned ? pathMap(path, turn) : path);
  const [one, two] = pathSplit(hem.path, hinge);
  const [before, after] = [turned(one, isFirst), turned(two, !isFirst)];
  const over = truedCurve(pathStart(before), pathStartTangent(before), pathEnd(after), pathEndTangent(after));
  const edges = round.map((edge, i): Edge => {
    if (i === hemAt) return { ...edge, path: [over] };
    return { ...edge, path: turned(edge.path, i < hemAt === isFirst) };
  });
  const mouth = pointBetween(from, to, 0.5);
  const fold = pointSubtract(centre, mouth);
  const side = findEdge(panel, "side") as Edge;
  const beside = pathAt(side.path, pathLength(side.path) / 2).point;
  const sign = Math.sign(pointCross(fold, pointSubtract(beside, mouth)));
  const carried = (p: Point): Point => (Math.sign(pointCross(fold, pointSubtract(p, mouth))) === sign ? turn(p) : p);
  // The outline starts where it did.
  const first = edges.findIndex((e) => e.id === (panel.edges[at === 0 ? 1 : 0] as Edge).id);
  return {
    ...panel,
    edges: [...edges.slice(first), ...edges.slice(0, first)],
    landmarks: Object.fromEntries(Object.entries(panel.landmarks).map(([name, p]) => [name, carried(p)])),
    lines: panel.lines
      .filter((l) => l.kind !== "dart" || !isDartOf(l.points, from))
      .map((l) => (l.kind === "grain" || l.kind === "crease" ? l : { ...l, points: l.points.map(carried) })),
  };
}

const isDartOf = (points: readonly Point[], mouth: Point): boolean =>
  points.some((p) => pointDistance(p, mouth) < 0.01);
