import { textOf } from "../units";
import { said } from "../testing/said";
import { type Panel, panelOutline } from "../pattern";
import type { Derived } from "../derive";
import { boxOf } from "../geometry";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import type { Finish } from "./schema";
import { STYLES } from "../styles";
import { edgeLength, made, part, piece, plain, seam, soundBut } from "../testing/finished";

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
    expect(split.undecided.map(said).join(" ")).toContain("contour band");
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
    soundBut(mock);
    // The fronts keep their plain centre; the fly is traced off it, a shield lies under the other side.
    expect(piece(mock, "front").edges.every((e) => e.allowance < 38)).toBe(true);
    const [onFront, onFly] = [seam(mock, "mock-fly").lengthA, seam(mock, "mock-fly").lengthB];
    expect(onFly).toBeCloseTo(onFront, 6);
    expect(textOf(part(mock, "mock-fly").name)).toBe("Mock fly, on the right front");
    const other = made({ fastening: { kind: "mock-fly", over: "left" }, waist: { kind: "cut-on-casing" } }, "jogger");
    expect(textOf(part(other, "mock-fly").name)).toBe("Mock fly, on the left front");
    expect(textOf(part(other, "fly-shield").name)).toBe("Fly shield, under the right front");
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
    expect(twice.undecided.map(said).join(" ")).toContain("cut on to the waist already");
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

test("an elastic by rule is long enough to pass the hip, whatever the waist is to it", () => {
  for (const [waist, hip] of [
    [729, 1211],
    [516, 821],
    [480, 900],
  ] as const) {
    const body = { ...HAND_BODY, measures: { waist, hip, height: 1700 } };
    const made = derivedOf(
      palazzoJob(body, { style: { id: "paper-bag", params: {} }, finish: STYLES["paper-bag"]?.finish }),
    );
    const told = made.checks.filter((c) => ["elastic", "pull-on"].includes(c.id)).map((c) => [c.id, c.status]);
    expect(told).toEqual([
      ["pull-on", "pass"],
      ["elastic", "pass"],
    ]);
  }
});
