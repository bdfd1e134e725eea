import {
  EDGE_ROLES,
  type AllowanceKind,
  type Becomes,
  type EdgeRole,
  type LineKind,
  type Material,
  type Rim,
} from "./roles";
import { type Identity, type Root } from "./identity";
import {
  distanceToChord,
  pathEnd,
  pathFlatten,
  pathLength,
  pathMap,
  pathStart,
  polygonArea,
  polygonClean,
  polygonSections,
  segmentRadius,
  type Path,
  type Point,
} from "../geometry";
import type { Mm, Radians, Words } from "../units";

/** One named stretch of an outline. Edges carry meaning: seams join them, allowances belong to them. */
export interface Edge {
  readonly id: string;
  readonly role: EdgeRole;
  readonly name: Words;
  readonly path: Path;
  /** The move or finish that made it; absent on edges of the draft. */
  readonly by?: string;
  /** The rim that a casing was cut on to. */
  readonly rim?: Rim;
  /** Cloth left on beyond the allowance, and what is written beside it: it is trimmed off, and is neither seam nor ease. */
  readonly surplus?: { readonly mm: Mm; readonly says: Words };
  /** Where on the body it lies, where its panel reaches from one side to the other. */
  readonly root?: Root;
  /** What is cut beyond it, where what made it says so: a turning, or nothing. Else its seam or its role does. */
  readonly beyond?: Mm;
  /** The allowance it takes where that is not what its role says. */
  readonly sewnAs?: AllowanceKind;
  /** What becomes of it where no seam takes it. */
  readonly becomes?: Becomes;
  /** The edge it lies under and is caught with: it is cut as wide beyond its line as that one. */
  readonly under?: { readonly panel: string; readonly edge: string };
}

/** A word written on a panel, where it says what lies there. */
export interface PanelWord {
  readonly text: Words;
  readonly at: Point;
}

/** A line drawn inside a panel. It belongs to the panel and travels with it. */
export interface PanelLine {
  readonly kind: LineKind;
  readonly points: readonly Point[];
}

/** An outline cut again from other cloth, and how it differs there, where it does. */
export interface AlsoCut {
  readonly material: Material;
  readonly count: number;
  readonly note?: string;
}

/** How a panel is cut from cloth. */
export interface Cutting {
  readonly material: Material;
  /** Physical pieces where they are not one for each leg, and whether it is drawn as half on a fold. */
  readonly pieces?: { readonly count: number; readonly onFold: boolean; readonly pairs?: boolean };
  /** The same outline cut again from other cloth. */
  readonly also?: readonly AlsoCut[];
  /** Allowance of all its sewn edges, or of those that a cut has made, where it is not what their role says. */
  readonly sewn?: { readonly all?: AllowanceKind; readonly style?: AllowanceKind };
}

/** How a panel is worn, where its outline alone does not tell. */
export interface Worn {
  /** Places that lie under another panel when the garment is worn: they add cloth, not girth. */
  readonly overlaps?: readonly (readonly Point[])[];
  /** A part cut as a piece of a ring has no levels in its own frame: where it hangs, and how it widens below. */
  readonly ring?: Ring;
  /** Where it is pleated or gathered in, what it was cut in place of: that fits the body, the rest hangs from it. */
  readonly inPlaceOf?: readonly (readonly Point[])[];
  /** What each of its pleats has opened where it is widest, and the level at which that has run out; null where it does not. */
  readonly pleats?: { readonly each: Mm; readonly from: Mm; readonly runOut: Mm | null };
  /** Buttons along a placket, and how far apart. */
  readonly buttons?: { readonly count: number; readonly apart: Mm };
  /**
   * A neck that hangs, its facing cut on: half its length, how far it hangs and the bust lies below the shoulder, the facing's
   * depth, and by how much the part above the chest was turned about the underarm.
   */
  readonly cowl?: {
    readonly edge: Mm;
    readonly drop: Mm;
    readonly bust: Mm;
    readonly facing: Mm;
    readonly turn: Radians;
  };
  /** Fronts that lap: the level from which they lie on each other, and by how much beyond the centre. */
  readonly lap?: { readonly from: Mm; readonly wide: Mm };
  /** Its waist comes to a point at the centre, as it was asked to. */
  readonly pointed?: true;
  /** Casings cut on to its rims. */
  readonly casings?: Readonly<Partial<Record<Rim, CutOn>>>;
}

