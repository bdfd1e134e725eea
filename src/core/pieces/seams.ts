import { against, along, legOf, refsLength, type EdgeRef, type Join, type JoinHow, type Panel } from "../drafting";
import { isOf, rimEdges } from "../drafting";
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

/** Waist edges of one leg from the centre back to the centre front. */
export function waistWalk(panels: readonly Panel[], leg: "left" | "right"): EdgeRef[] {
  const of = (root: "front" | "back"): EdgeRef[] =>
    legOf(panels, leg)
      .filter((panel) => isOf(panel.id, root))
      .flatMap((panel) => rimEdges(panel, "waist").map((edge) => along(panel.id, edge.id)));
  return [
    ...of("back"),
    ...of("front")
      .reverse()
      .map((ref) => against(ref.panel, ref.edge)),
  ];
}

/** The joins between a band and the waist it is sewn to, from the centre back round each half. */
function bandJoins(panels: readonly Panel[]): Join[] {
  const back = (walk: readonly EdgeRef[]): EdgeRef[] =>
    [...walk].reverse().map((ref) => ({ ...ref, reversed: !ref.reversed }));
  const join = (leg: "left" | "right", b: readonly EdgeRef[]): Join => ({
    id: `waist-${leg}`,
    label: `Waist, ${leg} half`,
    kind: "waist",
    how: "equal",
    leg,
    a: [along("waistband", `sewn-${leg}`)],
    b,
  });
  return [join("right", waistWalk(panels, "right")), join("left", back(waistWalk(panels, "left")))];
}

/** Every join of the garment, measured on the panels as they are. */
export function seamsOf(panels: readonly Panel[], joins: readonly Join[], band: Panel | null): Seam[] {
  const all = band ? [...panels, band] : panels;
  return [...joins, ...(band ? bandJoins(panels) : [])].map((join): Seam => {
    const [lengthA, lengthB] = [refsLength(all, join.a), refsLength(all, join.b)];
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
