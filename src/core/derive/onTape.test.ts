import { plausibleBody } from "../testing/bodies";
import { derivedOf, HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import type { Job } from "../files";
import { SCHOOLS, type SchoolId } from "../drafting";
import type { Point } from "../geometry";

/** Numbers of the block that a maker chooses; all others follow from front and back agreeing. */
const CHOSEN = [
  "crotchDepth",
  "hipLevel",
  "kneeLevel",
  "blockLength",
  "frontWidth",
  "frontExtension",
  "backExtension",
  "waistQuarter",
];

const drafted = (body: Job["body"], onTape: boolean, school: SchoolId = "proportional"): Job =>
  palazzoJob(body, { style: { id: "straight", params: {} }, block: { school, rules: {}, ...(onTape && { onTape }) } });

const off = (mm: number, division: number): number => Math.abs(mm / division - Math.round(mm / division)) * division;

const drawnSchools = (Object.keys(SCHOOLS) as SchoolId[]).filter((school) => school !== "own");

test.each(drawnSchools)(
  "drafted on the tape by %s, every chosen number stands on it, and says what it was",
  (school) => {
    for (const [body, division] of [
      [HAND_BODY, 5],
      [plausibleBody(7), 5],
      [
        { ...HAND_BODY, unit: "in" as const, measures: { waist: "30 1/8", hip: "41 3/8", crotchDepth: "11 1/16" } },
        25.4 / 8,
      ],
    ] as const) {
      const [plain, tape] = [shapeOf(drafted(body, false, school)), shapeOf(drafted(body, true, school))];
      for (const name of CHOSEN) {
        const [was, is] = [plain.block.numbers[name], tape.block.numbers[name]];
        if (!was || !is) continue;
        expect([name, off(is.mm, division) < 1e-6]).toEqual([name, true]);
      }
      // What a sum of the card itself came to is told beside what is drawn.
      const [was, is] = [plain.block.numbers.frontWidth, tape.block.numbers.frontWidth];
      if (was && is && Math.abs(is.mm - was.mm) > 0.06) expect(is.asked).toBeCloseTo(was.mm, 6);
    }
  },
);

test("the block's own points stand where the numbers say, within a tenth of a millimetre", () => {
  const { front, block } = shapeOf(drafted(HAND_BODY, true));
  const at = (name: string): Point => front.landmarks[name] as Point;
  const mm = (name: string): number => block.numbers[name]?.mm ?? NaN;
  expect(at("crotchPoint")[1]).toBeCloseTo(mm("crotchDepth"), 1);
  expect(at("hipSide")[1]).toBeCloseTo(mm("hipLevel"), 1);
  expect(Math.abs(at("crotchPoint")[0] - at("hipSide")[0])).toBeCloseTo(mm("frontWidth") + mm("frontExtension"), 1);
});

test("seams agree on the tape as they do off it", () => {
  for (const style of ["palazzo", "flare", "jogger", "pleated"]) {
    const { checks } = derivedOf(
      palazzoJob(HAND_BODY, {
        style: { id: style, params: {} },
        block: { school: "proportional", rules: {}, onTape: true },
      }),
    );
    for (const id of ["side-seams", "inseams", "waist-seam"])
      expect([style, id, checks.find((c) => c.id === id)?.status ?? "pass"]).toEqual([style, id, "pass"]);
  }
});
