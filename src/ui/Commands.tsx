"use client";
import Dialog from "@mui/material/Dialog";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import FormControlLabel from "@mui/material/FormControlLabel";
import Switch from "@mui/material/Switch";
import TextField from "@mui/material/TextField";
import { useRouter } from "next/navigation";
import { memo, useEffect, useEffectEvent, useState } from "react";
import { tinykeys } from "tinykeys";
import { tell } from "@/core/units";
import { redo, undo } from "@/store/jobStore";
import { setView, useView } from "@/store/viewStore";
import { useOpenJob } from "./JobContext";
import { STAGES, stageHref } from "./stages";
import { FIT_EVENT } from "./table/Table";

interface Command {
  readonly keys: string;
  readonly text: string;
  readonly run: () => void;
}

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
    "w",
    "?",
    "$mod+z",
    "$mod+Shift+Z",
    "$mod+k",
  ].map((keys) => [keys, keys] as const),
  ["Shift+?", "?"],
];

const shownKeys = (keys: string): string =>
  keys.replace("$mod", "Ctrl").toUpperCase().replace("CTRL", "Ctrl").replace("SHIFT", "Shift");

/** Keys, the command search, and the list of keys. */
export const Commands = memo(function Commands({ onHandOver }: { readonly onHandOver: () => void }) {
  const commands = useCommands(onHandOver);
  const { commandsOpen, helpOpen, singleKeys } = useView();
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
      <Dialog open={helpOpen} onClose={() => setView({ helpOpen: false })} aria-labelledby="keys-title">
        <DialogTitle id="keys-title">Keys</DialogTitle>
        <DialogContent>
          <table style={{ borderSpacing: "0 4px" }}>
            <tbody>
              {commands.map((c) => (
                <tr key={c.keys}>
                  <th scope="row" style={{ textAlign: "left", paddingRight: 24, fontWeight: 650 }}>
                    {shownKeys(c.keys)}
                  </th>
                  <td>{c.text}</td>
                </tr>
              ))}
              <tr>
                <th scope="row" style={{ textAlign: "left", paddingRight: 24 }}>
                  Arrows
                </th>
                <td>Nudge the chosen number or handle one division of the tape; with Shift an inch or a centimetre</td>
              </tr>
            </tbody>
          </table>
          <FormControlLabel
            control={<Switch checked={singleKeys} onChange={(_, on) => setView({ singleKeys: on })} />}
            label="Single keys act"
          />
        </DialogContent>
      </Dialog>
    </>
  );
});

/** Cards and steps are found by name once so much of it is typed; no more are shown than so many. */
const NAMED_FROM = 2;
const MOST_FOUND = 24;

/** The chalk cards and the steps of the making by their names, worked out when the search is opened. */
function useMakingCommands(): readonly Command[] {
  const { id, job, shape, proof } = useOpenJob();
  const tape = useView((v) => v.tape);
  const router = useRouter();
  const joined = job.cloth?.joined;
  const [found, setFound] = useState<readonly Command[]>([]);
  useEffect(() => {
    let wanted = true;
    if (shape && proof)
      void import("@/core/making").then(({ cardsOf, makingOrder, USUAL_SCHOOLS }) => {
        const derived = { ...shape, ...proof };
        const firsts = new Map(
          cardsOf(derived, "paper", tape)
            .toReversed()
            .map((c) => [c.panel, c] as const),
        );
        const to = (query: string) => () => router.push(`${stageHref("make", id)}&${query}`);
        const cards = [...firsts.values()].toReversed().map((c) => ({
          keys: "",
          text: `Card: ${c.name}`,
          run: to(`part=cards&card=${c.n}`),
        }));
        const steps = makingOrder(derived, { ...USUAL_SCHOOLS, ...job.making }, joined).map((step) => ({
          keys: "",
          text: `Step ${step.n}: ${tell(step.says, tape)}`,
          run: to(`part=order&step=${step.n}`),
        }));
        if (wanted) setFound([...cards, ...steps]);
      });
    return () => {
      wanted = false;
    };
  }, [id, job.making, joined, shape, proof, router, tape]);
  return found;
}

function CommandSearch({ commands }: { readonly commands: readonly Command[] }) {
  const [typed, setTyped] = useState("");
  const [chosen, setChosen] = useState(0);
  const making = useMakingCommands();
  const words = typed.toLowerCase().trim();
  const all = words.length < NAMED_FROM ? commands : [...commands, ...making];
  const found = all.filter((c) => c.text.toLowerCase().includes(words)).slice(0, MOST_FOUND);
  const close = (): void => setView({ commandsOpen: false });
  const go = (command: Command | undefined): void => {
    if (!command) return;
    close();
    command.run();
  };
  return (
    <Dialog open onClose={close} aria-label="Find a command" fullWidth maxWidth="xs">
      <DialogContent>
        <TextField
          autoFocus
          fullWidth
          placeholder="Find a command"
          slotProps={{
            htmlInput: {
              "aria-label": "Find a command",
              role: "combobox",
              "aria-expanded": true,
              "aria-controls": "commands",
            },
          }}
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value);
            setChosen(0);
          }}
          onKeyDown={(event) => {
            if (event.key === "ArrowDown") setChosen((i) => Math.min(found.length - 1, i + 1));
            if (event.key === "ArrowUp") setChosen((i) => Math.max(0, i - 1));
            if (event.key === "Enter") go(found[chosen]);
          }}
        />
        <ul
          id="commands"
          role="listbox"
          aria-label="Commands"
          style={{ listStyle: "none", margin: "8px 0 0", padding: 0 }}
        >
          {found.map((c, i) => (
            <li
              key={`${c.keys}-${c.text}`}
              role="option"
              aria-selected={i === chosen}
              onClick={() => go(c)}
              style={{
                display: "flex",
                justifyContent: "space-between",
                padding: "6px 8px",
                cursor: "pointer",
                background: i === chosen ? "var(--chalk-wash)" : undefined,
              }}
            >
              <span>{c.text}</span>
              <span style={{ color: "var(--quiet)" }}>{shownKeys(c.keys)}</span>
            </li>
          ))}
        </ul>
      </DialogContent>
    </Dialog>
  );
}
