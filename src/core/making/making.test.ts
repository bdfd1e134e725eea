import fc from "fast-check";
import { derive, type Derived } from "../derive";
import { STYLES } from "../styles";
import { plausibleBody } from "../testing/bodies";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { randomWorksheet } from "../testing/randomMoves";
import { said } from "../testing/said";
import { cardsOf, CLOSINGS, cuttingList, HEMS, makingOrder, ZIPS } from ".";

const styled = (id: string): Derived => derivedOf(palazzoJob(HAND_BODY, { style: { id, params: {} } }));

describe.each(Object.keys(STYLES))("%s", (id) => {
  test("the front is drawn first, then the back, then what is measured against them", () => {
    const derived = styled(id);
    const drawn = [...new Set(cardsOf(derived, "paper", "cm").map((c) => c.panel))];
    const rank = (panel: string): number => {
      const { is } = derived.sewn.find((p) => p.id === panel) ?? derived.panels.find((p) => p.id === panel) ?? {};
      return is?.part !== null ? 2 : is.root === "front" ? 0 : 1;
    };
    const ranks = drawn.map(rank);
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
  });

  test("cards on cloth say how wide to fold, and short cards what each line does", () => {
    const derived = styled(id);
    const cloth = cardsOf(derived, "cloth", "cm");
    expect(cloth[0]?.act.kind).toBe("fold-cloth");
    expect(said(cloth[0]?.says)).toMatch(/fold the cloth/i);
    const short = cardsOf(derived, "short", "cm");
    expect(short[0]?.act.kind).toBe("trace");
    const words = short.map((c) => said(c.says)).join(" ");
    for (const line of derived.worksheet) if (line.on && !line.passed) expect(words).toContain(said(line.sentence));
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
      for (const kind of ["paper", "cloth", "short"] as const)
        expect(cardsOf(derived, kind, "cm").length).toBeGreaterThan(0);
    }),
    { numRuns: 30, seed: 20261128 },
  );
});

test("a piece that is joined from two is joined before anything else is done to it, once, in every school", () => {
  const derived = styled("palazzo");
  for (const closing of CLOSINGS)
    for (const hem of HEMS) {
      const order = makingOrder(derived, { closing, zip: "last", hem }, ["front", "waistband", "nothing of ours"]);
      expect(order.filter((o) => o.doing === "join").map((o) => o.pieces)).toEqual([["front"], ["waistband"]]);
      for (const join of order.filter((o) => o.doing === "join"))
        for (const o of order.filter((other) => other !== join && other.pieces.some((p) => join.pieces.includes(p))))
          expect(join.n).toBeLessThan(o.n);
    }
  expect(makingOrder(derived).some((o) => o.doing === "join")).toBe(false);
});