/** The drawing of a panel: its outline and what lies inside it. */
export interface PanelShape {
  readonly edges: readonly Edge[];
  readonly landmarks: Readonly<Record<string, Point>>;
  readonly lines: readonly PanelLine[];
}

/**
 * A part of the pattern on its seam line, without allowances, in its own frame (x = 0 at the crease,
 * y = 0 at the natural waist). Edges run from the centre: waist, side, hem, inseam, crotch, each starting
 * where the one before ends, so that joined edges of front and back run the same way.
 */
export interface Panel extends PanelShape {
  readonly id: string;
  readonly name: Words;
  readonly is: Identity;
  readonly half: "both" | "left" | "right";
  readonly cutting: Cutting;
  readonly worn?: Worn;
  /** What a part says of itself besides its edges: where side and centre of the body meet it. */
  readonly words?: readonly PanelWord[];
}

/** A casing cut on to a rim: what it adds to the seams beside it, what of that is folded back, and the finished rim. */
export interface CutOn {
  /** Depth of its channel. */
  readonly channel: Mm;
  readonly added: Mm;
  readonly folded: Mm;
  readonly rim: Mm;
}

/** A ring's level below the waist where it is joined, its inner radius, depth, and the turn all its parts make. */
export interface Ring {
  readonly from: Mm;
  readonly radius: Mm;
  readonly depth: Mm;
  /** Of this part alone. */
  readonly turn: Radians;
  /** Waves of its outer edge, and how far they are cut back. */
  readonly points: number;
  readonly valley: Mm;
  /** It is drawn as half, on the fold: one leg wears it twice. */
  readonly isHalf?: boolean;
}

/** The edge with this id; throws when the panel has none. */
export function edgeOf(panel: Panel, id: string): Edge {
  const found = findEdge(panel, id);
  if (!found) throw new RangeError(`${panel.id} has no edge ${id}`);
  return found;
}

/** All edges with a role, in outline order. */
export function edgesWithRole(panel: Panel, role: EdgeRole): readonly Edge[] {
  return panel.edges.filter((edge) => edge.role === role);
}

/** Sum of the arc lengths of the edges with a role. */
export function roleLength(panel: Panel, role: EdgeRole): Mm {
  return edgesWithRole(panel, role).reduce((sum, edge) => sum + pathLength(edge.path), 0);
}

/** The edge with this id; undefined when the panel has none. */
export function findEdge(panel: Panel, id: string): Edge | undefined {
  return panel.edges.find((edge) => edge.id === id);
}

/** The rim that an edge is part of: the waist without its darts, the hem; a casing cut on to one is part of it. */
export const rimOf = (edge: Edge): Rim | null => edge.rim ?? EDGE_ROLES[edge.role].rim;

/** The edges that bound a panel above or below; cut-on casings included. */
export function rimEdges(panel: Panel, rim: Rim): readonly Edge[] {
  return panel.edges.filter((edge) => rimOf(edge) === rim);
}

/** Sum of the arc lengths of a rim as it is worn: what lies under another panel there is not counted. */
export function rimLength(panel: Panel, rim: Rim): Mm {
  const edges = rimEdges(panel, rim);
  const cased = panel.worn?.casings?.[rim];
  if (cased) return cased.rim;
  const times = panel.worn?.ring?.isHalf ? 2 : 1;
  const whole = times * edges.reduce((sum, edge) => sum + pathLength(edge.path), 0);
  const overlaps = panel.worn?.overlaps;
  if (!overlaps || rim === "waist" || edges.length === 0) return whole;
  const level = Math.max(...edges.map((edge) => pathStart(edge.path)[1])) - 2;
  return whole - overlaps.reduce((sum, o) => sum + sectionWidth(o, level), 0);
}

/** A landmark's place; throws when the panel has none of that name. */
export function landmarkOf(panel: Panel, name: string): Point {
  const found = panel.landmarks[name];
  if (!found) throw new RangeError(`${panel.id} has no landmark ${name}`);
  return found;
}

/** The whole outline as one closed run of segments, in edge order. */
export function panelPath(panel: Panel): Path {
  return panel.edges.flatMap((edge) => edge.path);
}

const outlines = new WeakMap<Panel, readonly Point[]>();

