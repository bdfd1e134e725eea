export { widthsHeld } from "./allowance";
export { cornersOf, movedEdges, placeOn, snappedPlace, type MarksOf, type OutlineKind } from "./corners";
export { partedAtDarts, type DrawnDart } from "./darts";
export { outlineData } from "./outlineData";
export { readTraced, type Traced } from "./readTraced";
export { placesSchema, tracedPanelSchema, type TracedPanel } from "./schema";
