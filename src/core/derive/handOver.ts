import { fileStem, jobFile, type HandedFile, type Job, type PrintSet } from "../files";
import { PAPERS, writePdf, type Paper } from "../files/pdf";
import { writeSvg } from "../files/svg";
import { MEASURES } from "../body";
import type { Derived } from "../derive";
import { isOpen } from "../inspect";
import { say, tapeOf, tell, type Sentence } from "../units";

export const EXPORT_FORMATS = ["pdf", "svg", "json"] as const;
export type ExportFormat = (typeof EXPORT_FORMATS)[number];

/** Estimates, open faults and undecided matters, as the sentences printed with the pattern. */
export function noticesOf(derived: Derived): Sentence[] {
  const estimates = MEASURES.filter((m) => derived.measures[m.key].source === "estimated" && m.key !== "height").map(
    (m) => m.label.toLowerCase(),
  );
  return [
    ...derived.checks.filter((c) => c.status === "fault" && isOpen(c)).map((c) => say`Fault: ${c.message}`),
    ...derived.checks.flatMap(({ label, message, meant }) =>
      meant === undefined ? [] : [say`Meant so, ${label.toLowerCase()}: ${message}${meant && ` ${meant}`}`],
    ),
    ...derived.undecided,
    ...(estimates.length > 0 ? [say`Estimated, not measured: ${estimates.join(", ")}.`] : []),
  ];
}

/** A derived job as a print set: its pieces, its title, and what must be said with them. */
export function printSetOf(job: Job, derived: Derived): PrintSet {
  const title = [job.name || "Unnamed job", job.body.name && `for ${job.body.name}`].filter(Boolean).join(" ");
  return {
    title,
    pieces: derived.pieces,
    notices: noticesOf(derived).map((notice) => tell(notice, tapeOf(job.body.unit))),
  };
}

/** The file that leaves the program, with its name and type. */
export async function handOver(job: Job, derived: Derived, format: ExportFormat, paper: Paper): Promise<HandedFile> {
  const stem = fileStem(job.name);
  const text = (content: string): Uint8Array => new TextEncoder().encode(content);
  switch (format) {
    case "pdf":
      return {
        name: `${stem}-${PAPERS[paper].label.toLowerCase()}.pdf`,
        type: "application/pdf",
        bytes: await writePdf(printSetOf(job, derived), paper),
      };
    case "svg":
      return { name: `${stem}.svg`, type: "image/svg+xml", bytes: text(writeSvg(printSetOf(job, derived))) };
    case "json":
      return jobFile(job);
  }
}
