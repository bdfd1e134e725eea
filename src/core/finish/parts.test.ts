import { edgeOf, panelById, panelIsClosed, pathIsStraight, refsLength, type Panel, panelOutline } from "../pattern";
import { said } from "../testing/said";
import type { Derived } from "../derive";
import {
  boxOf,
  distanceToOutline,
  polygonArea,
  type Point,
  pathEnd,
  pathLength,
  pathStart,
  pointDistance,
} from "../geometry";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import type { Finish } from "./schema";

const made = (finish: Finish, style = "straight", params: Record<string, unknown> = {}): Derived =>
  derivedOf(palazzoJob(HAND_BODY, { style: { id: style, params }, finish }));
const part = (derived: Derived, id: string): Panel => panelById(derived.sewn, id);
const piece = (derived: Derived, id: string) => {
  const found = derived.pieces.find((p) => p.panel.id === id);
  if (!found) throw new Error(`no piece ${id}`);
  return found;
};
const edgeLength = (panel: Panel, id: string): number => pathLength(edgeOf(panel, id).path);
const seam = (derived: Derived, id: string) => {
  const found = derived.seams.find((s) => s.id === id);
  if (!found) throw new Error(`no seam ${id} among ${derived.seams.map((s) => s.id).join(" ")}`);
  return found;
};
const plain = made({});

/** What every finish has to keep: closed outlines, equal seams, no fault but those named. */
function soundBut(derived: Derived, faults: readonly string[] = []): void {
  expect(derived.sewn.filter((p) => !panelIsClosed(p)).map((p) => p.id)).toEqual([]);
  for (const s of derived.seams.filter((x) => x.how === "equal"))
    expect([s.id, Math.abs(s.lengthA - s.lengthB) < 0.05]).toEqual([s.id, true]);
  expect(derived.checks.filter((c) => c.status === "fault").map((c) => c.id)).toEqual(faults);
}

describe("a contour band", () => {
  const banded = made({ waist: { kind: "contour-band", depth: "50 mm" } });

  test("is the top of the panels with its darts closed; what is left of them stays below", () => {
    soundBut(banded);
    for (const root of ["front", "back"] as const) {
      const band = part(banded, `band-${root}`);
      expect(band.edges.some((e) => e.role === "dart")).toBe(false);
      expect(edgeLength(band, "side")).toBeCloseTo(50, 6);
      const below = part(banded, `${root}-main`);
      expect(below.edges.some((e) => e.role === "dart")).toBe(true);
      expect(below.is.leftOf).toBe(root);
      // Together they are as long down the side as the panel was.
      expect(edgeLength(band, "side") + edgeLength(below, "side")).toBeCloseTo(
        edgeLength(plain.panels.find((p) => p.id === root) as Panel, "side"),
        3,
      );
    }
  });

  test("its front lies on the fold, it faces itself, and the zip runs on through it", () => {
    expect(piece(banded, "band-front").cut).toMatchObject({ count: 1, onFold: true });
    expect(piece(banded, "band-back").alsoCut).toEqual([
      { material: "shell", count: 2 },
      { material: "interfacing", count: 2 },
    ]);
    const along = (id: string) => piece(banded, id).edges.filter((e) => e.role === "crotch");
    expect(along("band-back").map((e) => e.allowance)).toEqual([25]);
    const zip = banded.zip?.length.mm ?? 0;
    expect(along("back-main").find((e) => e.id === "crotch-zip")?.length).toBeCloseTo(zip - 50, 3);
  });

  test("above the waist it is drawn on first, cut it is taken from what is there", () => {
    const above = made({ waist: { kind: "contour-band", depth: "50 mm", sits: "above" } });
    expect(above.plan.levels.waist).toBe(plain.plan.levels.waist - 50);
    expect(banded.plan.levels.waist).toBe(plain.plan.levels.waist);
    soundBut(above);
  });

  test("a waist that is cut into parts gets none, and that is said", () => {
    const split = made({ waist: { kind: "contour-band" } }, "front-slit");
    expect(split.undecided.join(" ")).toContain("contour band");
    expect(split.pieces.some((p) => p.panel.id.startsWith("band-"))).toBe(false);
  });
});

