import { RUNS } from "../testing/runs";
import { edgeOf, landmarkOf, roleLength } from "../pattern";
import { Refusal } from "../units";
import { said } from "../testing/said";
import fc from "fast-check";
import {
  BACKS,
  draftBlock,
  presetFor,
  resolveRules,
  SCHOOLS,
  schoolRules,
  type BackHow,
  type DraftedSchool,
  type ResolvedRules,
  type Rules,
} from ".";
import { resolveBody, type BodyMeasures } from "../body";
import { pathCrossings, pathLength, segmentTangent } from "../geometry";
import { badPair, pinch } from "../testing/badOutline";
import { plausibleBody, seededRandom } from "../testing/bodies";
import { HAND_BODY } from "../testing/jobs";

const SCHOOL_IDS = Object.keys(SCHOOLS) as DraftedSchool[];
const BACK_IDS = Object.keys(BACKS) as BackHow[];

function measures(body = HAND_BODY): BodyMeasures {
  const resolved = resolveBody(body);
  if (!resolved.ok) throw new Error(said(resolved.errors[0]?.says));
  return resolved.measures;
}

const hand = measures();

/** The block of the hand body by a school with some rules of the maker's. */
function block(rules: Rules, school: DraftedSchool = "proportional", body = hand) {
  const set = resolveRules(school, [{ by: "maker", rules }], "mm");
  expect(set.errors).toEqual([]);
  return draftBlock(body, set.rules);
}

const number = (b: ReturnType<typeof block>, name: string): number => b.numbers[name]?.mm ?? NaN;

describe("a changed rule", () => {
  test("is listed as changed, by whom, and gone when it is put back", () => {
    const changed = (rules: Rules) => resolveRules("proportional", [{ by: "maker", rules }], "cm").changed;
    expect(changed({ ease: { front: 1 }, hipInch: "none", hang: "side" })).toEqual([
      { path: "ease.front", by: "maker" },
      { path: "hipInch", by: "maker" },
      { path: "hang.from", by: "maker" },
    ]);
    expect(changed({ ease: { front: 0 }, hipInch: "toKnee", dropAfterBack: false })).toEqual([]);
    expect(changed({})).toEqual([]);
  });

  test("a chosen back brings its own preset, and the maker's own numbers win over it", () => {
    const { rules, changed } = resolveRules(
      "proportional",
      [{ by: "maker", rules: { back: { how: "tilted", sideAdd: "1/2 in" } } }],
      "mm",
    );
    expect(rules.back).toMatchObject({ how: "tilted", rise: 64, sideAdd: 12.7, inAtCrotch: 0, crease: "own" });
    expect(rules.backExtension).toMatchObject({ from: "front", add: 50 });
    expect(changed.map((c) => c.path)).toEqual(["back.how", "back.sideAdd"]);
  });

  test("a length that cannot be read or drafted is refused under its own path", () => {
    const { errors } = resolveRules(
      "proportional",
      [{ by: "maker", rules: { ease: { front: "wide" }, back: { rise: "40 cm" }, thigh: { girth: "none" } } }],
      "cm",
    );
    expect(errors.map((e) => e.path)).toEqual(["block.rules.ease.front", "block.rules.back.rise"]);
    for (const { says } of errors) expect(said(says)).toMatch(/\.$/);
  });
});

describe("a limit never hides the maker's number", () => {
  test.each([
    [{ hollow: { front: 38 } }, "frontHollow", 38, 26], // half of the extension 52
    [{ frontExtension: { from: "fixed", value: 4 } }, "frontExtension", 4, 20],
    [{ back: { drop: 25 } }, "backCrotchDrop", 25, null],
    [{ curve: { steer: "outAndUp", up: 25 } }, "frontSteer", 25, 41.6], // 0.8 of the extension 52
    [{ waist: { frontLength: 250 } }, "frontDartLength", 250, 157.4], // 210 to the hip line less 50, and 2.6 for the curved waist
  ] as const)("%j", (rules, name, asked, drawn) => {
    const made = block(rules as Rules);
    expect(made.numbers[name]?.asked).toBeCloseTo(asked, 6);
    if (drawn !== null) expect(number(made, name)).toBeCloseTo(drawn, 1);
    else expect(number(made, name)).not.toBeCloseTo(asked, 1);
  });
});

