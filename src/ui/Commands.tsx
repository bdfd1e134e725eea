"use client";
import { phrase } from "@/core/words";
import dynamic from "next/dynamic";
import { useRouter } from "next/navigation";
import { memo, useEffect, useEffectEvent } from "react";
import { tinykeys } from "tinykeys";
import { redo, undo } from "@/store/jobStore";
import { setView, useView } from "@/store/viewStore";
import { wantHints } from "@/store/hintStore";
import { KEYED, type Command } from "./command";
import { HOME_PAPERS } from "./homePapers";
import { guideFile, NO_GUIDE } from "./help/guideFile";
import { useOpenJob } from "./JobContext";
import { STAGES, stageHref } from "./stages";
import { FIT_EVENT } from "./table/fitEvent";
import { useSave } from "./useSave";

/** Fetched when first opened. */
const CommandSearch = dynamic(() => import("./CommandSearch").then((m) => m.CommandSearch), { ssr: false });
const TermsDialog = dynamic(() => import("./help/TermsDialog").then((m) => m.TermsDialog), { ssr: false });
const KeyList = dynamic(() => import("./KeyList").then((m) => m.KeyList), { ssr: false });

const keyed = (what: keyof typeof KEYED, run: () => void): Command => {
  const [keys, text] = KEYED[what];
  return { keys, text, run };
};

/** All commands of the frame, shared by the keys, the search and the list of keys. */
function useCommands(onHandOver: () => void): readonly Command[] {
  const { id } = useOpenJob();
  const router = useRouter();
  const save = useSave();
  const flip = (name: "showFront" | "showBack" | "ghost"): void => setView((v) => ({ [name]: !v[name] }));
  const pick = (tool: "roll" | "tape"): void => {
    setView((v) => ({ tool: v.tool === tool ? "none" : tool }));
    router.push(stageHref("pieces", id));
  };
  return [
    ...STAGES.map(({ n, id: stage, label }) => ({
      keys: String(n),
      text: phrase`Go to ${label}`,
      run: () => router.push(stageHref(stage, id)),
    })),
    keyed("front", () => flip("showFront")),
    keyed("back", () => flip("showBack")),
    keyed("ghost", () => flip("ghost")),
    keyed("roll", () => pick("roll")),
    keyed("tape", () => pick("tape")),
    keyed("fit", () => window.dispatchEvent(new Event(FIT_EVENT))),
    keyed("unit", () => setView((v) => ({ tape: v.tape === "in" ? "cm" : "in" }))),
    keyed("undo", undo),
    keyed("redo", redo),
    keyed("handOver", onHandOver),
    keyed("find", () => setView({ commandsOpen: true })),
    keyed("keys", () => setView({ helpOpen: true })),
    keyed("words", () => setView({ termsOpen: true })),
    keyed("workroom", () => router.push("/")),
    { keys: "", text: "Hints for the stages, from the start", run: wantHints },
    ...HOME_PAPERS.map(([paper, name]) => ({
      keys: "",
      text: phrase`Print the guide, ${name}`,
      run: () => void save(guideFile(paper), NO_GUIDE),
    })),
  ];
}

/** What is pressed, and the command it stands for; layouts differ on whether "?" needs Shift. */
const BINDINGS: readonly (readonly [string, string])[] = [
  ...[...STAGES.map(({ n }) => String(n)), ...Object.values(KEYED).map(([keys]) => keys)].map(
    (keys) => [keys, keys] as const,
  ),
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
