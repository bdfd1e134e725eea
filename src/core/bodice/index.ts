export { NO_CHANGES, frontLonger, LEAST_BUST_DART, type BodicePlan, type EdgeChanges, type Pivot } from "./plan";
export { bodicePlan, type BodiceAsked } from "./sizes";
export { hasBustDart, type DrawnBodice } from "./halves";
export { armholeOf, bodicePanels, waistFromCentre } from "./panels";
