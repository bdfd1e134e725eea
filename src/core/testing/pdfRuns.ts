import { decodePDFRawStream, PDFArray, type PDFDocument, type PDFPage, type PDFRawStream } from "pdf-lib";

type Pt = readonly [number, number];
const PT_PER_MM = 72 / 25.4;

/** The straight runs a page draws, in millimetres from its upper left corner. */
export function pdfRuns(doc: PDFDocument, page: PDFPage): Pt[][] {
  const contents = page.node.Contents();
  const streams = contents instanceof PDFArray ? contents.asArray().map((ref) => doc.context.lookup(ref)) : [contents];
  const text = streams
    .map((s) => new TextDecoder("latin1").decode(decodePDFRawStream(s as PDFRawStream).decode()))
    .join("\n");
  const runs: Pt[][] = [];
  for (const [, x, y, op] of text.matchAll(/(-?[\d.]+) (-?[\d.]+) ([ml])\b/g)) {
    const at: Pt = [Number(x) / PT_PER_MM, (page.getHeight() - Number(y)) / PT_PER_MM];
    if (op === "m") runs.push([at]);
    else runs.at(-1)?.push(at);
  }
  return runs;
}
