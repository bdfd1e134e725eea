import type { AllowanceKind } from "./roles";
import { squareCurveOfLength, yokeLine, type YokeLine } from "./yokeLine";
import { cutPanel, middleGrain, type PartName } from "./cut";
import { edgeOf, edgesWithRole, panelOutline, type Edge, type Panel, findEdge } from "./panel";
import { against, along, panelById, type Join, type Pattern, type JoinKind } from "./joins";
import {
  angleFromTo,
  line,
  pathAt,
  pathBetween,
  pathEnd,
  pathEndTangent,
  pathLength,
  pathMap,
  pathReverse,
  pathStart,
  pathStartTangent,
  pointBetween,
  pointDistance,
  pointSubtract,
  polygonSelfCrossing,
  truedCurve,
  type Path,
  type Point,
} from "../geometry";
import { toDegrees, type Mm, type Quantity, Refusal, say, range, type Words, inside } from "../units";

/** A side seam goes on at least this far below a yoke. */
const LEAST_SIDE: Mm = 15;

const EDGE = { id: "yoke" };
/** The lower edge of a top that is not cut off. */
const LOWER_EDGE = "lower edge";

/** What cuts the top of a panel off, and what its parts and the seam between them are called. */
export interface TopCut {
  readonly by: string;
  readonly upper: PartName;
  readonly lower: PartName;
  readonly seam: {
    readonly id: string;
    readonly label: Words;
    readonly kind?: JoinKind;
    /** What its edges are called. */
    readonly edge: string;
    /** The allowance both take where that is not a style seam's. */
    readonly sewnAs?: AllowanceKind;
  };
}

/**
 * Cuts the top of a panel off, `centre` deep along its centre and `side` along its side, closes the darts in the part
 * above and keeps what is left of them below where asked. Throws Refusal of `param` where that leaves no fair line.
 */
export function cutTop<S extends Pattern>(
  state: S,
  panel: Panel,
  { by, upper: above, lower: below, seam }: TopCut,
  centre: Quantity,
  side: Mm,
  keep: boolean,
  param: "centre" | "front",
): S {
  const why = notFlat(panel);
  if (why) {
    throw new Refusal(
      param,
      say`The waist of the ${inside(panel.name)} ${why}, so nothing can be cut off it flat. Cut it off before that, or leave that out.`,
    );
  }
  const crotch = edgeOf(panel, "crotch").path;
  const hip = panel.landmarks.hipSide?.[1] ?? Infinity;
  const top = panel.landmarks.waistSide?.[1] ?? 0;
  const straight = straightTop(crotch);
  const most = Math.min(straight, hip - top, pathLength(edgeOf(panel, "side").path) - LEAST_SIDE);
  for (const [name, mm] of [
    [param, centre.mm],
    ["side", side],
  ] as const) {
    if (mm < 30 || mm > most) {
      throw new Refusal(
        name,
        say`The yoke of the ${inside(panel.name)} can be ${range(30, most)} deep: it ends above the hip line or a side panel, and where the centre line begins to curve.`,
        most < 30 ? {} : { yields: Math.min(Math.max(mm, 30), most) },
      );
    }
  }
  const drawn = yokeLine(panel, centre.mm, side, keep) ?? yokeLine(panel, centre.mm, side, false);
  const noFairLine = new Refusal(param, say`The darts stand too near the centre or the side for a yoke of this depth.`);
  if (!drawn) throw noFairLine;
  const lowerEdge: Path = drawn.lower.flatMap((piece, i) => {
    const before = drawn.lower[i - 1];
    return before ? [line(pathEnd(before), pathStart(piece)), ...piece] : piece;
  });
  const next = cutPanel(state, panel.id, {
    from: { edge: "side", along: side },
    to: { edge: "crotch", along: pathLength(crotch) - centre.mm },
    path: pathReverse(lowerEdge),
    by,
    between: { ...below, part: "below" },
    rest: { ...above, part: "above" },
    seam: { id: seam.id, label: seam.label },
    edge: { id: EDGE.id, name: seam.edge },
  });
  const lower = withRemnants(panelById(next.panels, below.id), drawn);
  const upper = closedYoke(panel, panelById(next.panels, above.id), drawn);
  if ([upper, lower].some((part) => polygonSelfCrossing(panelOutline(part)))) throw noFairLine;
  const sewn = ({ edges, ...part }: Panel): Panel => ({
    ...part,
    edges: edges.map((e) => (seam.sewnAs && e.role === "style" && e.by === by ? { ...e, sewnAs: seam.sewnAs } : e)),
  });
  const pieces = lower.edges.filter((e) => e.role === "style" && e.by === by);
  return {
    ...next,
    // The yoke lies before its lower panel, as it does on the body.
    panels: next.panels.flatMap((p) => (p.id === below.id ? [sewn(upper), sewn(lower)] : p.id === above.id ? [] : [p])),
    joins: next.joins.map((join) =>
      join.id === seam.id
        ? {
            ...join,
            kind: seam.kind ?? join.kind,
            a: [against(above.id, EDGE.id)],
            b: pieces.map((e) => along(below.id, e.id)),
          }
        : withoutMissing(join, upper),
    ),
  };
}

