import { GET as getCatalog } from "./catalog/route";
import { POST as postDerive } from "./derive/route";
import { POST as postExport } from "./export/route";

const job = {
  format: "eland-job",
  version: 1,
  name: "Wide leg",
  body: { name: "Marit", unit: "in", measures: { hip: "41 3/8", waist: 31.5 } },
  block: { school: "proportional", rules: { frontExtension: { from: "hip20" } } },
  style: { id: "palazzo", params: { hemGirth: "34 in" } },
};

const post = (path: string, body: unknown): Request =>
  new Request(`http://localhost/api/${path}`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: typeof body === "string" ? body : JSON.stringify(body),
  });

async function derived(body: unknown) {
  const response = await postDerive(post("derive", body));
  return {
    status: response.status,
    json: (await response.json()) as Record<string, never> & { errors?: { path: string; message: string }[] },
  };
}

test("a job of the contract is derived", async () => {
  const { status, json } = await derived(job);
  expect(status).toBe(200);
  expect(json).toMatchObject({
    ok: true,
    body: {
      measures: { hip: { mm: expect.closeTo(1050.925, 3) as number, source: "given" }, knee: { source: "estimated" } },
    },
    numbers: { frontExtension: { mm: expect.closeTo(52.546, 3) as number } },
    readings: { hemGirth: expect.closeTo(863.6, 0) as number },
  });
});

test.each(["proportional", "traced", "hinged", "eased-metric"])(
  "%s answers with the numbers of the contract, its steps in words, and panels that close",
  async (school) => {
    const { status, json } = await derived({ ...job, block: { school }, style: { id: "straight" } });
    expect(status).toBe(200);
    const reply = json as unknown as {
      numbers: Record<string, { mm: number; formula: string }>;
      steps: { n: number; panel: string; text: string; points: string[] }[];
      block: { panels: { outline: [number, number][]; landmarks: Record<string, unknown>; area: number }[] };
    };
    for (const name of ["crotchDepth", "frontExtension", "backExtension", "backRise", "frontWidth", "backWidth"])
      expect([name, Number.isFinite(reply.numbers[name]?.mm), typeof reply.numbers[name]?.formula]).toEqual([
        name,
        true,
        "string",
      ]);
    expect(reply.steps.map((s) => s.n)).toEqual(reply.steps.map((_, i) => i + 1));
    for (const { text } of reply.steps) expect(text).not.toMatch(/[{}]|undefined|DART_PLACE/);
    for (const panel of reply.block.panels) {
      expect(panel.area).toBeGreaterThan(100_000);
      for (const mark of ["waistCentre", "hipSide", "crotchPoint", "hemInseam", "creaseHem"])
        expect(panel.landmarks).toHaveProperty(mark);
    }
  },
);

test("a move that makes no sense is passed over in the reply, with the reason", async () => {
  const moves = [
    { id: "a", move: "spread", params: {} },
    { id: "b", move: "drop-crotch", params: {} },
  ];
  const { status, json } = await derived({ ...job, moves });
  expect(status).toBe(200);
  expect(json).toMatchObject({
    moves: expect.arrayContaining([
      expect.objectContaining({ id: "b", passedOver: expect.stringMatching(/Move it up/) as string }),
    ]) as unknown,
  });
});

test.each([
  ["{", 400, ""],
  [{}, 400, "format"],
  [{ ...job, style: { id: "kilt" } }, 400, "style.id"],
  [{ ...job, style: { id: "palazzo", params: { depth: 3 } } }, 400, "style.params"],
  [{ ...job, body: { ...job.body, measures: { hip: "wide", waist: 30 } } }, 400, "body.measures.hip"],
  [{ ...job, body: { ...job.body, measures: { hip: 30, waist: 60 } } }, 422, "body.measures.waist"],
  [
    { ...job, body: { ...job.body, measures: { hip: 40, waist: 30, crotchDepth: 6, waistToHip: 8 } } },
    422,
    "body.measures.crotchDepth",
  ],
  [{ ...job, block: { school: "own" } }, 422, "block.own"],
  [{ ...job, block: { school: "tailored" } }, 400, "block.school"],
  [{ ...job, allowances: { side: "20 furlongs" } }, 400, "allowances.side"],
  [{ ...job, block: { rules: { ease: { front: "much" } } } }, 400, "block.rules.ease.front"],
  [{ ...job, moves: [{ id: "a", move: "spread", params: { hemSpread: "300 cm" } }] }, 422, "moves.0.params.hemSpread"],
  [{ ...job, moves: [{ id: "a", move: "spread", params: { hemSpread: "3 m" } }] }, 400, "moves.0.params.hemSpread"],
])("bad input %# is refused with its place and a sentence", async (body, status, path) => {
  const answer = await derived(body);
  expect(answer.status).toBe(status);
  expect(answer.json).toMatchObject({ ok: false });
  expect(answer.json.errors?.[0]?.path).toBe(path);
  expect(answer.json.errors?.[0]?.message).toMatch(/\.$/);
});

test("files go out with a name and a type; unknown formats are refused", async () => {
  for (const [query, type] of [
    ["format=pdf&paper=letter", "application/pdf"],
    ["format=svg", "image/svg+xml"],
    ["format=json", "application/json"],
  ] as const) {
    const response = await postExport(post(`export?${query}`, job));
    expect(response.status).toBe(200);
    expect(response.headers.get("content-type")).toBe(type);
    expect(response.headers.get("content-disposition")).toMatch(/filename="wide-leg/);
    expect((await response.arrayBuffer()).byteLength).toBeGreaterThan(300);
  }
  expect((await postExport(post("export?format=doc", job))).status).toBe(400);
  expect((await postExport(post("export?format=pdf&paper=napkin", job))).status).toBe(400);
});

test("the catalog is served, and a request that is too large is not read", async () => {
  const served = (await getCatalog().json()) as Record<string, { id: string }[]>;
  expect(served.schools?.map((s) => s.id)).toEqual(["proportional", "traced", "hinged", "eased-metric", "own"]);
  expect(served.styles?.map((s) => s.id)).toContain("flare");
  expect(served.moves?.map((m) => m.id)).toContain("full-spread");
  expect((await postDerive(post("derive", "x".repeat(2_100_000)))).status).toBe(413);
});
