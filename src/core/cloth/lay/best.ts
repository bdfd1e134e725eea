import type { Mm } from "../../units";
import { clearNear } from "./apart";
import { copyOfPlacing, layOf, lengthOf, type Leftmost, type Placing } from "./leftmost";
import { settle } from "./settle";
import type { Lay, Task } from "./strip";

/** How far a search has come: its best lay, and the steps it took to get here. */
export interface Found {
  readonly lay: Lay;
  readonly steps: number;
}

/** A lay is pressed together by so much at first, then by half of it where that fails, and by no less than this. */
const PRESSED = { first: 16, least: 1 } as const;
const NONE: Placing = { x: new Int32Array(0), y: new Float64Array(0), turn: new Uint8Array(0) };

/** The shortest lay a search has found, and the steps it has taken. */
export class Best {
  placing = NONE;
  length: Mm = Infinity;
  steps = 0;

  constructor(
    private readonly task: Task,
    private readonly leftmost: Leftmost,
    private readonly random: () => number,
  ) {}

  get found(): Found {
    return { lay: layOf(this.task, this.placing), steps: this.steps };
  }

  /** Takes a lay as it is. */
  take({ placing, length }: { readonly placing: Placing; readonly length: Mm }): Found {
    this.placing = placing;
    this.length = length;
    return this.found;
  }

  /** Keeps a placing where it is shorter, settled as far as it goes; null where it is not. */
  *keep(placing: Placing): Generator<null, Found | null, void> {
    const { task, leftmost } = this;
    if (lengthOf(task, placing) >= this.length - 1e-6) return null;
    this.placing = copyOfPlacing(placing);
    yield* settle(task, leftmost, this.placing);
    this.length = lengthOf(task, this.placing);
    return this.found;
  }

  /** Passes on what is done step by step, each counted. */
  *counted<T>(looking: Generator<null, T, void>): Generator<null, T, void> {
    for (;;) {
      const step = looking.next();
      if (step.done) return step.value;
      this.steps++;
      yield null;
    }
  }

  /** Presses the lay together on exact places, a little at a time, as far as it goes. */
  *press(): Generator<Found | null, void, void> {
    for (let by: Mm = PRESSED.first; by >= PRESSED.least;) {
      const { task, random, placing, length } = this;
      const clear = yield* this.counted(clearNear(task, random, placing, length - by));
      const found = clear && (yield* this.keep(clear));
      if (found) yield found;
      else by /= 2;
    }
  }
}
