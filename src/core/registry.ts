/**
 * Things by their id, in the order given. The record has no prototype, so that a word from a file such as
 * `constructor` finds nothing in it.
 */
export function registry<T extends { readonly id: string }>(things: readonly T[]): Readonly<Record<string, T>> {
  const byId = Object.create(null) as Record<string, T>;
  for (const thing of things) byId[thing.id] = thing;
  return byId;
}
