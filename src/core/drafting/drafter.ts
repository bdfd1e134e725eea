import { drawingOn, type Drawing } from "../pattern";
import { fill, namesIn, quantity, type Mm, type Quantity, type Sentence, type Told, type Words } from "../units";

/** One act of construction: what from where, how far, and which sums it used. */
export interface Step extends Drawing {
  readonly n: number;
  readonly sentence: Sentence;
  /** Names of the numbers it used. */
  readonly numbers: readonly string[];
}

export type Numbers = Readonly<Record<string, Quantity>>;

/** Records quantities and steps while a draft is drawn, so that drawing, cards and numbers share one source. */
export class Drafter {
  private readonly known: Record<string, Quantity> = {};
  private readonly done: Step[] = [];

  /** `division`: what the maker's tape is divided into, where chosen numbers are to stand on it before they are used. */
  constructor(private readonly division: Mm | null = null) {}

  /** A number that is chosen, not solved: brought onto the tape where the draft is on it, saying what it was. */
  onTape(value: Quantity): Quantity {
    if (this.division === null) return value;
    const mm = Math.round(value.mm / this.division) * this.division;
    return Math.abs(mm - value.mm) < 1e-9 ? value : { ...value, mm, asked: value.asked ?? value.mm };
  }

  /** Names a chosen number and returns it as it is drawn. */
  chosen(name: string, value: Quantity): Quantity {
    return this.number(name, this.onTape(value));
  }

  /** Names a quantity and returns it. A later value of the same name replaces the earlier one. */
  number(name: string, value: Quantity): Quantity {
    this.known[name] = value;
    return value;
  }

  /** Records a step; the numbers it used are read from its template, what the maker wrote is given beside it. */
  step(panel: string, template: Words, drawn: Partial<Drawing> = {}, words: Readonly<Record<string, Told>> = {}): void {
    const numbers = namesIn(template).filter((name) => !(name in words));
    const sentence = fill(template, words, this.known);
    this.done.push({ ...drawingOn(panel, drawn), n: this.done.length + 1, sentence, numbers });
  }

  /**
   * A step for each dart of a panel brought in that is not taken in; `fars` are how far from the waist their tips lie, and
   * `sentence` tells it with the name of that number.
   */
  leaveOut(panel: string, fars: readonly Mm[], sum: string, sentence: (name: string) => Words): void {
    for (const far of fars) {
      const name = `leftOut${this.done.length + 1}`;
      this.number(name, quantity(far, sum));
      this.step(panel, sentence(name));
    }
  }

  get numbers(): Numbers {
    return this.known;
  }

  get steps(): readonly Step[] {
    return this.done;
  }
}
