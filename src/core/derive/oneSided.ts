import type { ResolvedRules } from "../drafting";
import type { Fitting } from "../fitting";
import { divideLegs, drawingOn, pairOf, panelOutline, type Panel, refsLength } from "../pattern";
import type { StyleState } from "../moves";
import { Refusal, say, type Mm, inside } from "../units";
import type { MovesRun, WorksheetLine } from "./worksheetLine";
import { flipped } from "./asItLies";
import { outlinesDiffer } from "./outlines";

type Side = "left" | "right";

/** True where a fitting was kept on one side, so that the halves differ. */
export const differBySide = (fittings: readonly Fitting[]): boolean => fittings.some(isAlone);
const isAlone = ({ alone, pinned }: Fitting): boolean => alone === true && pinned !== "both";

/** The fittings as they change one half: what was kept on the other changes nothing, and keeps its place. */
export const fittingsOf = (fittings: readonly Fitting[], side: Side): readonly Fitting[] =>
  fittings.map((f) => (isAlone(f) && f.pinned !== side ? { ...f, changes: [] } : f));

/** The rules of a garment whose halves differ: its waist as a whole has the mean ease of both. */
export const ofBothSides = (right: ResolvedRules, left: ResolvedRules): ResolvedRules => ({
  ...right,
  waist: { ...right.waist, ease: (right.waist.ease + left.waist.ease) / 2 },
});

/** Centre seams of two halves are sewn to each other: a hand eases in no more than this. */
const ALIKE: Mm = 1;

/** The pattern as it was drawn, before the left leg's panels are turned over as they are cut. */
const asDrawn = ({ state, worksheet }: MovesRun): StyleState => worksheet.at(-1)?.after ?? state;

/** True where two patterns have the same panels with the same edges, whatever their shape. */
const isLike = (a: readonly Panel[], b: readonly Panel[]): boolean =>
  a.length === b.length &&
  a.every((p, i) => {
    const q = b[i] as Panel;
    return p.id === q.id && p.edges.length === q.edges.length && p.edges.every((e, k) => e.id === q.edges[k]?.id);
  });

/** True where two panels differ in their outline, or in a place that is marked inside it. */
const panelsDiffer = (a: Panel, b: Panel): boolean =>
  outlinesDiffer(panelOutline(a), panelOutline(b)) ||
  outlinesDiffer(Object.values(a.landmarks), Object.values(b.landmarks));

/** Of what is cut in stated numbers for both legs, a panel that has come to be one leg's takes half. */
function withHalfOfPieces(panel: Panel): Panel {
  const { pieces } = panel.cutting;
  if (!pieces || pairOf(panel) === null) return panel;
  return { ...panel, cutting: { ...panel.cutting, pieces: { ...pieces, count: pieces.count / 2, pairs: false } } };
}

/**
 * One garment of two runs: the right half of the first, the left half of the second. Panels that are alike on both stay one
 * pair; where they differ, each leg has its own. Throws Refusal at the fitting where the halves can no longer be sewn to
 * each other. `at` is where the fitting stands.
 */
export function joinedSides(right: MovesRun, left: MovesRun, at: string): MovesRun {
  const drawn = asDrawn(right);
  const [of, other] = [drawn.panels, asDrawn(left).panels];
  if (!isLike(of, other))
    throw new Refusal(at, say`Kept on one side, the halves would be cut into different pieces. Mirror it.`);
  const differs = new Set(of.flatMap((p, i) => (panelsDiffer(p, other[i] as Panel) ? [p.id] : [])));
  if (differs.size === 0) return right;
  if (of.some((p) => differs.has(p.id) && p.is.component !== "legs"))
    throw new Refusal(at, say`Kept on one side, it would change more than a leg. Mirror it.`);
  const whole = of.find(
    ({ id, cutting: { pieces } }) => differs.has(id) && pieces && (pieces.onFold || pieces.count % 2 === 1),
  );
  if (whole)
    throw new Refusal(
      at,
      say`The ${inside(whole.name)} is cut for both halves in one. Mirror it, or cut it apart first.`,
    );
  const divided = divideLegs(drawn, (p) => differs.has(p.id), { by: "fitting", asWorn: true });
  const panels = divided.panels.map((p): Panel => {
    const own = p.half === "left" ? other.find((q) => q.id === (pairOf(p) ?? p.id)) : undefined;
    return withHalfOfPieces({ ...(own ?? p), id: p.id, is: p.is, half: p.half, name: p.name });
  });
  for (const join of divided.joins.filter(({ kind }) => kind === "centre")) {
    const apart = Math.abs(refsLength(panels, join.a) - refsLength(panels, join.b));
    if (apart > ALIKE)
      throw new Refusal(
        at,
        say`Kept on one side, the seam that joins the halves would be ${apart} longer on one of them. Mirror it.`,
      );
  }
  const state: StyleState = { ...divided, panels };
  // What was drawn on a pair is shown on the right leg's.
  const rightOf = new Map(panels.flatMap((p) => (p.half === "right" ? [[pairOf(p) ?? p.id, p.id] as const] : [])));
  const on = (panel: string): string => rightOf.get(panel) ?? panel;
  const line: WorksheetLine = {
    id: "one-sided",
    index: null,
    move: "one-sided",
    label: "Left and right differ",
    on: true,
    sentence: say`Left and right are cut apart: what was pinned on one side stays there.`,
    gaveWay: null,
    numbers: {},
    figures: {},
    handles: [],
    before: drawn,
    after: state,
    isPlanned: false,
    drawn: [],
    seams: panels
      .filter((p) => p.half === "left" && pairOf(p) !== null)
      .map((p) => drawingOn(p.id, { seams: p.edges.map((e) => e.path) })),
    drafted: null,
    passed: null,
  };
  return {
    state: { ...state, panels: flipped(panels) },
    worksheet: [
      ...right.worksheet.map((l) => ({ ...l, handles: l.handles.map((h) => ({ ...h, panel: on(h.panel) })) })),
      line,
    ],
    shown: right.shown.map((d) => ({ ...d, panel: on(d.panel) })),
  };
}
