import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from "fflate";
import { sha256 } from "@noble/hashes/sha2.js";
import { bytesToHex } from "@noble/hashes/utils.js";
import { SHELVES, type Kept, type ShelfName } from "./shelfNames";

/** A whole workroom as it is kept: every record of every shelf, exactly as it lies there. */
export type WorkroomRecords = Readonly<Record<ShelfName, readonly Kept[]>>;

export const WORKROOM_FORMAT = "eland-workroom";
/** Since the second, the file holds a digest of each of its parts and of the whole. */
const WORKROOM_VERSION = 2;
const PROVED_SINCE = 2;
const MANIFEST = "workroom.json";

/** No file is read that is larger, or that says it unpacks to more, or holds more entries. */
const MOST_BYTES = 250_000_000;
const MOST_UNPACKED = 500_000_000;
const MOST_ENTRIES = 40_000;
/** A record without its photo is never longer. */
const MOST_RECORD = 20_000_000;

/** A record that carries bytes of its own: a photo. They lie beside it in the file, as they are. */
interface WithBytes extends Kept {
  readonly bytes: Uint8Array;
}
const hasBytes = (record: Kept): record is WithBytes => (record as Partial<WithBytes>).bytes instanceof Uint8Array;

/** What a part of the file holds, as the digest of its bytes (SHA-256, hexadecimal), by the part's name. */
type Digests = Readonly<Record<string, string>>;

const digestOf = (bytes: Uint8Array): string => bytesToHex(sha256(bytes));

/** The digest of the whole: of the digests of its parts in the order of their names, and of what its manifest says besides. */
const wholeDigest = (parts: Digests, rest: unknown): string =>
  digestOf(
    strToU8(
      `${JSON.stringify(rest)}\n${Object.keys(parts)
        .sort()
        .map((name) => `${parts[name] ?? ""} ${name}`)
        .join("\n")}`,
    ),
  );

/**
 * The workroom as one zip: a folder for each shelf, one JSON file a record, photos beside theirs. Its manifest holds the
 * digest of every part and of the whole, so that a file that was changed on its way is told.
 */
export function writeWorkroomFile(records: WorkroomRecords, made: string): Uint8Array {
  const counts = Object.fromEntries(SHELVES.map((shelf) => [shelf, records[shelf].length]));
  const files: Record<string, Uint8Array> = {};
  for (const shelf of SHELVES)
    records[shelf].forEach((record, i) => {
      const name = `${shelf}/${String(i + 1).padStart(5, "0")}`;
      if (!hasBytes(record)) {
        files[`${name}.json`] = strToU8(JSON.stringify(record));
        return;
      }
      const { bytes, ...rest } = record;
      files[`${name}.json`] = strToU8(JSON.stringify(rest));
      files[`${name}.bin`] = bytes;
    });
  const parts: Digests = Object.fromEntries(Object.entries(files).map(([name, bytes]) => [name, digestOf(bytes)]));
  const rest = { format: WORKROOM_FORMAT, version: WORKROOM_VERSION, made, counts };
  const manifest = { ...rest, parts, whole: wholeDigest(parts, rest) };
  const zipped: Zippable = { [MANIFEST]: strToU8(`${JSON.stringify(manifest, null, 2)}\n`) };
  for (const [name, bytes] of Object.entries(files))
    zipped[name] = name.endsWith(".bin") ? [bytes, { level: 0 }] : bytes;
  return zipSync(zipped, { level: 6, mtime: new Date(made) });
}

export type WorkroomRead =
  /** Whole and unchanged by its digests; or of an older form, which has none. */
  | { readonly kind: "workroom"; readonly records: WorkroomRecords; readonly proof: "whole" | "older" }
  /** Parts of it were changed or lost; `records` is what is still as it was handed over. */
  | { readonly kind: "damaged"; readonly damaged: readonly string[]; readonly records: WorkroomRecords }
  | { readonly kind: "refused"; readonly message: string };

const refused = (message: string): WorkroomRead => ({ kind: "refused", message });

const ENTRY = new RegExp(`^(${SHELVES.join("|")})/(\\d{1,6})\\.(json|bin)$`);

/** A file of which a part cannot be unpacked is unpacked part by part where it has no more of them. */
const MOST_BY_PART = 4000;

