import { NOTHING, type Words } from "../units";
import { derive, type Derived } from "../derive";
import type { Job } from "../files";
import type { Fitting } from "../fitting";
import { pointFlipped } from "../geometry";
import type { Check, Readings } from "../inspect";
import { pairOf, type Material, type Panel } from "../pattern";
import type { Piece } from "../pieces";
import type { Sentence } from "../units";
import { withFitting } from "./changes";
import { shapesDiffer } from "./outlines";

/** What a fitting does to a garment. */
export interface Corrected {
  readonly panels: readonly Panel[];
  readonly readings: Readings;
  /** Checks that say something else afterwards. */
  readonly checks: readonly Check[];
  /** Pieces that are cut otherwise. */
  readonly recut: readonly PieceToRecut[];
}

/** A piece that is cut otherwise than before. */
interface PieceToRecut {
  readonly id: string;
  /** The piece of before that it takes the place of. */
  readonly was: string;
  readonly name: Words;
  readonly material: Material;
}

const said = (check: Check | undefined): string => JSON.stringify([check?.status, check?.message]);

/**
 * The piece of before that a piece is: its own, or the pair it was one of until the legs were set apart; of a part, the one
 * that was made for that pair. Null where it is new.
 */
function wasOf({ id, panel }: Piece, before: Derived, after: Derived): Piece | null {
  const { part, madeFor } = panel.is;
  const on = after.panels.find((p) => p.id === madeFor);
  const pair = on && pairOf(on);
  return (
    before.pieces.find((p) => p.id === id) ??
    before.pieces.find((p) => p.id === pairOf(panel)) ??
    before.pieces.find((p) => pair && part !== null && p.panel.is.part === part && p.panel.is.madeFor === pair) ??
    null
  );
}

function piecesToRecut(before: Derived, after: Derived): readonly PieceToRecut[] {
  return after.pieces.flatMap((piece): PieceToRecut[] => {
    const held = wasOf(piece, before, after);
    const was = held?.id ?? piece.id;
    // One of a pair that is now the left leg's is drawn turned over.
    const isTurned = was !== piece.id && piece.panel.half === "left";
    const now = isTurned ? piece.cutLine.map(pointFlipped) : piece.cutLine;
    const { id, name, material } = piece;
    return shapesDiffer(held?.cutLine ?? [], now) ? [{ id, was, name, material }] : [];
  });
}

/** The garment with one more fitting, and how it differs from the one without; or why it cannot be drawn. */
export function corrected(job: Job, fitting: Fitting): Corrected | { readonly refused: Sentence } {
  const [before, after] = [derive(job), derive(withFitting(job, fitting))];
  if (!before.ok) return { refused: before.errors[0]?.says ?? NOTHING };
  if (!after.ok) return { refused: after.errors[0]?.says ?? NOTHING };
  const was = new Map(before.checks.map((c) => [c.id, c]));
  return {
    panels: after.panels,
    readings: after.readings,
    checks: after.checks.filter((c) => said(was.get(c.id)) !== said(c)),
    recut: piecesToRecut(before, after),
  };
}
