import { phrase } from "../words";
import { createEvents, type DateArray } from "ics";
import type { MakingDay } from "../making";
import { tell, type Tape } from "../units";
import { fileStem, type HandedFile } from "./handedFile";

const dayOf = (iso: string): DateArray => iso.split("-").map(Number) as unknown as DateArray;

/** The day after, in the calendar's own count. */
function nextDay(iso: string): DateArray {
  const [y, m, d] = iso.split("-").map(Number) as [number, number, number];
  const next = new Date(Date.UTC(y, m - 1, d + 1));
  return [next.getUTCFullYear(), next.getUTCMonth() + 1, next.getUTCDate()];
}

/** Days of making as a calendar file: one event a day, with what is done on it. Throws where the days are no dates. */
export function calendarOf(title: string, days: readonly MakingDay[], tape: Tape): HandedFile {
  const { value, error } = createEvents(
    days.map(({ date, parts }) => ({
      uid: `${fileStem(title)}-${date}@eland`,
      title: phrase`${title} (${parts.reduce((sum, p) => sum + p.minutes, 0)} min)`,
      description: parts.map(({ step, minutes }) => phrase`${tell(step.says, tape)} (${minutes} min)`).join("\n"),
      start: dayOf(date),
      end: nextDay(date),
    })),
    { productId: "eland" },
  );
  if (error) throw error;
  return {
    name: `${fileStem(title)}.ics`,
    type: "text/calendar",
    bytes: new TextEncoder().encode(value ?? ""),
  };
}
