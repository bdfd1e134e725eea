import { PDFDocument, StandardFonts } from "pdf-lib";
import type { Mm } from "../../units";
import { Pen, PT_PER_MM } from "./pen";

/** A PDF that is written page by page; lengths are millimetres and true. */
export interface Book {
  readonly page: (width: Mm, height: Mm) => Pen;
  readonly bytes: () => Promise<Uint8Array>;
}

/** The same pattern is the same file, whenever it is printed: its date is the job's, and is written on the page. */
const UNDATED = new Date(Date.UTC(2000, 0, 1));

/** An empty PDF with its title. */
export async function newBook(title: string): Promise<Book> {
  const doc = await PDFDocument.create();
  doc.setTitle(title);
  doc.setProducer("Eland");
  doc.setCreator("Eland");
  doc.setCreationDate(UNDATED);
  doc.setModificationDate(UNDATED);
  const font = await doc.embedFont(StandardFonts.Helvetica);
  return {
    page: (width, height) => new Pen(doc.addPage([width * PT_PER_MM, height * PT_PER_MM]), height, font),
    bytes: () => doc.save(),
  };
}
