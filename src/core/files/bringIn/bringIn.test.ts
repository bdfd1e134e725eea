import { said } from "../../testing/said";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { bringIn, type FoundOutline } from ".";
import { type OwnBlock } from "../../drafting";
import { outlineData } from "../../tracing";
import { pathLength } from "../../geometry";
import { derivedOf, HAND_BODY, palazzoJob, withLegs } from "../../testing/jobs";
import { derive } from "../../derive";
import type { Job } from "../job";
import { writeSvg } from "../drawing/svg";

const hand = readFileSync(join(process.cwd(), "src/core/files/bringIn/fixtures/hand-drawn.svg"), "utf8");

function outlines(text: string, unit: number | null = null) {
  const read = bringIn(text, unit);
  if (read.kind !== "outlines") throw new Error(JSON.stringify(read));
  return read;
}

function refusal(text: string): string {
  const read = bringIn(text, null);
  return read.kind === "refused" ? read.message : `not refused: ${read.kind}`;
}

/** The block a person would make of a drawing by taking every guess. */
function ownFrom(text: string, more: Partial<OwnBlock> = {}): OwnBlock {
  const { found, legs } = outlines(text);
  const { panels: guess, places: landmarks } = legs;
  if (!guess) throw new Error("no guess");
  const panel = (id: string): OwnBlock["panels"]["front"] => {
    const outline = found.find((o) => o.id === id) as FoundOutline;
    return {
      path: outlineData(outline.path),
      darts: outline.darts.map((d) => d.map((p) => [p[0], p[1]])) as NonNullable<OwnBlock["panels"]["front"]["darts"]>,
    };
  };
  return {
    panels: { front: panel(guess.front), back: panel(guess.back) },
    landmarks: {
      front: landmarks[guess.front] as OwnBlock["landmarks"]["front"],
      back: landmarks[guess.back] as OwnBlock["landmarks"]["back"],
    },
    ...more,
  };
}

const jobOf = (own: OwnBlock, style = "straight", params = {}): Job =>
  palazzoJob(HAND_BODY, { block: { school: "own", rules: {}, own }, style: { id: style, params } });

