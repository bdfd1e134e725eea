import type { BodyMeasures } from "../body";
import { edgeOf, panelOutline, roleLength, type LegPlan, type Panel } from "../drafting";
import { boxOf, pathLength, polygonSections } from "../geometry";
import type { Mm } from "../units";

/** Finished girth against the body at one level. */
export interface EaseAt {
  readonly level: string;
  readonly y: Mm;
  readonly body: Mm;
  readonly pattern: Mm;
}

/**
 * What the finished garment measures, in millimetres, from the final outlines. Waist, hip: whole garment; thigh,
 * knee, hem: one leg (knee null where the leg ends above it). Thigh is read 25 below the front crotch line.
 */
export interface Readings {
  readonly waistGirth: Mm;
  readonly hipGirth: Mm;
  readonly thighGirth: Mm;
  readonly kneeGirth: Mm | null;
  readonly hemGirth: Mm;
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
}

/** Width of a panel at a level: all of it that lies on the horizontal. */
function widthAt(panel: Panel, y: Mm): Mm {
  return polygonSections(panelOutline(panel), y).reduce((sum, [left, right]) => sum + right - left, 0);
}

/** Measures the outlines. `area` is the cloth the pieces cover on their seam lines, both legs; `zip` opens the waist. */
export function readPanels(
  front: Panel,
  back: Panel,
  plan: LegPlan,
  measures: BodyMeasures,
  zip: Mm,
  area: number,
): Readings {
  const { levels } = plan;
  const pair = (y: Mm): Mm => widthAt(front, y) + widthAt(back, y);
  const waistGirth = 2 * (roleLength(front, "waist") + roleLength(back, "waist"));
  const hipGirth = 2 * pair(levels.hip);
  const thighY = levels.crotch + 25;
  const thighGirth = pair(thighY);
  const [hemFront, hemBack] = [roleLength(front, "hem"), roleLength(back, "hem")];
  const lowestPoint = Math.max(boxOf(panelOutline(front)).bottom, boxOf(panelOutline(back)).bottom);
  const hemTop = Math.min(
    ...[front, back].map((p) => Math.min(p.landmarks.hemSide?.[1] ?? 0, p.landmarks.hemInseam?.[1] ?? 0)),
  );
  const kneeGirth = levels.knee < hemTop ? pair(levels.knee) : null;
  const [crotchSeamFront, crotchSeamBack] = [roleLength(front, "crotch"), roleLength(back, "crotch")];
  const legLevels: readonly (readonly [string, Mm, Mm])[] = [
    ["thigh", thighY, measures.thigh.mm],
    ["knee", measures.waistToKnee.mm, measures.knee.mm],
    ["calf", measures.waistToCalf.mm, measures.calf.mm],
    ["ankle", measures.waistToAnkle.mm, measures.ankle.mm],
  ];
  return {
    waistGirth,
    hipGirth,
    thighGirth,
    kneeGirth,
    hemGirth: hemFront + hemBack,
    waistOpening: waistGirth + 2 * zip,
    crotchSeamFront,
    crotchSeamBack,
    crotchSeam: crotchSeamFront + crotchSeamBack,
    outseam: pathLength(edgeOf(front, "side").path),
    inseam: pathLength(edgeOf(front, "inseam").path),
    hemWidthFront: hemFront,
    hemWidthBack: hemBack,
    lowestPoint,
    clothArea: area,
    easeProfile: [
      { level: "waist", y: levels.waist, body: measures.waist.mm, pattern: waistGirth },
      { level: "hip", y: levels.hip, body: measures.hip.mm, pattern: hipGirth },
      ...legLevels.filter(([, y]) => y < hemTop).map(([level, y, body]) => ({ level, y, body, pattern: pair(y) })),
    ],
  };
}
