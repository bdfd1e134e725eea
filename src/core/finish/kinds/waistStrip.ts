import {
  along,
  edgeOf,
  findEdge,
  isOf,
  panelById,
  rimGirth,
  type Join,
  type PartKind,
  type Panel,
  type PanelWord,
  waistWalk,
} from "../../pattern";
import { pathEnd, pathStart, type Point } from "../../geometry";
import { EYELET } from "../elastic";
import { type Mm, say, type Words } from "../../units";
import { foldedStrip, ringJoin, runLength, unsettled, withParts, type Garment, type Notion } from "../garment";
import type { Finishing } from "../define";
import { CENTRE_FRONT, waistRun, type WaistStretch } from "./waistRun";

/** What is cut as one folded strip and sewn to the waist. */
interface Strip {
  readonly id: string;
  readonly name: Words;
  readonly part: PartKind;
  readonly stiffened?: boolean;
  readonly contrast?: boolean;
  readonly depth: Mm;
  readonly overlap: Mm;
  /** As long as the sewn edge, or as the body's waist, where that is less: the edge is gathered into it. */
  readonly fit: "edge" | "waist";
  /** Lines drawn along it, from the inner edge. */
  readonly lines?: readonly Mm[];
  readonly notions?: readonly Notion[];
  /** Where a ring is joined. */
  readonly ringSeam?: "centre-back" | "centre-front" | "side";
  /** How far above the sewn edge eyelets stand beside the centre front; absent without a cord. */
  readonly eyelets?: Mm;
  /** Cut single and turned on the outside: what its outer edge is turned by. */
  readonly turnedOutside?: Mm;
}

/** The garment with a folded strip as long as the sewn waist, an underlap beyond the opening where it has one. */
export function withStrip(garment: Garment, strip: Strip, { opens, measures }: Finishing): Garment {
  if (waistWalk(garment, "right").length === 0)
    return unsettled(garment, say`There is no waist edge left to sew a band to.`);
  const share = strip.fit === "waist" ? Math.min(1, measures.waist.mm / rimGirth(garment, "waist")) : 1;
  const isRing = opens === "none";
  const run = waistRun(garment, isRing ? (strip.ringSeam ?? "centre-back") : opens);
  const layers = strip.turnedOutside === undefined ? 2 : 1;
  const panel = foldedStrip(
    { id: strip.id, name: strip.name, part: strip.part },
    [
      ...(strip.overlap > 0 && !isRing
        ? [{ id: "overlap", name: "underlap", length: strip.overlap, role: "waist" as const }]
        : []),
      ...run.map((s) => ({
        id: `sewn-${s.id}`,
        name: say`sewn edge, ${s.name}`,
        length: share * runLength(garment, s.refs),
        role: "waist" as const,
      })),
    ],
    strip.depth,
    strip.lines,
    layers,
  );
  const join = (s: WaistStretch): Join => ({
    id: `waist-${s.id}`,
    label: say`Waist, ${s.name}`,
    kind: "waist",
    by: strip.part,
    how: share === 1 ? "equal" : "gathered",
    leg: s.leg,
    twin: strip.id,
    a: [along(strip.id, `sewn-${s.id}`)],
    b: s.refs,
  });
  // A ring is closed by a seam of its own.
  const closed: Join[] = isRing ? [ringJoin(panel, strip.part)] : [];
  const bottom = layers * strip.depth;
  const [inner, overlap] = [edgeOf(panel, "inner"), findEdge(panel, "overlap")];
  const made: Panel = {
    ...panel,
    edges: panel.edges.map((e) => {
      if (e === overlap) return { ...e, becomes: "turned" as const };
      return e === inner && layers === 1 ? { ...e, beyond: strip.turnedOutside ?? 0 } : e;
    }),
    lines: [...panel.lines, ...eyeletsOf(panel, run, strip, bottom)],
    words: wordsOf(garment, panel, run, share, bottom),
    cutting: {
      ...panel.cutting,
      ...(strip.contrast && { material: "contrast" }),
      sewn: { all: "band" },
      ...(strip.stiffened && { also: [{ material: "interfacing", count: 1 }] }),
    },
  };
  return withParts(garment, {
    panels: [made],
    joins: [...run.map(join), ...closed],
    ...(strip.notions && { notions: strip.notions }),
  });
}

/** Where the stretches of a strip begin, from its right end, as x. */
function startsOf(panel: Panel, run: readonly WaistStretch[]): readonly Mm[] {
  return run.map((stretch) => pathStart(edgeOf(panel, `sewn-${stretch.id}`).path)[0]);
}

/** What of the body meets a strip where: centres and sides, written above its sewn edge. */
function wordsOf(
  garment: Garment,
  panel: Panel,
  run: readonly WaistStretch[],
  share: number,
  bottom: Mm,
): readonly PanelWord[] {
  const word = (text: string, x: Mm): PanelWord => ({ text, at: [x + 2, bottom - 5] });
  return startsOf(panel, run).flatMap((start, i) => {
    const stretch = run[i] as WaistStretch;
    const isBack = (ref: WaistStretch["refs"][number]): boolean => isOf(panelById(garment.panels, ref.panel), "back");
    const [first] = stretch.refs;
    const firstHalf = stretch.refs.filter((ref) => first !== undefined && isBack(ref) === isBack(first));
    const side =
      firstHalf.length < stretch.refs.length ? [word("side", start - share * runLength(garment, firstHalf))] : [];
    const end = start - share * runLength(garment, stretch.refs);
    return [...(i === 0 ? [word(stretch.from, start - 40)] : []), ...side, word(stretch.to, end)];
  });
}

/** Eyelets for a cord, beside the centre front, on the outer layer. */
function eyeletsOf(panel: Panel, run: readonly WaistStretch[], strip: Strip, bottom: Mm): Panel["lines"] {
  const { eyelets } = strip;
  if (eyelets === undefined) return [];
  const starts = startsOf(panel, run);
  const ends = run.map((stretch) => pathEnd(edgeOf(panel, `sewn-${stretch.id}`).path)[0]);
  const at = run.flatMap((stretch, i) => [
    ...(stretch.from === CENTRE_FRONT ? [(starts[i] as Mm) - EYELET] : []),
    ...(stretch.to === CENTRE_FRONT ? [(ends[i] as Mm) + EYELET] : []),
  ]);
  return at.map((x) => ({ kind: "drill" as const, points: [[x, bottom - eyelets] as Point] }));
}
