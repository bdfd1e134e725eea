export { frontLonger, LEAST_BUST_DART, type BodicePlan, type EdgeChanges } from "./plan";
export { bodicePlan, type BodiceAsked } from "./sizes";
export { hasBustDart, type DrawnBodice } from "./halves";
export { bodiceSteps } from "./narrate";
export { armholeOf, bodicePanels, waistFromCentre } from "./panels";
export { capEdge, sleeveSizes } from "./sleeve";
export { ownBodice, type OwnBodiceDrawn } from "./own/ownBodice";
export { BODICE_FRONT_PLACES, BODICE_OUTLINE, BODICE_PLACES, ownBodiceSchema, type OwnBodice } from "./own/schema";
