/** Papers of home printers, as they are called. */
export const HOME_PAPERS = [
  ["a4", "A4"],
  ["letter", "Letter"],
] as const;
export type HomePaper = (typeof HOME_PAPERS)[number][0];
