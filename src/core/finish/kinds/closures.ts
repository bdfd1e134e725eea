import { isBodice, type Panel, type PanelLine } from "../../pattern";
import { statedLength } from "../../params";
import { say, type Mm } from "../../units";
import { defineFinish } from "../define";
import { unsettled } from "../garment";
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

/** A front that laps over the other by less than this has no room for buttons. */
const LEAST_LAP: Mm = 10;
/** Buttons stay this far from where the fold ends and from the waist. */
const FROM_ENDS: Mm = 15;

export const frontButtons = defineFinish({
  room: "fastening",
  kind: "front-buttons",
  words: "buttons down a front that folds back",
  about: "A front that laps over the other buttons down its centre line, from the end of the fold to the waist.",
  params: {
    spacing: statedLength("From button to button.", {
      label: "From button to button",
      usual: { mm: { cm: 80, in: 76.2 } },
      within: [20, 200],
      tried: [40, 120],
    }),
  },
  facts: { opens: "centre-front", opensByItself: true },
  make(garment, { spacing }) {
    const front = garment.panels.find((p) => isBodice(p, "front") && p.worn?.lap);
    const lap = front?.worn?.lap;
    const waist = front?.landmarks.waistCentre;
    if (!front || !lap || !waist || lap.wide < LEAST_LAP)
      return unsettled(
        garment,
        say`Buttons down the front need fronts that lap: fold the front back, or choose another closure.`,
      );
    const long = waist[1] - lap.from - 2 * FROM_ENDS;
    const count = Math.max(2, Math.floor(long / spacing.mm) + 1);
    const apart = long / (count - 1);
    const buttonholes = Array.from({ length: count }, (_, i): PanelLine => {
      const y = lap.from + FROM_ENDS + i * apart;
      return {
        kind: "placement",
        points: [
          [waist[0] - 8, y],
          [waist[0] + 8, y],
        ],
      };
    });
    const buttoned: Panel = {
      ...front,
      lines: [...front.lines, ...buttonholes],
      worn: { ...front.worn, buttons: { count, apart } },
    };
    return { ...garment, panels: garment.panels.map((p) => (p === front ? buttoned : p)) };
  },
});

export const pulledOn = defineFinish({
  room: "fastening",
  kind: "none",
  words: "pulled on",
  about: "It is pulled on.",
  params: {},
  facts: { opens: "none", isPulledOn: true },
});
