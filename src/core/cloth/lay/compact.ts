import { placeFixed } from "./anneal";
import { lengthOf, type Placing } from "./leftmost";
import { GRID } from "./pairs";
import { shapeOf, type LayItem, type Task } from "./strip";

/** A piece is moved by no more than this, along and across, in one go. */
const WINDOW = 12;
/** Along the cloth it is moved by steps of the grid, across by this. */
const STEP_ACROSS = 1;
const STEPS_X = WINDOW / GRID;
const STEPS_Y = WINDOW / STEP_ACROSS;
/** How deep two pieces lie in each other is told up to this; the cells looked at reach so far beyond the window. */
const DEEPEST = 12;
const MARGIN_X = DEEPEST / GRID;
const MARGIN_Y = DEEPEST / STEP_ACROSS;
const COLS = 2 * (STEPS_X + MARGIN_X) + 1;
const ROWS = 2 * (STEPS_Y + MARGIN_Y) + 1;
const ASLANT = Math.hypot(GRID, STEP_ACROSS);
const WINDOW_ROWS = 2 * STEPS_Y + 1;

const TOUCH = 1e-6;
const GROWS = 1.2;
const GROWS_DEEP = 0.8;
const FALLS = 0.95;
/** After so many rounds without getting nearer, the length is given up. */
const PATIENCE = 12;

/**
 * Presses a lay together: every piece that ends beyond a shorter length is moved in, and those that then overlap are
 * moved apart, each within a few millimetres of where it lies. Places along are on the grid and those across exact, so
 * that what is clear here is clear. Pieces keep their turn; those on the fold stay on it.
 */
export class Compaction {
  readonly placing: Placing;
  private readonly weight: Float64Array;
  private readonly cells = new Float32Array(COLS * ROWS);
  private readonly sum = new Float32Array((2 * STEPS_X + 1) * WINDOW_ROWS);
  private readonly lastStep: Int32Array;
  private queue: number[] = [];
  private rounds = 0;
  private least = Infinity;

  constructor(
    private readonly task: Task,
    private readonly random: () => number,
    from: Placing,
  ) {
    const n = task.strip.items.length;
    this.placing = { x: from.x.slice(), y: from.y.slice(), turn: from.turn.slice() };
    placeFixed(task, this.placing);
    this.weight = new Float64Array(n * n).fill(1);
    this.lastStep = new Int32Array(n);
  }

  /** Asks for a length; false where a piece cannot end within it. */
  press(length: number): boolean {
    const { task, placing } = this;
    for (const i of task.free) {
      const last = Math.floor((length - shapeOf(task, i).own[0]) / GRID + TOUCH);
      if (last < Math.ceil(shapeOf(task, i).own[0] / GRID - TOUCH)) return false;
      this.lastStep[i] = last;
      if ((placing.x[i] as number) > last) {
        if (!this.isOnLine(i, last)) return false;
        placing.x[i] = last;
      }
    }
    this.weight.fill(1);
    this.queue = [];
    this.rounds = 0;
    this.least = Infinity;
    return true;
  }

  /** A piece whose marks lie on lines of a repeat stays on one of them. */
  private isOnLine(item: number, step: number): boolean {
    const { marks, turns } = this.task.strip.items[item] as LayItem;
    const mark = marks?.at[turns.indexOf(this.placing.turn[item] as number)];
    if (!marks || mark === undefined) return true;
    const over = (((step * GRID + mark - marks.first) % marks.every) + marks.every) % marks.every;
    return Math.min(over, marks.every - over) <= GRID / 2 + TOUCH;
  }

  /** Moves one overlapping piece. `clear` when none is left; `stuck` when the length is given up. */
  advance(): "clear" | "moved" | "stuck" {
    if (this.queue.length === 0) {
      const state = this.round();
      if (state !== "moved") return state;
    }
    const item = this.queue.pop() as number;
    if (this.isOverlapping(item)) this.relay(item);
    return "moved";
  }

  private isOverlapping(item: number): boolean {
    return this.task.strip.items.some((_, other) => other !== item && this.depth(other, item) > 0);
  }

