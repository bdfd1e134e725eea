import { choice, statedLength } from "../../params";
import { say } from "../../units";
import { defineRule, limited, row } from "./define";

export const crotchDepth = defineRule("Depth of the crotch line below the natural waist.", {
  from: row(
    "Levels",
    choice("Where the crotch depth comes from.", {
      label: "Crotch depth from",
      options: [
        ["auto", say`card, else hip / 4 + ${25}`],
        ["measured", "card"],
        ["hip4", "hip / 4"],
        ["crotchLength2", "crotch length / 2"],
        ["hipLine", "waist to hip"],
        ["fixed", "a length of my own"],
      ],
    }),
  ),
  value: row("Levels", statedLength("Crotch depth, where it is fixed.", { label: "Crotch depth" }), {
    when: { "crotchDepth.from": ["fixed"] },
  }),
  add: row("Levels", statedLength("Added to it.", { label: "Crotch depth, added", negative: true })),
});

export const level = defineRule(
  "How far a high waist stands above the natural waist; hip, knee and length still count from the waist.",
  {
    high: row(
      "Levels",
      statedLength("Above the natural waist.", {
        label: "High waist, standing above",
        ...limited(0, 200, (limits) => say`A high waist stands ${limits} above the natural waist.`),
      }),
    ),
  },
);

export const waistLevel = defineRule("Waist line above (or, negative, below) the natural waist.", {
  add: row(
    "Levels",
    statedLength("Above the natural waist.", {
      label: "Waist line moved up",
      negative: true,
      ...limited(-200, 200, (limits) => say`The waist line may be moved up by ${limits}.`),
    }),
  ),
});
