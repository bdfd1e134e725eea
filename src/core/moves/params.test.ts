import { said } from "../testing/said";
import { jobFrom } from "../testing/jobFrom";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { z } from "zod";
import { type Job } from "../files";
import { MOVES, type Move } from ".";
import { STYLES } from "../styles";
import { shapeOf } from "../testing/jobs";
import { jobWith, STRAIGHT, type Line } from "../testing/worksheet";
import { seededRandom } from "../testing/bodies";
import { randomValue } from "../testing/randomParams";

const garments = readdirSync("samples/garments").map((file): readonly [string, Job] => {
  return [file, jobFrom(JSON.parse(readFileSync(join("samples/garments", file), "utf8")))];
});

describe("what can be stated of a move", () => {
  test.each(Object.keys(MOVES))("%s: what tests try of each parameter is what its schema accepts", (move) => {
    const { schema, params } = MOVES[move] as Move;
    const random = seededRandom(7);
    for (const [name, param] of Object.entries(params)) {
      const values = Array.from({ length: 12 }, () => randomValue(param, random));
      for (const value of values)
        expect([name, value, schema.safeParse({ [name]: value }).success]).toEqual([name, value, true]);
      if (param.as !== "number") continue;
      expect(param.usual).toBeGreaterThanOrEqual(param.least);
      expect(param.usual).toBeLessThanOrEqual(param.most);
    }
  });

  test.each(Object.keys(MOVES))("%s: what a field clears or is solved by is another parameter of the move", (move) => {
    const { params } = MOVES[move] as Move;
    for (const [param, { clears = [], solvedBy }] of Object.entries(params)) {
      for (const other of [...clears, ...(solvedBy ? [solvedBy] : [])]) {
        expect(Object.keys(params)).toContain(other);
        expect(other).not.toBe(param);
      }
    }
  });

  test("a field shows a number that its move tells", () => {
    const before: Readonly<Record<string, readonly Line[]>> = {
      placket: [...STRAIGHT, ["waist-shaping", { to: "hip-wide" }], ["split"]],
      casing: [["waist-shaping", { to: "hip-wide" }], ...STRAIGHT],
      "bodice-edges": [["bodice"]],
      "pivot-dart": [["bodice"]],
      "fold-back": [["bodice"], ...STRAIGHT],
      "hollow-dart": [["bodice"], ["pivot-dart"], ...STRAIGHT],
      "style-line": [["bodice"], ...STRAIGHT],
      cowl: [["bodice"], ...STRAIGHT],
      "end-as-top": [["bodice", { frontDarts: "0 mm", backDarts: "0 mm" }], ...STRAIGHT],
      "join-bodice": [["bodice"], ["waist-shaping", { to: "hip-wide" }], ...STRAIGHT],
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
      for (const [name, param] of Object.entries(MOVES[move]?.params ?? {}))
        if (param.as === "length" && param.shown)
          expect([move, name, Object.keys(line?.numbers ?? {})]).toEqual([
            move,
            name,
            expect.arrayContaining([param.shown]),
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
        // One of them may choose the list of moves itself.
        const lines = [...style.moves, ...Object.values(style.recipes?.moves ?? {}).flat()];
        const taken =
          asked === style.recipes?.by ||
          lines.some(({ move }) =>
            Object.keys(MOVES[move]?.params ?? {}).some(
              (param) => (style.feeds?.[`${move}.${param}`] ?? param) === asked,
            ),
          );
        expect([asked, taken]).toEqual([asked, true]);
      }
    },
  );

  test.each(garments)("%s: each line is added there, and each of its numbers and choices set", (_file, job) => {
    for (const { move, params } of job.moves ?? []) {
      expect(Object.keys(MOVES)).toContain(move);
      for (const [param, value] of Object.entries(params)) {
        const field = MOVES[move]?.params[param];
        expect([move, param, field?.schema.safeParse(value).success]).toEqual([move, param, true]);
      }
    }
  });

  test.each(garments)("%s: its moves are made, none passed over", (_file, job) => {
    const passed = shapeOf(job).worksheet.filter((l) => l.passed);
    expect(passed.map((l) => `${l.move}: ${said(l.passed)}`)).toEqual([]);
  });
});
