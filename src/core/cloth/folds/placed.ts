import type { Point } from "../../geometry";
import type { Mm } from "../../units";
import type { CutShape } from "../cutShapes";
import { turnOf, type LayShape } from "../lay/shape";
import { boundOf, type Laid, type LayItem } from "../lay/strip";
import type { ClothLay, LayCloth, Placement } from "./laidCloth";
import { singlesOf, type Plan } from "./plan";

/** An outline as it lies. */
function laidOutline(shape: LayShape, { x, y, turn }: Laid): readonly Point[] {
  const way = turnOf(turn);
  return shape.outline.map(([px, py]): Point => [x + way.x * px, y + way.y * py]);
}

/** Counts copies of each piece as they are placed. */
export class Counter {
  private readonly count = new Map<string, number>();

  next(piece: string, by: number): number {
    const at = (this.count.get(piece) ?? 0) + 1;
    this.count.set(piece, at + by - 1);
    return at;
  }
}

export function placementsOf(
  { strip, parts }: Plan,
  laid: readonly Laid[],
  counter: Counter,
  more: Partial<Placement> = {},
): Placement[] {
  return parts.map((part, i): Placement => {
    const at = laid[i] as Laid;
    return {
      piece: part.shape.piece,
      bundle: part.shape.bundle,
      copy: counter.next(part.shape.piece, part.copies),
      ...at,
      outline: laidOutline(strip.shapes[(strip.items[i] as LayItem).shape] as LayShape, at),
      layers: part.layers,
      spare: part.spare,
      onFold: part.onFold,
      opened: false,
      ...more,
    };
  });
}

/** Area of all copies of all pieces. */
export const areaOf = (shapes: readonly CutShape[]): number =>
  shapes.reduce((sum, s) => sum + (s.plain + s.mirrored) * Math.abs(shoelace(s.whole)), 0);

const shoelace = (points: readonly Point[]): number =>
  points.reduce((sum, [x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length] as Point;
    return sum + (x * ny - nx * y) / 2;
  }, 0);

/** The lay of a plan's pieces as they lie in one strip. */
export function oneLay(shapes: readonly CutShape[], cloth: LayCloth, plan: Plan, laid: readonly Laid[]): ClothLay {
  const { strip } = plan;
  const end = Math.max(
    ...plan.parts.map(
      (_, i) => (laid[i] as Laid).x + (strip.shapes[(strip.items[i] as LayItem).shape] as LayShape).own[0],
    ),
  );
  const length = cloth.fold === "across" ? 2 * end : end;
  const area = areaOf(shapes);
  return {
    length,
    foldedLength: cloth.fold === "open" ? 0 : end,
    drawnWidth: strip.width,
    placements: placementsOf(plan, laid, new Counter()),
    singles: cloth.fold !== "open" && singlesOf(shapes) ? "both-layers" : "none",
    bound: Math.max(area / cloth.width, boundOf(strip)),
    utilisation: area / (cloth.width * length),
  };
}

/** Completes a lay with its share of the cloth and its bound. */
export type Finish = (bound: Mm, lay: Omit<ClothLay, "utilisation" | "bound">) => ClothLay;
