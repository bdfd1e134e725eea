import { create } from "zustand";
import type { Tape } from "@/core/units";

/** What a person is looking at; kept in this tab only, never part of the job. */
interface ViewState {
  tape: Tape;
  showFront: boolean;
  showBack: boolean;
  ghost: boolean;
  singleKeys: boolean;
  /** The place a reading, check or advice points at. */
  lit: { panel: string; point: readonly [number, number] } | null;
  /** A handle being pulled: the parameter it sets, not yet part of the job. */
  pull: { moveIndex: number; param: string; clears: readonly string[]; value: number } | null;
  /** A kept version laid over the pattern. */
  over: string | null;
  helpOpen: boolean;
  commandsOpen: boolean;
}

export const useView = create<ViewState>()(() => ({
  tape: "cm",
  showFront: true,
  showBack: true,
  ghost: true,
  singleKeys: true,
  lit: null,
  pull: null,
  over: null,
  helpOpen: false,
  commandsOpen: false,
}));

/** Changes the view. */
export const setView = useView.setState;
