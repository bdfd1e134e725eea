/**
 * The same pure function, which does not work out anew what it was just asked: its last few answers are kept by the
 * value of what was asked. While a handle is pulled most of the way from measures to pattern stays as it was.
 *
 * @param work - a function of plain data (no functions, no class instances) whose answer nobody changes
 * @param keep - how many answers are kept; the one asked for longest ago goes first
 * @returns the function; what `work` throws is thrown again, and never kept
 */
export function remembered<Asked extends readonly unknown[], Answer>(
  work: (...asked: Asked) => Answer,
  keep = 4,
): (...asked: Asked) => Answer {
  const kept = new Map<string, Answer>();
  return (...asked) => {
    const key = JSON.stringify(asked, exactly);
    const answer = kept.has(key) ? (kept.get(key) as Answer) : work(...asked);
    kept.delete(key);
    kept.set(key, answer);
    const [oldest] = kept.keys();
    if (kept.size > keep && oldest !== undefined) kept.delete(oldest);
    return answer;
  };
}

/** JSON writes NaN, the infinities and null alike; here they differ. */
function exactly(_: string, value: unknown): unknown {
  return typeof value === "number" && !Number.isFinite(value) ? `${value}!` : value;
}
