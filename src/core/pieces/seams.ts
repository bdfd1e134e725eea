import { refsLength, type EdgeRef, type Join, type JoinHow, type Panel } from "../pattern";
import type { Mm } from "../units";

/** A join measured: how long each side is, and by what ratio the longer is brought to the shorter. */
export interface Seam extends Omit<Join, "a" | "b"> {
  /** Edges as "panel.edge", listed from their shared start. */
  readonly a: readonly string[];
  readonly b: readonly string[];
  readonly how: JoinHow;
  /** lengthB / lengthA. */
  readonly ratio: number;
  readonly lengthA: Mm;
  readonly lengthB: Mm;
  /** The same edges with the way they are walked. */
  readonly walkA: readonly EdgeRef[];
  readonly walkB: readonly EdgeRef[];
}

/** Every join of the garment, measured on the panels as they are. */
export function seamsOf(panels: readonly Panel[], joins: readonly Join[]): Seam[] {
  return joins.map((join): Seam => {
    const [lengthA, lengthB] = [refsLength(panels, join.a), refsLength(panels, join.b)];
    const names = (refs: readonly EdgeRef[]): string[] => refs.map((ref) => `${ref.panel}.${ref.edge}`);
    return {
      ...join,
      a: names(join.a),
      b: names(join.b),
      ratio: lengthB / lengthA,
      lengthA,
      lengthB,
      walkA: join.a,
      walkB: join.b,
    };
  });
}
