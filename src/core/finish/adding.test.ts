import { z } from "zod";
import { seededRandom } from "../testing/bodies";
import { derivedOf, HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { randomParams } from "../testing/randomParams";
import { statedLength } from "../params";
import { complaintsOfSchema, say, tell, type Complaint, type Quantity, type Unit } from "../units";
import { defineFinish, type AnyFinish } from "./define";
import { withParts, type Garment } from "./garment";
import { FINISHES, finishKind } from "./kinds";
import { readEntry } from "./readEntry";

// The worked example of docs/adding.md: one file, and one line in the list of its room.
const ribbon = defineFinish({
  room: "waist",
  kind: "ribbon",
  words: "ribbon inside",
  about: "A ribbon is sewn inside the waist.",
  params: {
    width: statedLength("Width of the ribbon.", {
      label: "Width",
      usual: { mm: { in: 25.4, cm: 25 } },
      within: [10, 40],
    }),
  },
  facts: { told: "Sew a ribbon inside the waist,", depth: ({ width }) => width.mm },
  make: (garment, { width }, { measures }) =>
    withParts(garment, {
      notions: [{ id: "ribbon", label: say`Ribbon, ${width.mm} wide`, count: 1, length: measures.waist }],
    }),
});

function read(entry: object, unit: Unit): { readonly width: Quantity; readonly errors: readonly Complaint[] } {
  const errors: Complaint[] = [];
  const asked = readEntry(ribbon as unknown as AnyFinish, { kind: "ribbon", ...entry }, undefined, {
    path: "finish.waist",
    unit,
    measures: shapeOf(palazzoJob(HAND_BODY)).measures,
    errors,
  });
  return { width: asked.width as Quantity, errors };
}

test("its schema, and what it has against a value, come from the statement", () => {
  expect(ribbon.schema.safeParse({ kind: "ribbon", width: "1 in" }).success).toBe(true);
  const odd = ribbon.schema.safeParse({ kind: "ribbon", deep: 3 });
  expect(odd.success ? [] : complaintsOfSchema(odd.error).map((c) => tell(c.says, "cm"))).toEqual([
    "Unknown here: deep.",
  ]);
  expect(z.toJSONSchema(ribbon.schema)).toMatchObject({ description: "A ribbon is sewn inside the waist." });
});

test("so do its usual value on each tape, its limit and what tests try", () => {
  expect(read({}, "cm").width.mm).toBe(25);
  expect(read({}, "in").width.mm).toBe(25.4);
  const { errors } = read({ width: "9 cm" }, "cm");
  expect(errors.map((e) => `${e.path}: ${tell(e.says, "cm")}`)).toEqual([
    "finish.waist.width: Choose between 1 and 4 cm here.",
  ]);
  const tried = randomParams(ribbon.params, seededRandom(5), 1);
  expect(ribbon.schema.safeParse({ kind: "ribbon", ...tried }).success).toBe(true);
});

test("it is made on a garment, and says what the rest asks of a waist", () => {
  const { panels, joins, measures } = derivedOf(palazzoJob(HAND_BODY));
  const plain: Garment = { panels, joins, notions: [], marks: [], undecided: [] };
  const { width } = read({ width: "2 cm" }, "cm");
  const context = {
    measures,
    hip: 1000,
    zip: 0,
    opens: "none",
    hipLevel: 200,
    mockFly: 0,
    cuffDepth: null,
    cloth: { width: null },
    tape: "cm" as const,
  } as const;
  const made = ribbon.make?.(plain, { width }, context);
  expect(made?.notions.map((n) => [tell(n.label, "cm"), n.length?.mm])).toEqual([
    ["Ribbon, 2.0 cm wide", measures.waist.mm],
  ]);
  expect(ribbon.facts.depth?.({ width })).toBe(20);
});

test("every kind of finish is found by its name in its own room alone", () => {
  for (const [room, kinds] of Object.entries(FINISHES))
    for (const { kind } of kinds) {
      expect(finishKind(room as keyof typeof FINISHES, kind)?.kind).toBe(kind);
      expect(Object.values(FINISHES).flatMap((k) => k.filter((known) => known.kind === kind))).toHaveLength(1);
    }
  expect(finishKind("waist", "constructor")).toBeNull();
});
