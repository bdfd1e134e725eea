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

/**
 * Finds where a rising function passes a value between two places; the caller knows that it does, and that it does so
 * once. The ends themselves are not asked for. Where it lies below the value all the way the answer is `high`, where
 * above it `low`. Inverse quadratic steps within a bracket, halved where those promise little (Chandrupatla, 1997).
 */
export function solveRising(f: (x: number) => number, wanted: number, low: number, high: number): number {
  const least = Math.abs(high - low) / 2 ** HALVINGS;
  // By halves until a value is known on either side.
  let [under, over]: [Known, Known] = [
    { x: low, off: NaN },
    { x: high, off: NaN },
  ];
  for (let i = 0; Number.isNaN(under.off) || Number.isNaN(over.off); i++) {
    const x = (under.x + over.x) / 2;
    if (i === HALVINGS) return x;
    const own: Known = { x, off: f(x) - wanted };
    if (own.off < 0) under = own;
    else over = own;
  }
  // `a` is the newest, `b` on the other side of the value, `c` the one before.
  let [a, b, c]: [Known, Known, Known] = [under, over, over];
  let share = 0.5;
  for (let i = 0; i < 4 * HALVINGS; i++) {
    const x = a.x + share * (b.x - a.x);
    const next: Known = { x, off: f(x) - wanted };
    if (next.off < 0 === a.off < 0) c = a;
    else [b, c] = [a, b];
    a = next;
    const narrow = least / Math.abs(b.x - a.x);
    if (!(narrow < 0.5) || a.off === 0) break;
    const [xi, phi] = [(a.x - b.x) / (c.x - b.x), (a.off - b.off) / (c.off - b.off)];
    share =
      phi * phi < xi && (1 - phi) ** 2 < 1 - xi
        ? ((a.off / (b.off - a.off)) * c.off) / (b.off - c.off) +
          ((((c.x - a.x) / (b.x - a.x)) * a.off) / (c.off - a.off)) * (b.off / (c.off - b.off))
        : 0.5;
    share = Math.min(1 - narrow, Math.max(narrow, share));
  }
  return Math.abs(a.off) < Math.abs(b.off) ? a.x : b.x;
}

/** A place and how far the function lies off the value there. */
interface Known {
  readonly x: number;
  readonly off: number;
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