/** The parts of a zip, and the names of those that cannot be unpacked; a sentence where it is no zip, or holds too much. */
function unpacked(
  bytes: Uint8Array,
): { readonly files: Readonly<Record<string, Uint8Array>>; readonly lost: readonly string[] } | string {
  let [size, tooMuch] = [0, false];
  const names: string[] = [];
  const wanted = ({ name, originalSize }: { readonly name: string; readonly originalSize: number }): boolean => {
    if (name !== MANIFEST && !ENTRY.test(name)) return false;
    size += originalSize;
    names.push(name);
    tooMuch ||= size > MOST_UNPACKED || names.length > MOST_ENTRIES;
    tooMuch ||= name.endsWith("json") && originalSize > MOST_RECORD;
    return !tooMuch;
  };
  const TOO_MUCH = "The file unpacks to more than a workroom holds. Nothing was taken from it.";
  try {
    const files = unzipSync(bytes, { filter: wanted });
    return tooMuch ? TOO_MUCH : { files, lost: [] };
  } catch {
    // One part that cannot be unpacked does not take the others with it.
  }
  const [files, lost, told] = [{} as Record<string, Uint8Array>, [] as string[], [] as string[]];
  const CUT = "The file is damaged or cut short: it cannot be unpacked. Nothing was taken from it.";
  try {
    unzipSync(bytes, {
      filter: (part) => {
        if (wanted(part)) told.push(part.name);
        return false;
      },
    });
  } catch {
    return CUT;
  }
  if (tooMuch) return TOO_MUCH;
  if (told.length > MOST_BY_PART) return CUT;
  for (const name of new Set(told))
    try {
      Object.assign(files, unzipSync(bytes, { filter: (part) => part.name === name }));
    } catch {
      lost.push(name);
    }
  return { files, lost };
}

interface Manifest {
  readonly format?: unknown;
  readonly version?: unknown;
  readonly made?: unknown;
  readonly counts?: Partial<Record<string, unknown>>;
  readonly parts?: unknown;
  readonly whole?: unknown;
}

const LIST = "its list of contents";

/** The parts that are not as they were handed over: changed, lost, or never listed; null where there is nothing to tell by. */
function changedParts(files: Readonly<Record<string, Uint8Array>>, manifest: Manifest): readonly string[] | null {
  const { parts, whole, format, version, made, counts } = manifest;
  if (Number(version) < PROVED_SINCE) return null;
  if (typeof parts !== "object" || parts === null) return [LIST];
  const listed = parts as Digests;
  const own = Object.keys(files).filter((name) => name !== MANIFEST);
  const changed = own.filter((name) => listed[name] !== digestOf(files[name] as Uint8Array));
  const missing = Object.keys(listed).filter((name) => !Object.hasOwn(files, name));
  const isListed = wholeDigest(listed, { format, version, made, counts }) === whole;
  return [...(isListed ? [] : [LIST]), ...changed, ...missing];
}

/**
 * Reads a workroom's file. What was changed on its way is told, with what is still as it was; what is no workroom, or
 * cannot be unpacked at all, is refused with a sentence. What its records hold is checked by who keeps them.
 */
export function readWorkroomFile(bytes: Uint8Array): WorkroomRead {
  if (bytes.length > MOST_BYTES) return refused("The file is over 250 MB; no workroom of Eland’s is that large.");
  const parts = unpacked(bytes);
  if (typeof parts === "string") return refused(parts);
  const { files, lost } = parts;
  const manifest = (files[MANIFEST] && parsed(files[MANIFEST])) as Manifest | null | undefined;
  if (manifest?.format !== WORKROOM_FORMAT || typeof manifest.version !== "number")
    return refused(
      "This is not a workroom of Eland’s, or its first page is damaged. Hand a workroom over from its start page, and choose that file.",
    );
  if (manifest.version > WORKROOM_VERSION)
    return refused("This workroom was handed over by a newer Eland. Open it with that one.");
  const changed = changedParts(files, manifest);
  const damaged = new Set([...lost, ...(changed ?? [])]);
  const records = Object.fromEntries(SHELVES.map((shelf) => [shelf, [] as Kept[]])) as Record<ShelfName, Kept[]>;
  for (const [name, content] of Object.entries(files).sort(([a], [b]) => (a < b ? -1 : 1))) {
    const entry = ENTRY.exec(name);
    if (!entry || entry[3] === "bin" || damaged.has(name)) continue;
    const [, shelf, n] = entry as unknown as readonly [string, ShelfName, string];
    const record = parsed(content);
    const photo = `${shelf}/${n}.bin`;
    // A record is whole with its photo; two of one name are one too many.
    if (!isRecord(record) || damaged.has(photo) || records[shelf].some((other) => other.id === record.id)) {
      damaged.add(name);
      continue;
    }
    const own = files[photo];
    records[shelf].push(own ? ({ ...record, bytes: own } as Kept) : record);
  }
  const { counts } = manifest;
  for (const shelf of SHELVES)
    if (damaged.size === 0 && typeof counts?.[shelf] === "number" && counts[shelf] !== records[shelf].length)
      damaged.add(shelf);
  if (damaged.size > 0) return { kind: "damaged", damaged: [...damaged], records };
  return { kind: "workroom", records, proof: changed === null ? "older" : "whole" };
}

const isRecord = (value: unknown): value is Kept =>
  typeof value === "object" && value !== null && typeof (value as Partial<Kept>).id === "string";

function parsed(content: Uint8Array): unknown {
  try {
    // A key that would reach an object's prototype is no field of any record.
    return JSON.parse(strFromU8(content), (key, value: unknown) => (key === "__proto__" ? undefined : value));
  } catch {
    return null;
  }
}
