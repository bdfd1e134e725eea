import {
  edgesWithRole,
  halvesOf,
  hasLegs,
  isBodice,
  isOf,
  legOf,
  panelArea,
  panelById,
  panelOutline,
  fittedWidthAt,
  panelWidthAt,
  refsLength,
  rimLength,
  roleLength,
  type Join,
  type Panel,
  rimGirth,
  sewnRim,
} from "../pattern";
import type { BodyMeasures } from "../body";
import { type LegPlan } from "../drafting";
import { creaseHalvesOf, type CreaseHalves } from "./creaseHalves";
import { forkAt } from "./fork";
import { boxOf, pathFlatten } from "../geometry";
import type { Mm } from "../units";

/** Finished girth against the body at one level. */
export interface EaseAt {
  readonly level: string;
  readonly y: Mm;
  readonly body: Mm;
  readonly pattern: Mm;
}

/**
 * What the finished garment measures, in millimetres, from the final outlines. Waist, hip, bust: whole garment; thigh,
 * knee, hem: one leg (the hem of a top: all round) (knee null where the leg ends above it). Thigh is read 25 below the front crotch line; hip and thigh
 * with pleats folded and without fullness that is let in.
 */
export interface Readings {
  readonly waistGirth: Mm;
  readonly hipGirth: Mm;
  readonly thighGirth: Mm;
  readonly kneeGirth: Mm | null;
  readonly hemGirth: Mm;
  /** Round the bust at the underarm; null without a bodice. */
  readonly bustGirth: Mm | null;
  readonly waistOpening: Mm;
  readonly crotchSeamFront: Mm;
  readonly crotchSeamBack: Mm;
  readonly crotchSeam: Mm;
  readonly outseam: Mm;
  readonly inseam: Mm;
  readonly hemWidthFront: Mm;
  readonly hemWidthBack: Mm;
  readonly lowestPoint: Mm;
  readonly clothArea: number;
  readonly easeProfile: readonly EaseAt[];
  /** Front and back apart: half of waist and hip, and of one leg's girths. */
  readonly halfGirths: readonly HalfGirths[];
  /** How each panel of the right leg lies about its crease. */
  readonly creaseHalves: readonly CreaseHalves[];
}

/** What front and back each make of a girth: both halves of the body at waist and hip, one leg below. */
export interface HalfGirths {
  readonly level: "waist" | "hip" | "thigh" | "knee";
  readonly front: Mm;
  readonly back: Mm;
}

/** Level of the lowest place of a panel below the waist. */
function bottomOf(panel: Panel): Mm {
  if (panel.worn?.ring) return panel.worn?.ring.from + panel.worn?.ring.depth;
  // A casing at the hem ends where it is folded.
  return boxOf(panelOutline(panel)).bottom - (panel.worn?.casings?.hem?.folded ?? 0);
}

/** A seam without what casings have added to it beyond the waist or the hem. */
function bodySeam(panel: Panel, length: Mm, rims: readonly ("waist" | "hem")[]): Mm {
  return length === 0 ? 0 : length - rims.reduce((sum, rim) => sum + (panel.worn?.casings?.[rim]?.added ?? 0), 0);
}

/** The highest place of a panel's hem: below it the garment is open. */
function hemTopOf(panel: Panel): Mm {
  if (panel.worn?.ring) return panel.worn?.ring.from + panel.worn?.ring.depth;
  const ends = [panel.landmarks.hemSide?.[1], panel.landmarks.hemInseam?.[1]].filter((y) => y !== undefined);
  // A steep taper's hem, square to both seams, rises between them.
  const arches = edgesWithRole(panel, "hem").map((edge) => boxOf(pathFlatten(edge.path)).top);
  return ends.length > 0 ? Math.min(...ends, ...arches) : Infinity;
}

/** From centre to underarm of every half of a bodice, all round. */
function bustGirthOf(panels: readonly Panel[]): Mm | null {
  const halves = panels.flatMap((panel) => {
    const { underarm, waistCentre } = panel.landmarks;
    return isBodice(panel) && underarm && waistCentre ? [2 * Math.abs(underarm[0] - waistCentre[0])] : [];
  });
  return halves.length > 0 ? halves.reduce((sum, mm) => sum + mm, 0) : null;
}

/** A measure of panels that is asked for more than once. */
function known(panels: readonly Panel[], measure: (panel: Panel) => Mm): (panel: Panel) => Mm {
  const measured = new Map(panels.map((panel) => [panel, measure(panel)]));
  return (panel) => measured.get(panel) as Mm;
}

