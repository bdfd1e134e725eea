import { readWithin, usualOf, usualOn, type Param, type PerTape } from "../../params";
import {
  say,
  tapeOf,
  type Complaint,
  type LengthInput,
  type Mm,
  type Sentence,
  type Tape,
  type Unit,
} from "../../units";
import { ANY_RULES, type BackHow, type ResolvedRules, type Rules, type WaistShaping } from "./known";
import { remembered } from "../../remember";
import { BACKS, SCHOOLS, SHAPINGS, type Preset, type SchoolId } from "../schools";

type RuleValue = Mm | string | boolean;
type Values = Record<string, Record<string, RuleValue> | RuleValue>;

/** A rule whose value is not the school's own: which, and by whom it was changed. */
export interface ChangedRule {
  readonly path: string;
  readonly by: "style" | "maker";
}

export interface ResolvedRuleSet {
  readonly rules: ResolvedRules;
  /** What rules would be with nothing of the maker's or the style's: the school's, and the chosen back's. */
  readonly preset: ResolvedRules;
  readonly changed: readonly ChangedRule[];
  readonly errors: readonly Complaint[];
}

/** What every school starts from. */
const usualRules = (tape: Tape): Values =>
  Object.fromEntries(
    Object.entries(ANY_RULES).map(([name, rule]) => [
      name,
      rule.is === "one"
        ? usualOf(rule.param, tape)
        : Object.fromEntries(Object.entries(rule.params).map(([key, param]) => [key, usualOf(param, tape)])),
    ]),
  );

const onTape = (value: PerTape | string | boolean, tape: Tape): RuleValue =>
  typeof value === "object" || typeof value === "number" ? usualOn(value, tape) : value;

/** Lays a preset over rules, each number as it is usual on the tape. */
function lay(rules: Values, preset: Preset, tape: Tape): Values {
  const laid: Values = { ...rules };
  for (const [name, stated] of Object.entries(preset)) {
    const group = laid[name];
    if (typeof group !== "object") laid[name] = onTape(stated as PerTape | string | boolean, tape);
    else {
      const own = Object.entries(stated as Readonly<Record<string, PerTape | string>>);
      laid[name] = { ...group, ...Object.fromEntries(own.map(([key, value]) => [key, onTape(value, tape)])) };
    }
  }
  return laid;
}

/** How many presets are kept: more than one garment asks for. */
const PRESETS_KEPT = 16;

/** The rules of a school on a tape; a block brought in is restyled by the proportional school's. */
export const schoolRules = (school: SchoolId, tape: Tape): ResolvedRules => presetFor(school, undefined, tape);

/**
 * The school's rules with its back's own numbers, or, where another back is chosen, that back's numbers over nothing
 * else: what the school's back left behind is gone. The way the waist is shaped brings its own numbers as well.
 */
export const presetFor = remembered(
  (school: SchoolId, how: BackHow | undefined, tape: Tape, shaping?: WaistShaping): ResolvedRules => {
    const { rules } = SCHOOLS[school === "own" ? "proportional" : school];
    const usual = usualRules(tape);
    const own = rules.back?.how ?? (usual.back as { how: BackHow }).how;
    const made = { back: { ...BACKS[how ?? own].preset.back, how: how ?? own } };
    const ofSchool = lay(usual, rules, tape);
    const laid =
      how === undefined || how === own
        ? lay(ofSchool, made, tape)
        : lay({ ...lay(ofSchool, BACKS[how].preset, tape), back: usual.back as Record<string, RuleValue> }, made, tape);
    return lay(
      laid,
      SHAPINGS[shaping ?? (laid.waist as { shaping: WaistShaping }).shaping] ?? {},
      tape,
    ) as unknown as ResolvedRules;
  },
  PRESETS_KEPT,
);

/** Rules that can be written to without writing to those they come from. */
const copied = (rules: Values): Values =>
  Object.fromEntries(
    Object.entries(rules).map(([name, value]) => [name, typeof value === "object" ? { ...value } : value]),
  );

type Entry = readonly [group: string, key: string | null, raw: LengthInput | string | boolean];

