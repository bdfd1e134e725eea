import { bodySchema } from "@/core/body";
import { readJob, versionSchema } from "@/core/files";
import { complaintsOfSchema, type Complaint, say } from "@/core/units";
import {
  RECORD_VERSION,
  type Binned,
  type Shelf,
  type StoredCard,
  type StoredJob,
  type StoredStyle,
  type Unreadable,
} from "./records";
import type { Kept, ShelfName } from "./shelf";

type Read<T> = { readonly ok: true; readonly record: T } | { readonly ok: false; readonly unreadable: Unreadable };

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

const EMPTY: readonly Complaint[] = [{ path: "", says: say`This record holds nothing.` }];
const LATER: readonly Complaint[] = [{ path: "", says: say`A newer Eland kept this record.` }];

export function readStoredJob(raw: Kept): Read<StoredJob> {
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

function readBinned(raw: Kept): Read<Binned> {
  const { removed, record } = raw as Partial<Binned>;
  const read = isLater(raw) || !record ? null : readStoredJob(record);
  if (!read) return unreadable("bin", raw, "record", isLater(raw), isLater(raw) ? LATER : EMPTY);
  if (!read.ok) return { ok: false, unreadable: { ...read.unreadable, shelf: "bin", id: raw.id, raw } };
  return { ok: true, record: { id: raw.id, removed: typeof removed === "string" ? removed : "", record: read.record } };
}

/** What lies on the shelves that are listed, by shelf. */
export interface Listed {
  readonly jobs: StoredJob;
  readonly cards: StoredCard;
  readonly styles: StoredStyle;
  readonly bin: Binned;
}

const READERS: { readonly [S in keyof Listed]: (raw: Kept) => Read<Listed[S]> } = {
  jobs: readStoredJob,
  cards: readStoredCard,
  styles: readStoredStyle,
  bin: readBinned,
};

/** Reads what lies on a shelf: what can be worked with, in the order given, and what cannot. */
export function readRecords<S extends keyof Listed>(shelf: S, raws: readonly Kept[]): Shelf<Listed[S]> {
  const all = raws.map((raw) => READERS[shelf](raw));
  return {
    records: all.flatMap((r) => (r.ok ? [r.record] : [])),
    unreadable: all.flatMap((r) => (r.ok ? [] : [r.unreadable])),
  };
}
