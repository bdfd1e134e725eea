import { GRID } from "./pairs";
import { copyOfPlacing, endOf, type Leftmost, lengthOf, newPlacing, type Placing } from "./leftmost";
import { shapeOf, type LayItem, type Task } from "./strip";

/** An order in which pieces are laid, the turn of each, and the lay that comes of it. */
export interface Sequence {
  readonly order: Int32Array;
  readonly turns: Uint8Array;
  readonly placing: Placing;
  length: number;
}

export const copyOf = (s: Sequence): Sequence => ({
  order: s.order.slice(),
  turns: s.turns.slice(),
  placing: copyOfPlacing(s.placing),
  length: s.length,
});

/** Steps of the grid to the middle of an item that ends at a length. */
const stepsWithin = (task: Task, item: number, length: number): number =>
  Math.floor((length - shapeOf(task, item).own[0]) / GRID + 1e-6);

/** Copies the fixed pieces into a placing. */
export function placeFixed({ strip, fixed }: Task, placing: Placing): void {
  for (const item of fixed) {
    const { x, y, turn } = (strip.items[item] as LayItem).fixed as NonNullable<LayItem["fixed"]>;
    placing.x[item] = Math.round(x / GRID);
    placing.y[item] = y;
    placing.turn[item] = turn;
  }
}

/** Longer than any lay of these pieces one behind the other. */
const endless = (task: Task): number =>
  task.strip.items.reduce((sum, _, i) => sum + 2 * shapeOf(task, i).half[0] + 2 * GRID, 0) +
  Math.max(0, ...task.fixed.map((i) => ((task.strip.items[i] as LayItem).fixed as { x: number }).x * 2));

/**
 * Lays pieces in an order, one a step; null where one is wider than the cloth. Each is laid no further back from the end of
 * those before it than `back`.
 */
export function* sequence(
  task: Task,
  leftmost: Leftmost,
  order: readonly number[],
  turns: readonly number[],
  greedy = false,
  back: number = Infinity,
): Generator<null, Sequence | null, void> {
  const n = task.strip.items.length;
  const s: Sequence = {
    order: Int32Array.from([...task.fixed, ...order]),
    turns: new Uint8Array(n),
    placing: newPlacing(n),
    length: 0,
  };
  placeFixed(task, s.placing);
  const most = endless(task);
  let far = 0;
  for (let k = task.fixed.length; k < s.order.length; k++) {
    const item = s.order[k] as number;
    const own = task.strip.items[item] as LayItem;
    const asked = turns[item] as number;
    let best: { step: number; y: number; turn: number } | null = null;
    const from = Math.max(leftmost.first(item), Math.floor((far - back) / GRID));
    for (const turn of greedy ? own.turns : [asked]) {
      if (!leftmost.place(s.placing, s.order, k, item, turn, stepsWithin(task, item, most), from)) continue;
      const [step, y] = [s.placing.x[item] as number, s.placing.y[item] as number];
      if (!best || step < best.step || (step === best.step && y < best.y)) best = { step, y, turn };
    }
    if (!best) return null;
    s.placing.x[item] = best.step;
    s.placing.y[item] = best.y;
    s.placing.turn[item] = best.turn;
    s.turns[item] = best.turn;
    far = Math.max(far, endOf(task, item, best.step));
    yield null;
  }
  s.length = lengthOf(task, s.placing);
  return s;
}

/** The same without a pause between. */
export function sequenceAtOnce(...of: Parameters<typeof sequence>): Sequence | null {
  const laying = sequence(...of);
  let step = laying.next();
  while (!step.done) step = laying.next();
  return step.value;
}

/** Of the length, what the temperature is at the start and at the end. */
const HOT = 0.02;
const COLD = 0.0002;
/** A lay that grows past the present one by so many temperatures is given up. */
const GIVEN_UP = 7;

/** Simulated annealing on order and turns, a step at a time: swap two, put one elsewhere, turn one. */
export class Annealing {
  best: Sequence;
  private now: Sequence;
  private trial: Sequence;
  private step = 0;

  constructor(
    private readonly task: Task,
    private readonly leftmost: Leftmost,
    private readonly random: () => number,
    from: Sequence,
    private readonly steps: number,
  ) {
    this.best = copyOf(from);
    this.now = copyOf(from);
    this.trial = copyOf(from);
  }

  get isDone(): boolean {
    return this.step >= this.steps;
  }

  /** One lay tried; true where it is the best so far. */
  advance(): boolean {
    const { task, now, trial, random } = this;
    const head = task.fixed.length;
    const n = now.order.length - head;
    const heat = now.length * HOT * (COLD / HOT) ** (this.step / this.steps);
    this.step++;
    if (n === 0) return false;
    trial.order.set(now.order);
    trial.turns.set(now.turns);
    const pick = (): number => head + Math.floor(random() * n);
    const kind = random();
    let changed = now.order.length;
    if (kind < 0.4 && n > 1) {
      const [a, b] = [pick(), pick()];
      if (a === b) return false;
      [trial.order[a], trial.order[b]] = [now.order[b] as number, now.order[a] as number];
      changed = Math.min(a, b);
    } else if (kind < 0.75 && n > 1) {
      const [a, b] = [pick(), pick()];
      if (a === b) return false;
      const item = now.order[a] as number;
      if (a < b) trial.order.copyWithin(a, a + 1, b + 1);
      else trial.order.copyWithin(b + 1, b, a);
      trial.order[b] = item;
      changed = Math.min(a, b);
    } else {
      const a = pick();
      const item = now.order[a] as number;
      const { turns } = task.strip.items[item] as LayItem;
      if (turns.length < 2) return false;
      const others = turns.filter((t) => t !== now.turns[item]);
      trial.turns[item] = others[Math.floor(random() * others.length)] as number;
      changed = a;
    }
    const limit = now.length + GIVEN_UP * heat;
    let length = 0;
    for (let k = 0; k < changed; k++) {
      const item = trial.order[k] as number;
      trial.placing.x[item] = now.placing.x[item] as number;
      trial.placing.y[item] = now.placing.y[item] as number;
      trial.placing.turn[item] = now.placing.turn[item] as number;
      length = Math.max(length, endOf(task, item, trial.placing.x[item] as number));
    }
    for (let k = changed; k < trial.order.length; k++) {
      const item = trial.order[k] as number;
      if (
        !this.leftmost.place(
          trial.placing,
          trial.order,
          k,
          item,
          trial.turns[item] as number,
          stepsWithin(task, item, limit),
        )
      )
        return false;
      length = Math.max(length, endOf(task, item, trial.placing.x[item] as number));
    }
    trial.length = length;
    if (length > now.length && random() >= Math.exp((now.length - length) / heat)) return false;
    [this.now, this.trial] = [trial, now];
    if (length < this.best.length - 1e-6) {
      this.best = copyOf(trial);
      return true;
    }
    return false;
  }
}
