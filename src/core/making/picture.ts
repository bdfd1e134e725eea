import { line, type Path } from "../geometry";
import type { Card } from "./cards";
import { handCurve } from "./runs";

/** A line of a card's drawing; the card's own is lit. */
export interface PictureLine {
  readonly path: Path;
  readonly isNew: boolean;
}

type Drawn = Extract<Card["act"], { kind: "line" | "curve" }>;

const pathOf = ({ kind, from, to, guides, leaves, arrives }: Drawn): Path =>
  kind === "line" ? [line(from, to)] : handCurve([from, ...guides.map((g) => g.at), to], leaves, arrives);

/** All that a panel's cards have drawn up to one of them, as a hand draws it; empty where they draw nothing. */
export const pictureOf = (card: Card, ofPanel: readonly Card[]): readonly PictureLine[] =>
  ofPanel.flatMap(({ n, act }): PictureLine[] =>
    n <= card.n && (act.kind === "line" || act.kind === "curve") ? [{ path: pathOf(act), isNew: n === card.n }] : [],
  );

/** The cards of the panel that a card belongs to. */
export function cardsByPanel(cards: readonly Card[]): (card: Card) => readonly Card[] {
  const byPanel = new Map<string, Card[]>();
  for (const card of cards) byPanel.set(card.panel, [...(byPanel.get(card.panel) ?? []), card]);
  return ({ panel }) => byPanel.get(panel) ?? [];
}
