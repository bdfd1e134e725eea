import type { Job } from "../files";
import { MOVES } from "../moves";
import { STYLES } from "../styles";
import { seededRandom } from "./bodies";
import { oneOf } from "./choices";
import { randomParams, whole } from "./randomParams";

type Moves = NonNullable<Job["moves"]>;

/** A style's worksheet with one to three more moves anywhere in it, each with about half of its parameters stated. */
export function randomWorksheet(seed: number): { readonly style: string; readonly moves: Moves } {
  const random = seededRandom(seed);
  const style = oneOf(...Object.keys(STYLES))(random);
  const moves: Moves = (STYLES[style]?.moves ?? []).map((entry) => ({ ...entry, params: { ...entry.params } }));
  const more = whole(1, 3)(random);
  for (let i = 0; i < more; i++) {
    const [move, { params: known }] = oneOf(...Object.entries(MOVES))(random);
    const params = randomParams(known, random, 0.55);
    moves.splice(Math.floor(random() * (moves.length + 1)), 0, { id: `more-${i}`, move, on: true, params });
  }
  return { style, moves };
}
