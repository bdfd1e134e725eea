import { openDB, type IDBPDatabase } from "idb";
import { create } from "zustand";
import { keepAsTyped } from "@/core/words";
import { SHELVES, type Kept, type ShelfName } from "./shelfNames";

export * from "./shelfNames";

/** A record of another shelf that is made of the one that is held; null where there is none to keep. */
export interface Beside {
  readonly shelf: ShelfName;
  readonly of: (held: Kept | undefined) => Kept | null;
}

/** Where records are kept. */
export interface Shelves {
  all(shelf: ShelfName): Promise<readonly Kept[]>;
  get(shelf: ShelfName, id: string): Promise<Kept | undefined>;
  /** Keeps records, all of them or none. */
  put(shelf: ShelfName, records: readonly Kept[]): Promise<void>;
  /** Keeps records of several shelves, all of them or none. */
  putAll(records: readonly { readonly shelf: ShelfName; readonly record: Kept }[]): Promise<void>;
  remove(shelf: ShelfName, id: string): Promise<void>;
  /**
   * Keeps what `next` makes of the record that is held, and what is kept `beside` it on another shelf, in one transaction;
   * what `next` throws is thrown, and nothing kept.
   */
  replace<T extends Kept>(
    shelf: ShelfName,
    id: string,
    next: (held: Kept | undefined) => T,
    beside?: Beside,
  ): Promise<T>;
}

/** How the browser's store stands, and why nothing is kept where it does not. */
export interface StoreState {
  /** False while everything lies in this tab alone and is gone with it. */
  readonly kept: boolean;
  readonly notice: string | null;
}

export const useStoreState = create<StoreState>()(() => ({ kept: true, notice: null }));

const DATABASE = "eland";
/** Each version only adds shelves. */
const DATABASE_VERSION = 7;
/** A browser that has not opened its store by now will not. */
const OPENS_WITHIN_MS = 4_000;

const HELD_BY_ANOTHER =
  "Another tab holds Eland’s store open in an older form. Close that tab; until then nothing is kept here.";
const CLOSED_FOR_NEWER =
  "A newer Eland was opened in another tab, so this one no longer keeps anything. Load this page again.";
const REFUSED =
  "This browser keeps nothing here, so your work lies in this tab alone. Hand it over as a file before you leave.";

async function openBrowserStore(): Promise<IDBPDatabase> {
  return openDB(DATABASE, DATABASE_VERSION, {
    upgrade(db) {
      for (const shelf of SHELVES)
        if (!db.objectStoreNames.contains(shelf)) db.createObjectStore(shelf, { keyPath: "id" });
    },
    // Told while it lasts: once this tab has its store, what the other tab did is over.
    blocked: () => useStoreState.setState({ notice: HELD_BY_ANOTHER }),
    blocking(_now, _then, event) {
      (event.target as IDBDatabase).close();
      opening = null;
      useStoreState.setState({ kept: false, notice: CLOSED_FOR_NEWER });
    },
    terminated() {
      opening = null;
    },
  });
}

function browserShelves(db: IDBPDatabase): Shelves {
  const writing = (shelf: ShelfName) => db.transaction(shelf, "readwrite", { durability: "strict" });
  return {
    async all(shelf) {
      const records = (await db.getAll(shelf)) as readonly Kept[];
      keepAsTyped(records);
      return records;
    },
    async get(shelf, id) {
      const record = (await db.get(shelf, id)) as Kept | undefined;
      keepAsTyped(record);
      return record;
    },
    async put(shelf, records) {
      const tx = writing(shelf);
      await Promise.all([...records.map((record) => tx.store.put(record)), tx.done]);
    },
    async putAll(records) {
      const tx = db.transaction(SHELVES, "readwrite", { durability: "strict" });
      await Promise.all([...records.map(({ shelf, record }) => tx.objectStore(shelf).put(record)), tx.done]);
    },
    remove: (shelf, id) => db.delete(shelf, id),
    async replace(shelf, id, next, beside) {
      const tx = db.transaction(beside ? [shelf, beside.shelf] : [shelf], "readwrite", { durability: "strict" });
      const store = tx.objectStore(shelf);
      const held = (await store.get(id)) as Kept | undefined;
      try {
        const record = next(held);
        await store.put(record);
        const also = beside?.of(held);
        if (beside && also) await tx.objectStore(beside.shelf).put(also);
        await tx.done;
        return record;
      } catch (error) {
        await tx.done.catch(() => undefined);
        throw error;
      }
    },
  };
}

/** Shelves in this tab alone, where the browser keeps nothing. */
export function tabShelves(): Shelves {
  const shelves = Object.fromEntries(SHELVES.map((s) => [s, new Map<string, Kept>()])) as Record<
    ShelfName,
    Map<string, Kept>
  >;
  const put = (shelf: ShelfName, record: Kept): void => void shelves[shelf].set(record.id, structuredClone(record));
  return {
    all: async (shelf) => [...shelves[shelf].values()],
    get: async (shelf, id) => shelves[shelf].get(id),
    put: async (shelf, records) => records.forEach((record) => put(shelf, record)),
    putAll: async (records) => records.forEach(({ shelf, record }) => put(shelf, record)),
    remove: async (shelf, id) => void shelves[shelf].delete(id),
    async replace(shelf, id, next, beside) {
      const held = shelves[shelf].get(id);
      const record = next(held);
      put(shelf, record);
      const also = beside?.of(held);
      if (beside && also) put(beside.shelf, also);
      return record;
    },
  };
}

let opening: Promise<Shelves> | null = null;

/** The browser's store; where it cannot be opened, this tab alone, and that is said. */
export function shelves(): Promise<Shelves> {
  opening ??= openShelves();
  return opening;
}

async function openShelves(): Promise<Shelves> {
  const late = new Promise<never>((_, reject) => setTimeout(() => reject(new Error("late")), OPENS_WITHIN_MS));
  const opened = openBrowserStore();
  try {
    const db = await Promise.race([opened, late]);
    useStoreState.setState({ kept: true, notice: null });
    return browserShelves(db);
  } catch {
    useStoreState.setState({ kept: false, notice: useStoreState.getState().notice ?? REFUSED });
    const inTab = tabShelves();
    // The other tab may let go of the store yet: what was done here meanwhile is kept there, and its notice goes.
    void opened.then((db) => moveInto(browserShelves(db), inTab)).catch(() => undefined);
    return inTab;
  }
}

/** Goes on in the browser's store with what lay in this tab; a record that is kept there already stays. */
async function moveInto(kept: Shelves, inTab: Shelves): Promise<void> {
  const records = await Promise.all(
    SHELVES.map(async (shelf) => {
      const held = new Set((await kept.all(shelf)).map((record) => record.id));
      return (await inTab.all(shelf)).filter(({ id }) => !held.has(id)).map((record) => ({ shelf, record }));
    }),
  );
  await kept.putAll(records.flat());
  opening = Promise.resolve(kept);
  useStoreState.setState({ kept: true, notice: null });
}
