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
    crotchLength: "66,5",
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
    crotchLength: "28 1/2",
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

const ODA: Card = {
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

const ROKE: Card = {
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

const JORUN: Card = {
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

const TAMSIN: Card = {
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

const styled = (style: string, name: string, body: Card, date: string, more: Partial<Job>): Job => ({
  ...newJob(name, body, style, date),
  ...more,
});

const palazzo = (name: string, body: Card, date: string, more: Partial<Job>): Job =>
  styled("palazzo", name, body, date, more);

/** What two of Marit's fittings had in common. */
const pulledAcross = (date: string, by: number): NonNullable<Job["fittings"]>[number] => ({
  id: `rise-${date}`,
  date,
  seen: "seat-pulls",
  pinned: "both",
  words: "",
  changes: [{ rule: "back.rise", by }],
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
  {
    id: "sample-ferry-flare",
    job: styled("flare", "Ferry keeper, flared", ODA, "2026-11-19", {
      block: { school: "hinged", rules: { ease: { front: "1/4 in", back: "1/4 in" } } },
      cloth: { name: "Moss cord", width: "57 in", length: "99 in" },
    }),
  },
  {
    id: "sample-string-sweat",
    job: styled("sweat", "Low strings, at ease", ROKE, "2026-11-19", {
      cloth: { name: "Ash jersey", width: "70 in", length: "90 in" },
    }),
  },
  {
    id: "sample-rope-cigarette",
    job: styled("cigarette", "Rope walker", JORUN, "2026-11-20", {
      cloth: { name: "Slate stretch drill", width: "145 cm", length: "160 cm" },
    }),
  },
  {
    id: "sample-drum-culotte",
    job: styled("culotte", "Drummer, culotte", TAMSIN, "2026-11-20", {
      cloth: { name: "Rust linen", width: "135 cm", length: "210 cm" },
    }),
  },
  {
    id: "sample-moth-bell",
    job: styled("bell-flounce", "Moth, full circles", MARIT, "2026-11-20", {
      fittings: [pulledAcross("2026-11-22", 6)],
      cloth: { name: "Kelp crepe", width: "140 cm", length: "400 cm" },
    }),
  },
  {
    id: "sample-wave-sides",
    job: styled("side-fullness", "Wave, full at the sides", ODA, "2026-11-21", {
      cloth: { name: "Slate linen", width: "54 in", length: "126 in" },
    }),
  },
  {
    id: "sample-cook-paperbag",
    job: styled("paper-bag", "Ship's cook", TAMSIN, "2026-11-21", {
      cloth: { name: "Ochre drill", width: "150 cm", length: "155 cm" },
    }),
  },
  {
    id: "sample-mayor-pleats",
    job: styled("pleated", "The mayor, pleated", TOBIN, "2026-11-21", {
      cloth: { name: "Moss cord", width: "57 in", length: "99 in" },
    }),
  },
  {
    id: "sample-climber-jogger",
    job: styled("jogger", "Climber, cuffed", JORUN, "2026-11-22", {
      cloth: { name: "Ash jersey", width: "178 cm", length: "230 cm" },
    }),
  },
  {
    id: "sample-gull-slit",
    job: styled("front-slit", "Gull, one leg buttoned", ILKA, "2026-11-22", {
      cloth: { name: "Dune twill", width: "59 in", length: "114 in" },
    }),
  },
  {
    id: "sample-baker-yoke",
    job: styled("yoke-flare", "Baker's daughter, yoked", MARIT, "2026-11-22", {
      fittings: [pulledAcross("2026-11-24", 8)],
      cloth: { name: "Dune twill", width: "150 cm", length: "290 cm" },
    }),
  },
  {
    id: "sample-kite-one-piece",
    job: styled("one-piece", "Kite flyer, in one piece", JORUN, "2026-11-27", {
      cloth: { name: "Kelp crepe", width: "150 cm", length: "420 cm" },
    }),
  },
  {
    id: "sample-lamp-lighter",
    job: styled("one-piece", "Lamp lighter, flared", JORUN, "2026-11-27", {
      style: { id: "one-piece", params: { leg: "flare" } },
      moves: movesOfStyle("one-piece", { leg: "flare" }),
      cloth: { name: "Slate linen", width: "150 cm", length: "420 cm" },
    }),
  },
  {
    id: "sample-well-top",
    job: styled("cowl-top", "Well keeper's top", JORUN, "2026-11-28", {
      cloth: { name: "Kelp crepe", width: "150 cm", length: "160 cm" },
    }),
  },
  {
    id: "sample-bell-ringer",
    job: styled("one-piece", "Bell ringer, gathered", SUNNIVA, "2026-11-27", {
      style: { id: "one-piece", params: { leg: "culotte", school: "quarters" } },
      moves: movesOfStyle("one-piece", { leg: "culotte" }),
      cloth: { name: "Kelp crepe", width: "140 cm", length: "400 cm" },
    }),
  },
];
