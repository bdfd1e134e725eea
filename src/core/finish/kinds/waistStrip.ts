import { along, rimGirth, type Join, type PartKind, type Panel, waistWalk } from "../../pattern";
import { type Mm, say } from "../../units";
import { foldedStrip, runLength, unsettled, withParts, type Garment, type Notion } from "../garment";
import type { Finishing } from "../define";
import { waistRun, type WaistStretch } from "./waistRun";

/** What is cut as one folded strip and sewn to the waist. */
interface Strip {
  readonly id: string;
  readonly name: string;
  readonly part: PartKind;
  readonly stiffened?: boolean;
  readonly contrast?: boolean;
  readonly depth: Mm;
  readonly overlap: Mm;
  /** As long as the sewn edge, or as the body's waist, where that is less: the edge is gathered into it. */
  readonly fit: "edge" | "waist";
  /** Lines drawn along it, from the inner edge. */
  readonly lines?: readonly Mm[];
  readonly notions?: readonly Notion[];
}

/** The garment with a folded strip as long as the sewn waist, an underlap beyond the opening where it has one. */
export function withStrip(garment: Garment, strip: Strip, { opens, measures }: Finishing): Garment {
  if (waistWalk(garment, "right").length === 0)
    return unsettled(garment, say`There is no waist edge left to sew a band to.`);
  const share = strip.fit === "waist" ? Math.min(1, measures.waist.mm / rimGirth(garment, "waist")) : 1;
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
        length: share * runLength(garment, s.refs),
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
    how: share === 1 ? "equal" : "gathered",
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
  const made: Panel = {
    ...panel,
    cutting: {
      ...panel.cutting,
      ...(strip.contrast && { material: "contrast" }),
      sewn: { all: "band" },
      ...(strip.stiffened && { also: [{ material: "interfacing", count: 1 }] }),
    },
  };
  return withParts(garment, {
    panels: [made],
    joins: [...run.map(join), ...closed],
    ...(strip.notions && { notions: strip.notions }),
  });
}
