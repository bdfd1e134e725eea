import {
  cutShapes,
  joinedShapes,
  layCloth,
  stripWidth,
  type ClothLay,
  type CutShape,
  type LayCloth,
  type LayFound,
  type Locked,
} from "../cloth";
import type { Job } from "../files";
import type { Material } from "../pattern";
import { Refusal, say, type Complaint, type Mm, typed } from "../units";
import { derive } from "../derive";

/** Why a job cannot be laid. */
export interface LayFault {
  readonly ok: false;
  readonly status: 400 | 422;
  readonly errors: readonly Complaint[];
}

/** What is cut of a job from one material; where the cloth is said, pieces that are to be joined are joined to lie on it. */
export function shapesOf(
  job: Job,
  material: Material,
  cloth?: LayCloth,
): { readonly ok: true; readonly shapes: readonly CutShape[] } | LayFault {
  const derived = derive(job);
  if (!derived.ok) return derived;
  // Stripes run on across the sides, and failing those across the inseams.
  const matching = (["side", "inseam"] as const).flatMap((kind) =>
    derived.seams.filter((s) => s.kind === kind).map((s) => s.id),
  );
  const shapes = cutShapes(derived.pieces, material, matching);
  const { joined } = job.cloth ?? {};
  if (!joined || !cloth) return { ok: true, shapes };
  try {
    return { ok: true, shapes: joinedShapes(shapes, derived.pieces, joined, stripWidth(cloth)) };
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, status: 422, errors: [error.complaint] };
    throw error;
  }
}

/** The id of a piece on cloth that several garments lie on: the first garment's are its own. */
export const pieceOnCloth = (bundle: number, piece: string): string => (bundle === 0 ? piece : `${bundle}:${piece}`);

/**
 * What is cut of several garments from one cloth, each a bundle of its own: the first is the one whose cloth it is. The fault
 * of one that cannot be drawn says whose it is.
 */
export function shapesOfAll(
  jobs: readonly Job[],
  material: Material,
  cloth?: LayCloth,
): { readonly ok: true; readonly shapes: readonly CutShape[] } | LayFault {
  const shapes: CutShape[] = [];
  for (const [bundle, job] of jobs.entries()) {
    const found = shapesOf(job, material, cloth);
    if (!found.ok)
      return bundle === 0
        ? found
        : {
            ...found,
            errors: found.errors.map((e) => ({
              ...e,
              says: say`${job.name ? typed(job.name) : "Unnamed job"}: ${e.says}`,
            })),
          };
    shapes.push(...found.shapes.map((shape) => ({ ...shape, bundle, piece: pieceOnCloth(bundle, shape.piece) })));
  }
  return { ok: true, shapes };
}

/** When a search is ended: after so many steps, or so much time, whichever comes first. */
export interface LayLimits {
  readonly steps: number;
  /** True once its time is over; asked after every step, of whoever has a clock. */
  readonly isOver?: () => boolean;
  /** Ended as soon as a lay is no longer than this. */
  readonly until?: Mm;
  /** A lay of nearly the same pieces, to begin like. */
  readonly like?: ClothLay | null;
  /** Pieces that stay where a hand has put them, by their number. */
  readonly locked?: Locked;
}

export interface LayResult {
  readonly ok: true;
  readonly lay: ClothLay;
  /** Steps until the lay was found, and in all. */
  readonly foundAt: number;
  readonly steps: number;
  /** What ended the search: so many steps, which another run repeats, or time, which it does not; or a lay short enough. */
  readonly endedBy: "steps" | "time" | "length" | "exhausted";
}

/** Lays shapes on cloth within limits; the fault of a cloth that a piece does not fit on. */
export function layWithin(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  seed: number,
  { steps: most, isOver = () => false, until = 0, like = null, locked = new Map() }: LayLimits,
): LayResult | LayFault {
  let best: LayFound | null = null;
  let steps = 0;
  let endedBy: LayResult["endedBy"] = "exhausted";
  try {
    for (const found of layCloth(shapes, cloth, seed, {
      locked,
      like: like && { laid: like.placements, length: until },
    })) {
      steps++;
      if (found) best = found;
      if (!best) continue;
      if (best.lay.length <= until) endedBy = "length";
      else if (steps >= most) endedBy = "steps";
      else if (isOver()) endedBy = "time";
      else continue;
      break;
    }
  } catch (error) {
    if (error instanceof Refusal) return { ok: false, status: 422, errors: [error.complaint] };
    throw error;
  }
  if (!best) throw new RangeError("a lay yields at least one");
  return { ok: true, lay: best.lay, foundAt: best.steps, steps, endedBy };
}
