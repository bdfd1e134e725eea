import { choice, length } from "../params";
import { defineMove } from "./define";
import {
  edgeOf,
  isOf,
  panelById,
  type Edge,
  type Panel,
  cutPanel,
  divideLegs,
  type Place,
  findEdge,
  type NewPart,
  drawingOn,
} from "../pattern";
import {
  curveByDirections,
  line,
  pathAlongAtX,
  pathAt,
  pathEnd,
  pathLength,
  pathStart,
  pointBetween,
  pointSubtract,
  pointUnit,
  segmentEnd,
  type Path,
  type Point,
} from "../geometry";
import { quantity, type Mm, Refusal, say } from "../units";
import { paramOr } from "./auto";
import { type StyleState } from "./move";

const ID = "split";

const PARAMS = {
  panel: choice("Which panel is divided.", {
    label: "Panel",
    options: [
      ["front", "the front"],
      ["back", "the back"],
    ],
  }),
  leg: choice("On both legs, or on one alone.", {
    label: "On",
    options: [
      ["both", "both legs"],
      ["left", "the left leg"],
      ["right", "the right leg"],
    ],
  }),
  out: length("How far from the crease toward the side the cut runs; 0 is the crease.", {
    label: "From the crease to the side",
    shown: "out",
    negative: true,
    tried: [-60, 60],
  }),
};

/** Divides a panel from waist to hem along its dart and crease; on one leg alone, left and right then differ. */
export const split = defineMove({
  id: ID,
  label: "Split a panel",
  note: "Cuts a panel in two from waist to hem, through the dart and down the crease, on both legs or on one.",
  params: PARAMS,
  redraws: false,
  apply(state, params, context) {
    const root = params.panel ?? "front";
    const leg = params.leg ?? "both";
    const divided = leg === "both" ? state : divideLegs(state, (p) => isOf(p, root), { by: ID });
    const own = divided.panels.filter((p) => isOf(p, root) && (leg === "both" || p.half === leg));
    const long = own.filter((p) => findEdge(p, "hem") !== undefined && hasWaist(p));
    const out = paramOr("split", "out", params.out, context) ?? quantity(0, "down the crease");
    const at = own.map((p) => p.landmarks.hipSide ?? p.landmarks.hemSide).find((p) => p !== undefined);
    const x = (Math.sign(at?.[0] ?? 1) || 1) * out.mm;
    // Of the parts an earlier split has made, the one this line runs down.
    const panel = long.find((p) => pathAlongAtX(edgeOf(p, "hem").path, x) !== null) ?? long[0];
    if (!panel || own.some((p) => p.worn?.casings)) {
      throw new Refusal(
        "panel",
        panel
          ? say`A casing is cut on last, so the split comes before it. Move this line up.`
          : say`The ${root} no longer runs from waist to hem in one piece. Move this line up.`,
      );
    }
    const cut = cutLine(panel, x);
    const part = (word: "side" | "centre"): NewPart => ({
      id: `${panel.id}-${word}`,
      name: say`${panel.name}, ${word}`,
      part: word,
    });
    const edge = { id: unusedId(panel), name: "split edge" };
    const next = cutPanel(cut.state(divided), panel.id, {
      by: ID,
      from: cut.from,
      to: cut.to,
      path: cut.path,
      between: part("side"),
      rest: part("centre"),
      seam: { id: `${panel.id}-split`, label: "Split seam" },
      edge,
    });
    // Parts lie from the centre to the side, as the waist is walked.
    const [toSide, toCentre] = [
      panelById(next.panels, `${panel.id}-side`),
      panelById(next.panels, `${panel.id}-centre`),
    ];
    const [centrePart, sidePart] = [toCentre, toSide].map((p) => (cut.dart ? withDartLeg(p, cut.dart, edge.id) : p));
    const panels = next.panels.flatMap((p) =>
      p === toSide ? ([centrePart, sidePart] as Panel[]) : p === toCentre ? [] : [p],
    );
    const seam = quantity(pathLength(edgeOf(sidePart as Panel, edge.id).path), "from waist to hem, both edges alike");
    return {
      state: { ...next, panels },
      numbers: { seam, out },
      facts: { throughDart: cut.dart !== null },
      shown: [drawingOn(panel.id, { slashes: [cut.points] })],
    };
  },
  says({ params: { panel = "front", leg = "both" }, numbers: { out }, facts }) {
    const where = leg === "both" ? say`both ${panel}s` : say`the ${leg} ${panel} alone`;
    return say`Split ${where} from waist to hem${facts.throughDart ? ", through the dart and" : ""} down ${out?.mm === 0 ? "the crease" : "a line {out} from the crease"}, {seam} long.`;
  },
});

