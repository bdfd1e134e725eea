import type { Mm } from "./brands";
import { tell } from "./tell";
import type { Sentence } from "./told";

/** Something about a job that stands in the way: where in the job, and why, as it is told. */
export interface Complaint {
  readonly path: string;
  readonly says: Sentence;
  /** The number nearest to what was asked that works. */
  readonly nearest?: Mm;
}

interface RefusalOptions {
  /** The number nearest to what was asked that works. */
  readonly nearest?: Mm;
  /** What was written could not be read at all. */
  readonly unreadable?: boolean;
}

/** What cannot be made as asked. `path` names the field: within a move its parameter, elsewhere the place in the job. */
export class Refusal extends Error implements Complaint {
  readonly nearest?: Mm;
  readonly unreadable: boolean;

  constructor(
    readonly path: string,
    readonly says: Sentence,
    { nearest, unreadable = false }: RefusalOptions = {},
  ) {
    super(tell(says, "cm"));
    this.name = "Refusal";
    this.unreadable = unreadable;
    if (nearest !== undefined) this.nearest = nearest;
  }

  /** The same refusal, its place named from further out. */
  at(path: string): Refusal {
    return new Refusal(path, this.says, {
      unreadable: this.unreadable,
      ...(this.nearest !== undefined && { nearest: this.nearest }),
    });
  }

  get complaint(): Complaint {
    const { path, says, nearest } = this;
    return { path, says, ...(nearest !== undefined && { nearest }) };
  }
}
