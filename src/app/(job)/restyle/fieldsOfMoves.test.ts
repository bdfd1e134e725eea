import { jobFrom } from "@/core/testing/jobFrom";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { z } from "zod";
import { type Job } from "@/core/files";
import { MOVES } from "@/core/moves";
import { STYLES } from "@/core/styles";
import { shapeOf } from "@/core/testing/jobs";
import { jobWith, STRAIGHT, type Line } from "@/core/testing/worksheet";
import { MOVE_FIELDS, type MoveField } from "./fieldsOfMoves";

/** What a move's schema knows and no field sets, because the table does: slashes of one's own are drawn by handle. */
const NOT_FIELDS: Readonly<Record<string, readonly string[]>> = { spread: ["cuts"] };

const paramsOf = (move: string): readonly string[] => {
  const schema = z.toJSONSchema((MOVES[move] as { schema: z.ZodType }).schema, { unrepresentable: "any" });
  return Object.keys((schema as { properties?: object }).properties ?? {});
};
const fieldOf = (move: string, param: string): MoveField | undefined =>
  MOVE_FIELDS[move]?.find((f) => f.param === param);

const garments = readdirSync("samples/garments").map((file): readonly [string, Job] => {
  return [file, jobFrom(JSON.parse(readFileSync(join("samples/garments", file), "utf8")))];
});

describe("what can be set on the screen", () => {
  test.each(Object.keys(MOVES))("%s: every parameter has a field, and every field a parameter", (move) => {
    const fields = (MOVE_FIELDS[move] ?? []).map((f) => f.param);
    expect([...fields].sort()).toEqual(
      paramsOf(move)
        .filter((p) => !NOT_FIELDS[move]?.includes(p))
        .sort(),
    );
    expect(new Set(fields).size).toBe(fields.length);
  });

  test.each(Object.keys(MOVES))("%s: choices and limits are what the move itself accepts", (move) => {
    const { schema } = MOVES[move] as { schema: z.ZodType };
    const accepts = (param: string, value: unknown): boolean => schema.safeParse({ [param]: value }).success;
    for (const field of MOVE_FIELDS[move] ?? []) {
      for (const [choice] of field.choices ?? []) {
        const value = choice === "true" ? true : choice === "false" ? false : choice;
        expect([field.param, choice, accepts(field.param, value)]).toEqual([field.param, choice, true]);
      }
      for (const name of field.names ?? []) expect([name, accepts(field.param, name)]).toEqual([name, true]);
      if (!field.number) continue;
      const { least, most, usual } = field.number;
      for (const value of [least, most, usual])
        expect([field.param, value, accepts(field.param, value)]).toEqual([field.param, value, true]);
      expect(usual).toBeGreaterThanOrEqual(least);
      expect(usual).toBeLessThanOrEqual(most);
    }
  });

  test.each(Object.keys(MOVES))("%s: what a field clears or is solved by is another parameter of the move", (move) => {
    for (const { param, clears = [], solvedBy } of MOVE_FIELDS[move] ?? []) {
      for (const other of [...clears, ...(solvedBy ? [solvedBy] : [])]) {
        expect(paramsOf(move)).toContain(other);
        expect(other).not.toBe(param);
      }
    }
  });

  test("a field shows a number that its move tells", () => {
    const before: Readonly<Record<string, readonly Line[]>> = {
      placket: [...STRAIGHT, ["waist-shaping", { to: "hip-wide" }], ["split"]],
      casing: [["waist-shaping", { to: "hip-wide" }], ...STRAIGHT],
    };
    // What is told only where it was asked for.
    const asked: Readonly<Record<string, Record<string, unknown>>> = {
      "widen-leg": { hemGirth: "640 mm" },
      "set-length": { less: "40 mm" },
      flounce: { points: 5 },
      casing: { frill: "30 mm" },
      pleats: { count: 2, depth: "20 mm" },
    };
    for (const move of Object.keys(MOVES)) {
      const lines = before[move] ?? (MOVES[move]?.redraws ? [] : STRAIGHT);
      const shape = shapeOf(jobWith([...lines, [move, asked[move] ?? {}]]));
      const line = shape.worksheet.find((l) => l.id === `m${lines.length}`);
      expect([move, line?.passed]).toEqual([move, null]);
      for (const { param, shown } of MOVE_FIELDS[move] ?? [])
        if (shown)
          expect([move, param, Object.keys(line?.numbers ?? {})]).toEqual([
            move,
            param,
            expect.arrayContaining([shown]),
          ]);
    }
  });
});

describe("the garments of the folder can be made on the screen", () => {
  test.each(Object.entries(STYLES))(
    "%s: whatever the style can be asked for is a number of one of its lines",
    (_id, style) => {
      const schema = z.toJSONSchema(style.params, { unrepresentable: "any" }) as { properties?: object };
      for (const asked of Object.keys(schema.properties ?? {})) {
        const taken = style.moves.some(({ move }) =>
          (MOVE_FIELDS[move] ?? []).some(({ param }) => (style.feeds?.[`${move}.${param}`] ?? param) === asked),
        );
        expect([asked, taken]).toEqual([asked, true]);
      }
    },
  );

  test.each(garments)("%s: each line is added there, and each of its numbers and choices set", (_file, job) => {
    for (const { move, params } of job.moves ?? []) {
      expect(Object.keys(MOVES)).toContain(move);
      for (const [param, value] of Object.entries(params)) {
        const field = fieldOf(move, param);
        expect([move, param, field !== undefined]).toEqual([move, param, true]);
        if (field?.choices) expect(field.choices.map(([choice]) => choice)).toContain(String(value));
        else if (field?.number) {
          expect(value).toBeGreaterThanOrEqual(field.number.least);
          expect(value).toBeLessThanOrEqual(field.number.most);
        } else if (typeof value === "string" && /^[a-z-]+$/.test(value)) expect(field?.names).toContain(value);
      }
    }
  });

  test.each(garments)("%s: its moves are made, none passed over", (_file, job) => {
    const passed = shapeOf(job).worksheet.filter((l) => l.passed);
    expect(passed.map((l) => `${l.move}: ${l.passed}`)).toEqual([]);
  });
});
