import { panelOutline, type Panel, partOf } from "../../pattern";
import { line, pathLength, polygonSections, type Point } from "../../geometry";
import { statedLength, type ReadOf } from "../../params";
import { say, type Mm, type Quantity, type Words } from "../../units";
import { defineFinish } from "../define";
import { unsettled, withParts, type Garment } from "../garment";
import { legSuffix, placeAt, pocketFronts, shortGrain, type PocketFront } from "./pocketBag";
import { CONTRAST } from "./shared";

const PARAMS = {
  width: statedLength("Width of the patch.", {
    label: "Width",
    usual: { mm: { cm: 150, in: 152.4 } },
    within: [60, 260],
  }),
  height: statedLength("Height of the patch.", {
    label: "Height",
    usual: { mm: { cm: 170, in: 177.8 } },
    within: [60, 320],
  }),
  fromSide: statedLength("From the side seam to the patch.", {
    label: "From the side",
    usual: { mm: { cm: 40, in: 38.1 } },
    within: [10, 200],
  }),
  fromWaist: statedLength("From the waist down to the patch.", {
    label: "Below the waist",
    usual: { mm: { cm: 60, in: 63.5 } },
    within: [10, 300],
  }),
  top: statedLength("Depth of the top's turn; it is turned twice.", {
    label: "Top, turned twice",
    usual: { mm: { cm: 20, in: 19.05 } },
    within: [0, 60],
  }),
  turnings: statedLength("What the other edges are turned in by.", {
    label: "Other edges turned in",
    usual: { mm: { cm: 10, in: 9.525 } },
    within: [0, 25],
  }),
  contrast: CONTRAST,
};

type Asked = ReadOf<typeof PARAMS, Quantity>;

/** The patch, upright below the waist, and its corners on the front from its upper one at the side. */
function patchOn(
  { panel, side, inward, top }: PocketFront,
  asked: Asked,
): { readonly patch: Panel; readonly sewnOn: readonly Point[] } {
  const { width, height, fromSide, fromWaist } = asked;
  const start = placeAt(side, top + fromWaist.mm);
  const outer = start[0] + inward * fromSide.mm;
  const at = (across: number, down: number): Point => [outer + inward * across, start[1] + down];
  const corners: readonly Point[] = [at(0, 0), at(0, height.mm), at(width.mm, height.mm), at(width.mm, 0)];
  const [a, b, c, d] = corners as readonly [Point, Point, Point, Point];
  const edge = (id: string, name: Words, from: Point, to: Point, beyond: number): Panel["edges"][number] => ({
    id,
    role: "style",
    name,
    beyond,
    becomes: "turned",
    path: [line(from, to)],
  });
  const turned = asked.turnings.mm;
  const patch: Panel = {
    id: `patch-square${legSuffix(panel)}`,
    name: "Patch pocket",
    is: partOf("patch", { madeFor: panel.id }),
    half: panel.half,
    cutting: { material: asked.contrast ? "contrast" : panel.cutting.material },
    edges: [
      edge("outer", "edge at the side", a, b, turned),
      edge("bottom", "lower edge", b, c, turned),
      edge("inner", "edge at the centre", c, d, turned),
      edge("opening", "opening, turned twice", d, a, 2 * asked.top.mm),
    ],
    landmarks: { openingTop: d, openingEnd: a },
    lines: [shortGrain(at(width.mm / 2, height.mm / 2), 0.5 * height.mm)],
  };
  return { patch, sewnOn: [a, b, c, d] };
}

/** A patch stays this far from the centre, and ends above this share of the side seam. */
const FROM_CENTRE: Mm = 10;
const LOWEST = 0.8;

/** How wide the front is from the side, where the patch is measured, to the panel's own centre, all down the patch. */
function roomFor({ panel, inward }: PocketFront, corners: readonly Point[], fromSide: Mm): Mm {
  const outline = panelOutline(panel);
  const [outer] = corners[0] as Point;
  const wide = corners.map(([, y]) => {
    const ends = polygonSections(outline, y).flat();
    return ends.length === 0 ? 0 : Math.max(...ends.map((x) => inward * (x - outer))) + fromSide;
  });
  return Math.min(...wide);
}

/** Rectangular patches, single, sewn on the fronts where they are marked. */
function patches(garment: Garment, asked: Asked): Garment {
  const fronts = pocketFronts(garment);
  if (fronts.length === 0)
    return unsettled(garment, say`No front has a whole corner of waist and side for patch pockets.`);
  return fronts.reduce((made, front) => {
    const { width, height, fromSide, fromWaist } = asked;
    const { patch, sewnOn } = patchOn(front, asked);
    const room = roomFor(front, sewnOn, fromSide.mm);
    const low = Math.floor(pathLength(front.side.path) * LOWEST - front.top - fromWaist.mm);
    if (height.mm > low)
      return unsettled(
        made,
        say`A patch ${height.mm} high, ${fromWaist.mm} below the waist, ends too far down the side: it can be ${low} high there.`,
      );
    const most = Math.floor(room - FROM_CENTRE - width.mm);
    if (fromSide.mm > most)
      return unsettled(
        made,
        most >= 0
          ? say`A patch ${width.mm} wide can lie ${most} from the side at most: the front is ${room} wide there.`
          : say`A patch ${width.mm} wide does not lie on a front that is ${room} wide there.`,
      );
    return withParts(
      {
        ...made,
        panels: made.panels.map((p) =>
          p.id === front.panel.id ? { ...p, lines: [...p.lines, { kind: "placement" as const, points: sewnOn }] } : p,
        ),
      },
      { panels: [patch] },
    );
  }, garment);
}

export const rectangularPatch = defineFinish({
  room: "pocket",
  kind: "rectangular-patch",
  words: "rectangular patch",
  about: "A rectangle sewn on the front, its top turned twice.",
  note: "Sewn on where it is marked; the side nearest the side seam is measured there.",
  params: PARAMS,
  facts: { opensIn: "front" },
  make: patches,
});
