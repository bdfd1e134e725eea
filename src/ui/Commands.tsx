"use client";
import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { memo, useEffect, useEffectEvent } from "react";
import { tinykeys } from "tinykeys";
import { redo, undo } from "@/store/jobStore";
import { setView, useView } from "@/store/viewStore";
import type { Command } from "./command";
import { useOpenJob } from "./JobContext";
import { STAGES, stageHref } from "./stages";
import { FIT_EVENT } from "./table/fitEvent";

/** Fetched when first opened. */
const CommandSearch = dynamic(() => import("./CommandSearch").then((m) => m.CommandSearch), { ssr: false });
const TermsDialog = dynamic(() => import("./help/TermsDialog").then((m) => m.TermsDialog), { ssr: false });
const KeyList = dynamic(() => import("./KeyList").then((m) => m.KeyList), { ssr: false });

/** All commands of the frame, shared by the keys, the search and the list of keys. */
function useCommands(onHandOver: () => void): readonly Command[] {
  const { id } = useOpenJob();
  const router = useRouter();
  const flip = (name: "showFront" | "showBack" | "ghost"): void => setView((v) => ({ [name]: !v[name] }));
  const pick = (tool: "roll" | "tape"): void => {
    setView((v) => ({ tool: v.tool === tool ? "none" : tool }));
    router.push(stageHref("pieces", id));
  };
  return [
    ...STAGES.map(({ n, id: stage, label }) => ({
      keys: String(n),
      text: `Go to ${label}`,
      run: () => router.push(stageHref(stage, id)),
    })),
    { keys: "f", text: "Front on or off", run: () => flip("showFront") },
    { keys: "b", text: "Back on or off", run: () => flip("showBack") },
    { keys: "g", text: "Ghost of the block on or off", run: () => flip("ghost") },
    { keys: "r", text: "Roll the seams, on Pieces", run: () => pick("roll") },
    { keys: "t", text: "Lay the tape, on Pieces", run: () => pick("tape") },
    { keys: "0", text: "Fit the pattern to the table", run: () => window.dispatchEvent(new Event(FIT_EVENT)) },
    { keys: "u", text: "Inches or centimetres", run: () => setView((v) => ({ tape: v.tape === "in" ? "cm" : "in" })) },
    { keys: "$mod+z", text: "Undo", run: undo },
    { keys: "$mod+Shift+Z", text: "Redo", run: redo },
    { keys: "h", text: "Hand over", run: onHandOver },
    { keys: "$mod+k", text: "Find a command", run: () => setView({ commandsOpen: true }) },
    { keys: "?", text: "The list of keys", run: () => setView({ helpOpen: true }) },
    { keys: "q", text: "What the words mean", run: () => setView({ termsOpen: true }) },
    { keys: "w", text: "Back to the workroom", run: () => router.push("/") },
  ];
}

/** What is pressed, and the command it stands for; layouts differ on whether "?" needs Shift. */
const BINDINGS: readonly (readonly [string, string])[] = [
  ...[
    ...STAGES.map(({ n }) => String(n)),
    "f",
    "b",
    "g",
    "r",
    "t",
    "0",
    "u",
    "h",
    "q",
    "w",
    "?",
    "$mod+z",
    "$mod+Shift+Z",
    "$mod+k",
  ].map((keys) => [keys, keys] as const),
  ["Shift+?", "?"],
];

/** Keys, the command search, and the list of keys. */
export const Commands = memo(function Commands({ onHandOver }: { readonly onHandOver: () => void }) {
  const commands = useCommands(onHandOver);
  const { commandsOpen, helpOpen, termsOpen, singleKeys } = useView();
  const run = useEffectEvent((keys: string, event: KeyboardEvent) => {
    const target = event.target as HTMLElement | null;
    const typing = Boolean(target?.closest("input, textarea, [contenteditable]"));
    const modified = keys.startsWith("$mod");
    // Typing goes to the field first; single keys act only otherwise, and can be turned off.
    if (typing && keys !== "$mod+k") return;
    if (!modified && (!singleKeys || document.querySelector('[role="dialog"]'))) return;
    event.preventDefault();
    commands.find((c) => c.keys === keys)?.run();
  });
  useEffect(
    () =>
      tinykeys(
        window,
        Object.fromEntries(BINDINGS.map(([binding, keys]) => [binding, (event: KeyboardEvent) => run(keys, event)])),
      ),
    [],
  );
  return (
    <>
      {commandsOpen ? <CommandSearch commands={commands} /> : null}
      {termsOpen ? <TermsDialog /> : null}
      {helpOpen ? <KeyList commands={commands} /> : null}
    </>
  );
});
