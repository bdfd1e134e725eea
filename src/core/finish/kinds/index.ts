import type { AnyFinish, Room } from "../define";
import { belt } from "./belt";
import { casing } from "./casing";
import { frontButtons, frontPlacket, pulledOn, zipCentreBack, zipSide } from "./closures";
import { contourBand } from "./contourBand";
import { cuff } from "./cuff";
import { cutOnCasing } from "./cutOnCasing";
import { waistFacing } from "./facing";
import { edgeFacing } from "./edgeFacing";
import { fly } from "./fly";
import { facedHem } from "./hemFacing";
import { inSeamPocket } from "./inSeamPocket";
import { joinedWaist } from "./joinedWaist";
import { mockFly } from "./mockFly";
import { noWaist } from "./noWaist";
import { patchPocket } from "./patchPocket";
import { rectangularPatch } from "./rectangularPatch";
import { ringBand } from "./ringBand";
import { sleeve } from "./sleeve";
import { slantPocket } from "./slantPocket";
import { straightBand } from "./straightBand";
import { flounceLining, pleatedStrip } from "./trims";
import { bondedHem, doubleHem, rolledHem, turnedHem } from "./turnedHems";

/** Every kind of finish there is, by the part of the garment it finishes, in the order in which a form offers them. */
export const KINDS = {
  waist: [straightBand, contourBand, waistFacing, cutOnCasing, casing, ringBand, joinedWaist, noWaist],
  fastening: [zipCentreBack, zipSide, fly, mockFly, frontPlacket, frontButtons, pulledOn],
  pocket: [slantPocket, inSeamPocket, patchPocket, rectangularPatch],
  hem: [turnedHem, doubleHem, rolledHem, facedHem, bondedHem, cuff],
  belt: [belt],
  trim: [pleatedStrip, flounceLining, sleeve, edgeFacing],
} as const;

/** The same, without the types of their parameters. */
export const FINISHES = KINDS as unknown as { readonly [R in Room]: readonly AnyFinish<R>[] };

/** A kind of finish by its name; null where there is none of that name in the room. */
export const finishKind = <R extends Room>(room: R, kind: string): AnyFinish<R> | null =>
  FINISHES[room].find((known) => known.kind === kind) ?? null;
