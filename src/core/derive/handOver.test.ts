import DxfParser from "dxf-parser";
import Papa from "papaparse";
import { PDFDocument, type PDFPage } from "pdf-lib";
import { handOver, handOverSchema, type HandOver } from "./handOver";
import { bringIn } from "../files/bringIn";
import { pagePlan } from "../files/paper/pagePlan";
import { pdfRuns } from "../testing/pdfRuns";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";

type Pt = readonly [number, number];
const PT_PER_MM = 72 / 25.4;

const JOBS = ["palazzo", "pleated", "jogger", "one-piece"].map((id) => {
  const job = palazzoJob(HAND_BODY, { style: { id, params: {} }, name: `Try ${id}` });
  return [id, job, derivedOf(job)] as const;
});
const [, palazzo, palazzoDerived] = JOBS[0] as (typeof JOBS)[number];

const how = (words: Record<string, string>): HandOver => handOverSchema.parse(words);
const textOf = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);

/** Corner to corner, so that an outline is known wherever it was moved to. */
const fromFirst = (points: readonly Pt[]): Pt[] =>
  points.map(([x, y]) => [x - (points[0]?.[0] ?? 0), y - (points[0]?.[1] ?? 0)]);

const farthest = (a: readonly Pt[], b: readonly Pt[]): number =>
  a.length !== b.length
    ? Infinity
    : Math.max(...a.map(([x, y], i) => Math.hypot(x - (b[i]?.[0] ?? NaN), y - (b[i]?.[1] ?? NaN))));

interface Entity {
  readonly type: string;
  readonly layer: string;
  readonly vertices?: readonly { x: number; y: number }[];
  readonly shape?: boolean;
  readonly position?: { x: number; y: number };
  readonly text?: string;
}

describe.each(["r12", "2000"] as const)("as DXF %s", (dxf) => {
  test.each(JOBS)(
    "%s: one block a piece, every outline back within a thousandth, on the standard's layers",
    async (_, job, derived) => {
      const file = await handOver(job, derived, how({ format: "dxf", dxf }));
      expect(file.name).toMatch(new RegExp(`-${dxf}\\.dxf$`));
      const text = textOf(file.bytes);
      expect(text.split("\r\n").length % 2).toBe(1);
      const drawing = new DxfParser().parseSync(text);
      const blocks = Object.entries(drawing?.blocks ?? {}).filter(([name]) => !name.startsWith("*"));
      expect(blocks.map(([name]) => name).sort()).toEqual(
        (drawing?.entities ?? [])
          .flatMap((e) => (e.type === "INSERT" ? [(e as unknown as { name: string }).name] : []))
          .sort(),
      );
      expect(blocks).toHaveLength(derived.pieces.length);
      derived.pieces.forEach((piece, i) => {
        const entities = (blocks[i]?.[1].entities ?? []) as unknown as Entity[];
        const on = (layer: string, type: RegExp): Entity[] =>
          entities.filter((e) => e.layer === layer && type.test(e.type));
        const pts = (e: Entity | undefined): Pt[] => (e?.vertices ?? []).map(({ x, y }): Pt => [x, 0 - y]);
        const turned = (points: readonly Pt[]): Pt[] => {
          const xs = piece.cutLine.map(([x]) => x);
          const ys = piece.cutLine.map(([, y]) => y);
          const isTurned = Math.max(...xs) - Math.min(...xs) > 2 * (Math.max(...ys) - Math.min(...ys));
          return points.map(([x, y]): Pt => (isTurned ? [0 - y, x] : [x, y]));
        };
        const [boundary, ...more] = on("1", /POLYLINE/);
        expect([more.length, boundary?.shape]).toEqual([0, true]);
        expect(farthest(fromFirst(pts(boundary)), fromFirst(turned(piece.cutLine)))).toBeLessThan(0.001);
        const [sew] = on("14", /POLYLINE/);
        expect(farthest(fromFirst(pts(sew)), fromFirst(turned(piece.seamLine)))).toBeLessThan(0.001);
        const [grain] = on("7", /POLYLINE/);
        expect(farthest(fromFirst(pts(grain)), fromFirst(turned(piece.grain)))).toBeLessThan(0.001);
        expect(on("4", /POINT/)).toHaveLength(piece.notches.length);
        expect(on("13", /POINT/)).toHaveLength(piece.drills.length);
        expect(on("2", /POINT/).length + on("3", /POINT/).length).toBe(piece.cutLine.length);
        expect(on("6", /POLYLINE/).length > 0).toBe(piece.cut.onFold);
        expect(on("1", /TEXT/).map((e) => e.text)).toContain(`Quantity: ${piece.cut.count}`);
      });
    },
  );

  test("the dialog for own drawings reads the legs again, in millimetres, as large as they went out", async () => {
    const { bytes } = await handOver(palazzo, palazzoDerived, how({ format: "dxf", dxf, pieces: "front,back" }));
    const read = bringIn(textOf(bytes), null);
    if (read.kind !== "outlines") throw new Error(`read as ${read.kind}`);
    for (const id of ["front", "back"]) {
      const piece = palazzoDerived.pieces.find((p) => p.id === id);
      const tall =
        Math.max(...(piece?.seamLine ?? []).map(([, y]) => y)) - Math.min(...(piece?.seamLine ?? []).map(([, y]) => y));
      expect(read.found.some((o) => o.kind === "seam" && Math.abs(o.height - tall) < 0.1)).toBe(true);
    }
  });
});

