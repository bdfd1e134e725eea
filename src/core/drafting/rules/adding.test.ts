/** @alone: the rules are remembered as they were first read, and it adds one. */
import { tell, say } from "../../units";
import { statedLength } from "../../params";
import { ANY_RULES, isUsed, RULE_SECTIONS, RULES, ruleAt, resolveRules, rulesSchema, type RuleRow } from ".";
import { presetFor } from "./resolve";
import { defineRule, limited, row } from "./define";

// The worked example of docs/adding.md: a statement, and its name in RULES.
const seat = defineRule("How far the seat is let out.", {
  out: row(
    "Back",
    statedLength("Let out at the centre back.", {
      label: "Seat let out",
      usual: { mm: { in: 6.35, cm: 6 } },
      ...limited(0, 20, (limits) => say`The seat is let out ${limits}.`),
    }),
    { when: { "back.how": ["slanted"] } },
  ),
});

describe("a rule that is added", () => {
  const known = ANY_RULES as Record<string, unknown>;
  beforeEach(() => void (known.seat = seat));
  afterEach(() => void delete known.seat);

  const outOf = (rules: object, unit: "in" | "cm") => {
    const set = resolveRules("traced", [{ by: "maker", rules: rules as never }], unit);
    return { ...set, out: ruleAt(set.rules, ["seat", "out"]) };
  };

  test("is usual on each tape, where no school says otherwise", () => {
    expect(outOf({}, "cm").out).toBe(6);
    expect(outOf({}, "in").out).toBe(6.35);
  });

  test("takes the maker's number, lists it as changed, and refuses what it cannot be in its own words", () => {
    expect(outOf({ seat: { out: "1 cm" } }, "cm")).toMatchObject({
      out: 10,
      changed: [{ path: "seat.out", by: "maker" }],
    });
    const { errors } = outOf({ seat: { out: "5 cm" } }, "cm");
    expect(errors.map((e) => `${e.path}: ${tell(e.says, "cm")}`)).toEqual([
      "block.rules.seat.out: The seat is let out 0 to 2 cm.",
    ]);
  });

  test("has its schema and its row, shown while the rule it hangs on is so", () => {
    expect(seat.schema.safeParse({ out: "1 cm" }).success).toBe(true);
    expect(seat.schema.safeParse({ in: "1 cm" }).success).toBe(false);
    const shown: RuleRow = { path: ["seat", "out"], param: seat.params.out };
    expect(isUsed(shown, presetFor("proportional", undefined, "cm"))).toBe(true);
    expect(isUsed(shown, presetFor("hinged", undefined, "cm"))).toBe(false);
  });
});

test("every rule has one row, and rows hang only on rules and values there are", () => {
  const rows = RULE_SECTIONS.flatMap((s) => s.rows);
  expect(new Set(rows.map((r) => r.path.join("."))).size).toBe(rows.length);
  expect([...new Set(rows.map((r) => r.path[0]))].sort()).toEqual(Object.keys(RULES).sort());
  const valuesOf = (path: string): readonly string[] => {
    const param = rows.find((r) => r.path.join(".") === path)?.param;
    if (param?.as === "choice") return param.options.map(([value]) => value);
    return param?.as === "length" && param.word ? [param.word[0]] : [];
  };
  for (const { param } of rows)
    for (const [path, values] of Object.entries({ ...param.when, ...param.unless }))
      expect([path, valuesOf(path)]).toEqual([path, expect.arrayContaining([...(values as string[])])]);
});

test("a word alone stands for the choice of a rule that allows it", () => {
  expect(rulesSchema.safeParse({ hang: "side" }).success).toBe(true);
  expect(rulesSchema.safeParse({ ease: "side" }).success).toBe(false);
  expect(resolveRules("proportional", [{ by: "maker", rules: { hang: "side" } }], "cm").rules.hang).toEqual({
    from: "side",
    by: 0,
  });
});
