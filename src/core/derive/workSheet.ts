import { listOf, phrase } from "../words";
import { MEASURES } from "../body";
import type { Derived } from "../derive";
import type { Job } from "../files";
import type { WorkSheet } from "../files/paper/workSheet";
import { FINISHES, type Room } from "../finish";
import { isOpen, readingRows } from "../inspect";
import { makingOrder, USUAL_SCHOOLS } from "../making";
import { isOf } from "../pattern";
import { formatLength, tapeOf, tell, type Sentence } from "../units";

/** One page that lies beside the machine: what is made, for whom, from what, how, in which order, and what is open. */
export function workSheetOf(job: Job, derived: Derived, notices: readonly Sentence[]): WorkSheet {
  const tape = tapeOf(job.body.unit);
  const { finish, style, readings } = derived;
  const words = (room: Room, entry: { readonly kind: string } | null): string =>
    entry === null ? "not decided" : (FINISHES[room].find((f) => f.kind === entry.kind)?.words ?? entry.kind);
  const cloth = job.cloth;
  return {
    title: job.name || "Unnamed job",
    about: listOf(
      [
        job.body.name && phrase`for ${job.body.name}`,
        style.label,
        job.date && phrase`of ${job.date}`,
        cloth?.name ? phrase`in ${cloth.name}` : "cloth not decided",
      ].filter((part): part is string => part !== undefined && part !== ""),
    ),
    drawn: derived.panels
      .filter((p) => p.is.part === null && !p.is.leftOf)
      .map((p) => ({ panel: p, isBack: isOf(p, "back") })),
    columns: [
      {
        heading: "Measures taken",
        rows: MEASURES.filter((m) => derived.measures[m.key].source === "given").map(
          (m) => [m.label, formatLength(derived.measures[m.key].mm, tape)] as const,
        ),
      },
      {
        heading: "The garment measures",
        rows: readingRows(readings).flatMap(({ label, read }) => {
          const mm = read(readings);
          return mm === null ? [] : [[label, formatLength(mm, tape)] as const];
        }),
      },
      {
        heading: "Finishes",
        rows: [
          ["Waist", words("waist", finish.waist)] as const,
          ["Closure", words("fastening", finish.fastening)] as const,
          ["Hem", words("hem", finish.hem)] as const,
          ...(finish.pockets ?? []).map((p) => ["Pocket", words("pocket", p)] as const),
          ...derived.notions.map((n) => [`${n.count} x`, tell(n.label, tape)] as const),
        ],
      },
    ],
    styleLines: derived.worksheet.filter((l) => l.on && !l.passed).map((l) => tell(l.sentence, tape)),
    order: makingOrder(derived, { ...USUAL_SCHOOLS, ...job.making }, job.cloth?.joined).map((o) => tell(o.says, tape)),
    open: [
      ...derived.checks.filter((c) => c.status === "look" && isOpen(c)).map((c) => tell(c.message, tape)),
      ...notices.map((n) => tell(n, tape)),
    ],
  };
}
