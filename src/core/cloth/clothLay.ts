import { boxOf, type Point } from "../geometry";
import { Refusal, say, type Mm } from "../units";
import type { CutShape } from "./cutShapes";
import type { Fold } from "./schema";
import { layShape, turnOf, type LayShape } from "./lay/shape";
import { search } from "./lay/search";
import { Leftmost, layOf, lengthOf } from "./lay/leftmost";
import { sequenceAtOnce } from "./lay/anneal";
import { boundOf, taskOf, tooWide, type Laid, type LayItem, type Strip } from "./lay/strip";

/** Cloth that pieces are laid on. */
export interface LayCloth {
  readonly width: Mm;
  readonly fold: Fold;
  /** Folded lengthwise so far from its edge; null to the middle. */
  readonly foldWidth: Mm | null;
  /** One-way: no piece may be turned end for end. */
  readonly nap: boolean;
  /** What stays between two pieces. */
  readonly gap: Mm;
  /** Lines that come again along it: how far apart, and the first from the cut end; null without. */
  readonly repeat: { readonly along: Mm; readonly first: Mm } | null;
}

/** A piece on the cloth. */
export interface Placement {
  readonly piece: string;
  /** Which of its copies, from 1. */
  readonly copy: number;
  /** Its middle along the cloth from the cut end, and across it from the edge or the fold that faces the cutter. */
  readonly x: Mm;
  readonly y: Mm;
  /** How it is turned, by number. */
  readonly turn: number;
  readonly outline: readonly Point[];
  /** Cut through so many layers. */
  readonly layers: 1 | 2;
  /** A single cut through both layers leaves one to spare. */
  readonly spare: number;
  /** Its edge lies on the fold. */
  readonly onFold: boolean;
  /** Cut once the cloth has been opened out. */
  readonly opened: boolean;
}

/** A lay on cloth. */
export interface ClothLay {
  /** Along the cloth, from the cut end to the end of the last piece; of all layers. */
  readonly length: Mm;
  /** How far the folded part reaches along the cloth, and across it; the whole where it is open. */
  readonly foldedLength: Mm;
  readonly drawnWidth: Mm;
  readonly placements: readonly Placement[];
  /** Share of the cloth that pieces take. */
  readonly utilisation: number;
  /** No lay of these pieces on this cloth is shorter. */
  readonly bound: Mm;
  /** How pieces of which there is only one are cut where the cloth is folded. */
  readonly singles: "none" | "both-layers" | "opened" | "beyond";
}

export interface LayFound {
  readonly lay: ClothLay;
  readonly steps: number;
}

/** An item of a strip, and what it is. */
interface Part {
  readonly shape: CutShape;
  readonly copies: number;
  readonly layers: 1 | 2;
  readonly spare: number;
  readonly onFold: boolean;
}

export interface Plan {
  readonly strip: Strip;
  readonly parts: readonly Part[];
}

const BOTH_WAYS = { plain: [0, 3], mirrored: [2, 1], either: [0, 3, 2, 1], onFold: [0, 1] } as const;
const ONE_WAY = { plain: [0], mirrored: [2], either: [0, 2], onFold: [0] } as const;

/** Builds a strip from shapes: equal outlines are one shape. */
class Planner {
  private readonly shapes: LayShape[] = [];
  private readonly known = new Map<readonly Point[], number>();
  private readonly items: LayItem[] = [];
  private readonly parts: Part[] = [];

  constructor(
    private readonly width: Mm,
    private readonly cloth: LayCloth,
  ) {}

  private shape(outline: readonly Point[]): number {
    const at = this.known.get(outline);
    if (at !== undefined) return at;
    this.shapes.push(layShape(outline, this.cloth.gap));
    this.known.set(outline, this.shapes.length - 1);
    return this.shapes.length - 1;
  }

  add(outline: readonly Point[], turns: readonly number[], part: Part, count = 1): void {
    const shape = this.shape(outline);
    const own = (this.shapes[shape] as LayShape).own[1];
    for (let i = 0; i < count; i++) {
      // Drawn with its fold on y = 0, half of it lies at half its own width from there.
      const { repeat } = this.cloth;
      const mark = part.shape.mark === null ? null : part.shape.mark - middleOf(outline);
      this.items.push({
        shape,
        turns,
        ...(part.onFold && { across: turns.map(() => own) }),
        ...(repeat &&
          mark !== null && {
            marks: { every: repeat.along, first: repeat.first, at: turns.map((t) => turnOf(t).x * mark) },
          }),
      });
      this.parts.push(part);
    }
  }

