import { readLength, type LengthInput, type Mm, type Unit, type Complaint, type Sentence } from "../units";
import type { BackHow, ResolvedRules, Rules } from "./rules";
import { backRules, BACKS, schoolRules, type SchoolId } from "./schools";

const EASE = "Ease per panel must lie between -20 and 30 cm.";
const DART = "A dart must be 2 to 30 cm long.";
const ADDED = "What is set out must lie between -5 and 15 cm.";

/** Limits of rule lengths in millimetres where more or less cannot be drafted at all. */
const LIMITS: Readonly<Record<string, readonly [Mm, Mm, string]>> = {
  "inseam.backShorter": [0, 6, "The back inseam may be 0 to 6 mm shorter than the front's."],
  "width.add": [-100, 300, "What is added to the width must lie between -10 and 30 cm."],
  "ease.front": [-200, 300, EASE],
  "ease.back": [-200, 300, EASE],
  "back.rise": [0, 120, "The back rise must lie between 0 and 12 cm."],
  "back.inAtCrotch": [-60, 80, "The centre back may come in 8 cm at the crotch line, or go out 6."],
  "back.inAtWaist": [-60, 120, "The centre back may come in 12 cm at the waist, or go out 6."],
  "back.out": [0, 120, "The centre back may move out 12 cm at the most."],
  "back.open": [0, 120, "The slash may open 12 cm at the most."],
  "back.drop": [0, 60, "The back crotch line may be 0 to 6 cm lower."],
  "back.inseamAdd": [-50, 150, ADDED],
  "back.sideAdd": [-50, 150, ADDED],
  "back.kneeAdd": [-50, 150, ADDED],
  "back.increment": [-30, 60, "An increment must lie between -3 and 6 cm."],
  "waist.frontIntake": [0, 60, "A dart may be 6 cm wide at the most."],
  "waist.backIntake": [0, 60, "A dart may be 6 cm wide at the most."],
  "waist.frontLength": [20, 300, DART],
  "waist.backLength": [20, 300, DART],
  "waist.frontIn": [-20, 60, "The centre front may come in 6 cm at the waist, or go out 2."],
  "waist.frontDrop": [-20, 60, "The centre front may drop 6 cm, or rise 2."],
  "waist.sideRise": [-10, 50, "The side may rise 5 cm, or drop 1."],
  "waist.ease": [-200, 400, "Waist ease must lie between -20 and 40 cm."],
  "dart.value": [10, 400, "A dart stands 1 to 40 cm from the centre."],
  "hollow.front": [5, 120, "The hollow must lie between 0.5 and 12 cm."],
  "hollow.back": [5, 120, "The hollow must lie between 0.5 and 12 cm."],
  "curve.out": [3, 60, "The point outside the hip line lies 0.3 to 6 cm out."],
  "curve.up": [10, 200, "The curve starts 1 to 20 cm up."],
  "leg.kneeEase": [-100, 600, "Knee ease must lie between -10 and 60 cm."],
  "leg.hemGirth": [120, 2500, "A leg must be 12 to 250 cm round."],
  "leg.backExtra": [-60, 150, "The back may be 15 cm wider than the front, or 6 narrower."],
  "hang.by": [-150, 150, "The leg may hang 15 cm off at the most."],
  "thigh.below": [10, 200, "The thigh line lies 1 to 20 cm below the crotch line."],
  "thigh.girth": [200, 2500, "A thigh girth must lie between 20 and 250 cm."],
  "waistLevel.add": [-200, 200, "The waist line may lie 20 cm above or below the natural waist."],
  "level.high": [0, 200, "A high waist stands 20 cm above the natural waist at the most."],
};

type RuleValue = Mm | string | boolean;

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

/** The school's rules, with the chosen back's own preset laid over them when that back is not the school's. */
export function presetFor(school: SchoolId, how: BackHow | undefined): ResolvedRules {
  const own = schoolRules(school);
  if (how === undefined || how === own.back.how) return own;
  const over = BACKS[how].preset as Readonly<Record<string, object>>;
  const merged: Record<string, unknown> = { ...own };
  for (const [name, values] of Object.entries(over))
    merged[name] = { ...(own as unknown as Record<string, object>)[name], ...values };
  merged.back = backRules(how);
  return merged as unknown as ResolvedRules;
}

type Entry = readonly [group: string, key: string | null, raw: LengthInput | string | boolean];

/** A layer's rules as [group, key, typed value]; rules that are one word or a yes have no key. */
function entriesOf(rules: Rules): Entry[] {
  const entries: Entry[] = [];
  for (const [name, values] of Object.entries(rules)) {
    if (values === undefined) continue;
    if (name === "hang" && typeof values === "string") entries.push([name, "from", values]);
    else if (typeof values !== "object") entries.push([name, null, values]);
    else {
      for (const [key, raw] of Object.entries(values) as [string, LengthInput | string | undefined][])
        if (raw !== undefined) entries.push([name, key, raw]);
    }
  }
  return entries;
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
  const how = layers.map((l) => l.rules.back?.how).findLast((h) => h !== undefined);
  const preset = presetFor(school, how);
  const base = preset as unknown as Record<string, Record<string, RuleValue> | RuleValue>;
  const resolved: Record<string, Record<string, RuleValue> | RuleValue> = {};
  for (const [name, values] of Object.entries(base))
    resolved[name] = typeof values === "object" ? { ...values } : values;
  const changed = new Map<string, ChangedRule>();
  const errors: Complaint[] = [];
  for (const { by, rules } of layers) {
    for (const [name, key, raw] of entriesOf(rules)) {
      const path = key === null ? name : `${name}.${key}`;
      const read = readRule(path, key, raw, unit);
      if (!read.ok) {
        errors.push({ path: `block.rules.${path}`, says: read.says });
        continue;
      }
      const group = resolved[name];
      if (key === null) resolved[name] = read.value;
      else if (typeof group === "object") group[key] = read.value;
      changed.delete(path);
      const own = key === null ? base[name] : (base[name] as Record<string, RuleValue>)[key];
      const ofSchool = path === "back.how" ? schoolRules(school).back.how === read.value : own === read.value;
      if (!ofSchool) changed.set(path, { path, by });
    }
  }
  return { rules: resolved as unknown as ResolvedRules, preset, changed: [...changed.values()], errors };
}

/** Keys that choose a construction by a word, rather than by a length. */
const WORDS = new Set(["from", "how", "shaping", "crease", "at", "run", "steer", "start", "fall", "knee", "kneeLine"]);
const WORD_PATHS = new Set(["leg.inseam"]);

function readRule(
  path: string,
  key: string | null,
  raw: LengthInput | string | boolean,
  unit: Unit,
): { readonly ok: true; readonly value: RuleValue } | { readonly ok: false; readonly says: Sentence } {
  if (key === null || typeof raw === "boolean") return { ok: true, value: raw as string | boolean };
  if (WORDS.has(key) || WORD_PATHS.has(path) || raw === "auto" || raw === "none")
    return { ok: true, value: raw as string };
  const read = readLength(raw, unit);
  if (!read.ok) return { ok: false, says: [read.message] };
  const limit = LIMITS[path];
  if (limit && (read.mm < limit[0] || read.mm > limit[1])) return { ok: false, says: [limit[2]] };
  return { ok: true, value: read.mm };
}
