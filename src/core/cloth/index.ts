export { cutShapes, materialsOf, type CutShape } from "./cutShapes";
export { JOIN_ALLOWANCE, joinedShapes, widerThan } from "./joins";
export { HandLay } from "./byHand";
export { layCloth, stripWidth, type ClothLay, type LayCloth, type LayFound, type Placement } from "./clothLay";
export type { Laid } from "./lay/strip";
export { FOLDS, clothSchema, type Cloth, type Fold } from "./schema";
export { cupboardClothSchema, type CupboardCloth } from "./cupboard";
