import { openDB, type DBSchema, type IDBPDatabase } from "idb";
import { bodySchema, type Body } from "@/core/body";
import { parseJob, versionSchema, type Job, type Version } from "@/core/files";

/** A job as it lies in the browser's store. `revision` rises with every save, so that two tabs never overwrite. */
export interface StoredJob {
  readonly id: string;
  readonly version: 1;
  readonly revision: number;
  readonly updated: string;
  readonly job: Job;
}

/** A wearer's card kept by its date, so that what changed can be seen. */
export interface StoredCard {
  readonly id: string;
  readonly version: 1;
  readonly card: Body;
}

/** A style someone made here: what a version keeps, under a name, for any wearer. */
export interface StoredStyle {
  readonly id: string;
  readonly version: 1;
  readonly style: Version;
}

interface Schema extends DBSchema {
  jobs: { key: string; value: StoredJob };
  cards: { key: string; value: StoredCard };
  styles: { key: string; value: StoredStyle };
}

let opening: Promise<IDBPDatabase<Schema>> | null = null;

function database(): Promise<IDBPDatabase<Schema>> {
  opening ??= openDB<Schema>("eland", 3, {
    upgrade(db, from) {
      if (from < 1) db.createObjectStore("jobs", { keyPath: "id" });
      if (from < 2) db.createObjectStore("cards", { keyPath: "id" });
      if (from < 3) db.createObjectStore("styles", { keyPath: "id" });
    },
    terminated() {
      opening = null;
    },
  });
  return opening;
}

/** Someone else saved this job since it was read: nothing was written. */
export class SavedElsewhere extends Error {
  constructor(readonly theirs: StoredJob) {
    super("This job was changed in another tab.");
    this.name = "SavedElsewhere";
  }
}

/** All jobs, newest first. Records that cannot be read any more are left in place and not returned. */
export async function listJobs(): Promise<StoredJob[]> {
  const all = await (await database()).getAll("jobs");
  return all
    .filter((record) => parseJob(record.job).ok)
    .sort((a, b) => b.updated.localeCompare(a.updated) || a.id.localeCompare(b.id));
}

/** One job; undefined when there is none. */
export async function readJob(id: string): Promise<StoredJob | undefined> {
  return (await database()).get("jobs", id);
}

/**
 * Writes a job over the revision it was read at (0 for a new one) and returns the new record. Throws SavedElsewhere
 * when the store holds a newer revision; the comparison and the write are one transaction.
 */
export async function writeJob(id: string, job: Job, readAt: number): Promise<StoredJob> {
  const tx = (await database()).transaction("jobs", "readwrite", { durability: "strict" });
  const held = await tx.store.get(id);
  if (held && held.revision !== readAt) {
    await tx.done;
    throw new SavedElsewhere(held);
  }
  const record: StoredJob = { id, version: 1, revision: readAt + 1, updated: new Date().toISOString(), job };
  await tx.store.put(record);
  await tx.done;
  return record;
}

/** Removes a job. */
export async function removeJob(id: string): Promise<void> {
  await (await database()).delete("jobs", id);
}

/** A card is kept once a wearer and day; a second card of the same day takes the place of the first. */
export const cardId = (card: Body): string => `${card.name.trim().toLowerCase()}|${card.taken ?? ""}`;

/** All kept cards, oldest first. Records that cannot be read any more are left in place and not returned. */
export async function listCards(): Promise<StoredCard[]> {
  const all = await (await database()).getAll("cards");
  return all
    .filter((record) => bodySchema.safeParse(record.card).success)
    .sort((a, b) => (a.card.taken ?? "").localeCompare(b.card.taken ?? "") || a.id.localeCompare(b.id));
}

/** Keeps cards, all of them or none. */
export async function keepCards(cards: readonly Body[]): Promise<void> {
  const tx = (await database()).transaction("cards", "readwrite", { durability: "strict" });
  await Promise.all([...cards.map((card) => tx.store.put({ id: cardId(card), version: 1, card })), tx.done]);
}

/** Removes a kept card. */
export async function removeCard(id: string): Promise<void> {
  await (await database()).delete("cards", id);
}

/** All styles someone made here, by name. Records that cannot be read any more are left in place and not returned. */
export async function listStyles(): Promise<StoredStyle[]> {
  const all = await (await database()).getAll("styles");
  return all
    .filter((record) => versionSchema.safeParse(record.style).success)
    .sort((a, b) => a.style.name.localeCompare(b.style.name));
}

/** Keeps a style of someone's own. */
export async function keepStyle(style: Version): Promise<void> {
  await (await database()).put("styles", { id: style.id, version: 1, style });
}

/** Removes a style of someone's own. */
export async function removeStyle(id: string): Promise<void> {
  await (await database()).delete("styles", id);
}
