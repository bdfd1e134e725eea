import { resolveBody, type Body, type BodyMeasures } from "./card";
import { MEASURES, type Measure } from "./measures";

/** A figure that is drawn while a wearer has no measures yet. */
export const PLAIN_CARD: Body = { name: "", unit: "cm", measures: { waist: 76, hip: 102, height: 168 } };

/** The plain figure's measures. */
export function plainMeasures(): BodyMeasures {
  const plain = resolveBody(PLAIN_CARD);
  if (!plain.ok) throw new RangeError("the plain figure cannot be read");
  return plain.measures;
}

/** True while nothing is written on a card. */
export const isEmptyCard = ({ measures }: Body): boolean => Object.keys(measures).length === 0;

/** The measures a pattern cannot do without that a card does not hold yet. */
export const missingMeasures = ({ measures }: Body): readonly Measure[] =>
  MEASURES.filter(({ key, required }) => required && measures[key] === undefined);
