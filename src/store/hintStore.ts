import { create } from "zustand";
import { persist } from "zustand/middleware";

/** Hints for those who are new: whether they are wanted, and which stages were tried. */
interface HintState {
  wanted: boolean;
  done: readonly string[];
}

export const useHints = create<HintState>()(
  persist((): HintState => ({ wanted: false, done: [] }), { name: "eland-hints", version: 1 }),
);

/** Hints from the start, each shown until what it says was done once. */
export function wantHints(): void {
  useHints.setState({ wanted: true, done: [] });
}

export function leaveHints(): void {
  useHints.setState({ wanted: false });
}

/** A stage was tried: its hint has done its work. */
export function hintDone(stage: string): void {
  useHints.setState(({ done }) => (done.includes(stage) ? {} : { done: [...done, stage] }));
}
