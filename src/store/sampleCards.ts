import type { Job } from "@/core/files";

/** The wearers of the sample workroom and their cards. Everyone here is invented. */

type Card = Job["body"];

export const MARIT: Card = {
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
    crotchLength: "66,5",
    waistToKnee: "59",
    waistToAnkle: "96",
    waistToFloor: "104",
  },
};

export const TOBIN: Card = {
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
    crotchLength: "28 1/2",
    waistToKnee: "25 1/2",
    waistToAnkle: "41 1/4",
    waistToFloor: "44 5/8",
  },
};

export const SUNNIVA: Card = {
  name: "Sunniva Pell",
  unit: "cm",
  taken: "2026-11-02",
  measures: { waist: "96", hip: "118", crotchDepth: "31", waistToFloor: "101", height: "162", bust: "111" },
  note: "Carded between two shows; the rest still to be measured.",
};

export const ILKA: Card = {
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

export const ODA: Card = {
  name: "Oda Marchetti-Reyes",
  unit: "in",
  taken: "2026-11-09",
  measures: {
    waist: "31",
    hip: "42",
    thigh: "24 1/2",
    knee: "15 3/4",
    kneeBent: "17",
    calf: "15",
    ankle: "9 3/4",
    heel: "13 1/4",
    waistToHip: "8 1/2",
    crotchDepth: "11 1/4",
    crotchLength: "26 3/4",
    waistToKnee: "23 1/2",
    waistToCalf: "29",
    waistToAnkle: "38",
    waistToFloor: "41 1/4",
  },
};

export const ROKE: Card = {
  name: "Roke Vantry",
  unit: "in",
  taken: "2026-11-09",
  datum: "shoulder",
  measures: {
    waist: "34",
    hip: "40",
    thigh: "23 1/2",
    knee: "15 1/2",
    waistToHip: "27 1/2",
    crotchDepth: "11 1/2",
    crotchLength: "27 1/2",
    waistToKnee: "43 1/2",
    waistToAnkle: "59",
    waistToFloor: "62 1/2",
    shoulderToWaist: "18 1/4",
  },
  note: "Plays the low strings; levels taken from the shoulder.",
};

export const JORUN: Card = {
  name: "Jorun Haverkamp",
  unit: "cm",
  taken: "2026-11-16",
  measures: {
    waist: "84",
    hip: "99",
    thigh: "56,5",
    knee: "40",
    kneeBent: "43",
    calf: "39",
    ankle: "25",
    heel: "36",
    height: "193",
    waistToHip: "23",
    crotchDepth: "29,5",
    crotchLength: "70,5",
    waistToKnee: "67",
    waistToAnkle: "110",
    waistToFloor: "119",
    bust: "103",
    neck: "39",
    shoulderWidth: "44",
    napeToWaist: "47",
    shoulderToWaist: "52",
    shoulderToBust: "31",
    bustSpan: "20,5",
    upperArm: "32",
  },
  note: "Climbs: knee measured bent.",
};

export const TAMSIN: Card = {
  name: "Tamsin Obray",
  unit: "cm",
  taken: "2026-11-16",
  measures: {
    waist: "78",
    hip: "92",
    thigh: "54",
    knee: "35",
    waistToHip: "18",
    crotchDepth: "25,5",
    crotchLength: "62,6",
    waistToKnee: "53",
    waistToAnkle: "86",
    waistToFloor: "93,5",
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
