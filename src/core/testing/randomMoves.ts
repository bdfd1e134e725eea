import type { Job } from "../files";
import { MOVES, type Param } from "../moves";
import { STYLES } from "../styles";
import { seededRandom } from "./bodies";
import { either, millimetres as mm, oneOf, type Random } from "./choices";

type Moves = NonNullable<Job["moves"]>;
const share = (low: number, high: number) => (random: Random) => low + (high - low) * random();
const whole = (low: number, high: number) => (random: Random) => low + Math.floor((high - low + 1) * random());

/** What a maker might state of a parameter, some of it beyond what can be drawn. */
export function randomValue(param: Param, random: Random): unknown {
  switch (param.as) {
    case "length":
      return param.names && random() < 0.7 ? oneOf(...param.names)(random) : mm(...param.tried)(random);
    case "number":
      return (param.whole ? whole : share)(param.least, param.most)(random);
    case "choice":
      return oneOf(...param.options.map(([value]) => value))(random);
    case "flag":
      return either(random);
    case "table":
      return undefined;
  }
}

/** A style's worksheet with one to three more moves anywhere in it, each with about half of its parameters stated. */
export function randomWorksheet(seed: number): { readonly style: string; readonly moves: Moves } {
  const random = seededRandom(seed);
  const style = oneOf(...Object.keys(STYLES))(random);
  const moves: Moves = (STYLES[style]?.moves ?? []).map((entry) => ({ ...entry, params: { ...entry.params } }));
  const more = whole(1, 3)(random);
  for (let i = 0; i < more; i++) {
    const [move, { params: known }] = oneOf(...Object.entries(MOVES))(random);
    const stated = Object.entries(known).filter(([, param]) => param.as !== "table" && random() < 0.55);
    const params = Object.fromEntries(stated.map(([name, param]) => [name, randomValue(param, random)]));
    moves.splice(Math.floor(random() * (moves.length + 1)), 0, { id: `more-${i}`, move, on: true, params });
  }
  return { style, moves };
}
