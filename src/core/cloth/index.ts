export { cutShapes, materialsOf, type CutShape } from "./cutShapes";
export { FOLDS, layCloth, type ClothLay, type Fold, type LayCloth, type LayFound, type Placement } from "./clothLay";
