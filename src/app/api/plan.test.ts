import { POST as cards } from "./cards/route";
import { POST as fit } from "./fit-cloth/route";
import { POST as lay } from "./lay/route";
import { POST as making } from "./making/route";

const JOB = {
  format: "eland-job",
  version: 1,
  body: { unit: "mm", measures: { waist: 760, hip: 1040 } },
  style: { id: "palazzo" },
};

async function ask(
  route: (request: Request) => Promise<Response>,
  body: unknown,
  query = "",
): Promise<{ status: number; reply: Reply }> {
  const response = await route(
    new Request(`http://localhost:4310/api/x${query}`, {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(body),
    }),
  );
  return { status: response.status, reply: (await response.json()) as Reply };
}

interface Reply {
  readonly ok: boolean;
  readonly length: number;
  readonly bound: number;
  readonly utilisation: number;
  readonly value: number;
  readonly fits: boolean | null;
  readonly seed: number;
  readonly placements: readonly {
    readonly piece: string;
    readonly angle: number;
    readonly flipped: boolean;
    readonly layers: number;
    readonly outline: readonly (readonly [number, number])[];
  }[];
  readonly tries: readonly { readonly value: number; readonly length: number | null; readonly fits: boolean }[];
  readonly cards: readonly {
    readonly text: string;
    readonly numbers: Readonly<Record<string, { readonly mm: number; readonly tape: number }>>;
    readonly act: { readonly kind: string };
  }[];
  readonly cutting: readonly { readonly piece: string; readonly count: number }[];
  readonly shopping: readonly { readonly id: string; readonly length: number | null }[];
  readonly order: readonly {
    readonly id: string;
    readonly do: string;
    readonly after: readonly string[];
    readonly minutes: number;
    readonly text: string;
  }[];
  readonly errors: readonly { readonly path: string; readonly message: string }[];
}

test("a lay in steps is the same each time, within its cloth, and says how near the bound it is", async () => {
  const body = { job: JOB, cloth: { width: 1500, fold: "open", nap: false, length: 2700 }, steps: 60, seed: 3 };
  const [one, again] = [await ask(lay, body), await ask(lay, body)];
  expect(one.status).toBe(200);
  const { placements, length, bound, utilisation, fits, seed } = one.reply;
  expect(again.reply.placements).toEqual(placements);
  expect([seed, fits]).toEqual([3, length <= 2700]);
  expect(bound).toBeLessThanOrEqual(length);
  expect(utilisation).toBeGreaterThan(0.4);
  expect(
    placements
      .filter((p) => p.piece === "front")
      .map((p) => p.flipped)
      .sort(),
  ).toEqual([false, true]);
  for (const { outline } of placements)
    for (const [x, y] of outline) expect(x >= -1e-6 && x <= length + 1e-6 && y >= -1e-6 && y <= 1500 + 1e-6).toBe(true);
});

test("on cloth with a nap nothing is turned end for end", async () => {
  const { reply } = await ask(lay, { job: JOB, cloth: { width: 1500, nap: true }, steps: 40 });
  expect(new Set(reply.placements.map((p) => p.angle))).toEqual(new Set([0]));
});

test("a piece lies across the cloth, or is joined from two, where the request says so", async () => {
  const along = (outline: Reply["placements"][number]["outline"]) =>
    Math.max(...outline.map(([x]) => x)) - Math.min(...outline.map(([x]) => x));
  const fronts = async (cloth: object) => {
    const { status, reply } = await ask(lay, { job: JOB, cloth: { width: 1500, ...cloth }, steps: 5 });
    expect(status).toBe(200);
    return reply.placements.filter((p) => p.piece.startsWith("front"));
  };
  const [plain, turned] = [await fronts({}), await fronts({ grain: { front: "across" } })];
  expect(along(plain[0]?.outline ?? [])).toBeGreaterThan(1000);
  expect(along(turned[0]?.outline ?? [])).toBeLessThan(600);

  // Forty millimetres narrower than the back, which alone is joined.
  const { reply: whole } = await ask(lay, { job: JOB, cloth: { width: 1500 }, steps: 5 });
  const back = whole.placements.find((p) => p.piece === "back")?.outline ?? [];
  const width = Math.round(Math.max(...back.map(([, y]) => y)) - Math.min(...back.map(([, y]) => y))) - 40;
  const narrow = { job: JOB, cloth: { width }, steps: 5 };
  expect((await ask(lay, narrow)).status).toBe(422);
  const { status, reply } = await ask(lay, { ...narrow, cloth: { width, joined: ["back"] } });
  expect(status).toBe(200);
  expect(new Set(reply.placements.map((p) => p.piece)).size).toBeGreaterThan(
    new Set(whole.placements.map((p) => p.piece)).size,
  );
});

