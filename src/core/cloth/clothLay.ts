import { Refusal, say, type Mm } from "../units";
import type { CutShape } from "./cutShapes";
import { acrossLay } from "./folds/across";
import type { ClothLay, LayCloth, LayFound } from "./folds/laidCloth";
import { lengthwiseLay } from "./folds/lengthwise";
import { NONE_LOCKED, oneStrip, type Locked } from "./folds/oneStrip";
import { partlyFoldedLay } from "./folds/partly";
import { areaOf } from "./folds/placed";
import type { Like } from "./lay/strip";

/** What a search begins with: pieces that stay where they are, and a lay of nearly the same pieces. */
interface Starting {
  readonly locked?: Locked;
  readonly like?: Like | null;
}

/**
 * Lays pieces on cloth: a first lay at once, then better ones as they are found, until it is stopped. Yields after every
 * step. Throws Refusal of the cloth where a piece cannot lie on it. The same seed gives the same lays after the same steps.
 */
export function* layCloth(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  seed: number,
  { locked = NONE_LOCKED, like = null }: Starting = {},
): Generator<LayFound | null, void, void> {
  if (shapes.length === 0) throw new Refusal("material", say`Nothing is cut from this cloth.`);
  const area = areaOf(shapes);
  const found = (bound: Mm, lay: Omit<ClothLay, "utilisation" | "bound">): ClothLay => ({
    ...lay,
    bound: Math.max(bound, area / cloth.width),
    utilisation: area / (cloth.width * lay.length),
  });
  if (cloth.fold === "open" || locked.size > 0) yield* oneStrip(shapes, cloth, seed, { locked, like });
  else if (cloth.fold === "lengthwise") yield* lengthwiseLay(shapes, cloth, seed, found, like);
  else if (cloth.fold === "partly") yield* partlyFoldedLay(shapes, cloth, seed, found);
  else yield* acrossLay(shapes, cloth, seed, found);
}