  plan(): Plan {
    return {
      strip: { width: this.width, gap: this.cloth.gap, shapes: this.shapes, items: this.items },
      parts: this.parts,
    };
  }
}

/** The middle of an outline's box, along the grain. */
function middleOf(outline: readonly Point[]): Mm {
  const { left, right } = boxOf(outline);
  return (left + right) / 2;
}

const singlesOf = (shapes: readonly CutShape[]): boolean => shapes.some((s) => !s.onFold && s.plain !== s.mirrored);

/** Everything in one layer. */
function openPlan(shapes: readonly CutShape[], cloth: LayCloth): Plan {
  const turns = cloth.nap ? ONE_WAY : BOTH_WAYS;
  const planner = new Planner(cloth.width, cloth);
  for (const shape of shapes) {
    const part = { shape, copies: 1, layers: 1 as const, spare: 0, onFold: false };
    planner.add(shape.whole, turns.plain, part, shape.plain);
    planner.add(shape.whole, turns.mirrored, part, shape.mirrored);
  }
  return planner.plan();
}

/** What is cut through two layers: pairs, pieces on the fold where there is one, and singles where they are not left out. */
function doublePlan(
  shapes: readonly CutShape[],
  width: Mm,
  cloth: LayCloth,
  more: { readonly hasFold: boolean; readonly singles: boolean },
): Plan {
  const turns = cloth.nap ? ONE_WAY : BOTH_WAYS;
  const planner = new Planner(width, cloth);
  for (const shape of shapes) {
    const pair = { shape, copies: 2, layers: 2 as const, spare: 0, onFold: false };
    if (shape.onFold && more.hasFold) {
      planner.add(shape.outline, turns.onFold, { ...pair, copies: 1, onFold: true }, shape.plain);
      continue;
    }
    const [pairs, rest] = shape.onFold
      ? [Math.floor(shape.plain / 2), shape.plain % 2]
      : [Math.min(shape.plain, shape.mirrored), Math.abs(shape.plain - shape.mirrored)];
    planner.add(shape.whole, turns.either, pair, pairs);
    if (more.singles) planner.add(shape.whole, turns.either, { ...pair, copies: 1, spare: 1 }, rest);
  }
  return planner.plan();
}

/** Pieces that are left to be cut from one layer. */
function singlesPlan(shapes: readonly CutShape[], cloth: LayCloth, hasFold: boolean): Plan {
  const turns = cloth.nap ? ONE_WAY : BOTH_WAYS;
  const planner = new Planner(cloth.width, cloth);
  for (const shape of shapes) {
    const part = { shape, copies: 1, layers: 1 as const, spare: 0, onFold: false };
    if (shape.onFold) {
      if (!hasFold) planner.add(shape.whole, turns.plain, part, shape.plain % 2);
      continue;
    }
    const rest = shape.plain - shape.mirrored;
    planner.add(shape.whole, rest > 0 ? turns.plain : turns.mirrored, part, Math.abs(rest));
  }
  return planner.plan();
}

/** An outline as it lies. */
function laidOutline(shape: LayShape, { x, y, turn }: Laid): readonly Point[] {
  const way = turnOf(turn);
  return shape.outline.map(([px, py]): Point => [x + way.x * px, y + way.y * py]);
}

/** Counts copies of each piece as they are placed. */
class Counter {
  private readonly count = new Map<string, number>();

  next(piece: string, by: number): number {
    const at = (this.count.get(piece) ?? 0) + 1;
    this.count.set(piece, at + by - 1);
    return at;
  }
}

function placementsOf(
  { strip, parts }: Plan,
  laid: readonly Laid[],
  counter: Counter,
  more: Partial<Placement> = {},
): Placement[] {
  return parts.map((part, i): Placement => {
    const at = laid[i] as Laid;
    return {
      piece: part.shape.piece,
      copy: counter.next(part.shape.piece, part.copies),
      ...at,
      outline: laidOutline(strip.shapes[(strip.items[i] as LayItem).shape] as LayShape, at),
      layers: part.layers,
      spare: part.spare,
      onFold: part.onFold,
      opened: false,
      ...more,
    };
  });
}

/** Area of all copies of all pieces. */
const areaOf = (shapes: readonly CutShape[]): number =>
  shapes.reduce((sum, s) => sum + (s.plain + s.mirrored) * Math.abs(shoelace(s.whole)), 0);

