import { along, edgesWithRole, type Edge, type Join, type Panel, middleGrain, partOf } from "../../pattern";
import { pathAt, pathBetween, pathEnd, pathLength, pathReverse, pathStart, squareCurve } from "../../geometry";
import { statedLength } from "../../params";
import { type Mm, say, inside } from "../../units";
import { defineFinish } from "../define";
import { unsettled, withParts, type Garment } from "../garment";

/**
 * The lowest part of a panel as a facing of its hem: as deep along both seams as asked, its upper edge square to them.
 * Null where the hem is cut up or the seams are shorter than the facing is deep.
 */
function hemStrip(panel: Panel, depth: Mm): Panel | null {
  const hems = edgesWithRole(panel, "hem");
  const [hem] = hems;
  if (!hem || hems.length > 1) return null;
  const i = panel.edges.indexOf(hem);
  const n = panel.edges.length;
  const [before, after] = [panel.edges[(i + n - 1) % n] as Edge, panel.edges[(i + 1) % n] as Edge];
  const [above, beyond] = [pathLength(before.path), pathLength(after.path)];
  if (Math.min(above, beyond) < depth * 1.5 || before.role === "fold" || after.role === "fold") return null;
  const down = pathBetween(before.path, above - depth, above);
  const up = pathBetween(after.path, 0, depth);
  const [from, to] = [pathAt(after.path, depth), pathAt(before.path, above - depth)];
  const upper = squareCurve(from.point, from.tangent, to.point, to.tangent);
  const edges: Edge[] = [
    { ...before, path: down },
    { ...hem },
    { ...after, path: up },
    { id: "upper", role: "style", name: "free edge", path: [upper] },
  ];
  const strip: Panel = {
    id: `hem-facing-${panel.id}`,
    name: say`Hem facing, ${inside(panel.name)}`,
    is: partOf("hem-facing", { root: panel.is.root, madeFor: panel.id }),
    half: panel.half,
    cutting: { material: panel.cutting.material, sewn: { style: "pocket" } },
    edges,
    landmarks: {},
    lines: [],
  };
  const outline = [pathStart(down), pathEnd(down), pathEnd(hem.path), pathStart(pathReverse(up))];
  return { ...strip, lines: [middleGrain(outline)] };
}

/** A shaped facing for the hem of every panel, sewn to it and at both seams. */
function faced(garment: Garment, depth: Mm): Garment {
  const hemmed = garment.panels.filter((p) => edgesWithRole(p, "hem").length > 0 && !p.worn?.ring);
  const made = hemmed.map((source) => ({ source, panel: hemStrip(source, depth) }));
  const without = made.find((m) => !m.panel);
  const rings = garment.panels.some((p) => p.worn?.ring);
  const done = made.flatMap(({ source, panel }) => (panel ? [{ source, panel }] : []));
  const joins = done.map(({ source, panel }): Join => {
    const [hem] = edgesWithRole(source, "hem") as [Edge];
    return {
      id: panel.id,
      label: panel.name,
      kind: "cut",
      by: "hem-facing",
      how: "equal",
      leg: source.half,
      a: [along(source.id, hem.id)],
      b: [along(panel.id, hem.id)],
    };
  });
  const faced = withParts(garment, { panels: done.map((d) => d.panel), joins });
  if (!without && !rings) return faced;
  return unsettled(
    faced,
    say`The hem of the ${inside(without?.source.name ?? "flounce")} cannot be faced ${depth} deep: turn or roll it there.`,
  );
}

export const facedHem = defineFinish({
  room: "hem",
  kind: "faced",
  words: "faced",
  about: "A shaped strip turns the hem.",
  params: {
    depth: statedLength("Depth of the facing.", {
      label: "Depth of the facing",
      usual: { mm: 50 },
      within: [20, 120],
      tried: [25, 80],
    }),
  },
  facts: {},
  make: (garment, { depth }) => faced(garment, depth.mm),
});
