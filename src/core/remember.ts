/**
 * The same pure function, which does not work out anew what it was just asked: its last few answers are kept by the
 * value of what was asked. While a handle is pulled most of the way from measures to pattern stays as it was.
 *
 * @param work - a function of plain data (no functions, no class instances) that nobody changes, and whose answer nobody changes
 * @param keep - how many answers are kept; the one asked for longest ago goes first
 * @returns the function; what `work` throws is thrown again, and never kept
 */
export function remembered<Asked extends readonly unknown[], Answer>(
  work: (...asked: Asked) => Answer,
  keep = 4,
): (...asked: Asked) => Answer {
  /** The one asked for last stands first. */
  const kept: { readonly asked: Asked; readonly answer: Answer }[] = [];
  return (...asked) => {
    const at = kept.findIndex((one) => isSameData(one.asked, asked));
    const [known] = at < 0 ? [] : kept.splice(at, 1);
    const one = known ?? { asked, answer: work(...asked) };
    kept.unshift(one);
    if (kept.length > keep) kept.pop();
    return one.answer;
  };
}

/** True where two plain values hold the same data; NaN is itself, and the two zeros are one. */
function isSameData(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null)
    return Number.isNaN(a) && Number.isNaN(b);
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = Object.keys(a);
  if (keys.length !== Object.keys(b).length) return false;
  return keys.every(
    (key) => key in b && isSameData((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]),
  );
}