describe("as PDF, parsed back", () => {
  test.each([
    [{ paper: "a4" }],
    [{ paper: "a3", arrange: "nested", join: "trim" }],
    [{ paper: "legal", arrange: "apart", order: "columns" }],
    [{ paper: "a0", arrange: "nested" }],
    [{ paper: "roll-914", arrange: "nested" }],
    [{ paper: "roll-1500" }],
  ])("%j: every place of every cut line is drawn on a page, true; no page is empty", async (words) => {
    for (const [, job, derived] of JOBS) {
      const { bytes } = await handOver(job, derived, how(words));
      const doc = await PDFDocument.load(bytes);
      const { sheet, tiles, page } = pagePlan(derived.pieces, how(words));
      const pages = doc.getPages().slice(1);
      expect(pages).toHaveLength(tiles.length);
      const drawn: Pt[] = [];
      pages.forEach((own, i) => {
        expect(own.getWidth() / PT_PER_MM).toBeCloseTo(page.width, 3);
        const window = tiles[i]?.window ?? { left: NaN, top: NaN };
        const placed = pdfRuns(doc, own).flatMap((run) =>
          run.map(([x, y]): Pt => [x - 10 + window.left, y - 10 + window.top]),
        );
        expect(placed.length).toBeGreaterThan(4);
        drawn.push(...placed);
      });
      const cells = new Set(drawn.map(([x, y]) => `${Math.round(x * 5)},${Math.round(y * 5)}`));
      const isDrawn = ([x, y]: Pt): boolean =>
        [-1, 0, 1].some((dx) =>
          [-1, 0, 1].some((dy) => cells.has(`${Math.round(x * 5) + dx},${Math.round(y * 5) + dy}`)),
        );
      for (const { piece, place } of sheet.placed)
        for (const p of [...piece.cutLine, ...piece.seamLine])
          expect([piece.id, isDrawn(place(p))]).toEqual([piece.id, true]);
    }
  });

  test("nested pieces keep clear of each other and take fewer pages; apart, no page shows two", () => {
    const crosses = (a: Pt, b: Pt, c: Pt, d: Pt): boolean => {
      const side = (p: Pt, q: Pt, r: Pt): number => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
      return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
    };
    for (const [id, , derived] of JOBS) {
      const nested = pagePlan(derived.pieces, how({ arrange: "nested" }));
      const beside = pagePlan(derived.pieces, how({}));
      expect([id, nested.tiles.length <= beside.tiles.length]).toEqual([id, true]);
      const outlines = nested.sheet.placed.map(({ piece, place }) => piece.cutLine.map(place));
      outlines.forEach((a, i) =>
        outlines.slice(i + 1).forEach((b) => {
          for (let k = 0; k < a.length; k++)
            for (let n = 0; n < b.length; n++)
              if (crosses(a[k] as Pt, a[(k + 1) % a.length] as Pt, b[n] as Pt, b[(n + 1) % b.length] as Pt))
                throw new Error(`${id}: two pieces cross`);
        }),
      );
      const apart = pagePlan(derived.pieces, how({ arrange: "apart" }));
      for (const { window: w } of apart.tiles)
        expect(
          apart.sheet.placed.filter(({ box }) => box.left < w.right && box.right > w.left && box.top < w.bottom).length,
        ).toBeLessThan(2);
    }
  });

  test("a projector's page has a grid of five centimetres, black when asked", async () => {
    const { bytes } = await handOver(palazzo, palazzoDerived, how({ paper: "projector", inverted: "yes" }));
    const doc = await PDFDocument.load(bytes);
    const [page, ...more] = doc.getPages();
    expect(more).toHaveLength(0);
    const upright = pdfRuns(doc, page as PDFPage).filter(
      ([a, b, ...rest]) => rest.length === 0 && a && b && Math.abs(a[0] - b[0]) < 1e-6 && Math.abs(a[1] - b[1]) > 900,
    );
    const xs = upright.map(([a]) => a?.[0] ?? NaN).sort((a, b) => a - b);
    expect(xs.length).toBeGreaterThan(10);
    xs.slice(1).forEach((x, i) => expect(x - (xs[i] ?? NaN)).toBeCloseTo(50, 3));
  });

  test.each([
    [{ paper: "roll-300" }, "wide, the roll has"],
    [{ pieces: "front,sail" }, "There is no piece “sail”"],
  ])("%j is refused with a sentence", async (words, sentence) => {
    await expect(handOver(palazzo, palazzoDerived, how(words))).rejects.toMatchObject({
      complaint: { says: expect.toSay(sentence) as unknown },
    });
  });

  test.each([{ paper: "roll-20" }, { paper: "a9" }, { arrange: "anyhow" }, { inner: "perhaps" }])(
    "%j cannot be asked for",
    (words) => {
      expect(handOverSchema.safeParse(words).success).toBe(false);
    },
  );
});

