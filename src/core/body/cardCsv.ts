import { inSentence, phrase } from "../words";
import Papa from "papaparse";
import { parseLength, unitSchema } from "../units";
import { bodySchema, entryLength, entryNet, type Body } from "./card";
import { measureOf, MEASURES, type MeasureKey } from "./measures";

/** Columns before the measures; the rest are one column a measure, by its key. */
const HEAD = ["wearer", "taken", "unit", "datum", "note"] as const;
/** Said after a girth that already holds its ease. */
const WITH_EASE = "with ease";
const MAX_CARDS = 500;

/** Cards as a spreadsheet: one row a card, lengths as they were typed. A girth with ease in it says so. */
export function writeCardsCsv(cards: readonly Body[]): string {
  const rows = cards.map((card) => [
    card.name,
    card.taken ?? "",
    card.unit,
    card.datum ?? "waist",
    card.note ?? "",
    ...MEASURES.map(({ key }) => {
      const entry = card.measures[key];
      if (entry === undefined) return "";
      const length = entryLength(entry);
      const text = typeof length === "object" ? `${length.value} ${length.unit}` : String(length);
      return entryNet(entry) ? text : `${text} ${WITH_EASE}`;
    }),
  ]);
  return `${Papa.unparse({ fields: [...HEAD, ...MEASURES.map((m) => m.key)], data: rows }, { newline: "\n", escapeFormulae: true })}\n`;
}

export type ReadCards =
  { readonly ok: true; readonly cards: readonly Body[] } | { readonly ok: false; readonly message: string };

/**
 * Cards from a spreadsheet with a heading row: columns by measure key or by the name on the card, in any order. The
 * whole file is checked before anything is taken; the first thing wrong is said with its row.
 */
export function readCardsCsv(text: string): ReadCards {
  const no = (message: string): ReadCards => ({ ok: false, message });
  if (text.length > 1_000_000) return no("The file is over 1 MB; cards are far smaller.");
  const parsed = Papa.parse<string[]>(text.replace(/^\uFEFF/, ""), { skipEmptyLines: "greedy" });
  const [header, ...rows] = parsed.data;
  if (!header || rows.length === 0)
    return no("The file holds no cards: it needs a heading row and a row for each card.");
  if (rows.length > MAX_CARDS) return no(phrase`The file holds more than ${MAX_CARDS} cards.`);
  const words = (s: string): string => s.toLowerCase().replace(/[^a-z]/g, "");
  const measures = new Map<string, MeasureKey>(
    MEASURES.flatMap((m) => [[words(m.key), m.key] as const, [words(m.label), m.key] as const]),
  );
  const names = new Map([
    ["wearer", "wearer"],
    ["name", "wearer"],
    ["taken", "taken"],
    ["date", "taken"],
    ["unit", "unit"],
    ["datum", "datum"],
    ["note", "note"],
  ]);
  const columns = header.map((h) => names.get(words(h)) ?? measures.get(words(h)) ?? null);
  const unknown = header.find((h, i) => columns[i] === null && h.trim() !== "");
  if (unknown !== undefined)
    return no(phrase`There is no measure “${unknown.slice(0, 40)}”. Rename or remove this column.`);
  if (!columns.includes("unit")) return no("The file needs a column “unit” with cm, in or mm.");
  const cards: Body[] = [];
  for (const [index, row] of rows.entries()) {
    const at = phrase`Row ${index + 2}`;
    const cell = (column: string): string => (row[columns.indexOf(column as MeasureKey)] ?? "").trim();
    const unit = unitSchema.safeParse(cell("unit").toLowerCase());
    if (!unit.success) return no(phrase`${at}: the unit must be cm, in or mm.`);
    const entries: Record<string, unknown> = {};
    for (const [i, column] of columns.entries()) {
      const typed = (row[i] ?? "").trim().replace(/^'/, "");
      const key = column === null || names.has(column) ? undefined : measures.get(words(column));
      if (key === undefined || typed === "") continue;
      const eased = typed.toLowerCase().endsWith(WITH_EASE);
      const length = eased ? typed.slice(0, -WITH_EASE.length).trim() : typed;
      const read = parseLength(length, unit.data);
      if (!read.ok) return no(phrase`${at}, ${inSentence(measureOf(key).label)}: ${read.message}`);
      entries[key] = eased ? { length, net: false } : length;
    }
    const [taken, datum, note] = [cell("taken"), cell("datum").toLowerCase(), cell("note")];
    const card = bodySchema.safeParse({
      name: cell("wearer"),
      unit: unit.data,
      ...(taken ? { taken } : {}),
      ...(datum && datum !== "waist" ? { datum } : {}),
      ...(note ? { note } : {}),
      measures: entries,
    });
    if (!card.success) {
      const issue = card.error.issues[0];
      const field = issue?.path.join(" ") ?? "";
      return no(
        phrase`${at}: ${field ? `${field} ` : ""}cannot be read. Dates are written 2026-11-23; the datum is waist or shoulder.`,
      );
    }
    cards.push(card.data);
  }
  return { ok: true, cards };
}