const shoelace = (points: readonly Point[]): number =>
  points.reduce((sum, [x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length] as Point;
    return sum + (x * ny - nx * y) / 2;
  }, 0);

/** Refuses what is wider than the cloth, by name. */
function refuseTooWide({ strip, parts }: Plan, cloth: LayCloth): void {
  const [first] = tooWide(strip);
  if (first === undefined) return;
  const { shape } = parts[first] as Part;
  const ys = shape.whole.map(([, y]) => y);
  const wide = Math.max(...ys) - Math.min(...ys);
  throw new Refusal(
    "cloth.width",
    cloth.fold === "lengthwise" && wide <= cloth.width
      ? say`The ${shape.name.toLowerCase()} is ${wide} wide: it does not fit on the folded cloth of ${strip.width}. Lay it open, or fold the cloth otherwise.`
      : say`The ${shape.name.toLowerCase()} is ${wide} wide, the cloth ${strip.width}. Take wider cloth, or join it from two.`,
  );
}

/** Pieces that stay where a hand has put them, by their number among the placements of a lay. */
export type Locked = ReadonlyMap<number, Laid>;
const NONE_LOCKED: Locked = new Map();

/** The plan with some of its pieces fixed. Throws Refusal where one lies off the cloth. */
function withLocked(plan: Plan, locked: Locked): Plan {
  if (locked.size === 0) return plan;
  const { strip, parts } = plan;
  for (const [i, at] of locked) {
    const part = parts[i];
    const own = part && (strip.shapes[(strip.items[i] as LayItem).shape] as LayShape).own;
    if (!part || !own)
      throw new Refusal("locked", say`A piece is locked that is no longer there. Unlock all, and lay again.`);
    if (at.x - own[0] < -1 || at.y - own[1] < -1 || at.y + own[1] > strip.width + 1)
      throw new Refusal(
        "locked",
        say`The ${part.shape.name.toLowerCase()} is locked off the cloth. Unlock it, or move it on.`,
      );
  }
  return {
    parts,
    strip: {
      ...strip,
      items: strip.items.map((item, i) => (locked.has(i) ? { ...item, fixed: locked.get(i) as Laid } : item)),
    },
  };
}

/** How wide cloth lies: as far as it is folded lengthwise, else over its whole width. */
export const stripWidth = ({ width, fold, foldWidth }: Pick<LayCloth, "width" | "fold" | "foldWidth">): Mm =>
  fold === "lengthwise" ? (foldWidth ?? width / 2) : width;

/** Everything in one strip, as it lies for moving by hand: singles through both layers where the cloth is folded. */
export function onePlan(shapes: readonly CutShape[], cloth: LayCloth): Plan {
  if (cloth.fold === "open") return openPlan(shapes, cloth);
  const isLengthwise = cloth.fold === "lengthwise";
  return doublePlan(shapes, stripWidth(cloth), cloth, { hasFold: isLengthwise, singles: true });
}

/** The lay of a plan's pieces as they lie in one strip. */
export function oneLay(shapes: readonly CutShape[], cloth: LayCloth, plan: Plan, laid: readonly Laid[]): ClothLay {
  const { strip } = plan;
  const end = Math.max(
    ...laid.map((at, i) => at.x + (strip.shapes[(strip.items[i] as LayItem).shape] as LayShape).own[0]),
  );
  const length = cloth.fold === "across" ? 2 * end : end;
  const area = areaOf(shapes);
  return {
    length,
    foldedLength: cloth.fold === "open" ? 0 : end,
    drawnWidth: strip.width,
    placements: placementsOf(plan, laid, new Counter()),
    singles: cloth.fold !== "open" && singlesOf(shapes) ? "both-layers" : "none",
    bound: Math.max(area / cloth.width, boundOf(strip)),
    utilisation: area / (cloth.width * length),
  };
}

/**
 * Lays pieces on cloth: a first lay at once, then better ones as they are found, until it is stopped. Yields after every
 * step. Throws Refusal of the cloth where a piece cannot lie on it. The same seed gives the same lays after the same steps.
 */
