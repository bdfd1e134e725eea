import { panelPath, type Panel } from "../pattern";
import { pathAt, pathBetween, pathFlatten, pathLength, pathNearest, pointDistance, type Point } from "../geometry";
import type { Mm } from "../units";

/** The tape laid between two places. */
export interface TapeLaid {
  readonly straight: Mm;
  /** Along the outline of a panel, the shorter way round; null where a place is not on it. */
  readonly along: Mm | null;
  readonly points: readonly Point[];
}

/** The nearest place on a panel's outline: the place, how far away it is, and where along the outline it lies. */
export function onOutline(
  panel: Panel,
  p: Point,
): { readonly point: Point; readonly distance: Mm; readonly along: Mm } {
  const path = panelPath(panel);
  const near = pathNearest(path, p);
  return { point: pathAt(path, near.along).point, distance: near.distance, along: near.along };
}

/** Measures between two places of one panel: straight, and along its outline where both lie on it within 0.5 mm. */
export function layTape(panel: Panel, from: Point, to: Point): TapeLaid {
  const straight = pointDistance(from, to);
  const [a, b] = [onOutline(panel, from), onOutline(panel, to)];
  if (a.distance > 0.5 || b.distance > 0.5) return { straight, along: null, points: [from, to] };
  const path = panelPath(panel);
  const whole = pathLength(path);
  const [low, high] = a.along <= b.along ? [a.along, b.along] : [b.along, a.along];
  const inner = high - low;
  if (inner <= whole - inner) {
    return { straight, along: inner, points: pathFlatten(pathBetween(path, low, high)) };
  }
  const points = [...pathFlatten(pathBetween(path, high, whole)), ...pathFlatten(pathBetween(path, 0, low)).slice(1)];
  return { straight, along: whole - inner, points };
}
