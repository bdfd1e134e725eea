import type { Mm } from "../units";
import type { ClothLay, LayCloth } from "./folds/laidCloth";
import { oneLay } from "./folds/placed";
import { onePlan, type Plan } from "./folds/plan";
import type { CutShape } from "./cutShapes";
import { placeFixed } from "./lay/anneal";
import { Leftmost, newPlacing, type Placing } from "./lay/leftmost";
import { GRID, STRIDE } from "./lay/pairs";
import { shapeOf, taskOf, type Laid, type LayItem, type Task } from "./lay/strip";

/** A hand may be this far ahead of where a piece can lie. */
const REACH: Mm = 300;

/** A lay under the hand: its pieces slide along each other and the edges, and never overlap. */
export class HandLay {
  private readonly plan: Plan;
  private readonly task: Task;
  private readonly leftmost: Leftmost;
  private readonly placing: Placing;

  constructor(
    private readonly shapes: readonly CutShape[],
    private readonly cloth: LayCloth,
    laid: readonly Laid[],
  ) {
    this.plan = onePlan(shapes, cloth);
    this.task = taskOf(this.plan.strip);
    this.leftmost = new Leftmost(this.task);
    this.placing = newPlacing(this.plan.strip.items.length);
    placeFixed(this.task, this.placing);
    laid.forEach((at, i) => this.put(i, at));
  }

  private put(i: number, { x, y, turn }: Laid): void {
    this.placing.x[i] = Math.round(x / GRID);
    this.placing.y[i] = y;
    this.placing.turn[i] = turn;
  }

  private at(i: number): Laid {
    const { x, y, turn } = this.placing;
    return { x: (x[i] as number) * GRID, y: y[i] as number, turn: turn[i] as number };
  }

  /** Turns a piece may lie in on this cloth. */
  turnsOf(i: number): readonly number[] {
    return (this.task.strip.items[i] as LayItem).turns;
  }

  /**
   * Moves a piece to the place nearest to where the hand is at which it lies clear, and says where that is; it stays
   * where it was when there is none near.
   */
  move(i: number, to: Laid): Laid {
    const was = this.at(i);
    if (!this.turnsOf(i).includes(to.turn)) return was;
    const others = this.task.strip.items.flatMap((_, k) => (k === i ? [] : [k]));
    const exact = Math.round(to.x / GRID);
    const wanted = STRIDE * Math.round(exact / STRIDE);
    const first = Math.ceil(shapeOf(this.task, i).own[0] / GRID - 1e-6);
    let best: { readonly laid: Laid; readonly away: number } | null = null;
    for (let off = 0; off * GRID <= REACH && (!best || off * GRID < best.away); off += STRIDE)
      for (const step of off === 0 ? [exact, wanted] : [wanted + off, wanted - off]) {
        if (step < first) continue;
        for (const y of this.leftmost.clearAt(this.placing, others, i, to.turn, step, to.y)) {
          const away = Math.hypot((step - exact) * GRID, y - to.y);
          if (!best || away < best.away) best = { laid: { x: step * GRID, y, turn: to.turn }, away };
        }
      }
    if (!best || best.away > REACH) return was;
    this.put(i, best.laid);
    return best.laid;
  }

  /** The lay as it lies now. */
  lay(): ClothLay {
    const laid = this.task.strip.items.map((_, i) => this.at(i));
    return oneLay(this.shapes, this.cloth, this.plan, laid);
  }
}
