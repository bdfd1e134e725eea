import { distanceToOutline, type Point } from "../geometry";

type Places = readonly (readonly [number, number])[];
/** True where two outlines differ anywhere by more than a hundredth of a millimetre. */
export const outlinesDiffer = (a: Places, b: Places): boolean =>
  a.length !== b.length ||
  a.some(([x, y], i) => Math.abs(x - (b[i]?.[0] ?? 0)) > 0.01 || Math.abs(y - (b[i]?.[1] ?? 0)) > 0.01);

/** Nearer than this, an outline runs along another. */
const ALONG = 0.05;

/** True where two outlines are not the same shape in the same place, wherever each begins and whichever way it runs. */
export const shapesDiffer = (a: readonly Point[], b: readonly Point[]): boolean =>
  a.length === 0 ||
  b.length === 0 ||
  a.some((p) => distanceToOutline(p, b) > ALONG) ||
  b.some((p) => distanceToOutline(p, a) > ALONG);
