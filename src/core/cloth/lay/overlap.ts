import { shuffled } from "../../geometry";
import { STRAIGHT, type Ground } from "./depths";
import { copyOfPlacing, newPlacing, type Placing } from "./leftmost";
import { placeFixed } from "./anneal";
import { GRID } from "./pairs";
import { shapeOf, type LayItem, type Task } from "./strip";

/** Weights of overlapping pairs grow by this, and by this much more with their depth; others fall back. */
const GROWS = 1.2;
const GROWS_DEEP = 0.8;
const FALLS = 0.95;
/** After so many sweeps without getting nearer, some pieces change places. */
const PATIENCE = 40;

/**
 * Guided local search on a strip of a length: pieces may overlap, and are moved one at a time to where the weighted depth
 * is least, until none is left. Places lie on cells, so what is clear there is clear; but a piece on the fold, and one that
 * is fixed, lie where they lie, and are taken to be on the nearest cell (`isExact`).
 */
export class Overlaps {
  readonly placing: Placing;
  moves = 0;
  /** What is clear on these cells is clear. */
  readonly isExact: boolean;
  /** How deep two pieces lie in each other at most, in cells, when all were looked at last. */
  deepest = Infinity;
  private readonly weight: Float64Array;
  private readonly field: Float32Array;
  private readonly firstX: Int32Array;
  private readonly firstY: Int32Array;
  private readonly lastY: Int32Array;
  private readonly lastX: Int32Array;
  private readonly startX: Int32Array;
  private readonly perCell: number;
  private queue: number[] = [];
  private sweeps = 0;
  private least = Infinity;

  constructor(
    private readonly task: Task,
    private readonly ground: Ground,
    private readonly random: () => number,
    from: Placing,
  ) {
    const { strip } = task;
    const { cell, near } = ground;
    const n = strip.items.length;
    this.perCell = Math.round(cell / GRID);
    this.isExact = near !== null || strip.items.every((item) => !item.across && !item.fixed);
    this.placing = newPlacing(n);
    placeFixed(task, this.placing);
    this.weight = new Float64Array(n * n).fill(1);
    [this.firstX, this.lastX, this.firstY, this.lastY] = [
      new Int32Array(n),
      new Int32Array(n),
      new Int32Array(n),
      new Int32Array(n),
    ];
    const longest = strip.items.reduce((sum, _, i) => sum + 2 * shapeOf(task, i).half[0] + cell, 0);
    this.field = new Float32Array(
      near === null ? (Math.ceil(longest / cell) + 2) * (Math.ceil(strip.width / cell) + 2) : (2 * near + 1) ** 2,
    );
    for (let i = 0; i < n; i++) {
      const { own } = shapeOf(task, i);
      this.firstX[i] = Math.ceil(own[0] / cell - 1e-6);
      this.firstY[i] = Math.ceil(own[1] / cell - 1e-6);
      this.lastY[i] = Math.floor((strip.width - own[1]) / cell + 1e-6);
    }
    this.lie(from);
    for (const i of task.fixed) {
      this.placing.x[i] = Math.round((this.placing.x[i] as number) / this.perCell);
      this.placing.y[i] = Math.round((this.placing.y[i] as number) / cell);
    }
    this.startX = this.placing.x.slice();
    if (near !== null)
      for (const i of task.free) {
        const y = this.placing.y[i] as number;
        this.firstX[i] = Math.max(this.firstX[i] as number, (this.startX[i] as number) - near);
        this.firstY[i] = Math.max(this.firstY[i] as number, y - near);
        this.lastY[i] = Math.min(this.lastY[i] as number, y + near);
      }
  }

  /** First and last cell across at which an item may lie in a turn. */
  private acrossOf(item: number, turn: number): readonly [number, number] {
    const { across, turns } = this.task.strip.items[item] as LayItem;
    if (!across) return [this.firstY[item] as number, this.lastY[item] as number];
    const only = Math.round((across[turns.indexOf(turn)] as number) / this.ground.cell);
    return [only, only];
  }

