import { along, isOf, pathIsStraight, rimEdges, type Edge, type Join, type Panel } from "../drafting";
import { line, pathEnd, pathStart } from "../geometry";
import { topWithDartsClosed } from "../moves";
import type { Mm } from "../units";

/** Facings of the waist, and how they are sewn on. */
export interface Facings {
  readonly panels: readonly Panel[];
  readonly joins: readonly Join[];
}

/** The centre of a facing on the fold: one piece for both halves, no seam. */
function onFold(panel: Panel): Panel {
  const edges = panel.edges.map((e): Edge =>
    e.id === "crotch"
      ? { ...e, role: "fold", name: "centre, on the fold", path: [line(pathStart(e.path), pathEnd(e.path))] }
      : e,
  );
  return { ...panel, edges, cut: { count: 1, onFold: true } };
}

/**
 * A shaped facing of the waist, `depth` deep, its darts closed: front and back, each as long along the waist as the
 * sewn waist it turns. The centre lies on the fold where nothing opens there (`opensAt` the centre back keeps its seam).
 * Panels whose top is cut up give none, and the facing is then missing from the list.
 */
export function facings(panels: readonly Panel[], depth: Mm, opensAtBack: boolean): Facings {
  const made = (["back", "front"] as const).flatMap((root) => {
    const source = panels.find((p) => isOf(p.id, root) && p.half === "both" && topWithDartsClosed(p, depth));
    const top = source && topWithDartsClosed(source, depth);
    if (!source || !top) return [];
    const id = `facing-${root}`;
    const own: Panel = { ...top, id, name: `Facing, ${root}`, half: "both" };
    const centre = own.edges.find((e) => e.id === "crotch");
    const folds = centre !== undefined && pathIsStraight(centre.path) && !(root === "back" && opensAtBack);
    const { cut: _cut, ...pair } = own;
    return [{ root, source, panel: folds ? onFold(pair) : pair }];
  });
  const sewn = made.map(({ root, source, panel }): Join => ({
    id: `waist-facing-${root}`,
    label: `Waist and its facing, ${root}`,
    kind: "waist",
    how: "equal",
    leg: "both",
    a: [along(panel.id, "waist")],
    b: rimEdges(source, "waist").map((edge) => along(source.id, edge.id)),
  }));
  const [first, second] = made;
  const side: Join[] =
    first && second
      ? [
          {
            id: "facing-side",
            label: "Facing, side seam",
            kind: "style",
            how: "equal",
            leg: "both",
            a: [along(first.panel.id, "side")],
            b: [along(second.panel.id, "side")],
          },
        ]
      : [];
  return { panels: made.map((m) => m.panel), joins: [...sewn, ...side] };
}