describe("a block drawn by hand", () => {
  test("comes in from lines that meet end to end, at its true size", () => {
    const { found, unitMm, legs } = outlines(hand);
    const guess = legs.panels;
    expect(unitMm).toBeCloseTo(1, 9);
    expect(found).toHaveLength(2);
    expect(guess).toEqual({ front: expect.any(String) as string, back: expect.any(String) as string });
    const front = found.find((o) => o.id === guess?.front) as FoundOutline;
    expect([front.width, front.height]).toEqual([expect.closeTo(308, 1), expect.closeTo(1040, 1)]);
    expect(front.name).toBe("block-front");
  });

  test("is measured as it is, and can be restyled into a palazzo", () => {
    const own = ownFrom(hand);
    const plain = derivedOf(jobOf(own));
    expect(said(plain.block.numbers.frontExtension?.sum)).toBe("measured on the block brought in");
    expect(plain.block.numbers.crotchDepth?.mm).toBeCloseTo(330 - 60, 0);
    const wide = derivedOf(jobOf(own, "palazzo"));
    // Two gaps of 120 a panel open the hem by the same again; the seams that were not opened keep their lengths.
    expect(wide.readings.hemGirth - 2 * 240).toBeGreaterThan(480);
    const straight = derivedOf(jobOf(own, "palazzo", { hemSpread: "0 mm" }));
    for (const panel of ["front", "back"] as const)
      for (const id of ["side", "inseam"]) {
        const length = (d: typeof wide): number => pathLength(d[panel].edges.find((e) => e.id === id)?.path ?? []);
        expect(Math.abs(length(wide) - length(straight))).toBeLessThan(0.01);
      }
  });

  test("keeps what front and back differ by, and reconciles only when asked", () => {
    const status = (own: OwnBlock, id: string) => derivedOf(jobOf(own)).checks.find((c) => c.id === id);
    const asIs = ownFrom(hand);
    const raw = derive({ ...jobOf(asIs), moves: [] });
    const redrawn = derivedOf(jobOf(asIs));
    if (!raw.ok) throw new Error("the block as it is must derive");
    const difference = (d: Pick<typeof redrawn, "front" | "back">): number =>
      pathLength(d.front.edges.find((e) => e.id === "side")?.path ?? []) -
      pathLength(d.back.edges.find((e) => e.id === "side")?.path ?? []);
    expect(Math.abs(difference(withLegs(raw)) - difference(redrawn))).toBeLessThan(0.01);
    expect(status(asIs, "side-seams")?.status).not.toBe("pass");
    const agreed = { ...asIs, reconcile: true };
    expect(status(agreed, "side-seams")?.status).toBe("pass");
    expect(status(agreed, "inseams")).toMatchObject({ status: "pass", value: expect.closeTo(3.2, 1) as number });
  });

  test("does not change with the card, and is held against it all the same", () => {
    const own = ownFrom(hand);
    const larger = { ...HAND_BODY, measures: { ...HAND_BODY.measures, hip: 1300 } };
    const [a, b] = [derivedOf(jobOf(own)), derivedOf({ ...jobOf(own), body: larger })];
    expect(b.block.panels[0].edges).toEqual(a.block.panels[0].edges);
    expect(b.checks.find((c) => c.id === "hip-ease")?.status).toBe("fault");
  });

  test("loses the allowances it is said to hold: every level width by both edges", () => {
    const bare = derivedOf({ ...jobOf(ownFrom(hand)), moves: [] });
    const less = derivedOf({ ...jobOf(ownFrom(hand, { allowance: "10 mm" })), moves: [] });
    // Side and inseam of both panels run nearly upright at the knee: 4 x 10 less.
    expect(bare.readings.kneeGirth! - less.readings.kneeGirth!).toBeCloseTo(40, 0);
    expect(less.readings.outseam).toBeLessThan(bare.readings.outseam - 15);
    const gone = derive(jobOf(ownFrom(hand, { allowance: "9 cm" })));
    expect(gone).toMatchObject({ ok: false, errors: [{ path: "block.own.allowance" }] });
  });
});

describe("lines inside a panel that the file does not name", () => {
  const withLines = (lines: string): string => hand.replace("</g>", `${lines}</g>`);
  const inner = (lines: string) => {
    const { found, legs } = outlines(withLines(lines));
    return found.find((o) => o.id === legs.panels?.front)?.inner;
  };
  const GRAIN = '<line x1="225" y1="500" x2="225" y2="900"/>';
  const V = '<polyline points="200,62.84 212,160 224,63.87"/>';

  test.each([
    ["a line that turns back", V],
    ["two legs that meet", '<path d="M200 62.84L212 160"/><path d="M212.2 160.1L224 63.87"/>'],
    ["two legs with the middle drawn too", '<path d="M200 62.84L212 160L224 63.87"/><path d="M212 63.4L212 160"/>'],
    ["two legs a little hollow", '<path d="M200 62.84Q208 110 212 160"/><path d="M212 160Q215 112 224 63.87"/>'],
  ])("%s is a likely dart", (_, lines) => {
    const read = inner(lines + GRAIN);
    expect(read?.darts.map(([a, tip, b]) => [Math.abs(a[0] - b[0]), tip[1] - a[1]])).toEqual([
      [expect.closeTo(24, 0), expect.closeTo(97, 0)],
    ]);
    expect(read?.others).toHaveLength(1);
  });

  test("a level from side to side, a grain line and a slit are none", () => {
    const read = inner(`${GRAIN}<line x1="70" y1="280" x2="360" y2="280"/><path d="M200 62.84L200.5 160L201 62.9"/>`);
    expect(read?.darts).toEqual([]);
    expect(read?.others).toHaveLength(3);
  });

  test("taken as a dart, its mouth is no longer sewn waist", () => {
    const plain = ownFrom(hand);
    const { found, legs } = outlines(withLines(V));
    const front = found.find((o) => o.id === legs.panels?.front) as FoundOutline;
    const darts = front.inner.darts.map((d) => d.map((p) => [p[0], p[1]]));
    const panels = { ...plain.panels, front: { ...plain.panels.front, darts: darts as never } };
    const net = (own: OwnBlock): number => derivedOf({ ...jobOf(own), moves: [] }).readings.waistGirth;
    expect(net(plain) - net({ ...plain, panels })).toBeCloseTo(48, 0);
  });

  test("a dart that opens nowhere on the waist is told", () => {
    const plain = ownFrom(hand);
    const off = [
      [
        [200, 300],
        [212, 400],
        [224, 300],
      ],
    ];
    const own = { ...plain, panels: { ...plain.panels, front: { ...plain.panels.front, darts: off as never } } };
    const told = derivedOf({ ...jobOf(own), moves: [] }).block.steps.map((s) => said(s.sentence));
    expect(told).toContainEqual(
      expect.stringMatching(/Leave out the dart of the front whose tip lies .* from the waist/),
    );
  });
});

