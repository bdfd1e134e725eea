/** How each compared draft is drawn: a colour and a dash of its own, so that neither is needed alone. */
export const COMPARE_INK = [
  { color: "var(--text)", dash: undefined, ink: "text" },
  { color: "var(--chalk-text)", dash: "10 5", ink: "chalk" },
  { color: "var(--note)", dash: "2 4", ink: "note" },
  { color: "var(--pass)", dash: "14 4 2 4", ink: "pass" },
  { color: "var(--fault)", dash: "5 3", ink: "look" },
] as const;

export const inkOf = (i: number): (typeof COMPARE_INK)[number] =>
  COMPARE_INK[i % COMPARE_INK.length] as (typeof COMPARE_INK)[number];
