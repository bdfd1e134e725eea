"use client";
import { useEffect, useState } from "react";

/** What was read from the store, once it is there; null until then, and where the store refuses. `read` stays the same. */
export function useRead<T>(read: () => Promise<T>): T | null {
  const [held, setHeld] = useState<{ readonly of: () => Promise<T>; readonly value: T } | null>(null);
  useEffect(() => {
    let wanted = true;
    read().then(
      (value) => wanted && setHeld({ of: read, value }),
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [read]);
  return held?.of === read ? held.value : null;
}
