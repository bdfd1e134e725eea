import type { Tongue } from "@/core/words";
import messages from "./de.json";

/** German, in the words of the trade. */
export const GERMAN: Tongue = { tag: "de", decimalMark: ",", keepsCapitals: true, messages };
