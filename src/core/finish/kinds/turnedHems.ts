import { length, statedLength } from "../../params";
import { defineFinish } from "../define";

const MIRRORED = {
  depth: length("Depth of the turn-up.", {
    label: "Depth, mirrored",
    auto: "as deep as lies flat",
    within: [4, 120],
    tried: [10, 70],
  }),
};

export const turnedHem = defineFinish({
  room: "hem",
  kind: "turned",
  words: "turned up",
  about: "Turned up once, mirrored to lie flat.",
  params: MIRRORED,
  facts: { turn: ({ depth }) => ({ depth, times: 1 }) },
});

export const doubleHem = defineFinish({
  room: "hem",
  kind: "double",
  words: "turned twice",
  about: "Turned twice.",
  params: {
    depth: statedLength("Depth of each turn.", {
      label: "Depth of each turn",
      usual: { mm: 15 },
      within: [4, 60],
      tried: [6, 40],
    }),
  },
  facts: { turn: ({ depth }) => ({ depth, times: 2 }) },
});

export const rolledHem = defineFinish({
  room: "hem",
  kind: "rolled",
  words: "rolled",
  about: "Turned twice, narrowly, for wide and circular hems.",
  params: {
    depth: statedLength("Depth of each turn.", { label: "Width of the roll", usual: { mm: 5 }, within: [3, 10] }),
  },
  facts: { turn: ({ depth }) => ({ depth, times: 2 }) },
});

export const bondedHem = defineFinish({
  room: "hem",
  kind: "bonded",
  words: "held by a web",
  about: "Turned up once, mirrored to lie flat, and held by a web.",
  note: "Hot iron: try the web on a scrap, and press, do not slide.",
  params: MIRRORED,
  facts: { turn: ({ depth }) => ({ depth, times: 1 }) },
});
