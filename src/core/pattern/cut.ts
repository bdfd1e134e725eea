import { afterCut, type CutPart } from "./identity";
import { panelOutline, type Edge, type Panel, type PanelLine } from "./panel";
import { against, along, panelById, type EdgeRef, type Join, type Pattern } from "./joins";
import {
  boxOf,
  chordsCross,
  distanceToOutline,
  pathBetween,
  pathLength,
  pathReverse,
  pointBetween,
  pointDistance,
  polygonSections,
  type Path,
  type Point,
} from "../geometry";
import type { Mm, Words } from "../units";

/** A place on a panel's outline: an edge, and the arc length from its start. */
export interface Place {
  readonly edge: string;
  readonly along: Mm;
}

/** A cut across one panel, from edge to edge, what makes it, and what the two parts and the new seam are called. */
export interface PanelCut {
  /** The move or finish that cuts. */
  readonly by: string;
  readonly from: Place;
  readonly to: Place;
  /** Runs from the first place to the second, inside the panel. */
  readonly path: Path;
  /** The part that lies between the places in outline order, and the other. */
  readonly between: NewPart;
  readonly rest: NewPart;
  readonly seam: { readonly id: string; readonly label: Words };
  /** Id and name of the new edge on both parts. */
  readonly edge: { readonly id: string; readonly name: Words };
}

export interface PartName {
  readonly id: string;
  readonly name: Words;
}

/** What a part of the panel that is cut is called, and which of the two it is. */
export interface NewPart extends PartName {
  readonly part: CutPart;
}

interface CutEdge {
  readonly source: string;
  readonly edge: Edge;
}

/** The outline from one place on to another, as edges that remember which edge they were. */
function run(panel: Panel, from: Place, to: Place): CutEdge[] {
  const { edges } = panel;
  const index = (place: Place): number => edges.findIndex((e) => e.id === place.edge);
  const [first, last] = [index(from), index(to)];
  const parts: CutEdge[] = [];
  const push = (edge: Edge, a: Mm, b: Mm): void => {
    if (b - a > 1e-6) parts.push({ source: edge.id, edge: { ...edge, path: pathBetween(edge.path, a, b) } });
  };
  if (first === last && from.along < to.along) {
    push(edges[first] as Edge, from.along, to.along);
    return parts;
  }
  const at = (i: number): Edge => edges[i % edges.length] as Edge;
  push(at(first), from.along, pathLength(at(first).path));
  const end = last > first ? last : last + edges.length;
  for (let i = first + 1; i < end; i++) push(at(i), 0, pathLength(at(i).path));
  push(at(last), 0, to.along);
  return parts;
}

/** Inside the outline, or within half a millimetre of it (or of what is stated). */
export function onPanel(outline: readonly Point[], p: Point, near: Mm = 0.5): boolean {
  const inside = polygonSections(outline, p[1]).some(([left, right]) => p[0] >= left - 0.5 && p[0] <= right + 0.5);
  if (inside) return true;
  return distanceToOutline(p, outline) < near;
}

const polylineLength = (points: readonly Point[]): Mm =>
  points.slice(1).reduce((sum, p, i) => sum + pointDistance(points[i] as Point, p), 0);

/** The stretches of an inner line that lie on a panel. */
function clipped(line: PanelLine, outline: readonly Point[]): PanelLine[] {
  const pieces: Point[][] = [];
  let current: Point[] = [];
  for (let i = 1; i < line.points.length; i++) {
    const [a, b] = [line.points[i - 1] as Point, line.points[i] as Point];
    const cuts = outline
      .map((p, j) => chordsCross(a, b, p, outline[(j + 1) % outline.length] as Point))
      .filter((p): p is Point => p !== null)
      .map((p) => pointDistance(a, p) / (pointDistance(a, b) || 1));
    const marks = [0, ...cuts.sort((x, y) => x - y), 1];
    for (let k = 1; k < marks.length; k++) {
      const [from, to] = [marks[k - 1] as number, marks[k] as number];
      if (to - from < 1e-9) continue;
      const inside = onPanel(outline, pointBetween(a, b, (from + to) / 2));
      if (!inside) {
        if (current.length > 1) pieces.push(current);
        current = [];
        continue;
      }
      if (current.length === 0) current.push(pointBetween(a, b, from));
      current.push(pointBetween(a, b, to));
    }
  }
  if (current.length > 1) pieces.push(current);
  return pieces.filter((points) => polylineLength(points) > 2).map((points) => ({ ...line, points }));
}

