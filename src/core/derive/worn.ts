import { figureOf } from "../body";
import { polygonSections, type Path, type Point } from "../geometry";
import { silhouetteOf } from "../inspect";
import { hasLegs, isBodice, isOf, panelOutline, type Panel } from "../pattern";
import type { Mm } from "../units";
import { SHOE, type Shape } from "./shape";

/** A garment on its wearer from the front or the back, as plain lines; y runs down from the natural waist. */
export interface Worn {
  readonly figure: readonly Path[];
  readonly garment: readonly Path[];
  /** The centre seam of the legs, from the waist to the crotch; null where there are no legs. */
  readonly centre: readonly [Mm, Mm] | null;
  readonly floor: Mm;
  readonly top: Mm;
  /** Half of what figure and garment take across. */
  readonly half: Mm;
}

/** A figure is at least so wide on a page. */
const LEAST_HALF: Mm = 260;

/** The finished garment on its wearer, from the real girths. Upper half and arms are drawn where something is worn there. */
export function wornOf({ panels, plan, measures }: Pick<Shape, "panels" | "plan" | "measures">): Worn {
  const figure = figureOf(
    measures,
    panels.some((p) => isBodice(p)),
  );
  const garment = silhouetteOf(panels, plan, measures, SHOE);
  return {
    figure: figure.views.front,
    garment: garment.outline,
    centre: hasLegs(panels) ? [garment.waist, plan.levels.crotch + 6] : null,
    floor: garment.floor,
    top: figure.top,
    half: Math.max(
      LEAST_HALF,
      ...garment.outline.flatMap((path) => path.flatMap((s) => s.points.map((p) => Math.abs(p[0])))),
    ),
  };
}

/**
 * The place of a panel that lies under a place of the worn garment: at the same level, as far between centre and side as on
 * the body. Null where the garment has nothing at that level.
 */
export function panelPlaceOf(
  panels: readonly Panel[],
  { garment }: Pick<Worn, "garment">,
  root: "front" | "back",
  [x, y]: Point,
): Point | null {
  const panel = panels.find((p) => p.is.part === null && isOf(p, root));
  const [section] = panel
    ? [...polygonSections(panelOutline(panel), y)].sort((a, b) => b[1] - b[0] - (a[1] - a[0]))
    : [];
  if (!section) return null;
  const half = Math.max(1, ...garment.flatMap((path) => sectionEnds(path, y)).map(Math.abs));
  const share = Math.min(1, Math.abs(x) / half);
  const [left, right] = section;
  // The front's side seam lies on its left, the back's on its right.
  return [root === "front" ? right - share * (right - left) : left + share * (right - left), y];
}

/** Where the lines of a path lie at a level, by their chords. */
const sectionEnds = (path: Path, y: Mm): readonly Mm[] =>
  path.flatMap(({ points }) => {
    const [a, b] = [points[0], points.at(-1) as Point];
    if (a[1] > y === b[1] > y) return [];
    return [a[0] + ((y - a[1]) / (b[1] - a[1])) * (b[0] - a[0])];
  });
