import { z } from "zod";
import {
  against,
  along,
  edgeOf,
  edgesWithRole,
  panelById,
  panelOutline,
  type Edge,
  type EdgeRef,
  type Join,
  type Panel,
} from "../drafting";
import {
  angleFromTo,
  cubic,
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
  pointRotate,
  pointSubtract,
  truedCurve,
  type Path,
  type Point,
  type Segment,
} from "../geometry";
import { plain, quantity, toDegrees, type Mm, type Quantity } from "../units";
import { autoLengthSchema, paramOr } from "./auto";
import { cutPanel, middleGrain, renamed, type Cuttable } from "./cut";
import { wholeLegs } from "./legs";
import { MoveRefused, type Handle, type Move, type StyleState } from "./move";
import { squareCurveOfLength, yokeLine, type YokeLine } from "./yokeLine";

const schema = z.strictObject({
  panels: z.enum(["both", "back", "front"]).optional().describe("Which panels get a yoke."),
  centre: autoLengthSchema.optional().describe("Depth of the yoke at the centre back."),
  side: autoLengthSchema.optional().describe("Depth at the side seam, the same on front and back."),
  front: autoLengthSchema.optional().describe("Depth at the centre front."),
  frontDart: z.enum(["used", "remnant"]).optional().describe("The front dart is used up, or its remnant stays below."),
  backDart: z.enum(["used", "remnant"]).optional().describe("The back dart is used up, or its remnant stays below."),
  fold: z.boolean().optional().describe("The centre back of the yoke lies on the fold."),
  joined: z.boolean().optional().describe("Front and back yoke are one piece, without a side seam."),
});
type Params = z.infer<typeof schema>;

const EDGE = { id: "yoke", name: "yoke seam" };

/** Cuts a yoke off front and back through the side at equal depth, closes its darts and fairs it. */
export const yoke: Move<Params> = {
  id: "yoke",
  label: "Cut a yoke",
  note: "Cuts across below the waist, closes the darts in the part above, and fairs both edges of the seam.",
  schema,
  redraws: false,
  apply(state, params, context) {
    const which = params.panels ?? "both";
    const legs = wholeLegs(state, "panels", this.label, ["side", "inseam", "crotch"]);
    const centre = paramOr("yoke", "centre", params.centre, context) ?? quantity(90, "the usual 90 at the centre back");
    const side =
      paramOr("yoke", "side", params.side, context) ??
      quantity(0.75 * centre.mm, `three quarters of the centre back ${plain(centre.mm)}`, { centre });
    const front =
      paramOr("yoke", "front", params.front, context) ?? quantity(side.mm, "as deep as at the side", { side });
    let next = state;
    if (which !== "front") {
      const back = cutYoke(next, legs.back, centre, side.mm, params.backDart !== "used", "centre");
      next = params.fold === false ? back : onFold(back, `${legs.back.id}-yoke`);
    }
    if (which !== "back") next = cutYoke(next, legs.front, front, side.mm, params.frontDart === "remnant", "front");
    const joined = params.joined === true && which === "both";
    if (joined) next = joinYokes(next, `${legs.front.id}-yoke`, `${legs.back.id}-yoke`);
    const seams = next.panels
      .filter((p) => p.id.endsWith("-yoke"))
      .reduce((sum, p) => sum + edgesWithRole(p, "style").reduce((all, e) => all + pathLength(e.path), 0), 0);
    const depths =
      which === "both"
        ? "{centre} deep at the centre back, {side} at the side and {front} at the centre front"
        : which === "back"
          ? "{centre} deep at the centre back and {side} at the side"
          : "{side} deep at the side and {front} at the centre front";
    return {
      state: next,
      template: `Cut a yoke ${depths}${joined ? ", in one piece round the side" : ""}, and close its darts; its seam is {seam} a leg.`,
      numbers: { centre, side, front, seam: quantity(seams, "yoke edge of one leg, equal to the edge below it") },
      shown: [],
      handles: handlesOf(legs, which, centre.mm, side.mm, front.mm),
    };
  },
};

