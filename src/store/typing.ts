import { useEffect } from "react";
import { create } from "zustand";

/** How many fields hold something that was typed and not entered yet: it is no part of the job, and counts as unsaved. */
export const useTyping = create<{ readonly fields: number }>()(() => ({ fields: 0 }));

const change = (by: 1 | -1): void => useTyping.setState(({ fields }) => ({ fields: fields + by }));

/** Counts a field as unsaved while it holds something that is not entered. */
export function useCountedTyping(isTyping: boolean): void {
  useEffect(() => {
    if (!isTyping) return;
    change(1);
    return () => change(-1);
  }, [isTyping]);
}
