import type { Path, Point } from "../geometry";
import { plain, type Quantity } from "../units";

/** One act of construction: what from where, how far, and which sums it used. */
export interface Step {
  readonly n: number;
  readonly panel: string;
  /** A sentence with `{name}` where a number belongs. */
  readonly template: string;
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

  /** Records a step; the numbers it used are read from its template. */
  step(panel: string, template: string, { points = {}, guides = [], drawn = [] }: StepDrawing = {}): void {
    const numbers = [...template.matchAll(/\{(\w+)\}/g)].map((m) => m[1] as string);
    for (const name of numbers) {
      if (!this.known[name]) throw new RangeError(`step uses unknown number ${name}`);
    }
    this.done.push({ n: this.done.length + 1, panel, template, numbers, points, guides, drawn });
  }

  get numbers(): Numbers {
    return this.known;
  }

  get steps(): readonly Step[] {
    return this.done;
  }
}

/** A step's sentence with its numbers filled in by `format` (millimetres when none is given). */
export function stepText(
  step: Pick<Step, "template">,
  numbers: Numbers,
  format: (q: Quantity) => string = (q) => `${plain(q.mm)} mm`,
): string {
  return step.template.replace(/\{(\w+)\}/g, (whole, name: string) => {
    const found = numbers[name];
    return found ? format(found) : whole;
  });
}
