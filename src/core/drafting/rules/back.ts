import { choice, length, statedLength } from "../../params";
import { say } from "../../units";
import { defineRule, limited, row } from "./define";

const SET_OUT = limited(-50, 150, (limits) => say`What is set out is ${limits}.`);
const isMade = (...hows: readonly string[]) => ({ when: { "back.how": hows } });

export const back = defineRule(
  "How the back is made: slanted, from the traced front in one of several ways, or drawn anew.",
  {
    how: row(
      "Back",
      choice("Which back.", {
        label: "Back is",
        options: [
          ["slanted", "slanted"],
          ["traced", "traced"],
          ["hinged", "hinged"],
          ["tilted", "tilted"],
          ["transferred", "transferred"],
          ["redrafted", "drawn anew"],
          ["repeated", "repeated"],
        ],
      }),
    ),
    inAtCrotch: row(
      "Back",
      statedLength("How far the centre comes in at the crotch line.", {
        label: "Centre in, at the crotch",
        negative: true,
        ...limited(-60, 80, (limits) => say`The centre back comes in ${limits} at the crotch line.`),
      }),
      isMade("slanted", "transferred"),
    ),
    inAtWaist: row(
      "Back",
      statedLength("How far the centre comes in at the waist.", {
        label: "Centre in, at the waist",
        negative: true,
        ...limited(-60, 120, (limits) => say`The centre back comes in ${limits} at the waist.`),
      }),
      isMade("slanted", "transferred"),
    ),
    out: row(
      "Back",
      statedLength("How far a traced centre is moved out.", {
        label: "Centre moved out",
        ...limited(0, 120, (limits) => say`The centre back is moved out ${limits}.`),
      }),
      isMade("traced"),
    ),
    open: row(
      "Back",
      statedLength("How far the slash of a hinged back opens.", {
        label: "Slash opened at the centre",
        ...limited(0, 120, (limits) => say`The slash is opened ${limits}.`),
      }),
      isMade("hinged"),
    ),
    rise: row(
      "Back",
      length("How far the centre back rises above the waist line.", {
        label: "Back rise",
        auto: "by the hip",
        usual: { mm: 0 },
        ...limited(0, 120, (limits) => say`The back rise is ${limits}.`),
      }),
      {
        unless: { "back.how": ["hinged"] },
        note: say`By the hip girth: ${38} up to ${950}, ${64} from ${1300}.`,
      },
    ),
    increment: row(
      "Back",
      statedLength("How much wider every width of a back drawn anew is.", {
        label: "Every width, more",
        negative: true,
        ...limited(-30, 60, (limits) => say`An increment is ${limits}.`),
      }),
      isMade("redrafted"),
    ),
    sideAdd: row(
      "Back",
      statedLength("Set out at the side.", { label: "Side set out", negative: true, ...SET_OUT }),
      isMade("traced", "tilted", "transferred", "hinged"),
    ),
    inseamAdd: row(
      "Back",
      statedLength("Set out at the inseam.", { label: "Inseam set out", negative: true, ...SET_OUT }),
      isMade("traced", "tilted", "hinged"),
    ),
    kneeAdd: row(
      "Back",
      statedLength("Set out at the knee.", { label: "Knee wider", negative: true, ...SET_OUT }),
      isMade("transferred"),
    ),
    crease: row(
      "Back",
      choice("Which crease the back leg hangs on.", {
        label: "Back crease",
        options: [
          ["front", "the front's"],
          ["own", "its own, halving the leg"],
        ],
      }),
      { when: { "leg.fall": ["shared"] } },
    ),
    drop: row(
      "Back",
      statedLength("How much lower the back's crotch line is.", {
        label: "Back crotch line lower",
        ...limited(0, 60, (limits) => say`The back crotch line is ${limits} lower.`),
      }),
      { note: "Both are shown: asked, and what reconciling the inseams took back." },
    ),
    lower: row(
      "Back",
      choice("What a lower back crotch line is for: the crotch point lies lower, or the waist rises by as much.", {
        label: "Lower is",
        options: [
          ["depth", "the crotch point, as the inseams allow"],
          ["rise", "a longer centre: the waist rises by it"],
        ],
      }),
    ),
  },
);

export const inseam = defineRule("How much shorter the back inseam is, to be stretched on.", {
  backShorter: row(
    "Back",
    statedLength("Shorter than the front's.", {
      label: "Back inseam shorter",
      usual: { mm: 3 },
      ...limited(0, 6, (limits) => say`The back inseam is ${limits} shorter than the front's.`),
    }),
    { note: say`Stretched on when sewn, ${0} to ${6}.` },
  ),
});
