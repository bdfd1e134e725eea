import { choice, lengthOr, statedLength } from "../../params";
import { say } from "../../units";
import { defineChoice, defineRule, limited, row } from "./define";

export const width = defineRule(
  "What a panel's width starts from: a quarter of the hip, or a quarter of the waist with its dart.",
  {
    from: row(
      "Width",
      choice("Which girth.", {
        label: "Panel width from",
        options: [
          ["hip", "hip / 4"],
          ["waist", "waist / 4 + dart"],
        ],
      }),
      { note: "Drafted from the waist the hip is only checked." },
    ),
    add: row(
      "Width",
      statedLength("Added to each panel.", {
        label: "Width, added",
        negative: true,
        ...limited(-100, 300, (limits) => say`What is added to the width must lie between ${limits}.`),
      }),
    ),
  },
);

const EASE = { negative: true, ...limited(-200, 300, (limits) => say`Ease per panel is ${limits}.`) } as const;

export const ease = defineRule("Ease at the hip, per panel.", {
  front: row("Width", statedLength("Of a front.", { label: "Hip ease, front", ...EASE })),
  back: row("Width", statedLength("Of a back.", { label: "Hip ease, back", ...EASE })),
});

export const hipInch = defineChoice(
  row(
    "Width",
    choice(
      "Where the back's extra width at the hip goes: out by the knee, gone at the crotch line, down the leg, or left out.",
      {
        label: "Back's extra at the hip",
        options: [
          ["toKnee", "running out at the knee"],
          ["hipOnly", "at the hip line only"],
          ["throughout", "down the whole leg"],
          ["none", "left out"],
        ],
      },
    ),
  ),
);

export const thigh = defineRule(
  "A finished girth of one leg at a thigh line below the crotch line; the sides pass through it.",
  {
    girth: row(
      "Width",
      lengthOr("Finished girth of one leg there.", ["none", "as it falls"], {
        label: "Leg at the thigh line",
        ...limited(200, 2500, (limits) => say`A thigh girth is ${limits}.`),
      }),
      { note: "Both sides are led through this girth of one leg." },
    ),
    below: row(
      "Width",
      statedLength("Below the crotch line.", {
        label: "Thigh line below crotch",
        usual: { mm: 25 },
        ...limited(10, 200, (limits) => say`The thigh line lies ${limits} below the crotch line.`),
      }),
      { unless: { "thigh.girth": ["none"] } },
    ),
  },
);
