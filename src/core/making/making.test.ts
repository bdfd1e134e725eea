import fc from "fast-check";
import { derive, type Derived } from "../derive";
import { STYLES } from "../styles";
import { plausibleBody } from "../testing/bodies";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { randomWorksheet } from "../testing/randomMoves";
import { said } from "../testing/said";
import { cardsOf, CLOSINGS, cuttingList, HEMS, makingOrder, ZIPS, type Card } from ".";

type Pt = readonly [number, number];
const styled = (id: string): Derived => derivedOf(palazzoJob(HAND_BODY, { style: { id, params: {} } }));

/** Draws a panel from its cards alone, as docs/api.md says a curve is drawn: nothing of the engine is used. */
function drawnFrom(cards: readonly Card[]): Pt[] {
  const out: Pt[] = [];
  for (const { act } of cards) {
    if (act.kind !== "line" && act.kind !== "curve") continue;
    const length = Math.hypot(act.to[0] - act.from[0], act.to[1] - act.from[1]);
    const way: Pt = [(act.to[0] - act.from[0]) / length, (act.to[1] - act.from[1]) / length];
    const guides = act.guides.map(({ along, off }): Pt => [
      act.from[0] + way[0] * along + way[1] * off,
      act.from[1] + way[1] * along - way[0] * off,
    ]);
    const points = [act.from as Pt, ...guides, act.to as Pt];
    points.slice(1).forEach((to, i) => {
      const from = points[i] as Pt;
      if (act.kind === "line") return void out.push(from);
      const unit = (a: Pt, b: Pt): Pt => {
        const size = Math.hypot(b[0] - a[0], b[1] - a[1]);
        return [(b[0] - a[0]) / size, (b[1] - a[1]) / size];
      };
      const dir = (k: number): Pt =>
        k === 0
          ? (act.leaves as Pt)
          : k === points.length - 1
            ? (act.arrives as Pt)
            : unit(points[k - 1] as Pt, points[k + 1] as Pt);
      const third = Math.hypot(to[0] - from[0], to[1] - from[1]) / 3;
      const [a, b] = [dir(i), dir(i + 1)];
      for (let k = 0; k < 24; k++) {
        const t = k / 24;
        const w = [(1 - t) ** 3, 3 * (1 - t) ** 2 * t, 3 * (1 - t) * t * t, t ** 3] as const;
        const at = (axis: 0 | 1): number =>
          w[0] * from[axis] +
          w[1] * (from[axis] + a[axis] * third) +
          w[2] * (to[axis] - b[axis] * third) +
          w[3] * to[axis];
        out.push([at(0), at(1)]);
      }
    });
  }
  return out;
}

const areaOf = (points: readonly Pt[]): number =>
  points.reduce((sum, [x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length] as Pt;
    return sum + (x * ny - nx * y) / 2;
  }, 0);

