import type { BodyMeasures } from "../body";
import { quantity, type Mm, say } from "../units";
import type { BackLines } from "./backs";
import type { Drafter } from "./drafter";
import { panelWidths, passingOf, type Passing } from "./plan";
import type { ResolvedRules } from "./rules";
import { legGirthSum } from "./sums";

export interface LegWidths {
  readonly front: Passing;
  readonly back: Passing;
  /** Whether the leg has these widths from the knee line down, or falls straight to them from hip and crotch point. */
  readonly turns: boolean;
  readonly frontCrease: Mm;
  readonly backCrease: Mm;
  readonly extra: Mm;
}

/** Where both panels pass knee and hem, and where each crease lies, all in the front's first frame. */
export function planWidths(
  m: BodyMeasures,
  rules: ResolvedRules,
  drafter: Drafter,
  front: { readonly hipX: Mm; readonly crotchX: Mm },
  lines: BackLines & { readonly sideAtCrotch: Mm },
): LegWidths {
  const inch = rules.hipInch === "throughout" ? rules.ease.back - rules.ease.front : 0;
  const shared = rules.leg.backExtra + inch;
  const extra = shared + lines.sideGain + lines.inseamGain;
  const girth = drafter.number("blockLegGirth", legGirthSum(m, rules));
  if (rules.leg.fall === "down") {
    const down = (hipX: Mm, crotchX: Mm): Passing => ({ side: hipX, inseam: crotchX });
    const frontPass = down(front.hipX, front.crotchX);
    const backPass = down(lines.sideAtCrotch, lines.crotchX);
    const whole = frontPass.side - frontPass.inseam + backPass.side - backPass.inseam;
    drafter.number("blockLegGirth", quantity(whole, "straight down from hip and crotch points"));
    const { from, by } = rules.hang;
    if (from !== "crease") drafter.number("hangBy", quantity(by, say`${by} as chosen`));
    // A crease that is set off lies so far toward the side of each panel's middle.
    const setOff = from === "offset" ? by : 0;
    return {
      front: frontPass,
      back: backPass,
      turns: false,
      frontCrease: (frontPass.side + frontPass.inseam) / 2 + setOff,
      backCrease: (backPass.side + backPass.inseam) / 2 + setOff,
      extra: backPass.side - backPass.inseam - frontPass.side + frontPass.inseam,
    };
  }
  drafter.number("backExtra", quantity(extra, "the back is wider than the front at knee and hem"));
  const halves = panelWidths(girth.mm, extra);
  const { from, by } = rules.hang;
  if (from === "side" || from === "inseam") {
    const hung = (hipX: Mm, crotchX: Mm, width: Mm): Passing =>
      passingOf(from, width, { side: hipX - by, inseam: crotchX + by });
    const frontPass = hung(front.hipX, front.crotchX, halves.front);
    const backPass = hung(lines.hipX, lines.crotchX, halves.back);
    drafter.number("hangBy", quantity(by, say`${by} as chosen`));
    return {
      front: frontPass,
      back: backPass,
      turns: true,
      // Wherever the leg hangs from, the crease halves the crotch line.
      frontCrease: (front.hipX + front.crotchX) / 2,
      backCrease: (lines.hipX + lines.crotchX) / 2,
      extra,
    };
  }
  for (const panel of ["front", "back"] as const) {
    const sign = panel === "front" ? "-" : "+";
    drafter.number(
      `${panel}LegHalf`,
      quantity(halves[panel] / 2, say`(leg ${girth.mm} ${sign} ${extra}) / 4`, { blockLegGirth: girth }),
    );
  }
  const frontPass: Passing = { side: halves.front / 2, inseam: 0 - halves.front / 2 };
  const backCrease = rules.back.crease === "own" ? (lines.sideGain - lines.inseamGain) / 2 : 0;
  const backPass: Passing = { side: backCrease + halves.back / 2, inseam: backCrease - halves.back / 2 };
  if (backCrease !== 0)
    drafter.number("backCrease", quantity(0 - backCrease, "half of what the traced leg gained at inseam less side"));
  return {
    front: frontPass,
    back: backPass,
    turns: true,
    frontCrease: 0,
    backCrease,
    extra,
  };
}
