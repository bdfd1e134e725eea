import type { Move } from "./move";
import { setLength } from "./setLength";
import { shapeLeg } from "./shapeLeg";
import { spread } from "./spread";

export * from "./move";
export { garmentLengthSchema, LENGTH_NAMES } from "./setLength";
export { autoLengthSchema } from "./auto";

/** Every move there is, by id, in the order they are usually made. */
export const MOVES: Readonly<Record<string, Move>> = {
  [shapeLeg.id]: shapeLeg as Move,
  [setLength.id]: setLength as Move,
  [spread.id]: spread as Move,
};
