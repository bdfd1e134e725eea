import { registry } from "../registry";
import { randomValue } from "../testing/randomParams";
import { seededRandom } from "../testing/bodies";
import { complaintsOfSchema, Refusal, say, tell } from "../units";
import { MOVES, type Move, type MoveContext } from ".";
import { choice, length } from "../params";
import { askedLength, defineMove } from "./define";

// The worked example of docs/adding.md: one file, and one line in the registry.
const PARAMS = {
  depth: length("How deep the tuck is.", {
    label: "Depth",
    shown: "depth",
    usual: { mm: { in: 12.7, cm: 12 }, where: "all round" },
    within: [5, 40],
    refusal: (limits) => say`A tuck is ${limits} deep.`,
    tried: [2, 50],
  }),
  at: choice("Where the tuck lies.", {
    label: "At",
    options: [
      ["hem", "the hem"],
      ["knee", "the knee"],
    ],
  }),
};

const tuck = defineMove({
  id: "tuck",
  label: "Sew a tuck",
  note: "Folds a tuck round the leg.",
  params: PARAMS,
  redraws: false,
  apply(state, params, context) {
    const depth = askedLength("tuck", PARAMS, "depth", params, context);
    return { state, numbers: { depth } };
  },
  says: () => "Fold a tuck, {depth} deep.",
});

const context = (unit: MoveContext["unit"]) =>
  ({ unit, styleParams: {}, stated: new Set(), feeds: {}, autos: {} }) as unknown as MoveContext;
const depthOf = (params: Parameters<typeof tuck.apply>[1], unit: MoveContext["unit"] = "cm") =>
  tuck.apply({} as never, params, context(unit)).numbers.depth;

test("a move is added by its file and a line of the registry", () => {
  const moves = registry([...Object.values(MOVES), tuck as unknown as Move]);
  expect(moves.tuck?.label).toBe("Sew a tuck");
});

test("its schema, and what it has against a value, come from the statement", () => {
  expect(tuck.schema.safeParse({ depth: "1 cm", at: "knee" }).success).toBe(true);
  const odd = tuck.schema.safeParse({ at: "ankle", wide: 3 });
  const told = odd.success ? [] : complaintsOfSchema(odd.error).map((c) => `${c.path}: ${tell(c.says, "cm")}`);
  expect(told).toEqual(["at: Choose one of: hem, knee.", ": Unknown here: wide."]);
});

test("so do its usual value on each tape, its limit with its sentence, and what tests try", () => {
  expect(depthOf({})?.mm).toBe(12);
  expect(depthOf({}, "in")?.mm).toBe(12.7);
  expect(() => depthOf({ depth: "9 cm" })).toThrow(Refusal);
  expect(() => depthOf({ depth: "9 cm" })).toThrow("A tuck is 0.5 to 4.0 cm deep.");
  const random = seededRandom(3);
  for (const [name, param] of Object.entries(tuck.params))
    expect(tuck.schema.safeParse({ [name]: randomValue(param, random) }).success).toBe(true);
});
