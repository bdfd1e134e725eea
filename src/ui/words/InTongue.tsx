"use client";
import { useEffect, useState, type ReactNode } from "react";
import { TONGUES, type TongueTag } from "./tongues";

/** Shows what is in it once the words of its tongue are there; in English where they cannot be fetched. */
export function InTongue({ tag, children }: { readonly tag: TongueTag; readonly children: ReactNode }) {
  const { load } = TONGUES[tag];
  const [isThere, setThere] = useState(load === null);
  useEffect(() => {
    if (load === null) return;
    Promise.all([load(), import("@/locale/speak")])
      .then(([words, { speakFrom }]) => speakFrom(words))
      .catch((error: unknown) => console.error("The words of this tongue could not be fetched.", error))
      .finally(() => setThere(true));
  }, [load]);
  return isThere ? children : null;
}
