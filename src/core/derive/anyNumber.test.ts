import { isNothing } from "../units";
import { FINISHES } from "../finish";
import type { Job } from "../files";
import { MOVES } from "../moves";
import type { Param } from "../params";
import { STYLES } from "../styles";
import { HAND_BODY, palazzoJob } from "../testing/jobs";
import { derive } from "../derive";
import { movesOfStyle } from "./newJob";
import { processorTime } from "../testing/processorTime";

/** No job, whatever stands in it, is worked out longer, in milliseconds. */
const WITHIN_MS = 2000;
/** Numbers no garment has: beyond any, metres long, and metres the wrong way. */
const ODD = [1e308, 3000, -3000];

type Case = readonly [string, () => Job];

const isNumber = ({ as }: Param): boolean => as === "length" || as === "number" || as === "ruled";
const asKept = ({ as }: Param, value: number): unknown => (as === "number" ? value : `${value} mm`);

/** Every number of every style. */
const ofStyles: readonly Case[] = Object.values(STYLES).flatMap(({ id, params }) =>
  Object.keys((params as unknown as { readonly shape?: object }).shape ?? {}).flatMap((name) =>
    ODD.map((value): Case => [
      `style ${id}, ${name} ${value}`,
      () => palazzoJob(HAND_BODY, { style: { id, params: { [name]: value } } }),
    ]),
  ),
);

/** Every number of every move, in the first style that makes it. */
const ofMoves: readonly Case[] = [
  ...new Set(Object.values(STYLES).flatMap((s) => movesOfStyle(s.id, {}).map((m) => m.move))),
].flatMap((move) => {
  const style =
    Object.values(STYLES).find((s) => movesOfStyle(s.id, {}).some((m) => m.move === move))?.id ?? "straight";
  return Object.entries(MOVES[move]?.params ?? {})
    .filter(([, param]) => isNumber(param))
    .flatMap(([name, param]) =>
      ODD.map((value): Case => [
        `${move}, ${name} ${value}`,
        () => {
          const moves = movesOfStyle(style, {}).map((m) =>
            m.move === move ? { ...m, params: { ...m.params, [name]: asKept(param, value) } } : m,
          );
          return palazzoJob(HAND_BODY, { style: { id: style, params: {} }, moves });
        },
      ]),
    );
});

/** How an entry of a room stands in a job. */
const ROOMS: Readonly<Record<keyof typeof FINISHES, (entry: Record<string, unknown>) => object>> = {
  waist: (waist) => ({ waist }),
  fastening: (fastening) => ({ fastening }),
  hem: (hem) => ({ hem }),
  pocket: (entry) => ({ pockets: [entry] }),
  trim: (entry) => ({ trims: [entry] }),
  belt: ({ kind: _, ...belt }) => ({ belt }),
};

/** Every number of every finish. */
const ofFinishes: readonly Case[] = Object.entries(FINISHES).flatMap(([room, kinds]) =>
  kinds.flatMap(({ kind, params }) =>
    Object.entries(params)
      .filter(([, param]) => isNumber(param))
      .flatMap(([name, param]) =>
        ODD.map((value): Case => [
          `${room} ${kind}, ${name} ${value}`,
          () =>
            palazzoJob(HAND_BODY, {
              finish: ROOMS[room as keyof typeof FINISHES]({ kind, [name]: asKept(param, value) }) as Job["finish"],
            }),
        ]),
      ),
  ),
);

test.each([
  ["styles", ofStyles],
  ["moves", ofMoves],
  ["finishes", ofFinishes],
] as const)(
  "no number of %s, however large, holds the program: it is made, passed over or refused with a sentence",
  (_, cases) => {
    expect(cases.length).toBeGreaterThan(40);
    const slow: string[] = [];
    let [made, refused] = [0, 0];
    for (const [what, jobOf] of cases) {
      let job: Job;
      try {
        job = jobOf();
      } catch {
        refused++;
        continue;
      }
      const from = processorTime();
      const derived = derive(job);
      const took = processorTime() - from;
      if (took > WITHIN_MS) slow.push(`${what}: ${Math.round(took)} ms`);
      if (derived.ok) made++;
      else {
        refused++;
        for (const { says } of derived.errors) expect([what, !isNothing(says)]).toEqual([what, true]);
      }
    }
    expect(slow).toEqual([]);
    expect(made + refused).toBe(cases.length);
  },
);
