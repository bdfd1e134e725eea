import { edgeOf, panelOutline, smallestRadius, type Panel } from "../drafting";
import { pathLength, polygonSections, polygonSelfCrossing } from "../geometry";

/** What is wrong with a panel's outline, as words; empty when nothing is. */
export function badOutline(panel: Panel): string[] {
  const outline = panelOutline(panel);
  const faults: string[] = [];
  if (outline.some(([x, y]) => !Number.isFinite(x) || !Number.isFinite(y))) faults.push("not finite");
  if (polygonSelfCrossing(outline)) faults.push("crosses itself");
  for (const edge of panel.edges) if (pathLength(edge.path) < 1e-3) faults.push(`${edge.id} has no length`);
  const radius = smallestRadius(edgeOf(panel, "crotch").path);
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

/** Front and back together: their outlines, and seams that should be equal off by over 0.5 mm. */
export function badPair(front: Panel, back: Panel, backShorter: number): string[] {
  const length = (panel: Panel, id: string): number => pathLength(edgeOf(panel, id).path);
  const side = length(front, "side") - length(back, "side");
  const inseam = length(front, "inseam") - length(back, "inseam") - backShorter;
  return [
    ...badOutline(front),
    ...badOutline(back),
    ...(Math.abs(side) > 0.5 ? [`side seams ${side.toFixed(2)} apart`] : []),
    ...(Math.abs(inseam) > 0.5 ? [`inseams ${inseam.toFixed(2)} apart`] : []),
  ];
}
