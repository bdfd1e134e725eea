/** What can be seen at a fitting. */
export const SYMPTOM_IDS = [
  "seat-pulls",
  "seat-folds",
  "front-smiles",
  "cannot-sit",
  "crotch-bags",
  "waist-gapes",
  "waist-tight",
  "side-swings-back",
  "side-swings-front",
  "leg-twists-in",
  "leg-twists-out",
  "stomach-strains",
  "thigh-tight",
  "knee-binds",
  "zip-bulges",
  "stands-high",
  "stands-low",
  "hem-long",
  "hem-short",
] as const;
export type SymptomId = (typeof SYMPTOM_IDS)[number];
