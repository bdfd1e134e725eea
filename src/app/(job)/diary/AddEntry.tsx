"use client";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { ENTRY_KINDS, type EntryKind } from "@/core/diary";
import { Choice } from "@/ui/Choice";
import { KINDS } from "./kinds";

interface Props {
  readonly today: string;
  readonly onAdd: (written: { readonly kind: EntryKind; readonly date: string; readonly words: string }) => void;
}

/** A new page: what it is about, which day, and words. */
export function AddEntry({ today, onAdd }: Props) {
  const [open, setOpen] = useState(false);
  const [kind, setKind] = useState<EntryKind>("fitting");
  const [date, setDate] = useState(today);
  const [words, setWords] = useState("");
  if (!open)
    return (
      <Button variant="outlined" onClick={() => setOpen(true)}>
        Add to the diary
      </Button>
    );
  return (
    <form
      aria-label="New page"
      style={{ display: "grid", gap: 8, borderTop: "1px solid var(--rule)", paddingTop: 8 }}
      onSubmit={(event) => {
        event.preventDefault();
        onAdd({ kind, date, words: words.trim() });
        setWords("");
        setOpen(false);
      }}
    >
      <Choice
        label="What happened"
        value={kind}
        options={ENTRY_KINDS.map((k) => [k, KINDS[k].label] as const)}
        onChange={setKind}
      />
      <TextField
        type="date"
        value={date}
        required
        onChange={(event) => setDate(event.target.value)}
        slotProps={{ htmlInput: { "aria-label": "Day", max: "2100-01-01", min: "1990-01-01" } }}
      />
      <TextField
        multiline
        minRows={2}
        maxRows={6}
        value={words}
        placeholder={KINDS[kind].ask}
        onChange={(event) => setWords(event.target.value)}
        slotProps={{ htmlInput: { "aria-label": "Words", maxLength: 4000 } }}
      />
      <div style={{ display: "flex", gap: 8 }}>
        <Button type="submit" variant="contained" disabled={date === ""}>
          Write it down
        </Button>
        <Button onClick={() => setOpen(false)}>Leave it</Button>
      </div>
    </form>
  );
}
