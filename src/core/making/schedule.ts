import { addDays, formatISO, getDay, isAfter, differenceInCalendarDays, parseISO } from "date-fns";
import type { Seam } from "../pieces";
import type { Step } from "./order";
import type { Week } from "./schools";

/** A day of making: what is done on it, and how long each takes of it. */
export interface MakingDay {
  /** ISO date. */
  readonly date: string;
  readonly parts: readonly { readonly step: Planned; readonly minutes: number }[];
}

type Planned = Pick<Step, "id" | "minutes" | "says">;

export interface Schedule {
  readonly days: readonly MakingDay[];
  /** Days after the due date on which it is done; 0 where it is in time, or nothing is due. */
  readonly lateBy: number;
}

/** No garment is planned further ahead than this. */
const MOST_DAYS = 730;

const isoDay = (date: Date): string => formatISO(date, { representation: "date" });

/**
 * Spreads steps over days in their order, from a date on, as much on each day as there is time for; a step that is not
 * done in a day goes on the next. Null where no day of the week has any time.
 */
export function scheduled(steps: readonly Planned[], from: string, week: Week, due: string | null): Schedule | null {
  if (week.every((minutes) => minutes <= 0)) return null;
  const days: MakingDay[] = [];
  let date = parseISO(from);
  let [left, free] = [0, week[getDay(date)] ?? 0];
  let parts: MakingDay["parts"][number][] = [];
  const next = (): void => {
    if (parts.length > 0) days.push({ date: isoDay(date), parts });
    parts = [];
    date = addDays(date, 1);
    free = week[getDay(date)] ?? 0;
  };
  for (const step of steps) {
    left = step.minutes;
    while (left > 0 && days.length < MOST_DAYS) {
      if (free <= 0) {
        next();
        continue;
      }
      const minutes = Math.min(left, free);
      parts.push({ step, minutes });
      left -= minutes;
      free -= minutes;
    }
  }
  if (parts.length > 0) days.push({ date: isoDay(date), parts });
  const last = days.at(-1)?.date ?? from;
  const lateBy =
    due !== null && isAfter(parseISO(last), parseISO(due))
      ? differenceInCalendarDays(parseISO(last), parseISO(due))
      : 0;
  return { days, lateBy };
}

/** Seams that are closed before a garment can be put on. */
const CLOSING: ReadonlySet<Seam["kind"]> = new Set(["side", "inseam", "centre", "shoulder"]);

/** The steps that have to be done before a garment can be put on, by id. */
export function closingSteps(
  seams: readonly Pick<Seam, "id" | "kind">[],
  steps: readonly Pick<Step, "id" | "seam">[],
): ReadonlySet<string> {
  const closing = new Set(seams.filter(({ kind }) => CLOSING.has(kind)).map(({ id }) => id));
  return new Set(steps.filter(({ seam }) => seam !== null && closing.has(seam)).map(({ id }) => id));
}

/** How far a garment is on the morning it is tried on. */
export interface PlannedFitting {
  readonly date: string;
  /** Steps that are done by then, of those that were left. */
  readonly done: number;
  /** Closing steps that are not done by then: until they are, nothing can be put on. */
  readonly open: number;
}

/**
 * What can be tried on at each fitting, in the order of their days. `closing` are the steps that have to be done before.
 */
export const fittingsPlanned = (
  { days }: Pick<Schedule, "days">,
  steps: readonly Pick<Step, "id">[],
  dates: readonly string[],
  closing: ReadonlySet<string>,
): readonly PlannedFitting[] =>
  [...dates].sort().map((date) => {
    // A step that goes on over several days is done on the last of them.
    const later = new Set(days.filter((d) => d.date >= date).flatMap((d) => d.parts.map((p) => p.step.id)));
    const left = steps.filter((step) => later.has(step.id));
    return { date, done: steps.length - left.length, open: left.filter(({ id }) => closing.has(id)).length };
  });
