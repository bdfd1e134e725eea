import { choice, flag, length, statedLength } from "../../params";
import { say } from "../../units";
import { defineChoice, defineRule, limited, row } from "./define";

const INTAKE = limited(0, 60, (limits) => say`A dart is ${limits} wide.`);
const LONG = limited(20, 300, (limits) => say`A dart is ${limits} long.`);
const DART_NOTE = say`By the surplus: ${25} where the waist has ${14} or more to lose; a width of your own is drawn as stated.`;
const DARTED = { when: { "waist.shaping": ["darts"] } } as const;

export const waist = defineRule(
  "Where the waist is taken in: darts, sides and centres, the centre back, or not at all.",
  {
    shaping: row(
      "Waist",
      choice("What shapes it.", {
        label: "Waist is shaped by",
        options: [
          ["darts", "darts and side"],
          ["none", "side and centre, no dart"],
          ["hipWide", "nothing: as wide as the hip"],
          ["centreBack", "the centre back"],
          ["frontSide", "the front at its side, the back at its centre"],
        ],
      }),
    ),
    ease: row(
      "Waist",
      statedLength("Ease all round.", {
        label: "Waist ease, all round",
        negative: true,
        ...limited(-200, 400, (limits) => say`Waist ease is ${limits}.`),
      }),
      { unless: { "waist.shaping": ["hipWide"] } },
    ),
    frontIn: row(
      "Waist",
      statedLength("How far the centre front comes in.", {
        label: "Centre front in",
        negative: true,
        usual: { mm: 10 },
        ...limited(-20, 60, (limits) => say`The centre front comes in ${limits} at the waist.`),
      }),
    ),
    frontDrop: row(
      "Waist",
      statedLength("How far the centre front drops.", {
        label: "Centre front drop",
        negative: true,
        usual: { mm: 8 },
        ...limited(-20, 60, (limits) => say`The centre front drops ${limits}.`),
      }),
    ),
    sideRise: row(
      "Waist",
      statedLength("How far the side rises, front and back.", {
        label: "Side rise, front and back",
        negative: true,
        usual: { mm: 10 },
        ...limited(-10, 50, (limits) => say`The side rises ${limits}.`),
      }),
    ),
    frontIntake: row(
      "Waist",
      length("Width of a front dart; left out, by the surplus.", {
        label: "Front dart",
        auto: "by the surplus",
        ...INTAKE,
      }),
      { ...DARTED, note: DART_NOTE },
    ),
    frontLength: row(
      "Waist",
      statedLength("Its length.", { label: "Front dart, long", usual: { mm: 125 }, ...LONG }),
      DARTED,
    ),
    backIntake: row(
      "Waist",
      length("Width of a back dart; left out, by the surplus.", {
        label: "Back dart",
        auto: "by the surplus",
        ...INTAKE,
      }),
      { ...DARTED, note: DART_NOTE },
    ),
    backLength: row(
      "Waist",
      statedLength("Its length.", { label: "Back dart, long", usual: { mm: 150 }, ...LONG }),
      DARTED,
    ),
  },
);

export const dropAfterBack = defineChoice(
  row(
    "Waist",
    flag("Drop the centre front only after the back is made, so that a traced back does not drop with it.", {
      label: "Drop after the back is made",
      yes: "yes",
      no: "no",
      usual: false,
    }),
  ),
);

export const dart = defineRule(
  "Where a dart stands on the waist, and whether it runs square to it or parallel to the centre line.",
  {
    at: row(
      "Waist",
      choice("Where it stands.", {
        label: "Dart stands",
        options: [
          ["mid", "in the middle"],
          ["crease", "on the crease"],
          ["bust", "at half the bust span"],
          ["fixed", "at a length of my own"],
        ],
      }),
      DARTED,
    ),
    value: row(
      "Waist",
      statedLength("From the centre, where it is fixed.", {
        label: "From the centre",
        ...limited(10, 400, (limits) => say`A dart stands ${limits} from the centre.`),
      }),
      { when: { ...DARTED.when, "dart.at": ["fixed"] } },
    ),
    run: row(
      "Waist",
      choice("How it runs.", {
        label: "Dart runs",
        options: [
          ["square", "square to the waist"],
          ["parallel", "parallel to the centre"],
        ],
      }),
      DARTED,
    ),
  },
);