describe("each option does what it says", () => {
  test("crotch depth by every rule", () => {
    const depth = (crotchDepth: Rules["crotchDepth"]): number => number(block({ crotchDepth }), "crotchDepth");
    expect(depth({ from: "hip4" })).toBe(260); // 1040 / 4
    expect(depth({ from: "crotchLength2" })).toBe(340); // 680 / 2
    expect(depth({ from: "hipLine", add: 25 })).toBe(235); // 210 + 25
    expect(depth({ from: "fixed", value: "11 in" })).toBeCloseTo(279.4, 6);
  });

  test("extensions by every rule", () => {
    const front = (from: NonNullable<Rules["frontExtension"]>["from"]): number =>
      number(block({ frontExtension: { from } }), "frontExtension");
    expect([front("hip16"), front("hip8"), front("quarter4"), front("thigh")]).toEqual([65, 130, 65, 40]);
    expect(front("girth")).toBeCloseTo(51 + (13 * 140) / 300, 6); // by the hip: 1040 lies 140 over 900
    const back = (from: NonNullable<Rules["backExtension"]>["from"]): number =>
      number(block({ backExtension: { from } }), "backExtension");
    expect([back("front"), back("frontTwice")]).toEqual([52, 104]);
  });

  test("width from the waist: a quarter with its dart, the hip only checked", () => {
    // 760 / 4 + 25 + 30
    expect(number(block({ width: { from: "waist", add: 30 } }), "frontWidth")).toBe(245);
  });

  test("the hip inch: left out, at the hip only, or down the leg", () => {
    const extra = (hipInch: Rules["hipInch"]) => {
      const made = block(hipInch ? { hipInch } : {});
      return [number(made, "backWidth"), number(made, "backExtra")];
    };
    expect(extra(undefined)).toEqual([285, 25]);
    expect(extra("none")).toEqual([260, 25]);
    expect(extra("throughout")).toEqual([285, 50]);
  });

  test("a dart on the crease, at half the bust span, or where the maker wants it", () => {
    const mouth = (dart: Rules["dart"]) => {
      const front = block({ dart }).panels[0];
      const dartLine = front.lines.find((l) => l.kind === "dart")?.points ?? [];
      const [a, b] = [dartLine[0] as readonly [number, number], dartLine[2] as readonly [number, number]];
      return {
        middle: (a[0] + b[0]) / 2,
        fromCentre: Math.abs((a[0] + b[0]) / 2 - landmarkOf(front, "waistCentre")[0]),
      };
    };
    expect(Math.abs(mouth({ at: "crease" }).middle)).toBeLessThan(1.5);
    expect(mouth({ at: "bust" }).fromCentre).toBeCloseTo(hand.bustSpan.mm / 2, -0.5);
    expect(mouth({ at: "fixed", value: 80 }).fromCentre).toBeCloseTo(80, -0.5);
  });

  test("a back dart parallel to the centre back", () => {
    const back = block({ dart: { run: "parallel" } }).panels[1];
    const [a, tip, b] = (back.lines.find((l) => l.kind === "dart")?.points ?? []) as readonly (readonly [
      number,
      number,
    ])[];
    const middle = [((a?.[0] ?? 0) + (b?.[0] ?? 0)) / 2, ((a?.[1] ?? 0) + (b?.[1] ?? 0)) / 2] as const;
    const axis = Math.atan2((tip?.[0] ?? 0) - middle[0], (tip?.[1] ?? 0) - middle[1]);
    const centre = edgeOf(back, "crotch").path.at(-1);
    if (!centre) throw new Error("the back has no centre line");
    const [dx, dy] = segmentTangent(centre, 0);
    expect(axis).toBeCloseTo(Math.atan2(-dx, -dy), 2);
  });

  test("waist shaping: no dart, hip-wide, or all at the centre back", () => {
    const shaped = (shaping: NonNullable<Rules["waist"]>["shaping"]) => {
      const made = block({ waist: { shaping } });
      const darts = made.panels.flatMap((p) => p.lines.filter((l) => l.kind === "dart")).length;
      const waist = 2 * made.panels.reduce((sum, p) => sum + roleLength(p, "waist"), 0);
      return { made, darts, waist };
    };
    expect(shaped("none")).toMatchObject({ darts: 0, waist: expect.closeTo(760, 1) as number });
    const wide = shaped("hipWide");
    expect(wide.darts).toBe(0);
    expect(wide.waist).toBeCloseTo(number(wide.made, "waistHipWide"), 1);
    expect(wide.waist).toBeCloseTo(2 * (260 + 285), 1);
    const centre = shaped("centreBack");
    // What the centre back cannot take stays in the waist, to be fitted on the cloth.
    expect(centre.waist - number(centre.made, "waistLeft")).toBeCloseTo(760, 0);
  });

  test("a leg hung from the side falls straight there, and the inseam takes the rest", () => {
    const [front] = block({ hang: { from: "side", by: 20 } }).panels;
    expect(landmarkOf(front, "hipSide")[0] - landmarkOf(front, "kneeSide")[0]).toBeCloseTo(-20, 6);
    expect(landmarkOf(front, "hemSide")[0]).toBeCloseTo(landmarkOf(front, "kneeSide")[0], 6);
    expect(landmarkOf(front, "kneeInseam")[0] - landmarkOf(front, "kneeSide")[0]).toBeCloseTo((480 - 25) / 2, 6);
  });

  test("a crease set off from the middle keeps the leg's halves equal about it", () => {
    const [front] = block({ hang: { from: "offset", by: 15 } }).panels;
    expect(landmarkOf(front, "hipSide")[0]).toBeCloseTo(-156 + 15, 6);
    expect(landmarkOf(front, "kneeSide")[0]).toBeCloseTo(-landmarkOf(front, "kneeInseam")[0], 6);
  });

  test("a thigh girth leads both sides through the thigh line", () => {
    const made = block({ thigh: { below: 50, girth: 720 } });
    const y = made.plan.levels.crotch + 50;
    const width = made.panels.reduce((sum, panel) => {
      const side = pathCrossings(edgeOf(panel, "side").path, y)[0] as number;
      const inseam = pathCrossings(edgeOf(panel, "inseam").path, y)[0] as number;
      return sum + Math.abs(side - inseam);
    }, 0);
    expect(width).toBeCloseTo(720, 0);
    expect(badPair(...made.panels, 3)).toEqual([]);
  });

  test("the front drop applied after the back is made leaves a traced back where it was", () => {
    const rise = (dropAfterBack: boolean): number =>
      landmarkOf(block({ dropAfterBack, waist: { frontDrop: 20 } }, "traced").panels[1], "waistCentre")[1];
    expect(rise(false)).toBeCloseTo(-20, 6); // traced from 20 down, 40 up
    expect(rise(true)).toBeCloseTo(-40, 6);
  });

  test("a ruled inseam is straight from the crotch point to the knee", () => {
    const [front] = block({ leg: { inseam: "straight" } }).panels;
    expect(edgeOf(front, "inseam").path.filter((s) => s.kind === "line").length).toBeGreaterThan(0);
    const [a, b] = [landmarkOf(front, "crotchPoint"), landmarkOf(front, "kneeInseam")];
    const mid = pathCrossings(edgeOf(front, "inseam").path, (a[1] + b[1]) / 2)[0];
    expect(mid).toBeCloseTo((a[0] + b[0]) / 2, 1);
  });

  test("a high waist stands above, and every level still counts from the natural waist", () => {
    const [plain, high] = [block({}), block({ level: { high: 50 } })];
    expect(landmarkOf(high.panels[0], "waistSide")[1]).toBeCloseTo(-60, 5); // 50 above, the side 10 more
    expect(high.plan.levels.hip).toBe(plain.plan.levels.hip);
    expect(high.plan.levels.hem).toBe(plain.plan.levels.hem);
  });

  test("girths carded with their ease get no more", () => {
    const eased = measures({
      ...HAND_BODY,
      measures: { ...HAND_BODY.measures, hip: { length: 1100, net: false }, knee: { length: 500, net: false } },
    });
    const made = block({ ease: { front: 20, back: 20 } }, "proportional", eased);
    expect([number(made, "frontWidth"), number(made, "blockLegGirth")]).toEqual([275, 500]); // 1100 / 4; the knee as carded
    expect(said(made.numbers.frontWidth?.sum)).toContain("with its ease");
  });
});

