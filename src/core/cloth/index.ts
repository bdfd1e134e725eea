export { cutShapes, materialsOf, type CutShape } from "./cutShapes";
export { joinedShapes } from "./joins";
export { JOIN_ALLOWANCE, widerThan } from "./wider";
export { HandLay } from "./byHand";
export { nested } from "./nested";
export { layCloth } from "./clothLay";
export { cannotBeUnder, isNearest, isProvable } from "./undercut";
export type { Locked } from "./folds/oneStrip";
export {
  clothOtherwise,
  stripWidth,
  type ClothLay,
  type LayCloth,
  type LayFound,
  type Placement,
} from "./folds/laidCloth";
export type { Laid } from "./lay/strip";
export { FOLDS, FOLD_WORDS, MOST_TOGETHER, clothSchema, type Cloth, type Fold } from "./schema";
export { cupboardClothSchema, type CupboardCloth } from "./cupboard";
