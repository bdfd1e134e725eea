import type { Derived } from "../derive";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { movesOf, STRAIGHT } from "../testing/worksheet";
import type { Job } from "../files";
import { panelMap, type Panel } from "../pattern";
import { slitLeg } from "./construction";
import type { Inspected } from "./check";

const of = (more: Partial<Job>, body = HAND_BODY): Derived =>
  derivedOf(palazzoJob(body, { style: { id: "straight", params: {} }, ...more }));
const check = (derived: Derived, id: string) => derived.checks.find((c) => c.id === id);

describe("each is silent on what is sound, and told where the fault is built", () => {
  test("crotch line less than 50 below the hip line", () => {
    expect(check(of({}), "crotch-below-hip")?.status).toBe("pass");
    const shallow = { ...HAND_BODY, measures: { ...HAND_BODY.measures, waistToHip: 240, crotchDepth: 270 } };
    expect(check(of({}, shallow), "crotch-below-hip")).toMatchObject({ status: "look", value: 30 });
  });

  test("waist ease: a waist left as wide as the hip, one smaller than the body, one gathered into its band", () => {
    expect(check(of({}), "waist-ease")?.status).toBe("pass");
    const block = { school: "proportional", rules: { waist: { shaping: "hipWide" } } } as const;
    expect(check(of({ block }), "waist-ease")).toMatchObject({
      status: "look",
      message: expect.toSay("still to be taken in"),
    });
    expect(
      check(of({ block, finish: { waist: { kind: "casing" }, fastening: { kind: "none" } } }), "waist-ease"),
    ).toBeUndefined();
    const left = { school: "proportional", rules: { waist: { shaping: "centreBack" } } } as const;
    const slim = { ...HAND_BODY, measures: { ...HAND_BODY.measures, waist: 640 } };
    expect(check(of({ block: left }, slim), "waist-ease")?.status).toBe("look");
    const tight = { school: "proportional", rules: { waist: { ease: "-40 mm" } } } as const;
    // Asked for with less than the body, it is as asked; the ease is what is compared.
    expect(check(of({ block: tight }), "waist-ease")?.status).toBe("pass");
  });

  test("a slit leg that comes out wider than the plain one", () => {
    const slit = of({ style: { id: "front-slit", params: {} } });
    expect(check(slit, "slit-leg")?.status).toBe("pass");
    const wider = slit.panels.map((p): Panel => (p.half === "left" ? panelMap(p, ([x, y]) => [x * 1.03, y]) : p));
    const found = slitLeg.measure({ legs: wider, plan: slit.plan } as unknown as Inspected);
    expect(found?.status).toBe("fault");
    expect(check(of({}), "slit-leg")).toBeUndefined();
  });

  test("a yoke's end and a fly of different widths", () => {
    const yoked = (extension: string) =>
      of({
        style: { id: "yoke-flare", params: {} },
        moves: movesOf(...STRAIGHT, ["yoke", { extension }]),
        finish: { fastening: { kind: "fly", grown: "on", extension: "38 mm" } },
      });
    expect(check(yoked("38 mm"), "yoke-fly")?.status).toBe("pass");
    expect(check(yoked("50 mm"), "yoke-fly")?.status).toBe("look");
    expect(check(yoked("0 mm"), "yoke-fly")).toBeUndefined();
  });

  test("a tube too narrow to be stitched round", () => {
    const jogger = (girth: string) =>
      of({ style: { id: "jogger", params: {} }, finish: { hem: { kind: "cuff", girth } } });
    expect(check(jogger("200 mm"), "casing-tube")?.status).toBe("look");
    expect(check(jogger("260 mm"), "casing-tube")?.status).toBe("pass");
  });

  test("half girths are those of the outlines, and add up to the readings", () => {
    const derived = of({});
    const half = (level: string) => derived.readings.halfGirths.find((h) => h.level === level);
    expect((half("waist")?.front ?? 0) + (half("waist")?.back ?? 0)).toBeCloseTo(derived.readings.waistGirth, 6);
    expect((half("hip")?.front ?? 0) + (half("hip")?.back ?? 0)).toBeCloseTo(derived.readings.hipGirth, 6);
    expect((half("knee")?.front ?? 0) + (half("knee")?.back ?? 0)).toBeCloseTo(derived.readings.kneeGirth ?? NaN, 6);
    expect(check(derived, "half-girths")?.message).toSay(/waist .* and .*; hip/);
  });

  test("rounding to the tape that adds up to more than 3 mm", () => {
    expect(check(of({}), "tape-rounding")?.status).toBe("pass");
    // Widths half-way between two eighths all round up: four panels, 1.6 each.
    const inches = { name: "", unit: "in" as const, measures: { hip: 40.25, waist: 30.25, height: 66 } };
    const looks = [0.25, 0.5, 0.75, 1].map(
      (more) =>
        check(of({}, { ...inches, measures: { ...inches.measures, waist: 30 + more } }), "tape-rounding")?.status,
    );
    expect(looks).toContain("look");
    expect(looks).toContain("pass");
  });
});

describe("the halves about the crease", () => {
  test.each(["crease", "side", "inseam"] as const)(
    "are told at crotch line, knee and hem where the leg hangs from its %s",
    (from) => {
      const derived = of({ block: { school: "proportional", rules: { hang: { from } } } });
      const found = check(derived, "crease-balance");
      expect(found?.status).toBe("pass");
      expect(found?.message).toSay(/on the crotch line, .* at the knee, .* at the hem/);
      const crotch = derived.readings.creaseHalves.find((h) => h.panel === "front" && h.level === "crotch");
      // The crease halves width and extension as they were measured; the drawn side has come in a little by then.
      expect(Math.abs((crotch?.side ?? 0) - (crotch?.inseam ?? 0))).toBeLessThan(9);
    },
  );
});

test("an asked hem that is not met is a fault, though the line that should give it was passed over", () => {
  const derived = of({
    style: { id: "bell-flounce", params: { length: "shorts", hemGirth: "1800 mm" } },
  });
  const spread = derived.worksheet.find((l) => l.move === "flounce");
  expect(spread?.passed).not.toBeNull();
  expect(check(derived, "leg-sum")?.status).toBe("fault");
});