  /** Brings a piece back to where it may lie. */
  private clamp(item: number): void {
    const { placing } = this;
    const [first, last] = this.acrossOf(item, placing.turn[item] as number);
    placing.x[item] = Math.min(
      this.lastX[item] as number,
      Math.max(this.firstX[item] as number, placing.x[item] as number),
    );
    placing.y[item] = Math.min(last, Math.max(first, placing.y[item] as number));
  }

  /** False where a piece finds no place across on cells this coarse. */
  get fits(): boolean {
    return this.task.free.every((i) => {
      const [first, last] = this.acrossOf(i, this.placing.turn[i] as number);
      return last >= first;
    });
  }

  /** Puts the free pieces where they lie in a lay, on the nearest cells. */
  lie(from: Placing): void {
    for (const i of this.task.free) {
      this.placing.x[i] = Math.round((from.x[i] as number) / this.perCell);
      this.placing.y[i] = Math.round((from.y[i] as number) / this.ground.cell);
      this.placing.turn[i] = from.turn[i] as number;
    }
  }

  /** Asks for a length: pieces that would end beyond it are moved in. False where the longest piece does not fit. */
  shrink(length: number): boolean {
    const { task, ground } = this;
    for (const i of task.free) {
      const end = Math.floor((length - shapeOf(task, i).own[0]) / ground.cell + 1e-6);
      const last = ground.near === null ? end : Math.min(end, (this.startX[i] as number) + ground.near);
      if (last < (this.firstX[i] as number)) return false;
      this.lastX[i] = last;
      this.clamp(i);
    }
    this.lookAnew();
    return true;
  }

  private depth(a: number, b: number): number {
    const { task, placing, ground } = this;
    const [sa, sb] = [(task.strip.items[a] as LayItem).shape, (task.strip.items[b] as LayItem).shape];
    const view = task.pairs.view(sa, placing.turn[a] as number, sb, placing.turn[b] as number);
    const { midX, midY, reachX, reachY, rows, depth } = ground.depths(view, a, b);
    const dx = view.x * ((placing.x[b] as number) - (placing.x[a] as number)) - midX;
    const dy = view.y * ((placing.y[b] as number) - (placing.y[a] as number)) - midY;
    if (dx < -reachX || dx > reachX || dy < -reachY || dy > reachY) return 0;
    return depth[(dx + reachX) * rows + dy + reachY] as number;
  }

  /** Moves one overlapping piece. `clear` when none is left; `stuck` when the strip is given up. */
  advance(most: number): "clear" | "moved" | "stuck" {
    if (this.moves >= most) return "stuck";
    if (this.queue.length === 0) {
      const state = this.sweep();
      if (state !== "moved") return state;
    }
    const item = this.queue.pop() as number;
    if (this.overlapOf(item) > 0) {
      this.moves++;
      this.relay(item);
    }
    return "moved";
  }

  private overlapOf(item: number): number {
    let sum = 0;
    for (let other = 0; other < this.task.strip.items.length; other++)
      if (other !== item) sum += this.depth(other, item);
    return sum;
  }

  /** Looks at all pairs: weights follow their depths, and pieces that overlap are queued in random order. */
  private sweep(): "clear" | "moved" | "stuck" {
    const { items } = this.task.strip;
    const n = items.length;
    const deep = new Float64Array(n * n);
    let [whole, deepest] = [0, 0];
    const touched = new Set<number>();
    for (let a = 0; a < n; a++)
      for (let b = a + 1; b < n; b++) {
        if (items[a]?.fixed && items[b]?.fixed) continue;
        const d = this.depth(a, b);
        deep[a * n + b] = d;
        if (d === 0) continue;
        whole += d;
        deepest = Math.max(deepest, d);
        touched.add(a).add(b);
      }
    this.deepest = deepest / STRAIGHT;
    if (whole === 0) return "clear";
    for (let a = 0; a < n; a++)
      for (let b = a + 1; b < n; b++) {
        const d = deep[a * n + b] as number;
        const was = this.weight[a * n + b] as number;
        const now = d > 0 ? was + GROWS + (GROWS_DEEP * d) / deepest : Math.max(1, was * FALLS);
        this.weight[a * n + b] = now;
        this.weight[b * n + a] = now;
      }
    if (whole < this.least) [this.least, this.sweeps] = [whole, 0];
    else if (++this.sweeps >= PATIENCE) {
      if (this.ground.near !== null) return "stuck";
      this.shake();
    }
    this.queue = shuffled(
      this.task.free.filter((i) => touched.has(i)),
      this.random,
    );
    return this.queue.length === 0 ? "stuck" : "moved";
  }

