/**
 * A stranger with ruler and chalk: draws a pattern from the acts of its cards as docs/api.md describes them. It uses nothing
 * of the engine, so that what it draws can be held against what the engine drew.
 */

type Pt = readonly [number, number];

interface Stretch {
  readonly edge: string;
  readonly from: Pt;
  readonly to: Pt;
  readonly guides: readonly { readonly along: number; readonly off: number }[];
  readonly leaves: Pt;
  readonly arrives: Pt;
}

/** A card as the API answers it, as far as a hand needs it. */
export interface HandCard {
  readonly panel: string;
  readonly act: { readonly kind: string };
}

const minus = (a: Pt, b: Pt): Pt => [a[0] - b[0], a[1] - b[1]];
const unit = (a: Pt): Pt => {
  const size = Math.hypot(...a);
  return [a[0] / size, a[1] / size];
};

/** Straight, or through the guides: each stretch a cubic with handles a third of its chord. */
function drawn(act: Stretch, isStraight: boolean): Pt[] {
  if (isStraight) return [act.from, act.to];
  const way = unit(minus(act.to, act.from));
  const points: Pt[] = [
    act.from,
    ...act.guides.map(({ along, off }): Pt => [
      act.from[0] + way[0] * along + way[1] * off,
      act.from[1] + way[1] * along - way[0] * off,
    ]),
    act.to,
  ];
  const heading = (k: number): Pt =>
    k === 0
      ? act.leaves
      : k === points.length - 1
        ? act.arrives
        : unit(minus(points[k + 1] as Pt, points[k - 1] as Pt));
  const out: Pt[] = [act.from];
  for (let i = 1; i < points.length; i++) {
    const [a, d] = [points[i - 1] as Pt, points[i] as Pt];
    const third = Math.hypot(...minus(d, a)) / 3;
    const [u, v] = [heading(i - 1), heading(i)];
    const b: Pt = [a[0] + u[0] * third, a[1] + u[1] * third];
    const c: Pt = [d[0] - v[0] * third, d[1] - v[1] * third];
    for (let k = 1; k <= 40; k++) {
      const t = k / 40;
      const w = [(1 - t) ** 3, 3 * (1 - t) ** 2 * t, 3 * (1 - t) * t * t, t ** 3] as const;
      out.push(
        [0, 1].map(
          (x) => w[0] * (a[x] as number) + w[1] * (b[x] as number) + w[2] * (c[x] as number) + w[3] * (d[x] as number),
        ) as unknown as Pt,
      );
    }
  }
  return out;
}

type Sheet = Map<string, Pt[]>;

/** What lies on the table after all cards: the outline of every panel, from its own origin. */
export function drawnByHand(cards: readonly HandCard[]): ReadonlyMap<string, readonly Pt[]> {
  const sheets = new Map<string, Sheet>();
  const sheet = (panel: string): Sheet => {
    const held = sheets.get(panel) ?? new Map<string, Pt[]>();
    sheets.set(panel, held);
    return held;
  };
  // Edges drawn anew since the panel's outline was last said.
  let fresh = new Set<string>();
  let at = "";
  for (const { panel, act } of cards) {
    if (panel !== at) [at, fresh] = [panel, new Set()];
    const own = sheet(panel);
    switch (act.kind) {
      case "sheet":
        own.clear();
        fresh = new Set();
        break;
      case "trace":
        for (const { edge, points } of (act as unknown as { edges: { edge: string; points: Pt[] }[] }).edges)
          own.set(edge, points);
        break;
      case "line":
      case "curve": {
        const stretch = act as unknown as Stretch;
        const more = drawn(stretch, act.kind === "line");
        own.set(stretch.edge, fresh.has(stretch.edge) ? [...(own.get(stretch.edge) ?? []), ...more.slice(1)] : more);
        fresh.add(stretch.edge);
        break;
      }
      case "moved": {
        const { edge, degrees, by } = act as unknown as { edge: string; degrees: number; by: Pt };
        const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
        own.set(
          edge,
          (own.get(edge) ?? []).map(([x, y]): Pt => [x * cos - y * sin + by[0], x * sin + y * cos + by[1]]),
        );
        break;
      }
      case "outline": {
        const { edges } = act as unknown as { edges: string[] };
        const kept = edges.map((edge): [string, Pt[]] => [edge, own.get(edge) ?? []]);
        own.clear();
        for (const [edge, points] of kept) own.set(edge, points);
        fresh = new Set();
        break;
      }
      case "turn-over":
        for (const [edge, points] of own)
          own.set(
            edge,
            points.map(([x, y]): Pt => [0 - x, y]),
          );
        break;
      case "put-away":
        sheets.delete(panel);
        break;
    }
  }
  return new Map([...sheets].map(([panel, own]) => [panel, [...own.values()].flat()]));
}

/** Outlines farther apart than this anywhere are simply apart. */
const CELL = 25;
const cellOf = (x: number): number => Math.floor(x / CELL);

/** How far the places of one closed outline are from the lines of another at the most; infinite beyond a cell. */
function off(points: readonly Pt[], to: readonly Pt[]): number {
  // Lines by the cells they pass, so that each place looks at its neighbours only.
  const cells = new Map<string, (readonly [Pt, Pt])[]>();
  to.forEach((p, i) => {
    const q = to[(i + 1) % to.length] as Pt;
    const [x0, x1] = [cellOf(Math.min(p[0], q[0])), cellOf(Math.max(p[0], q[0]))];
    const [y0, y1] = [cellOf(Math.min(p[1], q[1])), cellOf(Math.max(p[1], q[1]))];
    for (let x = x0; x <= x1; x++)
      for (let y = y0; y <= y1; y++) cells.set(`${x},${y}`, [...(cells.get(`${x},${y}`) ?? []), [p, q]]);
  });
  return Math.max(
    ...points.map(([x, y]) => {
      let best = Infinity;
      for (let cx = cellOf(x) - 1; cx <= cellOf(x) + 1; cx++)
        for (let cy = cellOf(y) - 1; cy <= cellOf(y) + 1; cy++)
          for (const [p, q] of cells.get(`${cx},${cy}`) ?? []) {
            const [dx, dy] = minus(q, p);
            const size = dx * dx + dy * dy;
            const t = size === 0 ? 0 : Math.max(0, Math.min(1, ((x - p[0]) * dx + (y - p[1]) * dy) / size));
            best = Math.min(best, Math.hypot(x - p[0] - t * dx, y - p[1] - t * dy));
          }
      return best;
    }),
  );
}

/** How far one closed outline is from another at the most, both ways. */
export const apart = (a: readonly Pt[], b: readonly Pt[]): number => Math.max(off(a, b), off(b, a));
