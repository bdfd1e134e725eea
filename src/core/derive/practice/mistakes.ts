import { bodice } from "../../moves/bodice";
import { isLineOf } from "../../moves/given";
import { setLength } from "../../moves/setLength";
import { shapeLeg } from "../../moves/shapeLeg";
import { spread } from "../../moves/spread";
import type { Job } from "../../files";
import {
  changed,
  byRule,
  byMove,
  numberOf,
  allowance,
  halfGirth,
  reading,
  dartLength,
  pocketOpening,
  backCentre,
  hemDepth,
  withHem,
  readingMistake,
  seamFront,
  seamBack,
  crotchSeam,
  sideSeam,
  type Mistake,
} from "./spoiling";

/** Every kind of mistake that practice hides, after the troubles that recur in the trade. */
export const MISTAKES: readonly Mistake[] = [
  readingMistake(
    "extension-halved",
    "The front extension was halved",
    "A half of a half: the extension was divided once more than its sum says. Say a sum whole before working it out.",
    "Crotch seam of the front",
    seamFront,
    byRule("frontExtension.add", ({ plan }, size) => -0.5 * size * plan.front.extension),
  ),
  readingMistake(
    "extension-total",
    "The back extension was drawn as the front's",
    "The total was taken for the increment: the back's is the front's and more. Write down from which point a number counts.",
    "Crotch seam of the back",
    seamBack,
    byRule("backExtension.add", ({ plan }, size) => -size * Math.min(plan.front.extension, 0.5 * plan.back.extension)),
  ),
  readingMistake(
    "crotch-short",
    "The crotch is too shallow",
    "The depth was taken without the ease to sit. The crotch seam on the wearer's card says how long it must be.",
    "Whole crotch seam",
    crotchSeam,
    byRule("crotchDepth.add", (_, size) => -30 * size),
  ),
  readingMistake(
    "crotch-long",
    "The crotch is too deep",
    "Ease was added to a depth that held it already: it bags, and the legs catch when walking.",
    "Whole crotch seam",
    crotchSeam,
    byRule("crotchDepth.add", (_, size) => 35 * size),
  ),
  readingMistake(
    "quarter-low",
    "The front's quarter was rounded down",
    "A quarter of the hip was rounded the wrong way, and four times that is missing round the hip.",
    "Front of the hip",
    halfGirth("hip", "front"),
    byRule("ease.front", (_, size) => -13 * size),
  ),
  readingMistake(
    "quarter-high",
    "The front's quarter was rounded up",
    "A quarter of the hip was rounded the wrong way, and four times that is too much round the hip.",
    "Front of the hip",
    halfGirth("hip", "front"),
    byRule("ease.front", (_, size) => 13 * size),
  ),
  readingMistake(
    "ease-eaten",
    "There is no ease at the hip",
    "A girth was taken as it holds ease that was net, so that seams ate what was left. Say of each girth whether it is net.",
    "Hip, all round",
    reading((r) => r.hipGirth),
    (job, _, size) => changed(job, { rule: "ease.front", by: -16 * size }, { rule: "ease.back", by: -16 * size }),
  ),
  readingMistake(
    "ease-twice",
    "Ease was added twice at the hip",
    "The girth held its ease already when it was added. Say of each girth whether it is net.",
    "Hip, all round",
    reading((r) => r.hipGirth),
    (job, _, size) => changed(job, { rule: "ease.front", by: 20 * size }, { rule: "ease.back", by: 20 * size }),
  ),
  readingMistake(
    "halves-swapped",
    "Front and back were mixed up at the hip",
    "The wider half was drawn in front. The back is the wider: mark which is which before the first line.",
    "Back of the hip",
    halfGirth("hip", "back"),
    (job, _, size) => changed(job, { rule: "ease.front", by: 15 * size }, { rule: "ease.back", by: -15 * size }),
  ),
  readingMistake(
    "rise-forgotten",
    "The back rise was forgotten",
    "The back waist was drawn level: it slides down when sitting. The back centre stands above the waist line.",
    "Crotch seam of the back",
    seamBack,
    byRule("back.rise", ({ plan, rules }, size) =>
      rules.back.how === "hinged" ? 0 : -size * Math.max(0, plan.back.centreRise),
    ),
  ),
  readingMistake(
    "waist-tight",
    "The waist is too small",
    "Darts were taken out of a quarter that had lost them already. The sewn waist is what is measured, darts closed.",
    "Waist, sewn",
    reading((r) => r.waistGirth),
    byRule("waist.ease", (_, size) => -32 * size),
  ),
  readingMistake(
    "waist-loose",
    "The waist is too large",
    "The dart was drawn and not taken off the waist. The sewn waist is what is measured, darts closed.",
    "Waist, sewn",
    reading((r) => r.waistGirth),
    byRule("waist.ease", (_, size) => 32 * size),
  ),
  {
    id: "darts-long",
    label: "The back dart runs too near the hip line",
    explains: "Its length was taken from the paper's edge, not from the waist: it ends on the fullest part and points.",
    measure: "Leg of the back dart",
    tool: "tape",
    spoil: (job, sound, size) =>
      dartLength(sound) === null ? null : changed(job, { rule: "waist.backLength", by: 50 * size }),
    read: dartLength,
  },
  readingMistake(
    "front-drop",
    "The front waist rises where it should drop",
    "The drop at the centre front was laid off the wrong way, up from the waist line.",
    "Crotch seam of the front",
    seamFront,
    byRule("waist.frontDrop", ({ rules }, size) => -2 * size * Math.max(0, rules.waist.frontDrop)),
  ),
  readingMistake(
    "knee-standing",
    "The knee was measured standing",
    "A knee measured standing binds when it bends: it is taken bent, with ease.",
    "Knee, one leg",
    reading((r) => r.kneeGirth),
    byMove([numberOf(shapeLeg, "knee")], (now, size) => -0.14 * size * now),
  ),
  readingMistake(
    "hem-half",
    "The hem was halved once too often",
    "The girth of one leg was divided into front and back, and divided again. Say a sum whole before working it out.",
    "Hem, one leg",
    reading((r) => r.hemGirth),
    byMove([numberOf(spread, "hemSpread"), numberOf(shapeLeg, "hem")], (now, size) => -0.25 * size * now),
  ),
  readingMistake(
    "band-twice",
    "The length is short by a band that was taken off twice",
    "The depth of band or cuff comes off once. Say from where a length counts: natural waist, top edge, or block's end.",
    "Side seam",
    sideSeam,
    byMove([numberOf(setLength, "length")], (_, size) => -45 * size),
  ),
  readingMistake(
    "band-forgotten",
    "The depth of a band was not taken off the length",
    "What is sewn on below or above lengthens the leg: it comes off before the hem is drawn.",
    "Side seam",
    sideSeam,
    byMove([numberOf(setLength, "length")], (_, size) => 45 * size),
  ),
  allowance("crotch", "crotch", "crotch seam", 0),
  allowance("inseam", "inseam", "inseam", 0),
  allowance("side", "side", "side seam", 0),
  allowance("waist", "waist", "waist", 0),
  allowance("crotch", "crotch", "crotch seam", 2),
  allowance("inseam", "inseam", "inseam", 2),
  allowance("side", "side", "side seam", 2),
  {
    id: "hem-none",
    label: "The hem has next to no turn-up",
    explains: "The hem was drawn before its allowance was marked, and the paper ended there.",
    measure: "From the hem's fold to its cut line",
    tool: "tape",
    spoil: withHem(6),
    read: hemDepth,
  },
  {
    id: "hem-deep",
    label: "The turn-up is too deep to lie flat",
    explains:
      "A leg that tapers is narrower below its hem: a deep turn-up has to be mirrored, or it cannot be turned flat.",
    measure: "From the hem's fold to its cut line",
    tool: "tape",
    spoil: withHem(110),
    read: hemDepth,
  },
  {
    id: "zip-short",
    label: "The zip is too short to get in by",
    explains: "The opening was measured without the hip going through it: waist and slit together must pass the hip.",
    measure: "Length of the opening",
    tool: "tape",
    spoil: (job, sound, size) => {
      const now = sound.zip?.length.mm;
      const kind = sound.finish.fastening?.kind;
      if (now === undefined || !kind || now - 70 * size < 60) return null;
      const held = job.finish?.fastening;
      const entry = typeof held === "object" ? held : { kind };
      return {
        ...job,
        finish: {
          ...job.finish,
          fastening: { ...entry, length: `${now - 70 * size} mm` } as NonNullable<Job["finish"]>["fastening"],
        },
      };
    },
    read: ({ zip }) => zip?.length.mm ?? null,
  },
  {
    id: "pocket-small",
    label: "The pocket is too small for a hand",
    explains: "The opening was drawn as wide as the bag looks: a hand needs its own breadth and more.",
    measure: "Opening of the pocket",
    tool: "tape",
    spoil: (job, sound) => {
      const held = job.finish?.pockets ?? sound.style.finish.pockets;
      if (!Array.isArray(held) || pocketOpening(sound) === null) return null;
      const pockets = held.map((p: Record<string, unknown>) => (p.kind === "in-seam" ? { ...p, opening: "95 mm" } : p));
      return { ...job, finish: { ...job.finish, pockets: pockets as NonNullable<Job["finish"]>["pockets"] } };
    },
    read: pocketOpening,
  },
  readingMistake(
    "back-as-front",
    "The back bodice was cut as long as the front",
    "Both halves were given one length: at the back it is too much, and bulges at the zip. The back is measured from the nape.",
    "Centre of the back bodice",
    backCentre,
    (job, sound) => {
      const moves = sound.moves.map((m) =>
        isLineOf(m, bodice) ? { ...m, params: { ...m.params, school: "quarters", equalTo: "front" } } : m,
      );
      return sound.moves.some((m) => isLineOf(m, bodice))
        ? { ...job, moves: structuredClone(moves) as Job["moves"] }
        : null;
    },
  ),
];
