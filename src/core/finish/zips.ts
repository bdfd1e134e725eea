import { quantity, say, type Mm, type Tape } from "../units";
import type { Notion } from "./garment";

/** Lengths in which zips are sold, by the tape they are sold on. */
const SOLD: Readonly<Record<Tape, readonly Mm[]>> = {
  cm: [10, 12, 15, 16, 18, 20, 22, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70].map((cm) => cm * 10),
  in: [4, 5, 6, 7, 8, 9, 10, 12, 14, 16, 18, 20, 22, 24, 26, 28].map((inch) => inch * 25.4),
};

/** A zip's end is not cut off for less than this. */
const WORTH_CUTTING: Mm = 3;

/** The zip to buy: the next length that is sold, and what is cut off above a new stop. */
export function zipNotion(needed: Mm, tape: Tape): Notion {
  const sold = SOLD[tape].find((length) => length >= needed - 1);
  if (sold === undefined)
    return {
      id: "zip",
      label: say`Zip, sold by length`,
      count: 1,
      length: quantity(needed, "below the sewn waist; longer than zips are sold ready made"),
    };
  const cutOff = sold - needed;
  return {
    id: "zip",
    label: say`Zip of ${sold}`,
    count: 1,
    length: quantity(sold, say`the next length that is sold; ${needed} is needed below the sewn waist`),
    ...(cutOff > WORTH_CUTTING && { note: say`Sew a new stop and cut ${cutOff} off its lower end.` }),
  };
}
