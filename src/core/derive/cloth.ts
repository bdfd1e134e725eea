import type { Cloth, LayCloth } from "../cloth";
import type { Job } from "../files";
import { boxOf, polygonSelfCrossing, type Point } from "../geometry";
import { readLength, type LengthInput, type Mm, range, say, type Complaint, type Unit, asSentence } from "../units";

/** The cloth in hand; null for what is not said. `stretch` is the share it gives across. */
export interface ClothInHand {
  readonly width: Mm | null;
  readonly length: Mm | null;
  readonly liningWidth: Mm | null;
  readonly stretch: number;
  /** What it loses of its length before it is cut. */
  readonly shrinks: number;
  readonly price: number | null;
  /** How it lies, but for its width. */
  readonly lies: Omit<LayCloth, "width">;
}

const LIMITS = {
  width: [100, 5000],
  liningWidth: [100, 5000],
  length: [100, 100000],
  foldWidth: [50, 2500],
  gap: [0, 50],
} as const;

/** A usual gap between two pieces, where none is said. */
const USUAL_GAP: Mm = 2;
/** Lines of a repeat nearer than this are no repeat. */
const REPEATS = [5, 5000] as const;

/** A corner of a remnant lies no further from the first end and selvedge. */
const CORNERS = [0, 100_000] as const;

/** Reads a cloth; what cannot be read is an error at its path. */
export function readCloth(
  cloth: Cloth | undefined,
  unit: Unit,
): { readonly cloth: ClothInHand; readonly errors: readonly Complaint[] } {
  const errors: Complaint[] = [];
  const lengthAt = (path: string, input: LengthInput | undefined, [least, most]: readonly [Mm, Mm]): Mm | null => {
    if (input === undefined) return null;
    const length = readLength(input, unit);
    if (!length.ok) errors.push({ path: `cloth.${path}`, says: asSentence(length.message) });
    else if (length.mm < least || length.mm > most) {
      errors.push({ path: `cloth.${path}`, says: say`Cloth is ${range(least, most)} here.` });
    } else return length.mm;
    return null;
  };
  const corners = cloth?.outline?.map(([along, across], i) => [
    lengthAt(`outline.${i}.0`, along, CORNERS),
    lengthAt(`outline.${i}.1`, across, CORNERS),
  ]);
  const outline = corners && outlineOf(corners, errors);
  const box = outline && boxOf(outline);
  const read = (key: keyof typeof LIMITS): Mm | null => lengthAt(key, cloth?.[key], LIMITS[key]);
  const along = lengthAt("repeat.along", cloth?.repeat?.along, REPEATS);
  return {
    cloth: {
      width: box ? box.bottom : read("width"),
      length: box ? box.right : read("length"),
      liningWidth: read("liningWidth"),
      stretch: cloth?.stretch ?? 0,
      shrinks: cloth?.washed ? 0 : (cloth?.shrink ?? 0),
      price: cloth?.price ?? null,
      lies: {
        // A remnant has no two edges to lay on each other.
        fold: outline ? "open" : (cloth?.fold ?? "open"),
        foldWidth: read("foldWidth"),
        nap: cloth?.nap ?? false,
        gap: read("gap") ?? USUAL_GAP,
        repeat:
          along === null
            ? null
            : { along, first: lengthAt("repeat.first", cloth?.repeat?.first, [0, REPEATS[1]]) ?? along },
        ...(outline && { outline }),
      },
    },
    errors,
  };
}

/** Reads the cloth of a job; what cannot be read is an error at its path. */
export const clothOf = ({ cloth, body }: Job): ReturnType<typeof readCloth> => readCloth(cloth, body.unit);

/** The outline of a remnant from its own first end and edge; what is none is an error of the outline. */
function outlineOf(corners: readonly (readonly (Mm | null)[])[], errors: Complaint[]): readonly Point[] | undefined {
  const given = corners.flatMap(([x, y]): Point[] => (typeof x === "number" && typeof y === "number" ? [[x, y]] : []));
  // What could not be read is said already.
  if (given.length < corners.length) return undefined;
  const { left, top, right, bottom } = boxOf(given);
  const crossing = polygonSelfCrossing(given);
  if (crossing)
    errors.push({
      path: "cloth.outline",
      says: say`The outline of the remnant crosses itself near ${crossing[0]} along and ${crossing[1]} across. Put its corners in the order they come round its edge.`,
    });
  else if (right - left < LIMITS.length[0] || bottom - top < LIMITS.width[0])
    errors.push({
      path: "cloth.outline",
      says: say`A remnant is at least ${LIMITS.length[0]} along and ${LIMITS.width[0]} across.`,
    });
  else return given.map(([x, y]): Point => [x - left, y - top]);
  return undefined;
}
