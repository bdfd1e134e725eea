import { type Panel } from "../pattern";
import type { Quantity } from "../units";
import type { CrotchCurve } from "./crotch";

/** Front and back drawn and reconciled, with what the reconciling had to solve. */
export interface DrawnLegs {
  readonly front: Panel;
  readonly back: Panel;
  readonly solved: Readonly<Record<string, Quantity>>;
  /** How the crotch curves were drawn, in the canonical frame; null for a block that was brought in. */
  readonly crotches: { readonly front: CrotchCurve; readonly back: CrotchCurve } | null;
}
