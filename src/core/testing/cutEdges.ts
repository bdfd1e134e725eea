import type { Derived } from "../derive";
import type { EdgeRef, Panel } from "../pattern";
import { chordsOf, type Pt } from "./outside";

/**
 * The cut lines of a garment looked at from outside: the two sides of every seam laid on each other stretch by stretch,
 * what becomes of every edge, and marks that do not lie on a boundary. Measured on chords and by rays, by nothing the
 * engine measures with. Millimetres.
 */

/** Places looked at along a seam, evenly. */
const PLACES = 40;
/** Both sides of a seam are equally wide within this. */
const EQUAL = 1;
/** A mark may lie so far off the boundary. */
const OFF = 0.1;

interface Walked {
  readonly panel: Panel;
  /** The whole edge, and the stretch of it that is walked, by arc length in the edge's own direction. */
  readonly edge: string;
  readonly run: readonly Pt[];
  readonly from: number;
  readonly to: number;
  readonly reversed: boolean;
  readonly out: number;
  readonly cutLine: readonly Pt[];
  readonly surplus: number;
  readonly corners: readonly { readonly at: number; readonly reach: number }[];
}

const apart = (a: Pt, b: Pt): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
const lengthOf = (run: readonly Pt[]): number =>
  run.reduce((sum, p, i) => (i === 0 ? 0 : sum + apart(p, run[i - 1] as Pt)), 0);

/** The place at an arc length of a run of chords, and the direction there. */
function placeOn(run: readonly Pt[], at: number): { readonly p: Pt; readonly way: Pt } {
  let rest = Math.max(0, at);
  for (let i = 1; i < run.length; i++) {
    const [a, b] = [run[i - 1] as Pt, run[i] as Pt];
    const d = apart(a, b);
    if (d > 0 && (rest <= d || i === run.length - 1)) {
      const way: Pt = [(b[0] - a[0]) / d, (b[1] - a[1]) / d];
      const t = Math.min(rest, d);
      return { p: [a[0] + way[0] * t, a[1] + way[1] * t], way };
    }
    rest -= d;
  }
  return { p: run[0] as Pt, way: [1, 0] };
}

const signedArea = (ring: readonly Pt[]): number =>
  ring.reduce((sum, [x, y], i) => {
    const [u, v] = ring[(i + 1) % ring.length] as Pt;
    return sum + x * v - u * y;
  }, 0) / 2;

/** How far a ray runs before it meets a ring; null where it never does. */
function rayTo(ring: readonly Pt[], p: Pt, way: Pt): number | null {
  let best: number | null = null;
  for (let i = 0; i < ring.length; i++) {
    const [a, b] = [ring[i] as Pt, ring[(i + 1) % ring.length] as Pt];
    const [ex, ey] = [b[0] - a[0], b[1] - a[1]];
    const det = way[0] * -ey + way[1] * ex;
    if (Math.abs(det) < 1e-12) continue;
    const [dx, dy] = [a[0] - p[0], a[1] - p[1]];
    const t = (dx * -ey + dy * ex) / det;
    const u = (way[0] * dy - way[1] * dx) / det;
    if (t > -1e-6 && u > -1e-9 && u < 1 + 1e-9 && (best === null || t < best)) best = Math.max(0, t);
  }
  return best;
}

const toRing = (ring: readonly Pt[], p: Pt): number =>
  Math.min(
    ...ring.map((a, i) => {
      const b = ring[(i + 1) % ring.length] as Pt;
      const size = (b[0] - a[0]) ** 2 + (b[1] - a[1]) ** 2;
      const t = size === 0 ? 0 : ((p[0] - a[0]) * (b[0] - a[0]) + (p[1] - a[1]) * (b[1] - a[1])) / size;
      const c = Math.min(1, Math.max(0, t));
      return Math.hypot(a[0] + c * (b[0] - a[0]) - p[0], a[1] + c * (b[1] - a[1]) - p[1]);
    }),
  );

/** A turn of the outline at an edge's end below this is no corner. */
const CORNER = (8 * Math.PI) / 180;

function walksOf(derived: Derived, refs: readonly EdgeRef[]): readonly Walked[] {
  return refs.flatMap(({ panel: id, edge, reversed, part }) => {
    const panel = derived.sewn.find((p) => p.id === id);
    const path = panel?.edges.find((e) => e.id === edge)?.path;
    const piece = derived.pieces.find((p) => p.panel.id === id);
    if (!panel || !path || !piece) return [];
    const run = chordsOf(path, 60);
    const [from, to] = part ?? [0, lengthOf(run)];
    const out = Math.sign(signedArea(panel.edges.flatMap((e) => chordsOf(e.path).slice(0, -1))));
    const own = piece.edges.filter((e) => e.edge === edge);
    const surplus = Math.max(0, ...own.map((e) => e.surplus ?? 0));
    const stated = surplus + Math.max(...own.map((e) => Math.max(e.allowance, e.allowanceEnd ?? 0)));
    const corners = cornersOf(panel, edge, run, out, stated);
    return [{ panel, edge, run, from, to, reversed, out, cutLine: piece.cutLine, surplus, corners }];
  });
}

