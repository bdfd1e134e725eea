// What a fitting does to rules and moves (apply) needs both, and is imported by name.
export { learnedFrom, type Learned } from "./learned";
export type { Fitting, FittingChange } from "./schema";
export { symptomsOf } from "./seen";
export { changeOf, isOf, placeOfCure, SYMPTOMS, symptomOf, type Correction, type Symptom } from "./symptoms";