describe("a fly", () => {
  const separate = made({ fastening: { kind: "fly" } });
  const grown = made({ fastening: { kind: "fly", grown: "on", extension: "38 mm" } });

  test("opens the centre front past the hip; facing and shield are as long as the zip and a little more", () => {
    soundBut(separate);
    expect(separate.zip?.at).toBe("centre-front");
    const zip = separate.zip?.length.mm ?? 0;
    expect(zip).toBeGreaterThan(100);
    expect(edgeLength(part(separate, "fly-facing"), "centre")).toBeCloseTo(zip + 15, 6);
    expect(seam(separate, "fly").lengthA).toBeCloseTo(seam(separate, "fly").lengthB, 6);
    expect(edgeLength(part(separate, "fly-shield"), "sewn")).toBeCloseTo(zip + 15, 6);
  });

  test("the band ends at the centre front, its underlap beyond it", () => {
    const order = part(separate, "waistband").edges.map((e) => e.id);
    expect(order.indexOf("overlap")).toBeLessThan(order.indexOf("sewn-left"));
    expect(order.indexOf("sewn-left")).toBeLessThan(order.indexOf("sewn-right"));
    const front = seam(separate, "waist-left");
    expect(front.walkB.map((r) => r.panel)[0]).toBe("front");
  });

  test("grown on it is cut with both fronts, as wide as chosen, and needs no facing", () => {
    soundBut(grown);
    expect(grown.pieces.some((p) => p.id === "fly-facing")).toBe(false);
    const opened = piece(grown, "front").edges.find((e) => e.id === "crotch-zip");
    expect(opened?.allowance).toBe(38);
    expect(piece(grown, "back").edges.every((e) => e.id !== "crotch-zip")).toBe(true);
  });

  test("goes through a yoke: facing and marks on both parts", () => {
    const yoked = made({}, "yoke-flare");
    soundBut(yoked);
    expect(seam(yoked, "fly").walkA.map((r) => r.panel)).toEqual(["front-yoke", "front-lower"]);
  });

  test("a mock fly is drawn and cut, and opens nothing", () => {
    const mock = made({ fastening: { kind: "mock-fly" }, waist: { kind: "cut-on-casing" } }, "jogger");
    expect(mock.zip).toBeNull();
    expect(piece(mock, "front").edges.some((e) => e.allowance === 38)).toBe(true);
    soundBut(mock);
  });
});

