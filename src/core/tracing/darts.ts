import type { Edge, EdgeRole, PanelLine } from "../pattern";
import { pathBetween, pathEnd, pathLength, pathNearest, pathStart, type Path, type Point } from "../geometry";
import { type Mm, type Words, say, count } from "../units";

/** A dart of a panel brought in: mouth, tip, mouth. */
export type DrawnDart = readonly [Point, Point, Point];

/** A dart whose mouths lie within this of an edge opens there. */
const NEAR: Mm = 40;
/** A dart whose mouth is no wider than a line is drawn is none; every other counts, or the edge is sewn too long by it. */
const LEAST_MOUTH: Mm = 0.3;

/** How the parts of an edge, and the darts that open on it, are called; the first of each bears the bare name. */
export interface DartedEdge {
  readonly role: EdgeRole;
  readonly id: string;
  readonly name: Words;
  readonly dartId: string;
  readonly dartName: string;
}

const numbered = (id: string, n: number, apart: string): string => (n === 1 ? id : `${id}${apart}${n}`);

/** The darts that open on none of these edges, and so are not taken in. */
export function dartsOffEdges(edges: readonly Path[], darts: readonly DrawnDart[]): readonly DrawnDart[] {
  const open = new Set(edges.flatMap((path) => mouthsOn(path, darts).map((m) => m.dart)));
  return darts.filter((dart) => !open.has(dart));
}

/** The mouths of darts on an edge, in its order; none within a millimetre of its ends, or of one before it. */
function mouthsOn(path: Path, darts: readonly DrawnDart[]) {
  const end = pathLength(path) - 1;
  const near = darts
    .map((dart) => {
      const [a, b] = [pathNearest(path, dart[0]), pathNearest(path, dart[2])];
      const [from, to] = a.along < b.along ? [a, b] : [b, a];
      return { dart, from: from.along, to: to.along, off: Math.max(a.distance, b.distance) };
    })
    .filter((m) => m.off < NEAR && m.to - m.from > LEAST_MOUTH)
    .sort((a, b) => a.from - b.from);
  let at = 0;
  return near.filter(({ from, to }) => {
    if (from <= at + 1 || to >= end) return false;
    at = to;
    return true;
  });
}

/** Parts an edge at the mouths of the darts that open on it, so that its sewn length does not count them. */
export function partedAtDarts(
  path: Path,
  darts: readonly DrawnDart[],
  { role, id, name, dartId, dartName }: DartedEdge,
): { readonly edges: readonly Edge[]; readonly lines: readonly PanelLine[] } {
  const mouths = mouthsOn(path, darts);
  const edges: Edge[] = [];
  const lines: PanelLine[] = [];
  let at = 0;
  const push = (to: Mm): void => {
    const n = edges.filter((e) => e.role === role).length + 1;
    edges.push({ id: numbered(id, n, "-"), role, name, path: pathBetween(path, at, to) });
  };
  mouths.forEach(({ from, to, dart: [, tip] }, i) => {
    push(from);
    const mouth = pathBetween(path, from, to);
    edges.push({
      id: numbered(dartId, i + 1, "-"),
      role: "dart",
      name: mouths.length === 1 ? dartName : say`${dartName} ${count(i + 1)}`,
      path: mouth,
    });
    lines.push({ kind: "dart", points: [pathStart(mouth), tip, pathEnd(mouth)] });
    at = to;
  });
  push(pathLength(path));
  return { edges, lines };
}
