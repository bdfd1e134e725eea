import { Refusal, type Sentence } from "../units";
import type { BodyMeasures } from "../body";
import {
  BACKS,
  draftBlock,
  LEG_JOINS,
  presetFor,
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

export interface Compared {
  readonly label: string;
  readonly variant: Variant;
  readonly block: Block | null;
  readonly readings: Readings | null;
  /** Why it cannot be drafted on this body. */
  readonly refused: Sentence | null;
}

const DEPTHS: Readonly<Record<ResolvedRules["crotchDepth"]["from"], string>> = {
  auto: "card or hip / 4",
  measured: "card",
  hip4: "hip / 4",
  crotchLength2: "crotch length / 2",
  hipLine: "hip line",
  fixed: "fixed",
};

/** A variant's name: the school, and what was chosen otherwise. */
export function variantLabel({ school, back, depth }: Variant): string {
  const own = SCHOOLS[school];
  const more = [
    back && back !== own.rules.back.how ? `back ${BACKS[back].label.toLowerCase()}` : "",
    depth && depth !== own.rules.crotchDepth.from ? `depth ${DEPTHS[depth]}` : "",
  ].filter(Boolean);
  return [own.label, ...more].join(", ");
}

/** Drafts the same body in several ways; one that cannot be drafted says why and does not stop the others. */
export function compareBlocks(measures: BodyMeasures, variants: readonly Variant[]): readonly Compared[] {
  return variants.map((variant): Compared => {
    const preset = presetFor(variant.school, variant.back);
    const rules: ResolvedRules = variant.depth
      ? { ...preset, crotchDepth: { ...preset.crotchDepth, from: variant.depth } }
      : preset;
    const label = variantLabel(variant);
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
