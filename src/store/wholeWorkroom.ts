import { shelves, SHELVES, type Kept, type ShelfName } from "./shelf";
import type { WorkroomRecords } from "./workroomFile";

/** Everything that is kept in this browser, exactly as it lies. */
export async function wholeWorkroom(): Promise<WorkroomRecords> {
  const kept = await shelves();
  const all = await Promise.all(SHELVES.map(async (shelf) => [shelf, await kept.all(shelf)] as const));
  return Object.fromEntries(all) as Record<ShelfName, readonly Kept[]>;
}

/** Keeps what a file brought, all of it or nothing. */
export async function keepAll(records: readonly { readonly shelf: ShelfName; readonly record: Kept }[]): Promise<void> {
  await (await shelves()).putAll(records);
}