  /** Exchanges a pair or two, turns one, and forgets the weights; counted as a move. */
  shake(): void {
    this.moves++;
    const { placing, random } = this;
    const { free, strip } = this.task;
    const pick = (): number => free[Math.floor(random() * free.length)] as number;
    for (let k = random() < 0.5 ? 1 : 2; k > 0; k--) {
      const [a, b] = [pick(), pick()];
      const [x, y] = [placing.x[a] as number, placing.y[a] as number];
      [placing.x[a], placing.y[a]] = [placing.x[b] as number, placing.y[b] as number];
      [placing.x[b], placing.y[b]] = [x, y];
    }
    const turned = pick();
    const { turns } = strip.items[turned] as LayItem;
    placing.turn[turned] = turns[Math.floor(random() * turns.length)] as number;
    free.forEach((i) => this.clamp(i));
    this.weight.fill(1);
    this.lookAnew();
  }

  /** What was seen of an arrangement is no longer so. */
  private lookAnew(): void {
    this.queue = [];
    this.sweeps = 0;
    this.least = Infinity;
  }

  /** Puts a piece where its weighted depth is least, in any of its turns. */
  private relay(item: number): void {
    const { task, placing, field, weight, ground } = this;
    const { strip, pairs } = task;
    const n = strip.items.length;
    const own = strip.items[item] as LayItem;
    const [x0, x1] = [this.firstX[item] as number, this.lastX[item] as number];
    let [least, bestX, bestY, bestTurn, ties] = [Infinity, 0, 0, 0, 0];
    const turns = ground.near === null ? own.turns : [placing.turn[item] as number];
    for (const turn of turns) {
      const [y0, y1] = this.acrossOf(item, turn);
      const rows = y1 - y0 + 1;
      field.fill(0, 0, (x1 - x0 + 1) * rows);
      for (let other = 0; other < n; other++) {
        if (other === item) continue;
        const shape = (strip.items[other] as LayItem).shape;
        const view = pairs.view(shape, placing.turn[other] as number, own.shape, turn);
        const { midX, midY, reachX, reachY, rows: across, depth } = ground.depths(view, other, item);
        const w = weight[other * n + item] as number;
        const ox = (placing.x[other] as number) + view.x * midX;
        const oy = (placing.y[other] as number) + view.y * midY;
        const [fromX, toX] = [Math.max(x0, ox - reachX), Math.min(x1, ox + reachX)];
        const [fromY, toY] = [Math.max(y0, oy - reachY), Math.min(y1, oy + reachY)];
        for (let x = fromX; x <= toX; x++) {
          let at = (x - x0) * rows + (fromY - y0);
          let from = (view.x * (x - ox) + reachX) * across + view.y * (fromY - oy) + reachY;
          for (let y = fromY; y <= toY; y++, at++, from += view.y)
            field[at] = (field[at] as number) + w * (depth[from] as number);
        }
      }
      for (let i = 0; i < (x1 - x0 + 1) * rows; i++) {
        const d = field[i] as number;
        if (d > least) continue;
        if (d === least) {
          // Of places as good as each other one is taken at random.
          ties++;
          if (this.random() * ties >= 1) continue;
        } else [least, ties] = [d, 1];
        bestX = x0 + Math.floor(i / rows);
        bestY = y0 + (i % rows);
        bestTurn = turn;
      }
    }
    placing.x[item] = bestX;
    placing.y[item] = bestY;
    placing.turn[item] = bestTurn;
  }

  /** The lay as it is, on the grid and in millimetres. */
  result(): Placing {
    const { placing, task } = this;
    const out = copyOfPlacing(placing);
    for (const i of task.free) {
      out.x[i] = (placing.x[i] as number) * this.perCell;
      const { across, turns } = task.strip.items[i] as LayItem;
      out.y[i] = across?.[turns.indexOf(placing.turn[i] as number)] ?? (placing.y[i] as number) * this.ground.cell;
    }
    placeFixed(task, out);
    return out;
  }
}
