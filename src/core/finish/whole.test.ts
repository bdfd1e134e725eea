import { textOf } from "../units";
import { edgeOf, isMain, panelOutline } from "../pattern";
import { boxOf, pathCrossings, pathLength, polygonSections } from "../geometry";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { made, part, piece, seam, soundBut } from "../testing/finished";
import { movesOf, STRAIGHT } from "../testing/worksheet";
import { said } from "../testing/said";
import type { Finish } from "./schema";

const HIP_WIDE = { school: "proportional", rules: { waist: { shaping: "hipWide" } } } as const;
const pulled = (waist: Finish["waist"]) =>
  derivedOf(
    palazzoJob(HAND_BODY, {
      style: { id: "straight", params: {} },
      block: HIP_WIDE,
      finish: { waist, fastening: { kind: "none" } },
    }),
  );
const notion = (derived: ReturnType<typeof made>, id: string) => derived.notions.find((n) => n.id === id);

describe("the ring and its channel", () => {
  test.each([
    ["centre-back", "centre back"],
    ["centre-front", "centre front"],
    ["side", "left side"],
  ] as const)("joined at the %s, its ends say so", (ringSeam, word) => {
    const ring = pulled({ kind: "ring-band", ringSeam });
    soundBut(ring);
    const words = part(ring, "waistband").words ?? [];
    expect(textOf(words[0]?.text ?? "")).toBe(word);
    expect(textOf(words.at(-1)?.text ?? "")).toBe(word);
    expect(words.filter((w) => w.text === "side")).toHaveLength(ringSeam === "side" ? 1 : 2);
  });

  test("eyelets stand 13 mm each side of the centre front, in the channel's middle, between rows", () => {
    const ring = pulled({ kind: "ring-band", frill: "40 mm", channel: "30 mm", drawstring: true, rows: 2 });
    const band = part(ring, "waistband");
    const drills = band.lines.filter((l) => l.kind === "drill").map((l) => l.points[0] ?? [0, 0]);
    expect(drills).toHaveLength(2);
    const middle = ring.readings.waistGirth / 2;
    expect(drills.map((p) => Math.abs(p[0] - middle))).toEqual([expect.closeTo(13, 3), expect.closeTo(13, 3)]);
    const { bottom } = boxOf(panelOutline(band));
    expect(drills.map((p) => bottom - p[1])).toEqual([expect.closeTo(15, 6), expect.closeTo(15, 6)]);
    expect(band.lines.filter((l) => l.kind === "placement")).toHaveLength(2 + 4);
    expect(piece(ring, "waistband").drills).toHaveLength(2);
  });

  test("elastic: its own width against the channel, lapped or end to end", () => {
    const lapped = pulled({ kind: "casing", depth: "40 mm" });
    const butted = pulled({ kind: "casing", depth: "40 mm", joined: "butt" });
    expect(
      (notion(lapped, "elastic-waist")?.length?.mm ?? 0) - (notion(butted, "elastic-waist")?.length?.mm ?? 0),
    ).toBeCloseTo(10, 6);
    expect(said(notion(lapped, "elastic-waist")?.label)).toContain("37 mm wide");
    const wide = pulled({ kind: "casing", depth: "40 mm", elasticWidth: "45 mm" });
    expect(wide.checks.find((c) => c.id === "elastic-channel")?.status).toBe("fault");
    expect(lapped.checks.find((c) => c.id === "elastic-channel")?.status).toBe("pass");
  });
});

describe("a band turned outside", () => {
  test("is one layer, its outer edge turned in, and is not asked whether it gapes", () => {
    const turned = made({ waist: { kind: "straight-band", depth: "50 mm", sits: "outside" } });
    soundBut(turned);
    const band = part(turned, "waistband");
    const { top, bottom } = boxOf(panelOutline(band));
    expect(bottom - top).toBeCloseTo(50, 6);
    expect(band.lines.some((l) => l.kind === "fold")).toBe(false);
    expect(piece(turned, "waistband").edges.find((e) => e.edge === "inner")?.allowance).toBe(10);
    expect(turned.checks.some((c) => c.id === "band-gapes")).toBe(false);
  });
});

describe("edges in no seam", () => {
  test.each([
    ["overlocked", 0],
    ["bound", 0],
    ["lined", 10],
  ] as const)("%s: a facing's free edge is cut with %p", (inside, mm) => {
    const faced = made({ waist: { kind: "facing" }, inside });
    const free = faced.pieces.filter((p) => p.is.part === "facing").flatMap((p) => p.edges.filter((e) => e.isFree));
    expect(free.length).toBeGreaterThan(0);
    expect(free.map((e) => e.allowance)).toEqual(free.map(() => mm));
    expect(faced.checks.find((c) => c.id === "allowances")?.status).toBe("pass");
  });
});