/** Length of a seam of the right leg, along its front. */
const seamLength = (panels: readonly Panel[], joins: readonly Join[], kind: "side" | "inseam"): Mm =>
  joins
    .filter((join) => join.kind === kind && join.leg !== "left")
    .flatMap((join) => join.a)
    .map((ref) => ({ panel: panelById(panels, ref.panel), whole: refsLength(panels, [ref]) }))
    .filter(({ panel }) => panel.is.component === "legs")
    .reduce((sum, { panel, whole }) => sum + bodySeam(panel, whole, kind === "side" ? ["waist", "hem"] : ["hem"]), 0);

/**
 * Measures the panels of the garment, without its band. Leg girths are those of the right leg; a seam's length is that
 * of the front on the right leg. `zip` opens the waist, which elastic or a fitted band holds at `held` at the most.
 */
export function readPanels(
  panels: readonly Panel[],
  joins: readonly Join[],
  plan: LegPlan,
  measures: BodyMeasures,
  opens: { readonly zip: Mm; readonly held: Mm },
): Readings {
  const { levels } = plan;
  const leg = legOf(panels, "right");
  const round = (measure: (panel: Panel) => Mm): Mm => leg.reduce((sum, panel) => sum + measure(panel), 0);
  const around = (measure: (panel: Panel) => Mm): Mm =>
    panels.reduce((sum, panel) => sum + halvesOf(panel) * measure(panel), 0);
  const waistGirth = rimGirth({ panels, joins }, "waist");
  // From the centre line carried down: the crotch curve that leaves it above is no width of the body.
  const hipOf = known(panels, (panel) => fittedWidthAt(panel, levels.hip) - forkAt(panel, plan, levels.hip));
  const hipGirth = around(hipOf);
  const thighY = levels.crotch + 25;
  const thighOf = known(panels, (panel) => fittedWidthAt(panel, thighY));
  const kneeOf = known(panels, (panel) => panelWidthAt(panel, levels.knee));
  const hemOf = (root: "front" | "back"): Mm =>
    leg.filter((p) => isOf(p, root)).reduce((sum, p) => sum + rimLength(p, "hem"), 0);
  // A centre that lies on the fold belongs to the seam's length round the body, though nothing is sewn there.
  const crotchOf = (root: "front" | "back"): Mm =>
    leg
      .filter((p) => isOf(p, root))
      .reduce((sum, p) => sum + bodySeam(p, roleLength(p, "crotch") + roleLength(p, "fold"), ["waist"]), 0);
  const hemTop = Math.min(...leg.map(hemTopOf));
  const half = (level: HalfGirths["level"], legs: 1 | 2, measure: (panel: Panel) => Mm): HalfGirths => {
    const of = (root: "front" | "back"): Mm =>
      legs * leg.filter((p) => isOf(p, root)).reduce((sum, p) => sum + measure(p), 0);
    return { level, front: of("front"), back: of("back") };
  };
  const [crotchSeamFront, crotchSeamBack] = [crotchOf("front"), crotchOf("back")];
  const legLevels: readonly (readonly [string, Mm, Mm])[] = [
    ["thigh", thighY, measures.thigh.mm],
    ["knee", measures.waistToKnee.mm, measures.knee.mm],
    ["calf", measures.waistToCalf.mm, measures.calf.mm],
    ["ankle", measures.waistToAnkle.mm, measures.ankle.mm],
  ];
  return {
    waistGirth,
    hipGirth,
    thighGirth: round(thighOf),
    kneeGirth: levels.knee < hemTop ? round(kneeOf) : null,
    hemGirth: (hasLegs(panels) ? 1 : 2) * round((panel) => rimLength(panel, "hem")),
    bustGirth: bustGirthOf(panels),
    waistOpening: Math.min(waistGirth, opens.held) + 2 * opens.zip,
    crotchSeamFront,
    crotchSeamBack,
    crotchSeam: crotchSeamFront + crotchSeamBack,
    outseam: seamLength(panels, joins, "side"),
    inseam: seamLength(panels, joins, "inseam"),
    hemWidthFront: hemOf("front"),
    hemWidthBack: hemOf("back"),
    lowestPoint: Math.max(...leg.map(bottomOf)),
    clothArea: around(panelArea),
    easeProfile: [
      { level: "waist", y: levels.waist, body: measures.waist.mm, pattern: waistGirth },
      { level: "hip", y: levels.hip, body: measures.hip.mm, pattern: hipGirth },
      ...legLevels
        .filter(([, y]) => y < hemTop)
        .map(([level, y, body]) => ({ level, y, body, pattern: round((panel) => panelWidthAt(panel, y)) })),
    ],
    halfGirths: [
      half("waist", 2, (panel) => sewnRim({ panels, joins }, panel, "waist")),
      half("hip", 2, hipOf),
      half("thigh", 1, thighOf),
      ...(levels.knee < hemTop ? [half("knee", 1, kneeOf)] : []),
    ],
    creaseHalves: leg.flatMap((panel) => creaseHalvesOf(panel, plan)),
  };
}
