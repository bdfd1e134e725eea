import { derive } from "../derive";
import { plausibleBody, seededRandom } from "../testing/bodies";
import { unequalAllowances } from "../testing/cutEdges";
import { palazzoJob } from "../testing/jobs";
import { randomFinish } from "../testing/randomFinish";
import { randomWorksheet } from "../testing/randomMoves";

// A crotch turned tighter than the fly's allowance is wide: its cut line stood still at the crotch point and ran off across it.
test.each([278, 297, 736, 1869])(
  "a hollow tighter than its allowance is cut as wide as its seam: garment %i",
  (seed) => {
    const { style, moves } = randomWorksheet(seed);
    const finish = randomFinish(seededRandom(seed + 1));
    const made = derive(palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves, finish }));
    expect(made.ok && unequalAllowances(made)).toEqual([]);
  },
);
