import type { Shape } from "./shape";
import { MOVES } from "../moves";
import { type Words, say, inside } from "../units";

/** A number of a job's moves that can be as large as the cloth allows. */
export interface Fittable {
  /** The line's own id, its place, and the number's name. */
  readonly id: string;
  readonly index: number;
  readonly param: string;
  /** What it is called with its line, and alone. */
  readonly label: Words;
  readonly words: Words;
  readonly isLength: boolean;
  /** As it is drawn now. */
  readonly now: number;
}

/** Numbers that make a garment take more cloth, of every line that is made; spreads first. */
export function fittable({ worksheet, moves }: Shape): readonly Fittable[] {
  // What was made last widens most often, and the length is set before it.
  return [...worksheet].reverse().flatMap((line): Fittable[] => {
    const { index } = line;
    const move = MOVES[line.move];
    if (index === null || !line.on || line.passed || !move) return [];
    return Object.entries(move.params).flatMap(([param, of]): Fittable[] => {
      if (of.as !== "length" && of.as !== "number") return [];
      if (!of.takesCloth) return [];
      const stated = moves[index]?.params[param];
      const shown = of.as === "length" ? line.numbers[of.shown ?? param]?.mm : undefined;
      const usual = of.as === "number" ? of.usual : 0;
      return [
        {
          id: line.id,
          index,
          param,
          label: say`${move.label}: ${inside(of.label)}`,
          words: inside(of.label),
          isLength: of.as === "length",
          now: shown ?? (typeof stated === "number" ? stated : usual),
        },
      ];
    });
  });
}
