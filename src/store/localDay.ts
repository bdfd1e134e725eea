/** The day of a moment, where the maker is: 2026-05-03. */
export const localDay = (moment: Date): string => moment.toLocaleDateString("sv-SE");
