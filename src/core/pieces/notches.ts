import { isOf, refLength, type EdgeRef, type Panel, panelById } from "../pattern";
import { pathLength } from "../geometry";
import type { Mm } from "../units";
import type { Notch } from "./piece";
import type { Seam } from "./seams";

/** A matching mark on an edge of a panel, at an arc length along the edge as it lies in the outline. */
export interface NotchPlace {
  readonly panel: string;
  readonly edge: string;
  readonly along: Mm;
  readonly kind: Notch["kind"];
  readonly pairs: string;
  /** Left and right of one pattern are walked as two seams, and marked once. */
  readonly twin?: string | undefined;
}

/** Distances from the shared start of a seam at which both sides are marked. */
function marksOf(seam: Seam): readonly Mm[] {
  const length = Math.min(seam.lengthA, seam.lengthB);
  switch (seam.kind) {
    case "side":
      // Measured from the hem end, so that the lower mark clears the hand at the hip and the upper the knee.
      return length > 300 ? [length * 0.22, length - Math.min(length * 0.45, 480)] : [length / 2];
    case "inseam":
      // Any ease of the back lies above the mark.
      return [Math.min(length * 0.5, 380)];
    case "centre":
      return [length * 0.4];
    case "waist":
      return [];
    default:
      return length > 400 ? [length * 0.3, length * 0.7] : [length / 2];
  }
}

/** Where a distance along a walk lies: the edge, and the arc length in the edge's own direction. */
function placeOn(panels: readonly Panel[], walk: readonly EdgeRef[], distance: Mm): Omit<NotchPlace, "kind" | "pairs"> {
  let rest = distance;
  for (const [i, ref] of walk.entries()) {
    const length = refLength(panels, ref);
    if (rest <= length + 1e-9 || i === walk.length - 1) {
      const within = Math.min(length, Math.max(0, rest));
      const from = ref.part?.[0] ?? 0;
      return { panel: ref.panel, edge: ref.edge, along: from + (ref.reversed ? length - within : within) };
    }
    rest -= length;
  }
  throw new RangeError("a seam without edges");
}

/** True for the waist of a band that is cut as one strip. */
const isBand = (panels: readonly Panel[], { walkA }: Seam): boolean =>
  walkA.some((ref) => panelById(panels, ref.panel).is.part === "waistband");

/** A mark nearer than this to another says nothing more. */
const APART: Mm = 15;
/** A stretch of waist shorter than this gets no mark in its middle. */
const LEAST_MIDDLE: Mm = 90;

/**
 * What is sewn to the waist is marked where the seams and the closed darts of the waist meet it, and with it each
 * panel's middle; double at the centre back of a strip.
 */
function waistMarks(panels: readonly Panel[], seam: Seam): NotchPlace[] {
  const places: NotchPlace[] = [];
  const { twin } = seam;
  const onA = (distance: Mm, kind: Notch["kind"]): void =>
    void places.push({ ...placeOn(panels, seam.walkA, distance), kind, pairs: seam.id, twin });
  const strip = isBand(panels, seam);
  const ends = [seam.walkB[0], seam.walkB.at(-1)].map(
    (ref) => ref !== undefined && isOf(panelById(panels, ref.panel), "back"),
  );
  // The half of each leg starts or ends at the centre back; a stretch of the back alone starts there or at the side.
  const whole = ends[0] !== ends[1];
  if (strip && whole && ends[0] && seam.leg === "right") onA(0, "double");
  const ratio = seam.ratio === 0 ? 1 : seam.ratio;
  let [reached, from] = [0, 0];
  const bounds: Mm[] = [];
  seam.walkB.forEach((ref, i) => {
    reached += refLength(panels, ref);
    const next = seam.walkB[i + 1];
    if (next ? true : strip && seam.leg === "right") onA(reached / ratio, "single");
    if (next) bounds.push(reached);
    if (next && next.panel === ref.panel) return;
    // One panel's stretch is walked: its middle is marked on both.
    const middle = (from + reached) / 2;
    if (reached - from > LEAST_MIDDLE && bounds.every((at) => Math.abs(at - middle) > APART)) {
      onA(middle / ratio, "single");
      places.push({ ...placeOn(panels, seam.walkB, middle), kind: "single", pairs: seam.id, twin });
    }
    from = reached;
  });
  return places;
}

/** Rings and cuffs are quartered. */
const QUARTERS: readonly number[] = [0.25, 0.5, 0.75];
const isRound = (panels: readonly Panel[], { walkA, walkB }: Seam): boolean =>
  [...walkA, ...walkB].some((ref) => {
    const { is, worn } = panelById(panels, ref.panel);
    return (is.part === "cuff" && ref.edge === "sewn") || (worn?.ring !== undefined && ref.edge === "top");
  });

/** Where fullness ends and a plain seam goes on: the place is marked on both sides. */
function fullnessEnds(seams: readonly Seam[], seam: Seam): readonly (readonly [Mm, Mm])[] {
  const goesOn = seams.some(
    (other) =>
      other !== seam &&
      other.by === seam.by &&
      other.how === "equal" &&
      other.walkA[0] !== undefined &&
      other.walkA[0].panel === seam.walkA.at(-1)?.panel &&
      other.walkB[0]?.panel === seam.walkB.at(-1)?.panel,
  );
  return goesOn ? [[seam.lengthA, seam.lengthB]] : [];
}

/**
 * Matching marks of every seam: on both sides at the same arc length from their shared start, or at the same share of
 * it where one side is gathered or pleated in, so that they meet when the seam is sewn. Darts are marked at their legs; what a finish
 * asks for is marked besides.
 * One mark for the front and for what both share, two for the centre back and the back of an armhole.
 */
export function notchPlaces(
  panels: readonly Panel[],
  seams: readonly Seam[],
  asked: readonly NotchPlace[] = [],
): NotchPlace[] {
  const places = seams.flatMap((seam): NotchPlace[] => {
    if (seam.kind === "waist") return waistMarks(panels, seam);
    const isMarkedTwice = seam.kind === "centre" || seam.kind === "armhole";
    const kind = isMarkedTwice && seam.root === "back" ? "double" : "single";
    const distances: readonly (readonly [Mm, Mm])[] =
      seam.how === "gathered" || seam.how === "pleated" || isRound(panels, seam)
        ? [
            ...QUARTERS.map((share) => [share * seam.lengthA, share * seam.lengthB] as const),
            ...fullnessEnds(seams, seam),
          ]
        : marksOf(seam).map((distance) => [distance, distance] as const);
    return distances.flatMap(([a, b]) =>
      (
        [
          [seam.walkA, a],
          [seam.walkB, b],
        ] as const
      ).map(([walk, distance]) => ({
        ...placeOn(panels, walk, distance),
        kind,
        pairs: seam.id,
        twin: seam.twin,
      })),
    );
  });
  const darts = panels.flatMap((panel) =>
    panel.edges
      .filter((edge) => edge.role === "dart")
      .flatMap((edge) =>
        [0, pathLength(edge.path)].map((along): NotchPlace => ({
          panel: panel.id,
          edge: edge.id,
          along,
          kind: "single",
          pairs: "dart",
        })),
      ),
  );
  // Left and right of one pattern are walked as two seams and marked once.
  const seen = new Set<string>();
  return [...places, ...darts, ...asked].filter(({ panel, edge, along, pairs, twin }) => {
    const key = `${panel}.${edge}.${along.toFixed(3)}.${twin ?? pairs}`;
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}
