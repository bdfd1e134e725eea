import { phrase } from "../words";
import { z } from "zod";
import { MEASURES } from "../body";
import type { Derived } from "../derive";
import { fileStem, jobFile, type HandedFile, type Job, type PrintSet } from "../files";
import { writeDxf } from "../files/drawing/dxf";
import { DXF_VERSIONS, type DxfVersion } from "../files/drawing/dxfText";
import { writeSvg } from "../files/drawing/svg";
import { printOptionsSchema, type PrintOptions } from "../files/paper/options";
import { printedPieces } from "../files/paper/pagePlan";
import { paperWord, type SheetName } from "../files/paper/papers";
import { printPdf } from "../files/paper/printPdf";
import { workSheetPdf } from "../files/paper/workSheet";
import { isOpen } from "../inspect";
import { isBodice } from "../pattern";
import { say, tapeOf, tell, type Sentence, inside, joined } from "../units";
import { tableCsv } from "./tables";
import { workSheetOf } from "./workSheet";

export const EXPORT_FORMATS = ["pdf", "svg", "dxf", "csv", "sheet", "json"] as const;
export type ExportFormat = (typeof EXPORT_FORMATS)[number];

/** What leaves the program, and how. */
export interface HandOver extends PrintOptions {
  readonly format: ExportFormat;
  /** Release of the exchange drawing. */
  readonly dxf: DxfVersion;
}

/** The same as words, as they stand in an address; what is left out is as usual. */
export const handOverSchema = printOptionsSchema.extend({
  format: z.enum(EXPORT_FORMATS).default("pdf"),
  dxf: z.enum(DXF_VERSIONS).default("r12"),
});

/** Estimates, open faults and undecided matters, as the sentences printed with the pattern. */
export function noticesOf(derived: Derived): Sentence[] {
  // Trousers use no measure of the upper body.
  const hasBodice = derived.panels.some((p) => isBodice(p));
  const estimates = MEASURES.filter(
    ({ key, part }) =>
      derived.measures[key].source === "estimated" && key !== "height" && (part === "lower" || hasBodice),
  ).map((m) => inside(m.label));
  return [
    ...derived.checks.filter((c) => c.status === "fault" && isOpen(c)).map((c) => say`Fault: ${c.message}`),
    ...derived.checks.flatMap(({ label, message, meant }) =>
      meant === undefined ? [] : [say`Meant so, ${inside(label)}: ${message}${meant ? say` ${meant}` : ""}`],
    ),
    ...derived.undecided,
    ...(estimates.length > 0 ? [say`Estimated, not measured: ${joined(estimates, ", ")}.`] : []),
  ];
}

/** A derived job as a print set: its pieces, its title, and what must be said with them. */
export function printSetOf(job: Job, derived: Derived): PrintSet {
  const title = [job.name || "Unnamed job", job.body.name && phrase`for ${job.body.name}`].filter(Boolean).join(" ");
  return {
    title,
    pieces: derived.pieces,
    notices: noticesOf(derived).map((notice) => tell(notice, tapeOf(job.body.unit))),
  };
}

/**
 * The file that leaves the program, with its name and type. Throws Refusal where the paper cannot hold what is asked, or a
 * piece is asked for that is not there.
 */
export async function handOver(job: Job, derived: Derived, how: HandOver): Promise<HandedFile> {
  const stem = fileStem(job.name);
  const tape = tapeOf(job.body.unit);
  const text = (content: string): Uint8Array => new TextEncoder().encode(content);
  const all = printSetOf(job, derived);
  const set = (): PrintSet => ({ ...all, pieces: printedPieces(derived.pieces, how) });
  switch (how.format) {
    case "pdf":
      return {
        name: `${stem}-${paperWord(how.paper)}.pdf`,
        type: "application/pdf",
        bytes: await printPdf(all, how),
      };
    case "svg":
      return { name: `${stem}.svg`, type: "image/svg+xml", bytes: text(writeSvg(set())) };
    case "dxf":
      return {
        name: `${stem}-${how.dxf}.dxf`,
        type: "image/vnd.dxf",
        bytes: text(writeDxf([{ set: set(), size: job.body.name || "one size" }], how.dxf)),
      };
    case "csv":
      return { name: `${stem}.csv`, type: "text/csv; charset=utf-8", bytes: text(tableCsv(derived, tape)) };
    case "sheet": {
      const paper: SheetName = how.paper.on === "sheets" ? how.paper.size : tape === "in" ? "letter" : "a4";
      const bytes = await workSheetPdf(workSheetOf(job, derived, noticesOf(derived)), paper);
      return { name: `${stem}-work-sheet.pdf`, type: "application/pdf", bytes };
    }
    case "json":
      return jobFile(job);
  }
}
