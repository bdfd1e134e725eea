export {
  capital,
  decimal,
  inSentence,
  inTongue,
  isTranslated,
  keepAsTyped,
  keepsCapitals,
  listOf,
  phrase,
  rewordedTemplate,
  speak,
  tongueTag,
} from "./tongue";
export type { Locale } from "./tongue";
