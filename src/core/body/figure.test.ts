import { complaintsOf } from "../testing/said";
import { figureOf, halves, MEASURES, resolveBody, type Body } from ".";
import { readCardsCsv, writeCardsCsv } from "./cardCsv";
import { pathFlatten } from "../geometry";
import { plausibleBody } from "../testing/bodies";
import { HAND_BODY } from "../testing/jobs";

function measures(body: Body) {
  const resolved = resolveBody(body);
  if (!resolved.ok) throw new Error(complaintsOf(resolved.errors));
  return resolved.measures;
}

describe("the figure", () => {
  test("an ellipse of a girth has that perimeter", () => {
    const { width, depth } = halves(1000, 1.3);
    let sum = 0;
    for (let i = 0; i < 4000; i++) {
      const [a, b] = [(i / 4000) * 2 * Math.PI, ((i + 1) / 4000) * 2 * Math.PI];
      sum += Math.hypot(width * (Math.cos(a) - Math.cos(b)), depth * (Math.sin(a) - Math.sin(b)));
    }
    expect(sum).toBeCloseTo(1000, 0);
    expect(width / depth).toBeCloseTo(1.3, 9);
  });

  test("is as wide at waist and hip as the girths ask, and stands on the floor", () => {
    const m = measures(HAND_BODY);
    const figure = figureOf(m, false);
    const points = figure.views.front.flatMap((path) => pathFlatten(path, 0.2));
    const wide = (y: number): number => Math.max(...points.filter((p) => Math.abs(p[1] - y) < 0.6).map((p) => p[0]));
    expect(wide(0)).toBeCloseTo(halves(760, 1.38).width, 0);
    expect(wide(210)).toBeCloseTo(halves(1040, 1.34).width, 0);
    expect(Math.max(...points.map((p) => p[1]))).toBeCloseTo(1050, 6);
  });

  test("has a tape for every measure, finite on every body", () => {
    for (let seed = 0; seed < 60; seed++) {
      const figure = figureOf(measures(plausibleBody(seed)), seed % 2 === 0);
      expect(Object.keys(figure.tapes).sort()).toEqual(MEASURES.map((m) => m.key).sort());
      const paths = [
        ...Object.values(figure.views).flat(),
        ...Object.values(figure.tapes).flatMap((t) => t?.runs ?? []),
      ];
      const flat = paths.flatMap((path) => pathFlatten(path, 1)).flat();
      expect(flat.every(Number.isFinite)).toBe(true);
    }
  });
});

describe("levels taken from the shoulder", () => {
  const card: Body = {
    name: "",
    unit: "in",
    datum: "shoulder",
    measures: { waist: 34, hip: 40, waistToHip: "27 1/2", waistToFloor: "62 1/2", shoulderToWaist: "18 1/4" },
  };
  test("count from the waist after shoulder to waist is taken off, with the sum shown", () => {
    const m = measures(card);
    expect(m.waistToHip.mm).toBeCloseTo(9.25 * 25.4, 6);
    expect(m.waistToHip).toMatchObject({
      source: "given",
      sum: expect.toSay("from the shoulder"),
    });
    expect(m.waistToFloor.mm).toBeCloseTo(44.25 * 25.4, 6);
  });
  test("rest on an estimate where the shoulder is not carded, and say so", () => {
    const { shoulderToWaist: _left, ...rest } = card.measures;
    expect(measures({ ...card, measures: rest }).waistToHip.estimated).toBe(true);
    const none = resolveBody({ ...card, measures: { waist: 34, hip: 40, waistToHip: 27 } });
    expect(none).toMatchObject({ ok: false, errors: [{ path: "body.measures.shoulderToWaist" }] });
  });
  test("above the waist are refused by name", () => {
    expect(resolveBody({ ...card, measures: { ...card.measures, waistToHip: 12 } })).toMatchObject({
      ok: false,
      errors: [{ path: "body.measures.waistToHip", says: expect.toSay(/above the waist/) }],
    });
  });
});

describe("cards as a spreadsheet", () => {
  const cards: Body[] = [
    {
      name: "Marit, the tall",
      unit: "cm",
      taken: "2026-10-12",
      note: "=1+1, said twice",
      measures: {
        waist: "73,5",
        hip: "101",
        knee: { length: "48", net: false },
        thigh: { value: "23 1/4", unit: "in" },
      },
    },
    { name: "Ilka", unit: "in", datum: "shoulder", measures: { waist: "25 3/4", hip: 35.5, shoulderToWaist: "16" } },
  ];

  test("come back as they went out, lengths as typed", () => {
    const read = readCardsCsv(writeCardsCsv(cards));
    if (!read.ok) throw new Error(read.message);
    expect(read.cards[0]).toMatchObject({ name: "Marit, the tall", taken: "2026-10-12", unit: "cm" });
    expect(read.cards[0]?.measures).toEqual({
      waist: "73,5",
      hip: "101",
      knee: { length: "48", net: false },
      thigh: "23 1/4 in",
    });
    expect(read.cards[1]).toMatchObject({ datum: "shoulder", measures: { waist: "25 3/4", hip: "35.5" } });
  });

  test("columns may carry the names on the card, in any order", () => {
    const read = readCardsCsv('Hip,Unit,Name,Waist to hip\n104,cm,Oda,"21,5"\n');
    expect(read).toMatchObject({ ok: true, cards: [{ name: "Oda", measures: { hip: "104", waistToHip: "21,5" } }] });
  });

  test.each([
    ["", /no cards/],
    ["wearer,unit,hip\n", /no cards/],
    ["wearer,hip\nOda,104\n", /column “unit”/],
    ["wearer,unit,girth of hat\nOda,cm,57\n", /no measure “girth of hat”/],
    ["wearer,unit,hip\nOda,yards,3\n", /Row 2: the unit/],
    ["wearer,unit,hip\nOda,cm,104\nPia,cm,wide\n", /Row 3, hip: “wide” is not a length/],
    ["wearer,unit,taken,hip\nOda,cm,last week,104\n", /Row 2: taken cannot be read/],
  ])("a bad file takes nothing in: %j", (text, words) => {
    const read = readCardsCsv(text);
    expect(read.ok ? "taken in" : read.message).toMatch(words);
  });
});