  /** How deep two pieces lie in each other: the least way out along or across, up to the deepest. */
  private depth(a: number, b: number): number {
    const { task, placing } = this;
    const [sa, sb] = [(task.strip.items[a] as LayItem).shape, (task.strip.items[b] as LayItem).shape];
    const view = task.pairs.view(sa, placing.turn[a] as number, sb, placing.turn[b] as number);
    const dx = view.x * ((placing.x[b] as number) - (placing.x[a] as number));
    const dy = view.y * ((placing.y[b] as number) - (placing.y[a] as number));
    const out = (steps: number): number => {
      const rows = view.table.at(steps);
      for (let r = 0; r < rows.length; r += 2) {
        const [low, high] = [rows[r] as number, rows[r + 1] as number];
        if (dy > low + TOUCH && dy < high - TOUCH) return Math.min(dy - low, high - dy);
      }
      return 0;
    };
    let least = Math.min(DEEPEST, out(dx));
    for (let k = 1; k * GRID < least; k++)
      if (out(dx + k) === 0 || out(dx - k) === 0) least = Math.min(least, k * GRID);
    return least;
  }

  /** Looks at all pairs: weights follow their depths, and pieces that overlap are queued in random order. */
  private round(): "clear" | "moved" | "stuck" {
    const n = this.task.strip.items.length;
    const deep = new Float64Array(n * n);
    let [whole, deepest] = [0, 0];
    const touched = new Set<number>();
    for (let a = 0; a < n; a++)
      for (let b = a + 1; b < n; b++) {
        const d = this.depth(a, b);
        deep[a * n + b] = d;
        if (d === 0) continue;
        whole += d;
        deepest = Math.max(deepest, d);
        touched.add(a).add(b);
      }
    if (whole === 0) return "clear";
    if (whole < this.least - 0.1) [this.least, this.rounds] = [whole, 0];
    else if (++this.rounds >= PATIENCE) return "stuck";
    for (let a = 0; a < n; a++)
      for (let b = a + 1; b < n; b++) {
        const d = deep[a * n + b] as number;
        const was = this.weight[a * n + b] as number;
        const now = d > 0 ? was + GROWS + (GROWS_DEEP * d) / deepest : Math.max(1, was * FALLS);
        this.weight[a * n + b] = now;
        this.weight[b * n + a] = now;
      }
    const queue = this.task.free.filter((i) => touched.has(i));
    for (let i = queue.length - 1; i > 0; i--) {
      const j = Math.floor(this.random() * (i + 1));
      [queue[i], queue[j]] = [queue[j] as number, queue[i] as number];
    }
    this.queue = queue;
    return queue.length === 0 ? "stuck" : "moved";
  }

  /** Moves a piece within its window to where its weighted depth is least. */
  private relay(item: number): void {
    const { task, placing, sum, weight } = this;
    const { strip, pairs } = task;
    const n = strip.items.length;
    const own = strip.items[item] as LayItem;
    const { own: half } = shapeOf(task, item);
    const turn = placing.turn[item] as number;
    const [x, y] = [placing.x[item] as number, placing.y[item] as number];
    sum.fill(0);
    for (let other = 0; other < n; other++) {
      if (other === item) continue;
      const view = pairs.view((strip.items[other] as LayItem).shape, placing.turn[other] as number, own.shape, turn);
      const dx = x - (placing.x[other] as number);
      if (Math.abs(dx) > view.table.reach + STEPS_X) continue;
      if (!this.fill(view, dx, y - (placing.y[other] as number))) continue;
      const w = weight[other * n + item] as number;
      for (let c = 0; c <= 2 * STEPS_X; c++)
        for (let r = 0; r < WINDOW_ROWS; r++) {
          const d = this.cells[(c + MARGIN_X) * ROWS + r + MARGIN_Y] as number;
          if (d > 0) sum[c * WINDOW_ROWS + r] = (sum[c * WINDOW_ROWS + r] as number) + w * d;
        }
    }
    const first = Math.ceil(half[0] / GRID - TOUCH);
    let [least, bestX, bestY, ties] = [Infinity, x, y, 0];
    for (let c = 0; c <= 2 * STEPS_X; c++) {
      const step = x + c - STEPS_X;
      if (step < first || step > (this.lastStep[item] as number) || !this.isOnLine(item, step)) continue;
      for (let r = 0; r < WINDOW_ROWS; r++) {
        const across = y + (r - STEPS_Y) * STEP_ACROSS;
        if (own.across ? r !== STEPS_Y : across < half[1] - TOUCH || across > strip.width - half[1] + TOUCH) continue;
        const d = sum[c * WINDOW_ROWS + r] as number;
        if (d > least) continue;
        if (d === least) {
          // Of places as good as each other one is taken at random.
          ties++;
          if (this.random() * ties >= 1) continue;
        } else [least, ties] = [d, 1];
        bestX = step;
        bestY = across;
      }
    }
    placing.x[item] = bestX;
    placing.y[item] = bestY;
  }

