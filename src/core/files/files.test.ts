import { complaintsOf, said } from "../testing/said";
import { PDFDocument, type PDFPage } from "pdf-lib";
import { catalog } from "../derive/catalog";
import { handOver, noticesOf } from "../derive/handOver";
import { replyOf } from "../derive/reply";
import { polygonArea, type Point } from "../geometry";
import { pdfRuns } from "../testing/pdfRuns";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { readJob, readJobText, writeJobText, JOB_VERSION } from ".";
import { USUAL_PRINT } from "./paper/options";
import { pagePlan } from "./paper/pagePlan";
import { PT_PER_MM } from "./paper/pen";
import { layOnSheet } from "./paper/sheet";

const USUAL = { ...USUAL_PRINT, dxf: "r12" } as const;
const onSheets = (size: "a4" | "letter") => ({ ...USUAL, format: "pdf", paper: { on: "sheets", size } }) as const;
const job = palazzoJob(HAND_BODY);
const derived = derivedOf(job);

const span = (run: readonly Point[], axis: 0 | 1): number =>
  Math.max(...run.map((p) => p[axis])) - Math.min(...run.map((p) => p[axis]));

describe("the print set", () => {
  test.each([
    ["a4", 210, 297],
    ["letter", 215.9, 279.4],
  ] as const)("on %s, parsed back, has true squares and a true grain line", async (paper, width, height) => {
    const file = await handOver(job, derived, onSheets(paper));
    expect(file).toMatchObject({ name: `test-${paper}.pdf`, type: "application/pdf" });
    const doc = await PDFDocument.load(file.bytes);
    const pages = doc.getPages();
    expect(pages.length).toBe(pagePlan(derived.pieces, onSheets(paper)).tiles.length + 1);
    for (const page of pages) {
      expect(page.getWidth() / PT_PER_MM).toBeCloseTo(width, 3);
      expect(page.getHeight() / PT_PER_MM).toBeCloseTo(height, 3);
    }
    const squares = pdfRuns(doc, pages[0] as PDFPage).filter(
      (run) => run.length === 4 && Math.abs(span(run, 0) - span(run, 1)) < 1e-6,
    );
    for (const size of [100, 101.6]) expect(squares.some((run) => Math.abs(span(run, 0) - size) < 0.1)).toBe(true);
    const [from, to] = derived.pieces.find((p) => p.id === "front")?.grain ?? [];
    const grain = (to?.[1] ?? 0) - (from?.[1] ?? 0);
    const drawn = pages
      .slice(1)
      .flatMap((page) => pdfRuns(doc, page))
      .filter((run) => run.length === 2 && Math.abs(span(run, 1) - grain) < 0.1);
    expect(drawn.length).toBeGreaterThan(0);
  });

  test("every part of every cut line is on some page", () => {
    const { sheet, tiles } = pagePlan(derived.pieces, USUAL_PRINT);
    for (const { piece, place } of sheet.placed) {
      for (const point of piece.cutLine.map(place)) {
        const held = tiles.some(
          ({ window: w }) => point[0] >= w.left && point[0] <= w.right && point[1] >= w.top && point[1] <= w.bottom,
        );
        expect(held).toBe(true);
      }
    }
  });

  test("names in any script still print", async () => {
    const named = palazzoJob({ ...HAND_BODY, name: "Żaneta 花子 Ødegård" }, { name: "“Łódź” – <b>" });
    const file = await handOver(named, derivedOf(named), onSheets("a4"));
    expect(file.bytes.length).toBeGreaterThan(5000);
    const svg = new TextDecoder().decode((await handOver(named, derivedOf(named), { ...USUAL, format: "svg" })).bytes);
    expect(svg).toContain("Żaneta 花子 Ødegård");
    expect(svg).not.toContain("<b>");
  });
});

test("the drawing is at true size with named layers", async () => {
  const svg = new TextDecoder().decode((await handOver(job, derived, { ...USUAL, format: "svg" })).bytes);
  const sheet = layOnSheet(derived.pieces);
  expect(svg).toContain(`width="${Math.round((sheet.width + 20) * 1000) / 1000}mm"`);
  for (const layer of ["cut-line", "seam-line", "grain", "notches", "inner-lines", "labels"])
    expect(svg).toContain(`<g id="${layer}"><title>`);
});

