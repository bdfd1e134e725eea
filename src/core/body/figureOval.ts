import { cubic, type Path, type Point } from "../geometry";
import type { Mm } from "../units";

/** An upright oval. */
export function oval(cx: Mm, cy: Mm, rx: Mm, ry: Mm): Path {
  const k = 0.5523;
  const at = (x: number, y: number): Point => [cx + x * rx, cy + y * ry];
  return [
    cubic(at(0, -1), at(k, -1), at(1, -k), at(1, 0)),
    cubic(at(1, 0), at(1, k), at(k, 1), at(0, 1)),
    cubic(at(0, 1), at(-k, 1), at(-1, k), at(-1, 0)),
    cubic(at(-1, 0), at(-1, -k), at(-k, -1), at(0, -1)),
  ];
}
