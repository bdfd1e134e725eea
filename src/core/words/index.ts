export {
  capital,
  decimal,
  inSentence,
  inTongue,
  keepAsTyped,
  listOf,
  phrase,
  rewordedTemplate,
  speak,
  spokenTongue,
  tongueTag,
} from "./tongue";
export type { Tongue } from "./tongue";
