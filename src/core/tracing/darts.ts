import { phrase } from "../words";
import type { Edge, EdgeRole, PanelLine } from "../pattern";
import { pathBetween, pathEnd, pathLength, pathNearest, pathStart, type Path, type Point } from "../geometry";
import type { Mm } from "../units";

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
  readonly name: string;
  readonly dartId: string;
  readonly dartName: string;
}

const numbered = (id: string, n: number, apart: string): string => (n === 1 ? id : `${id}${apart}${n}`);

/** Parts an edge at the mouths of the darts that open on it, so that its sewn length does not count them. */
export function partedAtDarts(
  path: Path,
  darts: readonly DrawnDart[],
  { role, id, name, dartId, dartName }: DartedEdge,
): { readonly edges: readonly Edge[]; readonly lines: readonly PanelLine[] } {
  const mouths = darts
    .map((dart) => {
      const [a, b] = [pathNearest(path, dart[0]), pathNearest(path, dart[2])];
      const [from, to] = a.along < b.along ? [a, b] : [b, a];
      return { from: from.along, to: to.along, tip: dart[1], near: Math.max(a.distance, b.distance) < NEAR };
    })
    .filter((m) => m.near && m.to - m.from > LEAST_MOUTH)
    .sort((a, b) => a.from - b.from);
  const edges: Edge[] = [];
  const lines: PanelLine[] = [];
  let at = 0;
  const push = (to: Mm): void => {
    const n = edges.filter((e) => e.role === role).length + 1;
    edges.push({ id: numbered(id, n, "-"), role, name, path: pathBetween(path, at, to) });
  };
  mouths.forEach(({ from, to, tip }, i) => {
    if (from <= at + 1 || to >= pathLength(path) - 1) return;
    push(from);
    const mouth = pathBetween(path, from, to);
    edges.push({
      id: numbered(dartId, i + 1, "-"),
      role: "dart",
      name: mouths.length === 1 ? dartName : phrase`${dartName} ${i + 1}`,
      path: mouth,
    });
    lines.push({ kind: "dart", points: [pathStart(mouth), tip, pathEnd(mouth)] });
    at = to;
  });
  push(pathLength(path));
  return { edges, lines };
}
