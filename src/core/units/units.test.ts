import fc from "fast-check";
import {
  angle,
  count,
  exactLength,
  fill,
  formatLength,
  formatSize,
  formulaOf,
  keptText,
  making,
  parseLength,
  quantity,
  range,
  ratio,
  readLength,
  Refusal,
  roundingNote,
  roundToTape,
  sameSentence,
  say,
  tell,
  tellSum,
} from ".";

const mm = (text: string, unit: "in" | "cm" | "mm" = "in"): number => {
  const read = parseLength(text, unit);
  if (!read.ok) throw new Error(read.message);
  return read.mm;
};

describe("lengths as people write them", () => {
  test.each([
    ["28 3/8", "in", 28.375 * 25.4],
    ['28-3/8"', "cm", 28.375 * 25.4],
    ["28⅜", "in", 28.375 * 25.4],
    ["28.375", "in", 28.375 * 25.4],
    ["3/4 in", "cm", 19.05],
    ["72,5 cm", "in", 725],
    ["725mm", "in", 725],
    ["72.5", "cm", 725],
    ["-20 mm", "cm", -20],
    ["10 ½", "in", 266.7],
  ] as const)("%s in %s", (text, unit, expected) => {
    expect(mm(text, unit)).toBeCloseTo(expected, 9);
  });

  test.each(["seventy", "12 13", "1/0", "", "12 furlongs", "1e5", "NaN", "--3"])(
    "refuses %p with a sentence",
    (text) => {
      const read = parseLength(text, "cm");
      expect(read.ok).toBe(false);
      if (!read.ok) expect(read.message).toMatch(/\.$/);
    },
  );

  test("a comma before three figures can be read two ways, and is asked about", () => {
    expect(parseLength("1,050 mm", "mm")).toEqual({
      ok: false,
      message: expect.stringContaining("1050 or 1.050") as string,
    });
  });

  test("keeps what was stored with a unit beside it", () => {
    expect(readLength({ value: "28 3/8", unit: "in" }, "cm")).toEqual({ ok: true, mm: 28.375 * 25.4 });
  });

  test("a number typed on the other tape keeps its unit", () => {
    expect(keptText("28 3/8", "in", "cm")).toBe("28 3/8 in");
    expect(keptText("28 3/8", "in", "in")).toBe("28 3/8");
    expect(keptText("72 cm", "in", "in")).toBe("72 cm");
  });
});

describe("printing on the tape", () => {
  test.each([
    [28.375 * 25.4, "in", "28 3/8 in"],
    [19.05, "in", "3/4 in"],
    [254, "in", "10 in"],
    [725.04, "cm", "72.5 cm"],
    [-12.7, "in", "−1/2 in"],
    [0, "in", "0 in"],
  ] as const)("%p on %s", (value, tape, text) => {
    expect(formatLength(value, tape)).toBe(text);
  });

  test("says what rounding changed, and nothing when it changed nothing", () => {
    expect(roundingNote(66, "cm")).toBeNull();
    expect(roundingNote(66, "in")).toBe("on the tape 2 5/8 in, 0.7 mm more");
  });

  test("a printed length reads back within half a division; an exact one reads back exactly", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 2000, noNaN: true }),
        fc.constantFrom("in" as const, "cm" as const),
        (value, tape) => {
          expect(Math.abs(mm(formatLength(value, tape)) - roundToTape(value, tape).mm)).toBeLessThan(1e-6);
          expect(Math.abs(mm(exactLength(value)) - value)).toBeLessThan(1e-4);
        },
      ),
    );
  });
});

describe("sentences on the maker's tape", () => {
  test.each([
    [say`A casing is ${range(10, 120)} deep.`, "A casing is 3/8 to 4 3/4 in deep.", "A casing is 1 to 12 cm deep."],
    [
      say`The largest that works is ${1032}.`,
      "The largest that works is 40 5/8 in.",
      "The largest that works is 103.2 cm.",
    ],
    [
      say`A flounce starts between ${range(360, 320, "and")} below the waist.`,
      "A flounce starts between 12 5/8 and 14 1/8 in below the waist.",
      "A flounce starts between 32 and 36 cm below the waist.",
    ],
    [say`The sides are ${making(1.234)} apart.`, "The sides are 1.2 mm apart.", "The sides are 1.2 mm apart."],
    [
      say`It turns by ${angle(12.34)} in ${count(3)} parts.`,
      "It turns by 12.3 degrees in 3 parts.",
      "It turns by 12.3 degrees in 3 parts.",
    ],
    [say`It has to come before “${"Slash"}”.`, "It has to come before “Slash”.", "It has to come before “Slash”."],
  ])("%j", (sentence, inches, centimetres) => {
    expect(tell(sentence, "in")).toBe(inches);
    expect(tell(sentence, "cm")).toBe(centimetres);
  });

  test("a sum is told without units, in the maker's numbers", () => {
    const hip = quantity(1041.4, "from the card");
    const quarter = quantity(hip.mm / 4 + 25.4, say`hip ${hip.mm} / 4 + ${25.4}`, { hip });
    expect(tellSum(quarter.sum, "in")).toBe("hip 41 / 4 + 1");
    expect(tellSum(quarter.sum, "cm")).toBe("hip 104.1 / 4 + 2.5");
    expect(formulaOf(quarter)).toBe("hip 1041.4 / 4 + 25.4");
  });

  test("a template is filled by name, and a name without a number is an error of the program", () => {
    const depth = quantity(254, "as chosen");
    expect(tell(fill("Crotch line {depth} below the waist.", { depth }), "in")).toBe(
      "Crotch line 10 in below the waist.",
    );
    expect(() => fill("Crotch line {depth} below.", {})).toThrow(/depth/);
  });

  test("taken into another, a sentence says the same", () => {
    const whole = say`First: ${say`a ${10} b`} and ${ratio(0.333)}.`;
    expect(tell(whole, "cm")).toBe("First: a 1.0 cm b and 0.333.");
    expect(sameSentence(whole, say`First: a ${10} b and ${ratio(0.333)}.`)).toBe(true);
    expect(sameSentence(whole, say`First: a ${11} b and ${ratio(0.333)}.`)).toBe(false);
  });

  test("a refusal keeps its sentence when its place is named from further out", () => {
    const refusal = new Refusal("gap", say`At most ${600}.`, { most: 600 }).at("moves.2.params.gap");
    expect(refusal.complaint).toEqual({ path: "moves.2.params.gap", says: say`At most ${600}.`, most: 600 });
    expect(refusal.message).toBe("At most 60.0 cm.");
  });

  test("how a length is written is told by examples in the unit of the card", () => {
    for (const [unit, example] of [
      ["in", "28 3/8"],
      ["cm", "72.5"],
      ["mm", "725"],
    ] as const) {
      const read = parseLength("wide", unit);
      expect(read.ok ? "" : read.message).toContain(`Write it like ${example}`);
    }
  });
});

test("a size says its unit once, on either tape", () => {
  expect(formatSize([2900, 1500], "cm")).toBe("290.0 by 150.0 cm");
  expect(formatSize([25.4, 38.1], "in")).toBe("1 by 1 1/2 in");
  expect([formatSize([1500], "cm"), formatSize([], "cm")]).toEqual(["150.0 cm", ""]);
});
