import { z } from "zod";
import { line, pathEnd, pathMap, pathSplit, pathStart, pointAdd, type Point, pathAlongAtX } from "../geometry";
import { landmarkOf, type Edge, type Panel, type PanelLine } from "../drafting";
import { quantity, type Mm } from "../units";
import { autoLengthSchema, paramOr } from "./auto";
import { recreased, shownMoved, wholePanel } from "./legs";
import { MoveRefused, type Handle, type Move, type Shown } from "./move";

const schema = z.strictObject({
  gap: autoLengthSchema.optional().describe("Opened from waist to hem, per panel; negative lays it over."),
  panels: z.enum(["both", "front", "back"]).optional().describe("Which panels are opened."),
});

/** A slash keeps this far from a dart's legs. */
const CLEAR_OF_DART: Mm = 12;

interface Opened {
  readonly panel: Panel;
  readonly shown: Shown;
  readonly handle: Handle;
}

/** Slashes from waist to hem and moves the side part out along the level: the same gap at both ends. */
export const fullSpread: Move<z.infer<typeof schema>> = {
  id: "full-spread",
  label: "Open from waist to hem",
  note: "Slashes the panel along the crease from waist to hem and moves the side part out by the same amount all the way.",
  schema,
  redraws: false,
  apply(state, params, context) {
    const gap = paramOr("full-spread", "gap", params.gap, context) ?? quantity(40, "the usual 40 a panel");
    if (gap.mm < -80 || gap.mm > 600)
      throw new MoveRefused("gap", "A panel opens 60 cm at the most, or is laid over by 8.", gap.mm > 0 ? 600 : -80);
    const which = params.panels ?? "both";
    const roots = which === "both" ? (["front", "back"] as const) : [which];
    const opened = (gap.mm === 0 ? [] : roots).map((root) =>
      openPanel(wholePanel(state, root, "panels", this.label, ["waist", "side", "hem", "inseam"]), gap.mm),
    );
    return {
      state: {
        ...state,
        panels: state.panels.map((panel) => opened.find((o) => o.panel.id === panel.id)?.panel ?? panel),
      },
      template:
        which === "both"
          ? "Slash front and back from waist to hem and open both by {gap}; waist and hem grow by {total} all round."
          : `Slash the ${which} from waist to hem and open it by {gap}; waist and hem grow by {total} all round.`,
      numbers: { gap, total: quantity(2 * opened.length * gap.mm, "both legs, every panel that is opened") },
      shown: opened.map((o) => o.shown),
      handles: opened.map((o) => o.handle),
    };
  },
};

/** Where the slash runs: the crease, or beside a dart that stands there. */
function slashX(panel: Panel, outward: 1 | -1): Mm {
  for (const dart of panel.edges.filter((e) => e.role === "dart")) {
    const ends = [pathStart(dart.path)[0] * outward, pathEnd(dart.path)[0] * outward].sort((a, b) => a - b);
    const [near, far] = ends as [Mm, Mm];
    if (near - CLEAR_OF_DART < 0 && far + CLEAR_OF_DART > 0) return outward * (far + CLEAR_OF_DART);
  }
  return 0;
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
    const at = isWaist && !beyond ? pathAlongAtX(edge.path, x) : edge.id === "hem" ? pathAlongAtX(edge.path, x) : null;
    if (isWaist && at !== null) {
      const [before, after] = pathSplit(edge.path, at);
      top = pathEnd(before);
      beyond = true;
      return { ...edge, path: [...before, line(top, move(top)), ...pathMap(after, move)] };
    }
    if (edge.id === "hem" && at !== null) {
      const [before, after] = pathSplit(edge.path, at);
      bottom = pathStart(after);
      return { ...edge, path: [...pathMap(before, move), line(move(bottom), bottom), ...after] };
    }
    return beyond && (isWaist || edge.id === "side") ? { ...edge, path: pathMap(edge.path, move) } : edge;
  });
  if (!top || !bottom) {
    throw new MoveRefused("gap", `The crease of the ${panel.name.toLowerCase()} does not run from waist to hem here.`);
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
    shown: shownMoved({ panel: panel.id, slashes: [[a, b]], wedges: [[a, move(a), move(b), b]], hinges: [] }, half),
    handle: {
      id: `${panel.id}-full-spread`,
      panel: panel.id,
      at: [move([x, 0])[0] - half, (a[1] + b[1]) / 2],
      axis: [outward, 0],
      param: "gap",
      clears: [],
      perMm: 1,
      value: gap,
      label: `${panel.id} opened`,
      reading: gap,
    },
  };
}
