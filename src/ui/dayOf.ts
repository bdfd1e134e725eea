const DAY = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" });

/** A date as it is read: 3 May 2026. */
export const dayOf = (iso: string): string => DAY.format(new Date(`${iso}T00:00:00Z`));
