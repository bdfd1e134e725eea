"use client";
import { decimal, inSentence, phrase } from "@/core/words";
import Button from "@mui/material/Button";
import { useState } from "react";
import TextField from "@mui/material/TextField";
import { isOpen, type Check, type CheckStatus, type Remedy } from "@/core/inspect/check";
import { tell, tellNumber, type Tape, textOf } from "@/core/units";
import { applyChanges } from "@/core/derive/changes";
import { changeJob } from "@/store/jobStore";
import { setView, useView } from "@/store/viewStore";
import type { Proof } from "@/workers/proof";
import { useOpenJob } from "./JobContext";
import { Quiet } from "./Quiet";
import { Sentence } from "./Sentence";
import { PaneHeading } from "./StageLayout";

const SIGN: Readonly<Record<CheckStatus, { readonly path: string; readonly color: string; readonly word: string }>> = {
  pass: { path: "M1.5 6l3.5 4 6-8.5", color: "var(--pass)", word: "pass" },
  look: { path: "M6 1.5l5 9.5H1z", color: "var(--look)", word: "look" },
  fault: { path: "M2 2l8.5 8.5M10.5 2L2 10.5", color: "var(--fault)", word: "fault" },
};

const tenths = (value: number): string => decimal(Math.abs(value) < 0.05 ? "0.0" : value.toFixed(1));

/** A check's value: amounts on the maker's tape, tolerances of making in millimetres. */
function valueText({ value, unit }: Check, tape: Tape): string {
  switch (unit) {
    case "pieces":
      return "";
    case "degrees":
      return `${tenths(value)}°`;
    case "making":
      return `${tenths(value)} mm`;
    case "length":
      return tellNumber({ kind: "length", mm: value }, tape);
  }
}

function CheckRow({ check }: { readonly check: Check }) {
  const tape = useView((v) => v.tape);
  const sign = SIGN[check.status];
  return (
    <li>
      <button
        type="button"
        onClick={() => setView({ lit: check.where })}
        style={{
          all: "unset",
          cursor: "pointer",
          display: "grid",
          gridTemplateColumns: "22px 1fr auto",
          columnGap: 4,
          width: "100%",
          padding: "4px 0",
          alignItems: "baseline",
        }}
        aria-label={phrase`${check.label}: ${sign.word}. ${tell(check.message, tape)}`}
      >
        <svg width={13} height={13} viewBox="0 0 12.5 12.5" aria-hidden style={{ alignSelf: "center" }}>
          <path d={sign.path} fill="none" stroke={sign.color} strokeWidth={1.8} />
        </svg>
        <span style={{ fontStretch: "85%" }}>{check.label}</span>
        <span style={{ color: "var(--quiet)", fontStretch: "82%" }}>{valueText(check, tape)}</span>
        {check.status === "pass" ? null : (
          <span style={{ gridColumn: "2 / 4", color: sign.color, fontSize: 13 }}>
            <Sentence says={check.message} tape={tape} /> {check.fix ? <Sentence says={check.fix} tape={tape} /> : null}
          </span>
        )}
      </button>
      {check.status === "pass" ? null : (
        <div style={{ display: "flex", flexWrap: "wrap", alignItems: "baseline", gap: "0 14px", marginLeft: 26 }}>
          {check.remedy && check.meant === undefined ? <Mend remedy={check.remedy} /> : null}
          <MeantSo check={check} />
        </div>
      )}
    </li>
  );
}

/** Marks a look or fault as meant, with a word why, or takes that back. */
function MeantSo({ check: { id, label, meant } }: { readonly check: Check }) {
  const [why, setWhy] = useState<string | null>(null);
  const set = (word: string | undefined): void =>
    changeJob((draft) => {
      const held = { ...draft.meant };
      if (word === undefined) delete held[id];
      else held[id] = word;
      if (Object.keys(held).length === 0) delete draft.meant;
      else draft.meant = held;
    });
  if (meant !== undefined)
    return (
      <span style={{ color: "var(--quiet)", fontSize: 13 }}>
        Meant so{meant ? `: ${textOf(meant)}` : ""}. <Quiet onPress={() => set(undefined)}>Take back</Quiet>
      </span>
    );
  if (why === null)
    return (
      <Quiet onPress={() => setWhy("")} label={phrase`${label}: meant so`}>
        Meant so
      </Quiet>
    );
  return (
    <form
      style={{ display: "flex", gap: 6, width: "100%", margin: "2px 0 6px" }}
      onSubmit={(event) => {
        event.preventDefault();
        set(why.trim());
        setWhy(null);
      }}
    >
      <TextField
        autoFocus
        value={why}
        placeholder="why, in a word"
        slotProps={{ htmlInput: { "aria-label": phrase`Why ${inSentence(label)} is meant so`, maxLength: 300 } }}
        onChange={(event) => setWhy(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === "Escape") setWhy(null);
        }}
        sx={{ flex: 1 }}
      />
      <Button type="submit">Keep</Button>
    </form>
  );
}