function cutYoke<S extends Cuttable>(
  state: S,
  panel: Panel,
  centre: Quantity,
  side: Mm,
  keep: boolean,
  param: "centre" | "front",
): S {
  const crotch = edgeOf(panel, "crotch").path;
  const hip = panel.landmarks.hipSide?.[1] ?? Infinity;
  const top = panel.landmarks.waistSide?.[1] ?? 0;
  const straight = straightTop(crotch);
  const most = Math.min(straight, hip - top);
  for (const [name, mm] of [
    [param, centre.mm],
    ["side", side],
  ] as const) {
    if (mm < 30 || mm > most) {
      throw new MoveRefused(
        name,
        `The yoke of the ${panel.name.toLowerCase()} can be 3 to ${(most / 10).toFixed(1)} cm deep: it ends above the hip line and where the centre line begins to curve.`,
      );
    }
  }
  const drawn = yokeLine(panel, centre.mm, side, keep) ?? yokeLine(panel, centre.mm, side, false);
  if (!drawn) throw new MoveRefused(param, "The darts stand too near the centre or the side for a yoke of this depth.");
  const lowerEdge: Path = drawn.lower.flatMap((piece, i) => {
    const before = drawn.lower[i - 1];
    return before ? [line(pathEnd(before), pathStart(piece)), ...piece] : piece;
  });
  const [yokeId, lowerId] = [`${panel.id}-yoke`, `${panel.id}-lower`];
  const next = cutPanel(state, panel.id, {
    from: { edge: "side", along: side },
    to: { edge: "crotch", along: pathLength(crotch) - centre.mm },
    path: pathReverse(lowerEdge),
    between: { id: lowerId, name: panel.name },
    rest: { id: yokeId, name: `${panel.name} yoke` },
    seam: { id: `${panel.id}-yoke`, label: `${panel.name} yoke seam` },
    edge: EDGE,
  });
  const lower = withRemnants(panelById(next.panels, lowerId), drawn);
  const upper = closedYoke(panel, panelById(next.panels, yokeId), drawn);
  const pieces = lower.edges.filter((e) => e.id === EDGE.id || e.id.startsWith(`${EDGE.id}-`));
  return {
    ...next,
    // The yoke lies before its lower panel, as it does on the body.
    panels: next.panels.flatMap((p) => (p.id === lowerId ? [upper, lower] : p.id === yokeId ? [] : [p])),
    joins: next.joins.map((join) =>
      join.id === `${panel.id}-yoke`
        ? { ...join, a: [against(yokeId, EDGE.id)], b: pieces.map((e) => along(lowerId, e.id)) }
        : onlyWaist(join, yokeId),
    ),
  };
}

/** How far the centre line runs straight from the waist. */
function straightTop(crotch: Path): Mm {
  const whole = pathLength(crotch);
  const top = pathEndTangent(crotch);
  let down = 0;
  while (down < whole / 2 && Math.abs(toDegrees(angleFromTo(pathAt(crotch, whole - down).tangent, top))) < 1) down += 2;
  return down;
}

/** The closed yoke's waist is one edge. */
function onlyWaist(join: Join, yokeId: string): Join {
  const side = (refs: Join["a"]): Join["a"] =>
    refs.filter((ref) => !(ref.panel === yokeId && /^waist-/.test(ref.edge)));
  return { ...join, a: side(join.a), b: side(join.b) };
}

