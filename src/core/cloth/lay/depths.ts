import type { Mm } from "../../units";
import type { Placing } from "./leftmost";
import { GRID, type PairTable, type PairView } from "./pairs";
import { shapeOf, type LayItem, type Task } from "./strip";

/** A chamfer's way straight to the next cell and across its corner. */
export const STRAIGHT = 3;
const ASLANT = 4;
/** Forbidden, and not yet known how deep. */
const DEEP = 65535;

/**
 * How deep two pieces lie in each other, by how far the second is from the first in cells; 0 where they are clear. Known
 * for what is at most `reach` cells from the middle; the sides are those of the pair's table.
 */
export interface Depths {
  readonly midX: number;
  readonly midY: number;
  readonly reachX: number;
  readonly reachY: number;
  /** Of one column: 2 * reachY + 1. */
  readonly rows: number;
  readonly depth: Uint16Array;
}

/** Where pieces that overlap are moved: cells of a size, and how deep each two lie in each other. */
export interface Ground {
  readonly cell: Mm;
  /** A piece goes no more cells than this from where it lay at first, and is not turned; null: anywhere on the cloth. */
  readonly near: number | null;
  /** Depths of items `a` and `b`, seen as `view` says. */
  depths(view: PairView, a: number, b: number): Depths;
}

/** Works out what every two pieces need in the turns they lie in, one field at a time. */
export function* preparing(task: Task, ground: Ground, { turn }: Placing): Generator<null, void, void> {
  const { items } = task.strip;
  for (let a = 0; a < items.length; a++)
    for (let b = a + 1; b < items.length; b++) {
      const [p, q] = [items[a] as LayItem, items[b] as LayItem];
      if (p.fixed && q.fixed) continue;
      const view = task.pairs.view(p.shape, turn[a] as number, q.shape, turn[b] as number);
      if (ground.depths(view, a, b).depth.length > 0) yield null;
    }
}

/** What lies round a field of depths: clear, or no more than the field's own end. */
type Round = "clear" | "unknown";

/** Depths from a pair's table; places across are `off` beyond their cells. */
function depthsOf(
  table: PairTable,
  cell: Mm,
  at: Pick<Depths, "midX" | "midY" | "reachX" | "reachY">,
  round: Round,
  off: Mm = 0,
): Depths {
  const { midX, midY, reachX, reachY } = at;
  const [cols, rows] = [2 * reachX + 1, 2 * reachY + 1];
  const steps = Math.round(cell / GRID);
  const depth = new Uint16Array(cols * rows);
  for (let c = 0; c < cols; c++) {
    const own = table.at((midX + c - reachX) * steps);
    for (let r = 0; r < own.length; r += 2) {
      const [low, high] = [(own[r] as number) - off, (own[r + 1] as number) - off];
      const from = Math.max(-reachY, Math.floor((low + 1e-6) / cell) + 1 - midY);
      const to = Math.min(reachY, Math.ceil((high - 1e-6) / cell) - 1 - midY);
      for (let y = from; y <= to; y++) depth[c * rows + y + reachY] = DEEP;
    }
  }
  const outside = round === "clear" ? 0 : DEEP;
  const least = (c: number, y: number, dc: number, dy: number, way: number): void => {
    const [c2, y2] = [c + dc, y + dy];
    const beside = (c2 < 0 || c2 >= cols || y2 < 0 || y2 >= rows ? outside : (depth[c2 * rows + y2] as number)) + way;
    const i = c * rows + y;
    if ((depth[i] as number) > beside) depth[i] = beside;
  };
  for (let c = 0; c < cols; c++)
    for (let y = 0; y < rows; y++) {
      if (depth[c * rows + y] === 0) continue;
      least(c, y, -1, 0, STRAIGHT);
      least(c, y, 0, -1, STRAIGHT);
      least(c, y, -1, -1, ASLANT);
      least(c, y, -1, 1, ASLANT);
    }
  for (let c = cols - 1; c >= 0; c--)
    for (let y = rows - 1; y >= 0; y--) {
      if (depth[c * rows + y] === 0) continue;
      least(c, y, 1, 0, STRAIGHT);
      least(c, y, 0, 1, STRAIGHT);
      least(c, y, 1, 1, ASLANT);
      least(c, y, 1, -1, ASLANT);
    }
  return { midX, midY, reachX, reachY, rows, depth };
}

/** Cells of the whole cloth: a whole number of steps of the grid. */
export const CELL: Mm = 8;
/** No more cells are held in all fields together: some 160 megabytes. */
const MOST_CELLS = 80e6;

/** Depth fields of every two shapes, made when they are asked for; where they become too many they all begin anew. */
export class Fields implements Ground {
  readonly cell = CELL;
  readonly near = null;
  private readonly made = new Map<number, Depths>();
  private cells = 0;

  constructor(private readonly task: Task) {}

  depths({ table, key }: PairView, a: number, b: number): Depths {
    let own = this.made.get(key);
    if (!own) {
      const { task, cell } = this;
      const reachX = Math.floor((table.reach * GRID) / cell) + 1;
      const reachY = Math.ceil((shapeOf(task, a).half[1] + shapeOf(task, b).half[1]) / cell) + 1;
      own = depthsOf(table, cell, { midX: 0, midY: 0, reachX, reachY }, "clear");
      this.cells += own.depth.length;
      if (this.cells > MOST_CELLS) {
        this.made.clear();
        this.cells = own.depth.length;
      }
      this.made.set(key, own);
    }
    return own;
  }
}

/** Cells round where pieces lie already, as fine as the grid, and how many of them a piece may go. */
const FINE: Mm = GRID;
const NEAR = 24;
const FAR: Depths = { midX: 0, midY: 0, reachX: -1, reachY: -1, rows: 0, depth: new Uint16Array(0) };

/** Across, how far a place lies beyond the nearest fine cell. */
const offCell = (y: Mm): Mm => y - FINE * Math.round(y / FINE);

/** Depth fields of every two pieces round where they lie in a lay. What lies on the fold or is fixed stays off the cells. */
export class NearFields implements Ground {
  readonly cell = FINE;
  readonly near = NEAR;
  private readonly made = new Map<number, Depths>();

  constructor(
    private readonly task: Task,
    private readonly lay: Placing,
  ) {}

  private offOf(item: number): Mm {
    const { across, fixed } = this.task.strip.items[item] as LayItem;
    return across || fixed ? offCell(this.lay.y[item] as number) : 0;
  }

  depths(view: PairView, a: number, b: number): Depths {
    const { items } = this.task.strip;
    // Of two pieces of one shape the table is read from either side alike, so each side is known by itself.
    const isAlike = (items[a] as LayItem).shape === (items[b] as LayItem).shape;
    const key = isAlike || a < b ? a * items.length + b : b * items.length + a;
    let own = this.made.get(key);
    if (!own) {
      const { lay, task } = this;
      // Looked at from either piece the place in the table is the same.
      const midX = view.x * ((lay.x[b] as number) - (lay.x[a] as number));
      const midY = view.y * (Math.round((lay.y[b] as number) / FINE) - Math.round((lay.y[a] as number) / FINE));
      const [p, q] = [shapeOf(task, a), shapeOf(task, b)];
      const reach = 2 * NEAR;
      const isFar =
        Math.abs(midX) - reach > view.table.reach || (Math.abs(midY) - reach) * FINE > p.half[1] + q.half[1];
      const off = view.y * (this.offOf(b) - this.offOf(a));
      own = isFar ? FAR : depthsOf(view.table, FINE, { midX, midY, reachX: reach, reachY: reach }, "unknown", off);
      this.made.set(key, own);
    }
    return own;
  }
}
