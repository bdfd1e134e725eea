import { GRID, STRIDE, type PairView } from "./pairs";
import { shapeOf, type Lay, type Laid, type LayItem, type Task } from "./strip";

/** Touching is no overlap. */
const TOUCH = 1e-6;

/** The first step from here on at which pieces are laid. */
const strided = (step: number): number => STRIDE * Math.ceil(step / STRIDE);

/** How far a place along the cloth is from the nearest line of a repeat. */
function offLine(x: number, { every, first }: { readonly every: number; readonly first: number }): number {
  const over = (((x - first) % every) + every) % every;
  return Math.min(over, every - over);
}

/** A lay in the making: places on the grid along the cloth, exact across it. */
export interface Placing {
  readonly x: Int32Array;
  readonly y: Float64Array;
  readonly turn: Uint8Array;
}

export const newPlacing = (count: number): Placing => ({
  x: new Int32Array(count),
  y: new Float64Array(count),
  turn: new Uint8Array(count),
});

export const copyOfPlacing = ({ x, y, turn }: Placing): Placing => ({
  x: x.slice(),
  y: y.slice(),
  turn: turn.slice(),
});

/** How far a lay reaches for an item that lies at a step of the grid: to its right end. */
export const endOf = (task: Task, item: number, step: number): number =>
  task.strip.items[item]?.isMissing ? 0 : step * GRID + shapeOf(task, item).own[0];

/**
 * Lays pieces one after the other, each as far to the left as it goes beside those that lie already, and there as low as
 * it goes.
 */
export class Leftmost {
  private readonly firstStep: Int32Array;
  private readonly low: Float64Array;
  private readonly high: Float64Array;
  /** Scratch: what lies beside the piece that is being laid. */
  private readonly views: PairView[] = [];
  private readonly beside: number[] = [];
  private readonly blocked: Float64Array = new Float64Array(4096);

  constructor(private readonly task: Task) {
    const { strip } = task;
    const n = strip.items.length;
    [this.firstStep, this.low, this.high] = [new Int32Array(n), new Float64Array(n), new Float64Array(n)];
    for (let i = 0; i < n; i++) {
      const { own } = shapeOf(task, i);
      this.firstStep[i] = strided(own[0] / GRID - TOUCH);
      this.low[i] = own[1];
      this.high[i] = strip.width - own[1];
    }
  }

  /** The first step of the grid at which an item lies on the cloth. */
  first(item: number): number {
    return this.firstStep[item] as number;
  }

  /**
   * Lays `item` in `turn` beside the first `count` of `order`; true, and its place is written, where it ends within
   * `most` steps of the grid counted to its middle.
   */
  place(
    p: Placing,
    order: Int32Array | readonly number[],
    count: number,
    item: number,
    turn: number,
    most: number,
    from = this.first(item),
  ): boolean {
    const { strip, pairs } = this.task;
    const own = strip.items[item] as LayItem;
    const across = own.across?.[own.turns.indexOf(turn)];
    const [low, high] = across === undefined ? [this.low[item] as number, this.high[item] as number] : [across, across];
    if (high < low - TOUCH) return false;
    const { views, beside, blocked } = this;
    for (let k = 0; k < count; k++) {
      const other = order[k] as number;
      beside[k] = other;
      views[k] = pairs.view((strip.items[other] as LayItem).shape, p.turn[other] as number, own.shape, turn);
    }
    const until = high - TOUCH + (across === undefined ? 0 : 2 * TOUCH);
    const mark = own.marks?.at[own.turns.indexOf(turn)];
    for (let step = strided(from); step <= most; step += STRIDE) {
      if (own.marks && mark !== undefined && offLine(step * GRID + mark, own.marks) > (STRIDE * GRID) / 2 + TOUCH)
        continue;
      let n = 0;
      for (let k = 0; k < count; k++) {
        const other = beside[k] as number;
        const view = views[k] as PairView;
        const rows = view.table.at(view.x * (step - (p.x[other] as number)));
        const at = p.y[other] as number;
        for (let r = 0; r < rows.length; r += 2) {
          const near = view.y * (rows[r] as number);
          const far = view.y * (rows[r + 1] as number);
          const a = at + (near < far ? near : far);
          const b = at + (near < far ? far : near);
          if (b > low + TOUCH && a < until) {
            blocked[n++] = a;
            blocked[n++] = b;
          }
        }
      }
      let y = low;
      for (let r = 0; r < n; r += 2) {
        if ((blocked[r] as number) < y - TOUCH && (blocked[r + 1] as number) > y + TOUCH) {
          y = blocked[r + 1] as number;
          if (y > high + TOUCH) break;
          r = -2;
        }
      }
      if (y <= high + TOUCH) {
        p.x[item] = step;
        p.y[item] = Math.min(y, Math.max(high, low));
        p.turn[item] = turn;
        return true;
      }
    }
    return false;
  }

  /** At a step of the grid, the places across nearest to a wanted one at which an item lies clear: one above, one below. */
  clearAt(
    p: Placing,
    others: readonly number[],
    item: number,
    turn: number,
    step: number,
    wanted: number,
  ): readonly number[] {
    const { strip, pairs } = this.task;
    const own = strip.items[item] as LayItem;
    const across = own.across?.[own.turns.indexOf(turn)];
    const [low, high] = across === undefined ? [this.low[item] as number, this.high[item] as number] : [across, across];
    if (high < low - TOUCH) return [];
    const blocked = others.flatMap((other): (readonly [number, number])[] => {
      const view = pairs.view((strip.items[other] as LayItem).shape, p.turn[other] as number, own.shape, turn);
      const rows = view.table.at(view.x * (step - (p.x[other] as number)));
      return Array.from({ length: rows.length / 2 }, (_, r) => {
        const [near, far] = [view.y * (rows[2 * r] as number), view.y * (rows[2 * r + 1] as number)];
        return [(p.y[other] as number) + Math.min(near, far), (p.y[other] as number) + Math.max(near, far)];
      });
    });
    const slid = (way: 1 | -1): number[] => {
      let y = Math.min(high, Math.max(low, wanted));
      for (;;) {
        const hit = blocked.find(([from, to]) => from < y - TOUCH && to > y + TOUCH);
        if (!hit) return [y];
        y = way > 0 ? hit[1] : hit[0];
        if (y > high + TOUCH || y < low - TOUCH) return [];
      }
    };
    return [...new Set([...slid(1), ...slid(-1)])];
  }
}

/** The lay of a placing. */
export function layOf(task: Task, p: Placing): Lay {
  const laid = task.strip.items.map(
    (item, i): Laid => item.fixed ?? { x: (p.x[i] as number) * GRID, y: p.y[i] as number, turn: p.turn[i] as number },
  );
  return { length: lengthOf(task, p), laid };
}

export const lengthOf = (task: Task, p: Placing): number =>
  Math.max(0, ...task.strip.items.map((_, i) => endOf(task, i, p.x[i] as number)));
