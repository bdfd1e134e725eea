import type { CutLine } from "./lists";

/** What lies in one bundle: a piece of one material, the right ones apart from the left. */
export interface Bundle {
  readonly line: CutLine;
  readonly side: "right" | "left" | null;
  readonly count: number;
}

/** Bundles of a cutting list: pairs lie in two, each side with half of the count. */
export const bundlesOf = (lines: readonly CutLine[]): readonly Bundle[] =>
  lines.flatMap((line): Bundle[] =>
    line.pairs && line.count % 2 === 0
      ? (["right", "left"] as const).map((side) => ({ line, side, count: line.count / 2 }))
      : [{ line, side: null, count: line.count }],
  );
