import type { Point } from "../geometry";
import { plain, type Quantity } from "../units";

/** One act of construction: what from where, how far, and which sums it used. */
export interface Step {
  readonly n: number;
  readonly panel: string;
  /** A sentence with `{name}` where a number belongs. */
  readonly template: string;
  readonly numbers: readonly string[];
  readonly points: Readonly<Record<string, Point>>;
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
  step(panel: string, template: string, points: Readonly<Record<string, Point>> = {}): void {
    const numbers = [...template.matchAll(/\{(\w+)\}/g)].map((m) => m[1] as string);
    for (const name of numbers) {
      if (!this.known[name]) throw new RangeError(`step uses unknown number ${name}`);
    }
    this.done.push({ n: this.done.length + 1, panel, template, numbers, points });
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
  step: Step,
  numbers: Numbers,
  format: (q: Quantity) => string = (q) => `${plain(q.mm)} mm`,
): string {
  return step.template.replace(/\{(\w+)\}/g, (whole, name: string) => {
    const found = numbers[name];
    return found ? format(found) : whole;
  });
}
