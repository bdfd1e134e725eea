"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import TextField from "@mui/material/TextField";
import { useMemo, useState, type ReactNode } from "react";
import { isEmptyCard, PLAIN_CARD } from "@/core/body";
import { jobInStyle, newJob } from "@/core/derive/newJob";
import { jobWithStyle } from "@/core/derive/versions";
import type { Job } from "@/core/files";
import { STYLES } from "@/core/styles";
import type { StoredStyle } from "@/store/database";
import { MiniOutline } from "../MiniOutline";
import { useMiniatures } from "../useMiniatures";

/** What a new job starts from, where that is settled already. */
export interface NewJobStart {
  readonly wearer?: string;
  readonly own?: StoredStyle;
}

const STYLE_LIST = Object.values(STYLES);

const UNITS = [
  ["cm", "A new card, centimetres"],
  ["in", "A new card, inches"],
] as const;

/** A new job in three looks: who wears it, which style, which cloth. */
export function NewJobDialog(props: {
  readonly cards: readonly Job["body"][];
  readonly start: NewJobStart;
  readonly onClose: () => void;
  readonly onMake: (job: Job) => void;
}) {
  const { own } = props.start;
  const [wearer, setWearer] = useState(props.start.wearer ?? "cm");
  const [style, setStyle] = useState(own?.style.style.id ?? "palazzo");
  const [cloth, setCloth] = useState("");
  const [name, setName] = useState("");
  const card = props.cards.find((c) => c.name === wearer);
  const called = `${own?.style.name ?? STYLES[style]?.label ?? style}${card ? phrase` for ${card.name}` : ""}`;
  const make = (): void => {
    const body: Job["body"] = card
      ? structuredClone(card)
      : { name: "", unit: wearer === "in" ? "in" : "cm", measures: {} };
    const job = newJob(name.trim() || called, body, style, new Date().toISOString().slice(0, 10));
    const styled = own ? jobWithStyle(job, own.style) : job;
    props.onMake({ ...styled, ...(cloth.trim() && { cloth: { name: cloth.trim() } }) });
  };
  return (
    <Dialog open onClose={props.onClose} fullWidth maxWidth="md" aria-labelledby="new-job-title">
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          make();
        }}
      >
        <DialogTitle id="new-job-title">New job</DialogTitle>
        <DialogContent sx={{ display: "grid", gap: 2 }}>
          <Group legend="Wearer">
            {UNITS.map(([unit, words], i) => (
              <Pick key={unit} name="wearer" value={unit} chosen={wearer} onPick={setWearer} focused={i === 0}>
                {words}
              </Pick>
            ))}
            {props.cards.map((c) => (
              <Pick key={c.name} name="wearer" value={c.name} chosen={wearer} onPick={setWearer}>
                {c.name}
              </Pick>
            ))}
          </Group>
          {own ? (
            <p style={{ margin: 0 }}>
              Style: <b>{own.style.name}</b>
            </p>
          ) : (
            <StylePictures body={card && !isEmptyCard(card) ? card : PLAIN_CARD} chosen={style} onPick={setStyle} />
          )}
          <div style={{ display: "grid", gridTemplateColumns: "repeat(auto-fit, minmax(220px, 1fr))", gap: 16 }}>
            <TextField
              label="Cloth"
              value={cloth}
              placeholder="not decided"
              slotProps={{ htmlInput: { maxLength: 120 }, inputLabel: { shrink: true } }}
              onChange={(event) => setCloth(event.target.value)}
            />
            <TextField
              label="Name of the job"
              value={name}
              placeholder={called}
              slotProps={{ htmlInput: { maxLength: 120 }, inputLabel: { shrink: true } }}
              onChange={(event) => setName(event.target.value)}
            />
          </div>
        </DialogContent>
        <DialogActions>
          <Button onClick={props.onClose}>Close</Button>
          <Button type="submit" variant="contained">
            {card ? "Make the job" : "Take the measures"}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}

function Group({ legend, children }: { readonly legend: string; readonly children: ReactNode }) {
  return (
    <fieldset style={{ border: 0, margin: 0, padding: 0, minWidth: 0 }}>
      <legend style={{ fontWeight: 650, fontStretch: "85%", padding: 0, marginBottom: 6 }}>{legend}</legend>
      <div style={{ display: "flex", flexWrap: "wrap", gap: 8 }}>{children}</div>
    </fieldset>
  );
}

/** One of several to choose from, as a card: a radio button that shows what it stands for. */
function Pick(props: {
  readonly name: string;
  readonly value: string;
  readonly chosen: string;
  readonly onPick: (value: string) => void;
  readonly focused?: boolean;
  readonly title?: string;
  readonly children: ReactNode;
}) {
  const isChosen = props.value === props.chosen;
  return (
    <label
      title={props.title}
      className="pick"
      style={{
        padding: "7px 12px",
        borderRadius: 5,
        border: "1px solid var(--rule)",
        boxShadow: isChosen ? "inset 0 0 0 2px var(--text)" : undefined,
        background: "var(--field)",
        fontWeight: isChosen ? 700 : 450,
        textAlign: "center",
        cursor: "pointer",
      }}
    >
      <input
        type="radio"
        name={props.name}
        value={props.value}
        checked={isChosen}
        autoFocus={props.focused}
        onChange={() => props.onPick(props.value)}
        style={{ position: "absolute", opacity: 0, width: 1, height: 1 }}
      />
      {props.children}
    </label>
  );
}

/** The styles as the engine draws them for the wearer. */
function StylePictures(props: {
  readonly body: Job["body"];
  readonly chosen: string;
  readonly onPick: (style: string) => void;
}) {
  const jobs = useMemo(() => STYLE_LIST.map(({ id }) => jobInStyle(id, props.body)), [props.body]);
  const drawn = useMiniatures(jobs);
  return (
    <Group legend="Style">
      {STYLE_LIST.map((style, i) => (
        <Pick
          key={style.id}
          name="style"
          value={style.id}
          chosen={props.chosen}
          onPick={props.onPick}
          title={style.note}
        >
          <span style={{ display: "grid", placeItems: "center", width: 86, height: 92 }}>
            {drawn[i] ? (
              <MiniOutline panels={drawn[i].panels.filter((p) => p.is.root !== "back")} width={84} height={90} />
            ) : null}
          </span>
          {style.label}
        </Pick>
      ))}
    </Group>
  );
}