test("a lay on a remnant lies within its corners, and one that crosses itself is refused at its place", async () => {
  const corners = [
    [0, 0],
    [3400, 0],
    [3400, 1500],
    [900, 1500],
  ];
  const { status, reply } = await ask(lay, { job: JOB, cloth: { outline: corners }, steps: 40 });
  expect(status).toBe(200);
  for (const { outline } of reply.placements)
    for (const [x, y] of outline) expect(x).toBeGreaterThanOrEqual((900 / 1500) * y - 1e-6);
  const [a, b, c, d] = corners;
  const crossed = await ask(lay, { job: JOB, cloth: { outline: [a, c, b, d] }, steps: 4 });
  expect([crossed.status, crossed.reply.errors[0]?.path]).toEqual([400, "cloth.outline"]);
  expect(crossed.reply.errors[0]?.message).toMatch(/crosses itself near .*\.$/);
});

test("the largest number that fits is proved by a lay", async () => {
  const body = {
    job: JOB,
    cloth: { width: 1500, length: 2700, fold: "lengthwise" },
    move: "spread",
    number: "hemSpread",
    seconds: 6,
  };
  const { status, reply } = await ask(fit, body);
  expect(status).toBe(200);
  expect(reply.length).toBeLessThanOrEqual(2700 + 1e-6);
  expect(reply.value).toBeGreaterThan(240);
  expect(reply.tries.filter((t) => t.fits).every((t) => t.value <= reply.value + 1e-6)).toBe(true);
}, 20_000);

test("bad input is a sentence at its place", async () => {
  const cases: readonly (readonly [typeof lay, unknown, number, RegExp])[] = [
    [lay, { job: JOB, cloth: {} }, 400, /how wide the cloth/i],
    [lay, { job: JOB, cloth: { width: 0 } }, 400, /cloth is/i],
    [lay, { job: JOB, cloth: { width: 300 }, steps: 5 }, 422, /is .* wide, the cloth/i],
    [lay, { job: JOB, cloth: { width: 1500, shrink: 1 } }, 400, /./],
    [lay, { job: JOB, cloth: { width: 1500, repeat: { along: 90_000 } } }, 400, /./],
    [lay, { job: { style: 7 }, cloth: { width: 1500 } }, 400, /./],
    [fit, { job: JOB, cloth: { width: 1500 }, move: "spread", number: "hemSpread" }, 400, /how long the cloth/i],
    [fit, { job: JOB, cloth: { width: 1500, length: 2000 }, move: "yoke", number: "centre" }, 422, /no line/i],
    [
      fit,
      { job: JOB, cloth: { width: 1500, length: 300 }, move: "spread", number: "hemSpread", seconds: 2 },
      422,
      /none fits/i,
    ],
  ];
  for (const [route, body, wanted, says] of cases) {
    const { status, reply } = await ask(route, body);
    expect([JSON.stringify(body).slice(0, 200), status]).toEqual([JSON.stringify(body).slice(0, 200), wanted]);
    expect(reply.errors[0]?.message).toMatch(says);
    expect(reply.errors[0]?.message).toMatch(/\.$/);
  }
}, 30_000);

test("cards come in three kinds, each number as drawn and on the tape", async () => {
  for (const on of ["paper", "cloth", "short"]) {
    const { status, reply } = await ask(cards, JOB, `?on=${on}`);
    expect([on, status]).toEqual([on, 200]);
    expect(reply.cards.length).toBeGreaterThan(3);
    for (const card of reply.cards) {
      expect(card.text).toMatch(/\.$/);
      for (const { mm, tape } of Object.values(card.numbers)) expect(Math.abs(mm - tape)).toBeLessThan(3.2);
    }
  }
  expect((await ask(cards, JOB, "?on=stone")).status).toBe(400);
});

test("making: what is cut, bought and done, in an order that a school chooses", async () => {
  const { status, reply } = await ask(making, JOB);
  expect(status).toBe(200);
  expect(reply.cutting.find((l) => l.piece === "front")?.count).toBe(2);
  expect(reply.shopping[0]?.length).toBeGreaterThan(1000);
  const at = (of: Reply, id: string): number => of.order.findIndex((o) => o.id === id);
  expect(at(reply, "crotch-back")).toBeLessThan(at(reply, "side"));
  const legs = await ask(making, { job: JOB, schools: { closing: "legs-first" } });
  expect(at(legs.reply, "side")).toBeLessThan(at(legs.reply, "crotch-back"));
  expect((await ask(making, { job: JOB, schools: { closing: "inside-out" } })).status).toBe(400);
});
