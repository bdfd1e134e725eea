"use client";
import { inSentence, phrase } from "@/core/words";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useState } from "react";
import type { ShelfName } from "@/store/shelfNames";
import { questionsOf, type Choice, type Differing } from "@/store/workroomMerge";
import type { Arriving } from "./useFiles";

const WORDS: Readonly<Record<ShelfName, string>> = {
  jobs: "Job",
  cards: "Card",
  styles: "Style",
  bin: "Removed job",
  diary: "Diary",
  photos: "Photo",
  cloths: "Cloth",
  lays: "Lay",
  making: "Making",
  days: "day",
  practice: "Practice",
};

/** What a record is called, as far as it says. */
function nameOf(record: unknown): string {
  const { job, card, style, cloth, id } = record as Partial<Record<string, { readonly name?: string } | string>>;
  for (const inside of [job, card, style, cloth]) if (typeof inside === "object" && inside.name) return inside.name;
  return typeof id === "string" ? id : "";
}

const day = (record: unknown): string => {
  const { updated, revision } = record as { readonly updated?: string; readonly revision?: number };
  return updated ? phrase`saved ${updated.slice(0, 16).replace("T", " ")}, ${revision ?? 0} times` : "";
};

interface Props {
  readonly arriving: Arriving;
  readonly onKeep: (choose: (key: string) => Choice) => void;
  readonly onLeave: () => void;
}

/** Where a workroom's file and what is kept here differ: both side by side, and what is done with each. */
export function ArrivingDialog({ arriving, onKeep, onLeave }: Props) {
  const questions = questionsOf(arriving.merge);
  const [chosen, setChosen] = useState<Readonly<Record<string, Choice>>>({});
  const choiceOf = (key: string): Choice => chosen[key] ?? "here";
  const { merge, damaged, isProved } = arriving;
  const { fresh, same } = merge;
  const isDamaged = damaged.length > 0;
  return (
    <Dialog open onClose={onLeave} maxWidth="md" fullWidth aria-labelledby="arriving-title">
      <DialogTitle id="arriving-title">{arriving.name}</DialogTitle>
      <DialogContent>
        {isDamaged ? <Damage parts={damaged} /> : null}
        {!isDamaged && isProved ? <p style={{ marginTop: 0 }}>The file is whole and unchanged.</p> : null}
        <p style={{ marginTop: 0 }}>
          {fresh} new, {same} here already and the same. {questions.length}{" "}
          {questions.length === 1 ? "differs" : "differ"} from what is here: choose for each. Until you do, nothing is
          kept.
        </p>
        {questions.map(({ key, of }) => (
          <Question
            key={key}
            id={key}
            of={of}
            choice={choiceOf(key)}
            onChoose={(c) => setChosen({ ...chosen, [key]: c })}
          />
        ))}
      </DialogContent>
      <DialogActions>
        <Button variant={isDamaged ? "contained" : "text"} onClick={onLeave}>
          Leave it all
        </Button>
        <Button variant={isDamaged ? "outlined" : "contained"} onClick={() => onKeep(choiceOf)}>
          {isDamaged ? "Take in the rest" : "Take it in"}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

/** Parts told by name before the rest are only counted. */
const MOST_TOLD = 8;

/** What of the file is not as it was handed over. */
function Damage({ parts }: { readonly parts: readonly string[] }) {
  const more = parts.length - MOST_TOLD;
  return (
    <div role="alert" style={{ borderLeft: "3px solid var(--fault)", padding: "2px 0 2px 12px", marginBottom: 12 }}>
      <p style={{ margin: 0 }}>
        <b>The file was changed on its way.</b> {parts.length} {parts.length === 1 ? "part is" : "parts are"} damaged
        and will be left out. Hand the workroom over once more if you can; the rest can be taken in.
      </p>
      <ul style={{ margin: "4px 0 0", paddingLeft: 18 }}>
        {parts.slice(0, MOST_TOLD).map((part) => (
          <li key={part}>{part}</li>
        ))}
        {more > 0 ? <li>{phrase`and ${more} more`}</li> : null}
      </ul>
    </div>
  );
}

interface QuestionProps {
  readonly id: string;
  readonly of: readonly Differing[];
  readonly choice: Choice;
  readonly onChoose: (choice: Choice) => void;
}

function Question({ id, of, choice, onChoose }: QuestionProps) {
  const main = of.find((d) => d.shelf === "jobs") ?? (of[0] as Differing);
  const isOfJob = of.some((d) => d.shelf === "jobs");
  const others = of.filter((d) => d !== main).map((d) => inSentence(WORDS[d.shelf]));
  const options: readonly (readonly [Choice, string, string])[] = [
    ["here", "Keep what is here", day(main.here)],
    ["theirs", "Take the file’s", day(main.theirs)],
    ...(isOfJob ? [["both", "Keep both", "the file’s as a job of its own"] as const] : []),
  ];
  return (
    <fieldset style={{ border: 0, borderTop: "1px solid var(--rule)", margin: 0, padding: "10px 0" }}>
      <legend style={{ float: "left", width: "100%", fontWeight: 700, padding: 0 }}>
        {WORDS[main.shelf]}: {nameOf(main.theirs)}
        {others.length > 0 ? (
          <span style={{ color: "var(--quiet)", fontWeight: 450 }}> with its {[...new Set(others)].join(", ")}</span>
        ) : null}
      </legend>
      <div style={{ clear: "both", display: "flex", gap: 24, flexWrap: "wrap", paddingTop: 4 }}>
        {options.map(([value, word, note]) => (
          <label key={value} style={{ display: "flex", gap: 8, alignItems: "baseline", minHeight: 32 }}>
            <input type="radio" name={id} checked={choice === value} onChange={() => onChoose(value)} />
            <span>
              {word} <span style={{ color: "var(--quiet)" }}>{note}</span>
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
