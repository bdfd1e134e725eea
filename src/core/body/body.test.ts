import { questionsOf, resolveBody, type Body } from ".";
import { complaintsOf } from "../testing/said";

const card = (measures: Body["measures"], unit: Body["unit"] = "cm"): Body => ({ name: "", unit, measures });

function measures(body: Body) {
  const resolved = resolveBody(body);
  if (!resolved.ok) throw new Error(complaintsOf(resolved.errors));
  return resolved.measures;
}

describe("estimates", () => {
  test("what is missing is estimated with its sum, what is given is exact", () => {
    const m = measures(card({ waist: "29 1/8 in", hip: 104, height: 168 }));
    expect(m.waist).toMatchObject({ source: "given" });
    expect(m.waist.mm).toBeCloseTo(739.775, 6);
    expect(m.crotchDepth).toMatchObject({ mm: 285, source: "estimated", estimated: true }); // 1040 / 4 + 25
    expect(m.waistToHip.mm).toBe(216); // the smaller of 216 and 285 - 64
    expect(m.waistToFloor.mm).toBe(1050); // 0.625 x 1680
    expect(m.crotchDepth.sum).toSum("hip 1040 / 4 + 25");
  });

  test("small figures get a hip line well above the crotch line", () => {
    expect(measures(card({ waist: 52, hip: 60 })).waistToHip.mm).toBe(600 / 4 + 25 - 64);
  });
});

describe("refusals name the field and say what to do", () => {
  test.each([
    [{ hip: 104 }, "body.measures.waist", "needed"],
    [{ waist: "wide", hip: 104 }, "body.measures.waist", "not a length"],
    [{ waist: -70, hip: 104 }, "body.measures.waist", "more than nothing"],
    [{ waist: 70, hip: 1040 }, "body.measures.hip", "over 4 metres"],
  ])("%j", (given, path, words) => {
    const resolved = resolveBody(card(given));
    expect(resolved.ok).toBe(false);
    if (!resolved.ok) expect(resolved.errors[0]).toMatchObject({ path, says: expect.toSay(words) });
  });
});

test("a bust that a bodice is drafted from is asked for; trousers need none", () => {
  const bare = measures(card({ waist: 74, hip: 104 }));
  expect(questionsOf(bare)).toEqual([]);
  expect(questionsOf(bare, true)).toMatchObject([{ measure: "bust" }]);
  expect(questionsOf(measures(card({ waist: 74, hip: 104, bust: 92 })), true)).toEqual([]);
});

describe("questions, never refusals", () => {
  const asked = (given: Body["measures"], unit: Body["unit"] = "cm"): string[] =>
    questionsOf(measures(card(given, unit))).map((q) => q.measure);

  test("a usual card raises none", () => {
    expect(asked({ waist: 74, hip: 104, thigh: 60, knee: 39, crotchDepth: 28, waistToFloor: 105 })).toEqual([]);
  });
  test("a knee larger than the thigh", () => {
    expect(asked({ waist: 74, hip: 104, thigh: 38, knee: 60 })).toContain("knee");
  });
  test("a hip line below the crotch line", () => {
    expect(asked({ waist: 74, hip: 104, waistToHip: 30, crotchDepth: 28 })).toContain("waistToHip");
  });
  test("a girth in the wrong unit", () => {
    expect(asked({ waist: "29 cm", hip: "41 in" })).toContain("waist");
  });
});
