import { z } from "zod";
import { GET as getCatalog } from "./catalog/route";
import { POST as postDerive } from "./derive/route";

/** What outside programs rely on: the names and shapes of docs/api.md, for every style there is. */
const point = z.tuple([z.number(), z.number()]);
const panelSchema = z.looseObject({
  id: z.string().min(1),
  name: z.string().min(1),
  half: z.enum(["both", "left", "right"]),
  material: z.string(),
  edges: z
    .array(
      z.looseObject({
        role: z.enum([
          "waist",
          "side",
          "hem",
          "inseam",
          "crotch",
          "fold",
          "dart",
          "style",
          "casing",
          "centre",
          "neck",
          "shoulder",
          "armhole",
        ]),
        name: z.string().min(1),
        length: z.number().positive(),
        points: z.array(point).min(2),
      }),
    )
    .min(3),
  outline: z.array(point).min(3),
  landmarks: z.record(z.string(), point),
  lines: z.array(z.looseObject({ kind: z.string(), points: z.array(point).min(1) })),
  area: z.number().positive(),
});
const pieceSchema = z.looseObject({
  id: z.string().min(1),
  name: z.string().min(1),
  material: z.enum(["shell", "lining", "interfacing", "pocketing", "rib", "second"]),
  cut: z.looseObject({
    count: z.int().positive(),
    pairs: z.boolean(),
    onFold: z.boolean(),
    singleLayer: z.boolean(),
  }),
  seamLine: z.array(point).min(3),
  cutLine: z.array(point).min(3),
  edges: z.array(
    z.looseObject({ role: z.string(), length: z.number(), allowance: z.number().nonnegative().nullable() }),
  ),
  grain: z.tuple([point, point]),
  notches: z.array(z.looseObject({ at: point, kind: z.enum(["single", "double"]), pairs: z.string() })),
  label: z.array(z.string()).min(1),
  area: z.number().positive(),
});
const replySchema = z.looseObject({
  ok: z.literal(true),
  numbers: z.record(z.string(), z.looseObject({ mm: z.number(), formula: z.string().min(1) })),
  panels: z.array(panelSchema).min(2),
  pieces: z.array(pieceSchema).min(2),
  seams: z.array(
    z.looseObject({
      id: z.string(),
      a: z.array(z.string().regex(/^.+\..+$/)).min(1),
      b: z.array(z.string().regex(/^.+\..+$/)).min(1),
      how: z.enum(["equal", "eased", "gathered", "pleated"]),
      ratio: z.number().positive(),
      lengthA: z.number().positive(),
      lengthB: z.number().positive(),
    }),
  ),
  readings: z.looseObject({
    waistGirth: z.number(),
    hipGirth: z.number(),
    thighGirth: z.number(),
    kneeGirth: z.number().nullable(),
    hemGirth: z.number(),
    waistOpening: z.number(),
    crotchSeamFront: z.number(),
    crotchSeamBack: z.number(),
    crotchSeam: z.number(),
    outseam: z.number(),
    inseam: z.number(),
    hemWidthFront: z.number(),
    hemWidthBack: z.number(),
    clothArea: z.number(),
    easeProfile: z.array(z.looseObject({ level: z.string(), y: z.number(), body: z.number(), pattern: z.number() })),
  }),
  checks: z.array(
    z.looseObject({
      id: z.string(),
      status: z.enum(["pass", "look", "fault"]),
      value: z.number(),
      unit: z.string(),
      message: z.string().regex(/\.$/),
      where: z.looseObject({ panel: z.string(), point }).nullable(),
    }),
  ),
  advice: z.array(z.looseObject({ id: z.string() })),
});

const catalog = async () =>
  (await getCatalog().json()) as Record<string, { id: string; label: string; note: string; params?: unknown }[]>;

async function derived(body: Record<string, unknown>): Promise<{ status: number; json: unknown }> {
  const job = { format: "eland-job", version: 1, name: "Contract", ...body };
  const request = new Request("http://localhost/api/derive", {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(job),
  });
  const response = await postDerive(request);
  return { status: response.status, json: await response.json() };
}

const BODY = { name: "Marit", unit: "in", measures: { hip: "41 3/8", waist: 31.5 } };

/** The reply for a style, with no block named: in the style's own school. */
async function reply(id: string, more: Record<string, unknown> = {}): Promise<z.infer<typeof replySchema>> {
  const { status, json } = await derived({ body: BODY, style: { id }, ...more });
  expect([id, status, (json as { errors?: unknown }).errors]).toEqual([id, 200, undefined]);
  const parsed = replySchema.safeParse(json);
  if (!parsed.success) throw new Error(`${id}: ${z.prettifyError(parsed.error)}`);
  return parsed.data;
}

const STYLE_IDS =
  "straight cigarette palazzo flare bell-flounce side-fullness paper-bag pleated jogger sweat front-slit yoke-flare culotte one-piece".split(
    " ",
  );
const MOVE_IDS =
  "spread full-spread shape-leg widen-leg drop-crotch waist-level set-length waist-shaping yoke split pleats side-panel godet flounce placket casing bodice bodice-edges pivot-dart hollow-dart style-line fold-back cowl end-as-top join-bodice".split(
    " ",
  );