/** Lengths along an edge at which its outline has a corner, with how far a hollow one eats the allowance. */
function cornersOf(
  panel: Panel,
  edge: string,
  run: readonly Pt[],
  turning: number,
  allowance: number,
): Walked["corners"] {
  const n = panel.edges.length;
  const i = panel.edges.findIndex((e) => e.id === edge);
  const whole = lengthOf(run);
  const found: { at: number; reach: number }[] = [];
  const add = (at: number, before: Pt, after: Pt): void => {
    const turn = Math.atan2(before[0] * after[1] - before[1] * after[0], before[0] * after[0] + before[1] * after[1]);
    if (Math.abs(turn) < CORNER) return;
    const hollow = turn * turning < 0 ? allowance / Math.tan((Math.PI - Math.abs(turn)) / 2) : 0;
    found.push({ at, reach: Math.max(allowance, hollow * 1.2) });
  };
  const prev = chordsOf((panel.edges[(i + n - 1) % n] as Panel["edges"][number]).path);
  const next = chordsOf((panel.edges[(i + 1) % n] as Panel["edges"][number]).path);
  add(0, placeOn(prev, lengthOf(prev)).way, placeOn(run, 0).way);
  add(whole, placeOn(run, whole).way, placeOn(next, 0).way);
  let reached = 0;
  for (let k = 1; k + 1 < run.length; k++) {
    reached += apart(run[k] as Pt, run[k - 1] as Pt);
    add(reached, placeOn([run[k - 1] as Pt, run[k] as Pt], 0).way, placeOn([run[k] as Pt, run[k + 1] as Pt], 0).way);
  }
  return found;
}

interface Measured {
  readonly width: number;
  readonly nearCorner: boolean;
}

function measureAt(walks: readonly Walked[], at: number): Measured | null {
  let rest = at;
  for (const [i, w] of walks.entries()) {
    const long = w.to - w.from;
    if (rest > long + 1e-6 && i < walks.length - 1) {
      rest -= long;
      continue;
    }
    const along = w.reversed ? w.to - Math.min(rest, long) : w.from + Math.min(rest, long);
    const { p, way } = placeOn(w.run, along);
    const width = rayTo(w.cutLine, p, [way[1] * w.out, -way[0] * w.out]);
    if (width === null) return { width: NaN, nearCorner: false };
    return { width: width - w.surplus, nearCorner: w.corners.some((c) => Math.abs(c.at - along) <= c.reach + 0.5) };
  }
  return null;
}

const edgeBy = (derived: Derived, ref: EdgeRef) =>
  derived.sewn.find((p) => p.id === ref.panel)?.edges.find((e) => e.id === ref.edge);

/** Seams whose two sides are not equally wide, away from corners; those a maker has set apart are left out. */
export function unequalAllowances(derived: Derived, typed: ReadonlySet<string> = new Set()): string[] {
  return derived.seams.flatMap((seam) => {
    if ([...seam.a, ...seam.b].some((key) => typed.has(key))) return [];
    const apart = [...seam.walkA, ...seam.walkB].some((ref) => edgeBy(derived, ref)?.beyond !== undefined);
    if (apart) return [];
    const [a, b] = [walksOf(derived, seam.walkA), walksOf(derived, seam.walkB)];
    const [la, lb] = [a, b].map((ws) => ws.reduce((s, w) => s + w.to - w.from, 0)) as [number, number];
    let worst: { off: number; at: number; a: number; b: number } | null = null;
    for (let i = 0; i <= PLACES; i++) {
      const share = (i + 0.5) / (PLACES + 1);
      const [ma, mb] = [measureAt(a, share * la), measureAt(b, share * lb)];
      if (!ma || !mb || (ma.nearCorner && mb.nearCorner)) continue;
      // Within one allowance of a corner the cut ends cover each other: what runs on beyond the seam's width does no harm.
      const off = ma.nearCorner
        ? mb.width - ma.width
        : mb.nearCorner
          ? ma.width - mb.width
          : Math.abs(ma.width - mb.width);
      if (!(off <= EQUAL) && (!worst || !(off <= worst.off))) worst = { off, at: share * la, a: ma.width, b: mb.width };
    }
    return worst
      ? [
          `${seam.id} (${seam.a.join()} | ${seam.b.join()}) at ${worst.at.toFixed(0)} of ${la.toFixed(0)}: ${worst.a.toFixed(1)} | ${worst.b.toFixed(1)}`,
        ]
      : [];
  });
}

/** Marks that end off the boundary: notches off seam or cut line, lines that should end on the outline and do not. */
export function marksOff(derived: Derived): string[] {
  return derived.pieces.flatMap((piece) => {
    const ring = piece.panel.edges.flatMap((e) => chordsOf(e.path, 120).slice(0, -1));
    const notches = piece.notches.flatMap(({ at, outer, pairs }) => {
      const [inner, cut] = [toRing(ring, at), toRing(piece.cutLine, outer)];
      return inner > OFF || cut > OFF
        ? [`${piece.id} notch ${pairs}: ${inner.toFixed(2)} off the seam, ${cut.toFixed(2)} off the cut line`]
        : [];
    });
    return notches;
  });
}

/** Edges of pieces of which nothing becomes, by what the pieces say and by the seams. */
export function withoutFate(derived: Derived): string[] {
  const sewn = new Set(derived.seams.flatMap((s) => [...s.a, ...s.b]));
  return derived.pieces.flatMap((piece) =>
    piece.edges
      .filter(
        (e) => e.fate === null || (e.fate === "sewn" && e.role !== "dart" && !sewn.has(`${piece.panel.id}.${e.edge}`)),
      )
      .map((e) => `${piece.id} ${e.edge}`),
  );
}
