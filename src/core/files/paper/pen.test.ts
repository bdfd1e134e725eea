import { PDFDocument, StandardFonts } from "pdf-lib";
import { speak } from "../../words";
import { Pen } from "./pen";

async function pen(): Promise<Pen> {
  const doc = await PDFDocument.create();
  return new Pen(doc.addPage([300, 300]), 100, await doc.embedFont(StandardFonts.Helvetica));
}

test("quotes, dashes and accents of any tongue are told in the letters the print font has", async () => {
  const own = await pen();
  const widthOf = (text: string): number => own.widthOf(text, 4);
  expect(widthOf("„Größe“")).toBeCloseTo(widthOf('"Größe"'), 9);
  expect(widthOf("Grund\u00adschnitt")).toBeCloseTo(widthOf("Grundschnitt"), 9);
  expect(widthOf("Łódź 3 − 1")).toBeGreaterThan(0);
});

test("a text is as wide as what is printed for it in the tongue that is spoken", async () => {
  const own = await pen();
  const english = own.widthOf("Hem", 4);
  speak({
    tag: "xx",
    decimalMark: ".",
    keepsCapitals: false,
    message: (english) => (english === "Hem" ? "Saumlinie" : undefined),
  });
  expect(own.widthOf("Hem", 4)).toBeGreaterThan(1.5 * english);
  expect(own.wrapped("Hem", 4, 200)).toEqual(["Saumlinie"]);
  speak(null);
  expect(own.widthOf("Hem", 4)).toBeCloseTo(english, 9);
});
