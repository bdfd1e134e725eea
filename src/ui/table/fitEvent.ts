/** Asks every table to bring all of the pattern into view. */
export const FIT_EVENT = "eland-fit";
