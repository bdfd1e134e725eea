import type { Move, MoveContext, MoveResult, StyleState } from "../moves";
import type { MoveEntry } from "../styles";
import { isStated, joined, limitsOf, nearestOf, Refusal, say, type Mm, type Sentence } from "../units";

/** So many numbers of a move may give way; one that still cannot be made says so. */
const MOST_GIVEN_WAY = 4;

/**
 * Makes a move on a pattern; numbers of the style's own that cannot be made give way to the nearest that can, with a word.
 * Throws the move's Refusal where the maker's own number cannot be made.
 */
export function applied(
  state: StyleState,
  move: Move,
  params: object,
  entry: MoveEntry,
  context: MoveContext,
): { readonly result: MoveResult; readonly gaveWay: Sentence | null } {
  const given: Record<string, string> = {};
  const words: Sentence[] = [];
  for (;;) {
    try {
      const gaveWay = words.length > 0 ? say` The style's own number gives way: ${joined(words, " ")}` : null;
      return { result: move.apply(state, { ...params, ...given }, context), gaveWay };
    } catch (error) {
      if (!(error instanceof Refusal) || error.unreadable) throw error;
      const rounded = inTenths(error);
      const nearest = rounded.yields ?? nearestOf(rounded);
      const { path } = error;
      if (
        nearest === undefined ||
        words.length === MOST_GIVEN_WAY ||
        move.params[path]?.as !== "length" ||
        isStatedByMaker(entry, path, context)
      )
        throw rounded;
      given[path] = `${nearest} mm`;
      words.push(error.says);
    }
  }
}

/** A limit as it is told: to a tenth of a millimetre, rounded to the inner side. */
const toTenth = (mm: Mm): Mm => Math.trunc(mm * 10 + 1e-6 * Math.sign(mm)) / 10 || 0;

function inTenths({ path, says, least, most, yields }: Refusal): Refusal {
  const limits = limitsOf({
    ...(least !== undefined && { least: toTenth(least) }),
    ...(most !== undefined && { most: toTenth(most) }),
  });
  return new Refusal(path, says, { ...limits, ...(yields !== undefined && { yields: toTenth(yields) }) });
}

/** The name of the style's parameter that fills what a move leaves open. */
const fedBy = ({ move }: MoveEntry, param: string, { feeds }: MoveContext): string =>
  feeds[`${move}.${param}`] ?? param;

/** True where the maker stated a move's parameter, with the move or with the style; else it is the style's own. */
const isStatedByMaker = (entry: MoveEntry, param: string, context: MoveContext): boolean =>
  isStated(entry.params[param]) || context.stated.has(fedBy(entry, param, context));

/** Where in the job a move's parameter was stated: with the move, or with the style that fills what the move leaves open. */
export function placeOf(entry: MoveEntry, index: number, param: string, context: MoveContext): string {
  const fed = fedBy(entry, param, context);
  return !isStated(entry.params[param]) && context.stated.has(fed)
    ? `style.params.${fed}`
    : `moves.${index}.params.${param}`;
}
