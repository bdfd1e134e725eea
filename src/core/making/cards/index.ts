import type { Panel } from "../../pattern";
import { withGrain } from "../../pieces";
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

/** The garment with the thread of every panel as its piece lies on the cloth: that is the grain that is drawn. */
function asItLies(garment: MadeGarment): MadeGarment {
  const turned = garment.pieces.filter((p) => p.lies);
  if (turned.length === 0) return garment;
  const lies = (panel: Panel): Panel => {
    const piece = turned.find((p) => p.id === panel.id || p.panel.id === panel.id);
    return piece ? withGrain(panel, piece.grain) : panel;
  };
  return { ...garment, panels: garment.panels.map(lies), sewn: garment.sewn.map(lies) };
}

/** The chalk cards of a garment, one act each; parts of a number add up on the tape. */
export const cardsOf = (garment: MadeGarment, on: CardKind, tape: Tape): readonly Card[] =>
  MAKERS[on](asItLies(garment), tape).map((draft, i) => ({ n: i + 1, ...draft }));
