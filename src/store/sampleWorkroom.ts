import type { Job } from "@/core/files";
import { movesOfStyle, newJob } from "@/core/derive/newJob";

/** The sample workroom: a travelling puppet theatre dresses its company. Everyone in it is invented. */

type Card = Job["body"];

const MARIT: Card = {
  name: "Marit Oswin",
  unit: "cm",
  taken: "2026-10-12",
  measures: {
    waist: "73,5",
    hip: "101",
    thigh: "59",
    knee: "38",
    kneeBent: "41,5",
    calf: "36,5",
    ankle: "23,5",
    heel: "33",
    waistToHip: "20,5",
    crotchDepth: "27,5",
    crotchLength: "69",
    waistToKnee: "59",
    waistToAnkle: "96",
    waistToFloor: "104",
  },
};

const TOBIN: Card = {
  name: "Tobin Arkwell",
  unit: "in",
  taken: "2026-10-12",
  measures: {
    waist: "38 1/2",
    hip: "43 3/8",
    thigh: "25 1/4",
    knee: "16 1/8",
    kneeBent: "17 1/2",
    waistToHip: "9",
    crotchDepth: "11 7/8",
    crotchLength: "30 1/2",
    waistToKnee: "25 1/2",
    waistToAnkle: "41 1/4",
    waistToFloor: "44 5/8",
  },
};

const SUNNIVA: Card = {
  name: "Sunniva Pell",
  unit: "cm",
  taken: "2026-11-02",
  measures: { waist: "96", hip: "118", crotchDepth: "31", waistToFloor: "101", height: "162" },
  note: "Carded between two shows; the rest still to be measured.",
};

const ILKA: Card = {
  name: "Ilka Brandreth",
  unit: "in",
  taken: "2026-11-02",
  measures: {
    waist: "25 3/4",
    hip: "35 1/2",
    thigh: "20 3/8",
    knee: "13 3/4",
    waistToHip: "7 3/8",
    crotchDepth: "10",
    waistToKnee: "21 3/4",
    waistToFloor: "38 1/4",
  },
};

/** Earlier cards of two wearers: one settled, one still growing. */
export const SAMPLE_CARDS: readonly Card[] = [
  {
    ...MARIT,
    taken: "2025-09-08",
    measures: { ...MARIT.measures, waist: "71", hip: "99,5", thigh: "58", knee: "37,5" },
  },
  { ...MARIT, taken: "2026-03-21", measures: { ...MARIT.measures, waist: "75", hip: "102,5", thigh: "60" } },
  MARIT,
  {
    ...ILKA,
    taken: "2025-10-30",
    measures: {
      ...ILKA.measures,
      waist: "24 5/8",
      hip: "33 1/4",
      thigh: "19",
      crotchDepth: "9 3/8",
      waistToKnee: "20 1/4",
      waistToFloor: "35 3/4",
    },
  },
  {
    ...ILKA,
    taken: "2026-05-14",
    measures: {
      ...ILKA.measures,
      waist: "25 1/4",
      hip: "34 1/2",
      thigh: "19 7/8",
      crotchDepth: "9 3/4",
      waistToKnee: "21",
      waistToFloor: "37 1/8",
    },
  },
  ILKA,
];

const palazzo = (name: string, body: Card, date: string, more: Partial<Job>): Job => ({
  ...newJob(name, body, "palazzo", date),
  ...more,
});

/** The style's moves with some parameters set, by the move's id. */
const withParams = (params: Readonly<Record<string, Record<string, unknown>>>): NonNullable<Job["moves"]> =>
  movesOfStyle("palazzo").map((m) => ({ ...m, params: params[m.id] ?? {} }));

export const SAMPLE_JOBS: readonly { readonly id: string; readonly job: Job }[] = [
  {
    id: "sample-heron-walk",
    job: palazzo("Heron walk, wide leg", MARIT, "2026-11-04", {
      moves: withParams({ m2: { length: "103,2 cm" }, m3: { hemSpread: "240 mm" } }),
      cloth: { name: "Dune twill", width: "150 cm", length: "290 cm" },
    }),
  },
  {
    id: "sample-lantern-bearer",
    job: palazzo("Lantern bearer", TOBIN, "2026-11-09", {
      style: { id: "palazzo", params: { length: "ankle" } },
      moves: withParams({ m3: { hemSpread: "4 in" } }),
      cloth: { name: "Slate linen", width: "54 in", length: "126 in" },
    }),
  },
  {
    id: "sample-tide-chorus",
    job: palazzo("Tide chorus", SUNNIVA, "2026-11-16", {
      style: { id: "palazzo", params: { hemGirth: "120 cm" } },
      cloth: { name: "Kelp crepe", width: "140 cm", length: "400 cm" },
    }),
  },
  {
    id: "sample-wren-shorts",
    job: palazzo("Wren, to the knee", ILKA, "2026-11-18", {
      style: { id: "palazzo", params: { length: "knee" } },
      moves: withParams({ m3: { hemSpread: "3 1/2 in" } }),
      cloth: { name: "Ochre drill", width: "59 in", length: "60 in" },
    }),
  },
];
