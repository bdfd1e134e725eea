import type { Body } from "@/core/body";
import type { Job, Version } from "@/core/files";
import type { Complaint } from "@/core/units";
import type { ShelfName } from "./shelf";

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

/** The form of records themselves, whatever is in them. */
export const RECORD_VERSION = 1;