/** Flattened outline (0.05 mm), closed, first point not repeated, in edge order. Kept with the panel. */
export function panelOutline(panel: Panel): readonly Point[] {
  let outline = outlines.get(panel);
  if (!outline) {
    outline = polygonClean(pathFlatten(panelPath(panel)));
    outlines.set(panel, outline);
  }
  return outline;
}

/** Area on the seam line in square millimetres. */
export function panelArea(panel: Panel): number {
  return Math.abs(polygonArea(panelOutline(panel)));
}

/** The panel with every point passed through `move`. */
export function panelMap(panel: Panel, move: (p: Point) => Point): Panel {
  const { overlaps, inPlaceOf } = panel.worn ?? {};
  return {
    ...panel,
    edges: panel.edges.map((edge) => ({ ...edge, path: pathMap(edge.path, move) })),
    landmarks: Object.fromEntries(Object.entries(panel.landmarks).map(([name, p]) => [name, move(p)])),
    lines: panel.lines.map((l) => ({ ...l, points: l.points.map(move) })),
    ...(panel.words && { words: panel.words.map((word) => ({ ...word, at: move(word.at) })) }),
    ...((overlaps || inPlaceOf) && {
      worn: {
        ...panel.worn,
        ...(overlaps && { overlaps: overlaps.map((o) => o.map(move)) }),
        ...(inPlaceOf && { inPlaceOf: inPlaceOf.map((o) => o.map(move)) }),
      },
    }),
  };
}

/**
 * Width of a panel at a level as it is worn: all of it that lies on the horizontal, without what lies under another
 * panel. A part of a ring is as wide as its arc there.
 */
export function panelWidthAt(panel: Panel, y: Mm): Mm {
  const { ring, overlaps = [] } = panel.worn ?? {};
  if (ring) return y < ring.from || y > ring.from + ring.depth ? 0 : ring.turn * (ring.radius + y - ring.from);
  const under = overlaps.reduce((sum, o) => sum + sectionWidth(o, y), 0);
  return sectionWidth(panelOutline(panel), y) - under;
}

/**
 * Width of a panel at a level as it fits the body: pleats folded, and of fullness that is let in only what it took the
 * place of.
 */
export function fittedWidthAt(panel: Panel, y: Mm): Mm {
  const { inPlaceOf } = panel.worn ?? {};
  if (inPlaceOf) return inPlaceOf.reduce((sum, outline) => sum + sectionWidth(outline, y), 0);
  return panelWidthAt(panel, y) - pleatsAt(panel, y);
}

/** What the pleats of a panel have opened at a level. */
function pleatsAt(panel: Panel, y: Mm): Mm {
  const { pleats } = panel.worn ?? {};
  if (!pleats) return 0;
  return edgesWithRole(panel, "dart").length * pleats.each * openedAt(y, pleats.from, pleats.runOut);
}

/** Share of an opening that is left at a level, between where it is widest and where it runs out; all where it does not. */
export const openedAt = (y: Mm, from: Mm, runOut: Mm | null): number =>
  runOut === null ? 1 : Math.max(0, (runOut - y) / (runOut - from));

/** Width of a closed outline at a level: all of it that lies on the horizontal. */
export function sectionWidth(outline: readonly Point[], y: Mm): Mm {
  return polygonSections(outline, y).reduce((sum, [left, right]) => sum + right - left, 0);
}

/** True where a path leaves the straight line between its ends by less than half a millimetre. */
export function pathIsStraight(path: Path): boolean {
  const [a, b] = [pathStart(path), pathEnd(path)];
  return pathFlatten(path).every((p) => distanceToChord(p, a, b) < 0.5);
}

/** Smallest radius of curvature along a path in millimetres, read at 24 places a curve. */
export function smallestRadius(path: Path): Mm {
  let least = Infinity;
  for (const segment of path) {
    if (segment.kind === "line") continue;
    for (let i = 0; i <= 24; i++) least = Math.min(least, segmentRadius(segment, i / 24));
  }
  return least;
}

/** True when each edge starts where the one before ends (within 1e-6 mm). */
export function panelIsClosed(panel: Panel): boolean {
  return panel.edges.every((edge, i) => {
    const before = panel.edges[(i + panel.edges.length - 1) % panel.edges.length] as Edge;
    const [a, b] = [pathEnd(before.path), pathStart(edge.path)];
    return Math.hypot(a[0] - b[0], a[1] - b[1]) < 1e-6;
  });
}
