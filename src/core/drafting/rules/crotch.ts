import { choice, statedLength } from "../../params";
import { range, say } from "../../units";
import { defineRule, limited, row } from "./define";

export const frontExtension = defineRule("Front crotch extension, in total, from the centre line.", {
  from: row(
    "Crotch",
    choice("Where it comes from.", {
      label: "Front extension, in total, from",
      options: [
        ["hip20", "hip / 20"],
        ["hip16", "hip / 16"],
        ["hip8", "hip / 8"],
        ["quarter4", "front width / 4"],
        ["thigh", "half the thigh"],
        ["girth", say`${range(50, 65)} by the hip`],
        ["fixed", "a length of my own"],
      ],
    }),
  ),
  value: row("Crotch", statedLength("The extension, where it is fixed.", { label: "Front extension, in total" }), {
    when: { "frontExtension.from": ["fixed"] },
  }),
  add: row("Crotch", statedLength("Added to it.", { label: "Front extension, added", negative: true })),
});

export const backExtension = defineRule("Back crotch extension, in total, from the back's own centre line.", {
  from: row(
    "Crotch",
    choice("Where it comes from.", {
      label: "Back extension, in total, from",
      options: [
        ["hip10", "hip / 10, in total"],
        ["front", "the front's, and more"],
        ["frontTwice", "twice the front's"],
        ["girth", say`${range(75, 90)} by the hip`],
        ["fixed", "a length of my own"],
      ],
    }),
  ),
  value: row(
    "Crotch",
    statedLength("The extension, where it is fixed.", { label: "Back extension, in total from its own centre" }),
    {
      when: { "backExtension.from": ["fixed"] },
    },
  ),
  add: row(
    "Crotch",
    statedLength("More than where it comes from.", { label: "Back extension, more", negative: true }),
    { note: "More than the front's, where it starts from the front; else added to the total." },
  ),
});

export const curve = defineRule(
  "What steers the crotch curve: the diagonal, a point outside the hip line, or equal ways out and up.",
  {
    steer: row(
      "Crotch",
      choice("What steers it.", {
        label: "Crotch curve steered by",
        options: [
          ["diagonal", "the diagonal"],
          ["hipPoint", "a point outside the hip line"],
          ["outAndUp", "equal ways out and up"],
        ],
      }),
    ),
    start: row(
      "Crotch",
      choice("Where it leaves the centre line.", {
        label: "Curve starts",
        options: [
          ["hip", "at the hip line"],
          ["halfway", "half-way down"],
        ],
      }),
      { when: { "curve.steer": ["diagonal"] } },
    ),
    out: row(
      "Crotch",
      statedLength("The point outside the hip line.", {
        label: "Out on the hip line",
        usual: { mm: 13 },
        ...limited(3, 60, (limits) => say`The point outside the hip line lies ${limits} out.`),
      }),
      { when: { "curve.steer": ["hipPoint"] } },
    ),
    up: row(
      "Crotch",
      statedLength("How far up the centre line it starts.", {
        label: "Up the centre line",
        usual: { mm: 50 },
        ...limited(10, 200, (limits) => say`The curve starts ${limits} up.`),
      }),
      { when: { "curve.steer": ["outAndUp"] } },
    ),
  },
);

const HOLLOW = limited(5, 120, (limits) => say`The hollow is ${limits}.`);
const ASKED = { when: { "curve.steer": ["diagonal"], "hollow.from": ["asked"] } } as const;

export const hollow = defineRule("How close the crotch curve comes to its corner, on the diagonal.", {
  from: row(
    "Crotch",
    choice("Where the diagonal comes from.", {
      label: "Diagonal",
      options: [
        ["asked", "a length"],
        ["quarter", "a quarter of the extension"],
      ],
    }),
    { when: { "curve.steer": ["diagonal"] } },
  ),
  front: row("Crotch", statedLength("Of the front.", { label: "Front diagonal", usual: { mm: 25 }, ...HOLLOW }), ASKED),
  back: row("Crotch", statedLength("Of the back.", { label: "Back diagonal", usual: { mm: 32 }, ...HOLLOW }), ASKED),
});
