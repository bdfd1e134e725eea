import type { BackHow } from "../rules";
import type { BackMaking } from "./back";
import { hinged } from "./hinged";
import { redrafted } from "./redrafted";
import { repeated } from "./repeated";
import { slanted } from "./slanted";
import { tilted } from "./tilted";
import { traced } from "./traced";
import { transferred } from "./transferred";

export { throughHip } from "./back";
export type { BackLines, BackMaking } from "./back";

/** Every way of making the back, by its name in the rules. */
export const BACK_MAKINGS: Readonly<Record<BackHow, BackMaking>> = {
  slanted,
  traced,
  hinged,
  tilted,
  transferred,
  redrafted,
  repeated,
};
