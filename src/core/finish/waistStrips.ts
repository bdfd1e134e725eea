import { along, rimLength, halvesOf, type Join, type Panel } from "../drafting";
import { type Mm, say } from "../units";
import { elasticNotions } from "./elastic";
import { foldedStrip, runLength, unsettled, withParts, type FinishContext, type Garment } from "./garment";
import type { OpensAt } from "./resolve";
import type { ResolvedWaist } from "./resolved";
import { waistRun, type WaistStretch } from "./waistRun";

/** Length of the garment's waist as it is sewn. */
export const waistLength = ({ panels }: Pick<Garment, "panels">): Mm =>
  panels.reduce((sum, panel) => sum + halvesOf(panel) * rimLength(panel, "waist"), 0);

interface Strip {
  readonly id: string;
  readonly name: string;
  readonly depth: Mm;
  readonly overlap: Mm;
  /** Length against the sewn edge's: 1 unless the edge is gathered into it. */
  readonly share: number;
  /** Lines drawn along it, from the inner edge. */
  readonly lines?: readonly Mm[];
}

/** A folded strip as long as the sewn waist, with an underlap beyond the opening, and how it is sewn on. */
function stripOn(
  garment: Garment,
  opens: OpensAt,
  strip: Strip,
): { readonly panel: Panel; readonly joins: readonly Join[] } {
  const run = waistRun(garment, opens);
  const panel = foldedStrip(
    strip.id,
    strip.name,
    [
      ...(strip.overlap > 0 && opens !== "none"
        ? [{ id: "overlap", name: "underlap", length: strip.overlap, role: "waist" as const }]
        : []),
      ...run.map((s) => ({
        id: s.id,
        name: s.name,
        length: strip.share * runLength(garment, s.refs),
        role: "waist" as const,
      })),
    ],
    strip.depth,
    strip.lines,
  );
  const join = (s: WaistStretch): Join => ({
    id: `waist-${s.id.replace("sewn-", "")}`,
    label: `Waist, ${s.name.replace("sewn edge, ", "")}`,
    kind: "waist",
    how: strip.share === 1 ? "equal" : "gathered",
    leg: s.leg,
    a: [along(strip.id, s.id)],
    b: s.refs,
  });
  // A ring is closed by a seam of its own.
  const closed: Join[] =
    opens === "none"
      ? [
          {
            id: `${strip.id}-ends`,
            label: `${strip.name}, its ends`,
            kind: "style",
            how: "equal",
            leg: "both",
            a: [along(strip.id, "end-right")],
            b: [{ panel: strip.id, edge: "end-left", reversed: true }],
          },
        ]
      : [];
  return {
    panel: { ...panel, sewn: { all: "band" }, alsoCut: [{ material: "interfacing", count: 1 }] },
    joins: [...run.map(join), ...closed],
  };
}

/** Band, casing or frilled ring: what is cut as one folded strip and sewn to the waist. */
export function waistStrip(
  garment: Garment,
  waist: Extract<ResolvedWaist, { kind: "straight-band" | "casing" | "ring-band" }>,
  opens: OpensAt,
  context: FinishContext,
): Garment {
  const edge = waistLength(garment);
  if (edge === 0) return unsettled(garment, say`There is no waist edge left to sew a band to.`);
  const fitted = (fit: "edge" | "waist"): number =>
    fit === "waist" ? Math.min(1, context.measures.waist.mm / edge) : 1;
  const soft = (panel: Panel): Panel => {
    const { alsoCut: _stiffened, ...rest } = panel;
    return rest;
  };
  if (waist.kind === "straight-band") {
    const { panel, joins } = stripOn(garment, opens, {
      id: "waistband",
      name: "Waistband",
      depth: waist.depth.mm,
      overlap: waist.overlap.mm,
      share: fitted(waist.fit),
    });
    return withParts(garment, { panels: [waist.contrast ? { ...panel, material: "contrast" } : panel], joins });
  }
  const depth = waist.kind === "casing" ? waist.depth.mm : waist.frill.mm + waist.channel.mm;
  const { panel, joins } = stripOn(garment, opens, {
    id: "waistband",
    name: waist.kind === "casing" ? "Casing" : "Frilled band",
    depth,
    overlap: 0,
    share: waist.kind === "ring-band" ? fitted(waist.fit) : 1,
    ...(waist.kind === "ring-band" && waist.frill.mm > 0
      ? { lines: [depth - waist.frill.mm, depth + waist.frill.mm] }
      : {}),
  });
  return withParts(garment, {
    panels: [soft(panel)],
    joins,
    notions: elasticNotions(waist, context),
  });
}