/** The new edge's id: a part of an earlier split has a split edge already. */
function unusedId(panel: Panel): string {
  const taken = new Set(panel.edges.map((e) => e.id));
  let [id, n] = ["split", 1];
  while (taken.has(id)) id = `split-${++n}`;
  return id;
}

const hasWaist = (panel: Panel): boolean => panel.edges.some((e) => e.role === "waist");

interface CutLine {
  readonly from: Place;
  readonly to: Place;
  readonly path: Path;
  readonly points: readonly Point[];
  /** The dart that is cut out with it, if one stands there. */
  readonly dart: string | null;
  /** The pattern with the dart taken out of the waist, its legs being the cut edges. */
  readonly state: (state: StyleState) => StyleState;
}

/** The dart's leg and the cut below it as one edge. */
function withDartLeg(panel: Panel, dart: string, split: string): Panel {
  const [leg, cut] = [edgeOf(panel, dart), edgeOf(panel, split)];
  const whole = near(pathEnd(leg.path), pathStart(cut.path)) ? [...leg.path, ...cut.path] : [...cut.path, ...leg.path];
  return {
    ...panel,
    edges: panel.edges.flatMap((e) => (e === leg ? [] : e === cut ? [{ ...cut, path: whole }] : [e])),
  };
}

/** A dart within this of the cut is taken into it. */
const NEAR: Mm = 30;

function cutLine(panel: Panel, x: Mm): CutLine {
  const hem = edgeOf(panel, "hem");
  const hemAlong = pathAlongAtX(hem.path, x);
  if (hemAlong === null || hemAlong < 1 || hemAlong > pathLength(hem.path) - 1)
    throw new Refusal("out", say`A line ${Math.abs(x)} from the crease does not reach the hem.`);
  const bottom = pathAt(hem.path, hemAlong).point;
  const darts = panel.edges.filter((e) => e.role === "dart");
  const dart = darts.find((e) => {
    const [a, b] = [pathStart(e.path)[0], pathEnd(e.path)[0]];
    return Math.min(a, b) - NEAR < x && Math.max(a, b) + NEAR > x;
  });
  const legs = dart && panel.lines.find((l) => l.kind === "dart" && near(l.points[0], pathStart(dart.path)));
  if (dart && legs) {
    return dartCut(panel, dart, legs.points as readonly [Point, Point, Point], hem, hemAlong, bottom);
  }
  const waist = panel.edges.find((e) => e.role === "waist" && pathAlongAtX(e.path, x) !== null);
  const top = waist && pathAlongAtX(waist.path, x);
  if (!waist || top === null || top === undefined)
    throw new Refusal("out", say`A line ${Math.abs(x)} from the crease does not reach the waist.`);
  const start = pathAt(waist.path, top).point;
  return {
    from: { edge: waist.id, along: top },
    to: { edge: "hem", along: hemAlong },
    path: [line(start, bottom)],
    points: [start, bottom],
    dart: null,
    state: (state) => state,
  };
}

const near = (a: Point | undefined, b: Point): boolean =>
  a !== undefined && Math.hypot(a[0] - b[0], a[1] - b[1]) < 0.01;

/** The dart is cut out: its legs become the tops of both new edges, which stay equally long. */
function dartCut(
  panel: Panel,
  dart: Edge,
  [from, tip, to]: readonly [Point, Point, Point],
  hem: Edge,
  hemAlong: Mm,
  bottom: Point,
): CutLine {
  const open: Panel = {
    ...panel,
    edges: panel.edges.map((e) => (e === dart ? { ...e, role: "style", path: [line(from, tip), line(tip, to)] } : e)),
    lines: panel.lines.filter((l) => !(l.kind === "dart" && near(l.points[1], tip))),
  };
  const leg = pathLength([line(from, tip)]);
  // The dart rarely ends on the crease: the cut swings over to it and then runs down straight.
  const crotch = panel.landmarks.creaseCrotch?.[1] ?? tip[1] + 80;
  const onCrease: Point = [bottom[0], Math.max(tip[1] + 60, Math.min(crotch, bottom[1] - 60))];
  const down = pointUnit(pointSubtract(tip, pointBetween(from, to, 0.5)));
  const swing = curveByDirections(tip, down, onCrease, [0, 1]);
  const path: Path = onCrease[1] < bottom[1] - 1 ? [swing, line(onCrease, bottom)] : [line(tip, bottom)];
  return {
    from: { edge: dart.id, along: leg },
    to: { edge: hem.id, along: hemAlong },
    path,
    points: [from, tip, ...path.map((segment) => segmentEnd(segment))],
    dart: dart.id,
    state: (state) => ({ ...state, panels: state.panels.map((p) => (p === panel ? open : p)) }),
  };
}
