import type { BodyMeasures } from "../body";
import { against, along, isOf, legOf, rimEdges, type EdgeRef, type Join, type Panel } from "../drafting";
import { line, type Point } from "../geometry";
import type { Mm, Quantity } from "../units";

/** What elastic or rib stretches to at most, of its relaxed length. */
export const STRETCHES = 1.8;

export interface Cuff {
  readonly panel: Panel;
  readonly join: Join;
}

/** Left `auto`, a cuff holds the ankle at 0.92 of its girth, but is never so narrow that the heel does not pass it stretched. */
export function cuffGirth(asked: Quantity | "auto", { ankle, heel }: BodyMeasures): Mm {
  return asked === "auto" ? Math.max(0.92 * ankle.mm, (heel.mm + 5) / STRETCHES) : asked.mm;
}

/**
 * An ankle cuff: one strip a leg, folded once along its middle, `girth` round and `depth` deep when finished, into which
 * the leg's hem is gathered. The hem is walked from the inseam round the front and back again. Null where no hem is left.
 */
export function cuffOf(panels: readonly Panel[], girth: Mm, depth: Mm): Cuff | null {
  const leg = legOf(panels, "right");
  const hems = (root: "front" | "back"): Panel[] =>
    leg.filter((p) => isOf(p.id, root) && rimEdges(p, "hem").length > 0);
  // Hems run from the side to the inseam: the front's is walked back, the back's as it lies.
  const walk: EdgeRef[] = [
    ...hems("front").flatMap((p) => rimEdges(p, "hem").map((e) => against(p.id, e.id))),
    ...hems("back").flatMap((p) => rimEdges(p, "hem").map((e) => along(p.id, e.id))),
  ];
  if (walk.length === 0) return null;
  const at = (x: Mm, y: Mm): Point => [x, y];
  const edge = (id: string, name: string, a: Point, b: Point): Panel["edges"][number] => ({
    id,
    role: "style",
    name,
    path: [line(a, b)],
  });
  const panel: Panel = {
    id: "cuff",
    name: "Cuff",
    half: "both",
    material: "rib",
    edges: [
      edge("sewn", "sewn edge", at(0, 0), at(girth, 0)),
      edge("end", "end", at(girth, 0), at(girth, 2 * depth)),
      edge("inner", "inner edge", at(girth, 2 * depth), at(0, 2 * depth)),
      edge("start", "end", at(0, 2 * depth), at(0, 0)),
    ],
    landmarks: {},
    lines: [
      { kind: "fold", points: [at(0, depth), at(girth, depth)] },
      { kind: "grain", points: [at(girth * 0.3, depth * 0.5), at(girth * 0.7, depth * 0.5)] },
    ],
  };
  const join: Join = {
    id: "cuff",
    label: "Cuff",
    kind: "style",
    how: "gathered",
    leg: "both",
    a: walk,
    b: [along("cuff", "sewn")],
  };
  return { panel, join };
}