test("a hip drawn with a corner is told, and where along the seam", () => {
  const own = ownFrom(hand);
  const path = own.panels.back.path.replace("C880 140 905 200 905 280C905 430 818 530 818 650", "L925 285L818 650");
  const back = { ...own.landmarks.back, hipSide: [925, 285] as [number, number] };
  const ruled: OwnBlock = {
    ...own,
    panels: { ...own.panels, back: { path } },
    landmarks: { ...own.landmarks, back },
  };
  const made = derivedOf({ ...jobOf(ruled), moves: [] });
  const check = made.checks.find((c) => c.id === "hip-corner");
  expect(check?.status).toBe("fault");
  expect(check?.message).toSay(/side of the back turns by 36.* degrees within 6.0 cm, 21.8 cm down along the seam/);
});

test("an outline that crosses itself is told by its place, not blamed on the measures", () => {
  const own = ownFrom(hand);
  const crossed = own.panels.front.path.replace(/Z$/, "L140 200L100 190Z");
  const made = derive(jobOf({ ...own, panels: { ...own.panels, front: { ...own.panels.front, path: crossed } } }));
  expect(made).toMatchObject({ ok: false, errors: [{ path: "block.own.panels.front" }] });
  expect(!made.ok && made.errors[0]?.says).toSay(/crosses itself .* from (waist|hip)/);
});

test("Eland's own drawing comes back as the block it was written from", () => {
  const first = derivedOf(palazzoJob(HAND_BODY, { style: { id: "straight", params: {} } }));
  const svg = writeSvg({ title: "Block", pieces: first.pieces, notices: [] });
  const own = ownFrom(svg);
  expect(own.panels.front.darts).toHaveLength(1);
  const again = derivedOf({ ...jobOf(own), moves: [] });
  expect(again.readings.waistGirth).toBeCloseTo(first.readings.waistGirth, 0);
  expect(Math.abs(again.readings.outseam - first.readings.outseam)).toBeLessThan(0.3);
  expect(Math.abs(again.readings.inseam - first.readings.inseam)).toBeLessThan(0.3);
  expect(Math.abs(again.readings.crotchSeam - first.readings.crotchSeam)).toBeLessThan(0.6);
  expect(derivedOf(jobOf(own, "palazzo")).checks.filter((c) => c.status === "fault")).toEqual([]);
});

/** A DXF as other programs write it: one closed polyline a panel, y upward, in centimetres. */
function dxf(units: string, closed = true): string {
  const panel = (points: readonly (readonly [number, number])[]): string =>
    [
      "0",
      "LWPOLYLINE",
      "8",
      "14",
      "90",
      String(points.length),
      "70",
      closed ? "1" : "0",
      ...points.flatMap(([x, y]) => ["10", String(x), "20", String(-y)]),
    ].join("\n");
  const front = panel([
    [13.4, 6],
    [32, 6.8],
    [33, 25],
    [33.6, 28.5],
    [35, 31.5],
    [38.2, 33],
    [36.2, 45],
    [33.8, 64],
    [33.8, 110],
    [11.2, 110],
    [11.2, 64],
    [7.4, 27],
    [9, 17],
  ]);
  const back = panel([
    [64, 3],
    [60.4, 25],
    [59, 30],
    [55, 33.5],
    [50, 34.5],
    [53, 45],
    [56.2, 64],
    [56.2, 110],
    [81.8, 110],
    [81.8, 64],
    [90.5, 27],
    [88.5, 15],
    [85, 7],
  ]);
  const header = units ? `0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n${units}\n0\nENDSEC\n` : "";
  return `${header}0\nSECTION\n2\nENTITIES\n${front}\n${back}\n0\nENDSEC\n0\nEOF\n`;
}