describe("slant pockets", () => {
  const slant = made({ pockets: [{ kind: "slant" }] });
  const whole = plain.panels.find((p) => p.id === "front") as Panel;

  test("hip piece and what is left of the front make up the whole side and waist", () => {
    soundBut(slant);
    const [hip, front] = [part(slant, "pocket-hip"), part(slant, "front-main")];
    expect(edgeLength(hip, "side") + edgeLength(front, "side")).toBeCloseTo(edgeLength(whole, "side"), 6);
    expect(edgeLength(hip, "side")).toBeCloseTo(170, 6);
    expect(seam(slant, "side").lengthA).toBeCloseTo(seam(plain, "side").lengthA, 6);
    const waist = (d: Derived): number =>
      d.seams.filter((s) => s.kind === "waist").reduce((sum, s) => sum + s.lengthB, 0);
    expect(waist(slant)).toBeCloseTo(waist(plain), 6);
  });

  test("bag and hip piece share their free edge; the bag ends along the opening", () => {
    expect(seam(slant, "pocket-bag").ratio).toBeCloseTo(1, 9);
    expect(seam(slant, "pocket-opening").lengthA).toBeCloseTo(edgeLength(part(slant, "pocket-bag"), "opening"), 6);
    expect(piece(slant, "pocket-bag")).toMatchObject({ material: "pocketing", cut: { count: 2, pairs: true } });
    expect(boxOf(panelOutline(part(slant, "pocket-hip"))).bottom).toBeGreaterThan(170 + 60);
  });

  test("the leg's readings stay those of the style", () => {
    expect(slant.readings).toEqual(plain.readings);
    expect(slant.panels.map((p) => p.id)).toEqual(["front", "back"]);
  });

  test.each(["curved", "scalloped"] as const)("its opening may be %s; allowances hold all the same", (edge) => {
    const shaped = made({ pockets: [{ kind: "slant", edge }] });
    soundBut(shaped);
    const opening = edgeOf(part(shaped, "pocket-bag"), "opening").path;
    expect(pathIsStraight(opening)).toBe(false);
    expect(pathLength(opening)).toBeGreaterThan(edgeLength(part(slant, "pocket-bag"), "opening"));
  });

  test("under a casing that is cut on it begins where the casing ends", () => {
    const jogger = made({ pockets: [{ kind: "slant", down: "170 mm" }] }, "jogger");
    soundBut(jogger);
    const added = jogger.panels.find((p) => p.id === "front")?.worn?.casings?.waist?.added ?? NaN;
    expect(edgeLength(part(jogger, "pocket-hip"), "side")).toBeCloseTo(added + 170, 6);
  });

  test("each leg has its own where the fronts differ", () => {
    const slit = made({ pockets: [{ kind: "slant" }] }, "front-slit");
    soundBut(slit);
    expect(slit.pieces.map((p) => p.panel.id)).toEqual(expect.arrayContaining(["pocket-bag-left", "pocket-bag-right"]));
  });

  test("a dart in the way, or a side with no corner, is said and nothing is cut", () => {
    const wide = made({ pockets: [{ kind: "slant", across: "12 cm" }] });
    expect(wide.undecided.join(" ")).toContain("stands in the way of the slant pocket");
    expect(wide.pieces.map((p) => p.id)).toEqual(plain.pieces.map((p) => p.id));
    expect(made({ pockets: [{ kind: "slant" }] }, "side-fullness").undecided).toHaveLength(1);
  });
});

describe("other pockets", () => {
  test("in the seam: two bags a side, the opening marked alike on bag, front and back", () => {
    const seamed = made({ pockets: [{ kind: "in-seam", from: "50 mm", opening: "150 mm" }] });
    soundBut(seamed);
    expect(piece(seamed, "pocket-bag").cut).toMatchObject({ count: 4, pairs: true });
    for (const id of ["front", "back", "pocket-bag"]) {
      const marks = piece(seamed, id).notches.filter((n) => n.pairs === "pocket-bag" && n.kind === "single");
      const onSide = marks.map((m) => m.at[1]).filter((y) => y < 260);
      expect([id, onSide.length >= 2]).toEqual([id, true]);
    }
    expect(seamed.checks.find((c) => c.id === "pocket-hand")).toMatchObject({
      status: "pass",
      value: expect.closeTo(150, 0) as number,
    });
  });

  test("a patch is measured with the dart closed, and opens as far as asked", () => {
    const patched = made({ pockets: [{ kind: "patch", opening: "150 mm" }] });
    soundBut(patched);
    const { openingTop, openingEnd } = part(patched, "patch").landmarks;
    expect(openingTop && openingEnd && pointDistance(openingTop, openingEnd)).toBeCloseTo(150, 3);
    // From the dart line to the side at the waist, the dart shut: narrower than the open panel by what the dart takes.
    const front = patched.panels.find((p) => p.id === "front") as Panel;
    const dart = front.edges.find((e) => e.role === "dart");
    const taken = dart ? pointDistance(pathStart(dart.path), pathEnd(dart.path)) : 0;
    const top = edgeOf(part(patched, "patch"), "side").path;
    const open = edgeOf(front, "side").path;
    expect(taken).toBeGreaterThan(10);
    // Shut, the side has come in at the waist by most of what the dart takes there.
    const inward = Math.abs(pathStart(open)[0]) - Math.abs(pathStart(top)[0]);
    expect(Math.abs(inward)).toBeGreaterThan(1);
    expect(piece(patched, "patch").alsoCut).toEqual([{ material: "shell", count: 2 }]);
    expect(made({ pockets: [{ kind: "patch", contrast: true }] }).pieces.at(-1)?.material).toBe("contrast");
  });

  test("none, and undecided, are two different things", () => {
    expect(made({ pockets: [] }).undecided).toEqual([]);
    expect(made({ pockets: "undecided" }).undecided.map(said)).toEqual(["Pockets are not decided."]);
  });
});