test("the table comes back by its columns: measures, pieces and the lengths of their edges to a tenth", async () => {
  const { bytes } = await handOver(palazzo, palazzoDerived, how({ format: "csv" }));
  const { data, errors } = Papa.parse<Record<string, string>>(textOf(bytes), { header: true });
  expect(errors).toEqual([]);
  const of = (table: string): Record<string, string>[] => data.filter((row) => row.table === table);
  expect(of("measure").find((row) => row.of === "hip")?.mm).toBe(
    String(Math.round(palazzoDerived.measures.hip.mm * 10) / 10),
  );
  for (const piece of palazzoDerived.pieces) {
    expect(of("piece").some((row) => row.of === piece.id && row.count === String(piece.cut.count))).toBe(true);
    const edges = of("edge").filter((row) => row.of === piece.id);
    edges.forEach((row, i) =>
      expect(Math.abs(Number(row.mm) - (piece.edges[i]?.length ?? NaN))).toBeLessThanOrEqual(0.051),
    );
    expect(edges).toHaveLength(piece.edges.length);
  }
});

test("a spreadsheet is handed no formula", async () => {
  const job = palazzoJob({ ...HAND_BODY, name: "=1+1" }, { cloth: { name: "@cloth" } });
  const { bytes } = await handOver(job, derivedOf(job), how({ format: "csv" }));
  for (const line of textOf(bytes).split("\r\n")) expect(line).not.toMatch(/(^|,)"?[=@+]/);
});

test.each(JOBS)(
  "%s: the work sheet is one page with drawing, measures, finishes and order",
  async (_, job, derived) => {
    for (const paper of ["a4", "letter"]) {
      const { bytes } = await handOver(job, derived, how({ format: "sheet", paper }));
      const doc = await PDFDocument.load(bytes);
      expect(doc.getPageCount()).toBe(1);
      expect(pdfRuns(doc, doc.getPage(0)).length).toBeGreaterThan(2);
    }
  },
);
