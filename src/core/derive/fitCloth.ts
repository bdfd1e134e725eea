import { PLACES, rangeOf, reachOf, type Range } from "./fitRange";
import type { ClothLay, CutShape, LayCloth, Locked } from "../cloth";
import type { Job } from "../files";
import { polygonArea } from "../geometry";
import { MOVES } from "../moves";
import { say, type Complaint, type Mm, typed } from "../units";
import { deriveShape } from "./shape";
import { movesOfStyle } from "./newJob";
import { layWithin, shapesOfAll, type LayFault } from "./lay";

/** A number of a job's move, tried on its cloth. */
export interface Tried {
  readonly value: number;
  /** Length of the shortest lay that was found; null where the garment cannot be made or laid so. */
  readonly length: Mm | null;
  readonly fits: boolean;
}

/** The largest number whose lay fits, with that lay as its proof. */
export interface Fitted {
  readonly value: number;
  readonly length: Mm;
  readonly lay: ClothLay;
  readonly tries: readonly Tried[];
  /** False where time ran out before it was narrowed down to one division of the tape. */
  readonly isNarrowed: boolean;
  /** How many pieces stayed where they are locked, at every number. */
  readonly locked: number;
}

/** What is asked of a search for the largest number. */
export interface Fitting {
  readonly move: string;
  readonly number: string;
  readonly seed: number;
  /** How long it may look on a machine as it is usual; the work is counted, so that it comes to the same on any. */
  readonly milliseconds: number;
  /** True once it has to end, however slow the machine. */
  readonly isOver?: () => boolean;
  /** Pieces that are locked by hand stay where they are, whatever the number. */
  readonly locked?: Locked;
  /** The lay on the table: the number as it is now lies like this, and so does every smaller one. */
  readonly laid?: ClothLay | null;
}

/** Steps of a search, which grow with each seed. */
const STEPS = 900;
/** One look at a number for so much of the time asked. */
const MS_A_LOOK = 500;
/** Where between two numbers the next is tried, by the seed: what lies may lie in a small part of a range alone. */
const BETWEEN = [0.5, 0.62, 0.38, 0.7, 0.3] as const;
/** At the end, looks of so many steps for each millisecond asked, at numbers so many divisions above the largest found, until so many find none. */
const LONG = 0.45;
const LITTLE = 1.5;
const LONG_SEEDS = 3;
/** A number is given up once so many seeds have found no lay for it. */
const SEEDS = 4;
/** The line of a job that makes a move: stated by its own id or by the move's. */
function lineOf(job: Job, move: string): { readonly moves: NonNullable<Job["moves"]>; readonly index: number } | null {
  const moves = job.moves ?? movesOfStyle(job.style.id, job.style.params);
  const index = moves.findIndex((m) => m.on && (m.move === move || m.id === move));
  return index < 0 ? null : { moves, index };
}

const fault = (path: string, says: Complaint["says"]): LayFault => ({
  ok: false,
  status: 422,
  errors: [{ path, says }],
});

/**
 * Looks for the largest number of a move whose pieces lie on the cloth in hand: every number is laid, none is guessed.
 * Where it looks does not depend on the number as it is now, so that it finds the same from any; that one is tried as well,
 * and what lies on the table already is known. `others` lie on the cloth too. Yields each as it was tried. Returns the
 * largest found, or why none fits.
 */
export function* fitCloth(
  job: Job,
  cloth: LayCloth,
  length: Mm,
  asked: Fitting,
  others: readonly Job[] = [],
): Generator<Tried, Fitted | LayFault, void> {
  const line = lineOf(job, asked.move);
  if (!line) return fault("move", say`There is no line “${typed(asked.move.slice(0, 30))}” that is made.`);
  const entry = line.moves[line.index] as NonNullable<Job["moves"]>[number];
  const param = MOVES[entry.move]?.params[asked.number];
  const range = param ? rangeOf(param) : null;
  if (!range)
    return fault(
      "number",
      say`“${MOVES[entry.move]?.label ?? asked.move}” has no number “${typed(asked.number.slice(0, 30))}” to fit.`,
    );
  const withValue = (value: number): Job => ({
    ...job,
    moves: line.moves.map((m, i) =>
      i === line.index ? { ...m, params: { ...m.params, [asked.number]: range.asStored(value) } } : m,
    ),
  });
  /** What is cut with a number; why it cannot be, or null where its line is passed over. */
  const cutWith = (value: number): ReturnType<typeof shapesOfAll> | null => {
    const tried = withValue(value);
    const made = shapesOfAll([tried, ...others], "shell", cloth);
    return !made.ok || isMade(tried, line.index) ? made : null;
  };
  const search = new Search(cutWith, cloth, length, asked);
  return yield* search.run(range, presentOf(job, line.index, asked.number));
}