describe("what is drawn up", () => {
  const pulled = (waist: Finish["waist"]): Derived =>
    derivedOf(
      palazzoJob(HAND_BODY, {
        style: { id: "straight", params: {} },
        block: { school: "proportional", rules: { waist: { shaping: "hipWide" } } },
        finish: { waist, fastening: { kind: "none" } },
      }),
    );

  test("a ring is one strip, twice frill and channel deep, as long as the edge, and closed", () => {
    const ring = pulled({ kind: "ring-band", frill: "40 mm", channel: "30 mm" });
    soundBut(ring);
    const band = part(ring, "waistband");
    const { bottom, top, right, left } = boxOf(panelOutline(band));
    expect(bottom - top).toBeCloseTo(2 * (40 + 30), 6);
    expect(right - left).toBeCloseTo(ring.readings.waistGirth, 6);
    expect(seam(ring, "waistband-ends").ratio).toBe(1);
  });

  test("a band cut to the body's waist gathers the edge in, and does not pass the hip", () => {
    const held = pulled({ kind: "ring-band", fit: "waist", elastic: "none" });
    expect(seam(held, "waist-right").how).toBe("gathered");
    expect(held.readings.waistOpening).toBeCloseTo(760, 6);
    soundBut(held, ["pull-on"]);
  });

  test("a band over a casing that is cut on is not made, and that is said", () => {
    const twice = made({ waist: { kind: "straight-band" } }, "jogger");
    expect(twice.undecided.join(" ")).toContain("cut on to the waist already");
    expect(twice.pieces.some((p) => p.id === "waistband")).toBe(false);
  });

  test.each([
    ["waist", 760],
    ["waist-less", 684],
    ["hip-less", 786],
    ["700 mm", 700],
  ] as const)("elastic %s is %d long, and 1 cm more to join it", (elastic, relaxed) => {
    const cased = made({ waist: { kind: "cut-on-casing", elastic } }, "jogger");
    expect(cased.notions.find((n) => n.id === "elastic-waist")?.length?.mm).toBeCloseTo(relaxed + 10, 6);
    expect(cased.checks.find((c) => c.id === "elastic")?.value).toBeCloseTo(relaxed, 6);
  });

  test("a cord brings its eyelets and its caution", () => {
    const corded = made({ waist: { kind: "cut-on-casing", drawstring: true } }, "jogger");
    expect(corded.notions.map((n) => n.id)).toEqual(expect.arrayContaining(["cord", "eyelets"]));
    expect(corded.notions.find((n) => n.id === "cord")?.caution).toSay("children");
  });

  test("a side opening ends the band at the left side, in three stretches", () => {
    const sided = made({ fastening: { kind: "zip-side" } });
    soundBut(sided);
    expect(part(sided, "waistband").edges.map((e) => e.id)).toEqual(
      expect.arrayContaining(["overlap", "sewn-left-back", "sewn-right", "sewn-left-front"]),
    );
  });
});

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
    expect(own.checks.find((c) => c.id === "allowances")?.status).toBe("pass");
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
