import { edgeOf, pathIsStraight, type Panel, panelOutline } from "../pattern";
import { said } from "../testing/said";
import type { Derived } from "../derive";
import { boxOf, pathEnd, pathLength, pathStart, pointDistance } from "../geometry";
import { edgeLength, made, part, piece, plain, seam, soundBut } from "../testing/finished";

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
    expect(wide.undecided.map(said).join(" ")).toContain("stands in the way of the slant pocket");
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
    // The upper outer corner alone is open; what is left of the top is caught in the waist.
    const caught = edgeOf(part(patched, "patch"), "waist").path;
    expect(openingTop && pointDistance(openingTop, pathEnd(caught))).toBeCloseTo(0, 9);
    expect(pointDistance(pathStart(caught), pathEnd(caught))).toBeGreaterThan(10);
    // Doubled on a fold at the dart line, or cut twice.
    expect(piece(patched, "patch").cut).toMatchObject({ count: 2, onFold: true });
    const twice = made({ pockets: [{ kind: "patch", doubled: "two" }] });
    expect(piece(twice, "patch").alsoCut).toEqual([{ material: "shell", count: 2 }]);
    expect(made({ pockets: [{ kind: "patch", contrast: true }] }).pieces.at(-1)?.material).toBe("contrast");
  });

  test("none, and undecided, are two different things", () => {
    expect(made({ pockets: [] }).undecided).toEqual([]);
    expect(made({ pockets: "undecided" }).undecided.map(said)).toEqual(["Pockets are not decided."]);
  });
});
