import { boxOf, type Point } from "../../geometry";
import { Refusal, say, type Mm, inside } from "../../units";
import type { CutShape } from "../cutShapes";
import { GRID } from "../lay/pairs";
import { layShape, turnOf, type LayShape } from "../lay/shape";
import { tooWide, type LayItem, type Strip } from "../lay/strip";
import { missingOf } from "../remnant";
import { widthOf } from "../wider";
import { stripWidth, type LayCloth } from "./laidCloth";

/** An item of a strip, and what it is. */
interface Part {
  readonly shape: CutShape;
  readonly copies: number;
  readonly layers: 1 | 2;
  readonly spare: number;
  readonly onFold: boolean;
}

export interface Plan {
  readonly strip: Strip;
  readonly parts: readonly Part[];
}

const BOTH_WAYS = { plain: [0, 3], mirrored: [2, 1], either: [0, 3, 2, 1], onFold: [0, 1] } as const;
const ONE_WAY = { plain: [0], mirrored: [2], either: [0, 2], onFold: [0] } as const;

/** Builds a strip from shapes: equal outlines are one shape. */
class Planner {
  private readonly shapes: LayShape[] = [];
  private readonly known = new Map<readonly Point[], number>();
  private readonly items: LayItem[] = [];
  private readonly parts: Part[] = [];

  constructor(
    private readonly width: Mm,
    private readonly cloth: LayCloth,
  ) {}

  private shape(outline: readonly Point[]): number {
    const at = this.known.get(outline);
    if (at !== undefined) return at;
    this.shapes.push(layShape(outline, this.cloth.gap));
    this.known.set(outline, this.shapes.length - 1);
    return this.shapes.length - 1;
  }

  add(outline: readonly Point[], turns: readonly number[], part: Part, count = 1): void {
    const shape = this.shape(outline);
    const own = (this.shapes[shape] as LayShape).own[1];
    for (let i = 0; i < count; i++) {
      // Drawn with its fold on y = 0, half of it lies at half its own width from there.
      const { repeat } = this.cloth;
      const mark = part.shape.mark === null ? null : part.shape.mark - middleOf(outline);
      this.items.push({
        shape,
        turns,
        ...(part.onFold && { across: turns.map(() => own) }),
        ...(repeat &&
          mark !== null && {
            marks: { every: repeat.along, first: repeat.first, at: turns.map((t) => turnOf(t).x * mark) },
          }),
      });
      this.parts.push(part);
    }
  }

  plan(): Plan {
    return {
      strip: { width: this.width, gap: this.cloth.gap, shapes: this.shapes, items: this.items },
      parts: this.parts,
    };
  }
}

/** The middle of an outline's box, along the grain. */
function middleOf(outline: readonly Point[]): Mm {
  const { left, right } = boxOf(outline);
  return (left + right) / 2;
}

export const singlesOf = (shapes: readonly CutShape[]): boolean =>
  shapes.some((s) => !s.onFold && s.plain !== s.mirrored);

/** Of a remnant, the parts of the strip that are no cloth, kept clear of like pieces. */
function withMissing(plan: Plan, { outline, gap, width }: LayCloth): Plan {
  if (!outline) return plan;
  const missing = missingOf(outline, width);
  const known = plan.strip.shapes.length;
  const items = missing.map((part, i): LayItem => {
    const { left, right, top, bottom } = boxOf(part);
    return {
      shape: known + i,
      turns: [0],
      fixed: { x: (left + right) / 2, y: (top + bottom) / 2, turn: 0 },
      isMissing: true,
    };
  });
  // Places along the cloth are whole steps of the grid: a part lies off its own by half of one at most.
  const shapes = missing.map((part) => layShape(part, gap + GRID));
  return {
    parts: plan.parts,
    strip: { ...plan.strip, shapes: [...plan.strip.shapes, ...shapes], items: [...plan.strip.items, ...items] },
  };
}

