import { tell, type Complaint, type Sentence } from "../units";

/** A sentence as text, its lengths in the millimetres a test states; empty for none. */
export const said = (sentence: Sentence | null | undefined): string => (sentence ? tell(sentence, "mm") : "");

/** Complaints as lines of place and sentence. */
export const complaintsOf = (complaints: readonly Complaint[]): string =>
  complaints.map(({ path, says }) => `${path}: ${said(says)}`).join("\n");
