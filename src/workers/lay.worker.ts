import { overAfter } from "@/clock";
import { hearTongue } from "./hearTongue";
import { expose } from "comlink";
import {
  cannotBeUnder,
  HandLay,
  isNearest,
  layCloth,
  materialsOf,
  type ClothLay,
  type CupboardCloth,
  type CutShape,
  type Laid,
  type LayCloth,
} from "@/core/cloth";
import { leftBy } from "@/core/cloth/remnant";
import { derive } from "@/core/derive";
import { fitCloth, type Fitted, type Fitting, type Tried } from "@/core/derive/fitCloth";
import { layWithin, pieceOnCloth, shapesOfAll, type LayFault } from "@/core/derive/lay";
import { recutOf, type Recut } from "@/core/derive/recut";
import { savingsOf, type Saving } from "@/core/derive/shortCloth";
import type { Job } from "@/core/files";
import type { Point } from "@/core/geometry";
import type { Material } from "@/core/pattern";
import type { Piece } from "@/core/pieces";
import { Refusal, type Complaint, type Mm, textOf } from "@/core/units";

/** A search is let go of after so long, so that it can be stopped and a hand can move pieces. */
const SLICE_MS = 40;
/** How a search goes is told no more often than this: a page draws each lay. */
const TELL_MS = 300;
/** A lay stands still once no better one has come for so long. */
const STILL_MS = 8_000;
/** What a quick look at another fold or width may take. */
/** A search for the largest number takes no longer than so many times what was asked, however slow the machine. */
const LONGEST = 6;
const QUICK = { steps: 520, milliseconds: 900 } as const;

const pause = (): Promise<void> => new Promise((done) => setTimeout(done, 0));

/** How far a search has come. */
export interface Looked {
  readonly lay: ClothLay | null;
  readonly steps: number;
}

/** How a search is made: its seed, what is locked, and for how long; until it is stopped without. */
interface Looking {
  readonly seed: number;
  readonly locked: readonly (readonly [number, Laid])[];
  readonly forMs: number | null;
}

type TellProved = (proved: Mm) => void;

const signatureOf = (shapes: readonly CutShape[], cloth: LayCloth): string => {
  let hash = 5381;
  const add = (text: string): void => {
    for (let i = 0; i < text.length; i++) hash = (Math.imul(hash, 33) ^ text.charCodeAt(i)) >>> 0;
  };
  add(JSON.stringify(cloth));
  for (const { piece, outline, plain, mirrored } of shapes)
    add(`${piece}:${plain}:${mirrored}:${outline.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(" ")}`);
  return hash.toString(36);
};

/** A piece on the cloth, as it is called and drawn. */
export interface CalledPiece {
  readonly id: string;
  readonly name: string;
  readonly root: Piece["is"]["root"];
  readonly part: boolean;
}

/** What stands for garments on a cloth. */
export interface Signed {
  readonly materials: readonly Material[];
  readonly sign: string;
  readonly pieces: readonly CalledPiece[];
}

/** The job whose cloth it is, and those that lie on it too. */
type Garments = readonly [Job, ...Job[]];

let running = 0;
let known: { readonly of: string; readonly shapes: readonly CutShape[] } | null = null;
let hand: HandLay | null = null;

function shapes(jobs: readonly Job[], material: Material, cloth: LayCloth): readonly CutShape[] | LayFault {
  const of = JSON.stringify([jobs, material, cloth]);
  if (known?.of === of) return known.shapes;
  const made = shapesOfAll(jobs, material, cloth);
  if (!made.ok) return made;
  known = { of, shapes: made.shapes };
  return made.shapes;
}

/** The best that is proved of pieces on a cloth, and whether all was tried. */
let proof: { readonly of: readonly CutShape[]; proved: Mm; isDone: boolean } | null = null;

/** Proves what these pieces cannot be under, in slices, until it is done or another search begins; null where nothing is. */
async function proved(
  own: number,
  found: readonly CutShape[],
  cloth: LayCloth,
  length: Mm,
  tell: TellProved,
): Promise<Mm | null> {
  const held = proof?.of === found ? proof : { of: found, proved: 0, isDone: false };
  proof = held;
  if (held.proved > 0) tell(held.proved);
  if (!held.isDone) {
    let from = performance.now();
    for (const bound of cannotBeUnder(found, cloth, length)) {
      if (bound !== null && bound > held.proved) tell((held.proved = bound));
      if (performance.now() - from < SLICE_MS) continue;
      await pause();
      if (running !== own) return null;
      from = performance.now();
    }
    held.isDone = true;
  }
  return held.proved > 0 ? held.proved : null;
}

const isFault = (found: readonly CutShape[] | LayFault): found is LayFault => "ok" in found;

