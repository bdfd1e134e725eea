import { panelOutline, type Edge, type Panel } from "../pattern";
import { pathAt, pathLength, polygonArea, polygonClean, polygonUnfolded, type Point } from "../geometry";
import type { Mm } from "../units";
import type { OpensOn } from "./cutPlan";
import { joinRuns, mirroredEnd, offsetEdge, type WidthAt } from "./offset";

/** The allowance of one edge: its width along the edge, and whether it is a turn-up mirrored in the edge. */
export interface EdgeAllowance {
  readonly edge: Edge;
  readonly width: WidthAt;
  readonly widest: Mm;
  /** Of that, what is trimmed off. */
  readonly surplus: Mm;
  /** In no seam: what it has keeps it from fraying, and may be nothing. */
  readonly isFree: boolean;
  readonly mirrored: boolean;
  /** The opening along it, where that is what its width follows. */
  readonly opens?: OpensOn;
}

/**
 * The cut line of a panel: every edge offset by its own width, neighbours lengthened to meet, turn-ups mirrored.
 * Allowances are added here and nowhere else. `squared` corners do not stand out beyond the neighbour's allowance. Returns the closed outline, first point not repeated.
 */
export function cutLineOf(panel: Panel, allowances: readonly EdgeAllowance[], squared = false): Point[] {
  const outward: 1 | -1 = polygonArea(panelOutline(panel)) > 0 ? 1 : -1;
  const runs = allowances.map(({ edge, width }) => offsetEdge(edge.path, width, outward));
  const n = runs.length;
  const mirrorEnds = new Map<number, { before: Point[]; after: Point[] }>();
  allowances.forEach((allowance, i) => {
    if (!allowance.mirrored || allowance.widest <= 0) return;
    const { path } = allowance.edge;
    const [start, end] = [pathAt(path, 0), pathAt(path, pathLength(path))];
    const previous = runs[(i + n - 1) % n] as Point[];
    const following = [...(runs[(i + 1) % n] as Point[])].reverse();
    mirrorEnds.set(i, {
      before: mirroredEnd(previous, start.point, start.tangent, allowance.widest),
      after: mirroredEnd(following, end.point, end.tangent, allowance.widest),
    });
  });
  const outline: Point[] = [];
  // Every run is trimmed at both its corners; a mirrored run carries its own ends with it.
  const trimmed = runs.map((run) => [...run]);
  for (let i = 0; i < n; i++) {
    const next = (i + 1) % n;
    const [a, b] = [allowances[i] as EdgeAllowance, allowances[next] as EdgeAllowance];
    const corner = pathAt(b.edge.path, 0).point;
    const widest = Math.max(a.widest, b.widest);
    const afterMirror = mirrorEnds.get(i)?.after;
    const beforeMirror = mirrorEnds.get(next)?.before;
    if (beforeMirror) {
      const joined = joinRuns(beforeMirror, trimmed[next] as Point[], corner, widest, { ends: false });
      trimmed[i] = cutAt(trimmed[i] as Point[], beforeMirror[0] as Point);
      trimmed[next] = [...joined.a, ...joined.b.slice(1)];
    } else if (afterMirror) {
      const back = joinRuns(trimmed[i] as Point[], [...afterMirror].reverse(), corner, widest, { ends: false });
      trimmed[i] = [...back.a, ...back.b.slice(1)];
      trimmed[next] = cutAt([...(trimmed[next] as Point[])].reverse(), afterMirror[0] as Point).reverse();
    } else {
      const joined = joinRuns(trimmed[i] as Point[], trimmed[next] as Point[], corner, widest, { squared });
      trimmed[i] = joined.a;
      trimmed[next] = joined.b;
    }
  }
  for (const run of trimmed) for (const p of run) outline.push(p);
  const widest = Math.max(...allowances.map((a) => a.widest));
  return polygonUnfolded(polygonClean(outline, 1e-4), widest ** 2);
}

/** The run ended at `end`, which lies on it or on its continuation. */
function cutAt(run: readonly Point[], end: Point): Point[] {
  let nearest = run.length - 1;
  let least = Infinity;
  for (let i = Math.max(0, run.length - 400); i + 1 < run.length; i++) {
    const [p, q] = [run[i] as Point, run[i + 1] as Point];
    const size = (q[0] - p[0]) ** 2 + (q[1] - p[1]) ** 2;
    const t = size === 0 ? 0 : ((end[0] - p[0]) * (q[0] - p[0]) + (end[1] - p[1]) * (q[1] - p[1])) / size;
    const clamped = Math.min(1, Math.max(0, t));
    const away = Math.hypot(p[0] + (q[0] - p[0]) * clamped - end[0], p[1] + (q[1] - p[1]) * clamped - end[1]);
    if (away < least - 1e-9) [nearest, least] = [i, away];
  }
  return least < 1e-3 ? [...run.slice(0, nearest + 1), end] : [...run, end];
}
