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

/** Where pieces are few, the first lay that is shown is the best of so many yields: some hundredths of a second. */
const FEW = 16;
const FIRST_OF = 350;

/** Holds back what is found at first, and then yields the best of it. */
function* heldBack(lays: Generator<LayFound | null, void, void>): Generator<LayFound | null, void, void> {
  let held: LayFound | null = null;
  let yields = 0;
  for (const found of lays) {
    yields++;
    if (yields > FIRST_OF) yield found;
    else {
      held = found ?? held;
      yield yields === FIRST_OF ? held : null;
    }
  }
  if (yields < FIRST_OF && held) yield held;
}

/** Every lay that is found, as soon as it is. */
export function* laysOf(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  seed: number,
  locked: Locked,
  like: Like | null,
): Generator<LayFound | null, void, void> {
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

/**
 * Lays pieces on cloth: a first lay soon, then better ones as they are found, until it is stopped. Yields after every
 * step. Throws Refusal of the cloth where a piece cannot lie on it. The same seed gives the same lays after the same steps.
 */
export function* layCloth(
  shapes: readonly CutShape[],
  cloth: LayCloth,
  seed: number,
  { locked = NONE_LOCKED, like = null }: Starting = {},
): Generator<LayFound | null, void, void> {
  if (shapes.length === 0) throw new Refusal("material", say`Nothing is cut from this cloth.`);
  const lays = laysOf(shapes, cloth, seed, locked, like);
  const count = shapes.reduce((sum, { plain, mirrored }) => sum + plain + mirrored, 0);
  // Partly folded, what lies beside each lay is worked out anew: there a step takes too long to wait for many.
  const isHeld = like === null && count <= FEW && cloth.fold !== "partly";
  yield* isHeld ? heldBack(lays) : lays;
}
