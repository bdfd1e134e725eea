import { tell, type Complaint, type Sentence } from "../units";

/** A sentence as text, its lengths in the millimetres a test states; empty for none. */
export const said = (sentence: Sentence | null | undefined): string => (sentence ? tell(sentence, "mm") : "");

/** Complaints as lines of place and sentence. */
export const complaintsOf = (complaints: readonly Complaint[]): string =>
  complaints.map(({ path, says }) => `${path}: ${said(says)}`).join("\n");

/** What reads like a program's own word rather than a maker's. */
export const NOT_WORDS = /undefined|NaN|Infinity|null|\[object|\d\.\d{4}/;
