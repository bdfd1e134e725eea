import {
  against,
  edgeOf,
  panelById,
  type Edge,
  type EdgeRef,
  type Join,
  type Panel,
  renamed,
  edgesWithRole,
} from "../pattern";
import {
  angleFromTo,
  cubic,
  line,
  pathEnd,
  pathMap,
  pathReverse,
  pathStart,
  pointRotate,
  pointSubtract,
  type Path,
  type Point,
  type Segment,
} from "../geometry";
import type { StyleState } from "./move";

/** What the centre front of a yoke in one piece is called. */
export const JOINED_CENTRE = "crotch-front";

/** Front and back yoke laid together at the side seam: one piece from centre back to centre front. */
export function joinYokes(state: StyleState, frontId: string, backId: string): StyleState {
  const [front, back] = [panelById(state.panels, frontId), panelById(state.panels, backId)];
  const [own, other] = [edgeOf(back, "side").path, edgeOf(front, "side").path];
  const turn = angleFromTo(
    pointSubtract(pathEnd(other), pathStart(other)),
    pointSubtract(pathEnd(own), pathStart(own)),
  );
  const base = pathStart(own);
  const move = (p: Point): Point => {
    const [x, y] = pointRotate(p, pathStart(other), turn);
    return [x + base[0] - pathStart(other)[0], y + base[1] - pathStart(other)[1]];
  };
  const moved = (edge: Edge, id: string): Edge => ({
    ...edge,
    id,
    root: "front",
    path: pathReverse(pathMap(edge.path, move)),
  });
  // The two side edges are equally long but not quite the same curve, so their lower ends are brought together.
  const [backYoke, frontYoke] = [lowerEdge(back), lowerEdge(front)];
  const lower = moved(frontYoke, "yoke-front");
  const joined: Panel = {
    ...back,
    name: "Yoke",
    edges: [
      edgeOf(back, "waist"),
      moved(edgeOf(front, "waist"), "waist-front"),
      moved(edgeOf(front, "crotch"), JOINED_CENTRE),
      { ...lower, path: endingAt(lower.path, pathStart(backYoke.path)) },
      backYoke,
      edgeOf(back, "crotch"),
    ],
    // Where the sides were, above and below, is marked.
    lines: [
      ...back.lines,
      { kind: "notch", points: [pathStart(own)] },
      { kind: "notch", points: [pathStart(backYoke.path)] },
    ],
    landmarks: { ...back.landmarks, yokeFront: move(front.landmarks.yokeCentre ?? pathEnd(other)) },
  };
  const turned = new Map<string, readonly EdgeRef[]>([
    ["waist", [against(backId, "waist-front")]],
    ["crotch", [against(backId, JOINED_CENTRE)]],
    [frontYoke.id, [against(backId, "yoke-front")]],
    ["side", []],
  ]);
  const side = edgeOf(back, "side").id;
  const without = (join: Join): Join => ({
    ...join,
    a: join.a.filter((r) => !(r.panel === backId && r.edge === side)),
    b: join.b.filter((r) => !(r.panel === backId && r.edge === side)),
  });
  return {
    ...state,
    panels: state.panels.flatMap((p) => (p === back ? [joined] : p === front ? [] : [p])),
    // Where a side panel took the side below, the yoke's own side was all there was of the seam.
    joins: state.joins
      .map((join) => without(renamed(join, frontId, turned)))
      .filter((join) => join.a.length > 0 && join.b.length > 0),
  };
}

/** The edge a yoke was cut off by. */
const lowerEdge = (yoke: Panel): Edge => edgesWithRole(yoke, "style")[0] as Edge;

/** The path with its last end, and the handle beside it, moved to a place a hair away. */
function endingAt(path: Path, end: Point): Path {
  const last = path.at(-1);
  if (!last) return path;
  const [dx, dy] = pointSubtract(end, pathEnd(path));
  const near = (p: Point): Point => [p[0] + dx, p[1] + dy];
  const bent: Segment =
    last.kind === "line" ? line(last.points[0], end) : cubic(last.points[0], last.points[1], near(last.points[2]), end);
  return [...path.slice(0, -1), bent];
}