/** Why the top of a panel cannot be cut off and lie flat, its darts closed; null where it can. */
function notFlat(panel: Panel): string | null {
  if (panel.lines.some((l) => l.kind === "pleat")) return "is pleated";
  const waist = panel.edges.findIndex((e) => e.role === "waist");
  const centre = panel.edges[(waist + panel.edges.length - 1) % panel.edges.length];
  return centre && centre === findEdge(panel, "crotch") ? null : "has a placket cut on at its centre";
}

/** How far the centre line runs straight from the waist. */
function straightTop(crotch: Path): Mm {
  const whole = pathLength(crotch);
  const top = pathEndTangent(crotch);
  let down = 0;
  while (down < whole / 2 && Math.abs(toDegrees(angleFromTo(pathAt(crotch, whole - down).tangent, top))) < 1) down += 2;
  return down;
}

/** The join without the edges that a panel has lost: a closed top's waist is one edge. */
function withoutMissing(join: Join, panel: Panel): Join {
  const side = (refs: Join["a"]): Join["a"] =>
    refs.filter((ref) => ref.panel !== panel.id || findEdge(panel, ref.edge) !== undefined);
  return { ...join, a: side(join.a), b: side(join.b) };
}

/** The lower panel with its upper edge in pieces, the remnants of darts between them. */
function withRemnants(panel: Panel, drawn: YokeLine): Panel {
  const edges = panel.edges.flatMap((edge): Edge[] => {
    if (edge !== findEdge(panel, EDGE.id)) return [edge];
    return drawn.lower.flatMap((path, i): Edge[] => {
      const piece: Edge = { ...edge, id: i === 0 ? EDGE.id : `${EDGE.id}-${i + 1}`, path };
      const remnant = drawn.remnants[i];
      if (!remnant) return [piece];
      const [from, tip, to] = remnant;
      // The fold stands as high above the tip as the edges beside it.
      const middle = pointBetween(from, to, 0.5);
      const high = (pointDistance(from, tip) + pointDistance(to, tip)) / 2 / (pointDistance(middle, tip) || 1);
      const cap = pointBetween(tip, middle, high);
      return [
        piece,
        { id: `dart-${i + 1}`, role: "dart", name: "rest of the dart", path: [line(from, cap), line(cap, to)] },
      ];
    });
  });
  const lines = [
    ...panel.lines.filter((l) => l.kind !== "dart"),
    ...drawn.remnants.map((points) => ({ kind: "dart" as const, points })),
  ];
  return { ...panel, edges, lines };
}

