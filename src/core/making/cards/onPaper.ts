import type { Panel } from "../../pattern";
import type { Piece } from "../../pieces";
import { say } from "../../units";
import type { MadeGarment } from "../garment";
import type { Draft } from "./card";
import { wholeCards } from "./outline";
import { originOf } from "./places";

/** Allowances of a piece, edge by edge; those that a fold or a free edge has none of are left out. */
function allowanceCards(piece: Piece): readonly Draft[] {
  return piece.edges
    .filter((e) => e.allowance > 0)
    .map((e): Draft => ({
      panel: piece.panel.id,
      name: piece.name,
      drawing: piece.panel.id,
      says:
        e.allowanceEnd === undefined
          ? say`${piece.name}: cut ${e.allowance} beyond the ${e.name}.`
          : say`${piece.name}: cut ${e.allowance} beyond the ${e.name} where it begins, running to ${e.allowanceEnd} where it ends.`,
      numbers: { width: e.allowance, widthEnd: e.allowanceEnd ?? e.allowance },
      act: { kind: "allowance", edge: e.edge, width: e.allowance, widthEnd: e.allowanceEnd ?? e.allowance },
      points: {},
    }));
}

/** The front is drawn first, the back from it, and parts that are measured against them last. */
const rankOf = ({ is }: Panel): number => (is.part !== null ? 3 : is.root === "front" ? 0 : is.root === "back" ? 1 : 2);

/** Net panels on paper, then their allowances. */
export function paperCards({ panels, sewn, pieces }: MadeGarment): readonly Draft[] {
  const all = [...panels, ...sewn.filter((p) => !panels.some((own) => own.id === p.id))]
    .filter((p) => !sewn.some((s) => s.is.leftOf === p.id))
    .sort((a, b) => rankOf(a) - rankOf(b));
  return [...all.flatMap((panel) => wholeCards(panel, originOf(panel))), ...pieces.flatMap(allowanceCards)];
}
