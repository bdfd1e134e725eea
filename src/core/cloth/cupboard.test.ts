import { readCloth } from "../derive/cloth";
import { tell } from "../units";
import { cupboardClothSchema, forCupboard, forJob, leftOver, sameCloth } from "./cupboard";

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

test("what is left over is a cloth of its own: a strip by its width and length, anything else by its corners too", () => {
  const strip = [
    [1800, 0],
    [2850.7, 0],
    [2850.7, 1500],
    [1800, 1500],
  ] as const;
  const left = readCloth(forJob(leftOver(CLOTH, "Dune twill", "cm", strip, "left")), "in").cloth;
  expect([left.width, left.length, left.lies.foldWidth, left.lies.outline]).toEqual([1500, 1050, null, undefined]);
  const corner = [
    [1000, 200],
    [2000, 200],
    [2000, 900],
    [1400, 900],
  ] as const;
  const kept = leftOver({ ...CLOTH, fold: "lengthwise", joined: ["back"] }, "Dune twill", "cm", corner, "left");
  expect(forJob(kept).joined).toBeUndefined();
  const { lies, width, length } = readCloth(forJob(kept), "cm").cloth;
  expect([width, length, lies.fold]).toEqual([700, 1000, "open"]);
  expect(lies.outline).toEqual([
    [0, 0],
    [1000, 0],
    [1000, 700],
    [400, 700],
  ]);
});

test("the outline of a remnant says its own size; one that crosses itself, or is none, is refused with a sentence", () => {
  const crossed = readCloth(
    {
      width: "20 cm",
      outline: [
        ["0", "0"],
        ["80", "60"],
        ["80", "0"],
        ["0", "60"],
      ],
    },
    "cm",
  );
  expect(crossed.errors.map((e) => [e.path, tell(e.says, "cm")])).toEqual([
    ["cloth.outline", expect.stringMatching(/crosses itself near 40.0 cm along and 30.0 cm across/)],
  ]);
  expect(
    readCloth(
      {
        outline: [
          ["0", "0"],
          ["5", "0"],
          ["5", "5"],
        ],
      },
      "cm",
    ).errors[0]?.path,
  ).toBe("cloth.outline");
  expect(
    readCloth(
      {
        outline: [
          ["0", "0"],
          ["a lot", "0"],
          ["80", "50"],
        ],
      },
      "cm",
    ).errors[0]?.path,
  ).toBe("cloth.outline.1.0");
});

test("cloths of one name are two cloths where they say different things, and one where a job takes the same of both", () => {
  const kept = forCupboard(CLOTH, "Dune twill", "first", "cm");
  expect(sameCloth(kept, forCupboard({ ...CLOTH }, "Dune twill", "second", "cm"))).toBe(true);
  expect(
    sameCloth(
      kept,
      cupboardClothSchema.parse(
        JSON.parse(JSON.stringify({ ...kept, id: "third", swatch: "#c8b48c", fibre: "linen" })),
      ),
    ),
  ).toBe(true);
  expect(sameCloth(kept, forCupboard({ ...CLOTH, nap: false }, "Dune twill", "second", "cm"))).toBe(false);
  expect(sameCloth(kept, forCupboard(CLOTH, "Kelp cord", "second", "cm"))).toBe(false);
});

test("a cloth kept with a list of remnants is read without it, and kept again without it", () => {
  const kept = forCupboard(CLOTH, "Dune twill", "dune", "cm");
  const read = cupboardClothSchema.parse({ ...kept, remnants: [] });
  expect(read).toEqual(kept);
  expect(cupboardClothSchema.parse(JSON.parse(JSON.stringify(read)))).toEqual(kept);
  expect(cupboardClothSchema.safeParse({ ...kept, pieces: [] }).success).toBe(false);
  expect(cupboardClothSchema.safeParse("cloth").success).toBe(false);
});