  /** Depths of two pieces in all places of the window and its margin; false where they are clear in all of them. */
  private fill(view: ReturnType<Task["pairs"]["view"]>, dx: number, dy: number): boolean {
    const { cells } = this;
    cells.fill(0);
    let any = false;
    for (let c = 0; c < COLS; c++) {
      const rows = view.table.at(view.x * (dx + c - STEPS_X - MARGIN_X));
      for (let r = 0; r < rows.length; r += 2) {
        const [p, q] = [view.y * (rows[r] as number), view.y * (rows[r + 1] as number)];
        const [low, high] = p < q ? [p, q] : [q, p];
        // Cell j stands for dy + (j - middle): the cells strictly between low and high.
        const base = dy - (STEPS_Y + MARGIN_Y) * STEP_ACROSS;
        const from = Math.max(0, Math.floor((low + TOUCH - base) / STEP_ACROSS) + 1);
        const to = Math.min(ROWS - 1, Math.ceil((high - TOUCH - base) / STEP_ACROSS) - 1);
        for (let j = from; j <= to; j++) cells[c * ROWS + j] = DEEPEST;
        any ||= to >= from;
      }
    }
    if (!any) return false;
    for (let c = 0; c < COLS; c++)
      for (let j = 0; j < ROWS; j++) {
        const at = c * ROWS + j;
        if (cells[at] === 0) continue;
        if (c > 0) {
          this.near(at, at - ROWS, GRID);
          if (j > 0) this.near(at, at - ROWS - 1, ASLANT);
          if (j < ROWS - 1) this.near(at, at - ROWS + 1, ASLANT);
        }
        if (j > 0) this.near(at, at - 1, STEP_ACROSS);
      }
    for (let c = COLS - 1; c >= 0; c--)
      for (let j = ROWS - 1; j >= 0; j--) {
        const at = c * ROWS + j;
        if (cells[at] === 0) continue;
        if (c < COLS - 1) {
          this.near(at, at + ROWS, GRID);
          if (j > 0) this.near(at, at + ROWS - 1, ASLANT);
          if (j < ROWS - 1) this.near(at, at + ROWS + 1, ASLANT);
        }
        if (j < ROWS - 1) this.near(at, at + 1, STEP_ACROSS);
      }
    return true;
  }

  private near(at: number, beside: number, way: number): void {
    const by = (this.cells[beside] as number) + way;
    if (by < (this.cells[at] as number)) this.cells[at] = by;
  }
}

/** What a lay is pressed by at first, and at least. */
const PRESS = { first: 8, least: GRID } as const;

/**
 * Presses a lay together until no shorter length is found, one move a step. Yields null after a move, and the placing
 * where all are clear again.
 */
export function* compacted(
  task: Task,
  random: () => number,
  from: Placing,
  mostMoves: number,
): Generator<Placing | null, void, void> {
  let best = from;
  let by: number = PRESS.first;
  for (let moves = 0; moves < mostMoves && by >= PRESS.least;) {
    const pressing = new Compaction(task, random, best);
    let state: "clear" | "moved" | "stuck" = "stuck";
    if (pressing.press(lengthOf(task, best) - by))
      do {
        state = pressing.advance();
        moves++;
        yield null;
      } while (state === "moved" && moves < mostMoves);
    if (state === "clear") {
      best = pressing.placing;
      yield { x: best.x.slice(), y: best.y.slice(), turn: best.turn.slice() };
    } else by /= 2;
  }
}
