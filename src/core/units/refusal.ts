import type { Mm } from "./brands";
import { tell } from "./tell";
import type { Sentence } from "./told";

/** Something about a job that stands in the way: where in the job, and why, as it is told. */
export interface Complaint {
  readonly path: string;
  readonly says: Sentence;
  /** Where less was asked than works: the least that does. */
  readonly least?: Mm;
  /** Where more was asked than works: the most that does. */
  readonly most?: Mm;
}

/** The number nearest to what was asked that works; undefined where none is known. */
export const nearestOf = ({ least, most }: Pick<Complaint, "least" | "most">): Mm | undefined => most ?? least;

interface RefusalOptions extends Pick<Complaint, "least" | "most"> {
  /** What was written could not be read at all. */
  readonly unreadable?: boolean;
  /** What a number that nobody stated gives way to; one that was stated is not made at all. */
  readonly yields?: Mm;
}

/** What cannot be made as asked. `path` names the field: within a move its parameter, elsewhere the place in the job. */
export class Refusal extends Error implements Complaint {
  readonly least?: Mm;
  readonly most?: Mm;
  readonly unreadable: boolean;
  readonly yields?: Mm;

  constructor(
    readonly path: string,
    readonly says: Sentence,
    { least, most, unreadable = false, yields }: RefusalOptions = {},
  ) {
    super(tell(says, "cm"));
    this.name = "Refusal";
    this.unreadable = unreadable;
    if (least !== undefined) this.least = least;
    if (most !== undefined) this.most = most;
    if (yields !== undefined) this.yields = yields;
  }

  /** The same refusal, its place named from further out. */
  at(path: string): Refusal {
    const { says, unreadable, yields } = this;
    return new Refusal(path, says, { unreadable, ...(yields !== undefined && { yields }), ...limitsOf(this) });
  }

  get complaint(): Complaint {
    const { path, says } = this;
    return { path, says, ...limitsOf(this) };
  }
}

/** What of a complaint says which numbers work. */
export const limitsOf = ({ least, most }: Pick<Complaint, "least" | "most">): Pick<Complaint, "least" | "most"> => ({
  ...(least !== undefined && { least }),
  ...(most !== undefined && { most }),
});
