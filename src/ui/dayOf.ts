import { tongueTag } from "@/core/words";

/** English dates are written as they are on this side of the ocean. */
const WRITTEN: Readonly<Record<string, string>> = { en: "en-GB" };

const written = (iso: string, parts: Intl.DateTimeFormatOptions): string =>
  new Intl.DateTimeFormat(WRITTEN[tongueTag()] ?? tongueTag(), {
    day: "numeric",
    month: "short",
    timeZone: "UTC",
    ...parts,
  }).format(new Date(`${iso}T00:00:00Z`));

/** A date as it is read: 3 May 2026. */
export const dayOf = (iso: string): string => written(iso, { year: "numeric" });

/** A date of this year as it is read: 3 May. */
export const shortDayOf = (iso: string): string => written(iso, {});
