import { textOf } from "../units";
import {
  edgesWithRole,
  panelIsClosed,
  panelOutline,
  refsLength,
  smallestRadius,
  type Join,
  type Panel,
} from "../pattern";
import { LEG_JOINS } from "../drafting";
import { pathLength, polygonSections, polygonSelfCrossing } from "../geometry";

/** What is wrong with a panel's outline, as words; empty when nothing is. */
export function badOutline(panel: Panel): string[] {
  const outline = panelOutline(panel);
  const faults: string[] = [];
  if (outline.some(([x, y]) => !Number.isFinite(x) || !Number.isFinite(y))) faults.push("not finite");
  if (!panelIsClosed(panel)) faults.push("is not closed");
  if (polygonSelfCrossing(outline)) faults.push("crosses itself");
  for (const edge of panel.edges) if (pathLength(edge.path) < 1e-3) faults.push(`${edge.id} has no length`);
  const radius = Math.min(...edgesWithRole(panel, "crotch").map((edge) => smallestRadius(edge.path)));
  if (radius < 12) faults.push(`crotch radius ${radius.toFixed(1)}`);
  return faults.map((fault) => `${panel.id}: ${fault}`);
}

/**
 * A leg narrower between crotch and knee than at both: a pinch no style of a straight or tapered leg asks for.
 * `knee` and `crotch` are levels in millimetres.
 */
export function pinch(panel: Panel, crotch: number, knee: number): string[] {
  const width = (y: number): number =>
    polygonSections(panelOutline(panel), y).reduce((sum, [left, right]) => sum + right - left, 0);
  const top = crotch + 0.12 * (knee - crotch);
  const floor = Math.min(width(top), width(knee)) - 1;
  for (let i = 1; i < 12; i++) {
    const y = top + ((knee - top) * i) / 12;
    if (width(y) < floor) return [`${panel.id}: pinched at ${y.toFixed(0)}`];
  }
  return [];
}

/**
 * A whole pattern: its outlines, and seams that should be equal off by over 0.5 mm (the back's inseam shorter by
 * `backShorter`).
 */
export function badPattern(panels: readonly Panel[], joins: readonly Join[], backShorter: number): string[] {
  const seams = joins
    .filter((join) => join.how === "equal" || join.how === "eased")
    .flatMap((join) => {
      const off =
        refsLength(panels, join.a) -
        refsLength(panels, join.b) -
        (join.kind === "inseam" && join.by === null ? backShorter : 0);
      return Math.abs(off) > 0.5 ? [`${textOf(join.label)} ${off.toFixed(2)} apart`] : [];
    });
  return [...panels.flatMap(badOutline), ...seams];
}

/** Front and back together, uncut. */
export function badPair(front: Panel, back: Panel, backShorter: number): string[] {
  return badPattern([front, back], LEG_JOINS, backShorter);
}
