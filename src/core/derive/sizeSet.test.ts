import DxfParser from "dxf-parser";
import { unzipSync } from "fflate";
import { PDFDocument } from "pdf-lib";
import type { Body } from "../body";
import { convexHull, type Point } from "../geometry";
import { plausibleBody } from "../testing/bodies";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { handOverSchema } from "./handOver";
import { eachFile, nestedFile, nestedPieces, sizeRows, sizesOf } from "./sizeSet";
import { pagePlan } from "../files/paper/pagePlan";

const own = palazzoJob({ ...HAND_BODY, name: "Marit" });
const OTHERS: readonly Body[] = [3, 9, 21].map((seed, i) => ({
  ...plausibleBody(seed),
  name: ["Ilse", "Ilse", ""][i] ?? "",
}));
const sizes = sizesOf(own, OTHERS);
const how = (words: Record<string, string>) => handOverSchema.parse(words);
const text = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);

test("every size is the garment that the wearer alone would get; those of one name are numbered", () => {
  expect(sizes.map((s) => s.name)).toEqual(["Marit", "Ilse", "Ilse 2", "Size 4"]);
  sizes.forEach(({ derived, job }) =>
    expect(derivedOf(job).pieces.map((p) => p.cutLine)).toEqual(derived.pieces.map((p) => p.cutLine)),
  );
  const hip = sizeRows(sizes).find((r) => r.label === "Hip");
  expect(hip?.mm).toEqual(sizes.map((s) => s.derived.readings.hipGirth));
});

test("what a fitting changed stays with its wearer", () => {
  const fitted = {
    ...own,
    fittings: [
      {
        id: "f",
        date: "2026-05-03",
        seen: "seat-pulls" as const,
        pinned: "both" as const,
        words: "",
        changes: [{ rule: "ease.back", by: 12 }],
      },
    ],
  };
  const [first, second] = sizesOf(fitted, OTHERS);
  expect(first?.derived.readings.hipGirth).toBeGreaterThan((sizes[0]?.derived.readings.hipGirth ?? 0) + 10);
  expect(second?.derived.readings.hipGirth).toBeCloseTo(sizes[1]?.derived.readings.hipGirth ?? 0, 6);
});

test("nested, every size's outline is there in the frame of its panel, on paper that holds them all", () => {
  const pieces = nestedPieces(sizes);
  const front = pieces.find((p) => p.id === "front");
  expect(front?.sizes?.map((s) => s.cutLine)).toEqual(
    sizes.map((s) => s.derived.pieces.find((p) => p.id === "front")?.cutLine),
  );
  for (const arrange of ["beside", "nested", "apart"]) {
    const { sheet, tiles } = pagePlan(pieces, how({ arrange }));
    for (const { piece, place, box } of sheet.placed)
      for (const { cutLine } of piece.sizes ?? [])
        for (const [x, y] of cutLine.map(place)) {
          expect(x).toBeGreaterThan(box.left - 1e-6);
          expect(y).toBeLessThan(box.bottom + 1e-6);
          expect(tiles.some(({ window: w }) => x >= w.left && x <= w.right && y >= w.top && y <= w.bottom)).toBe(true);
        }
  }
});

test("it goes out as SVG by size, as DXF with a block for every piece of every size, as pages", async () => {
  const svg = text((await nestedFile(sizes, how({ format: "svg" }))).bytes);
  expect(svg.match(/data-size="Ilse 2"/g)).toHaveLength(2 * (sizes[2]?.derived.pieces.length ?? 0));
  const dxf = new DxfParser().parseSync(text((await nestedFile(sizes, how({ format: "dxf", dxf: "2000" }))).bytes));
  const blocks = Object.keys(dxf?.blocks ?? {}).filter((name) => !name.startsWith("*"));
  expect(blocks).toHaveLength(sizes.reduce((sum, s) => sum + s.derived.pieces.length, 0));
  const pdf = await nestedFile(sizes, how({ paper: "a0" }));
  expect((await PDFDocument.load(pdf.bytes)).getPageCount()).toBeGreaterThan(1);
  expect(pdf.name).toBe("test-sizes-a0.pdf");
});

test("each for itself: a zip with a file a size", async () => {
  const { bytes, name } = await eachFile(sizes.slice(0, 2), how({ format: "svg" }));
  expect(name).toBe("test-sizes.zip");
  const files = unzipSync(bytes);
  expect(Object.keys(files)).toEqual(["marit-test.svg", "ilse-test.svg"]);
});

test("what cannot be is refused, with whose it is", () => {
  const block = { school: "own" as const, rules: {} };
  expect(() => sizesOf({ ...own, block }, OTHERS)).toThrow();
  const odd: Body = { name: "Odd", unit: "mm", measures: { waist: 1900, hip: 900 } };
  expect(() => sizesOf(own, [odd])).toThrow(
    expect.objectContaining({
      complaint: { path: expect.any(String) as unknown, says: expect.toSay("Odd:") as unknown },
    }) as Error,
  );
  expect(() =>
    sizesOf(
      own,
      Array.from({ length: 12 }, () => OTHERS[0] as Body),
    ),
  ).toThrow();
});

test("a hull holds all its points and turns one way", () => {
  const points: Point[] = Array.from({ length: 60 }, (_, i) => [Math.sin(i * 7.3) * i, Math.cos(i * 3.1) * i]);
  const hull = convexHull(points);
  const side = (a: Point, b: Point, p: Point): number => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);
  hull.forEach((a, i) => {
    const b = hull[(i + 1) % hull.length] as Point;
    for (const p of points) expect(side(a, b, p)).toBeGreaterThan(-1e-9);
  });
});