describe("a DXF", () => {
  test("comes in at its unit, with the sew line known by its layer", () => {
    const { found, unitMm } = outlines(dxf("5"));
    expect(unitMm).toBe(10);
    expect(found.map((o) => o.kind)).toEqual(["seam", "seam"]);
    const wide = derivedOf(jobOf(ownFrom(dxf("5")), "palazzo"));
    expect(wide.readings.hemGirth).toBeGreaterThan(900);
  });
  test("asks for its unit when it does not say", () => {
    expect(bringIn(dxf(""), null)).toEqual({ kind: "ask-unit" });
    expect(outlines(dxf(""), 10).found).toHaveLength(2);
    expect(bringIn(dxf(""), 304.8)).toMatchObject({
      kind: "refused",
      message: expect.stringMatching(/20 metres/) as string,
    });
  });
});

describe("what cannot be taken in is refused with a sentence", () => {
  const head = '<svg xmlns="http://www.w3.org/2000/svg" width="100mm" viewBox="0 0 100 100">';
  test.each([
    ["", /empty/],
    ["%PDF-1.7 …", /not a DXF/],
    ["a\u0000b", /not a drawing in text form/],
    ["<html><body/></html>", /not an SVG/],
    [`${head}<path d="M0 0L10 10"`, /damaged/],
    [`${head}<script>alert(1)</script></svg>`, /“script”/],
    [`${head}<g onload="alert(1)"/></svg>`, /holds a script/],
    [`${head}<a href="javascript:alert(1)"/></svg>`, /holds a script/],
    [`${head}<image href="http://example.org/a.png"/></svg>`, /“image”/],
    [`${head}<foreignObject/></svg>`, /“foreignObject”/],
    [`<!DOCTYPE svg [<!ENTITY a "b">]>${head}</svg>`, /entities/],
    [`${head}<path d="M0 0 L banana"/></svg>`, /damaged|no lines/],
    [`${head}<path d="M0 0L90 90"/></svg>`, /No closed outline/],
    [`${head}${"<g/>".repeat(20_001)}</svg>`, /20,000 parts/],
    [`${head}<!--${"x".repeat(8_000_001)}--></svg>`, /over 8 MB/],
    ["0\nSECTION\n2\nENTITIES\n0\nLINE\n10\nten\n", /damaged|no lines|no length/],
  ])("case %#", (text, words) => {
    const message = refusal(text);
    expect(message).toMatch(words);
    expect(message).toMatch(/\.$/);
  });

  test("landmarks in the wrong place are named", () => {
    const own = ownFrom(hand);
    const { front } = own.landmarks;
    const off = derive(
      jobOf({ ...own, landmarks: { ...own.landmarks, front: { ...front, crotchPoint: [700, 700] } } }),
    );
    expect(off).toMatchObject({ ok: false, status: 422, errors: [{ path: "block.own.landmarks.front.crotchPoint" }] });
    const swapped = derive(
      jobOf({
        ...own,
        landmarks: { ...own.landmarks, front: { ...front, hemSide: front.hemInseam, hemInseam: front.hemSide } },
      }),
    );
    expect(swapped).toMatchObject({ ok: false, errors: [{ says: expect.toSay(/wrong order/) }] });
  });

  test("choosing one's own block before there is one says what to do", () => {
    const none = derive(palazzoJob(HAND_BODY, { block: { school: "own", rules: {} } }));
    expect(none).toMatchObject({
      ok: false,
      status: 422,
      errors: [{ path: "block.own", says: expect.toSay(/Bring in/) }],
    });
  });
});
