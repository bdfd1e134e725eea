/** True where somebody stated a value, and did not leave it to Eland. */
export const isStated = <T>(value: T): value is Exclude<T, "auto" | undefined> =>
  value !== undefined && value !== "auto";
