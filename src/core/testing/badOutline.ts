import { edgeOf, panelOutline, smallestRadius, type Panel } from "../drafting";
import { pathLength, polygonSelfCrossing } from "../geometry";

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