test("the crotch runs on and the inseams agree however the curve is steered", () => {
  for (const steer of ["diagonal", "hipPoint", "outAndUp"] as const) {
    const made = block({ curve: { steer } });
    expect(badPair(...made.panels, 3)).toEqual([]);
    expect(made.numbers.frontHollow?.mm).toBeGreaterThan(15);
  }
});

describe("every school and every back, on random plausible bodies", () => {
  const pairs = SCHOOL_IDS.flatMap((school) => BACK_IDS.map((how) => [school, how] as const));

  /** The faults of a draft; a refusal must name a measure or a rule in a sentence, and is none. */
  function faults(seed: number, rules: ResolvedRules): string[] {
    const body = measures(plausibleBody(seed));
    try {
      const { panels, plan } = draftBlock(body, rules);
      const pinched = plan.thigh ? [] : panels.flatMap((p) => pinch(p, plan.levels.crotch, plan.levels.knee));
      return [...badPair(...panels, rules.inseam.backShorter), ...pinched];
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      expect(error.path).toMatch(/^(body\.measures|block\.rules)\.\w+/);
      expect(error.message).toMatch(/\.$/);
      return [];
    }
  }

  test.each(pairs)("%s with the %s back: no bad outline, front and back agree", (school, how) => {
    const rules = presetFor(school, how, "cm");
    const own = schoolRules(school, "cm").back.how === how;
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => expect(faults(seed, rules)).toEqual([])),
      { numRuns: own ? RUNS : Math.ceil((2 * RUNS) / 3), seed: 20261123 },
    );
  });

  test("and with every option drawn at random", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2 ** 31 }), (seed) => {
        const random = seededRandom(seed ^ 0x5bd1);
        const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T;
        const base = presetFor(pick(SCHOOL_IDS), pick(BACK_IDS), "cm");
        const rules: ResolvedRules = {
          ...base,
          waist: { ...base.waist, shaping: pick(["darts", "none", "hipWide", "centreBack"]) },
          curve: {
            steer: pick(["diagonal", "hipPoint", "outAndUp"]),
            start: pick(["hip", "halfway"]),
            out: 13,
            up: 50,
          },
          dart: { at: pick(["mid", "crease", "bust", "fixed"]), run: pick(["square", "parallel"]), value: 90 },
          hang: { from: pick(["crease", "side", "inseam", "offset"]), by: 15 * random() },
          hipInch: pick(["toKnee", "hipOnly", "throughout", "none"]),
          leg: { ...base.leg, fall: pick(["shared", "down"]), inseam: pick(["auto", "straight"]) },
          level: { high: pick([0, 0, 50]) },
          dropAfterBack: pick([true, false]),
          hollow: { ...base.hollow, from: pick(["asked", "quarter"]) },
        };
        expect(faults(seed, rules)).toEqual([]);
      }),
      { numRuns: RUNS, seed: 20261123 },
    );
  });
});

test("side and inseam agree for every school and back to a hundredth on the hand body", () => {
  for (const school of SCHOOL_IDS)
    for (const how of BACK_IDS) {
      const [front, back] = draftBlock(hand, presetFor(school, how, "cm")).panels;
      const length = (panel: typeof front, id: string): number => pathLength(edgeOf(panel, id).path);
      expect(Math.abs(length(front, "side") - length(back, "side"))).toBeLessThan(0.01);
      expect(length(front, "inseam") - length(back, "inseam")).toBeCloseTo(3, 2);
    }
});
