import { phrase } from "../words";
import Papa from "papaparse";
import { MEASURES } from "../body";
import type { Derived } from "../derive";
import { readingRows } from "../inspect";
import { cuttingList } from "../making";
import { grainWords } from "../pieces";
import { formatLength, tell, tellSum, type Mm, type Tape, textOf } from "../units";

/** One line of the table that is handed over. Lengths are millimetres, with the maker's own tape beside them. */
interface Row {
  readonly table: "measure" | "number" | "reading" | "piece" | "edge" | "seam" | "notion";
  /** What it belongs to: a measure, a piece, a seam. */
  readonly of: string;
  readonly what: string;
  readonly count: number | "";
  readonly mm: number | "";
  readonly tape: string;
  readonly note: string;
}

const COLUMNS: readonly (keyof Row)[] = ["table", "of", "what", "count", "mm", "tape", "note"];
/** A tenth of a millimetre is finer than any tape. */
const tenths = (mm: Mm): number => Math.round(mm * 10) / 10;

/** Measures, numbers of the draft, readings, pieces with the lengths and allowances of their edges, seams and notions. */
export function tableRows(derived: Derived, tape: Tape): readonly Row[] {
  const length = (mm: Mm): Pick<Row, "mm" | "tape"> => ({ mm: tenths(mm), tape: formatLength(mm, tape) });
  const row = (table: Row["table"], of: string, what: string, more: Partial<Row>): Row => ({
    table,
    of,
    what,
    count: "",
    mm: "",
    tape: "",
    note: "",
    ...more,
  });
  return [
    ...MEASURES.map(({ key, label }) => {
      const { mm, source } = derived.measures[key];
      return row("measure", key, label, { ...length(mm), note: source });
    }),
    ...Object.entries(derived.drafted.numbers).map(([id, q]) => row("number", id, tellSum(q.sum, tape), length(q.mm))),
    ...readingRows(derived.readings).flatMap(({ label, read }) => {
      const mm = read(derived.readings);
      return mm === null ? [] : [row("reading", "", label, length(mm))];
    }),
    ...cuttingList(derived).map((line) =>
      row("piece", line.piece, textOf(line.name), {
        count: line.count,
        note: [
          line.material,
          line.pairs && "pairs",
          line.onFold && "on the fold",
          line.lies && textOf(grainWords(line.lies)),
          line.note,
        ]
          .filter(Boolean)
          .join(", "),
      }),
    ),
    ...derived.pieces.flatMap((piece) =>
      piece.edges.map((edge) =>
        row("edge", piece.id, textOf(edge.name), {
          ...length(edge.length),
          note: phrase`allowance ${formatLength(edge.allowance, tape)}`,
        }),
      ),
    ),
    ...derived.seams.map((seam) =>
      row("seam", seam.id, [...seam.a, "to", ...seam.b].join(" "), { ...length(seam.lengthA), note: seam.how }),
    ),
    ...derived.notions.map((n) =>
      row("notion", n.id, tell(n.label, tape), { count: n.count, ...(n.length && length(n.length.mm)) }),
    ),
  ];
}

/** What opens a formula in a spreadsheet is written as text. */
const FORMULA = /^[=+\-@\t\r]/;

/** The table as CSV, in UTF-8; text that a spreadsheet would take for a formula is quoted by an apostrophe. */
export const tableCsv = (derived: Derived, tape: Tape): string =>
  Papa.unparse(
    tableRows(derived, tape).map((row) => COLUMNS.map((c) => row[c])),
    { newline: "\r\n", escapeFormulae: FORMULA },
  ).replace(/^/, `${COLUMNS.join(",")}\r\n`);
