import { Refusal, say, type Mm } from "../../units";
import { sequenceAtOnce } from "../lay/anneal";
import { Leftmost, layOf } from "../lay/leftmost";
import type { LayShape } from "../lay/shape";
import { taskOf, type Laid, type LayItem, type Strip } from "../lay/strip";
import { stripWidth, type ClothLay, type LayCloth } from "./laidCloth";
import { Counter, placementsOf } from "./placed";
import type { Plan } from "./plan";

/** How deep cloth lies that is folded lengthwise. Throws Refusal where it cannot be folded so. */
export function foldedDepth(cloth: LayCloth): Mm {
  const deep = stripWidth({ ...cloth, fold: "lengthwise" });
  if (deep > cloth.width / 2 + 1e-6 || deep <= 0)
    throw new Refusal("cloth.foldWidth", say`Cloth ${cloth.width} wide is folded by ${cloth.width / 2} at most.`, {
      most: cloth.width / 2,
    });
  return deep;
}

const shapeAt = ({ shapes }: Strip, item: LayItem | undefined): LayShape => shapes[item?.shape ?? 0] as LayShape;

/** The cloth opened out: what was cut folded lies on both sides of the fold, and the rest is laid beside it. */
export function openedStrip(pairs: Plan, laid: readonly Laid[], rest: Plan, cloth: LayCloth, deep: Mm): Strip {
  const own = rest.strip.shapes.length;
  const fixed = laid.flatMap((at, i): LayItem[] => {
    const { shape } = pairs.strip.items[i] as LayItem;
    return [
      { shape: own + shape, turns: [at.turn], fixed: { ...at, y: deep + at.y } },
      { shape: own + shape, turns: [at.turn ^ 2], fixed: { x: at.x, y: deep - at.y, turn: at.turn ^ 2 } },
    ];
  });
  return {
    width: cloth.width,
    gap: cloth.gap,
    shapes: [...rest.strip.shapes, ...pairs.strip.shapes],
    items: [...rest.strip.items, ...fixed],
  };
}

/** The lay of what was cut folded and of the rest on the opened cloth. */
export function openedLay(
  pairs: Plan,
  laid: readonly Laid[],
  rest: Plan,
  laidRest: { readonly length: Mm; readonly laid: readonly Laid[] },
  cloth: LayCloth,
  deep: Mm,
): Omit<ClothLay, "utilisation" | "bound"> {
  const counter = new Counter();
  const shifted = laid.map((at) => ({ ...at, y: deep + at.y }));
  return {
    length: laidRest.length,
    foldedLength: Math.max(0, ...laid.map((at, i) => at.x + shapeAt(pairs.strip, pairs.strip.items[i]).own[0])),
    drawnWidth: cloth.width,
    placements: [
      ...placementsOf(pairs, shifted, counter),
      ...placementsOf(rest, laidRest.laid.slice(0, rest.parts.length), counter, { opened: true }),
    ],
    singles: "opened",
  };
}

/** Sizes by which what is left is laid beside what is cut already, the largest first. */
const ORDERS: readonly ((shape: LayShape) => number)[] = [(s) => s.area, (s) => s.own[0], (s) => s.own[1]];

/** The pairs cut folded, the cloth opened, and the rest laid beside them at once; null where a piece finds no place. */
export function openedOut(
  pairs: Plan,
  laid: readonly Laid[],
  rest: Plan,
  cloth: LayCloth,
  deep: Mm,
): Omit<ClothLay, "utilisation" | "bound"> | null {
  const strip = openedStrip(pairs, laid, rest, cloth, deep);
  const task = taskOf(strip);
  const leftmost = new Leftmost(task);
  const turns = strip.items.map((i) => i.turns[0] ?? 0);
  const made = ORDERS.flatMap((by) => {
    const size = (i: number): number => by(shapeAt(strip, strip.items[i]));
    const order = [...task.free].sort((a, b) => size(b) - size(a));
    return sequenceAtOnce(task, leftmost, order, turns, true) ?? [];
  });
  const [first, ...others] = made;
  if (!first) return null;
  const best = others.reduce((a, b) => (b.length < a.length ? b : a), first);
  return openedLay(pairs, laid, rest, layOf(task, best.placing), cloth, deep);
}
