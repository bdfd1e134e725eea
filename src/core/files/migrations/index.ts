import { schoolIsStated } from "./002-school-is-stated";
import { editionIsStated } from "./003-edition-is-stated";
import { clothAndMaking } from "./004-cloth-and-making";
import { bodiceAndFittings } from "./005-bodice-and-fittings";
import { fittingDates } from "./006-fitting-dates";
import { grainOfPieces } from "./007-grain-of-pieces";
import { remnantsAndSides } from "./008-remnants-and-sides";
import { leaningPieces } from "./009-leaning-pieces";

/** One way up from the form before: named, numbered, and never changed once jobs of its form are kept. */
export interface Migration {
  /** The form it leads to. */
  readonly to: number;
  readonly name: string;
  /** The job in the new form. What it is given is left as it was; fields it does not know it hands on. */
  readonly migrate: (job: Readonly<Record<string, unknown>>) => Record<string, unknown>;
}

/** Every migration, in order; the form of today is that of the last. */
export const MIGRATIONS: readonly Migration[] = [
  schoolIsStated,
  editionIsStated,
  clothAndMaking,
  bodiceAndFittings,
  fittingDates,
  grainOfPieces,
  remnantsAndSides,
  leaningPieces,
];

/** The first form a job was ever kept in. */
export const FIRST_VERSION = 1;

/** The form jobs are kept in today. */
export const JOB_VERSION = 9;

/** A job of an older form in today's. */
export function migrated(job: Readonly<Record<string, unknown>>, from: number): Record<string, unknown> {
  return MIGRATIONS.filter(({ to }) => to > from).reduce<Record<string, unknown>>(
    (now, { to, migrate }) => ({ ...migrate(now), version: to }),
    { ...job },
  );
}
