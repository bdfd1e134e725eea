import { choice, length } from "../params";
import { askedLength, defineMove } from "./define";
import { split } from "./split";
import { findEdge, isOf, panelOutline, type Edge, type EdgeRef, type Panel } from "../pattern";
import {
  distanceToChord,
  line,
  pathAt,
  pathBetween,
  pathEnd,
  pathLength,
  pathMap,
  pathReverse,
  pathStart,
  pointAdd,
  pointScale,
  pointSubtract,
  pointUnit,
  polygonArea,
  type Path,
  type Point,
  bracket,
} from "../geometry";
import { count, quantity, type Figure, type Mm, say, Refusal, range } from "../units";
import { ownParam } from "./auto";
import { type Handle, type StyleState } from "./move";

const ID = "placket";

const PARAMS = {
  edge: choice("The edge that is buttoned.", {
    label: "Along",
    options: [
      ["split", "the split"],
      ["centre-front", "centre front"],
      ["centre-back", "centre back"],
    ],
  }),
  width: length("Added beyond the edge on each side: half overlaps, half folds back.", {
    label: "Added on each side",
    shown: "width",
    usual: { mm: 50, where: "on each side" },
    within: [15, 120],
    refusal: (limits) => say`A placket adds ${limits} on each side.`,
    tried: [20, 70],
  }),
  length: length("How far down from the waist; left auto, the whole edge.", {
    label: "Down from the waist",
    shown: "length",
    ownOnly: true,
    tried: [80, 700],
  }),
  raw: choice(
    "What the folded-back edge is cut with: a seam's allowance, or nothing where it is webbed or a selvedge.",
    {
      label: "Its inner edge",
      options: [
        ["turned", "with an allowance"],
        ["none", "without one"],
      ],
    },
  ),
  spacing: length("From button to button.", {
    label: "From button to button",
    shown: "spacing",
    usual: { mm: 90, where: "apart" },
    within: [15, 400],
    refusal: (limits) => say`Buttons sit ${limits} apart.`,
    tried: [40, 150],
  }),
};

/** An edge may bend this much and still carry a placket, which has to fold along a straight line. */
const STRAIGHT: Mm = 1.5;

