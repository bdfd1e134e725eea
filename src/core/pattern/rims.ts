import { type Rim } from "./roles";
import { rimEdges, rimLength, type Panel } from "./panel";
import { along, halvesOf, legOf, refsLength, walkedBack, type EdgeRef, type Pattern } from "./joins";
import { hasLegs, isBodice, isOf } from "./identity";
import type { Mm } from "../units";

/** True where an edge of a panel is sewn to something. */
export const isSewnOn = ({ joins }: Pick<Pattern, "joins">, panel: string, edge: string): boolean =>
  isSewn(
    joins.flatMap((join) => [join.a, join.b]),
    panel,
    edge,
  );

/** True where an edge lies in one of these runs: a rim that is sewn on is no opening of the garment. */
function isSewn(sides: readonly (readonly EdgeRef[])[], panel: string, edge: string): boolean {
  return sides.some((refs) => refs.some((ref) => ref.panel === panel && ref.edge === edge));
}

/** The edges of a panel's rim that nothing is sewn to: where the garment opens, and a band can be sewn. */
export function openRim({ joins }: Pick<Pattern, "joins">, panel: Panel, rim: Rim): EdgeRef[] {
  return rimEdges(panel, rim)
    .filter((edge) => !isSewnOn({ joins }, panel.id, edge.id))
    .map((edge) => along(panel.id, edge.id));
}

/**
 * The finished girth of a rim, all round the garment. Two rims that are sewn to each other, as a bodice's waist to the
 * legs', are one girth: that of the side the join names first.
 */
export function rimGirth({ panels, joins }: Pattern, rim: Rim): Mm {
  const rimOnBothSides = joins.filter((join) =>
    [join.a, join.b].every((refs) =>
      refs.every((ref) => {
        const panel = panels.find((p) => p.id === ref.panel);
        return panel !== undefined && rimEdges(panel, rim).some((edge) => edge.id === ref.edge);
      }),
    ),
  );
  const [firsts, seconds] = [rimOnBothSides.map((join) => join.a), rimOnBothSides.map((join) => join.b)];
  const legged = hasLegs(panels);
  return panels.reduce((sum, panel) => {
    const edges = rimEdges(panel, rim);
    const isSecond = edges.length > 0 && edges.every((edge) => isSewn(seconds, panel.id, edge.id));
    // Beside trousers that it is not joined to, a bodice is worn apart.
    const isApart = legged && isBodice(panel) && !edges.some((edge) => isSewn(firsts, panel.id, edge.id));
    return isSecond || isApart ? sum : sum + halvesOf(panel) * rimLength(panel, rim);
  }, 0);
}

/** Length of a panel's rim as it is sewn: one that is gathered to another rim is as long as that. */
export function sewnRim({ panels, joins }: Pattern, panel: Panel, rim: Rim): Mm {
  const own = new Set(rimEdges(panel, rim).map((edge) => edge.id));
  const isOwn = (refs: readonly EdgeRef[]): boolean =>
    refs.length > 0 && refs.every((ref) => ref.panel === panel.id && own.has(ref.edge));
  const gathered = joins.find((join) => join.how !== "equal" && isOwn(join.b) && join.kind === "waist");
  return gathered ? refsLength(panels, gathered.a) : rimLength(panel, rim);
}

/** The open waist of one leg from the centre back to the centre front. */
export function waistWalk(pattern: Pattern, leg: "left" | "right"): EdgeRef[] {
  const of = (root: "front" | "back"): EdgeRef[] =>
    legOf(pattern.panels, leg)
      .filter((panel) => isOf(panel, root))
      .flatMap((panel) => openRim(pattern, panel, "waist"));
  return [...of("back"), ...walkedBack(of("front"))];
}

/** The open hem of one leg, walked from the inseam round the front and back again. */
export function hemWalk(pattern: Pattern, leg: "left" | "right"): EdgeRef[] {
  const of = (root: "front" | "back"): EdgeRef[] =>
    legOf(pattern.panels, leg)
      .filter((panel) => isOf(panel, root))
      .flatMap((panel) => openRim(pattern, panel, "hem"));
  // Hems run from the side to the inseam: the front's is walked against its outline, the back's as it lies.
  return [...of("front").map((ref) => ({ ...ref, reversed: true })), ...of("back")];
}