describe("lining", () => {
  test("laid in: every leg piece again, shorter at the hem; bagged: sewn to the hem, which is not turned", () => {
    const laid = made({ inside: "lined" });
    const legs = laid.pieces.filter((p) => p.is.component === "legs" && isMain(p.panel));
    for (const p of legs)
      expect(p.alsoCut).toEqual([{ material: "lining", count: 2, note: "25 mm shorter at the hem, laid in" }]);
    const bagged = made({ inside: "bagged" });
    expect(bagged.hemDepth).toBeNull();
    const hem = piece(bagged, "front").edges.find((e) => e.role === "hem");
    expect(hem?.allowance).toBe(15);
    expect(piece(bagged, "front").label.map(textOf).join()).toContain("2 lining, sewn to the hem");
    soundBut(bagged);
  });
});

describe("a rectangular patch", () => {
  test("is as large as asked, its top turned twice, sewn where it is marked", () => {
    const patched = made({
      pockets: [
        {
          kind: "rectangular-patch",
          width: "140 mm",
          height: "160 mm",
          fromSide: "30 mm",
          fromWaist: "70 mm",
          top: "20 mm",
        },
      ],
    });
    soundBut(patched);
    const patch = piece(patched, "patch-square");
    const box = boxOf(panelOutline(patch.panel));
    expect([box.right - box.left, box.bottom - box.top]).toEqual([expect.closeTo(140, 6), expect.closeTo(160, 6)]);
    expect(patch.edges.find((e) => e.edge === "opening")?.allowance).toBe(40);
    expect(patch.edges.filter((e) => e.edge !== "opening").map((e) => e.allowance)).toEqual([10, 10, 10]);
    expect(patch.cut).toMatchObject({ count: 2, onFold: false });
    const front = part(patched, "front");
    const places = front.lines.filter((l) => l.kind === "placement").at(-1)?.points ?? [];
    const side = edgeOf(front, "side").path;
    const [outer] = places;
    const onSide = pathCrossings(side, outer?.[1] ?? 0)[0] ?? 0;
    expect(Math.abs((outer?.[0] ?? 0) - onSide)).toBeCloseTo(30, 1);
    const none = made({ pockets: [{ kind: "rectangular-patch", width: "260 mm", fromSide: "60 mm" }] });
    expect(none.undecided.map(said).join()).toMatch(/does not lie on a front/);
  });
});

describe("a slant pocket", () => {
  test("is as long along the slant as asked, and its end is marked on the back's side", () => {
    const slanted = made({ pockets: [{ kind: "slant", measured: "slant", down: "160 mm", across: "50 mm" }] });
    soundBut(slanted);
    expect(pathLength(edgeOf(part(slanted, "pocket-bag"), "opening").path)).toBeCloseTo(160, 2);
    const back = piece(slanted, "back").notches.filter((n) => n.pairs === "pocket-opening");
    expect(back).toHaveLength(1);
    expect(slanted.checks.find((c) => c.id === "pocket-bag")?.status).toBe("pass");
    const small = made({ pockets: [{ kind: "slant", width: "120 mm" }] });
    expect(small.checks.find((c) => c.id === "pocket-bag")?.status).toBe("look");
  });

  test.each(["straight", "pleated", "jogger", "sweat", "paper-bag"])(
    "every piece of %s has its grain inside",
    (style) => {
      const derived = derivedOf(
        palazzoJob(HAND_BODY, { style: { id: style, params: {} }, finish: { pockets: [{ kind: "slant" }] } }),
      );
      for (const p of derived.pieces)
        for (const [x, y] of p.grain) {
          const within = polygonSections(p.seamLine, y).some(([left, right]) => x > left - 0.01 && x < right + 0.01);
          expect([p.id, within]).toEqual([p.id, true]);
        }
    },
  );
});

describe("a pleated strip", () => {
  test("is sewn inside its seam, shows what is asked, and is joined by the width of the cloth", () => {
    const job = palazzoJob(HAND_BODY, {
      style: { id: "straight", params: { length: "shorts" } },
      finish: { trims: [{ kind: "pleated-strip", width: "30 mm", sewnAt: "13 mm", fullness: 3 }] },
      cloth: { width: "800 mm" },
    });
    const derived = derivedOf(job);
    const trim = piece(derived, "trim");
    const { top, bottom } = boxOf(trim.cutLine);
    expect(bottom - top).toBeCloseTo(2 * (30 + 13), 1);
    const side = seam(derived, "side").lengthA;
    expect(seam(derived, "trim").lengthB).toBeCloseTo(3 * side, 3);
    expect(trim.cut.count).toBe(2 * Math.ceil((3 * side) / 760));
    expect(said(notion(derived, "trim-fold")?.label)).toContain("cut 86 mm, folded 43 mm, shows 30 mm");
  });
});

