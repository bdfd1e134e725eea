import { pathFlatten, pathMap, pointDistance, polygonSelfCrossing, type Path, type Point } from "../geometry";
import { Refusal, say, type Mm } from "../units";
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
  const drawn = pathMap(readOutline(panel.path, at.outline), place);
  refuseCrossing(
    kind,
    drawn,
    marks,
    (by, where) =>
      new Refusal(
        at.outline,
        say`The outline crosses itself ${by} from ${where}. Draw it as one line that meets itself nowhere.`,
      ),
  );
  const split = splitAtCorners(kind, drawn, marks, at.marks);
  refuseOffTheLine(kind, split, marks, at.marks);
  const ids = kind.corners.map(([id]) => id);
  const edges = fitted(withoutAllowance(split, ids, asked.widths, at.allowance));
  refuseCrossing(
    kind,
    ids.flatMap((id) => edges[id]),
    marks,
    (by, where) =>
      new Refusal(
        at.allowance,
        say`Without its allowances the outline crosses itself ${by} from ${where}. Type the allowances that the drawing holds, or smooth the line there.`,
      ),
  );
  return {
    edges,
    marks,
    darts: (panel.darts ?? []).map(([a, b, c]): DrawnDart => [place(a), place(b), place(c)]),
    notches: (panel.notches ?? []).map((p) => place(p)),
  };
}

/** Refuses an outline that crosses itself, naming the place it does so nearest to. */
function refuseCrossing<E extends string, P extends string>(
  { words }: OutlineKind<E, P>,
  outline: Path,
  marks: MarksOf<P>,
  refusal: (by: Mm, where: string) => Refusal,
): void {
  const at = polygonSelfCrossing(pathFlatten(outline).slice(0, -1));
  if (!at) return;
  const names = Object.keys(marks) as P[];
  const nearest = names.reduce((a, b) => (pointDistance(marks[b], at) < pointDistance(marks[a], at) ? b : a));
  throw refusal(pointDistance(marks[nearest], at), words[nearest]);
}
