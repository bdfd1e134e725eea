/** Halvings after which a bracket of a few metres is narrower than rounding. */
const HALVINGS = 48;

/**
 * The narrowest bracket found around the place at which `holds` turns from true to false between `low`, where it holds,
 * and `high`, where it does not. The caller's units.
 */
export function bracket(
  holds: (x: number) => boolean,
  low: number,
  high: number,
  halvings = HALVINGS,
): readonly [number, number] {
  let [last, first] = [low, high];
  for (let i = 0; i < halvings; i++) {
    const middle = (last + first) / 2;
    if (holds(middle)) last = middle;
    else first = middle;
  }
  return [last, first];
}

/** Finds where a rising function passes a value between two places, by halving; the caller knows that it does. */
export function bisect(f: (x: number) => number, wanted: number, low: number, high: number): number {
  const [below, above] = bracket((x) => f(x) < wanted, low, high);
  return (below + above) / 2;
}

/** Finds x with f(x) = 0 by the secant method; null when it does not settle. Values in the caller's units. */
export function secant(
  f: (x: number) => number,
  x0: number,
  x1: number,
  options: { readonly tolerance?: number; readonly steps?: number } = {},
): number | null {
  const { tolerance = 1e-7, steps = 60 } = options;
  let [a, b] = [x0, x1];
  let [fa, fb] = [f(a), f(b)];
  for (let i = 0; i < steps; i++) {
    if (Math.abs(fb) < tolerance) return b;
    if (!Number.isFinite(fb) || fb === fa) return null;
    const c = b - (fb * (b - a)) / (fb - fa);
    [a, fa] = [b, fb];
    b = c;
    fb = f(b);
  }
  return Math.abs(fb) < tolerance ? b : null;
}

type Pair = readonly [number, number];

/**
 * Solves two equations in two unknowns by Newton with a numeric Jacobian and halved steps when one overshoots;
 * null when it does not settle.
 */
export function newton2(
  f: (x: Pair) => Pair,
  start: Pair,
  options: { readonly tolerance?: number; readonly steps?: number } = {},
): Pair | null {
  const { tolerance = 1e-7, steps = 40 } = options;
  const step = 1e-4;
  let x = start;
  let fx = f(x);
  for (let i = 0; i < steps; i++) {
    const size = Math.hypot(fx[0], fx[1]);
    if (!Number.isFinite(size)) return null;
    if (size < tolerance) return x;
    const fa = f([x[0] + step, x[1]]);
    const fb = f([x[0], x[1] + step]);
    const [j00, j10] = [(fa[0] - fx[0]) / step, (fa[1] - fx[1]) / step];
    const [j01, j11] = [(fb[0] - fx[0]) / step, (fb[1] - fx[1]) / step];
    const determinant = j00 * j11 - j01 * j10;
    if (Math.abs(determinant) < 1e-12) return null;
    const dx = (-fx[0] * j11 + fx[1] * j01) / determinant;
    const dy = (-fx[1] * j00 + fx[0] * j10) / determinant;
    let share = 1;
    for (;;) {
      const next: Pair = [x[0] + dx * share, x[1] + dy * share];
      const fNext = f(next);
      if (Math.hypot(fNext[0], fNext[1]) < size || share < 0.02) {
        x = next;
        fx = fNext;
        break;
      }
      share /= 2;
    }
  }
  return Math.hypot(fx[0], fx[1]) < Math.max(tolerance * 100, 1e-5) ? x : null;
}
