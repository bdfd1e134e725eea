import { registry } from "../registry";
import { bodice } from "./bodice";
import { bodiceEdges } from "./bodiceEdges";
import { hollowDart } from "./hollowDart";
import { joinBodice } from "./joinBodice";
import { pivotDart } from "./pivotDart";
import { casing } from "./casing";
import { cowl } from "./cowl";
import { dropCrotch } from "./dropCrotch";
import { endAsTop } from "./endAsTop";
import { foldBack } from "./foldBack";
import { flounce } from "./flounce";
import { fullSpread } from "./fullSpread";
import type { Move } from "./move";
import { godet } from "./godet";
import { placket } from "./placket";
import { pleats } from "./pleats";
import { setLength } from "./setLength";
import { shapeLeg } from "./shapeLeg";
import { sidePanel } from "./sidePanel";
import { spread } from "./spread";
import { split } from "./split";
import { styleLine } from "./styleLine";
import { waistLevel } from "./waistLevel";
import { waistShaping } from "./waistShaping";
import { widenLeg } from "./widenLeg";
import { yoke } from "./yoke";

export * from "./move";

/** Every move there is, by id, in the order they are usually made. */
export const MOVES = registry([
  bodice,
  bodiceEdges,
  pivotDart,
  shapeLeg,
  widenLeg,
  dropCrotch,
  waistLevel,
  waistShaping,
  setLength,
  spread,
  fullSpread,
  pleats,
  yoke,
  split,
  placket,
  flounce,
  sidePanel,
  godet,
  casing,
  hollowDart,
  styleLine,
  foldBack,
  cowl,
  endAsTop,
  joinBodice,
] as unknown as readonly Move[]);
