import { tongueTag } from "@/core/words";

/** English dates are written as they are on this side of the ocean. */
const WRITTEN: Readonly<Record<string, string>> = { en: "en-GB" };

const written = (moment: Date, parts: Intl.DateTimeFormatOptions): string =>
  new Intl.DateTimeFormat(WRITTEN[tongueTag()] ?? tongueTag(), { timeZone: "UTC", ...parts }).format(moment);

const midnight = (iso: string): Date => new Date(`${iso}T00:00:00Z`);

/** A date as it is read: 3 May 2026. */
export const dayOf = (iso: string): string =>
  written(midnight(iso), { day: "numeric", month: "short", year: "numeric" });

/** A date of this year as it is read: 3 May. */
export const shortDayOf = (iso: string): string => written(midnight(iso), { day: "numeric", month: "short" });

/** The month a moment (in milliseconds) lies in, by its short name; the year where one begins. */
export function monthOf(at: number): string {
  const moment = new Date(at);
  return written(moment, moment.getUTCMonth() === 0 ? { year: "numeric" } : { month: "short" });
}
