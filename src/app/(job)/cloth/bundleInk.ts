/** Grounds of the bundles on one cloth, told apart in both themes; the first is the job's own. */
const WASHES = [
  "transparent",
  "rgb(232 121 31 / 26%)",
  "rgb(47 111 143 / 28%)",
  "rgb(122 47 125 / 24%)",
  "rgb(93 140 40 / 30%)",
  "rgb(190 150 30 / 30%)",
  "rgb(20 120 120 / 28%)",
] as const;

/** The ground of a bundle by its number. */
export const bundleWash = (bundle: number): string =>
  bundle === 0 ? WASHES[0] : (WASHES[1 + ((bundle - 1) % (WASHES.length - 1))] as string);
