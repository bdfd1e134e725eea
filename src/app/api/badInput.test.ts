import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import fc from "fast-check";
import { POST as postDerive } from "./derive/route";

/** Whatever is put anywhere into a job is answered: derived, or refused with a sentence and a place. Nothing throws. */
const jobs = readdirSync("samples/garments").map(
  (file) => JSON.parse(readFileSync(join("samples/garments", file), "utf8")) as Record<string, unknown>,
);

type Path = readonly (string | number)[];

/** Every place in a job, inner ones too. */
function places(value: unknown, path: Path = []): readonly Path[] {
  if (typeof value !== "object" || value === null) return [path];
  const keys = Array.isArray(value) ? value.map((_, i) => i) : Object.keys(value);
  return [path, ...keys.flatMap((key) => places((value as Record<string | number, unknown>)[key], [...path, key]))];
}

function withPut(job: Record<string, unknown>, path: Path, put: unknown): unknown {
  if (path.length === 0) return put;
  const copy = structuredClone(job);
  let at = copy as Record<string | number, unknown>;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, unknown>;
  const last = path[path.length - 1] as string | number;
  if (put === undefined) delete at[last];
  else at[last] = put;
  return copy;
}

const JUNK: readonly unknown[] = [
  undefined,
  null,
  "",
  " ",
  "constructor",
  "__proto__",
  "toString",
  "auto",
  "-1",
  "1e9",
  "1/0 in",
  "12 parsecs",
  "9".repeat(400),
  "<script>alert(1)</script>",
  0,
  -1,
  1e12,
  0.0001,
  true,
  [],
  {},
  [[]],
  { value: "x", unit: "in" },
  { value: "3", unit: "furlong" },
  { kind: "constructor" },
  { from: "hip20", add: "x" },
  ["constructor"],
];

async function answer(body: unknown) {
  const response = await postDerive(
    new Request("http://localhost/api/derive", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(body) ?? "",
    }),
  );
  // What was sent may be quoted in a sentence, and is never markup.
  expect(response.headers.get("content-type")).toMatch(/^application\/json/);
  const json = (await response.json()) as { ok: boolean; errors?: { path: string; message: string }[] };
  return { status: response.status, json };
}

test("junk at any place of any garment's job is answered, with a sentence where it is refused", async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: 0, max: jobs.length - 1 }),
      fc.double({ min: 0, max: 1, noNaN: true, maxExcluded: true }),
      fc.constantFrom(...JUNK),
      async (which, share, put) => {
        const job = jobs[which] as Record<string, unknown>;
        const all = places(job);
        const path = all[Math.floor(share * all.length)] as Path;
        const { status, json } = await answer(withPut(job, path, put));
        expect([path.join("."), put, [200, 400, 422].includes(status)]).toEqual([path.join("."), put, true]);
        expect(json.ok).toBe(status === 200);
        for (const error of json.errors ?? []) {
          expect(typeof error.path).toBe("string");
          expect(error.message).toMatch(/[.?]$/);
          expect(error.message.length).toBeLessThan(400);
        }
      },
    ),
    { numRuns: 500, seed: 20261125 },
  );
});

test("two faults are both told", async () => {
  const job = structuredClone(jobs[1]) as { body: { measures: Record<string, unknown> } };
  job.body.measures.hip = "wide";
  job.body.measures.waist = "narrow";
  const { status, json } = await answer(job);
  expect(status).toBe(400);
  expect(json.errors?.map((e) => e.path).sort()).toEqual(["body.measures.hip", "body.measures.waist"]);
});
