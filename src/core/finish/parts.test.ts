import { edgeOf, refsLength } from "../pattern";
import { said } from "../testing/said";
import type { Derived } from "../derive";
import { distanceToOutline, polygonArea, type Point, pathStart, pointDistance } from "../geometry";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { edgeLength, made, part, piece, plain, seam, soundBut } from "../testing/finished";

describe("hems and trims", () => {
  const allowance = (derived: Derived): number | undefined =>
    piece(derived, "front").edges.find((e) => e.role === "hem")?.allowance;

  test("turned twice and rolled take both their turns, a facing a seam's allowance", () => {
    expect(allowance(made({ hem: { kind: "double", depth: "15 mm" } }))).toBe(30);
    expect(allowance(made({ hem: { kind: "rolled", depth: "5 mm" } }))).toBe(10);
    // What its facing is cut with: one seam, one allowance.
    expect(allowance(made({ hem: { kind: "faced" } }))).toBe(10);
    expect(allowance(made({ hem: { kind: "bonded", depth: "30 mm" } }))).toBe(30);
  });

  test("a hem facing is the lowest part of the leg: as long as the hem, as deep as chosen", () => {
    const faced = made({ hem: { kind: "faced", depth: "60 mm" } }, "palazzo");
    soundBut(faced);
    for (const root of ["front", "back"]) {
      const facing = part(faced, `hem-facing-${root}`);
      expect(edgeLength(facing, "hem")).toBeCloseTo(edgeLength(part(faced, root), "hem"), 9);
      expect(edgeLength(facing, "side")).toBeCloseTo(60, 6);
      expect(edgeLength(facing, "inseam")).toBeCloseTo(60, 6);
    }
  });

  test("a pleated strip is as many times the side seam as chosen", () => {
    const trimmed = made({ trims: [{ kind: "pleated-strip", fullness: 3 }] });
    expect(seam(trimmed, "trim").ratio).toBeCloseTo(3, 9);
    expect(piece(trimmed, "trim").cut).toMatchObject({ count: 2 });
  });

  test("a lined flounce is cut from lining too; without a flounce that is said", () => {
    const lined = made({ trims: [{ kind: "flounce-lining" }], waist: { kind: "facing" } }, "bell-flounce");
    const flounces = lined.pieces.filter((p) => p.panel.worn?.ring);
    expect(flounces.length).toBeGreaterThan(0);
    expect(flounces.every((p) => p.alsoCut.some((c) => c.material === "lining" && c.count === p.cut.count))).toBe(true);
    expect(made({ trims: [{ kind: "flounce-lining" }] }).undecided.map(said)).toEqual(["There is no flounce to line."]);
  });

  test("a belt is waist and 30 cm, its loops go over it", () => {
    const belted = made({ belt: { width: "40 mm", loops: 5 } });
    expect(edgeLength(part(belted, "belt"), "sewn")).toBeCloseTo(760 + 300, 6);
    expect(edgeLength(part(belted, "belt-loops"), "sewn")).toBeCloseTo(5 * 75, 6);
  });
});

describe("allowances", () => {
  test("each set has its own widths; the maker's stand over them", () => {
    const widths = (set: "woven" | "stretch" | "let-out") =>
      derivedOf(palazzoJob(HAND_BODY, { allowances: { set } })).allowances.widths;
    expect(widths("stretch").side).toBe(7);
    expect(widths("let-out").side).toBe(38);
    const own = derivedOf(palazzoJob(HAND_BODY, { allowances: { set: "stretch", side: "1 cm" } }));
    expect(own.pieces[0]?.edges.find((e) => e.role === "side")?.allowance).toBe(10);
  });

  test("a single edge may differ, or run from one width to another", () => {
    const own = derivedOf(
      palazzoJob(HAND_BODY, {
        allowances: { edges: { "back.crotch": { from: "12 mm", to: "25 mm" }, "front.side": "30 mm" } },
        finish: { fastening: { kind: "zip-side" } },
      }),
    );
    const edge = (id: string, name: string) => piece(own, id).edges.find((e) => e.edge === name);
    expect(edge("back", "crotch")).toMatchObject({ allowance: 12, allowanceEnd: 25 });
    expect(edge("front", "side")?.allowance).toBe(30);
    expect(edge("back", "side")?.allowance).toBe(25);
    // Set apart from the back on purpose: allowed, and looked at.
    expect(own.checks.find((c) => c.id === "allowances")?.status).toBe("look");
  });

  test("one that cannot be sewn is refused with its place", () => {
    const job = palazzoJob(HAND_BODY, { allowances: { edges: { "front.side": "90 cm" } } });
    expect(() => derivedOf(job)).toThrow(/between 0 and 60 mm/);
  });

  test("squared corners do not stand out beyond the neighbour's allowance; the rest stays", () => {
    const cut = (corners: "mitred" | "squared") =>
      piece(derivedOf(palazzoJob(HAND_BODY, { allowances: { corners, side: "30 mm" } })), "front");
    const [mitred, squared] = [cut("mitred"), cut("squared")];
    const area = (points: readonly Point[]): number => Math.abs(polygonArea(points));
    expect(area(squared.cutLine)).toBeLessThan(area(mitred.cutLine));
    expect(area(squared.cutLine)).toBeGreaterThan(area(mitred.cutLine) - 3000);
    expect(squared.cutLine.length).toBeGreaterThan(mitred.cutLine.length);
    const corner = pathStart(edgeOf(squared.panel, "side").path);
    expect(distanceToOutline(corner, squared.cutLine)).toBeGreaterThanOrEqual(10 - 0.2);
  });

  test("a cuff with elastic is as wide as the hem and drawn up", () => {
    const cuffed = made({ hem: { kind: "cuff", elastic: true } }, "jogger");
    soundBut(cuffed);
    expect(edgeLength(part(cuffed, "cuff"), "sewn")).toBeCloseTo(cuffed.readings.hemGirth, 6);
    expect(cuffed.notions.find((n) => n.id === "elastic-cuff")).toMatchObject({ count: 2 });
  });

  test("cloth that cannot be read is refused with its place", () => {
    expect(() => derivedOf(palazzoJob(HAND_BODY, { cloth: { width: "wide" } }))).toThrow(/cloth\.width/);
    expect(() => derivedOf(palazzoJob(HAND_BODY, { cloth: { length: "1 mm" } }))).toThrow(/cloth\.length/);
  });

  test("darts are drilled a centimetre short of their tips", () => {
    const front = piece(plain, "front");
    const dart = front.panel.lines.find((l) => l.kind === "dart");
    const tip = dart?.points[1];
    expect(front.drills).toHaveLength(1);
    expect(tip && front.drills[0] && pointDistance(tip, front.drills[0])).toBeCloseTo(10, 6);
  });
});

test("a seam over a stretch of an edge is as long as that stretch", () => {
  const refs = seam(made({ fastening: { kind: "fly" } }), "fly").walkA;
  expect(refs[0]?.part).toBeDefined();
  expect(refsLength(plain.panels, refs)).toBeCloseTo((refs[0]?.part?.[1] ?? 0) - (refs[0]?.part?.[0] ?? 0), 9);
});
