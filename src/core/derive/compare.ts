import { listOf, phrase } from "../words";
import { Refusal, wordsOn, type Sentence, type Tape, type Words } from "../units";
import type { BodyMeasures } from "../body";
import {
  RULES,
  draftBlock,
  LEG_JOINS,
  presetFor,
  schoolRules,
  SCHOOLS,
  type BackHow,
  type Block,
  type DraftedSchool,
  type ResolvedRules,
} from "../drafting";
import { readPanels, type Readings } from "../inspect";

/** One way of drafting to hold against others: a school, with another back or another crotch depth if wanted. */
export interface Variant {
  readonly school: DraftedSchool;
  readonly back?: BackHow;
  readonly depth?: ResolvedRules["crotchDepth"]["from"];
}

type Options = readonly (readonly [string, Words])[];

export interface Compared {
  readonly label: string;
  readonly variant: Variant;
  readonly block: Block | null;
  readonly readings: Readings | null;
  /** Why it cannot be drafted on this body. */
  readonly refused: Sentence | null;
}

const wordsOf = (options: Options, value: string, tape: Tape): string =>
  wordsOn(options.find(([known]) => known === value)?.[1] ?? value, tape);

/** A variant's name: the school, and what was chosen otherwise. */
export function variantLabel({ school, back, depth }: Variant, tape: Tape): string {
  const own = schoolRules(school, tape);
  const more = [
    back && back !== own.back.how ? phrase`back ${wordsOf(RULES.back.params.how.options, back, tape)}` : "",
    depth && depth !== own.crotchDepth.from
      ? phrase`depth ${wordsOf(RULES.crotchDepth.params.from.options, depth, tape)}`
      : "",
  ].filter(Boolean);
  return listOf([SCHOOLS[school].label, ...more]);
}

/** Drafts the same body in several ways; one that cannot be drafted says why and does not stop the others. */
export function compareBlocks(measures: BodyMeasures, variants: readonly Variant[], tape: Tape): readonly Compared[] {
  return variants.map((variant): Compared => {
    const preset = presetFor(variant.school, variant.back, tape);
    const rules: ResolvedRules = variant.depth
      ? { ...preset, crotchDepth: { ...preset.crotchDepth, from: variant.depth } }
      : preset;
    const label = variantLabel(variant, tape);
    try {
      const block = draftBlock(measures, rules);
      return {
        label,
        variant,
        block,
        readings: readPanels(block.panels, LEG_JOINS, block.plan, measures, { zip: 0, held: Infinity }),
        refused: null,
      };
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      return { label, variant, block: null, readings: null, refused: error.says };
    }
  });
}