export function* layCloth(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  seed: number,
  locked: Locked = NONE_LOCKED,
): Generator<LayFound | null, void, void> {
  if (shapes.length === 0) throw new Refusal("material", say`Nothing is cut from this cloth.`);
  const area = areaOf(shapes);
  const found = (bound: Mm, lay: Omit<ClothLay, "utilisation" | "bound">): ClothLay => ({
    ...lay,
    bound: Math.max(bound, area / cloth.width),
    utilisation: area / (cloth.width * lay.length),
  });
  if (cloth.fold === "open" || locked.size > 0) yield* oneStrip(shapes, cloth, seed, locked);
  else if (cloth.fold === "lengthwise") yield* lengthwiseLay(shapes, cloth, seed, found);
  else yield* acrossLay(shapes, cloth, seed, found);
}

type Finish = (bound: Mm, lay: Omit<ClothLay, "utilisation" | "bound">) => ClothLay;

/** Everything in one strip, some of it locked. */
function* oneStrip(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  seed: number,
  locked: Locked,
): Generator<LayFound | null, void, void> {
  const plan = withLocked(onePlan(shapes, cloth), locked);
  refuseTooWide(plan, cloth);
  for (const step of search(plan.strip, seed))
    yield step && { steps: step.steps, lay: oneLay(shapes, cloth, plan, step.lay.laid) };
}

function* lengthwiseLay(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  seed: number,
  finish: Finish,
): Generator<LayFound | null, void, void> {
  const deep = stripWidth({ ...cloth, fold: "lengthwise" });
  if (deep > cloth.width / 2 + 1e-6 || deep <= 0)
    throw new Refusal("cloth.foldWidth", say`Cloth ${cloth.width} wide is folded by ${cloth.width / 2} at most.`, {
      most: cloth.width / 2,
    });
  const through = doublePlan(shapes, deep, cloth, { hasFold: true, singles: true });
  if (!singlesOf(shapes)) {
    refuseTooWide(through, cloth);
    const bound = boundOf(through.strip);
    for (const step of search(through.strip, seed))
      yield (
        step && { steps: step.steps, lay: finish(bound, folded(through, step.lay.laid, step.lay.length, deep, "none")) }
      );
    return;
  }
  const pairs = doublePlan(shapes, deep, cloth, { hasFold: true, singles: false });
  refuseTooWide(pairs, cloth);
  const singles = singlesPlan(shapes, cloth, true);
  refuseTooWide(singles, cloth);
  const bound = Math.max(boundOf(singles.strip), pairs.parts.length > 0 ? boundOf(pairs.strip) : 0);
  // Both ways in turns; whichever is shorter is kept.
  const both = tooWide(through.strip).length === 0 ? search(through.strip, seed) : null;
  const apart = search(pairs.strip, seed + 1);
  let best = Infinity;
  let steps = 0;
  for (let open = true; open;) {
    open = false;
    const a = both?.next();
    if (a && !a.done) {
      open = true;
      steps++;
      const length = a.value?.lay.length ?? Infinity;
      if (a.value && length < best - 1e-6) {
        best = length;
        yield { steps, lay: finish(bound, folded(through, a.value.lay.laid, length, deep, "both-layers")) };
      } else yield null;
    }
    const b = apart.next();
    if (!b.done) {
      open = true;
      steps++;
      const lay =
        b.value && b.value.lay.length < best ? openedOut(pairs, b.value.lay.laid, singles, cloth, deep) : null;
      if (lay && lay.length < best - 1e-6) {
        best = lay.length;
        yield { steps, lay: finish(bound, lay) };
      } else yield null;
    }
  }
}

const folded = (
  plan: Plan,
  laid: readonly Laid[],
  length: Mm,
  deep: Mm,
  singles: ClothLay["singles"],
): Omit<ClothLay, "utilisation" | "bound"> => ({
  length,
  foldedLength: length,
  drawnWidth: deep,
  placements: placementsOf(plan, laid, new Counter()),
  singles,
});

/** Orders in which singles are tried beside what is cut already. */
const TRIES = 3;

