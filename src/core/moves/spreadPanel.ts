import {
  edgeOf,
  landmarkOf,
  type Edge,
  type Panel,
  restoreLength,
  softenCorner,
  truedHem,
  turnCrotch,
  outlinePlace,
  slashAndSpread,
  type Cut,
  type OpenedCut,
  type PanelLine,
  type Drawing,
  drawingOn,
} from "../pattern";
import {
  pathAt,
  pathLength,
  pathNearest,
  pointDistance,
  pointSubtract,
  pointUnit,
  type Point,
  pathAlongAtX,
} from "../geometry";
import { toDegrees, type Mm, say, inside } from "../units";
import type { Handle } from "./move";

/** Corners of hinges sharper than this are softened. */
const SOFTEN_ABOVE = 2;

export interface SpreadPanel {
  readonly panel: Panel;
  readonly opened: readonly OpenedCut[];
  readonly growth: Mm;
}

export function unopened(panel: Panel): SpreadPanel {
  return { panel, opened: [], growth: 0 };
}

export function spreadPanel(panel: Panel, cuts: readonly Cut[]): SpreadPanel {
  if (cuts.length === 0) return unopened(panel);
  const slashed = slashAndSpread(panel, cuts);
  const before = new Map(panel.edges.map((edge) => [edge.id, pathLength(edge.path)]));
  const opensHem = cuts.some((cut) => {
    const hem = outlinePlace(panel, "hem", 0);
    return cut.open > hem && cut.open < hem + (before.get("hem") ?? 0);
  });
  let edges: Edge[] = slashed.edges.map((edge) => {
    if (edge.role !== "side" && edge.role !== "inseam") return edge;
    let path = edge.path;
    for (const cut of slashed.opened) {
      const corner = cut.hingeEdge === edge.id && cut.hingeAlong > 1 && cut.hingeAlong < pathLength(path) - 1;
      if (corner && Math.abs(toDegrees(cut.angle)) > SOFTEN_ABOVE) path = softenCorner(path, cut.hingeAlong, cut.angle);
    }
    return { ...edge, path: restoreLength(path, before.get(edge.id) as Mm, edge.role === "side" ? "end" : "start") };
  });
  const crotchTurn = slashed.opened
    .filter((cut) => pointDistance(cut.hinge, landmarkOf(panel, "crotchPoint")) < 0.01)
    .reduce((sum, cut) => sum + cut.angle, 0);
  edges = edges.map((edge) =>
    edge.role === "crotch" && crotchTurn !== 0 ? { ...edge, path: turnCrotch(edge.path, crotchTurn) } : edge,
  );
  const pathOf = (id: string): Edge["path"] => (edges.find((e) => e.id === id) as Edge).path;
  edges = edges.map((edge) =>
    edge.role !== "hem"
      ? edge
      : {
          ...edge,
          path: opensHem ? [truedHem(pathOf("side"), pathOf("inseam"), pathLength(pathOf("hem")))] : edge.path,
        },
  );
  return finishPanel(panel, edges, slashed.moveAt, slashed.opened);
}

