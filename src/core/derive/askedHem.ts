import type { Job } from "../files";
import type { MoveEntry, Style } from "../styles";
import { readLength, type LengthInput, type Mm } from "../units";
import type { WorksheetLine } from "./runMoves";

/** Moves that decide how wide the hem is; the last of them that is made has the last word. */
const HEM_MOVES = new Set([
  "shape-leg",
  "widen-leg",
  "spread",
  "full-spread",
  "side-panel",
  "godet",
  "flounce",
  "pleats",
]);
const HEM_PARAMS: Readonly<Record<string, string>> = { "shape-leg": "hem", spread: "hemGirth" };

/** The hem of one leg that was asked for in so many words; null where the last move that widens it follows other numbers. */
export function askedHem(
  job: Job,
  {
    worksheet,
    moves,
    style,
  }: { readonly worksheet: readonly WorksheetLine[]; readonly moves: readonly MoveEntry[]; readonly style: Style },
): Mm | null {
  const last = worksheet.filter((l) => l.on && l.passed === null && HEM_MOVES.has(l.move)).at(-1);
  const param = last && HEM_PARAMS[last.move];
  if (!last || last.index === null || !param) return null;
  const named = param === "hemGirth" || style.feeds?.[`${last.move}.${param}`] === "hemGirth";
  const input = moves[last.index]?.params[param] ?? (named ? job.style.params.hemGirth : undefined);
  if (input === undefined || input === "auto") return null;
  const read = readLength(input as LengthInput, job.body.unit);
  return read.ok ? read.mm : null;
}
