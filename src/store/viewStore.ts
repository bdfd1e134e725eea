import { create } from "zustand";
import type { Tape } from "@/core/units";
import type { Pull } from "./pull";

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
  pull: Pull | null;
  /** A handle was just let go: its number is in the job, and the panes have yet to show it. */
  letGo: boolean;
  /** Knee and hem are pulled at one edge alone, not at both halves together. */
  oneSide: boolean;
  /** What the hand does on the pieces: nothing special, roll two edges, or lay the tape. */
  tool: "none" | "roll" | "tape";
  /** A kept version laid over the pattern. */
  over: string | null;
  /** The pattern is shown as it is after this line of the worksheet; null shows all of it. */
  afterLine: number | null;
  /** How often a chalk card was turned to. */
  turned: number;
  helpOpen: boolean;
  /** The trade's words are open. */
  termsOpen: boolean;
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
  letGo: false,
  oneSide: false,
  tool: "none",
  over: null,
  afterLine: null,
  turned: 0,
  helpOpen: false,
  termsOpen: false,
  commandsOpen: false,
}));

/** Changes the view. */
export const setView = useView.setState;