/** The panel with its fold lines ended on its outline: a hem that is hollow may have left them behind. */
export function withFoldsWithin(panel: Panel): Panel {
  if (!panel.lines.some((l) => FOLDED.has(l.kind))) return panel;
  const outline = panelOutline(panel);
  const longest = (pieces: readonly PanelLine[]): readonly PanelLine[] =>
    pieces.length < 2
      ? pieces
      : [pieces.reduce((a, b) => (polylineLength(b.points) > polylineLength(a.points) ? b : a))];
  return {
    ...panel,
    lines: panel.lines.flatMap((l) => (FOLDED.has(l.kind) ? longest(clipped(l, outline)) : [l])),
  };
}

const FOLDED: ReadonlySet<PanelLine["kind"]> = new Set(["pleat", "fold"]);

/** Shares of a panel's width at which an upright grain line is tried, from the middle out. */
const ACROSS: readonly number[] = [0.5, 0.42, 0.58, 0.34, 0.66, 0.26, 0.74, 0.18, 0.82, 0.1, 0.9];
/** A grain line nearer the middle is taken where another is not longer by more than this share. */
const LONGER = 1.25;

/** An upright grain line within a panel, near its middle and long, where none of the drawn one is left. */
export function middleGrain(outline: readonly Point[]): PanelLine {
  const { left, right } = boxOf(outline);
  const upright = outline.map(([x, y]): Point => [y, x]);
  const runs = ACROSS.map((share) => {
    const x = left + (right - left) * share;
    const [from, to] = polygonSections(upright, x).reduce<readonly [Mm, Mm]>(
      (best, s) => (s[1] - s[0] > best[1] - best[0] ? s : best),
      [0, 0],
    );
    return { x, from, to };
  });
  const { x, from, to } = runs.reduce((a, b) => (b.to - b.from > LONGER * (a.to - a.from) ? b : a));
  const inset = (to - from) * 0.18;
  return {
    kind: "grain",
    points: [
      [x, from + inset],
      [x, to - inset],
    ],
  };
}

/** A landmark may lie beside an edge that was redrawn a little since. */
const MARK_NEAR: Mm = 4;

/** Inner lines and landmarks of a part that has a new outline. */
export function withInner(part: Panel, source: Panel): Panel {
  const outline = panelOutline(part);
  // A dart that touches the cut is still one dart; one that is cut through is no dart any more.
  const lines = source.lines.flatMap((line): readonly PanelLine[] => {
    if (line.kind !== "dart") return clipped(line, outline);
    return line.points.every((p) => onPanel(outline, p)) ? [line] : [];
  });
  const grain = lines.find((line) => line.kind === "grain");
  const longEnough = grain && pointDistance(grain.points[0] as Point, grain.points.at(-1) as Point) >= 50;
  return {
    ...part,
    lines: longEnough ? lines : [...lines.filter((line) => line.kind !== "grain"), middleGrain(outline)],
    landmarks: Object.fromEntries(Object.entries(source.landmarks).filter(([, p]) => onPanel(outline, p, MARK_NEAR))),
  };
}

/**
 * Cuts one panel in two along a path. Both parts stay in their frame; every seam the panel was part of now names the
 * parts, and the new edges, of role `style`, are joined by a seam of their own. Edges lose no length.
 */