describe.each(Object.keys(STYLES))("%s", (id) => {
  test("a stranger draws every panel from its cards: as large, and no place off by more than its card says", () => {
    const derived = styled(id);
    const cards = cardsOf(derived, "paper", "cm");
    expect(cards.map((c) => c.n)).toEqual(cards.map((_, i) => i + 1));
    const drawn = new Set(cards.map((c) => c.panel));
    for (const panel of derived.sewn) {
      if (!drawn.has(panel.id)) continue;
      const own = cards.filter((c) => c.panel === panel.id);
      const shape = drawnFrom(own);
      const begin = own.find((c) => c.act.kind === "begin");
      expect([panel.id, begin !== undefined]).toEqual([panel.id, true]);
      const real = panel.edges.flatMap((e) => e.path).reduce((sum, s) => sum + s.points.length, 0);
      expect(real).toBeGreaterThan(0);
      const miss = Math.max(0, ...own.map((c) => ("miss" in c.act ? c.act.miss : 0)));
      const round = own.reduce(
        (sum, c) => sum + (c.act.kind === "line" || c.act.kind === "curve" ? (c.numbers.length ?? 0) : 0),
        0,
      );
      const wanted = areaOf(panel.edges.flatMap((e) => e.path.flatMap((s) => samples(s.points))));
      expect([panel.id, Math.abs(Math.abs(areaOf(shape)) - Math.abs(wanted)) < (miss + 0.6) * round]).toEqual([
        panel.id,
        true,
      ]);
    }
    for (const card of cards) expect(said(card.says)).toMatch(/\.$/);
  });

  test("cards on cloth say how wide to fold, and short cards what each line does", () => {
    const derived = styled(id);
    const cloth = cardsOf(derived, "cloth", "cm");
    expect(cloth[0]?.act.kind).toBe("fold-cloth");
    expect(said(cloth[0]?.says)).toMatch(/fold the cloth/i);
    const short = cardsOf(derived, "short", "cm");
    expect(short.length).toBe(1 + derived.worksheet.filter((l) => l.on && !l.passed).length);
  });

  test("every school: each operation once, after what it waits for; cutting counts are the pieces'", () => {
    const derived = styled(id);
    for (const closing of CLOSINGS)
      for (const zip of ZIPS)
        for (const hem of HEMS) {
          const order = makingOrder(derived, { closing, zip, hem });
          const place = new Map(order.map((o) => [o.id, o.n]));
          expect(place.size).toBe(order.length);
          for (const step of order)
            for (const first of step.after) expect(place.get(first) ?? Infinity).toBeLessThan(step.n);
          expect(order.at(-1)?.doing).toBe("press");
          for (const fuse of order.filter((o) => o.doing === "fuse"))
            for (const sewn of order.filter((o) => o.seam !== null && o.pieces.some((p) => fuse.pieces.includes(p))))
              expect(fuse.n).toBeLessThan(sewn.n);
        }
    const cut = cuttingList(derived);
    for (const piece of derived.pieces)
      expect(cut.filter((l) => l.piece === piece.id && l.material === piece.material)[0]?.count).toBe(piece.cut.count);
  });
});

/** Places of a segment, by its own control points. */
function samples(points: readonly Pt[]): Pt[] {
  const [a, b, c, d] = points as readonly [Pt, Pt, Pt?, Pt?];
  if (!c || !d) return [a];
  return Array.from({ length: 24 }, (_, k): Pt => {
    const t = k / 24;
    const w = [(1 - t) ** 3, 3 * (1 - t) ** 2 * t, 3 * (1 - t) * t * t, t ** 3] as const;
    return [
      w[0] * a[0] + w[1] * b[0] + w[2] * c[0] + w[3] * d[0],
      w[0] * a[1] + w[1] * b[1] + w[2] * c[1] + w[3] * d[1],
    ];
  });
}

test("the school of closing orders the main seams", () => {
  const derived = styled("straight");
  const at = (closing: (typeof CLOSINGS)[number], seam: string): number =>
    makingOrder(derived, { closing, zip: "after-band", hem: "last" }).find((o) => o.id === seam)?.n ?? NaN;
  expect(at("crotch-first", "crotch-back")).toBeLessThan(at("crotch-first", "side"));
  expect(at("legs-first", "inseam")).toBeLessThan(at("legs-first", "crotch-back"));
  expect(at("sides-first", "side")).toBeLessThan(at("sides-first", "crotch-front"));
});

test("a zip through a waist seam is set in after it, whatever the school says", () => {
  for (const zip of ZIPS) {
    const order = makingOrder(styled("one-piece"), { closing: "crotch-first", zip, hem: "last" });
    const n = (id: string): number => order.find((o) => o.id === id)?.n ?? NaN;
    expect(n("zip")).toBeGreaterThan(n("waist-back"));
  }
});

test("any moves in any order: an order of making and cards, without a circle", () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
      const { style, moves } = randomWorksheet(seed);
      const derived = derive(palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves }));
      if (!derived.ok) return;
      for (const closing of CLOSINGS)
        expect(makingOrder(derived, { closing, zip: "before-sides", hem: "last" }).length).toBeGreaterThan(2);
      for (const kind of ["paper", "cloth", "short"] as const) expect(cardsOf(derived, kind, "cm").length).toBeGreaterThan(0);
    }),
    { numRuns: 60, seed: 20261128 },
  );
});
