import { edgeOf, edgesWithRole, isBodice, landmarkOf, type Panel } from "../pattern";
import { halves } from "../body";
import { line, pathLength, pathMap, pathReverse, type Path, type Point } from "../geometry";
import type { Mm } from "../units";

/** Width over depth of a body at bust and waist, as cloth lies round it. */
const FLAT = 1.36;

/**
 * The right half of a bodice as it is worn, from the front's own edges: shoulders lie flat, bust and waist go round the
 * body. Empty where the garment has none. The middle of the body is x = 0.
 */
export function bodiceOutline(panels: readonly Panel[]): readonly Path[] {
  const front = panels.find((p) => isBodice(p, "front"));
  if (!front) return [];
  // What laps beyond the centre lies on the other half.
  const way = Math.sign(landmarkOf(front, "underarm")[0]);
  const right = ([x, y]: Point): Point => [Math.max(0, way * x), y];
  const underarm = right(landmarkOf(front, "underarm"));
  const waist = edgesWithRole(front, "waist").reduce((sum, e) => sum + pathLength(e.path), 0);
  const bustAt: Point = [halves(4 * underarm[0], FLAT).width, underarm[1]];
  const waistAt: Point = [halves(4 * waist, FLAT).width, landmarkOf(front, "waistCentre")[1]];
  const shoulder = right(landmarkOf(front, "shoulderEnd"));
  // Between the flat shoulder and the round bust the armhole comes in by what the body's depth takes.
  const worn = ([x, y]: Point): Point => {
    const share = Math.min(1, Math.max(0, (y - shoulder[1]) / (underarm[1] - shoulder[1] || 1)));
    const k: number = 1 + share * (bustAt[0] / underarm[0] - 1);
    return [right([x, y])[0] * k, y];
  };
  const edge = (id: string): Path => pathMap(edgeOf(front, id).path, worn);
  const side: Mm = (waistAt[1] - bustAt[1]) / 3;
  return [
    edge("neck"),
    edge("shoulder"),
    edge("armhole"),
    [
      {
        kind: "cubic",
        points: [bustAt, [bustAt[0], bustAt[1] + side], [waistAt[0], waistAt[1] - side], waistAt],
      },
    ],
    pathReverse([line([0, waistAt[1]], waistAt)]),
  ];
}
