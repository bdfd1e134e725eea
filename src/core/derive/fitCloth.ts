import type { ClothLay, CutShape, LayCloth, Locked } from "../cloth";
import type { Job } from "../files";
import { polygonArea } from "../geometry";
import { MOVES } from "../moves";
import type { Param } from "../params";
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
  readonly milliseconds: number;
  /** However slow the machine, it ends after so long; left out, after several times what was asked. */
  readonly atMost?: number;
  /** Pieces that are locked by hand stay where they are, whatever the number. */
  readonly locked?: Locked;
  /** The lay on the table: the number as it is now lies like this, and so does every smaller one. */
  readonly laid?: ClothLay | null;
}

interface Range {
  readonly least: number;
  readonly most: number;
  /** Numbers that are usual, where a range is far wider than what can be made. */
  readonly usual: readonly number[];
  /** The number is narrowed down to this. */
  readonly step: number;
  readonly asStored: (value: number) => unknown;
}

/** Steps of a search, which grow with each seed. */
const STEPS = 900;
/** The work is counted, so that it comes to the same on any machine: one look at a number for so much of the time asked. */
const MS_A_LOOK = 500;
/** The whole takes no longer than so many times the time asked, however slow the machine; until then no look is ended by a clock. */
const LONGEST = 6;
/** Where between two numbers the next is tried, by the seed: what lies may lie in a small part of a range alone. */
const BETWEEN = [0.5, 0.62, 0.38, 0.7, 0.3] as const;
/** At the end, looks of so many steps for each millisecond asked, at numbers so many divisions above the largest found, until so many find none. */
const LONG = 0.45;
const LITTLE = 1.5;
const LONG_SEEDS = 3;
/** A number is given up once so many seeds have found no lay for it. */
const SEEDS = 4;
function rangeOf(param: Param): Range | null {
  if (param.as === "length") {
    const [least, most] = param.within ?? [0, 2000];
    return { least, most, usual: param.tried ?? [], step: 3, asStored: (value) => `${value.toFixed(1)} mm` };
  }
  if (param.as === "number")
    return {
      least: param.least,
      most: param.most,
      usual: [],
      step: param.whole ? 1 : Math.max(0.01, param.step / 5),
      asStored: (value) => (param.whole ? Math.round(value) : Number(value.toFixed(4))),
    };
  return null;
}

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
  const { moves, index } = line;
  const entry = moves[index] as NonNullable<Job["moves"]>[number];
  const param = MOVES[entry.move]?.params[asked.number];
  const range = param ? rangeOf(param) : null;
  if (!param || !range)
    return fault(
      "number",
      say`“${MOVES[entry.move]?.label ?? asked.move}” has no number “${typed(asked.number.slice(0, 30))}” to fit.`,
    );
  const from = performance.now();
  let looks = Math.max(8, Math.ceil(asked.milliseconds / MS_A_LOOK));
  const atMost = asked.atMost ?? LONGEST * asked.milliseconds;
  const isOver = (): boolean => performance.now() - from >= atMost;
  const isLeft = (): boolean => looks > 0 && !isOver();
  const withValue = (value: number): Job => ({
    ...job,
    moves: moves.map((m, i) =>
      i === index ? { ...m, params: { ...m.params, [asked.number]: range.asStored(value) } } : m,
    ),
  });
  const locked = asked.locked?.size ?? 0;
  const tries: Tried[] = [];
  let proof: { readonly value: number; readonly lay: ClothLay } | null = null;
  let refusal: LayFault | null = null;
  /** A number laid with a seed: like the nearest lay that fits, or afresh. */
  const tryAt = (value: number, seed: number, steps?: number): Tried => {
    looks--;
    const tried = withValue(value);
    const made = shapesOfAll([tried, ...others], "shell", cloth);
    if (!made.ok || !isMade(tried, index)) {
      if (!made.ok) refusal ??= made;
      return { value, length: null, fits: false };
    }
    const laid = layWithin(made.shapes, cloth, asked.seed + seed, {
      steps: steps ?? STEPS * (seed + 1),
      milliseconds: atMost - (performance.now() - from),
      until: length,
      like: seed % 2 === 1 ? null : (proof?.lay ?? null),
      ...(asked.locked && { locked: asked.locked }),
    });
    if (!laid.ok) {
      refusal ??= laid;
      return { value, length: null, fits: false };
    }
    const fits = laid.lay.length <= length + 1e-6;
    if (fits && (!proof || value > proof.value)) proof = { value, lay: laid.lay };
    return { value, length: laid.lay.length, fits };
  };
  let [low, high]: [number, number | null] = [NaN, null];
  function* look(value: number, seed = 0, steps?: number): Generator<Tried, boolean, void> {
    const tried = tryAt(value, seed, steps);
    tries.push(tried);
    yield tried;
    return tried.fits;
  }
  // What cannot be made, or is larger than the cloth by its area alone, is never laid.
  const areaAt = (value: number): number | null => {
    const tried = withValue(value);
    const made = shapesOfAll([tried, ...others], "shell", cloth);
    return made.ok && isMade(tried, index) ? areaOf(made.shapes) : null;
  };
  const { least, most, isRuledOut } = reachOf(range, areaAt, cloth.width * length);
  if ((yield* look(least)) || (yield* look(least, 1))) low = least;
  // Locked pieces may leave the least no room, and a larger one some.
  for (let i = 1; Number.isNaN(low) && locked > 0 && i <= PLACES && isLeft(); i++) {
    const value = least + ((most - least) * i) / PLACES;
    if (yield* look(value)) low = value;
  }
  // The number as it is now lies as it lies on the table. Without that it is looked for no more than any other, or the
  // search would find more from one number than from another.
  const present = presentOf(job, index, asked.number);
  const { most: largest } = range;
  const onTable = asked.laid ?? null;
  function knowPresent(): void {
    if (!onTable || onTable.length > length + 1e-6 || present === null || present > largest || present <= low) return;
    proof = { value: present, lay: onTable };
    tries.push({ value: present, length: onTable.length, fits: true });
    low = present;
  }
  if (Number.isNaN(low)) knowPresent();
  if (Number.isNaN(low)) {
    return (
      refusal ??
      fault(
        "cloth.length",
        say`None fits: at ${least}, the least, the pieces take ${tries[0]?.length ?? 0} of ${length}. Take more cloth, another fold, or a shorter garment.`,
      )
    );
  }
  high = most;
  if (most > low && !isRuledOut && (yield* look(most))) [low, high] = [most, null];
  while (high !== null && high - low > range.step && isLeft()) {
    const value = (low + high) / 2;
    if (yield* look(value)) low = value;
    else high = value;
  }
  // A search may miss a lay that is there: what is left of the time goes over the numbers above again, each time anew.
  let given = low >= most ? SEEDS : 0;
  for (let seed = 1; given < SEEDS && isLeft(); seed++) {
    const before = low;
    for (let top = hopeless(tries, length) ?? most; top - low > range.step && isLeft();) {
      const value = low + (top - low) * (BETWEEN[seed % BETWEEN.length] as number);
      if (yield* look(value, seed)) low = value;
      else top = value;
    }
    given = low > before ? 0 : given + 1;
  }
  // Last, so that the search goes the same way from any number.
  knowPresent();
  // At the end the numbers just above the largest found are each looked at for long; one that lies is followed up.
  let onward = LITTLE * range.step;
  for (let seed = SEEDS + 1, missed = 0; missed < LONG_SEEDS && low + onward <= most && !isOver(); seed++) {
    if (yield* look(low + onward, seed, Math.round(LONG * asked.milliseconds))) {
      low += onward;
      onward *= 2;
      missed = 0;
    } else {
      onward = LITTLE * range.step;
      missed++;
    }
  }
  const isNarrowed = given >= SEEDS && (high !== null || low >= most);
  const found = proof as { readonly value: number; readonly lay: ClothLay } | null;
  if (!found) return fault("cloth.length", say`No lay was found in the time there was.`);
  return {
    value: found.value,
    length: found.lay.length,
    lay: found.lay,
    tries,
    isNarrowed,
    locked,
  };
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