test("what is estimated, undecided or at fault is said with the pattern", () => {
  const poor = derivedOf(
    palazzoJob({ name: "", unit: "cm", measures: { waist: 76, hip: 104 } }, { finish: { hem: "undecided" } }),
  );
  const notices = noticesOf(poor).map(said).join(" ");
  expect(notices).toContain("The hem is not decided");
  expect(notices).toContain("Estimated, not measured: thigh, knee");
});

describe("the job as a file", () => {
  test("goes out and comes in unchanged", () => {
    expect(readJobText(writeJobText(job))).toEqual({ kind: "job", job, from: JOB_VERSION });
  });

  test.each([
    ["{", "damaged"],
    ["[]", "not an Eland job"],
    ['{"format":"other"}', "eland-job"],
    [JSON.stringify({ ...job, version: JOB_VERSION + 1 }), "newer Eland"],
    [`{"format":"eland-job","version":1,"__proto__":{"x":1}}`, "not allowed"],
    [JSON.stringify({ ...job, colour: "red" }), "Unknown here: colour"],
    [JSON.stringify({ ...job, body: { unit: "furlong", measures: {} } }), "Choose one of: in, cm, mm"],
    ["x".repeat(2_000_001), "over 2 MB"],
  ])("refuses with a sentence: %#", (text, sentence) => {
    const read = readJobText(text);
    expect(read.kind === "job" ? "" : complaintsOf(read.errors)).toContain(sentence);
  });

  test("deep nesting is refused, not followed", () => {
    let deep: unknown = 1;
    for (let i = 0; i < 60; i++) deep = { a: deep };
    expect(readJob({ format: "eland-job", version: 1, style: deep }).kind).toBe("damaged");
  });
});

describe("the headless reply", () => {
  const reply = replyOf(derived, "mm") as {
    panels: {
      id: string;
      edges: { role: string; length: number; points: Point[] }[];
      outline: Point[];
      landmarks: Record<string, Point>;
    }[];
    numbers: Record<string, { mm: number }>;
    pieces: { cutLine: Point[]; panel?: unknown }[];
  };

  test("outlines run clockwise as drawn, closed, first edge the waist", () => {
    for (const panel of reply.panels) {
      if (panel.id === "waistband") continue;
      expect(polygonArea(panel.outline)).toBeGreaterThan(0);
      expect(panel.edges[0]?.role).toBe("waist");
      panel.edges.forEach((edge, i) => {
        const next = panel.edges[(i + 1) % panel.edges.length];
        const [end, start] = [edge.points.at(-1), next?.points[0]];
        expect(Math.hypot((end?.[0] ?? NaN) - (start?.[0] ?? 0), (end?.[1] ?? NaN) - (start?.[1] ?? 0))).toBeLessThan(
          1e-6,
        );
      });
    }
  });

  test("front and back lie as drawn on the right side: front's centre right, back's centre left", () => {
    const [front, back] = reply.panels;
    expect(front?.landmarks.waistCentre?.[0]).toBeGreaterThan(front?.landmarks.waistSide?.[0] ?? 0);
    expect(back?.landmarks.waistCentre?.[0]).toBeLessThan(back?.landmarks.waistSide?.[0] ?? 0);
  });

  test("it is plain data", () => {
    expect(JSON.parse(JSON.stringify(reply))).toEqual(reply);
    expect(reply.pieces[0]?.panel).toBeUndefined();
  });

  test("the catalog describes everything that can be chosen", () => {
    const all = catalog();
    expect(Object.keys(all)).toEqual([
      "measures",
      "schools",
      "rules",
      "styles",
      "moves",
      "finishes",
      "checks",
      "advice",
    ]);
    for (const entries of Object.values(all)) {
      expect(entries.length).toBeGreaterThan(0);
      for (const entry of entries)
        expect(entry).toMatchObject({
          id: expect.any(String) as string,
          label: expect.any(String) as string,
          params: expect.any(Object) as object,
        });
    }
  });
});
