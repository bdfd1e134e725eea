import type { Param } from "@/core/params";
import { derive, type Derived } from "@/core/derive";
import { noticesOf } from "@/core/derive/handOver";
import { tell, tellSum, wordsOn, type Sentence, type Tape, type Words, joined, partsOf, say } from "@/core/units";
import { SAMPLE_JOBS } from "@/store/sampleWorkroom";
import { RULE_SECTIONS } from "@/core/drafting";
import { FINISHES } from "@/core/finish";

/** Millimetres, told to a maker. */
const MAKER = /\d ?mm\b/;

/** A sentence without what is told in millimetres on every tape: the tolerances of making. */
const withoutMaking = (sentence: Sentence): Sentence =>
  joined(
    partsOf(sentence)
      .filter((part) => typeof part === "string" || part.kind !== "making")
      .map((part) => say`${part}`),
  );

/** What the rows of some parameters say. */
const rowsOf = (params: Readonly<Record<string, Param>>): Words[] =>
  Object.values(params).flatMap((p) => [p.label, ...("options" in p ? p.options.map(([, words]) => words) : [])]);

/** Every sentence a derived job says. */
function sentencesOf(derived: Derived): Sentence[] {
  return [
    ...derived.block.steps.map((s) => s.sentence),
    ...derived.worksheet.flatMap((l) => [l.sentence, ...(l.passed ? [l.passed] : [])]),
    ...derived.checks.flatMap((c) => [c.message, ...(c.fix ? [c.fix] : []), ...(c.remedy ? [c.remedy.label] : [])]),
    ...derived.advice.flatMap((a) => [a.message, a.reason]),
    ...derived.undecided,
    ...derived.notions.flatMap((n) => [n.label, ...(n.note ? [n.note] : [])]),
    ...noticesOf(derived),
  ];
}

describe.each(["in", "cm"] as const)("on a card in %s", (tape: Tape) => {
  test.each(SAMPLE_JOBS.map(({ job }) => [job.name, job] as const))(
    "%s says no millimetres but in making",
    (_, job) => {
      const derived = derive({ ...job, body: { ...job.body } });
      if (!derived.ok) throw new Error("a sample is refused");
      const told = sentencesOf(derived).map((s) => tell(withoutMaking(s), tape));
      const sums = [derived.block.numbers, ...derived.worksheet.map((l) => l.numbers)].flatMap((numbers) =>
        Object.values(numbers).map((q) => tellSum(q.sum, tape)),
      );
      expect(told.length).toBeGreaterThan(30);
      expect([...told, ...sums].filter((text) => MAKER.test(text))).toEqual([]);
    },
  );

  test("no word of the forms does", () => {
    const words: Words[] = [
      ...RULE_SECTIONS.flatMap((s) => s.rows).flatMap(({ path: [name], param }) => [
        ...rowsOf({ [name]: param }),
        ...(param.note ? [param.note] : []),
      ]),
      ...Object.values(FINISHES)
        .flat()
        .flatMap((kind) => [kind.words, ...(kind.note ? [kind.note] : []), ...rowsOf(kind.params)]),
    ];
    expect(words.map((w) => wordsOn(w, tape)).filter((text) => MAKER.test(text))).toEqual([]);
    const other = tape === "in" ? /\bcm\b/ : /\bin\b(?! (the|total|a|front|back))/;
    expect(
      words
        .filter((w) => typeof w !== "string")
        .map((w) => wordsOn(w, tape))
        .filter((t) => other.test(t)),
    ).toEqual([]);
  });
});