/** The pairs cut folded, the cloth opened, and the singles laid beside them; null where one finds no place. */
function openedOut(
  pairs: Plan,
  laid: readonly Laid[],
  singles: Plan,
  cloth: LayCloth,
  deep: Mm,
): Omit<ClothLay, "utilisation" | "bound"> | null {
  const own = singles.strip.shapes.length;
  // Opened out, what lay on the fold lies on both its sides.
  const fixed = laid.flatMap((at, i): LayItem[] => {
    const { shape } = pairs.strip.items[i] as LayItem;
    return [
      { shape: own + shape, turns: [at.turn], fixed: { ...at, y: deep + at.y } },
      { shape: own + shape, turns: [at.turn ^ 2], fixed: { x: at.x, y: deep - at.y, turn: at.turn ^ 2 } },
    ];
  });
  const strip: Strip = {
    width: cloth.width,
    gap: cloth.gap,
    shapes: [...singles.strip.shapes, ...pairs.strip.shapes],
    items: [...singles.strip.items, ...fixed],
  };
  const task = taskOf(strip);
  const leftmost = new Leftmost(task);
  const sizes = [0, 1, 2].slice(0, TRIES);
  let best: { readonly length: Mm; readonly laid: readonly Laid[] } | null = null;
  for (const size of sizes) {
    const by = (i: number): number => {
      const s = strip.shapes[(strip.items[i] as LayItem).shape] as LayShape;
      return [s.area, s.own[0], s.own[1]][size] as number;
    };
    const order = [...task.free].sort((a, b) => by(b) - by(a));
    const made = sequenceAtOnce(
      task,
      leftmost,
      order,
      strip.items.map((i) => i.turns[0] ?? 0),
      true,
    );
    if (made && (!best || made.length < best.length))
      best = { length: lengthOf(task, made.placing), laid: layOf(task, made.placing).laid };
  }
  if (!best) return null;
  const counter = new Counter();
  const shifted = laid.map((at) => ({ ...at, y: deep + at.y }));
  return {
    length: best.length,
    foldedLength: Math.max(
      0,
      ...laid.map((at, i) => at.x + (pairs.strip.shapes[(pairs.strip.items[i] as LayItem).shape] as LayShape).own[0]),
    ),
    drawnWidth: cloth.width,
    placements: [
      ...placementsOf(pairs, shifted, counter),
      ...placementsOf(singles, best.laid.slice(0, singles.parts.length), counter, { opened: true }),
    ],
    singles: "opened",
  };
}

/** Folded across: two layers one behind the other, what is cut once beyond them. */
function* acrossLay(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  seed: number,
  finish: Finish,
): Generator<LayFound | null, void, void> {
  if (cloth.nap)
    throw new Refusal(
      "cloth.fold",
      say`Cloth with a nap is not folded across: its second layer would run the other way. Fold it lengthwise, or lay it open.`,
    );
  const pairs = doublePlan(shapes, cloth.width, cloth, { hasFold: false, singles: false });
  const singles = singlesPlan(shapes, cloth, false);
  const through = doublePlan(shapes, cloth.width, cloth, { hasFold: false, singles: true });
  refuseTooWide(through, cloth);
  const hasSingles = singles.parts.length > 0;
  const bound = 2 * boundOf(pairs.parts.length > 0 ? pairs.strip : through.strip);
  const runs = [
    { kind: "both-layers" as const, plan: through, search: search(through.strip, seed) },
    ...(hasSingles && pairs.parts.length > 0
      ? [{ kind: "beyond" as const, plan: pairs, search: search(pairs.strip, seed + 1) }]
      : []),
  ];
  const after = hasSingles ? search(singles.strip, seed + 2) : null;
  let rest: { readonly length: Mm; readonly laid: readonly Laid[] } | null = null;
  let [best, steps] = [Infinity, 0];
  for (let open = true; open;) {
    open = false;
    const beyond = after?.next();
    if (beyond && !beyond.done && beyond.value) rest = beyond.value.lay;
    for (const run of runs) {
      const next = run.search.next();
      if (next.done) continue;
      open = true;
      steps++;
      if (!next.value) {
        yield null;
        continue;
      }
      const { laid, length } = next.value.lay;
      const isBeyond = run.kind === "beyond";
      const whole = 2 * length + (isBeyond ? (rest?.length ?? Infinity) + cloth.gap : 0);
      if (whole >= best - 1e-6) {
        yield null;
        continue;
      }
      best = whole;
      const counter = new Counter();
      const cut = placementsOf(run.plan, laid, counter);
      const shift = (at: Laid): Laid => ({ ...at, x: at.x + length + cloth.gap });
      yield {
        steps,
        lay: finish(isBeyond ? bound / 2 : 0, {
          length: whole,
          foldedLength: length,
          drawnWidth: cloth.width,
          placements:
            isBeyond && rest
              ? [...cut, ...placementsOf(singles, rest.laid.map(shift), counter, { opened: true })]
              : cut,
          singles: hasSingles ? run.kind : "none",
        }),
      };
    }
  }
}
