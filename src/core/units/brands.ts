/**
 * Branded numbers. The brand is optional, so a plain number may become any of them,
 * but a value already known to be degrees can never be handed to something that wants radians.
 */
export type Mm = number & { readonly __unit?: "mm" };
export type Radians = number & { readonly __unit?: "rad" };
export type Degrees = number & { readonly __unit?: "deg" };

/** Radians to degrees. */
export function toDegrees(angle: Radians): Degrees {
  return (angle * 180) / Math.PI;
}

/** Degrees to radians. */
export function toRadians(angle: Degrees): Radians {
  return (angle * Math.PI) / 180;
}
