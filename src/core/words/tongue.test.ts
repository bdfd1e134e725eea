import { capital, decimal, inSentence, inTongue, keepAsTyped, listOf, phrase, speak, tongueTag, type Locale } from ".";
import { asSentence, count, fill, joined, partsOf, readLength, say, tell, typed } from "../units";

const MESSAGES: Readonly<Record<string, string>> = {
  "{1} of {2}": "aus {2}: {1}",
  "Lay {1} on {2}.": "Auf {2}: {1}.",
  "Move it {by} down.": "Abwärts {by}.",
  "Take {{1}Width} off.": "{{1}Width} ab.",
  Front: "Vorn",
  front: "vorn",
  ", twice": ", zweimal",
};

/** A made-up language that turns sentences round and writes with a comma. */
const TURNED: Locale = { tag: "xx", decimalMark: ",", keepsCapitals: true, message: (english) => MESSAGES[english] };

beforeEach(() => speak(TURNED));
afterEach(() => speak(null));

test("text and its places come in the order of the tongue, and what is put in is said in it too", () => {
  expect(phrase`${3} of ${"Front"}`).toBe("aus Vorn: 3");
  expect(phrase`${"Kelp crepe"} of ${"Front"}`).toBe("aus Vorn: Kelp crepe");
  expect(inTongue("Kelp crepe")).toBe("Kelp crepe");
  expect(listOf(["Front", "Kelp crepe"])).toBe("Vorn, Kelp crepe");
});

test("white space at the ends is no part of a text", () => {
  expect(inTongue("  , twice ")).toBe("  , zweimal ");
  expect(phrase` ${1} of ${2} `).toBe(" aus 2: 1 ");
});

test("a sentence keeps its numbers, whatever place they take", () => {
  const sentence = say`Lay ${say`${count(2)} of ${"Front"}`} on ${1200}.`;
  expect(tell(sentence, "cm")).toBe("Auf 120,0 cm: aus Vorn: 2.");
  expect(partsOf(sentence)).toContainEqual({ kind: "length", mm: 1200 });
});

test("the name of a number stays, and numbers are filled in by it", () => {
  expect(phrase`Take {${"front"}Width} off.`).toBe("{frontWidth} ab.");
  expect(tell(fill("Move it {by} down.", { by: { kind: "length", mm: 25 } }), "cm")).toBe("Abwärts 2,5 cm.");
});

test("a sentence that was made in English is said in the tongue", () => {
  speak(null);
  const made = say`Lay ${count(1)} on ${500}.`;
  speak(TURNED);
  expect(tell(made, "cm")).toBe("Auf 50,0 cm: 1.");
});

test("small inside a sentence in English, as it is where nouns are large", () => {
  expect(inSentence("Front")).toBe("Vorn");
  expect(capital("front")).toBe("Vorn");
  expect(decimal("12.5 of 3. kind")).toBe("12,5 of 3. kind");
  speak(null);
  expect([inSentence("Front"), capital("front"), decimal("12.5"), tongueTag()]).toEqual([
    "front",
    "Front",
    "12.5",
    "en",
  ]);
});

test("a message with a place that English has not is refused", () => {
  speak({ ...TURNED, message: (english) => (english === "{1} of {2}" ? "{3}" : undefined) });
  expect(() => phrase`${1} of ${2}`).toThrow(/place that is not in English/);
});

test("what a maker typed is hers in every tongue, wherever it is put", () => {
  keepAsTyped({ name: "Front", job: { note: "of", moves: [{ id: "front" }] } });
  expect(inTongue("Front")).toBe("Front");
  expect(phrase`${"Front"} of ${"front"}`).toBe("aus vorn: Front");
});

test("braces that somebody wrote are told as they were written", () => {
  for (const text of ["{a}", "{1}", "{constructor}"]) {
    const read = readLength(text, "cm");
    expect(tell(asSentence(read.ok ? "" : read.message), "cm")).toContain(`“${text}” is not a length`);
    expect(tell(say`Lay ${typed(text)} on ${text}.`, "cm")).toBe(`Auf ${text}: ${text}.`);
  }
});

test("what somebody wrote stands in a sentence as it was written, though it is a word of the program", () => {
  const sentence = say`Lay ${typed("front")} on ${"front"}.`;
  expect(tell(sentence, "cm")).toBe("Auf vorn: front.");
  expect(tell(joined([sentence, say`${typed("of")}`], " "), "cm")).toBe("Auf vorn: front. of");
});
