/** A small seeded generator of numbers in [0, 1) (mulberry32), so that what it chose can be chosen again. */
export function seededRandom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A list in an order by chance; numbers in [0, 1) from `random`. */
export function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const all = [...list];
  for (let i = all.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [all[i], all[j]] = [all[j] as T, all[i] as T];
  }
  return all;
}
