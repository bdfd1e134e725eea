"use client";
import { phrase } from "@/core/words";
import Dialog from "@mui/material/Dialog";
import DialogContent from "@mui/material/DialogContent";
import TextField from "@mui/material/TextField";
import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { tell, textOf } from "@/core/units";
import { setView, useView } from "@/store/viewStore";
import { shownKeys, type Command } from "./command";
import { useOpenJob } from "./JobContext";
import { stageHref } from "./stages";
import { cardsFor } from "@/workers/client";

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
      void Promise.all([import("@/core/making"), cardsFor(job, "paper", tape)]).then(
        ([making, drawn]) => {
          const { makingOrder, USUAL_SCHOOLS } = making;
          const derived = { ...shape, ...proof };
          const firsts = new Map(drawn.toReversed().map((c) => [c.panel, c] as const));
          const to = (query: string) => () => router.push(`${stageHref("make", id)}&${query}`);
          const cards = [...firsts.values()].toReversed().map((c) => ({
            keys: "",
            text: `Card: ${textOf(c.name)}`,
            run: to(`part=cards&card=${c.n}`),
          }));
          const steps = makingOrder(derived, { ...USUAL_SCHOOLS, ...job.making }, joined).map((step) => ({
            keys: "",
            text: phrase`Step ${step.n}: ${tell(step.says, tape)}`,
            run: to(`part=order&step=${step.n}`),
          }));
          if (wanted) setFound([...cards, ...steps]);
          // Without them the commands of the frame are still found; the stage itself says what failed.
        },
        () => undefined,
      );
    return () => {
      wanted = false;
    };
  }, [id, job, joined, shape, proof, router, tape]);
  return found;
}

/** The command search. */
export function CommandSearch({ commands }: { readonly commands: readonly Command[] }) {
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
