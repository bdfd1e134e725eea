import { readCloth } from "../derive/cloth";
import { forCupboard, forJob, leftOver } from "./cupboard";

const CLOTH = {
  name: "Dune twill",
  width: "150",
  length: 290,
  gap: "0,3",
  nap: true,
  repeat: { along: "12,5" },
  foldWidth: { value: "60", unit: "cm" },
} as const;

test("a cloth kept from a card in centimetres is as wide on a card in inches", () => {
  const kept = forCupboard(CLOTH, "Dune twill", "dune", "cm");
  for (const unit of ["in", "cm", "mm"] as const) {
    const read = readCloth(forJob(kept), unit);
    expect(read.errors).toEqual([]);
    expect(read.cloth).toMatchObject({
      width: 1500,
      length: 2900,
      lies: { foldWidth: 600, gap: 3, nap: true, repeat: { along: 125 } },
    });
  }
});

test("what is left over lies whole: as wide as the cloth, however it was folded", () => {
  const left = readCloth(forJob(leftOver(CLOTH, "Dune twill", "cm", 1500, 1050.7)), "in").cloth;
  expect([left.width, left.length, left.lies.foldWidth]).toEqual([1500, 1050, null]);
});
