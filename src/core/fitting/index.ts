export { changesMoves, fittedMoves, fittedRules } from "./apply";
export { fittingSchema, type Fitting, type FittingChange } from "./schema";
export { isOf, placeOfCure, SYMPTOMS, symptomOf, type Correction, type Symptom } from "./symptoms";
