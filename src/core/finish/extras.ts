import { along, refsLength, type Join, type Panel, type Material } from "../pattern";
import { quantity, say } from "../units";
import { foldedStrip, unsettled, withParts, type FinishContext, type Garment, type Notion } from "./garment";
import type { ResolvedBelt, ResolvedTrim } from "./resolved";

/** A belt folded from one strip, and the strip its loops are cut from. */
export function withBelt(garment: Garment, belt: ResolvedBelt, { measures }: FinishContext): Garment {
  const length =
    belt.length === "auto"
      ? quantity(measures.waist.mm + 300, say`waist ${measures.waist.mm} + ${300} to close`, { waist: measures.waist })
      : belt.length;
  const strip = (part: "belt" | "belt-loops", name: string, long: number, deep: number): Panel => {
    const sewn = { id: "sewn", name: "long edge", length: long, role: "style" } as const;
    const panel = foldedStrip({ id: part, name, part }, [sewn], deep);
    return { ...panel, cutting: { ...panel.cutting, sewn: { all: "band" } } };
  };
  // A loop goes over the belt with a little room and is turned in at both ends.
  const loop = belt.width.mm + 35;
  const panels = [
    strip("belt", "Belt", length.mm, belt.width.mm),
    ...(belt.loops > 0
      ? [strip("belt-loops", `Belt loops, ${belt.loops} from one strip`, belt.loops * loop, belt.loopWidth.mm)]
      : []),
  ];
  const notions: readonly Notion[] = [
    { id: "buckle", label: say`Buckle, or the belt is tied`, count: 1, length: null },
  ];
  return withParts(garment, { panels, notions });
}

/** A panel cut once more, from lining. */
const lining = (panel: Panel): { material: Material; count: number } => ({
  material: "lining",
  count: panel.cutting.pieces?.count ?? 2,
});

/** What is set into the seams: a pleated strip at the sides, a lining for the flounce. */
export function withTrim(garment: Garment, trim: ResolvedTrim): Garment {
  if (trim.kind === "flounce-lining") {
    if (!garment.panels.some((p) => p.worn?.ring)) return unsettled(garment, say`There is no flounce to line.`);
    return {
      ...garment,
      panels: garment.panels.map((p) =>
        p.worn?.ring ? { ...p, cutting: { ...p.cutting, also: [...(p.cutting.also ?? []), lining(p)] } } : p,
      ),
    };
  }
  const side = garment.joins.find((j) => j.kind === "side");
  if (!side) return unsettled(garment, say`There is no side seam to set a pleated strip into.`);
  const sewn = refsLength(garment.panels, side.a);
  const strip = foldedStrip(
    { id: "trim", name: "Pleated strip", part: "trim" },
    [{ id: "sewn", name: "pleated edge", length: sewn * trim.fullness, role: "style" }],
    trim.width.mm,
  );
  const panel: Panel = {
    ...strip,
    cutting: { material: trim.contrast ? "contrast" : "shell", sewn: { all: "side" } },
  };
  const join: Join = {
    id: "trim",
    label: "Pleated strip in the side seam",
    kind: "cut",
    by: trim.kind,
    how: "pleated",
    leg: side.leg,
    a: side.a,
    b: [along("trim", "sewn")],
  };
  return withParts(garment, { panels: [panel], joins: [join] });
}