/** A layer's rules as [group, key, typed value]; rules that are one choice have no key. */
function entriesOf(rules: Rules): Entry[] {
  return Object.entries(rules).flatMap(([name, values]): Entry[] => {
    const rule = ANY_RULES[name];
    if (values === undefined || !rule) return [];
    if (typeof values !== "object") return [[name, rule.is === "group" ? (rule.alone ?? null) : null, values]];
    return Object.entries(values as Readonly<Record<string, LengthInput | undefined>>).flatMap(([key, raw]): Entry[] =>
      raw === undefined ? [] : [[name, key, raw]],
    );
  });
}

/**
 * Lays a school's preset, the style's rules and the maker's own over each other and reads their lengths. A back
 * chosen by a layer brings its own preset. Returns the rules in millimetres with the list of what differs from the
 * school (or from the chosen back), or errors with paths.
 */
export function resolveRules(
  school: SchoolId,
  layers: readonly { readonly by: "style" | "maker"; readonly rules: Rules }[],
  unit: Unit,
): ResolvedRuleSet {
  const tape = tapeOf(unit);
  const how = layers.map((l) => l.rules.back?.how).findLast((h) => h !== undefined);
  const shaping = layers.map((l) => l.rules.waist?.shaping).findLast((to) => to !== undefined);
  const preset = presetFor(school, how, tape, shaping);
  const base = preset as unknown as Values;
  const resolved = copied(base);
  const changed = new Map<string, ChangedRule>();
  const errors: Complaint[] = [];
  for (const { by, rules } of layers) {
    for (const name of rebased(rules, resolved)) {
      const group = resolved[name];
      if (typeof group !== "object") continue;
      group.add = 0;
      const { add: own } = base[name] as Record<string, RuleValue>;
      changed.delete(`${name}.add`);
      if (own !== 0) changed.set(`${name}.add`, { path: `${name}.add`, by });
    }
    for (const [name, key, raw] of entriesOf(rules)) {
      const path = key === null ? name : `${name}.${key}`;
      const rule = ANY_RULES[name];
      const param = rule?.is === "one" ? rule.param : rule?.params[key ?? ""];
      const read = readRule(param, raw, unit);
      if (!read.ok) {
        errors.push({ path: `block.rules.${path}`, says: read.says });
        continue;
      }
      const group = resolved[name];
      if (key === null) resolved[name] = read.value;
      else if (typeof group === "object") group[key] = read.value;
      changed.delete(path);
      const own = key === null ? base[name] : (base[name] as Record<string, RuleValue>)[key];
      const isSchools = path === "back.how" ? schoolRules(school, tape).back.how === read.value : own === read.value;
      if (!isSchools) changed.set(path, { path, by });
    }
  }
  return { rules: resolved as unknown as ResolvedRules, preset, changed: [...changed.values()], errors };
}

/** Rules that a layer takes from elsewhere than before: what was added to the old sum is no part of the new one. */
const rebased = (rules: Rules, now: Values): string[] =>
  Object.entries(rules).flatMap(([name, stated]) => {
    const group = now[name];
    if (typeof stated !== "object" || typeof group !== "object" || !("from" in stated) || !("add" in group)) return [];
    return stated.from !== undefined && stated.from !== group.from ? [name] : [];
  });

function readRule(
  param: Param | undefined,
  raw: LengthInput | string | boolean,
  unit: Unit,
): { readonly ok: true; readonly value: RuleValue } | { readonly ok: false; readonly says: Sentence } {
  if (param?.as !== "length" || raw === param.word?.[0]) return { ok: true, value: raw as RuleValue };
  const read = readWithin({ ...param, within: param.within ?? ANY_RULE }, raw as LengthInput, unit);
  return read.ok
    ? { ok: true, value: read.mm }
    : { ok: false, says: param.refusal ? read.says : say`${param.label}: ${read.says}` };
}

/** No rule of a draft is longer than a body, whichever way it goes. */
const ANY_RULE: readonly [Mm, Mm] = [-1500, 1500];
