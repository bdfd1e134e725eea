import type { Catalog } from "./catalog";
import messages from "./de.json";

/** German, in the words of the trade. */
export const GERMAN: Catalog = { tag: "de", decimalMark: ",", keepsCapitals: true, messages };
