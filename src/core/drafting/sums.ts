import type { BodyMeasures } from "../body";
import { plain, quantity, type Mm, type Quantity } from "../units";
import type { ResolvedRules } from "./rules";

/** The sums a maker does before drawing: each rule's construction as a quantity with its formula. */

const added = (add: Mm): string => (add === 0 ? "" : ` ${add < 0 ? "-" : "+"} ${plain(Math.abs(add))}`);

const chosen = (value: Mm, add: Mm): Quantity => quantity(value + add, `${plain(value)} as chosen${added(add)}`);

/** Grows evenly from one girth to another and no further: the size-dependent choices follow the hip. */
function byHip(hip: Mm, from: readonly [Mm, Mm], to: readonly [Mm, Mm]): Mm {
  const share = Math.min(1, Math.max(0, (hip - from[0]) / (to[0] - from[0])));
  return from[1] + share * (to[1] - from[1]);
}

export function crotchDepthSum(m: BodyMeasures, rules: ResolvedRules): Quantity {
  const { from, add, value } = rules.crotchDepth;
  const { hip, crotchDepth: carded, crotchLength, waistToHip } = m;
  const plus = added(add);
  switch (from) {
    case "auto":
    case "measured": {
      const base = carded.source === "given" ? `crotch depth ${plain(carded.mm)} from the card` : carded.formula;
      return quantity(carded.mm + add, base + plus, { crotchDepth: carded });
    }
    case "hip4":
      return quantity(hip.mm / 4 + add, `hip ${plain(hip.mm)} / 4${plus}`, { hip });
    case "crotchLength2":
      return quantity(crotchLength.mm / 2 + add, `crotch length ${plain(crotchLength.mm)} / 2${plus}`, {
        crotchLength,
      });
    case "hipLine":
      return quantity(waistToHip.mm + add, `waist to hip ${plain(waistToHip.mm)}${plus}`, { waistToHip });
    case "fixed":
      return chosen(value, add);
  }
}

/** Width of a panel at the hip; a hip carded with its ease gets no more. */
export function widthSum(panel: "front" | "back", m: BodyMeasures, rules: ResolvedRules, ease: Mm): Quantity {
  const { hip, waist } = m;
  if (rules.width.from === "waist") {
    const intake = panel === "front" ? rules.waist.frontIntake : rules.waist.backIntake;
    return quantity(
      waist.mm / 4 + intake + rules.width.add + ease,
      `waist ${plain(waist.mm)} / 4 + dart ${plain(intake)}${added(rules.width.add)} + ease ${plain(ease)}`,
      { waist },
    );
  }
  const plus = added(rules.width.add);
  return hip.net
    ? quantity(hip.mm / 4 + rules.width.add + ease, `hip ${plain(hip.mm)} / 4${plus} + ease ${plain(ease)}`, { hip })
    : quantity(hip.mm / 4 + rules.width.add, `hip ${plain(hip.mm)} / 4${plus}, carded with its ease`, { hip });
}

/** Least and greatest extension that gives a crotch: both are shown when they limit what was asked. */
export function limited(asked: Quantity, least: Mm, most: Mm, why: string): Quantity {
  const mm = Math.min(most, Math.max(least, asked.mm));
  if (mm === asked.mm) return asked;
  return { ...asked, mm, asked: asked.mm, formula: `${asked.formula}; ${why}` };
}

export function frontExtensionSum(m: BodyMeasures, rules: ResolvedRules, width: Quantity): Quantity {
  const { from, add, value } = rules.frontExtension;
  const { hip, thigh } = m;
  const plus = added(add);
  switch (from) {
    case "hip20":
    case "hip16":
    case "hip8": {
      const share = Number(from.slice(3));
      return quantity(hip.mm / share + add, `hip ${plain(hip.mm)} / ${share}${plus}`, { hip });
    }
    case "quarter4":
      return quantity(width.mm / 4 + add, `front width ${plain(width.mm)} / 4${plus}`, { frontWidth: width });
    case "thigh":
      return quantity(
        thigh.mm / 2 - width.mm + add,
        `thigh ${plain(thigh.mm)} / 2 - front width ${plain(width.mm)}${plus}`,
        { thigh, frontWidth: width },
      );
    case "girth":
      return quantity(
        byHip(hip.mm, [900, 51], [1200, 64]) + add,
        `by the hip ${plain(hip.mm)}: 51 up to 900, 64 from 1200${plus}`,
        { hip },
      );
    case "fixed":
      return chosen(value, add);
  }
}

export function backExtensionSum(m: BodyMeasures, rules: ResolvedRules, front: Quantity): Quantity {
  const { from, add, value } = rules.backExtension;
  const { hip } = m;
  const plus = added(add);
  switch (from) {
    case "hip10":
      return quantity(hip.mm / 10 + add, `hip ${plain(hip.mm)} / 10${plus}`, { hip });
    case "front":
      return quantity(front.mm + add, `front extension ${plain(front.mm)}${plus}`, { frontExtension: front });
    case "frontTwice":
      return quantity(2 * front.mm + add, `2 x front extension ${plain(front.mm)}${plus}`, { frontExtension: front });
    case "girth":
      return quantity(
        byHip(hip.mm, [900, 76], [1200, 89]) + add,
        `by the hip ${plain(hip.mm)}: 76 up to 900, 89 from 1200, in total${plus}`,
        { hip },
      );
    case "fixed":
      return chosen(value, add);
  }
}

/** The back rise as chosen, or by the girth of the hip: a fuller seat lifts the waist more. */
export function backRiseSum(m: BodyMeasures, rise: Mm | "auto"): Quantity {
  if (rise !== "auto") return quantity(rise, `${plain(rise)} as chosen`);
  return quantity(byHip(m.hip.mm, [950, 38], [1300, 64]), `by the hip ${plain(m.hip.mm)}: 38 up to 950, 64 from 1300`, {
    hip: m.hip,
  });
}

/** The block's leg: the larger of 0.80 thigh and the knee with its ease, unless a hem girth is asked. */
export function legGirthSum(m: BodyMeasures, rules: ResolvedRules): Quantity {
  const { hemGirth, kneeEase, knee: which } = rules.leg;
  if (hemGirth !== "auto") return quantity(hemGirth, `${plain(hemGirth)} as chosen`);
  const knee = which === "bent" ? m.kneeBent : m.knee;
  const ease = knee.net ? kneeEase : 0;
  return quantity(
    Math.max(0.8 * m.thigh.mm, knee.mm + ease),
    `the larger of 0.80 x thigh ${plain(m.thigh.mm)} and knee${which === "bent" ? ", bent," : ""} ${plain(knee.mm)} + ${plain(ease)}`,
    { thigh: m.thigh, knee },
  );
}
