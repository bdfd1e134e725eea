import { defineFinish } from "../define";
import { ZIP } from "./shared";

export const zipCentreBack = defineFinish({
  room: "fastening",
  kind: "zip-centre-back",
  words: "zip, centre back",
  about: "A zip down the centre back.",
  params: { length: ZIP },
  facts: { opens: "centre-back", zip: (asked) => asked.length },
});

export const zipSide = defineFinish({
  room: "fastening",
  kind: "zip-side",
  words: "zip, left side",
  about: "A zip down the left side seam.",
  params: { length: ZIP },
  facts: { opens: "side", zip: (asked) => asked.length },
});

export const frontPlacket = defineFinish({
  room: "fastening",
  kind: "front-placket",
  words: "placket of a front",
  about: "It opens at the placket cut on to a front, under the band.",
  params: {},
  facts: { opens: "centre-front", opensByItself: true },
});

export const pulledOn = defineFinish({
  room: "fastening",
  kind: "none",
  words: "pulled on",
  about: "It is pulled on.",
  params: {},
  facts: { opens: "none", isPulledOn: true },
});
