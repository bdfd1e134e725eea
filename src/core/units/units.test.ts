import fc from "fast-check";
import { exactLength, formatLength, keptText, onTape, parseLength, readLength, roundingNote, roundToTape } from ".";

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

describe("a refusal on the maker's tape", () => {
  test.each([
    ["A casing is 1 to 12 cm deep.", "A casing is 3/8 to 4 3/4 in deep."],
    ["The largest that works is 103.2 cm.", "The largest that works is 40 5/8 in."],
    [
      "A flounce starts between 36.0 cm and 32.0 cm below the waist.",
      "A flounce starts between 14 1/8 in and 12 5/8 in below the waist.",
    ],
    [
      "The crotch line can move -55 to 35 mm here, not -80 mm.",
      "The crotch line can move −2 1/8 to 1 3/8 in here, not −3 1/8 in.",
    ],
    ["There is no room to lay 60 mm over.", "There is no room to lay 2 3/8 in over."],
    ["It has to come before “Slash and spread”. Move it up.", "It has to come before “Slash and spread”. Move it up."],
  ])("%s", (sentence, told) => {
    expect(onTape(sentence, "in")).toBe(told);
    expect(onTape(sentence, "cm")).toBe(sentence);
  });

  test("how a length is written is told with the same examples on every tape", () => {
    const read = parseLength("wide", "in");
    if (read.ok) throw new Error("it should be refused");
    expect(onTape(read.message, "in")).toBe(read.message);
    expect(read.message).toMatch(/72\.5 cm/);
  });
});
