import { bodySchema, type Body } from "@/core/body";
import { readJob, versionSchema, type Job, type Version } from "@/core/files";
import { complaintsOfSchema, type Complaint } from "@/core/units";
import { shelves, type Kept, type ShelfName } from "./shelf";

/** A job as it is kept. `revision` rises with every save, so that two tabs never overwrite. */
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

/** A job that was removed, until it is put back or the bin is emptied. */
export interface Binned {
  readonly id: string;
  readonly removed: string;
  readonly record: StoredJob;
}

/** A record that this Eland cannot read. It is left as it lies, can be handed over raw, and is never written over. */
export interface Unreadable {
  readonly shelf: ShelfName;
  readonly id: string;
  readonly name: string;
  readonly isNewer: boolean;
  readonly errors: readonly Complaint[];
  readonly raw: unknown;
}

/** What was read of a shelf: what can be worked with, and what cannot. */
export interface Shelf<T> {
  readonly records: readonly T[];
  readonly unreadable: readonly Unreadable[];
}

type Read<T> = { readonly ok: true; readonly record: T } | { readonly ok: false; readonly unreadable: Unreadable };

/** The form of records themselves, whatever is in them. */
const RECORD_VERSION = 1;

/** A record's name as far as it can be told, for the list of what cannot be read. */
function nameIn(value: unknown, keys: readonly string[]): string | null {
  let at: unknown = value;
  for (const key of keys) at = typeof at === "object" && at !== null ? (at as Record<string, unknown>)[key] : undefined;
  return typeof at === "string" && at.trim() !== "" ? at.slice(0, 80) : null;
}

function unreadable(
  shelf: ShelfName,
  raw: Kept,
  inside: string,
  isNewer: boolean,
  errors: readonly Complaint[],
): { readonly ok: false; readonly unreadable: Unreadable } {
  const name = nameIn(raw, [inside, "name"]) ?? String(raw.id);
  return { ok: false, unreadable: { shelf, id: String(raw.id), name, isNewer, errors, raw } };
}

/** A record of a later form than this program's, whatever it holds. */
const isLater = (raw: Kept): boolean => {
  const { version } = raw as { readonly version?: unknown };
  return typeof version === "number" && version > RECORD_VERSION;
};

const EMPTY: readonly Complaint[] = [{ path: "", says: ["This record holds nothing."] }];
const LATER: readonly Complaint[] = [{ path: "", says: ["A newer Eland kept this record."] }];

function readStoredJob(raw: Kept): Read<StoredJob> {
  if (isLater(raw)) return unreadable("jobs", raw, "job", true, LATER);
  const { job, revision, updated } = raw as Partial<StoredJob>;
  const read = readJob(job);
  if (read.kind !== "job") return unreadable("jobs", raw, "job", read.kind === "newer", read.errors);
  return {
    ok: true,
    record: {
      id: raw.id,
      version: RECORD_VERSION,
      revision: typeof revision === "number" ? revision : 0,
      updated: typeof updated === "string" ? updated : "",
      job: read.job,
    },
  };
}

function readStoredCard(raw: Kept): Read<StoredCard> {
  if (isLater(raw)) return unreadable("cards", raw, "card", true, LATER);
  const card = bodySchema.safeParse((raw as Partial<StoredCard>).card);
  if (!card.success) return unreadable("cards", raw, "card", false, complaintsOfSchema(card.error));
  return { ok: true, record: { id: raw.id, version: RECORD_VERSION, card: card.data } };
}

function readStoredStyle(raw: Kept): Read<StoredStyle> {
  if (isLater(raw)) return unreadable("styles", raw, "style", true, LATER);
  const style = versionSchema.safeParse((raw as Partial<StoredStyle>).style);
  if (!style.success) return unreadable("styles", raw, "style", false, complaintsOfSchema(style.error));
  return { ok: true, record: { id: raw.id, version: RECORD_VERSION, style: style.data } };
}

async function readShelf<T>(
  shelf: ShelfName,
  read: (raw: Kept) => Read<T>,
  order: (a: T, b: T) => number,
): Promise<Shelf<T>> {
  const all = (await (await shelves()).all(shelf)).map(read);
  return {
    records: all.flatMap((r) => (r.ok ? [r.record] : [])).sort(order),
    unreadable: all.flatMap((r) => (r.ok ? [] : [r.unreadable])),
  };
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
  readShelf("jobs", readStoredJob, (a, b) => b.updated.localeCompare(a.updated) || a.id.localeCompare(b.id));

/** One job, or why it cannot be read; undefined when there is none. */
export async function findJob(id: string): Promise<StoredJob | Unreadable | undefined> {
  const raw = await (await shelves()).get("jobs", id);
  if (!raw) return undefined;
  const read = readStoredJob(raw);
  return read.ok ? read.record : read.unreadable;
}

/** True for a record that cannot be read. */
export const isUnreadable = (found: StoredJob | Unreadable): found is Unreadable => "raw" in found;

/**
 * Writes a job over the revision it was read at (0 for a new one) and returns the new record. Throws SavedElsewhere
 * when a newer revision is kept, HeldUnreadable when what is kept cannot be read; the comparison and the write are one
 * transaction.
 */
export async function writeJob(id: string, job: Job, readAt: number): Promise<StoredJob> {
  return (await shelves()).replace("jobs", id, (held): StoredJob => {
    const read = held && readStoredJob(held);
    if (read && !read.ok) throw new HeldUnreadable(read.unreadable);
    if (read && read.record.revision !== readAt) throw new SavedElsewhere(read.record);
    return { id, version: RECORD_VERSION, revision: readAt + 1, updated: new Date().toISOString(), job };
  });
}

function readBinned(raw: Kept): Read<Binned> {
  const { removed, record } = raw as Partial<Binned>;
  const read = isLater(raw) || !record ? null : readStoredJob(record);
  if (!read) return unreadable("bin", raw, "record", isLater(raw), isLater(raw) ? LATER : EMPTY);
  if (!read.ok) return { ok: false, unreadable: { ...read.unreadable, shelf: "bin", id: raw.id, raw } };
  return { ok: true, record: { id: raw.id, removed: typeof removed === "string" ? removed : "", record: read.record } };
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
export const listBin = (): Promise<Shelf<Binned>> =>
  readShelf("bin", readBinned, (a, b) => b.removed.localeCompare(a.removed));

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
  readShelf(
    "cards",
    readStoredCard,
    (a, b) => (a.card.taken ?? "").localeCompare(b.card.taken ?? "") || a.id.localeCompare(b.id),
  );

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
  readShelf("styles", readStoredStyle, (a, b) => a.style.name.localeCompare(b.style.name));

/** Keeps a style of someone's own. */
export async function keepStyle(style: Version): Promise<void> {
  const record: StoredStyle = { id: style.id, version: RECORD_VERSION, style };
  await (await shelves()).put("styles", [record]);
}

/** Removes a style of someone's own. */
export async function removeStyle(id: string): Promise<void> {
  await (await shelves()).remove("styles", id);
}
