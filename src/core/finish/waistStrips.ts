import { along, rimGirth, type Join, type PartKind, type Panel, waistWalk } from "../pattern";
import { type Mm, say } from "../units";
import { elasticNotions } from "./elastic";
import { foldedStrip, runLength, unsettled, withParts, type FinishContext, type Garment } from "./garment";
import type { OpensAt } from "./resolve";
import type { ResolvedWaist } from "./resolved";
import { waistRun, type WaistStretch } from "./waistRun";

interface Strip {
  readonly id: string;
  readonly name: string;
  readonly part: PartKind;
  readonly stiffened?: boolean;
  readonly contrast?: boolean;
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
    { id: strip.id, name: strip.name, part: strip.part },
    [
      ...(strip.overlap > 0 && opens !== "none"
        ? [{ id: "overlap", name: "underlap", length: strip.overlap, role: "waist" as const }]
        : []),
      ...run.map((s) => ({
        id: `sewn-${s.id}`,
        name: `sewn edge, ${s.name}`,
        length: strip.share * runLength(garment, s.refs),
        role: "waist" as const,
      })),
    ],
    strip.depth,
    strip.lines,
  );
  const join = (s: WaistStretch): Join => ({
    id: `waist-${s.id}`,
    label: `Waist, ${s.name}`,
    kind: "waist",
    by: strip.part,
    how: strip.share === 1 ? "equal" : "gathered",
    leg: s.leg,
    twin: strip.id,
    a: [along(strip.id, `sewn-${s.id}`)],
    b: s.refs,
  });
  // A ring is closed by a seam of its own.
  const closed: Join[] =
    opens === "none"
      ? [
          {
            id: `${strip.id}-ends`,
            label: `${strip.name}, its ends`,
            kind: "cut",
            by: strip.part,
            how: "equal",
            leg: "both",
            a: [along(strip.id, "end-right")],
            b: [{ panel: strip.id, edge: "end-left", reversed: true }],
          },
        ]
      : [];
  return {
    panel: {
      ...panel,
      cutting: {
        ...panel.cutting,
        ...(strip.contrast && { material: "contrast" }),
        sewn: { all: "band" },
        ...(strip.stiffened && { also: [{ material: "interfacing", count: 1 }] }),
      },
    },
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
  const edge = rimGirth(garment, "waist");
  if (waistWalk(garment, "right").length === 0)
    return unsettled(garment, say`There is no waist edge left to sew a band to.`);
  const fitted = (fit: "edge" | "waist"): number =>
    fit === "waist" ? Math.min(1, context.measures.waist.mm / edge) : 1;
  if (waist.kind === "straight-band") {
    const { panel, joins } = stripOn(garment, opens, {
      id: "waistband",
      name: "Waistband",
      part: "waistband",
      stiffened: true,
      contrast: waist.contrast,
      depth: waist.depth.mm,
      overlap: waist.overlap.mm,
      share: fitted(waist.fit),
    });
    return withParts(garment, { panels: [panel], joins });
  }
  const depth = waist.kind === "casing" ? waist.depth.mm : waist.frill.mm + waist.channel.mm;
  const { panel, joins } = stripOn(garment, opens, {
    id: "waistband",
    name: waist.kind === "casing" ? "Casing" : "Frilled band",
    part: "waistband",
    depth,
    overlap: 0,
    share: waist.kind === "ring-band" ? fitted(waist.fit) : 1,
    ...(waist.kind === "ring-band" && waist.frill.mm > 0
      ? { lines: [depth - waist.frill.mm, depth + waist.frill.mm] }
      : {}),
  });
  return withParts(garment, {
    panels: [panel],
    joins,
    notions: elasticNotions(waist, context),
  });
}