describe("what has to be bought", () => {
  test("a zip is told in a length that is sold, with what is cut off", () => {
    const zip = notion(made({ fastening: { kind: "zip-centre-back", length: "188 mm" } }), "zip");
    expect(zip?.length?.mm).toBe(200);
    expect(said(zip?.note)).toContain("cut 12 mm off");
    expect(notion(made({ fastening: { kind: "zip-centre-back", length: "200 mm" } }), "zip")?.note).toBeUndefined();
  });

  test("buttons of a placket, a hook over a zip, the web of a bonded hem, elastics of cased hems", () => {
    const slit = derivedOf(palazzoJob(HAND_BODY, { style: { id: "front-slit", params: {} } }));
    expect(notion(slit, "buttons")?.count).toBeGreaterThan(4);
    expect(notion(made({}), "hook")?.count).toBe(1);
    const web = notion(made({ hem: { kind: "bonded" } }), "hem-web");
    expect(web?.length?.mm).toBeCloseTo(2 * made({}).readings.hemGirth, 1);
    const sweat = derivedOf(palazzoJob(HAND_BODY, { style: { id: "sweat", params: {} } }));
    expect(notion(sweat, "elastic-hem")?.count).toBe(2);
  });
});

describe("marks and words", () => {
  test("a band is marked at centres, sides and closed darts, and in the middle of each panel, as the panels are", () => {
    const banded = made({});
    const band = piece(banded, "waistband").notches.length;
    expect(band).toBeGreaterThanOrEqual(8);
    for (const id of ["front", "back"])
      expect(piece(banded, id).notches.some((n) => n.pairs.startsWith("waist-"))).toBe(false);
    const faced = made({ waist: { kind: "facing" } });
    expect(piece(faced, "facing-front").notches.filter((n) => n.pairs === "waist-facing-front").length).toBeGreaterThan(
      0,
    );
  });

  test("cuffs are quartered, parts say where side and centre lie and which way is up, a fold is drawn as one", () => {
    const jogger = derivedOf(palazzoJob(HAND_BODY, { style: { id: "jogger", params: {} } }));
    expect(piece(jogger, "cuff").notches.filter((n) => n.pairs === "cuff")).toHaveLength(3);
    const faced = made({ waist: { kind: "facing" } });
    const texts = piece(faced, "facing-front").signs.words.map((w) => textOf(w.text));
    expect(texts).toEqual(expect.arrayContaining(["side", "centre front, on the fold"]));
    expect(piece(faced, "facing-front").signs.lines.length).toBeGreaterThan(3);
    const contour = made({ waist: { kind: "contour-band" } });
    expect(piece(contour, "band-back").signs.words.map((w) => textOf(w.text))).toEqual(
      expect.arrayContaining(["side", "centre back"]),
    );
  });

  test("an allowance that runs names what lies at its ends", () => {
    const derived = derivedOf(
      palazzoJob(HAND_BODY, {
        style: { id: "straight", params: {} },
        allowances: { edges: { "back.crotch": { from: "12 mm", to: "25 mm" } } },
      }),
    );
    expect(piece(derived, "back").edges.find((e) => e.edge === "crotch")?.ends).toEqual([
      "at the crotch",
      "at the waist",
    ]);
  });

  test("a yoke in one piece is marked where its sides were, and keeps its end on one front alone", () => {
    const yoked = derivedOf(
      palazzoJob(HAND_BODY, {
        style: { id: "yoke-flare", params: {} },
        moves: movesOf(...STRAIGHT, ["yoke", { joined: true, extension: "40 mm", extends: "left" }]),
        finish: { fastening: { kind: "fly", grown: "on", extension: "40 mm" } },
      }),
    );
    const yoke = yoked.pieces.find((p) => p.panel.id === "back-yoke");
    expect(yoke?.notches.filter((n) => n.pairs === "own")).toHaveLength(2);
    expect(yoke?.signs.words.map((w) => textOf(w.text))).toContain("the left end keeps this; trim the right end here");
    expect(yoke?.trims).toHaveLength(1);
    expect(yoked.checks.find((c) => c.id === "yoke-fly")?.status).toBe("pass");
  });
});
