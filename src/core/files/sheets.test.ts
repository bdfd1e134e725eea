import { textOf } from "../units";
import { layWithin } from "../derive/lay";
import { cutShapes, type LayCloth } from "../cloth";
import { cardsOf } from "../making";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { cardsHtml } from "./cardsHtml";
import { laySvg } from "./drawing/laySvg";
import { layPdf } from "./paper/layPdf";
import { PDFDocument } from "pdf-lib";

const text = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);
const CLOTH: LayCloth = { width: 1500, fold: "open", foldWidth: null, nap: false, gap: 2, repeat: null };

test("a lay goes out at true scale: millimetres on the page, every piece once for each copy", () => {
  const derived = derivedOf(palazzoJob(HAND_BODY));
  const laid = layWithin(cutShapes(derived.pieces, "shell"), CLOTH, 1, { steps: 1 });
  if (!laid.ok) throw new Error("not laid");
  const file = laySvg("Heron & Co", laid.lay, CLOTH, new Map(derived.pieces.map((p) => [p.id, textOf(p.name)])), "cm");
  const svg = text(file.bytes);
  const [, wide, tall] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg) ?? [];
  expect(Number(wide)).toBeCloseTo(laid.lay.length + 120, 0);
  expect(Number(tall)).toBeCloseTo(1620, 0);
  expect(svg).toContain("Heron &amp; Co");
  expect(svg.match(/<polygon/g)).toHaveLength(laid.lay.placements.length);
  expect(file.name).toBe("heron-co-lay.svg");
});

test("a lay on a remnant goes out with its outline", () => {
  const derived = derivedOf(palazzoJob(HAND_BODY));
  const outline = [
    [0, 0],
    [4000, 0],
    [4000, 1500],
    [200, 1500],
  ] as const;
  const cloth = { ...CLOTH, outline };
  const laid = layWithin(cutShapes(derived.pieces, "shell"), cloth, 1, { steps: 1 });
  if (!laid.ok) throw new Error("not laid");
  const svg = text(laySvg("Heron", laid.lay, cloth, new Map(), "cm").bytes);
  expect(svg).toContain('<g id="cloth"><polygon points="0.00,1500.00 4000.00,1500.00 4000.00,0.00 200.00,0.00"');
  expect(svg).toContain('width="4120.0mm"');
});

test.each(["open", "lengthwise", "across"] as const)(
  "a lay on %s cloth goes out on paper: the whole, then a metre a page",
  async (fold) => {
    const derived = derivedOf(palazzoJob(HAND_BODY));
    const cloth = { ...CLOTH, fold };
    const laid = layWithin(cutShapes(derived.pieces, "shell"), cloth, 1, { steps: 1 });
    if (!laid.ok) throw new Error("not laid");
    const names = new Map(derived.pieces.map((p) => [p.id, textOf(p.name)]));
    const file = await layPdf({ title: "Heron walk", lay: laid.lay, cloth, names, tape: "in" }, "letter");
    const doc = await PDFDocument.load(file.bytes);
    const strips = laid.lay.length > 1000 ? Math.ceil((laid.lay.length - 100) / 900) : 0;
    expect(doc.getPageCount()).toBe(1 + strips);
    expect(doc.getPage(0).getWidth()).toBeGreaterThan(doc.getPage(0).getHeight());
    expect(file.name).toBe("heron-walk-lay-letter.pdf");
  },
);

test("cards go out as one page that needs nothing else: a section a card, no script, nothing fetched", () => {
  const cards = cardsOf(derivedOf(palazzoJob(HAND_BODY)), "paper", "in");
  const html = text(cardsHtml("Heron walk", cards, "in").bytes);
  expect(html.match(/<section>/g)).toHaveLength(cards.length);
  expect(html).not.toMatch(/<script|https?:|src=|url\(/);
  expect(html).toMatch(/class="new"/);
  expect(html).toContain(`card ${cards.length} of ${cards.length}`);
});
