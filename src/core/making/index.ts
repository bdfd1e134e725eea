export { CARD_KINDS, cardsOf, type Act, type Card, type CardKind } from "./cards";
export { cuttingList, shoppingList, type Bought, type CutLine } from "./lists";
export { makingOrder, type Step } from "./order";
export { CLOSINGS, HEMS, schoolsSchema, USUAL_SCHOOLS, ZIPS, type Schools } from "./schools";
export { type Doing, type Operation } from "./operations";
export { handCurve, runsOf, type Run } from "./runs";
