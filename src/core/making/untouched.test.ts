import { readdirSync, readFileSync } from "node:fs";
import { derive, type Derived } from "../derive";
import { readJob } from "../files";
import { plausibleBody, seededRandom } from "../testing/bodies";
import { HAND_BODY, palazzoJob } from "../testing/jobs";
import { randomFinish } from "../testing/randomFinish";
import { randomWorksheet } from "../testing/randomMoves";
import { STYLES } from "../styles";
import { makingOrder, USUAL_SCHOOLS } from ".";

/** What of a garment no step of its making touches: seams, what is bought, pieces. Counted from the garment, not from the steps. */
function untouched(derived: Derived): string[] {
  const order = makingOrder(derived, USUAL_SCHOOLS);
  const has = (what: (step: (typeof order)[number]) => boolean): boolean => order.some(what);
  return [
    ...derived.seams.filter((s) => !has((o) => o.seams.includes(s.id))).map((s) => `seam ${s.id}`),
    ...derived.seams
      .filter((s) => order.filter((o) => o.seams.includes(s.id)).length > 1)
      .map((s) => `seam ${s.id} twice`),
    ...derived.notions
      .filter((n) => !has((o) => o.notions.includes(n.id) || (n.of !== undefined && o.pieces.includes(n.of))))
      .map((n) => `notion ${n.id}`),
    ...derived.pieces.filter((p) => !has((o) => o.pieces.includes(p.id))).map((p) => `piece ${p.id}`),
  ];
}

const GARMENTS = "samples/garments";

test.each(readdirSync(GARMENTS))("every seam, notion and piece of %s is in a step", (file) => {
  const read = readJob(JSON.parse(readFileSync(`${GARMENTS}/${file}`, "utf8")));
  if (read.kind !== "job") throw new Error(`${file} is not read`);
  const derived = derive(read.job);
  expect(derived.ok && untouched(derived)).toEqual([]);
});

test.each(Object.keys(STYLES))("every seam, notion and piece of the style %s is in a step", (id) => {
  const derived = derive(palazzoJob(HAND_BODY, { style: { id, params: {} } }));
  expect(derived.ok && untouched(derived)).toEqual([]);
});

test("the waistband of a palazzo is sewn on, both its halves in one step", () => {
  const derived = derive(palazzoJob(HAND_BODY, { finish: { waist: { kind: "straight-band" } } }));
  if (!derived.ok) throw new Error("refused");
  const on = makingOrder(derived, USUAL_SCHOOLS).filter((o) => o.pieces.includes("waistband") && o.doing === "waist");
  expect(on.map((o) => o.seams)).toEqual([["waist-right", "waist-left"]]);
});

test("random garments: nothing is left out", () => {
  let made = 0;
  for (let seed = 7001; made < 60; seed++) {
    const { style, moves } = randomWorksheet(seed);
    const finish = randomFinish(seededRandom(seed + 1));
    const derived = derive(palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves, finish }));
    if (!derived.ok) continue;
    made++;
    expect({ seed, left: untouched(derived) }).toEqual({ seed, left: [] });
  }
});
