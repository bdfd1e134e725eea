import type { BodyMeasures } from "../body";
import { quantity, type Mm, type Quantity, say, count, type Sentence, NOTHING } from "../units";
import { USUAL_DART } from "./darts";
import type { ResolvedRules } from "./rules";

/** The sums a maker does before drawing: each rule's construction as a quantity with its formula. */

const added = (add: Mm): Sentence => (add === 0 ? NOTHING : say` ${add < 0 ? "-" : "+"} ${Math.abs(add)}`);

const chosen = (value: Mm, add: Mm): Quantity => quantity(value + add, say`${value} as chosen${added(add)}`);

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
      const base = carded.source === "given" ? say`crotch depth ${carded.mm} from the card` : carded.sum;
      return quantity(carded.mm + add, say`${base}${plus}`, { crotchDepth: carded });
    }
    case "hip4":
      return quantity(hip.mm / 4 + add, say`hip ${hip.mm} / 4${plus}`, { hip });
    case "crotchLength2":
      return quantity(crotchLength.mm / 2 + add, say`crotch length ${crotchLength.mm} / 2${plus}`, {
        crotchLength,
      });
    case "hipLine":
      return quantity(waistToHip.mm + add, say`waist to hip ${waistToHip.mm}${plus}`, { waistToHip });
    case "fixed":
      return chosen(value, add);
  }
}

/** Width of a panel at the hip; a hip carded with its ease gets no more. */
export function widthSum(panel: "front" | "back", m: BodyMeasures, rules: ResolvedRules, ease: Mm): Quantity {
  const { hip, waist } = m;
  if (rules.width.from === "waist") {
    const asked = rules.waist[`${panel}Intake`];
    const intake = asked === "auto" ? USUAL_DART : asked;
    return quantity(
      waist.mm / 4 + intake + rules.width.add + ease,
      say`waist ${waist.mm} / 4 + dart ${intake}${added(rules.width.add)} + ease ${ease}`,
      { waist },
    );
  }
  const plus = added(rules.width.add);
  return hip.net
    ? quantity(hip.mm / 4 + rules.width.add + ease, say`hip ${hip.mm} / 4${plus} + ease ${ease}`, { hip })
    : quantity(hip.mm / 4 + rules.width.add, say`hip ${hip.mm} / 4${plus}, carded with its ease`, { hip });
}

/** Least and greatest extension that gives a crotch: both are shown when they limit what was asked. */
export function limited(asked: Quantity, least: Mm, most: Mm, why: Sentence): Quantity {
  const mm = Math.min(most, Math.max(least, asked.mm));
  if (mm === asked.mm) return asked;
  return { ...asked, mm, asked: asked.mm, sum: say`${asked.sum}; ${why}` };
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
      return quantity(hip.mm / share + add, say`hip ${hip.mm} / ${count(share)}${plus}`, { hip });
    }
    case "quarter4":
      return quantity(width.mm / 4 + add, say`front width ${width.mm} / 4${plus}`, { frontWidth: width });
    case "thigh":
      return quantity(thigh.mm / 2 - width.mm + add, say`thigh ${thigh.mm} / 2 - front width ${width.mm}${plus}`, {
        thigh,
        frontWidth: width,
      });
    case "girth":
      return quantity(
        byHip(hip.mm, [900, 51], [1200, 64]) + add,
        say`by the hip ${hip.mm}: ${51} up to ${900}, ${64} from ${1200}${plus}`,
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
      return quantity(hip.mm / 10 + add, say`hip ${hip.mm} / 10${plus}`, { hip });
    case "front":
      return quantity(front.mm + add, say`front extension ${front.mm}${plus}`, { frontExtension: front });
    case "frontTwice":
      return quantity(2 * front.mm + add, say`2 x front extension ${front.mm}${plus}`, { frontExtension: front });
    case "girth":
      return quantity(
        byHip(hip.mm, [900, 76], [1200, 89]) + add,
        say`by the hip ${hip.mm}: ${76} up to ${900}, ${89} from ${1200}, in total${plus}`,
        { hip },
      );
    case "fixed":
      return chosen(value, add);
  }
}

/** The back rise as chosen, or by the girth of the hip: a fuller seat lifts the waist more. */
export function backRiseSum(m: BodyMeasures, rise: Mm | "auto"): Quantity {
  if (rise !== "auto") return quantity(rise, say`${rise} as chosen`);
  return quantity(
    byHip(m.hip.mm, [950, 38], [1300, 64]),
    say`by the hip ${m.hip.mm}: ${38} up to ${950}, ${64} from ${1300}`,
    {
      hip: m.hip,
    },
  );
}

/** The block's leg: the larger of 0.80 thigh and the knee with its ease, unless a hem girth is asked. */
export function legGirthSum(m: BodyMeasures, rules: ResolvedRules): Quantity {
  const { hemGirth, kneeEase, knee: which } = rules.leg;
  if (hemGirth !== "auto") return quantity(hemGirth, say`${hemGirth} as chosen`);
  const knee = which === "bent" ? m.kneeBent : m.knee;
  const ease = knee.net ? kneeEase : 0;
  return quantity(
    Math.max(0.8 * m.thigh.mm, knee.mm + ease),
    say`the larger of 0.80 x thigh ${m.thigh.mm} and knee${which === "bent" ? ", bent," : ""} ${knee.mm} + ${ease}`,
    { thigh: m.thigh, knee },
  );
}
