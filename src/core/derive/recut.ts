import { clothOtherwise, type ClothLay, type CutShape, type LayCloth } from "../cloth";
import { leftBy } from "../cloth/remnant";
import type { Job } from "../files";
import { boxOf, type Point } from "../geometry";
import { say, type Mm, type Sentence, NOTHING } from "../units";
import { clothOf } from "./cloth";
import { layWithin, shapesOf } from "./lay";

/**
 * Whether pieces that are void can be cut again: from the whole width behind the lay, from a part that is left beside its
 * pieces, from nothing that is left; or why that is not known.
 */
export type Recut =
  | { readonly kind: "fits"; readonly on: "width" | "part"; readonly needs: Mm; readonly left: Mm }
  | { readonly kind: "short"; readonly needs: Mm; readonly left: Mm }
  | { readonly kind: "none" }
  | { readonly kind: "unknown"; readonly why: Sentence };

/** A quick look is enough: a few pieces on a short length. */
const LOOK = { steps: 260 } as const;

/** Pieces laid on a part that is left, by its outline on the cloth it is left of; null where they do not lie on it. */
function onPart(shapes: readonly CutShape[], open: LayCloth, outline: readonly Point[]): Recut | null {
  const { left, right, top, bottom } = boxOf(outline);
  const part = { ...open, width: bottom - top, outline: outline.map(([x, y]): Point => [x - left, y - top]) };
  const found = layWithin(shapes, part, 1, { ...LOOK, until: right - left });
  return found.ok && found.lay.length <= right - left
    ? { kind: "fits", on: "part", needs: found.lay.length, left: right - left }
    : null;
}

/**
 * Lays void pieces, as they are cut after a correction, on what the lay that was cut has left of the cloth, in one layer:
 * the whole width behind its end, else a part beside its pieces. `lay` is null where none was kept.
 */
export function recutOf(job: Job, pieces: readonly string[], lay: ClothLay | null): Recut {
  const { width, length, lies } = clothOf(job).cloth;
  if (width === null || length === null)
    return {
      kind: "unknown",
      why: say`How wide and long the cloth is was not said, so what is left of it is not known.`,
    };
  if (lay === null)
    return { kind: "unknown", why: say`No lay was kept of this cloth, so what is left of it is not known.` };
  const cloth = { ...lies, width };
  const open = lies.outline ? cloth : clothOtherwise(cloth, { fold: "open" });
  const made = shapesOf(job, "shell", open);
  if (!made.ok) return { kind: "unknown", why: made.errors[0]?.says ?? NOTHING };
  const left = lies.outline ? 0 : Math.max(0, length - lay.length);
  const again = made.shapes.filter((shape) => pieces.includes(shape.piece));
  if (again.length === 0) return { kind: "fits", on: "width", needs: 0, left };
  const whole = lies.outline ? null : layWithin(again, open, 1, { ...LOOK, until: left });
  if (whole?.ok && whole.lay.length <= left) return { kind: "fits", on: "width", needs: whole.lay.length, left };
  // Of folded cloth nothing is left but what was looked at.
  for (const part of cloth.fold === "open" ? leftBy(lay, cloth, length) : []) {
    const beside = onPart(again, open, part);
    if (beside) return beside;
  }
  if (!whole) return { kind: "none" };
  if (!whole.ok) return { kind: "unknown", why: whole.errors[0]?.says ?? NOTHING };
  return { kind: "short", needs: whole.lay.length, left };
}
