import { readFileSync } from "node:fs";
import { join } from "node:path";
import { seededRandom } from "../../testing/bodies";
import { derivedOf, HAND_BODY, palazzoJob } from "../../testing/jobs";
import { mutatedText } from "../../testing/mutatedText";
import { writeSvg } from "../drawing/svg";
import { bringIn } from ".";
import { processorTime } from "../../testing/processorTime";

/** No drawing, however damaged, takes longer, in milliseconds. */
const WITHIN_MS = 2000;
/** Of each kind of drawing. */
const RUNS = 1500;

/** A DXF of two legs as a pattern program writes them: polylines with vertex ids, lines, an arc and a block. */
const DXF = readFileSync(join(process.cwd(), "src/core/files/bringIn/fixtures/two-legs.dxf"), "utf8");
const SVG = readFileSync(join(process.cwd(), "src/core/files/bringIn/fixtures/hand-drawn.svg"), "utf8");

function read(text: string): string {
  const from = processorTime();
  const got = bringIn(text, 1);
  expect(processorTime() - from).toBeLessThan(WITHIN_MS);
  return got.kind === "refused" ? got.message : got.kind;
}

test("the drawings themselves are read: comments, blank lines between pairs and vertex ids are read over", () => {
  const own = bringIn(DXF, 1);
  expect(own.kind === "outlines" && own.found.length).toBe(2);
  expect(read(SVG)).toBe("outlines");
});

test.each([
  ["DXF", DXF],
  ["SVG", SVG],
])("a damaged %s is read or refused with a sentence, and hangs nothing", (_, drawing) => {
  const random = seededRandom(20261127);
  for (let i = 0; i < RUNS; i++)
    expect(read(mutatedText(drawing, random))).toMatch(/^outlines$|^ask-unit$|^[A-Z].*\.$/);
});

test("numbers beyond any pattern and groups without end are refused", () => {
  const svg = (inside: string): string =>
    `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" viewBox="0 0 100 100">${inside}</svg>`;
  expect(read(svg('<path d="M0 0L1e308 0L0 400Z"/>'))).toContain("no pattern lies");
  expect(read(svg('<path d="M0 0L30000 0L0 400Z"/>'))).toContain("20 metres");
  expect(read(svg(`${"<g transform='scale(1)'>".repeat(19_000)}${"</g>".repeat(19_000)}`))).toContain(
    "groups within groups",
  );
});

test("what is no leg is left aside: every pattern Eland draws comes in again with its own front and back", () => {
  for (const id of ["palazzo", "jogger", "yoke-flare"]) {
    const { pieces } = derivedOf(palazzoJob(HAND_BODY, { style: { id, params: {} } }));
    const again = bringIn(writeSvg({ title: id, pieces, notices: [] }), null);
    if (again.kind !== "outlines") throw new Error(JSON.stringify(again));
    const name = (which: "front" | "back") => again.found.find((o) => o.id === again.legs.panels?.[which])?.name;
    expect([id, name("front"), name("back")]).toEqual([
      id,
      expect.stringMatching(/^front/),
      expect.stringMatching(/^back/),
    ]);
  }
});

test("a page's frame, a band and a triangle do not take the place of a leg", () => {
  const shapes =
    '<rect x="-500" y="-500" width="3000" height="2000"/><rect x="0" y="-300" width="900" height="90"/><polygon points="2000,0 2400,0 2200,600"/>';
  const framed = SVG.replace(/<svg[^>]*>/, (tag) => `${tag}${shapes}`);
  const plain = bringIn(SVG, 1);
  const read = bringIn(framed, 1);
  if (plain.kind !== "outlines" || read.kind !== "outlines") throw new Error(JSON.stringify(read));
  const sizes = ({ found, legs: { panels: guess } }: typeof read) =>
    [guess?.front, guess?.back].map((id) => found.find((o) => o.id === id)?.width);
  expect(sizes(read)).toEqual(sizes(plain));
  expect(read.found.length).toBeGreaterThan(plain.found.length);
});
