import { length, choice } from "../params";
import { askedLength, defineMove } from "./define";
import {
  halvesOf,
  landmarkOf,
  rimLength,
  type Edge,
  type Panel,
  type PanelLine,
  type Drawing,
  drawingOn,
  drawingMoved,
} from "../pattern";
import {
  curveByDirections,
  line,
  pathAlongAtX,
  pathAt,
  pathBetween,
  pathEnd,
  pathEndTangent,
  pathLength,
  pathMap,
  pathSplit,
  pathStart,
  pathStartTangent,
  pointAdd,
  type Path,
  type Point,
} from "../geometry";
import { quantity, type Mm, say, Refusal, inside } from "../units";
import { recreased, refuseSewnWaist, wholePanel } from "./legs";
import { type Handle } from "./move";

const PARAMS = {
  gap: length("Opened from waist to hem, per panel; negative lays it over.", {
    takesCloth: true,
    label: "Opened, each panel",
    shown: "gap",
    usual: { mm: 40, where: "a panel" },
    tried: [-70, 300],
  }),
  panels: choice("Which panels are opened.", {
    label: "On",
    options: [
      ["both", "front and back"],
      ["front", "the front"],
      ["back", "the back"],
    ],
  }),
};

/** A slash keeps this far from a dart's legs. */
const CLEAR_OF_DART: Mm = 12;

interface Opened {
  readonly panel: Panel;
  readonly shown: Drawing;
  readonly handle: Handle;
}

/** Slashes from waist to hem and moves the side part out along the level: the same gap at both ends. */
export const fullSpread = defineMove({
  id: "full-spread",
  label: "Open from waist to hem",
  note: "Slashes the panel along the crease from waist to hem and moves the side part out by the same amount all the way.",
  params: PARAMS,
  redraws: false,
  widensHem: true,
  apply(state, params, context) {
    const gap = askedLength("full-spread", PARAMS, "gap", params, context);
    if (gap.mm < -80 || gap.mm > 600)
      throw new Refusal(
        "gap",
        say`A panel opens ${600} at the most, or is laid over by ${80}.`,
        gap.mm > 0 ? { most: 600 } : { least: -80 },
      );
    const which = params.panels ?? "both";
    const roots = which === "both" ? (["front", "back"] as const) : [which];
    const opened = (gap.mm === 0 ? [] : roots).map((root) => {
      const panel = wholePanel(state, root, "panels", this.label, ["waist", "side", "hem", "inseam"]);
      refuseSewnWaist(state, panel, "gap", this.label);
      return openPanel(panel, gap.mm);
    });
    const panels = state.panels.map((panel) => opened.find((o) => o.panel.id === panel.id)?.panel ?? panel);
    const waist = (of: readonly Panel[]): Mm => of.reduce((sum, p) => sum + halvesOf(p) * rimLength(p, "waist"), 0);
    return {
      state: { ...state, panels },
      numbers: {
        gap,
        total: quantity(2 * opened.length * gap.mm, "both legs, every panel that is opened"),
        ...(gap.mm < 0 && {
          over: quantity(-gap.mm, "laid over"),
          lost: quantity(-2 * opened.length * gap.mm, "both legs, every panel that is laid over"),
          waistLost: quantity(waist(state.panels) - waist(panels), "sewn waist before less after, its ends trued"),
        }),
      },
      shown: opened.map((o) => o.shown),
      handles: opened.map((o) => o.handle),
    };
  },
  says({ params: { panels = "both" }, numbers: { over } }) {
    const where = panels === "both" ? "front and back" : say`the ${panels}`;
    return over
      ? say`Slash ${where} from waist to hem and lay each over by {over}; the hem loses {lost} all round, the waist {waistLost}.`
      : say`Slash ${where} from waist to hem and open each by {gap}; waist and hem grow by {total} all round.`;
  },
});

/** Where the slash runs: the crease, or beside a dart that stands there. */
function slashX(panel: Panel, outward: 1 | -1): Mm {
  for (const dart of panel.edges.filter((e) => e.role === "dart")) {
    const ends = [pathStart(dart.path)[0] * outward, pathEnd(dart.path)[0] * outward].sort((a, b) => a - b);
    const [near, far] = ends as [Mm, Mm];
    if (near - CLEAR_OF_DART < 0 && far + CLEAR_OF_DART > 0) return outward * (far + CLEAR_OF_DART);
  }
  return 0;
}

