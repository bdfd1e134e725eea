import { textOf } from "../../units";
import { PDFDocument } from "pdf-lib";
import { bundlesOf, cardsOf, cuttingList, pictureOf } from "../../making";
import { derivedOf, HAND_BODY, palazzoJob } from "../../testing/jobs";
import { PAPERS } from "./papers";
import { labelsPdf, wallPdf } from "./wallPdf";

const derived = derivedOf(palazzoJob(HAND_BODY));
const cards = cardsOf(derived, "paper", "cm");

test.each(["a4", "letter"] as const)("cards for the wall are six to a page of %s", async (paper) => {
  const file = await wallPdf("Wide leg", cards, "cm", paper);
  const doc = await PDFDocument.load(file.bytes);
  expect(doc.getPageCount()).toBe(Math.ceil(cards.length / 6));
  const { width, height } = doc.getPage(0).getSize();
  expect([width / (72 / 25.4), height / (72 / 25.4)]).toEqual([
    expect.closeTo(PAPERS[paper].width, 1),
    expect.closeTo(PAPERS[paper].height, 1),
  ]);
  expect(file.name).toBe(`wide-leg-cards-${paper}.pdf`);
});

test("a card's picture holds what was drawn so far, and lights its own line", () => {
  const own = cards.filter((c) => c.panel === "front");
  const drawing = own.filter((c) => c.act.kind === "line" || c.act.kind === "curve");
  const third = drawing[2];
  if (!third) throw new Error("no third line");
  const lines = pictureOf(third, own);
  expect(lines).toHaveLength(3);
  expect(lines.map((l) => l.isNew)).toEqual([false, false, true]);
});

test("bundles: pairs lie right and left, and their counts are those of the cutting list", async () => {
  const cut = cuttingList(derived);
  const bundles = bundlesOf(cut);
  for (const line of cut) {
    const own = bundles.filter((b) => b.line === line);
    expect(own.reduce((sum, b) => sum + b.count, 0)).toBe(line.count);
    if (line.pairs) expect(own.map((b) => b.side)).toEqual(["right", "left"]);
  }
  const labels = bundles.map((b) => ({
    wearer: "W",
    garment: "G",
    piece: textOf(b.line.name),
    side: b.side ?? "",
    count: "1",
    about: "",
  }));
  const file = await labelsPdf("Wide leg", labels, "a4");
  expect((await PDFDocument.load(file.bytes)).getPageCount()).toBe(Math.ceil(labels.length / 24));
});
