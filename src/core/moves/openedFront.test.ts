import { derive } from "../derive";
import { plausibleBody } from "../testing/bodies";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { randomWorksheet } from "../testing/randomMoves";
import { said } from "../testing/said";

const passedOf = (style: string, ...moves: readonly string[]) =>
  derivedOf(
    palazzoJob(HAND_BODY, {
      style: { id: style, params: {} },
      moves: moves.map((move, i) => ({ id: `m${i}`, move, on: true, params: {} })),
    }),
  ).worksheet.flatMap((line) => (line.passed ? [[line.move, said(line.passed)] as const] : []));

test.each(["end-as-top", "style-line"])("%s after the front was folded back is passed over with a sentence", (move) => {
  expect(passedOf("cowl-top", "bodice", "fold-back", move)).toContainEqual([
    move,
    expect.stringMatching(/needs the centre of the .*front whole. Put this line before the one that opened it/),
  ]);
});

test("before it, both are made", () => {
  expect(passedOf("one-piece", "bodice", "style-line")).toEqual([]);
  expect(passedOf("cowl-top", "bodice", "end-as-top").map(([move]) => move)).not.toContain("end-as-top");
});

// Worksheets that once ended the work with an error of the program's own.
test.each([621, 752, 1396, 1742, 3142, 3726])("random worksheet %d is made, or says why not", (seed) => {
  const { style, moves } = randomWorksheet(seed);
  const derived = derive(palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves }));
  if (!derived.ok) for (const error of derived.errors) expect(said(error.says)).toMatch(/\.$/);
  else expect(derived.panels.length).toBeGreaterThan(1);
});
