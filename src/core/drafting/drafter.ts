import type { Path, Point } from "../geometry";
import { fill, type Quantity, type Sentence } from "../units";

/** One act of construction: what from where, how far, and which sums it used. */
export interface Step {
  readonly n: number;
  readonly panel: string;
  readonly sentence: Sentence;
  /** Names of the numbers it used. */
  readonly numbers: readonly string[];
  readonly points: Readonly<Record<string, Point>>;
  /** Light construction lines this step draws, and the seam lines that are final with it, in the panel's frame. */
  readonly guides: readonly (readonly Point[])[];
  readonly drawn: readonly Path[];
}

/** What a step puts on the paper besides its sentence. */
export interface StepDrawing {
  readonly points?: Readonly<Record<string, Point>>;
  readonly guides?: readonly (readonly Point[])[];
  readonly drawn?: readonly Path[];
}

export type Numbers = Readonly<Record<string, Quantity>>;

/** Records quantities and steps while a draft is drawn, so that drawing, cards and numbers share one source. */
export class Drafter {
  private readonly known: Record<string, Quantity> = {};
  private readonly done: Step[] = [];

  /** Names a quantity and returns it. A later value of the same name replaces the earlier one. */
  number(name: string, value: Quantity): Quantity {
    this.known[name] = value;
    return value;
  }

  /** Records a step; the numbers it used are read from its template, words that the maker chose are given beside it. */
  step(
    panel: string,
    template: string,
    { points = {}, guides = [], drawn = [] }: StepDrawing = {},
    words: Readonly<Record<string, string>> = {},
  ): void {
    const named = [...template.matchAll(/\{(\w+)\}/g)].map((m) => m[1] as string);
    const numbers = named.filter((name) => !(name in words));
    const sentence = fill(template, { ...this.known, ...words });
    this.done.push({ n: this.done.length + 1, panel, sentence, numbers, points, guides, drawn });
  }

  get numbers(): Numbers {
    return this.known;
  }

  get steps(): readonly Step[] {
    return this.done;
  }
}
