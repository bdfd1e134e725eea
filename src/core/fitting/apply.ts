import { ruleAt, ruleRowOf, type Block, type Numbers, type OwnCorrection, type ResolvedRules } from "../drafting";
import { MOVES } from "../moves";
import type { LengthParam } from "../params";
import { range, Refusal, say, type Mm } from "../units";
import type { Fitting, FittingChange } from "./schema";

/** What an automatic rule came to, on the block drafted without the fitting. */
const DRAWN: Readonly<Record<string, (block: Block) => Mm | undefined>> = {
  // The rise alone: what a lower crotch line adds to it is a rule of its own.
  "back.rise": ({ numbers }) => numbers.backRise?.mm,
  "waist.backIntake": ({ plan }) => plan.back.darts.intake,
  "waist.frontIntake": ({ plan }) => plan.front.darts.intake,
};

/** The rule that a fitting changes: a length of a group; refused where there is none of this name. */
function changedRow(
  rule: string,
  at: string,
): { readonly path: readonly [string, string]; readonly param: LengthParam } {
  const { path, param } = ruleRowOf(rule) ?? {};
  if (param?.as !== "length" || path?.length !== 2)
    throw new Refusal(at, say`There is no number “${rule}” that a fitting changes.`, { unreadable: true });
  return { path, param };
}

/** Refuses a fitting that changes a number there is not, before a block brought in passes over what it has not. */
export const refuseUnknownRules = (fittings: readonly Fitting[]): void =>
  fittings.forEach(({ changes }, i) =>
    changes.forEach((change, k) => void ("rule" in change && changedRow(change.rule, `fittings.${i}.changes.${k}`))),
  );

/**
 * The rules with what fittings changed on top of them. `drafted` gives the block without the fittings, for rules that
 * settle themselves. Throws Refusal at the fitting, with the largest amount that can be drawn.
 */
export function fittedRules(rules: ResolvedRules, fittings: readonly Fitting[], drafted: () => Block): ResolvedRules {
  if (!fittings.some(({ changes }) => changes.some((c) => "rule" in c))) return rules;
  const fitted = structuredClone(rules) as unknown as Record<string, Record<string, Mm | string | boolean>>;
  fittings.forEach(({ changes }, i) =>
    changes.forEach((change, k) => {
      if (!("rule" in change)) return;
      const at = `fittings.${i}.changes.${k}`;
      const row = changedRow(change.rule, at);
      const now = ruleAt(fitted as unknown as ResolvedRules, row.path);
      const was = typeof now === "number" ? now : DRAWN[change.rule]?.(drafted());
      if (was === undefined) throw new Refusal(at, say`“${row.param.label}” settles itself here. State it first.`);
      const next = was + change.by;
      const [least, most] = row.param.within ?? [-Infinity, Infinity];
      if (next < least - 1e-9 || next > most + 1e-9)
        throw new Refusal(
          at,
          say`“${row.param.label}” is ${was} and stays within ${range(least, most)}: it can change by ${change.by > 0 ? most - was : was - least} at the most.`,
          { least: least - was, most: most - was },
        );
      const [group, key] = row.path;
      (fitted[group] as Record<string, Mm>)[key] = next;
    }),
  );
  return fitted as unknown as ResolvedRules;
}

/** What fittings change of rules, each with the day of its fitting. */
export const ruleChanges = (fittings: readonly Fitting[]): readonly OwnCorrection[] =>
  fittings.flatMap(({ changes, date }) => changes.flatMap((c) => ("rule" in c ? [{ ...c, date }] : [])));

interface Entry {
  readonly move: string;
  readonly on: boolean;
  readonly params: Readonly<Record<string, unknown>>;
}

/** What fittings change of moves, by move and parameter. */
const moveChanges = (fittings: readonly Fitting[]): readonly Extract<FittingChange, { move: string }>[] =>
  fittings.flatMap(({ changes }) => changes.flatMap((c) => ("move" in c ? [c] : [])));

export const changesMoves = (fittings: readonly Fitting[]): boolean => moveChanges(fittings).length > 0;

/**
 * The moves with what fittings changed: the last line of its kind is given what its number came to without them, and the
 * amount on top. `numbersOf` gives the numbers of a line as it was made without the fittings. A change whose move is not
 * among the lines does nothing.
 */
export function fittedMoves<E extends Entry>(
  moves: readonly E[],
  fittings: readonly Fitting[],
  numbersOf: (index: number) => Numbers | undefined,
): readonly E[] {
  const added = new Map<string, Map<string, Mm>>();
  for (const { move, param, by } of moveChanges(fittings)) {
    const own = added.get(move) ?? new Map<string, Mm>();
    added.set(move, own.set(param, (own.get(param) ?? 0) + by));
  }
  return moves.map((entry, i) => {
    const isLast = moves.findLastIndex((m) => m.on && m.move === entry.move) === i;
    const own = isLast ? added.get(entry.move) : undefined;
    if (!own) return entry;
    const params = Object.fromEntries(
      [...own].flatMap(([param, by]) => {
        const stated = MOVES[entry.move]?.params[param];
        const shown = stated?.as === "length" ? (stated.shown ?? param) : param;
        const was = numbersOf(i)?.[shown]?.mm;
        return was === undefined ? [] : [[param, `${was + by} mm`]];
      }),
    );
    return { ...entry, params: { ...entry.params, ...params } };
  });
}
