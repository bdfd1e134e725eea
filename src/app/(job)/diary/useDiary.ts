"use client";
import { phrase } from "@/core/words";
import { nanoid } from "nanoid";
import { useSnackbar } from "notistack";
import { useCallback, useEffect, useState } from "react";
import type { Entry } from "@/core/diary";
import { keepEntry, keepPhoto, listEntries, removeEntry, removePhoto, type KeptEntry } from "@/store/diaryStore";
import { NoPhoto, scaledPhoto } from "./scaledPhoto";

const NOT_KEPT = "The browser’s store is full or blocked, so this was not kept. Make room, and try again.";
const MOST_PHOTOS = 40;

/** The diary of a job: its pages, kept as they are written; null until they are read. */
export function useDiary(job: string) {
  const [pages, setPages] = useState<readonly KeptEntry[] | null>(null);
  const [unreadable, setUnreadable] = useState(0);
  const [busy, setBusy] = useState(false);
  const { enqueueSnackbar } = useSnackbar();
  const reload = useCallback(async () => {
    const read = await listEntries(job);
    setPages(read.entries);
    setUnreadable(read.unreadable);
  }, [job]);
  useEffect(() => {
    let wanted = true;
    listEntries(job).then(
      (read) => {
        if (!wanted) return;
        setPages(read.entries);
        setUnreadable(read.unreadable);
      },
      () => wanted && setPages([]),
    );
    return () => {
      wanted = false;
    };
  }, [job]);

  /** Does something to the store and shows what lies there then; what the store refuses is said. */
  async function done<T>(work: () => Promise<T>): Promise<T | null> {
    try {
      const result = await work();
      await reload();
      return result;
    } catch (error) {
      enqueueSnackbar(error instanceof NoPhoto ? error.message : NOT_KEPT, { variant: "error" });
      return null;
    }
  }

  const add = (entry: Entry): Promise<KeptEntry | null> => done(() => keepEntry(nanoid(10), job, entry));
  const change = (page: KeptEntry, more: Partial<Entry>): Promise<KeptEntry | null> =>
    done(() => keepEntry(page.id, job, { ...page.entry, ...more }));
  const remove = (page: KeptEntry): Promise<unknown> => done(() => removeEntry(page));

  /** Adds photos to a page, one after the other; one that is no picture is said, and the others are kept. */
  async function addPhotos(page: KeptEntry, files: readonly File[]): Promise<void> {
    const room = MOST_PHOTOS - page.entry.photos.length;
    if (files.length > room)
      enqueueSnackbar(phrase`A page keeps ${MOST_PHOTOS} photos; ${files.length - room} were left out.`, {
        variant: "warning",
      });
    setBusy(true);
    let now: KeptEntry = page;
    for (const file of files.slice(0, Math.max(0, room))) {
      const kept = await done(async () => {
        const photo = { id: nanoid(10), job, ...(await scaledPhoto(file)) };
        await keepPhoto(photo);
        return keepEntry(now.id, job, { ...now.entry, photos: [...now.entry.photos, photo.id] });
      });
      if (kept) now = kept;
    }
    setBusy(false);
  }

  const dropPhoto = (page: KeptEntry, photo: string): Promise<unknown> =>
    done(async () => {
      await keepEntry(page.id, job, { ...page.entry, photos: page.entry.photos.filter((p) => p !== photo) });
      await removePhoto(photo);
    });

  return { pages, unreadable, busy, add, change, remove, addPhotos, dropPhoto };
}
