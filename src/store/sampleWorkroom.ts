import type { Job } from "@/core/files";
import { movesOfStyle, newJob } from "@/core/derive/newJob";
import { MARIT, TOBIN, SUNNIVA, ILKA, ODA, ROKE, JORUN, TAMSIN } from "./sampleCards";

/** The sample workroom: a travelling puppet theatre dresses its company. Everyone in it is invented. */

type Card = Job["body"];

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
      moves: withParams({ m3: { hemSpread: "3 5/8 in" } }),
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
