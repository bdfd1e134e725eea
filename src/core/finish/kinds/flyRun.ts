import { edgeOf, panelById, panelOutline, type EdgeRef, type Panel } from "../../pattern";
import { pathAt, pathBetween, pathFlatten, pathLength, polygonArea, type Point } from "../../geometry";
import { type Mm } from "../../units";
import { type Garment } from "../garment";

/** The lower end of a fly is rounded over this height. */
export const ROUND: Mm = 55;

/** The stretches of the centre front seam that a fly covers, from the waist down; empty where the centre is on a fold. */
export function flyRun({ panels, joins }: Garment, long: Mm): readonly EdgeRef[] {
  const centre = joins.find((j) => j.kind === "centre" && j.root === "front" && j.leg !== "left");
  let rest = long;
  return [...(centre?.a ?? [])].reverse().flatMap((ref): EdgeRef[] => {
    const whole = pathLength(edgeOf(panelById(panels, ref.panel), ref.edge).path);
    const length = Math.min(rest, whole);
    rest -= length;
    // Centre edges run up to the waist.
    return length > 0 ? [{ ...ref, reversed: true, part: [whole - length, whole] }] : [];
  });
}

/** The fly's free edge on a panel, beside its stretch of the centre; rounded in to the centre on the lowest. */
export function stitchLine(panel: Panel, ref: EdgeRef, wide: Mm, lowest: boolean): readonly Point[] {
  const { path } = edgeOf(panel, ref.edge);
  const [low, high] = ref.part ?? [0, pathLength(path)];
  const inside = polygonArea(panelOutline(panel)) > 0 ? 1 : -1;
  const beside = (at: Mm, by: Mm): Point => {
    const { point, tangent } = pathAt(path, at);
    return [point[0] - inside * tangent[1] * by, point[1] + inside * tangent[0] * by];
  };
  const turn = lowest ? Math.min(high, low + Math.min(ROUND, (high - low) / 2)) : low;
  const steps = Math.max(1, pathFlatten(pathBetween(path, turn, high)).length - 1);
  const straight = Array.from({ length: steps + 1 }, (_, i) => beside(high - ((high - turn) * i) / steps, wide));
  if (!lowest) return straight;
  const rounded = Array.from({ length: 10 }, (_, i) => {
    const angle = ((i + 1) / 10) * (Math.PI / 2);
    return beside(turn - (turn - low) * Math.sin(angle), wide * Math.cos(angle));
  });
  return [...straight, ...rounded];
}

/** Where the fly's free edge is topstitched, drawn on the fronts. */
export function stitched(garment: Garment, run: readonly EdgeRef[], wide: Mm): Garment {
  const lowest = run.at(-1);
  return {
    ...garment,
    panels: garment.panels.map((panel) => {
      const ref = run.find((r) => r.panel === panel.id);
      if (!ref) return panel;
      const points = stitchLine(panel, ref, wide, ref === lowest);
      return { ...panel, lines: [...panel.lines, { kind: "placement" as const, points }] };
    }),
  };
}
