export { widthsHeld } from "./allowance";
export { cornersOf, movedEdges, placeOn, snappedPlace, type MarksOf, type OutlineKind } from "./corners";
export { dartsOffEdges, partedAtDarts, type DrawnDart } from "./darts";
export { outlineData } from "./outlineData";
export { readTraced, type Traced } from "./readTraced";
export { MOST_DARTS, placesSchema, tracedPanelSchema, type TracedPanel } from "./schema";
