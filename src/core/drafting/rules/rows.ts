import { ANY_RULES, type ResolvedRules } from "./known";
import { SECTIONS, type RuleParam, type Section, type When } from "./define";

/** One number or choice of the rules, and where a job keeps it. */
export interface RuleRow {
  readonly path: readonly [rule: string] | readonly [rule: string, key: string];
  readonly param: RuleParam;
}

const ROWS: readonly RuleRow[] = Object.entries(ANY_RULES).flatMap(([name, rule]): RuleRow[] =>
  rule.is === "one"
    ? [{ path: [name], param: rule.param }]
    : Object.entries(rule.params).map(([key, param]) => ({ path: [name, key], param })),
);

/** Every rule of the draft by section, in the order in which a block is drawn. */
export const RULE_SECTIONS: readonly { readonly section: Section; readonly rows: readonly RuleRow[] }[] = SECTIONS.map(
  (section) => ({ section, rows: ROWS.filter(({ param }) => param.section === section) }),
);

/** The row of a rule, by its path as fittings and notes name it: `back.rise`. */
export const ruleRowOf = (path: string): RuleRow | undefined => ROWS.find((row) => row.path.join(".") === path);

/** The value of a rule, by its path. */
export function ruleAt(rules: ResolvedRules, path: readonly string[]): string | number | boolean {
  const [name = "", key] = path;
  const group = (rules as unknown as Record<string, unknown>)[name];
  return (key === undefined ? group : (group as Record<string, unknown>)[key]) as string | number | boolean;
}

/** True where the chosen construction uses a rule. */
export function isUsed({ param: { when = {}, unless = {} } }: RuleRow, rules: ResolvedRules): boolean {
  const is = ([path, values]: [string, readonly string[]]): boolean =>
    values.includes(String(ruleAt(rules, path.split("."))));
  return (
    (Object.entries(when as When) as [string, readonly string[]][]).every(is) &&
    !(Object.entries(unless as When) as [string, readonly string[]][]).some(is)
  );
}