/** A range is looked over at so many places for numbers that can be made, and its ends narrowed by so many halvings. */
const PLACES = 16;
const HALVINGS = 7;

/**
 * The part of a range that is worth laying: from the least number that can be made to the largest that can be made and is
 * not ruled out by its area, with whether more than that is ruled out. All of it where none can be made.
 */
function reachOf(
  { least, most, usual, step }: Range,
  areaAt: (value: number) => number | null,
  cloth: number,
): { readonly least: number; readonly most: number; readonly isRuledOut: boolean } {
  const spaced = (from: number, to: number): number[] =>
    Array.from({ length: PLACES + 1 }, (_, i) => from + ((to - from) * i) / PLACES);
  const [low = least, high = most] = usual;
  const places = [...new Set([...spaced(least, most), ...spaced(low, high)])]
    .filter((value) => value >= least && value <= most)
    .sort((a, b) => a - b);
  const areas = places.map(areaAt);
  const isMadeAt = (area: number | null): boolean => area !== null;
  const isLaidAt = (area: number | null): boolean => area !== null && area <= cloth;
  const first = areas.findIndex(isMadeAt);
  if (first < 0) return { least, most, isRuledOut: false };
  /** The last of the numbers from one that holds toward one that does not. */
  const end = (from: number, toward: number, holds: (area: number | null) => boolean): number => {
    let [good, bad] = [from, toward];
    for (let i = 0; i < HALVINGS && Math.abs(bad - good) > step; i++) {
      const value = (good + bad) / 2;
      if (holds(areaAt(value))) good = value;
      else bad = value;
    }
    return good;
  };
  const lowest = places[first] as number;
  const before = places[first - 1];
  const last = Math.max(first, areas.findLastIndex(isLaidAt));
  const [highest, after] = [places[last] as number, places[last + 1]];
  return {
    least: before === undefined ? lowest : end(lowest, before, isMadeAt),
    most: after === undefined ? highest : end(highest, after, isLaidAt),
    isRuledOut: after !== undefined && isMadeAt(areas[last + 1] ?? null),
  };
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