describe("every style answers in the names of the contract", () => {
  test.each(STYLE_IDS)("%s", async (id) => {
    const { panels, seams, readings, pieces } = await reply(id);
    for (const panel of panels) {
      // Closed and not repeated; the edges run round it in order.
      expect(panel.outline.at(-1)).not.toEqual(panel.outline[0]);
      panel.edges.forEach((edge, i) => {
        const next = panel.edges[(i + 1) % panel.edges.length];
        const [end, start] = [edge.points.at(-1) as [number, number], next?.points[0] as [number, number]];
        expect(Math.hypot(end[0] - start[0], end[1] - start[1])).toBeLessThan(0.01);
      });
      // Clockwise as drawn, y running down.
      const area = panel.outline.reduce((sum, [x, y], i, all) => {
        const [nx, ny] = all[(i + 1) % all.length] as [number, number];
        return sum + (x * ny - nx * y) / 2;
      }, 0);
      expect([panel.id, area > 0, Math.abs(area / panel.area - 1) < 0.002]).toEqual([panel.id, true, true]);
    }
    const edges = new Set(panels.flatMap((p) => p.edges.map((e) => `${p.id}.${(e as { id?: string }).id}`)));
    for (const seam of seams) {
      expect(seam.ratio).toBeCloseTo(seam.lengthB / seam.lengthA, 6);
      for (const ref of [...seam.a, ...seam.b]) expect([seam.id, ref, edges.has(ref)]).toEqual([seam.id, ref, true]);
      if (seam.how === "equal") expect(Math.abs(seam.lengthA - seam.lengthB)).toBeLessThan(1);
    }
    expect(readings.crotchSeam).toBeCloseTo(readings.crotchSeamFront + readings.crotchSeamBack, 6);
    expect(new Set(pieces.map((p) => p.id)).size).toBe(pieces.length);
  });

  test("front and back lie as the contract draws them: the side of the front on the left, of the back on the right", async () => {
    for (const id of ["straight", "flare", "paper-bag", "culotte"]) {
      const { panels } = await reply(id);
      const at = (panel: string, mark: string): number =>
        panels.find((p) => p.id === panel)?.landmarks[mark]?.[0] ?? NaN;
      expect(at("front", "hipSide")).toBeLessThan(at("front", "crotchPoint"));
      expect(at("back", "hipSide")).toBeGreaterThan(at("back", "crotchPoint"));
    }
  });
});

describe("the catalog", () => {
  test("lists every style and move of the contract, with what can be asked of each as JSON Schema", async () => {
    const { styles, moves } = await catalog();
    expect(styles?.map((s) => s.id)).toEqual(expect.arrayContaining(STYLE_IDS));
    expect(moves?.map((m) => m.id).sort()).toEqual([...MOVE_IDS].sort());
    for (const entry of [...(styles ?? []), ...(moves ?? [])]) {
      expect(entry.label.length).toBeGreaterThan(2);
      expect(entry.note).toMatch(/\.$/);
      expect(entry.params).toMatchObject({ type: "object", properties: expect.any(Object) as unknown });
    }
  });

  test("every style takes length and hemGirth, and every number asked of it in inches is met", async () => {
    const { styles } = await catalog();
    for (const { id, params } of styles ?? []) {
      const names = Object.keys((params as { properties: object }).properties);
      // A top has no leg to measure at its hem.
      expect([id, names]).toEqual([
        id,
        expect.arrayContaining(id === "cowl-top" ? ["length"] : ["length", "hemGirth"]),
      ]);
    }
    const wide: Readonly<Record<string, string>> = {
      "bell-flounce": "80 in",
      "side-fullness": "48 in",
      culotte: "36 in",
    };
    for (const id of STYLE_IDS) {
      const hemGirth = wide[id] ?? "25 1/2 in";
      const { readings } = await reply(id, { style: { id, params: { hemGirth } } });
      expect([id, readings.hemGirth / 25.4]).toEqual([id, expect.closeTo(wide[id] ? parseFloat(hemGirth) : 25.5, 1)]);
    }
  });
});

describe("a job that leaves things out", () => {
  test("takes its style's school where it names none, with a block or without", async () => {
    const roomy = (await reply("culotte")).readings.hipGirth;
    expect((await reply("culotte", { block: {} })).readings.hipGirth).toBeCloseTo(roomy, 6);
    expect((await reply("culotte", { block: { school: "eased-metric" } })).readings.hipGirth).toBeCloseTo(roomy, 6);
    expect((await reply("culotte", { block: { school: "proportional" } })).readings.hipGirth).toBeLessThan(roomy - 100);
  });

  test("a style nobody knows is still answered as such", async () => {
    for (const id of ["kilt", "constructor", "__proto__", ""]) {
      const { status, json } = await derived({ body: BODY, style: { id } });
      expect([id, status]).toEqual([id, 400]);
      expect(json).toMatchObject({ ok: false, errors: [{ path: "style.id" }] });
    }
  });

  test("nor is a move nobody knows looked for elsewhere", async () => {
    for (const move of ["fold", "constructor", "toString"]) {
      const { status, json } = await derived({ body: BODY, style: { id: "straight" }, moves: [{ id: "a", move }] });
      expect([move, status]).toEqual([move, 400]);
      expect(json).toMatchObject({ ok: false, errors: [{ path: "moves.0.move" }] });
    }
  });

  test("its moves may be stated one by one; what they leave open the style fills", async () => {
    const moves = [
      { id: "a", move: "shape-leg", params: { hem: "30 in" } },
      { id: "b", move: "set-length", params: {} },
    ];
    const { readings } = await reply("flare", { moves, style: { id: "flare", params: { hemGirth: "25 in" } } });
    // The move's own number wins over the style's.
    expect(readings.hemGirth / 25.4).toBeCloseTo(30, 1);
  });
});
