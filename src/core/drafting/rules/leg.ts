import { choice, length, statedLength } from "../../params";
import { say } from "../../units";
import { defineRule, defineRuleOrWord, limited, row } from "./define";

const SHARED = { when: { "leg.fall": ["shared"] } } as const;

export const leg = defineRule(
  "The block's own leg: shared by girth or falling straight down; the back is wider by backExtra.",
  {
    kneeLine: row(
      "Levels",
      choice("Where the knee line lies.", {
        label: "Knee line",
        options: [
          ["measured", say`${25} above the knee`],
          ["half", say`half of crotch to hem, ${50} up`],
        ],
      }),
    ),
    fall: row(
      "Leg",
      choice("How the leg falls.", {
        label: "Leg is",
        options: [
          ["shared", "shared by its girth"],
          ["down", "straight down"],
        ],
      }),
    ),
    knee: row(
      "Leg",
      choice("Which knee girth.", {
        label: "Knee measured",
        options: [
          ["straight", "straight"],
          ["bent", "bent"],
        ],
      }),
      SHARED,
    ),
    kneeEase: row(
      "Leg",
      statedLength("Ease at the knee.", {
        label: "Knee ease",
        negative: true,
        usual: { mm: 60 },
        ...limited(-100, 600, (limits) => say`Knee ease is ${limits}.`),
      }),
      SHARED,
    ),
    hemGirth: row(
      "Leg",
      length("Finished girth of one leg at the hem.", {
        label: "Girth of one leg",
        auto: "by thigh and knee",
        ...limited(120, 2500, (limits) => say`A leg is ${limits} round.`),
      }),
      SHARED,
    ),
    backExtra: row(
      "Leg",
      statedLength("How much wider the back is than the front.", {
        label: "Back wider than front",
        negative: true,
        ...limited(-60, 150, (limits) => say`The back is ${limits} wider than the front.`),
      }),
      SHARED,
    ),
    inseam: row(
      "Leg",
      choice("The inseam above the knee.", {
        label: "Inseam above the knee",
        options: [
          ["auto", "curved as the thigh asks"],
          ["straight", "ruled straight"],
        ],
      }),
    ),
  },
);

export const hang = defineRuleOrWord(
  "What the leg hangs from: the crease, the side, the inseam, or a crease set off from the middle.",
  "from",
  {
    from: row(
      "Leg",
      choice("What it hangs from.", {
        label: "Leg hangs from",
        options: [
          ["crease", "the crease"],
          ["offset", "a crease set off"],
          ["side", "the side"],
          ["inseam", "the inseam"],
        ],
      }),
    ),
    by: row(
      "Leg",
      statedLength("How far it is set off, or in.", {
        label: "Set off, or in",
        negative: true,
        ...limited(-150, 150, (limits) => say`The leg hangs ${limits} off.`),
      }),
      { unless: { "hang.from": ["crease"] } },
    ),
  },
);
