export { CARD_KINDS, cardsOf, type Card, type CardKind } from "./cards";
export { cuttingList, shoppingList } from "./lists";
export { makingOrder, type Step } from "./order";
export { closingSteps, fittingsPlanned, scheduled, type MakingDay } from "./schedule";
export { CLOSINGS, HEMS, schoolsSchema, USUAL_SCHOOLS, ZIPS, type Schools, type Week } from "./schools";
export { bundlesOf } from "./bundles";
export { cardsByDrawing, linesOf, pictureOf, type DrawnLine } from "./picture";
export { minutesLearned, type Taken } from "./minutes";
