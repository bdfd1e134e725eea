import type { Tape } from "../../units";
import type { MadeGarment } from "../garment";
import type { Card, CardKind, Draft } from "./card";
import { clothCards } from "./onCloth";
import { paperCards } from "./onPaper";
import { shortCards } from "./short";

export { CARD_KINDS, type Card, type CardKind } from "./card";

const MAKERS: Readonly<Record<CardKind, (garment: MadeGarment, tape: Tape) => readonly Draft[]>> = {
  paper: paperCards,
  cloth: clothCards,
  short: shortCards,
};

/** The chalk cards of a garment, one act each; parts of a number add up on the tape. */
export const cardsOf = (garment: MadeGarment, on: CardKind, tape: Tape): readonly Card[] =>
  MAKERS[on](garment, tape).map((draft, i) => ({ n: i + 1, ...draft }));
