import type { CupboardCloth } from "@/core/cloth";
import type { Entry } from "@/core/diary";

const page = (
  id: string,
  job: string,
  kind: Entry["kind"],
  date: string,
  words: string,
  more: Partial<Entry> = {},
): { readonly id: string; readonly job: string; readonly entry: Entry } => ({
  id,
  job,
  entry: { kind, date, words, photos: [], ...more },
});

/** Diary pages of the sample workroom: fittings under way, a toile that failed, cloth that was cut, a regret. */
export const SAMPLE_DIARY = [
  page(
    "sample-d1",
    "sample-heron-walk",
    "toile",
    "2026-11-07",
    "From an old bed sheet. Pulls across the seat when she kneels; hem right.",
    {
      passed: false,
    },
  ),
  page(
    "sample-d2",
    "sample-heron-walk",
    "fitting",
    "2026-11-09",
    "Pinned at the seat, right side. Standing it is good.",
  ),
  page("sample-d3", "sample-lantern-bearer", "toile", "2026-11-11", "Sits well on the stair. Passed.", {
    passed: true,
  }),
  page("sample-d4", "sample-lantern-bearer", "cutting", "2026-11-12", "Both fronts, then both backs; labels on.", {
    cloth: "Slate linen",
    cut: ["front", "back"],
  }),
  page(
    "sample-d5",
    "sample-ferry-flare",
    "wearing",
    "2026-10-02",
    "A season on deck. The knees have gone pale, nothing has opened.",
  ),
  page(
    "sample-d6",
    "sample-ferry-flare",
    "regret",
    "2026-10-04",
    "Next time washed before it is cut: it came up a finger's width.",
  ),
] as const;

/** Cloths that lie in the cupboard of the sample workroom. */
export const SAMPLE_CLOTHS: readonly CupboardCloth[] = [
  {
    id: "sample-dune-twill",
    name: "Dune twill",
    width: "150 cm",
    length: "290 cm",
    fibre: "cotton",
    kind: "twill",
    weight: 240,
    swatch: "#c9b58b",
  },
  {
    id: "sample-kelp-crepe",
    name: "Kelp crepe",
    width: "140 cm",
    length: "400 cm",
    fibre: "wool",
    kind: "crepe",
    weight: 210,
    swatch: "#4d5d3f",
  },
  {
    id: "sample-kelp-left",
    name: "Kelp crepe, left over",
    width: "140 cm",
    length: "62 cm",
    fibre: "wool",
    kind: "crepe",
    weight: 210,
    swatch: "#4d5d3f",
  },
  {
    id: "sample-slate-linen",
    name: "Slate linen",
    width: "54 in",
    length: "126 in",
    fibre: "linen",
    kind: "plain weave",
    weight: 185,
    swatch: "#5d6a73",
  },
];
