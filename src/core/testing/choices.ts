/** Numbers in [0, 1), from a seed. */
export type Random = () => number;

/** A length in a range, as a maker would state it. */
export const millimetres =
  (low: number, high: number) =>
  (random: Random): string =>
    `${(low + (high - low) * random()).toFixed(1)} mm`;

/** One of some values, all alike likely. */
export const oneOf =
  <T>(...values: readonly T[]) =>
  (random: Random): T =>
    values[Math.floor(random() * values.length)] as T;

export const either = oneOf(true, false);
