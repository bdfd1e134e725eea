import type { Param } from "../params";

/** The numbers among which the largest that lies on a cloth is looked for. */
export interface Range {
  readonly least: number;
  readonly most: number;
  /** Numbers that are usual, where a range is far wider than what can be made. */
  readonly usual: readonly number[];
  /** The number is narrowed down to this. */
  readonly step: number;
  readonly asStored: (value: number) => unknown;
}

/** The range of a parameter; null where it is no number. */
export function rangeOf(param: Param): Range | null {
  if (param.as === "length") {
    const [least, most] = param.within ?? [0, 2000];
    return { least, most, usual: param.tried ?? [], step: 3, asStored: (value) => `${value.toFixed(1)} mm` };
  }
  if (param.as === "number")
    return {
      least: param.least,
      most: param.most,
      usual: [],
      step: param.whole ? 1 : Math.max(0.01, param.step / 5),
      asStored: (value) => (param.whole ? Math.round(value) : Number(value.toFixed(4))),
    };
  return null;
}

/** A range is looked over at so many places for numbers that can be made, and its ends narrowed by so many halvings. */
export const PLACES = 16;
const HALVINGS = 7;

/**
 * The part of a range that is worth laying: from the least number that can be made to the largest that can be made and is
 * not ruled out by its area, with whether more than that is ruled out. All of it where none can be made.
 */
export function reachOf(
  { least, most, usual, step }: Range,
  areaAt: (value: number) => number | null,
  cloth: number,
): { readonly least: number; readonly most: number; readonly isRuledOut: boolean } {
  const spaced = (from: number, to: number): number[] =>
    Array.from({ length: PLACES + 1 }, (_, i) => from + ((to - from) * i) / PLACES);
  const [low = least, high = most] = usual;
  const places = [...new Set([...spaced(least, most), ...spaced(low, high)])]
    .filter((value) => value >= least && value <= most)
    .sort((a, b) => a - b);
  const areas = places.map(areaAt);
  const isMadeAt = (area: number | null): boolean => area !== null;
  const isLaidAt = (area: number | null): boolean => area !== null && area <= cloth;
  const first = areas.findIndex(isMadeAt);
  if (first < 0) return { least, most, isRuledOut: false };
  /** The last of the numbers from one that holds toward one that does not. */
  const end = (from: number, toward: number, holds: (area: number | null) => boolean): number => {
    let [good, bad] = [from, toward];
    for (let i = 0; i < HALVINGS && Math.abs(bad - good) > step; i++) {
      const value = (good + bad) / 2;
      if (holds(areaAt(value))) good = value;
      else bad = value;
    }
    return good;
  };
  const lowest = places[first] as number;
  const before = places[first - 1];
  const last = Math.max(first, areas.findLastIndex(isLaidAt));
  const [highest, after] = [places[last] as number, places[last + 1]];
  return {
    least: before === undefined ? lowest : end(lowest, before, isMadeAt),
    most: after === undefined ? highest : end(highest, after, isLaidAt),
    isRuledOut: after !== undefined && isMadeAt(areas[last + 1] ?? null),
  };
}
