import { phrase } from "@/core/words";
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from "fflate";
import { SHELVES, type Kept, type ShelfName } from "./shelfNames";

/** A whole workroom as it is kept: every record of every shelf, exactly as it lies there. */
export type WorkroomRecords = Readonly<Record<ShelfName, readonly Kept[]>>;

export const WORKROOM_FORMAT = "eland-workroom";
const WORKROOM_VERSION = 1;
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

/** The workroom as one zip: a folder for each shelf, one JSON file a record, photos beside theirs. */
export function writeWorkroomFile(records: WorkroomRecords, made: string): Uint8Array {
  const counts = Object.fromEntries(SHELVES.map((shelf) => [shelf, records[shelf].length]));
  const files: Zippable = {
    [MANIFEST]: strToU8(
      `${JSON.stringify({ format: WORKROOM_FORMAT, version: WORKROOM_VERSION, made, counts }, null, 2)}\n`,
    ),
  };
  for (const shelf of SHELVES)
    records[shelf].forEach((record, i) => {
      const name = `${shelf}/${String(i + 1).padStart(5, "0")}`;
      if (!hasBytes(record)) {
        files[`${name}.json`] = strToU8(JSON.stringify(record));
        return;
      }
      const { bytes, ...rest } = record;
      files[`${name}.json`] = strToU8(JSON.stringify(rest));
      files[`${name}.bin`] = [bytes, { level: 0 }];
    });
  return zipSync(files, { level: 6, mtime: new Date(made) });
}

export type WorkroomRead =
  | { readonly kind: "workroom"; readonly records: WorkroomRecords }
  | { readonly kind: "refused"; readonly message: string };

const refused = (message: string): WorkroomRead => ({ kind: "refused", message });

const ENTRY = new RegExp(`^(${SHELVES.join("|")})/(\\d{1,6})\\.(json|bin)$`);

/** Reads a workroom's file whole, or refuses it whole with a sentence. What its records hold is checked by who keeps them. */
export function readWorkroomFile(bytes: Uint8Array): WorkroomRead {
  if (bytes.length > MOST_BYTES) return refused("The file is over 250 MB; no workroom of Eland’s is that large.");
  let unpacked = 0;
  let entries = 0;
  let tooMuch = false;
  let files: Record<string, Uint8Array>;
  try {
    files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (name !== MANIFEST && !ENTRY.test(name)) return false;
        unpacked += originalSize;
        entries++;
        tooMuch ||= unpacked > MOST_UNPACKED || entries > MOST_ENTRIES;
        tooMuch ||= name.endsWith("json") && originalSize > MOST_RECORD;
        return !tooMuch;
      },
    });
  } catch {
    return refused("The file is damaged or cut short: it cannot be unpacked. Nothing was taken from it.");
  }
  if (tooMuch) return refused("The file unpacks to more than a workroom holds. Nothing was taken from it.");
  const manifest = files[MANIFEST] && parsed(files[MANIFEST]);
  const { format, version, counts } = (manifest ?? {}) as {
    readonly format?: unknown;
    readonly version?: unknown;
    readonly counts?: Partial<Record<string, unknown>>;
  };
  if (format !== WORKROOM_FORMAT || typeof version !== "number")
    return refused(
      "This is not a workroom of Eland’s. Hand a workroom over from its start page, and choose that file.",
    );
  if (version > WORKROOM_VERSION)
    return refused("This workroom was handed over by a newer Eland. Open it with that one.");
  const records = Object.fromEntries(SHELVES.map((shelf) => [shelf, [] as Kept[]])) as Record<ShelfName, Kept[]>;
  for (const [name, content] of Object.entries(files).sort(([a], [b]) => (a < b ? -1 : 1))) {
    const entry = ENTRY.exec(name);
    if (!entry || entry[3] === "bin") continue;
    const [, shelf, n] = entry as unknown as readonly [string, ShelfName, string];
    const record = parsed(content);
    if (!isRecord(record))
      return refused(phrase`A record of the file cannot be read: ${name}. Nothing was taken from it.`);
    const own = files[`${shelf}/${n}.bin`];
    records[shelf].push(own ? ({ ...record, bytes: own } as Kept) : record);
  }
  const short = SHELVES.find((shelf) => typeof counts?.[shelf] === "number" && counts[shelf] !== records[shelf].length);
  if (short)
    return refused("Records are missing from the file: it was cut short or changed. Nothing was taken from it.");
  return { kind: "workroom", records };
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
