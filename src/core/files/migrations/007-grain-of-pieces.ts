import type { Migration } from ".";

/** The cloth may say which pieces lie across it or on the bias. Jobs of older forms say none, and none is put in its place. */
export const grainOfPieces: Migration = {
  to: 7,
  name: "grain-of-pieces",
  migrate: (job) => ({ ...job }),
};