/** The part above the line with its darts closed: one waist, its side turned in, its lower edge fair. */
function closedYoke(source: Panel, cut: Panel, drawn: YokeLine): Panel {
  const n = drawn.darts.length;
  const shut = (p: Point): Point => drawn.close(p, n);
  const waists = edgesWithRole(source, "waist");
  const net = waists.reduce((sum, e) => sum + pathLength(e.path), 0);
  const first = waists[0] as Edge;
  const last = waists[waists.length - 1] as Edge;
  const [from, leave] = [pathStart(first.path), pathStartTangent(first.path)];
  const to = shut(pathEnd(last.path));
  const end = pathEnd(last.path);
  const tangent = pathEndTangent(last.path);
  const arrive = pointSubtract(shut([end[0] + tangent[0], end[1] + tangent[1]]), to);
  // Closed about other places than the waist was drawn by, its pieces would meet in corners: it is drawn as one, as long.
  const waist: Path =
    n === 0 ? first.path : [squareCurveOfLength((fullness) => truedCurve(from, leave, to, arrive, fullness), net)];
  const side = pathMap(edgeOf(cut, "side").path, shut);
  const edges: Edge[] = [
    { ...first, path: waist },
    { ...edgeOf(cut, "side"), path: side },
    { ...edgeOf(cut, EDGE.id), path: pathReverse([drawn.closed]) },
    edgeOf(cut, "crotch"),
  ];
  const panel: Panel = {
    ...cut,
    edges,
    lines: [],
    landmarks: { waistCentre: from, waistSide: to, yokeSide: pathEnd(side), yokeCentre: pathStart([drawn.closed]) },
  };
  return { ...panel, lines: [middleGrain(panelOutline(panel))] };
}

/**
 * The top of a panel, as deep as asked along centre and side, with its darts closed and both edges fair: a facing or a
 * contour band. The panel itself is not cut. Null where the panel has no whole top, is pleated or has a placket there,
 * or its darts leave no fair line.
 */
export function topWithDartsClosed(panel: Panel, depth: Mm): Panel | null {
  const side = findEdge(panel, "side");
  const centre = findEdge(panel, "crotch");
  if (!side || !centre || edgesWithRole(panel, "waist").length === 0 || notFlat(panel)) return null;
  const [sideLength, centreLength] = [pathLength(side.path), pathLength(centre.path)];
  if (depth > Math.min(sideLength, centreLength) * 0.8) return null;
  const drawn = yokeLine(panel, depth, depth, true) ?? yokeLine(panel, depth, depth, false);
  if (!drawn) return null;
  const top: Panel = {
    ...panel,
    edges: [
      { ...side, path: pathBetween(side.path, 0, depth) },
      { ...EDGE, name: LOWER_EDGE, role: "style", path: [drawn.closed] },
      { ...centre, path: pathBetween(centre.path, centreLength - depth, centreLength) },
    ],
  };
  const closed = closedYoke(panel, top, drawn);
  return polygonSelfCrossing(panelOutline(closed)) ? null : closed;
}

/** The centre on the fold: no seam, straight, one piece. */
export function centreFolded(panel: Panel): Panel {
  const edges = panel.edges.map((e): Edge =>
    e === findEdge(panel, "crotch")
      ? { ...e, role: "fold", name: "centre, on the fold", path: [line(pathStart(e.path), pathEnd(e.path))] }
      : e,
  );
  return { ...panel, edges, cutting: { ...panel.cutting, pieces: { count: 1, onFold: true } } };
}

/** The centre of the yoke on the fold: no seam there, and its grain along the fold. */
export function centreOnFold<S extends Pattern>(state: S, yokeId: string): S {
  const panel = panelById(state.panels, yokeId);
  const centre = edgeOf(panel, "crotch");
  const [low, high] = [pathStart(centre.path), pathEnd(centre.path)];
  const inward = pointSubtract(
    pointBetween(pathStart(edgeOf(panel, "side").path), low, 0.5),
    pointBetween(low, high, 0.5),
  );
  const by: Point = [inward[0] * 0.4, inward[1] * 0.4];
  const at = (share: number): Point => {
    const p = pointBetween(low, high, share);
    return [p[0] + by[0], p[1] + by[1]];
  };
  const folded: Panel = { ...centreFolded(panel), lines: [{ kind: "grain", points: [at(0.15), at(0.85)] }] };
  return {
    ...state,
    panels: state.panels.map((p) => (p === panel ? folded : p)),
    joins: state.joins.map((join) =>
      join.kind === "centre"
        ? { ...join, a: join.a.filter((r) => r.panel !== yokeId), b: join.b.filter((r) => r.panel !== yokeId) }
        : join,
    ),
  };
}