const face = {
  /** The materials of garments, and what stands for their pieces on this cloth: another sign says that a kept lay is old. */
  sign(jobs: readonly Job[], material: Material, cloth: LayCloth): Signed {
    const made = jobs.map((job) => derive(job));
    const found = shapes(jobs, material, cloth);
    return {
      materials: [...new Set(made.flatMap((d) => (d.ok ? materialsOf(d.pieces) : [])))],
      sign: isFault(found) ? "" : signatureOf(found, cloth),
      pieces: made.flatMap((d, bundle) =>
        d.ok
          ? d.pieces.map((p) => ({
              id: pieceOnCloth(bundle, p.id),
              name: textOf(p.name),
              root: p.is.root,
              part: p.is.component === "part",
            }))
          : [],
      ),
    };
  },

  /**
   * Looks for lays until it is stopped, has nothing left to try, or has looked for so long; each better one is told, and now
   * and then how many steps were made. With no such limit, once the lay stands still, what cannot be undercut is proved;
   * a lay next to it ends the search. The answer is why it cannot be laid, or null.
   */
  async look(
    jobs: readonly Job[],
    material: Material,
    cloth: LayCloth,
    { seed, locked, forMs }: Looking,
    tell: (looked: Looked) => void,
    tellProved: TellProved,
  ): Promise<readonly Complaint[] | null> {
    const own = ++running;
    const found = shapes(jobs, material, cloth);
    if (isFault(found)) return found.errors;
    const began = performance.now();
    try {
      let [steps, from, toldAt, stillFrom] = [0, began, -Infinity, began];
      let [better, length]: [ClothLay | null, Mm] = [null, Infinity];
      let isProved = forMs !== null || locked.length > 0;
      for (const step of layCloth(found, cloth, seed, { locked: new Map(locked) })) {
        steps++;
        const at = performance.now();
        if (step && step.lay.length < length) [better, length, stillFrom] = [step.lay, step.lay.length, at];
        if (at - toldAt >= TELL_MS && (better || toldAt > 0)) {
          tell({ lay: better, steps });
          [better, toldAt] = [null, at];
        }
        if (at - from < SLICE_MS) continue;
        await pause();
        if (running !== own) return null;
        from = performance.now();
        if (forMs !== null && from - began >= forMs) break;
        if (isProved || from - stillFrom < STILL_MS) continue;
        const bound = await proved(own, found, cloth, length, tellProved);
        if (running !== own || (bound !== null && isNearest(length, bound))) return null;
        isProved = true;
      }
      if (better) tell({ lay: better, steps });
      return null;
    } catch (error) {
      if (error instanceof Refusal) return [error.complaint];
      throw error;
    }
  },

  /** Proves what no lay is under, until it is done or a search begins; each better bound is told. */
  async prove(jobs: readonly Job[], material: Material, cloth: LayCloth, length: Mm, tell: TellProved): Promise<void> {
    const own = ++running;
    const found = shapes(jobs, material, cloth);
    if (!isFault(found)) await proved(own, found, cloth, length, tell);
  },

  /** Ends the search that is under way. */
  stop(): void {
    running++;
  },

  /** The length it takes on other cloths; null where it cannot be laid so. */
  async elsewhere(
    jobs: readonly Job[],
    material: Material,
    cloths: readonly LayCloth[],
  ): Promise<readonly (number | null)[]> {
    const lengths: (number | null)[] = [];
    for (const cloth of cloths) {
      const found = shapes(jobs, material, cloth);
      const laid = isFault(found)
        ? found
        : layWithin(found, cloth, 1, { steps: QUICK.steps, isOver: overAfter(QUICK.milliseconds) });
      lengths.push(laid.ok ? laid.lay.length : null);
      await pause();
    }
    return lengths;
  },

  /** What a lay leaves of the cloth in hand, by outline. */
  left(lay: ClothLay, cloth: LayCloth, inHand: number): readonly (readonly Point[])[] {
    return leftBy(lay, cloth, inHand);
  },

  /** Takes a lay into the hand. */
  take(jobs: readonly Job[], material: Material, cloth: LayCloth, laid: readonly Laid[]): boolean {
    const found = shapes(jobs, material, cloth);
    if (isFault(found)) return false;
    hand = new HandLay(found, cloth, laid);
    return true;
  },

  /** Moves a piece of the lay in the hand, and tells the lay that comes of it. */
  move(piece: number, to: Laid): ClothLay | null {
    if (!hand) return null;
    hand.move(piece, to);
    return hand.lay();
  },

  /** Whether void pieces can be cut again from what a lay has left. */
  recut(job: Job, pieces: readonly string[], lay: ClothLay | null): Recut {
    return recutOf(job, pieces, lay);
  },

  /** What would bring short cloth in, each told as it is worked out. */
  async savings(
    [job, ...others]: Garments,
    cloth: LayCloth,
    cupboard: readonly CupboardCloth[],
    tell: (saving: Saving) => void,
  ): Promise<void> {
    const derived = derive(job);
    if (!derived.ok) return;
    for (const saving of savingsOf(job, derived, cloth, others, cupboard)) {
      if (saving) tell(saving);
      await pause();
    }
  },

  /** The largest number that lies on the cloth; each number is told as it was tried. */
  async fit(
    [job, ...others]: Garments,
    cloth: LayCloth,
    length: number,
    {
      locked,
      ...asked
    }: Omit<Fitting, "locked" | "isOver"> & { readonly locked: readonly (readonly [number, Laid])[] },
    tell: (tried: Tried) => void,
  ): Promise<Fitted | LayFault | null> {
    const own = ++running;
    const search = fitCloth(
      job,
      cloth,
      length,
      { ...asked, locked: new Map(locked), isOver: overAfter(LONGEST * asked.milliseconds) },
      others,
    );
    for (;;) {
      const next = search.next();
      if (next.done) return next.value;
      tell(next.value);
      await pause();
      if (running !== own) return null;
    }
  },
};

export type LayWorker = typeof face;

hearTongue();
expose(face);
