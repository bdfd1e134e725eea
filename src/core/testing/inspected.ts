import type { Derived } from "../derive";
import type { Inspected } from "../inspect";
import { seamsOf } from "../pieces";

/** What the checks saw of a derived job, to be spoiled and inspected again. */
export function inspected(derived: Derived): Inspected {
  return {
    ...derived,
    legs: derived.panels,
    legSeams: seamsOf(derived.panels, derived.joins),
    panels: derived.sewn,
    setApart: new Set(),
    passedOver: [],
    ownBlock: false,
    tape: "cm",
    finishSource: {},
    cloth: { width: null, length: null, liningWidth: null, stretch: 0 },
    asked: { hem: null },
    zip: derived.zip && { ...derived.zip, length: derived.zip.length.mm },
    hemDepth: derived.hemDepth?.mm ?? null,
    crotchDrop: 0,
    shoe: 30,
    length: { whole: derived.plan.levels.hem, cuff: 0, stated: true },
  };
}