/** The lower panel with its upper edge in pieces, the remnants of darts between them. */
function withRemnants(panel: Panel, drawn: YokeLine): Panel {
  const edges = panel.edges.flatMap((edge): Edge[] => {
    if (edge.id !== EDGE.id) return [edge];
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
 * contour band. The panel itself is not cut. Null where the panel has no whole top, or its darts leave no fair line.
 */
export function topWithDartsClosed(panel: Panel, depth: Mm): Panel | null {
  const side = panel.edges.find((e) => e.id === "side");
  const centre = panel.edges.find((e) => e.id === "crotch");
  if (!side || !centre || edgesWithRole(panel, "waist").length === 0) return null;
  const [sideLength, centreLength] = [pathLength(side.path), pathLength(centre.path)];
  if (depth > Math.min(sideLength, centreLength) * 0.8) return null;
  const drawn = yokeLine(panel, depth, depth, true) ?? yokeLine(panel, depth, depth, false);
  if (!drawn) return null;
  const top: Panel = {
    ...panel,
    edges: [
      { ...side, path: pathBetween(side.path, 0, depth) },
      { ...EDGE, role: "style", path: [drawn.closed] },
      { ...centre, path: pathBetween(centre.path, centreLength - depth, centreLength) },
    ],
  };
  return closedYoke(panel, top, drawn);
}

/**
 * The top of a panel cut off as deep as asked all along, its darts closed, what is left of them staying below: a
 * contour band, `<panel>-yoke`, over `<panel>-lower`. Its centre lies on the fold where asked. Throws MoveRefused where
 * the depth leaves no fair line.
 */
export function cutTop<S extends Cuttable>(state: S, panel: Panel, depth: Quantity, folded: boolean): S {
  const cut = cutYoke(state, panel, depth, depth.mm, true, "centre");
  return folded ? onFold(cut, `${panel.id}-yoke`) : cut;
}

/** The centre of the yoke on the fold: no seam, one piece, its grain along the fold. */
function onFold<S extends Cuttable>(state: S, yokeId: string): S {
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
  const folded: Panel = {
    ...panel,
    edges: panel.edges.map((e) =>
      e === centre ? { ...e, role: "fold", name: "centre, on the fold", path: [line(low, high)] } : e,
    ),
    lines: [{ kind: "grain", points: [at(0.15), at(0.85)] }],
    cut: { count: 1, onFold: true },
  };
  return {
    ...state,
    panels: state.panels.map((p) => (p === panel ? folded : p)),
    joins: state.joins.map((join) =>
      join.kind === "crotch"
        ? { ...join, a: join.a.filter((r) => r.panel !== yokeId), b: join.b.filter((r) => r.panel !== yokeId) }
        : join,
    ),
  };
}

/** Front and back yoke laid together at the side seam: one piece from centre back to centre front. */
function joinYokes(state: StyleState, frontId: string, backId: string): StyleState {
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
  const moved = (edge: Edge, id: string): Edge => ({ ...edge, id, path: pathReverse(pathMap(edge.path, move)) });
  // The two side edges are equally long but not quite the same curve, so their lower ends are brought together.
  const backYoke = edgeOf(back, EDGE.id);
  const lower = moved(edgeOf(front, EDGE.id), "yoke-front");
  const joined: Panel = {
    ...back,
    name: "Yoke",
    edges: [
      edgeOf(back, "waist"),
      moved(edgeOf(front, "waist"), "waist-front"),
      moved(edgeOf(front, "crotch"), "crotch-front"),
      { ...lower, path: endingAt(lower.path, pathStart(backYoke.path)) },
      backYoke,
      edgeOf(back, "crotch"),
    ],
    landmarks: { ...back.landmarks, yokeFront: move(front.landmarks.yokeCentre ?? pathEnd(other)) },
  };
  const turned = new Map<string, readonly EdgeRef[]>([
    ["waist", [against(backId, "waist-front")]],
    ["crotch", [against(backId, "crotch-front")]],
    [EDGE.id, [against(backId, "yoke-front")]],
    ["side", []],
  ]);
  const without = (join: Join): Join => ({
    ...join,
    a: join.a.filter((r) => !(r.panel === backId && r.edge === "side")),
    b: join.b.filter((r) => !(r.panel === backId && r.edge === "side")),
  });
  return {
    ...state,
    panels: state.panels.flatMap((p) => (p === back ? [joined] : p === front ? [] : [p])),
    joins: state.joins.map((join) => without(renamed(join, frontId, turned))),
  };
}

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

function handlesOf(
  legs: { readonly front: Panel; readonly back: Panel },
  which: Params["panels"],
  centre: Mm,
  side: Mm,
  front: Mm,
): Handle[] {
  const at = (panel: Panel, param: string, edge: "side" | "crotch", mm: Mm, label: string): Handle => {
    const { path } = edgeOf(panel, edge);
    const place = pathAt(path, edge === "side" ? mm : pathLength(path) - mm);
    const down: Point = edge === "side" ? place.tangent : [-place.tangent[0], -place.tangent[1]];
    const id = `${panel.id}-yoke-${edge}`;
    return {
      id,
      panel: panel.id,
      at: place.point,
      axis: down,
      param,
      clears: [],
      perMm: 1,
      value: mm,
      label,
      reading: mm,
    };
  };
  return [
    ...(which !== "front"
      ? [
          at(legs.back, "centre", "crotch", centre, "yoke, centre back"),
          at(legs.back, "side", "side", side, "yoke, side"),
        ]
      : []),
    ...(which !== "back"
      ? [
          at(legs.front, "front", "crotch", front, "yoke, centre front"),
          at(legs.front, "side", "side", side, "yoke, side"),
        ]
      : []),
  ];
}