export function cutPanel<S extends Pattern>(state: S, panelId: string, cut: PanelCut): S {
  const panel = panelById(state.panels, panelId);
  const between = run(panel, cut.from, cut.to);
  const rest = run(panel, cut.to, cut.from);
  const part = ({ id, name, part: which }: NewPart, runEdges: readonly CutEdge[], closing: Path): Panel => {
    const is = afterCut(panel.is, { from: panelId, by: cut.by, part: which });
    const used = new Map<string, number>();
    const edges = runEdges.map(({ edge }): Edge => {
      const n = (used.get(edge.id) ?? 0) + 1;
      used.set(edge.id, n);
      return n === 1 ? edge : { ...edge, id: `${edge.id}-${n}` };
    });
    const style: Edge = { id: cut.edge.id, role: "style", name: cut.edge.name, path: closing, by: cut.by };
    return withInner({ ...panel, id, name, is, edges: fromCentre([...edges, style]) }, panel);
  };
  const inner = part(cut.between, between, pathReverse(cut.path));
  const outer = part(cut.rest, rest, cut.path);
  const refs = new Map(panel.edges.map((edge) => [edge.id, partRefs(edge.id, cut, between, rest)]));
  const joins = state.joins.map((join) => renamed(join, panelId, refs));
  const seam: Join = {
    ...cut.seam,
    kind: "cut",
    by: cut.by,
    how: "equal",
    leg: panel.half,
    a: [against(inner.id, cut.edge.id)],
    b: [along(outer.id, cut.edge.id)],
  };
  return {
    ...state,
    panels: state.panels.flatMap((p) => (p === panel ? [inner, outer] : [p])),
    joins: [...joins, seam],
  };
}

/** Edges so turned that the outline starts with its waist, where it has one: at the centre, as it was drawn. */
function fromCentre(edges: readonly Edge[]): readonly Edge[] {
  const isRim = (edge: Edge | undefined): boolean => edge?.role === "waist" || edge?.role === "dart";
  const first = edges.findIndex((edge, i) => isRim(edge) && !isRim(edges[(i + edges.length - 1) % edges.length]));
  return first <= 0 ? edges : [...edges.slice(first), ...edges.slice(0, first)];
}

/** What an edge of the uncut panel has become, in its own direction. */
function partRefs(edge: string, cut: PanelCut, between: readonly CutEdge[], rest: readonly CutEdge[]): EdgeRef[] {
  const of = (name: PartName, list: readonly CutEdge[]): EdgeRef[] =>
    list.filter((e) => e.source === edge).map((_, i) => along(name.id, i === 0 ? edge : `${edge}-${i + 1}`));
  const [inner, outer] = [of(cut.between, between), of(cut.rest, rest)];
  // Walking the edge, the part before the first place comes first; an edge that holds both places returns to it.
  if (cut.from.edge === edge && cut.to.edge === edge && cut.from.along < cut.to.along) {
    const [tail, head] = [outer[0], outer[1]];
    return [head, ...inner, tail].filter((ref): ref is EdgeRef => ref !== undefined);
  }
  return cut.to.edge === edge ? [...inner, ...outer] : [...outer, ...inner];
}

/** The join with every mention of a panel's edges replaced by what they have become. */
export function renamed(join: Join, panelId: string, refs: ReadonlyMap<string, readonly EdgeRef[]>): Join {
  const side = (list: readonly EdgeRef[]): EdgeRef[] =>
    list.flatMap((ref) => {
      if (ref.panel !== panelId) return [ref];
      const found = refs.get(ref.edge) ?? [];
      // A stretch of an edge that was not cut stays that stretch.
      const [only] = found;
      const parts = ref.part && only && found.length === 1 ? [{ ...only, part: ref.part }] : found;
      return ref.reversed ? [...parts].reverse().map((p) => ({ ...p, reversed: !p.reversed })) : parts;
    });
  return { ...join, a: side(join.a), b: side(join.b) };
}