class Search {
  private readonly tries: Tried[] = [];
  private proof: { readonly value: number; readonly lay: ClothLay } | null = null;
  private refusal: LayFault | null = null;
  /** The largest number that lies; NaN while none does. */
  private low = NaN;
  private looks: number;
  private readonly isOver: () => boolean;

  constructor(
    private readonly cutWith: (value: number) => ReturnType<typeof shapesOfAll> | null,
    private readonly cloth: LayCloth,
    private readonly length: Mm,
    private readonly asked: Fitting,
  ) {
    this.looks = Math.max(8, Math.ceil(asked.milliseconds / MS_A_LOOK));
    this.isOver = asked.isOver ?? (() => false);
  }

  *run(range: Range, present: number | null): Generator<Tried, Fitted | LayFault, void> {
    // What cannot be made, or is larger than the cloth by its area alone, is never laid.
    const { least, most, isRuledOut } = reachOf(range, (value) => this.areaAt(value), this.cloth.width * this.length);
    // The number as it is now lies as it lies on the table. Without that it is looked for no more than any other, or the
    // search would find more from one number than from another.
    const knowPresent = (): void => {
      const { laid = null } = this.asked;
      if (!laid || laid.length > this.length + 1e-6 || present === null || present > most || present <= this.low)
        return;
      this.proof = { value: present, lay: laid };
      this.tries.push({ value: present, length: laid.length, fits: true });
      this.low = present;
    };
    yield* this.findLeast(least, most);
    if (Number.isNaN(this.low)) knowPresent();
    if (Number.isNaN(this.low)) return this.noneFits(least);
    let high: number | null = most;
    if (most > this.low && !isRuledOut && (yield* this.look(most))) [this.low, high] = [most, null];
    while (high !== null && high - this.low > range.step && this.isLeft()) {
      const value: number = (this.low + high) / 2;
      if (yield* this.look(value)) this.low = value;
      else high = value;
    }
    const given = yield* this.goOver(most, range.step);
    // Last, so that the search goes the same way from any number.
    knowPresent();
    yield* this.lookOnward(most, range.step);
    if (!this.proof) return fault("cloth.length", say`No lay was found in the time there was.`);
    return {
      value: this.proof.value,
      length: this.proof.lay.length,
      lay: this.proof.lay,
      tries: this.tries,
      isNarrowed: given >= SEEDS && (high !== null || this.low >= most),
      locked: this.locked,
    };
  }

  private get locked(): number {
    return this.asked.locked?.size ?? 0;
  }

  private isLeft(): boolean {
    return this.looks > 0 && !this.isOver();
  }

  private areaAt(value: number): number | null {
    const made = this.cutWith(value);
    return made?.ok ? areaOf(made.shapes) : null;
  }

  /** A number laid with a seed: like the nearest lay that fits, or afresh. */
  private tryAt(value: number, seed: number, steps = STEPS * (seed + 1)): Tried {
    this.looks--;
    const none = { value, length: null, fits: false };
    const made = this.cutWith(value);
    if (!made?.ok) {
      if (made) this.refusal ??= made;
      return none;
    }
    const laid = layWithin(made.shapes, this.cloth, this.asked.seed + seed, {
      steps,
      isOver: this.isOver,
      until: this.length,
      like: seed % 2 === 1 ? null : (this.proof?.lay ?? null),
      ...(this.asked.locked && { locked: this.asked.locked }),
    });
    if (!laid.ok) {
      this.refusal ??= laid;
      return none;
    }
    const fits = laid.lay.length <= this.length + 1e-6;
    if (fits && (!this.proof || value > this.proof.value)) this.proof = { value, lay: laid.lay };
    return { value, length: laid.lay.length, fits };
  }

