import { clothOtherwise } from "../cloth";
import type { Job } from "../files";
import { say, type Mm, type Sentence } from "../units";
import { clothOf } from "./cloth";
import { layWithin, shapesOf } from "./lay";

/** Whether pieces that are void can be cut again: from what is left behind the lay, or why that is not known. */
export type Recut =
  | { readonly kind: "fits" | "short"; readonly needs: Mm; readonly left: Mm }
  | { readonly kind: "unknown"; readonly why: Sentence };

/** A quick look is enough: a few pieces on a short length. */
const LOOK = { steps: 260, milliseconds: 1500 } as const;

/**
 * Lays void pieces, as they are cut after a correction, on what the first lay has left of the cloth: the whole width behind
 * its end, in one layer. `laid` is the length of the lay that was cut; null where none was kept.
 */
export function recutOf(job: Job, pieces: readonly string[], laid: Mm | null): Recut {
  const { width, length, lies } = clothOf(job).cloth;
  if (width === null || length === null)
    return {
      kind: "unknown",
      why: say`How wide and long the cloth is was not said, so what is left of it is not known.`,
    };
  if (laid === null)
    return { kind: "unknown", why: say`No lay was kept of this cloth, so what is left of it is not known.` };
  if (lies.outline)
    return { kind: "unknown", why: say`The cloth was a remnant: what is left of it is seen on its lay.` };
  const cloth = clothOtherwise({ ...lies, width }, { fold: "open" });
  const made = shapesOf(job, "shell", cloth);
  if (!made.ok) return { kind: "unknown", why: made.errors[0]?.says ?? [] };
  const left = Math.max(0, length - laid);
  const again = made.shapes.filter((shape) => pieces.includes(shape.piece));
  if (again.length === 0) return { kind: "fits", needs: 0, left };
  const found = layWithin(again, cloth, 1, { ...LOOK, until: left });
  if (!found.ok) return { kind: "unknown", why: found.errors[0]?.says ?? [] };
  return { kind: found.lay.length <= left ? "fits" : "short", needs: found.lay.length, left };
}
