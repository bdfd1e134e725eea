import type { Job } from "../files";
import { FINISHES, type AnyFinish, type Room } from "../finish";
import { oneOf, type Random } from "./choices";
import { randomParams, whole } from "./randomParams";

type Finish = NonNullable<Job["finish"]>;

/** A kind of finish of a room with about half of its parameters stated. */
function randomEntry(room: Room, random: Random): object {
  const kind = oneOf(...(FINISHES[room] as readonly AnyFinish[]))(random);
  return { kind: kind.kind, ...randomParams(kind.params, random, 0.55) };
}

const STATED: Readonly<Record<"waist" | "fastening" | "pockets" | "hem", (random: Random) => unknown>> = {
  waist: (r) => randomEntry("waist", r),
  fastening: (r) => randomEntry("fastening", r),
  pockets: (r) => Array.from({ length: whole(0, 2)(r) }, () => randomEntry("pocket", r)),
  hem: (r) => randomEntry("hem", r),
};

/** A finish of which each room is stated four times out of five; the others keep the style's own. */
export function randomFinish(random: Random): Finish {
  const stated = Object.entries(STATED).filter(() => random() < 0.8);
  return Object.fromEntries(stated.map(([room, make]) => [room, make(random)])) as Finish;
}
