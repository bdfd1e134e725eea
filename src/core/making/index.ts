export { CARD_KINDS, cardsOf, type Act, type Card, type CardKind } from "./cards";
export { cuttingList, shoppingList, type Bought, type CutLine } from "./lists";
export { CLOSINGS, HEMS, makingOrder, USUAL_SCHOOLS, ZIPS, type Schools, type Step } from "./order";
export { type Doing, type Operation } from "./operations";
export { handCurve, runsOf, type Run } from "./runs";
