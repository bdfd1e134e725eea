import {
  against,
  edgeOf,
  along,
  refsLength,
  type EdgeRef,
  type Edge,
  type EdgeRole,
  type Join,
  type Panel,
  partOf,
  type PartKind,
} from "../pattern";
import type { BodyMeasures } from "../body";
import { line, type Point } from "../geometry";
import { type Mm, type Quantity, type Sentence, type Words, say } from "../units";

/** What is bought by length or number and not cut from a pattern piece. */
export interface Notion {
  readonly id: string;
  readonly label: Sentence;
  readonly count: number;
  /** Length of each; null where it is counted only. */
  readonly length: Quantity | null;
  /** How it is set in. */
  readonly note?: Sentence;
  /** The usual one-line caution where it can hurt. */
  readonly caution?: Sentence;
  /** The piece it belongs to, where it is set in with that. */
  readonly of?: string;
  /** It is drawn into a channel once that is sewn. */
  readonly drawnIn?: true;
}

/** A matching mark that a finish asks for: a place on an edge, by arc length from its start. */
export interface Mark {
  readonly panel: string;
  readonly edge: string;
  readonly along: Mm;
  readonly kind: "single" | "double";
  /** The seam or part it belongs to. */
  readonly pairs: string;
}

/** The whole garment between two finishes: all that is sewn, and what it needs besides. */
export interface Garment {
  readonly panels: readonly Panel[];
  readonly joins: readonly Join[];
  readonly notions: readonly Notion[];
  readonly marks: readonly Mark[];
  /** What a finish could not settle, as sentences. */
  readonly undecided: readonly Sentence[];
}

/** What a finish may look at besides the garment. */
export interface FinishContext {
  readonly measures: BodyMeasures;
  readonly hip: Mm;
  /** Length of the whole zip, from the sewn waist or the neck down; 0 without one. */
  readonly zip: Mm;
}

/** The garment with more parts sewn on. */
export function withParts(garment: Garment, parts: Partial<Garment>): Garment {
  return {
    panels: [...garment.panels, ...(parts.panels ?? [])],
    joins: [...garment.joins, ...(parts.joins ?? [])],
    notions: [...garment.notions, ...(parts.notions ?? [])],
    marks: [...garment.marks, ...(parts.marks ?? [])],
    undecided: [...garment.undecided, ...(parts.undecided ?? [])],
  };
}

/** What does not suit this garment, said. */
export const unsettled = (garment: Garment, sentence: Sentence): Garment =>
  withParts(garment, { undecided: [sentence] });

const at = (x: Mm, y: Mm): Point => [x, y];

/** A stretch of a strip's sewn edge. */
export interface StripStretch {
  readonly id: string;
  readonly name: Words;
  readonly length: Mm;
  readonly role: EdgeRole;
}

/**
 * A strip on its seam line, drawn whole: `depth` deep when folded, or single, its sewn edge below in stretches that run
 * from the right end to the left. The fold runs along its middle; the grain along the strip.
 */
export function foldedStrip(
  { id, name, part }: { readonly id: string; readonly name: Words; readonly part: PartKind },
  stretches: readonly StripStretch[],
  depth: Mm,
  lines: readonly Mm[] = [],
  layers: 1 | 2 = 2,
): Panel {
  const deep = layers * depth;
  const whole = stretches.reduce((sum, s) => sum + s.length, 0);
  let reached = whole;
  const sewn = stretches.map((s): Edge => {
    const from = reached;
    reached -= s.length;
    return { id: s.id, role: s.role, name: s.name, path: [line(at(from, deep), at(reached, deep))] };
  });
  const role = stretches[0]?.role ?? "style";
  return {
    id,
    name,
    is: partOf(part),
    half: "both",
    cutting: { material: "shell", pieces: { count: 1, onFold: false } },
    edges: [
      { id: "inner", role, name: "inner edge", becomes: "turned", path: [line(at(0, 0), at(whole, 0))] },
      { id: "end-right", role: "style", name: "end", becomes: "turned", path: [line(at(whole, 0), at(whole, deep))] },
      ...sewn,
      { id: "end-left", role: "style", name: "end", becomes: "turned", path: [line(at(0, deep), at(0, 0))] },
    ],
    landmarks: {},
    lines: [
      ...(layers === 2 ? [{ kind: "fold" as const, points: [at(0, depth), at(whole, depth)] }] : []),
      ...lines.map((y) => ({ kind: "placement" as const, points: [at(0, y), at(whole, y)] })),
      {
        kind: "grain",
        points: [at(whole * 0.2, deep * 0.75), at(whole * 0.2 + Math.min(200, whole * 0.5), deep * 0.75)],
      },
    ],
  };
}

/** The strip with its inner edge sewn in together with its sewn one: both its layers lie in one seam. */
export const inOneSeam = (strip: Panel): Panel => becoming(strip, "inner", "caught");

/** The panel with what becomes of one of its edges said. */
export function becoming(panel: Panel, edge: string, becomes: Edge["becomes"]): Panel {
  const one = edgeOf(panel, edge);
  return { ...panel, edges: panel.edges.map((e) => (e === one ? { ...e, becomes } : e)) };
}

/** A strip's ends sewn to each other. */
export const ringJoin = (strip: Panel, by: string): Join => ({
  id: `${strip.id}-ends`,
  label: say`${strip.name}, its ends`,
  kind: "cut",
  by,
  how: "equal",
  leg: "both",
  a: [along(strip.id, "end-right")],
  b: [against(strip.id, "end-left")],
});

/** Length of a run of the garment's edges. */
export const runLength = (garment: Garment, refs: readonly EdgeRef[]): Mm => refsLength(garment.panels, refs);