  private *look(value: number, seed = 0, steps?: number): Generator<Tried, boolean, void> {
    const tried = this.tryAt(value, seed, steps);
    this.tries.push(tried);
    yield tried;
    return tried.fits;
  }

  private *findLeast(least: number, most: number): Generator<Tried, void, void> {
    if ((yield* this.look(least)) || (yield* this.look(least, 1))) this.low = least;
    // Locked pieces may leave the least no room, and a larger one some.
    for (let i = 1; Number.isNaN(this.low) && this.locked > 0 && i <= PLACES && this.isLeft(); i++) {
      const value = least + ((most - least) * i) / PLACES;
      if (yield* this.look(value)) this.low = value;
    }
  }

  private noneFits(least: number): LayFault {
    const { length } = this.tries[0] ?? {};
    return (
      this.refusal ??
      fault(
        "cloth.length",
        say`None fits: at ${least}, the least, the pieces take ${length ?? 0} of ${this.length}. Take more cloth, another fold, or a shorter garment.`,
      )
    );
  }

  /** A search may miss a lay that is there: what is left of the time goes over the numbers above again, each time anew. */
  private *goOver(most: number, step: number): Generator<Tried, number, void> {
    let given = this.low >= most ? SEEDS : 0;
    for (let seed = 1; given < SEEDS && this.isLeft(); seed++) {
      const before = this.low;
      for (let top = hopeless(this.tries, this.length) ?? most; top - this.low > step && this.isLeft();) {
        const value = this.low + (top - this.low) * (BETWEEN[seed % BETWEEN.length] as number);
        if (yield* this.look(value, seed)) this.low = value;
        else top = value;
      }
      given = this.low > before ? 0 : given + 1;
    }
    return given;
  }

  /** At the end the numbers just above the largest found are each looked at for long; one that lies is followed up. */
  private *lookOnward(most: number, step: number): Generator<Tried, void, void> {
    let onward = LITTLE * step;
    for (let seed = SEEDS + 1, missed = 0; missed < LONG_SEEDS && this.low + onward <= most && !this.isOver(); seed++) {
      if (yield* this.look(this.low + onward, seed, Math.round(LONG * this.asked.milliseconds))) {
        this.low += onward;
        onward *= 2;
        missed = 0;
      } else {
        onward = LITTLE * step;
        missed++;
      }
    }
  }
}

/** A lay this much longer than the cloth is not shortened to it by another look; one look alone may be unlucky. */
const FAR_OFF = 1.03;

/** The least of the numbers that two looks at or below it, and above all that came near, found far too large; null without. */
function hopeless(tries: readonly Tried[], length: Mm): Mm | null {
  const isFar = (t: Tried): boolean => t.length !== null && t.length > FAR_OFF * length;
  const near = Math.max(...tries.filter((t) => !isFar(t) && t.length !== null).map((t) => t.value));
  const far = tries.filter((t) => isFar(t) && t.value > near).map((t) => t.value);
  return far.sort((a, b) => a - b)[1] ?? null;
}

const areaOf = (shapes: readonly CutShape[]): number =>
  shapes.reduce((sum, shape) => sum + (shape.plain + shape.mirrored) * Math.abs(polygonArea(shape.whole)), 0);

/** The line is made, not passed over. */
function isMade(job: Job, index: number): boolean {
  const shape = deriveShape(job);
  return shape.ok && shape.worksheet.some((l) => l.index === index && l.passed === null);
}

/** The number as it is drawn now. */
function presentOf(job: Job, index: number, name: string): number | null {
  const shape = deriveShape(job);
  if (!shape.ok) return null;
  const line = shape.worksheet.find((l) => l.index === index);
  const own = shape.moves[index]?.params[name];
  return line?.numbers[name]?.mm ?? (typeof own === "number" ? own : null);
}
