import { pathMap, type Point } from "../geometry";
import type { Mm } from "../units";
import { withoutAllowance } from "./allowance";
import { fitted, refuseOffTheLine, splitAtCorners, type EdgesOf, type MarksOf, type OutlineKind } from "./corners";
import type { DrawnDart } from "./darts";
import { readOutline } from "./readOutline";
import type { TracedPanel } from "./schema";

/** A panel brought in, on its seam lines and in its place: edges by name, and all that was marked. */
export interface Traced<E extends string, P extends string> {
  readonly edges: EdgesOf<E>;
  readonly marks: MarksOf<P>;
  readonly darts: readonly DrawnDart[];
  readonly notches: readonly Point[];
}

interface Asked<E extends string, P extends string> {
  readonly kind: OutlineKind<E, P>;
  readonly panel: TracedPanel;
  readonly marks: MarksOf<P>;
  /** Lays the drawing down: upright, the centre to the left. */
  readonly place: (p: Point) => Point;
  readonly widths: Readonly<Record<E, Mm>>;
  /** Where the outline, the places and the allowances stand, for refusals. */
  readonly at: { readonly outline: string; readonly marks: string; readonly allowance: string };
}

/** Reads a panel brought in. Throws Refusal naming the outline, place or allowance at fault. */
export function readTraced<E extends string, P extends string>(asked: Asked<E, P>): Traced<E, P> {
  const { kind, panel, place, at } = asked;
  const marks = Object.fromEntries(
    Object.entries<Point>(asked.marks).map(([name, p]) => [name, place(p)]),
  ) as MarksOf<P>;
  const split = splitAtCorners(kind, pathMap(readOutline(panel.path, at.outline), place), marks, at.marks);
  refuseOffTheLine(kind, split, marks, at.marks);
  const ids = kind.corners.map(([id]) => id);
  return {
    edges: fitted(withoutAllowance(split, ids, asked.widths, at.allowance)),
    marks,
    darts: (panel.darts ?? []).map(([a, b, c]): DrawnDart => [place(a), place(b), place(c)]),
    notches: (panel.notches ?? []).map((p) => place(p)),
  };
}
