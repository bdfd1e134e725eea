import { entrySchema, type Entry } from "@/core/diary";
import { RECORD_VERSION } from "./records";
import { shelves } from "./shelf";

/** A page of the diary as it is kept, beside its job. */
export interface KeptEntry {
  readonly id: string;
  readonly version: 1;
  readonly job: string;
  readonly entry: Entry;
}

/** A photo as it is kept: scaled, without anything that was written into it but the picture. */
export interface KeptPhoto {
  readonly id: string;
  readonly version: 1;
  readonly job: string;
  readonly type: string;
  readonly width: number;
  readonly height: number;
  readonly bytes: Uint8Array;
}

/** The diary of a job, oldest first, and how many pages of it cannot be read here; those are left as they lie. */
export async function listEntries(
  job: string,
): Promise<{ readonly entries: readonly KeptEntry[]; readonly unreadable: number }> {
  const raws = (await (await shelves()).all("diary")) as readonly Partial<KeptEntry>[];
  const own = raws.filter((raw) => raw.job === job);
  const entries = own.flatMap((raw): KeptEntry[] => {
    const read = entrySchema.safeParse(raw.entry);
    return read.success && raw.version === RECORD_VERSION ? [{ ...(raw as KeptEntry), entry: read.data }] : [];
  });
  return {
    entries: entries.sort((a, b) => a.entry.date.localeCompare(b.entry.date) || a.id.localeCompare(b.id)),
    unreadable: own.length - entries.length,
  };
}

/** Keeps a page, new or changed. */
export async function keepEntry(id: string, job: string, entry: Entry): Promise<KeptEntry> {
  const kept: KeptEntry = { id, version: RECORD_VERSION, job, entry };
  await (await shelves()).put("diary", [kept]);
  return kept;
}

/** Takes a page out, with its photos. */
export async function removeEntry({ id, entry }: KeptEntry): Promise<void> {
  const kept = await shelves();
  await kept.remove("diary", id);
  for (const photo of entry.photos) await kept.remove("photos", photo);
}

export async function keepPhoto(photo: Omit<KeptPhoto, "version">): Promise<void> {
  await (await shelves()).put("photos", [{ ...photo, version: RECORD_VERSION } as KeptPhoto]);
}

export async function findPhoto(id: string): Promise<KeptPhoto | null> {
  const raw = (await (await shelves()).get("photos", id)) as Partial<KeptPhoto> | undefined;
  return raw?.bytes instanceof Uint8Array && typeof raw.type === "string" ? (raw as KeptPhoto) : null;
}

export const removePhoto = async (id: string): Promise<void> => (await shelves()).remove("photos", id);