/** Where an edge is laid over itself its ends are joined by a fair curve from this far on both sides. */
const FAIRED: Mm = 12;
/** An edge goes on at least this far beyond what is laid over. */
const LEAST_ROOM: Mm = 5;

/**
 * An edge parted at a place: what lies to the side is moved out and the gap bridged along the level, or, moved in, laid
 * over what it comes to lie on, which is taken out, and both ends brought together fairly. `sideLast` says that the
 * edge runs toward the side, `opens` which of the two is asked.
 */
function parted(path: Path, at: Mm, by: Point, opens: boolean, sideLast: boolean): Path {
  const place = pathAt(path, at).point;
  const move = (p: Point): Point => pointAdd(p, by);
  if (opens) {
    const [before, after] = pathSplit(path, at);
    return sideLast
      ? [...before, line(place, move(place)), ...pathMap(after, move)]
      : [...pathMap(before, move), line(move(place), place), ...after];
  }
  const taken = pathAlongAtX(path, place[0] - by[0]);
  const [low, high] = sideLast ? [at, taken ?? -1] : [taken ?? -1, at];
  const room = Math.min(low, pathLength(path) - high);
  if (taken === null || room < LEAST_ROOM) {
    throw new Refusal(
      "gap",
      say`Beside the crease there is no room to lay ${Math.abs(by[0])} over: a dart or the end of the edge stands there.`,
    );
  }
  const reach = Math.min(FAIRED, 0.6 * room);
  const [first, last] = [pathBetween(path, 0, low - reach), pathBetween(path, high + reach, pathLength(path))];
  const [before, after] = sideLast ? [first, pathMap(last, move)] : [pathMap(first, move), last];
  const joining = curveByDirections(pathEnd(before), pathEndTangent(before), pathStart(after), pathStartTangent(after));
  return [...before, joining, ...after];
}

function openPanel(panel: Panel, gap: Mm): Opened {
  const outward = Math.sign(landmarkOf(panel, "hipSide")[0]) as 1 | -1;
  const by: Point = [outward * gap, 0];
  const move = (p: Point): Point => pointAdd(p, by);
  const x = slashX(panel, outward);
  let beyond = false;
  let [top, bottom]: [Point | null, Point | null] = [null, null];
  const edges = panel.edges.map((edge): Edge => {
    const isWaist = edge.role === "waist" || edge.role === "dart";
    const at =
      isWaist && !beyond ? pathAlongAtX(edge.path, x) : edge.role === "hem" ? pathAlongAtX(edge.path, x) : null;
    if (isWaist && at !== null) {
      top = pathAt(edge.path, at).point;
      beyond = true;
      return { ...edge, path: parted(edge.path, at, by, gap > 0, true) };
    }
    if (edge.role === "hem" && at !== null) {
      bottom = pathAt(edge.path, at).point;
      return { ...edge, path: parted(edge.path, at, by, gap > 0, false) };
    }
    return beyond && (isWaist || edge.role === "side") ? { ...edge, path: pathMap(edge.path, move) } : edge;
  });
  if (!top || !bottom) {
    throw new Refusal("gap", say`The crease of the ${inside(panel.name)} does not run from waist to hem here.`);
  }
  const isBeyond = (p: Point): boolean => (p[0] - x) * outward > 1e-6;
  const stretched = (l: PanelLine): PanelLine => ({
    ...l,
    points: l.kind === "grain" || l.kind === "crease" ? l.points : l.points.map((p) => (isBeyond(p) ? move(p) : p)),
  });
  const landmarks = Object.fromEntries(
    Object.entries(panel.landmarks).map(([name, p]) => [name, isBeyond(p) ? move(p) : p]),
  );
  const opened: Panel = { ...panel, edges, landmarks, lines: panel.lines.map(stretched) };
  const [a, b]: readonly [Point, Point] = [top, bottom];
  const half = (outward * gap) / 2;
  return {
    panel: recreased(opened, half),
    shown: drawingMoved(drawingOn(panel.id, { slashes: [[a, b]], wedges: [[a, move(a), move(b), b]] }), ([x, y]) => [
      x - half,
      y,
    ]),
    handle: {
      id: `${panel.id}-full-spread`,
      panel: panel.id,
      at: [move([x, 0])[0] - half, (a[1] + b[1]) / 2],
      axis: [outward, 0],
      param: "gap",
      clears: [],
      // Half of the gap goes to each side of the crease, which halves the leg again.
      perMm: 2,
      value: gap,
      label: say`${panel.id} opened`,
      reading: gap,
    },
  };
}
