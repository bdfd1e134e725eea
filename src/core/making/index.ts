export { CARD_KINDS, cardsOf, type Card, type CardKind } from "./cards";
export { cuttingList, shoppingList } from "./lists";
export { makingOrder, type Step } from "./order";
export { CLOSINGS, HEMS, schoolsSchema, USUAL_SCHOOLS, ZIPS, type Schools } from "./schools";
