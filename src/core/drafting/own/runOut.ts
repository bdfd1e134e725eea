import { Refusal, say, type Mm } from "../../units";

/** How what is altered of a block brought in runs out, and where it ends. */

/** How far a level lies between two others: 0 at the upper one and above, 1 at the lower one and below. */
export const between = (y: Mm, upper: Mm, lower: Mm): number => Math.min(1, Math.max(0, (y - upper) / (lower - upper)));

/** From 0 to 1 without a corner at either end. */
export const eased = (t: number): number => t * t * (3 - 2 * t);

/** Refuses what a panel cannot give, with the most that it can. */
export function refuseBeyond(by: Mm, least: Mm, what: string): void {
  if (by < least - 1e-9)
    throw new Refusal("fittings", say`${what}: it can be ${0 - Math.min(0, least)} less at the most.`, { least });
}
