import { derive, type Derived } from "../derive";
import type { Job } from "../files";
import type { Fitting } from "../fitting";
import type { Check, Readings } from "../inspect";
import type { Panel } from "../pattern";
import type { Sentence } from "../units";
import { outlinesDiffer, withFitting } from "./correcting";

/** What a fitting does to a garment. */
export interface Corrected {
  readonly panels: readonly Panel[];
  readonly readings: Readings;
  /** Checks that say something else afterwards. */
  readonly checks: readonly Check[];
  /** Pieces that are cut otherwise, by id. */
  readonly recut: readonly string[];
}

const said = (check: Check | undefined): string => JSON.stringify([check?.status, check?.message]);

function recutOf(before: Derived, after: Derived): readonly string[] {
  const held = new Map(before.pieces.map((p) => [p.id, p]));
  return after.pieces
    .filter(({ id, cutLine }) => outlinesDiffer(held.get(id)?.cutLine ?? [], cutLine))
    .map(({ id }) => id);
}

/** The garment with one more fitting, and how it differs from the one without; or why it cannot be drawn. */
export function corrected(job: Job, fitting: Fitting): Corrected | { readonly refused: Sentence } {
  const [before, after] = [derive(job), derive(withFitting(job, fitting))];
  if (!before.ok) return { refused: before.errors[0]?.says ?? [] };
  if (!after.ok) return { refused: after.errors[0]?.says ?? [] };
  const was = new Map(before.checks.map((c) => [c.id, c]));
  return {
    panels: after.panels,
    readings: after.readings,
    checks: after.checks.filter((c) => said(was.get(c.id)) !== said(c)),
    recut: recutOf(before, after),
  };
}
