import type { Migration } from ".";

/** The drawing of the jobs that were kept before an edition was stated. */
const FIRST_EDITION = 1;

/**
 * A job says by which edition of Eland's drawing it was last looked at. Jobs of older forms were drawn by the first: what
 * is drawn otherwise since is said once, until its maker has read it.
 */
export const editionIsStated: Migration = {
  to: 3,
  name: "edition-is-stated",
  migrate: (job) => ({ ...job, edition: FIRST_EDITION }),
};