/** Adds an extension and fold-back beyond an edge; buttons and buttonholes lie on the edge itself, so no girth is added. */
export const placket = defineMove({
  id: ID,
  label: "Add a placket",
  note: "Extends both sides of a split or centre edge, half to overlap and half to fold back, with buttons on the edge itself.",
  params: PARAMS,
  redraws: false,
  apply(state, params, context) {
    const which = params.edge ?? "split";
    const width = askedLength(ID, PARAMS, "width", params, context);
    const on = which === "split" ? splitEdges(state) : centreEdges(state, which);
    const [first] = on;
    if (!first) {
      throw new Refusal(
        "edge",
        which === "split"
          ? say`There is no split to button. Split a panel first, on the leg that opens.`
          : say`There is no ${which.replace("-", " ")} edge to button.`,
      );
    }
    const whole = Math.min(...on.map(({ edge }) => pathLength(edge.path)));
    const straight = Math.min(...on.map(({ edge }) => straightReach(downward(edge))));
    const length =
      ownParam("length", params.length, context) ??
      (which === "split"
        ? quantity(whole, "the whole edge, waist to hem")
        : quantity(Math.min(straight, 160), say`down the centre as far as it runs straight, ${160} at most`));
    if (length.mm > straight + 0.5 || length.mm < 40) {
      throw new Refusal(
        "length",
        straight < whole - 1
          ? say`The edge bends ${straight} below the waist, and a placket folds along a straight line. Make it shorter, or leave the waist hip-wide so that no dart bends the edge.`
          : say`A placket here is ${range(40, whole)} long.`,
      );
    }
    const reach = Math.min(length.mm, whole);
    const spacing = askedLength(ID, PARAMS, "spacing", params, context);
    const margin = Math.min(30, reach / 4);
    const buttons = Math.max(2, Math.round((reach - 2 * margin) / spacing.mm) + 1);
    const apart = (reach - 2 * margin) / (buttons - 1);
    const panels = state.panels.map((panel) => {
      const own = on.find((o) => o.panel === panel);
      return own
        ? extended(
            panel,
            own.edge,
            width.mm,
            reach,
            { at: Array.from({ length: buttons }, (_, i) => margin + i * apart), apart },
            params.raw === "none",
          )
        : panel;
    });
    const at = pathEnd(pathBetween(downward(first.edge), 0, Math.max(1, reach - 1)));
    const handle: Handle = {
      id: "placket-length",
      panel: first.panel.id,
      at,
      axis: [0, 1],
      param: "length",
      clears: [],
      perMm: 1,
      value: reach,
      label: "placket ends",
      reading: reach,
    };
    const gone = (ref: EdgeRef): boolean =>
      !panels.some((p) => p.id === ref.panel && p.edges.some((e) => e.id === ref.edge));
    // Where the whole edge is buttoned nothing of it is left to sew.
    const joins = state.joins
      .map((join) => ({ ...join, a: join.a.filter((r) => !gone(r)), b: join.b.filter((r) => !gone(r)) }))
      .filter((join) => join.a.length > 0 && join.b.length > 0);
    const next: StyleState = { ...state, panels, joins };
    return {
      state: next,
      numbers: {
        width,
        length: { ...length, mm: reach },
        apart: quantity(apart, say`${count(buttons)} buttons over ${reach} less ${margin} at each end`),
        spacing,
      },
      figures: { buttons: { ...count(buttons), sum: say`as far apart as asked, on the length there is` } },
      handles: which === "split" ? [] : [handle],
    };
  },
  says: ({ params: { edge = "split" }, figures: { buttons } }) =>
    say`Add {width} beyond both sides of the ${edge.replace("-", " ")}, half to overlap and half to fold back, {length} down; ${buttons as Figure} buttons {apart} apart, on the edge itself.`,
});

interface Carrier {
  readonly panel: Panel;
  readonly edge: Edge;
}

/** Both edges of the split that was made last on each leg. */
function splitEdges({ panels, joins }: StyleState): readonly Carrier[] {
  const lastOf = new Map(joins.filter((join) => join.by === split.id).map((join) => [join.leg, join]));
  return [...lastOf.values()]
    .flatMap(({ a, b }) => [...a, ...b])
    .flatMap((ref) => {
      const panel = panels.find((p) => p.id === ref.panel);
      const edge = panel && findEdge(panel, ref.edge);
      return panel && edge?.by === split.id ? [{ panel, edge }] : [];
    });
}

function centreEdges({ panels }: StyleState, which: "centre-front" | "centre-back"): readonly Carrier[] {
  const root = which === "centre-front" ? "front" : "back";
  return panels.flatMap((panel) => {
    const edge = panel.edges.find(
      (e) => e.role === "crotch" && isOf(panel, root) && panel.landmarks.waistCentre !== undefined,
    );
    return edge ? [{ panel, edge }] : [];
  });
}

/** How far a path runs from its start before it leaves the straight line by more than a hair. */
function straightReach(path: Path): Mm {
  const whole = pathLength(path);
  const bows = (reach: Mm): boolean => {
    const [a, b] = [pathStart(path), pathAt(path, reach).point];
    return [0.25, 0.5, 0.75].some((share) => distanceToChord(pathAt(path, reach * share).point, a, b) > STRAIGHT);
  };
  return bows(whole) ? bracket((reach) => !bows(reach), 0, whole)[0] : whole;
}

/** The edge walked from the waist down. */
function downward(edge: Edge): Path {
  return runsDown(edge) ? edge.path : pathReverse(edge.path);
}

