export {
  capital,
  decimal,
  inSentence,
  inTongue,
  listOf,
  phrase,
  rewordedTemplate,
  speak,
  spokenTongue,
  tongueTag,
} from "./tongue";
export type { Tongue } from "./tongue";
