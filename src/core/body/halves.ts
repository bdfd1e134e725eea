import type { Mm } from "../units";

/** Half width and half depth of an ellipse of a girth whose width is `ratio` times its depth (Ramanujan's perimeter). */
export function halves(girth: Mm, ratio: number): { readonly width: Mm; readonly depth: Mm } {
  const [a, b] = [ratio, 1];
  const perimeter = Math.PI * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));
  const scale = girth / perimeter;
  return { width: a * scale, depth: b * scale };
}
