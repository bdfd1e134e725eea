"use client";
import { phrase } from "@/core/words";
import { nanoid } from "nanoid";
import { useSnackbar } from "notistack";
import { useState } from "react";
import type { WorkroomRecords } from "@/store/workroomFile";
import { isZip } from "@/store/zip";
import { keepAll, wholeWorkroom } from "@/store/wholeWorkroom";
import { mergeOf, questionsOf, writesOf, type Choice, type Merge } from "@/store/workroomMerge";
import { workroomRead, workroomWritten } from "@/workers/client";
import { download } from "../download";

const MOST_JOB_BYTES = 2_000_000;
const MOST_ROOM_BYTES = 250_000_000;
const NOT_KEPT = "The browser’s store is full or blocked, so nothing was kept. Make room, and try again.";

/** A workroom's file beside what is kept here, while its maker chooses what is done where both differ. */
export interface Arriving {
  readonly name: string;
  readonly kept: WorkroomRecords;
  readonly file: WorkroomRecords;
  readonly merge: Merge;
  /** Parts of the file that were changed or lost on its way; empty where it is whole. */
  readonly damaged: readonly string[];
  /** By its digests it is as it was handed over; an older file has none to tell by. */
  readonly isProved: boolean;
}

/** Opens one job from its text: its id, or why it cannot be opened. */
type OpenJob = (text: string) => Promise<{ readonly id: string } | { readonly message: string }>;

interface Doors {
  readonly openJob: OpenJob;
  /** A single job was opened. */
  readonly onJob: (id: string) => void;
  readonly reload: () => Promise<void>;
}

/** Files that come in and go out on the start page: jobs, several at once, and the whole workroom. */
export function useFiles({ openJob, onJob, reload }: Doors) {
  const { enqueueSnackbar } = useSnackbar();
  const [arriving, setArriving] = useState<Arriving | null>(null);
  const [busy, setBusy] = useState(false);
  const refuse = (name: string, message: string): void =>
    void enqueueSnackbar(phrase`${name} was not opened. ${message}`, { variant: "error", autoHideDuration: 12_000 });

  async function keep(
    { kept, file, merge, damaged, isProved }: Arriving,
    choose: (key: string) => Choice,
  ): Promise<void> {
    const writes = writesOf(kept, file, choose, () => nanoid(10));
    try {
      await keepAll(writes);
      setArriving(null);
      const how =
        damaged.length > 0
          ? phrase`The damaged parts were left out.`
          : isProved
            ? phrase`The file is whole and unchanged.`
            : phrase`The file is of an older form, which cannot prove that it is unchanged.`;
      enqueueSnackbar(
        phrase`${writes.length} ${writes.length === 1 ? "record" : "records"} came in; ${merge.same} were here already. ${how}`,
      );
      await reload();
    } catch {
      enqueueSnackbar(NOT_KEPT, { variant: "error" });
    }
  }

  async function takeRoom(name: string, bytes: Uint8Array): Promise<void> {
    const read = await workroomRead(bytes);
    if (read.kind === "refused") return refuse(name, read.message);
    const kept = await wholeWorkroom();
    const merge = mergeOf(kept, read.records);
    const damaged = read.kind === "damaged" ? read.damaged : [];
    const isProved = read.kind === "workroom" && read.proof === "whole";
    const room: Arriving = { name, kept, file: read.records, merge, damaged, isProved };
    if (damaged.length > 0 || questionsOf(merge).length > 0) setArriving(room);
    else await keep(room, () => "theirs");
  }

  /** Takes one file; the id of a job that was opened by it. */
  async function takeFile(file: File): Promise<string | null> {
    const start = new Uint8Array(await file.slice(0, 4).arrayBuffer());
    if (isZip(start)) {
      if (file.size > MOST_ROOM_BYTES)
        refuse(file.name, "The file is over 250 MB; no workroom of Eland’s is that large.");
      else await takeRoom(file.name, new Uint8Array(await file.arrayBuffer()));
      return null;
    }
    if (file.size > MOST_JOB_BYTES) {
      refuse(file.name, "The file is over 2 MB; a job is far smaller.");
      return null;
    }
    const result = await openJob(await file.text());
    if ("id" in result) return result.id;
    refuse(file.name, result.message);
    return null;
  }

  async function takeFiles(files: readonly File[]): Promise<void> {
    const opened: string[] = [];
    setBusy(true);
    for (const file of files)
      try {
        const id = await takeFile(file);
        if (id) opened.push(id);
      } catch {
        refuse(file.name, NOT_KEPT);
      }
    setBusy(false);
    const [only] = opened;
    if (opened.length === 1 && only) onJob(only);
    else if (opened.length > 1) enqueueSnackbar(phrase`${opened.length} jobs were opened.`);
  }

  async function handOver(): Promise<void> {
    setBusy(true);
    try {
      const made = new Date().toISOString();
      const bytes = await workroomWritten(await wholeWorkroom(), made);
      download({ name: `workroom-${made.slice(0, 10)}.eland.zip`, type: "application/zip", bytes });
    } catch {
      enqueueSnackbar(phrase`The browser’s store does not answer, so nothing was handed over. Load this page again.`, {
        variant: "error",
      });
    }
    setBusy(false);
  }

  return { arriving, busy, takeFiles, handOver, keep, leave: () => setArriving(null) };
}
