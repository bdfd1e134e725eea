import { bodice } from "../moves/bodice";
import { isLineOf } from "../moves/given";
import { spread } from "../moves/spread";
import { BACKS, SCHOOLS } from "../drafting";
import { movesOfStyle } from "../derive/newJob";
import { JOB_VERSION, type Job } from "../files";
import { plausibleBody, seededRandom } from "./bodies";
import { oneOf } from "./choices";
import { HAND_BODY, palazzoJob } from "./jobs";
import { ownBlockOf } from "./ownBlock";
import { ownBodiceOf } from "./ownBodice";
import { bodiceJob, upperBody } from "./randomBodice";
import { randomFinish } from "./randomFinish";
import { randomWorksheet } from "./randomMoves";

/** A random garment with legs, as its job is kept: body, rules of any school, style or worksheet, finish, allowances. */
export function randomLegs(seed: number): unknown {
  const random = seededRandom(seed * 7919 + 13);
  const { style, moves } = randomWorksheet(seed * 31 + 7);
  const mm = (low: number, high: number): string => `${(low + (high - low) * random()).toFixed(1)} mm`;
  const maybe = (share: number, value: () => Record<string, unknown>): Record<string, unknown> =>
    random() < share ? value() : {};
  const rules = {
    ...maybe(0.4, () => ({ ease: { front: mm(0, 30), back: mm(0, 40) } })),
    ...maybe(0.4, () => ({ back: { how: oneOf(...Object.keys(BACKS))(random) } })),
    ...maybe(0.3, () => ({ waist: { shaping: oneOf("darts", "none", "hipWide", "centreBack")(random) } })),
    ...maybe(0.3, () => ({ frontExtension: { from: oneOf("hip20", "hip16", "quarter4", "hip8", "girth")(random) } })),
    ...maybe(0.2, () => ({ hang: oneOf("crease", "side", "inseam", "offset")(random) })),
    ...maybe(0.2, () => ({ dart: { at: oneOf("mid", "crease", "fixed")(random), value: mm(40, 120) } })),
    ...maybe(0.2, () => ({ crotchDepth: { add: mm(-10, 40) } })),
    ...maybe(0.2, () => ({ curve: { steer: oneOf("diagonal", "hipPoint", "outAndUp")(random) } })),
  };
  return {
    format: "eland-job",
    version: JOB_VERSION,
    name: `random ${seed}`,
    body: plausibleBody(seed + 500),
    block: { school: oneOf(...Object.keys(SCHOOLS))(random), rules },
    style: { id: style, params: maybe(0.3, () => ({ length: oneOf("full", "ankle", "calf", "knee")(random) })) },
    ...(random() < 0.75 ? { moves } : {}),
    finish: randomFinish(random),
    allowances: { set: oneOf("woven", "stretch", "overlocked", "let-out", "children")(random) },
    ...(random() < 0.5 ? { cloth: { name: "Plain", width: "150 cm" } } : {}),
  };
}

/** A style that ends at a length, its hem stated. */
export function styledJob(id: string, length: string): Job {
  const stated: Readonly<Record<string, object>> = { "set-length": { length }, "shape-leg": { hem: "560 mm" } };
  return palazzoJob(HAND_BODY, {
    style: { id, params: {} },
    moves: movesOfStyle(id, {}).map((m) => ({ ...m, params: { ...m.params, ...stated[m.move] } })),
  });
}

/** A palazzo whose sides are cut away across the leg to the inseam, a panel set in from there down. */
export const acrossJob = (): Job =>
  palazzoJob(HAND_BODY, {
    moves: [
      ...movesOfStyle("palazzo", {}).filter((m) => !isLineOf(m, spread)),
      { id: "across", move: "side-panel", on: true, params: { ends: "inseam" } },
    ],
  });

/** A garment cut from a block that was brought in: drafted for one body, worn by another, with a random worksheet. */
export function randomOwnBlock(seed: number): Job {
  const drafted = palazzoJob(plausibleBody(seed), { style: { id: "straight", params: {} }, moves: [] });
  const { moves } = randomWorksheet(seed * 17 + 3);
  return palazzoJob(plausibleBody(seed + (seed % 2)), {
    block: { school: "own", rules: {}, own: ownBlockOf((marks) => marks, drafted) },
    style: { id: "straight", params: {} },
    moves,
    finish: randomFinish(seededRandom(seed)),
  });
}

/** A garment on a bodice that was brought in: drafted for one body, worn by another. */
export function randomOwnBodice(seed: number): Job {
  const job = bodiceJob(seed);
  const own = ownBodiceOf(job);
  const moves = job.moves?.map((m) => (isLineOf(m, bodice) ? { ...m, params: { ...m.params, school: "own" } } : m));
  return { ...job, body: upperBody(seed + (seed % 2)), block: { ...job.block, bodice: own }, ...(moves && { moves }) };
}
