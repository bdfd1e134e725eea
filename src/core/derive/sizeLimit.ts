/** Sizes of one set. */
export const MOST_SIZES = 12;
