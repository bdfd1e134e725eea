export { exerciseOf, hide, MOST_LEVEL, type Exercise } from "./exercise";
export { MISTAKES, type Mistake } from "./mistakes";
