export { asDrawn, exerciseOf, fromDrawn, hide, MOST_LEVEL, type DrawnExercise, type Exercise } from "./exercise";
export { MISTAKES } from "./mistakes";
export type { Mistake } from "./spoiling";