/** Everything in one layer. */
export function openPlan(shapes: readonly CutShape[], cloth: LayCloth): Plan {
  const turns = cloth.nap ? ONE_WAY : BOTH_WAYS;
  const planner = new Planner(cloth.width, cloth);
  for (const shape of shapes) {
    const part = { shape, copies: 1, layers: 1 as const, spare: 0, onFold: false };
    planner.add(shape.whole, turns.plain, part, shape.plain);
    planner.add(shape.whole, turns.mirrored, part, shape.mirrored);
  }
  return withMissing(planner.plan(), cloth);
}

/** What is cut through two layers: pairs, pieces on the fold where there is one, and singles where they are not left out. */
export function doublePlan(
  shapes: readonly CutShape[],
  width: Mm,
  cloth: LayCloth,
  more: { readonly hasFold: boolean; readonly singles: boolean },
): Plan {
  const turns = cloth.nap ? ONE_WAY : BOTH_WAYS;
  const planner = new Planner(width, cloth);
  for (const shape of shapes) {
    const pair = { shape, copies: 2, layers: 2 as const, spare: 0, onFold: false };
    if (shape.onFold && more.hasFold) {
      planner.add(shape.outline, turns.onFold, { ...pair, copies: 1, onFold: true }, shape.plain);
      continue;
    }
    const [pairs, rest] = shape.onFold
      ? [Math.floor(shape.plain / 2), shape.plain % 2]
      : [Math.min(shape.plain, shape.mirrored), Math.abs(shape.plain - shape.mirrored)];
    planner.add(shape.whole, turns.either, pair, pairs);
    if (more.singles) planner.add(shape.whole, turns.either, { ...pair, copies: 1, spare: 1 }, rest);
  }
  return planner.plan();
}

/** Pieces that are left to be cut from one layer. */
export function singlesPlan(shapes: readonly CutShape[], cloth: LayCloth, hasFold: boolean): Plan {
  const turns = cloth.nap ? ONE_WAY : BOTH_WAYS;
  const planner = new Planner(cloth.width, cloth);
  for (const shape of shapes) {
    const part = { shape, copies: 1, layers: 1 as const, spare: 0, onFold: false };
    if (shape.onFold) {
      if (!hasFold) planner.add(shape.whole, turns.plain, part, shape.plain % 2);
      continue;
    }
    const rest = shape.plain - shape.mirrored;
    planner.add(shape.whole, rest > 0 ? turns.plain : turns.mirrored, part, Math.abs(rest));
  }
  return planner.plan();
}

/** What is cut once the cloth is opened out: these pieces whole, and of those that were cut folded what is left. */
export function openedPlan(folded: readonly CutShape[], opened: readonly CutShape[], cloth: LayCloth): Plan {
  const [whole, singles] = [openPlan(opened, cloth), singlesPlan(folded, cloth, true)];
  const known = whole.strip.shapes.length;
  return {
    strip: {
      ...whole.strip,
      shapes: [...whole.strip.shapes, ...singles.strip.shapes],
      items: [...whole.strip.items, ...singles.strip.items.map((item) => ({ ...item, shape: known + item.shape }))],
    },
    parts: [...whole.parts, ...singles.parts],
  };
}

/** Everything in one strip, as it lies for moving by hand: singles through both layers where the cloth is folded. */
export function onePlan(shapes: readonly CutShape[], cloth: LayCloth): Plan {
  if (cloth.fold === "open" || cloth.fold === "partly") return openPlan(shapes, cloth);
  const isLengthwise = cloth.fold === "lengthwise";
  return doublePlan(shapes, stripWidth(cloth), cloth, { hasFold: isLengthwise, singles: true });
}

/** Refuses what is wider than the cloth, by name. */
export function refuseTooWide({ strip, parts }: Plan, cloth: LayCloth): void {
  const [first] = tooWide(strip);
  if (first === undefined) return;
  const { shape } = parts[first] as Part;
  const wide = widthOf(shape);
  throw new Refusal(
    "cloth.width",
    cloth.fold === "lengthwise" && wide <= cloth.width
      ? say`The ${inside(shape.name)} is ${wide} wide: it does not fit on the folded cloth of ${strip.width}. Lay it open, or fold the cloth otherwise.`
      : say`The ${inside(shape.name)} is ${wide} wide, the cloth ${strip.width}. Take wider cloth, or join it from two.`,
  );
}
