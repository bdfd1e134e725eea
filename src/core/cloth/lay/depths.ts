import { GRID, type Pairs, type PairView } from "./pairs";

/** Depths are known on cells this wide: a whole number of steps of the grid. */
export const CELL = 8;
export const PER_CELL = CELL / GRID;
/** A chamfer's way straight to the next cell and across its corner. */
const STRAIGHT = 3;
const ASLANT = 4;

/** How deep two shapes lie in each other, by how far the second is from the first in cells; 0 where they are clear. */
interface Depths {
  readonly reachX: number;
  readonly reachY: number;
  readonly rows: number;
  readonly depth: Uint16Array;
}

function depthsOf({ table }: PairView, halfY: number): Depths {
  const reachX = Math.floor(table.reach / PER_CELL) + 1;
  const reachY = Math.ceil(halfY / CELL) + 1;
  const [cols, rows] = [2 * reachX + 1, 2 * reachY + 1];
  const depth = new Uint16Array(cols * rows);
  for (let c = 0; c < cols; c++) {
    const own = table.at((c - reachX) * PER_CELL);
    for (let r = 0; r < own.length; r += 2) {
      const [low, high] = [own[r] as number, own[r + 1] as number];
      const from = Math.max(-reachY, Math.floor((low + 1e-6) / CELL) + 1);
      const to = Math.min(reachY, Math.ceil((high - 1e-6) / CELL) - 1);
      for (let y = from; y <= to; y++) depth[c * rows + y + reachY] = 65535;
    }
  }
  const near = (at: number, by: number): void => {
    if ((depth[at] as number) > by) depth[at] = by;
  };
  const least = (c: number, y: number, dc: number, dy: number, way: number): void => {
    const [c2, y2] = [c + dc, y + dy];
    near(c * rows + y, (c2 < 0 || c2 >= cols || y2 < 0 || y2 >= rows ? 0 : (depth[c2 * rows + y2] as number)) + way);
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
  return { reachX, reachY, rows, depth };
}

/** No more cells are held in all fields together: some 160 megabytes. */
const MOST_CELLS = 80e6;

/** Depth fields of every two shapes, made when they are asked for; where they become too many they all begin anew. */
export class Fields {
  private readonly made = new Map<number, Depths>();
  private cells = 0;

  constructor(readonly pairs: Pairs) {}

  of(view: PairView, a: number, b: number): Depths {
    let own = this.made.get(view.key);
    if (!own) {
      const { shapes } = this.pairs;
      own = depthsOf(view, (shapes[a]?.half[1] ?? 0) + (shapes[b]?.half[1] ?? 0));
      this.cells += own.depth.length;
      if (this.cells > MOST_CELLS) {
        this.made.clear();
        this.cells = own.depth.length;
      }
      this.made.set(view.key, own);
    }
    return own;
  }
}