/** One press that changes the job: the remedy of a check, the action of advice. */
function Mend({ remedy }: { readonly remedy: Remedy }) {
  const tape = useView((v) => v.tape);
  return (
    <Button
      sx={{ px: 0, textDecoration: "underline", textUnderlineOffset: 4, color: "var(--text)" }}
      onClick={() => changeJob((draft) => applyChanges(draft, remedy.changes))}
    >
      {tell(remedy.label, tape)}
    </Button>
  );
}

/** Facts about the pattern. What passes folds into one line; a row lights its place on the table. */
export function ProofPane({
  proof,
  stale,
  open = true,
}: {
  readonly proof: Proof | null;
  readonly stale: boolean;
  readonly open?: boolean;
}) {
  const tape = useView((v) => v.tape);
  const [unfolded, setUnfolded] = useState(open);
  if (!proof) return <PaneHeading>Proof is being worked out</PaneHeading>;
  const wanting = proof.checks.filter(isOpen);
  const meant = proof.checks.filter((c) => c.meant !== undefined);
  const passed = proof.checks.filter((c) => c.status === "pass");
  return (
    <section aria-label="Proof" aria-busy={stale} style={{ marginTop: 18 }}>
      <PaneHeading>Proof</PaneHeading>
      <ul style={{ listStyle: "none", margin: 0, padding: 0 }}>
        {wanting.map((c) => (
          <CheckRow key={c.id} check={c} />
        ))}
        {meant.map((c) => (
          <CheckRow key={c.id} check={c} />
        ))}
        {unfolded ? passed.map((c) => <CheckRow key={c.id} check={c} />) : null}
      </ul>
      <Button onClick={() => setUnfolded(!unfolded)} sx={{ px: 0, color: "var(--pass)" }} aria-expanded={unfolded}>
        {unfolded
          ? "Fold what passes"
          : phrase`${passed.length} of ${proof.checks.length} pass${meant.length > 0 ? phrase`, ${meant.length} meant so` : ""}`}
      </Button>
      {proof.undecided.length > 0 ? (
        <>
          <PaneHeading>Undecided</PaneHeading>
          <ul style={{ margin: 0, paddingLeft: 18 }}>
            {proof.undecided.map((u, i) => (
              <li key={i}>
                <Sentence says={u} tape={tape} />
              </li>
            ))}
          </ul>
        </>
      ) : null}
    </section>
  );
}

/** Judgements, each with its reason and one press that applies it. */
export function AdvicePane({ proof }: { readonly proof: Proof | null }) {
  const tape = useView((v) => v.tape);
  if (!proof || proof.advice.length === 0) return null;
  return (
    <section aria-label="Advice" style={{ marginTop: 18 }}>
      <PaneHeading>Advice</PaneHeading>
      {proof.advice.map((a) => (
        <div key={a.id} style={{ borderLeft: "4px solid var(--note)", padding: "2px 0 2px 10px", marginBottom: 10 }}>
          <div>
            <Sentence says={a.message} tape={tape} />
          </div>
          <div style={{ color: "var(--quiet)", fontSize: 13 }}>
            <Sentence says={a.reason} tape={tape} />
          </div>
          {a.action ? <Mend remedy={a.action} /> : null}
        </div>
      ))}
    </section>
  );
}

/** What stands in the way of drawing the job as it is; the last good pattern stays on the table. */
export function FaultNote() {
  const { fault, shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  if (!fault) return null;
  return (
    <div role="alert" style={{ borderLeft: "4px solid var(--fault)", padding: "4px 0 4px 10px", marginBottom: 14 }}>
      {fault.errors.map((e, i) => (
        <div key={e.path + i}>
          <Sentence says={e.says} tape={tape} />
        </div>
      ))}
      {shape ? (
        <div style={{ color: "var(--quiet)", fontSize: 13 }}>The table shows the last pattern that could be drawn.</div>
      ) : null}
    </div>
  );
}
