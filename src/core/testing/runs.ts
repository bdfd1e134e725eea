/** How often a property is tried: sixty times in the check, thousands with `RUNS=2000 npm test`. */
export const RUNS = Number(process.env.RUNS ?? "60");
