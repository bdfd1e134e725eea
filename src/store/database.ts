import type { Body } from "@/core/body";
import type { Job, Version } from "@/core/files";
import type { Listed } from "./reading";
import {
  RECORD_VERSION,
  type Binned,
  type Shelf,
  type StoredCard,
  type StoredJob,
  type StoredStyle,
  type Unreadable,
} from "./records";
import { shelves, type Kept } from "./shelf";

export * from "./records";

async function readShelf<S extends keyof Listed>(
  shelf: S,
  order: (a: Listed[S], b: Listed[S]) => number,
): Promise<Shelf<Listed[S]>> {
  const { readRecords } = await import("./reading");
  const { records, unreadable } = readRecords(shelf, await (await shelves()).all(shelf));
  return { records: [...records].sort(order), unreadable };
}

/** Someone else saved this job since it was read: nothing was written. */
export class SavedElsewhere extends Error {
  constructor(readonly theirs: StoredJob) {
    super("This job was changed in another tab.");
    this.name = "SavedElsewhere";
  }
}

/** What lies there cannot be read by this Eland, and so is not written over. */
export class HeldUnreadable extends Error {
  constructor(readonly held: Unreadable) {
    super("What is kept here was saved by another Eland, and is not written over.");
    this.name = "HeldUnreadable";
  }
}

/** All jobs, newest first, and the records that cannot be read. */
export const listJobs = (): Promise<Shelf<StoredJob>> =>
  readShelf("jobs", (a, b) => b.updated.localeCompare(a.updated) || a.id.localeCompare(b.id));

/** One job, or why it cannot be read; undefined when there is none. */
export async function findJob(id: string): Promise<StoredJob | Unreadable | undefined> {
  const raw = await (await shelves()).get("jobs", id);
  if (!raw) return undefined;
  const { readRecords } = await import("./reading");
  const { records, unreadable } = readRecords("jobs", [raw]);
  return records[0] ?? unreadable[0];
}

/** True for a record that cannot be read. */
export const isUnreadable = (found: StoredJob | Unreadable): found is Unreadable => "raw" in found;

/**
 * Writes a job over the revision it was read at (0 for a new one) and returns the new record. Throws SavedElsewhere
 * when a newer revision is kept, HeldUnreadable when what is kept cannot be read; the comparison and the write are one
 * transaction. With the first change of a day the job is kept as the last day left it, too.
 */
export async function writeJob(id: string, job: Job, readAt: number): Promise<StoredJob> {
  const [{ readStoredJob }, { lastDayOf }] = await Promise.all([import("./reading"), import("./dayStore")]);
  const updated = new Date().toISOString();
  const next = (held: Kept | undefined): StoredJob => {
    const read = held && readStoredJob(held);
    if (read && !read.ok) throw new HeldUnreadable(read.unreadable);
    if (read && read.record.revision !== readAt) throw new SavedElsewhere(read.record);
    return { id, version: RECORD_VERSION, revision: readAt + 1, updated, job };
  };
  return (await shelves()).replace("jobs", id, next, lastDayOf(id, updated));
}

/** Removes a job: it lies in the bin, beside whatever was removed before, until it is put back or the bin is emptied. */
export async function removeJob(record: StoredJob): Promise<Binned> {
  const kept = await shelves();
  const removed = new Date().toISOString();
  const binned: Binned = { id: `${record.id}|${removed}`, removed, record };
  await kept.put("bin", [binned]);
  await kept.remove("jobs", record.id);
  return binned;
}

/** What lies in the bin, last removed first, and what of it cannot be read. */
export const listBin = (): Promise<Shelf<Binned>> => readShelf("bin", (a, b) => b.removed.localeCompare(a.removed));

/** Puts a removed job back as it was; beside the one that has taken its place since, if one has. */
export async function putBack({ id, record }: Binned): Promise<void> {
  const isTaken = (await findJob(record.id)) !== undefined;
  await writeJob(isTaken ? id : record.id, record.job, 0);
  await (await shelves()).remove("bin", id);
}

/** Throws away what was shown of the bin; what could not be read stays. */
export async function throwAway(bin: readonly Binned[]): Promise<void> {
  const kept = await shelves();
  for (const { id } of bin) await kept.remove("bin", id);
}

/** A card is kept once a wearer and day; a second card of the same day takes the place of the first. */
export const cardId = (card: Body): string => `${card.name.trim().toLowerCase()}|${card.taken ?? ""}`;

/** All kept cards, oldest first, and the records that cannot be read. */
export const listCards = (): Promise<Shelf<StoredCard>> =>
  readShelf("cards", (a, b) => (a.card.taken ?? "").localeCompare(b.card.taken ?? "") || a.id.localeCompare(b.id));

/** Keeps cards, all of them or none. Throws HeldUnreadable where one would lie over a card that cannot be read. */
export async function keepCards(cards: readonly Body[]): Promise<void> {
  const records = cards.map((card): StoredCard => ({ id: cardId(card), version: RECORD_VERSION, card }));
  const held = (await listCards()).unreadable.find((u) => records.some((r) => r.id === u.id));
  if (held) throw new HeldUnreadable(held);
  await (await shelves()).put("cards", records);
}

/** Removes a kept card. */
export async function removeCard(id: string): Promise<void> {
  await (await shelves()).remove("cards", id);
}

/** All styles someone made here, by name, and the records that cannot be read. */
export const listStyles = (): Promise<Shelf<StoredStyle>> =>
  readShelf("styles", (a, b) => a.style.name.localeCompare(b.style.name));

/** Keeps a style of someone's own. */
export async function keepStyle(style: Version): Promise<void> {
  const record: StoredStyle = { id: style.id, version: RECORD_VERSION, style };
  await (await shelves()).put("styles", [record]);
}

/** Removes a style of someone's own. */
export async function removeStyle(id: string): Promise<void> {
  await (await shelves()).remove("styles", id);
}
