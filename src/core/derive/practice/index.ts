export { asDrawn, exerciseOf, fromDrawn, hide, MOST_LEVEL, type DrawnExercise, type Exercise } from "./exercise";
export { MISTAKES, type Mistake } from "./mistakes";
