"use client";
import { useState, type KeyboardEvent } from "react";
import { useCountedTyping } from "@/store/typing";

interface Options {
  /** The text as it stands. */
  readonly text: string;
  /** What there is against what was typed, as a sentence; null where it can be taken. */
  readonly refusal: (typed: string) => string | null;
  readonly onCommit: (typed: string) => void;
  /** Steps from what is shown by one division (with shift, a large one) up or down; false where there is nothing to step. */
  readonly onStep: (shown: string, direction: 1 | -1, large: boolean) => boolean;
}

/**
 * Typing in a field: Enter or leaving it commits, Esc takes it back, the arrows step. What cannot be taken stays in the
 * field with what there is against it, and nothing is changed; until it is entered it counts as unsaved.
 */
export function useTyped({ text, refusal, onCommit, onStep }: Options) {
  const [typed, setTyped] = useState<string | null>(null);
  useCountedTyping(typed !== null && typed.trim() !== text);
  const problem = typed === null ? null : refusal(typed);

  function commit(): void {
    if (typed === null || problem !== null) return;
    if (typed.trim() !== text) onCommit(typed.trim());
    setTyped(null);
  }

  function onKeyDown(event: KeyboardEvent): void {
    if (event.key === "Enter") commit();
    if (event.key === "Escape") {
      event.stopPropagation();
      setTyped(null);
    }
    if (event.key !== "ArrowUp" && event.key !== "ArrowDown") return;
    if (!onStep(typed ?? text, event.key === "ArrowUp" ? 1 : -1, event.shiftKey)) return;
    event.preventDefault();
    setTyped(null);
  }

  return { shown: typed ?? text, problem, setTyped, commit, onKeyDown };
}