/** Landmarks and lines of the spread panel: the crease and grain stay, what lies on the outline travels with it. */
function finishPanel(
  panel: Panel,
  edges: readonly Edge[],
  moveAt: (place: Mm) => (p: Point) => Point,
  opened: readonly OpenedCut[],
): SpreadPanel {
  const pathOf = (id: string): Edge["path"] => (edges.find((e) => e.id === id) as Edge).path;
  const sideMove = moveAt(outlinePlace(panel, "side", pathLength(edgeOf(panel, "side").path) - 1));
  const inseamMove = moveAt(outlinePlace(panel, "inseam", 1));
  const onEdge = (id: string, p: Point): Point => {
    const { path } = edgeOf(panel, id);
    const from = pathNearest(path, p).along;
    return pathAt(pathOf(id), from).point;
  };
  const { landmarks } = panel;
  const oldCrease = landmarkOf(panel, "creaseHem");
  const hem = pathOf("hem");
  const creaseHem = pathAt(hem, pathAlongAtX(hem, oldCrease[0]) ?? pathLength(hem) / 2).point;
  const knee = landmarks.kneeSide?.[1] ?? 0;
  const moved: Record<string, Point> = {
    ...landmarks,
    creaseHem,
    hipSide: onEdge("side", landmarkOf(panel, "hipSide")),
  };
  moved.hemSide = pathAt(pathOf("side"), Infinity).point;
  moved.hemInseam = pathAt(pathOf("inseam"), 0).point;
  if (landmarks.kneeSide) moved.kneeSide = onEdge("side", landmarks.kneeSide);
  if (landmarks.kneeInseam) moved.kneeInseam = onEdge("inseam", landmarks.kneeInseam);
  const growth = creaseHem[1] - oldCrease[1];
  // The knee line breaks at the slash and turns with both parts, however often the leg is spread.
  const isKnee = (l: PanelLine): boolean => l.kind === "knee" && opened.length > 0;
  const kneeLines: PanelLine[] = panel.lines.some(isKnee)
    ? [
        { kind: "knee", points: [moved.kneeSide as Point, sideMove([0, knee])] },
        { kind: "knee", points: [inseamMove([0, knee]), moved.kneeInseam as Point] },
      ]
    : [];
  const lines = [
    ...panel.lines
      .filter((l) => !isKnee(l))
      .map((l) => (l.kind === "crease" ? { ...l, points: [l.points[0] as Point, creaseHem] } : l)),
    ...kneeLines,
  ];
  return { panel: { ...panel, edges, lines, landmarks: moved }, opened, growth };
}

/** The slash as it is cut (up the crease, then a branch to each hinge) and the wedges it opens. */
export function shownOf({ panel, opened }: SpreadPanel): Drawing {
  const crotchLine = landmarkOf(panel, "creaseCrotch")[1];
  return drawingOn(panel.id, {
    slashes: opened.map((cut) => {
      const branch: Point = [cut.stay[0], Math.min(crotchLine + 60, (crotchLine + cut.stay[1]) / 2)];
      return [cut.stay, branch, cut.hinge];
    }),
    wedges: opened.map((cut) => [cut.hinge, cut.stay, cut.tip]),
    hinges: opened.map((cut) => cut.hinge),
  });
}

export function hemHandles({ panel, opened }: SpreadPanel, hemSpread: Mm): Handle[] {
  const hem = pathLength(edgeOf(panel, "hem").path);
  const creaseHem = landmarkOf(panel, "creaseHem");
  const ends =
    opened.length > 0 ? opened.map((cut) => cut.tip) : [landmarkOf(panel, "hemSide"), landmarkOf(panel, "hemInseam")];
  return ends.map((tip, i) => ({
    id: `${panel.id}-hem-${i + 1}`,
    panel: panel.id,
    at: tip,
    axis: pointUnit([Math.sign(pointSubtract(tip, creaseHem)[0]) || 1, 0]),
    param: "hemSpread",
    clears: ["hemGirth"],
    perMm: 2,
    value: hemSpread,
    label: say`${inside(panel.name)} hem`,
    ofHem: true,
    reading: hem,
  }));
}

/** The slash line and the place of its hinge at the side, moved by hand. */
export function slashHandles({ panel, opened }: SpreadPanel, slashAt: Mm, hingeAt: Mm): Handle[] {
  const [side] = opened.filter((cut) => cut.hingeEdge === "side");
  const crease = landmarkOf(panel, "creaseHem");
  const outward = Math.sign(landmarkOf(panel, "hemSide")[0] - crease[0]) || 1;
  const name = inside(panel.name);
  const low = crease[1] - 130;
  const slash: Handle = {
    id: `${panel.id}-slash`,
    panel: panel.id,
    at: [side ? side.stay[0] : outward * slashAt, low],
    axis: [outward, 0],
    param: "slashAt",
    clears: [],
    perMm: 1,
    value: slashAt,
    label: say`${name} slash from the crease`,
    reading: slashAt,
    least: -400,
  };
  const hinge = side?.hinge ?? landmarkOf(panel, "hipSide");
  return [
    slash,
    {
      ...slash,
      id: `${panel.id}-hinge`,
      at: hinge,
      axis: [0, 1],
      param: "hingeAt",
      value: hingeAt,
      label: say`${name} hinge below the hip line`,
      reading: hingeAt,
    },
  ];
}