const runsDown = (edge: Edge): boolean => pathEnd(edge.path)[1] > pathStart(edge.path)[1];

/** The panel with a strip beyond the upper part of one edge: its fold line, the button line, and what lies under. */
function extended(
  panel: Panel,
  edge: Edge,
  width: Mm,
  reach: Mm,
  buttons: { readonly at: readonly Mm[]; readonly apart: Mm },
  isBare: boolean,
): Panel {
  const down = downward(edge);
  const whole = pathLength(down);
  const top = pathStart(down);
  const upper = pathBetween(down, 0, Math.min(reach, whole));
  const bottom = pathEnd(upper);
  const along = pointUnit(pointSubtract(bottom, top));
  // Outward lies to the left of travel on outlines that run clockwise.
  const clockwise = Math.sign(polygonArea(panelOutline(panel)));
  const travel = runsDown(edge) ? 1 : -1;
  const out: Point = [along[1] * clockwise * travel, -along[0] * clockwise * travel];
  const by =
    (mm: Mm) =>
    (p: Point): Point =>
      pointAdd(p, pointScale(out, mm));
  const outer: Path = pathMap(upper, by(width));
  const foot: Edge = {
    id: `${edge.id}-foot`,
    role: "style",
    name: "placket, foot",
    becomes: "turned",
    by: ID,
    path: [line(pathEnd(outer), bottom)],
  };
  const strip: Edge[] = [
    {
      id: `${edge.id}-top`,
      role: "style",
      name: "placket, top",
      becomes: "caught",
      by: ID,
      sewnAs: "waist",
      path: [line(top, by(width)(top))],
    },
    {
      id: `${edge.id}-placket`,
      role: "style",
      name: say`${edge.name}, placket`,
      by: ID,
      path: outer,
      ...(isBare ? { beyond: 0, becomes: "free" } : { becomes: "turned" }),
    },
    foot,
  ];
  const below: Edge[] = whole - reach > 1 ? [{ ...edge, path: pathBetween(down, reach, whole) }] : [];
  const run = [...strip, ...below];
  const turned = runsDown(edge) ? run : run.reverse().map((e): Edge => ({ ...e, path: pathReverse(e.path) }));
  const edges = panel.edges.flatMap((e) => (e === edge ? turned : [e]));
  const place = (mm: Mm): Point => pointAdd(top, pointScale(along, mm));
  const cross = (p: Point): readonly Point[] => [pointAdd(p, pointScale(out, -4)), pointAdd(p, pointScale(out, 4))];
  return {
    ...panel,
    edges: below.length === 0 ? hemTogether(edges, foot) : edges,
    lines: [
      ...panel.lines,
      { kind: "placement", points: [top, bottom] },
      { kind: "fold", points: [by(width / 2)(top), by(width / 2)(bottom)] },
      ...buttons.at.map((mm) => ({ kind: "placement" as const, points: cross(place(mm)) })),
    ],
    worn: {
      ...panel.worn,
      buttons: { count: buttons.at.length, apart: buttons.apart },
      overlaps: [...(panel.worn?.overlaps ?? []), [top, bottom, by(width)(bottom), by(width)(top)]],
    },
  };
}

/** A placket that runs down to the hem is hemmed with the leg: its foot becomes part of the hem. */
function hemTogether(edges: readonly Edge[], foot: Edge): readonly Edge[] {
  const i = edges.findIndex((e) => e.id === foot.id);
  const hem = edges.findIndex((e) => e.role === "hem");
  const [footEdge, hemEdge] = [edges[i], edges[hem]];
  if (!footEdge || !hemEdge) return edges;
  const path =
    (hem + 1) % edges.length === i ? [...hemEdge.path, ...footEdge.path] : [...footEdge.path, ...hemEdge.path];
  return edges.flatMap((e) => (e === footEdge ? [] : e === hemEdge ? [{ ...hemEdge, path }] : [e]));
}
