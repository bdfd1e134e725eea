import type { Job } from "../files";
import { either, millimetres as mm, oneOf, type Random } from "./choices";

type Finish = NonNullable<Job["finish"]>;

/** Every finish with lengths somewhere in the range that can be sewn, as a maker might combine them. */
const ROOMS: Readonly<Record<"waist" | "fastening" | "pockets" | "hem", (random: Random) => unknown>> = {
  waist: (r) =>
    oneOf(
      {
        kind: "straight-band",
        depth: mm(20, 90)(r),
        sits: oneOf("above", "on", "outside")(r),
        overlap: mm(0, 60)(r),
        fit: oneOf("edge", "waist")(r),
      },
      { kind: "contour-band", depth: mm(30, 90)(r), sits: oneOf("cut", "above")(r) },
      { kind: "facing", depth: mm(20, 90)(r) },
      {
        kind: "casing",
        depth: mm(20, 70)(r),
        sits: oneOf("above", "on")(r),
        elastic: oneOf("none", "waist", "waist-less", "hip-less")(r),
        drawstring: either(r),
      },
      { kind: "ring-band", frill: mm(0, 70)(r), channel: mm(15, 60)(r), fit: oneOf("edge", "waist")(r) },
      { kind: "cut-on-casing", drawstring: either(r) },
    )(r),
  fastening: (r) =>
    oneOf(
      { kind: "zip-centre-back" },
      { kind: "zip-side" },
      { kind: "fly", grown: oneOf("on", "separate")(r) },
      { kind: "mock-fly" },
      { kind: "front-placket" },
      { kind: "none" },
    )(r),
  pockets: (r) =>
    oneOf(
      [],
      [
        {
          kind: "slant",
          across: mm(30, 90)(r),
          down: mm(100, 220)(r),
          edge: oneOf("straight", "curved", "scalloped")(r),
        },
      ],
      [{ kind: "in-seam", from: mm(20, 120)(r), opening: mm(100, 200)(r) }],
      [{ kind: "patch" }],
      [{ kind: "slant" }, { kind: "patch" }],
    )(r),
  hem: (r) =>
    oneOf(
      { kind: "turned", depth: mm(10, 70)(r) },
      { kind: "double", depth: mm(6, 40)(r) },
      { kind: "rolled" },
      { kind: "faced", depth: mm(25, 80)(r) },
      { kind: "bonded" },
      { kind: "cuff", depth: mm(25, 90)(r), elastic: either(r) },
    )(r),
};

/** A finish of which each room is stated four times out of five; the others keep the style's own. */
export function randomFinish(random: Random): Finish {
  const stated = Object.entries(ROOMS).filter(() => random() < 0.8);
  return Object.fromEntries(stated.map(([room, make]) => [room, make(random)])) as Finish;
}
