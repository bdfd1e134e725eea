import type { Mm } from "../units";
import type { Param } from "../params";
import { either, millimetres as mm, oneOf, type Random } from "./choices";

const share = (low: number, high: number) => (random: Random) => low + (high - low) * random();
export const whole = (low: number, high: number) => (random: Random) => low + Math.floor((high - low + 1) * random());

/** Lengths that are tried where a parameter says neither what can be made nor what is tried. */
const ANY: readonly [Mm, Mm] = [0, 100];

/** What a maker might state of a parameter, some of it beyond what can be drawn. */
export function randomValue(param: Param, random: Random): unknown {
  switch (param.as) {
    case "length":
      return param.names && random() < 0.7
        ? oneOf(...param.names)(random)
        : mm(...(param.tried ?? param.within ?? ANY))(random);
    case "number":
      return (param.whole ? whole : share)(param.least, param.most)(random);
    case "ruled":
      return random() < 0.7
        ? oneOf(...param.options.map(([value]) => value))(random)
        : mm(...(param.within ?? ANY))(random);
    case "choice":
      return oneOf(...param.options.map(([value]) => value))(random);
    case "flag":
      return either(random);
    case "levels":
      return Array.from({ length: whole(0, 2)(random) }, () => ({
        at: random() < 0.7 ? oneOf(...param.names)(random) : mm(420, 900)(random),
        girth: mm(320, 800)(random),
      }));
    case "table":
      return undefined;
  }
}

/** Some parameters, each stated about as often as `often` says. */
export function randomParams(
  params: Readonly<Record<string, Param>>,
  random: Random,
  often: number,
): Record<string, unknown> {
  const stated = Object.entries(params).filter(([, param]) => param.as !== "table" && random() < often);
  return Object.fromEntries(stated.map(([name, param]) => [name, randomValue(param, random)]));
}
