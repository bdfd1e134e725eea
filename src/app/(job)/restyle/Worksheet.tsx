"use client";
import MenuItem from "@mui/material/MenuItem";
import Switch from "@mui/material/Switch";
import TextField from "@mui/material/TextField";
import { useState, type ReactNode } from "react";
import type { WorksheetLine } from "@/core/derive/runMoves";
import { LENGTH_NAMES } from "@/core/moves";
import { formatLength, keptText } from "@/core/units";
import { changeJob, ownMoves } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { faultAt, useOpenJob } from "@/ui/JobContext";
import { Length } from "@/ui/Length";
import { LengthField } from "@/ui/LengthField";
import { Sentence } from "@/ui/Sentence";
import { PaneHeading } from "@/ui/StageLayout";

/** The moves as numbered sentences with their numbers in them; the chosen one shows its fields. */
export function Worksheet() {
  const { shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  const [chosen, setChosen] = useState<string | null>("m3");
  if (!shape) return null;
  const { finish, zip } = shape;
  return (
    <section aria-label="Worksheet lines">
      <PaneHeading>Worksheet</PaneHeading>
      <ol style={{ listStyle: "none", margin: 0, padding: 0 }}>
        {shape.worksheet.map((l) =>
          l.index === null ? (
            <li
              key={l.id}
              style={{
                padding: "8px 0 8px 32px",
                borderTop: "1px solid var(--rule)",
                color: "var(--quiet)",
                fontSize: 13,
              }}
            >
              <Sentence template={l.template} numbers={l.numbers} tape={tape} />
            </li>
          ) : (
            <Line
              key={l.id}
              n={l.index + 1}
              line={l}
              open={chosen === l.id}
              onChoose={() => setChosen(chosen === l.id ? null : l.id)}
            >
              <Fields line={l} index={l.index} />
            </Line>
          ),
        )}
        <li style={{ padding: "10px 0", borderTop: "1px solid var(--rule)", display: "flex", gap: 10 }}>
          <Circle text={String(shape.moves.length + 1)} hot={false} />
          <div>
            {finish.band ? (
              <>
                Finish with a straight band,{" "}
                <b>
                  <Length mm={finish.band.depth.mm} tape={tape} unit />
                </b>
              </>
            ) : (
              "The waist is undecided"
            )}
            {zip ? (
              <>
                , zip at the centre back,{" "}
                <b title={zip.length.formula}>
                  <Length mm={zip.length.mm} tape={tape} unit />
                </b>
                .
              </>
            ) : (
              ", the closure is undecided."
            )}
          </div>
        </li>
      </ol>
    </section>
  );
}

function Circle({ text, hot }: { readonly text: string; readonly hot: boolean }) {
  return (
    <span
      aria-hidden
      style={{
        flexShrink: 0,
        width: 22,
        height: 22,
        borderRadius: 11,
        border: hot ? "1px solid var(--chalk)" : "1px solid var(--quiet)",
        background: hot ? "var(--chalk)" : "transparent",
        color: hot ? "#14120c" : "inherit",
        display: "grid",
        placeItems: "center",
        fontSize: 12,
        fontWeight: 700,
      }}
    >
      {text}
    </span>
  );
}

function Line({
  n,
  line,
  open,
  onChoose,
  children,
}: {
  readonly n: number;
  readonly line: WorksheetLine;
  readonly open: boolean;
  readonly onChoose: () => void;
  readonly children: ReactNode;
}) {
  const tape = useView((v) => v.tape);
  return (
    <li
      style={{
        margin: "0 -16px",
        padding: "10px 16px",
        borderTop: "1px solid var(--rule)",
        background: open ? "var(--chalk-wash)" : undefined,
        boxShadow: open ? "inset 4px 0 0 var(--chalk)" : undefined,
      }}
    >
      <button
        type="button"
        aria-expanded={open}
        onClick={onChoose}
        style={{
          all: "unset",
          cursor: "pointer",
          display: "flex",
          gap: 10,
          width: "100%",
          opacity: line.on ? 1 : 0.55,
        }}
      >
        <Circle text={String(n)} hot={open} />
        <span style={{ lineHeight: 1.35 }}>
          {line.on ? (
            <Sentence template={line.template} numbers={line.numbers} tape={tape} />
          ) : (
            `${line.label}: switched off.`
          )}
        </span>
      </button>
      {open ? <div style={{ paddingLeft: 32, paddingTop: 8 }}>{children}</div> : null}
    </li>
  );
}

/** Sets parameters of a move in the job, one undo step; undefined puts one back to what the style asks. */
function setParams(index: number, params: Readonly<Record<string, unknown>>): void {
  changeJob((draft) => {
    const entry = ownMoves(draft)[index];
    if (!entry) return;
    for (const [param, value] of Object.entries(params)) {
      if (value === undefined) delete entry.params[param];
      else entry.params[param] = value;
    }
  });
}

function Fields({ line, index }: { readonly line: WorksheetLine; readonly index: number }) {
  return (
    <div style={{ display: "grid", gap: 10 }}>
      {line.move === "shape-leg" ? (
        <>
          <ParamField index={index} line={line} param="knee" label="Knee, one leg" shown="knee" />
          <ParamField index={index} line={line} param="hem" label="Hem before spreading" shown="hem" />
        </>
      ) : null}
      {line.move === "set-length" ? <LengthChoice index={index} line={line} /> : null}
      {line.move === "spread" ? (
        <>
          <ParamField
            index={index}
            line={line}
            param="hemSpread"
            label="Opened, each panel"
            shown="hemSpread"
            alsoClears="hemGirth"
          />
          <ParamField
            index={index}
            line={line}
            param="hemGirth"
            label="Or: hem of one leg"
            shown="hemAfter"
            alsoClears="hemSpread"
          />
          <SpreadNote line={line} />
        </>
      ) : null}
      <label style={{ display: "flex", alignItems: "center", fontSize: 13 }}>
        <Switch
          size="small"
          checked={line.on}
          onChange={(_, on) =>
            changeJob((draft) => {
              const entry = ownMoves(draft)[index];
              if (entry) entry.on = on;
            })
          }
        />
        Make this move
      </label>
      {line.on ? (
        <button
          type="button"
          onClick={() =>
            setParams(index, {
              knee: undefined,
              hem: undefined,
              length: undefined,
              hemSpread: undefined,
              hemGirth: undefined,
            })
          }
          style={{ all: "unset", cursor: "pointer", textDecoration: "underline", fontSize: 13 }}
        >
          Put back what the style asks
        </button>
      ) : null}
    </div>
  );
}

interface ParamProps {
  readonly index: number;
  readonly line: WorksheetLine;
  readonly param: string;
  readonly label: string;
  /** The number of the line that shows what it came to. */
  readonly shown: string;
  /** A parameter that says the same thing another way, and would win. */
  readonly alsoClears?: string;
}

function ParamField({ index, line, param, label, shown, alsoClears }: ParamProps) {
  const { job, shape, fault } = useOpenJob();
  const tape = useView((v) => v.tape);
  const number = line.numbers[shown];
  const own = shape?.moves[index]?.params[param];
  return (
    <div>
      <div style={{ fontSize: 13, fontStretch: "85%", marginBottom: 2 }}>{label}</div>
      <LengthField
        label={label}
        hideLabel
        text={number ? formatLength(number.mm, tape) : ""}
        unit={tape}
        tape={tape}
        error={faultAt(fault, `moves.${index}.params.${param}`)}
        helper={own === undefined && number && shown === param ? `${number.formula}, in mm` : undefined}
        onCommit={(text) =>
          setParams(index, {
            [param]: keptText(text, tape, job.body.unit),
            ...(alsoClears ? { [alsoClears]: undefined } : {}),
          })
        }
      />
    </div>
  );
}

function LengthChoice({ index, line }: { readonly index: number; readonly line: WorksheetLine }) {
  const { job, shape } = useOpenJob();
  const own = shape?.moves[index]?.params.length ?? job.style.params.length ?? "full";
  const named = LENGTH_NAMES.includes(own as (typeof LENGTH_NAMES)[number]);
  return (
    <>
      <TextField
        select
        label="Length"
        value={named ? (own as string) : "measured"}
        onChange={(event) => event.target.value !== "measured" && setParams(index, { length: event.target.value })}
      >
        {LENGTH_NAMES.map((name) => (
          <MenuItem key={name} value={name}>
            {name}
          </MenuItem>
        ))}
        <MenuItem value="measured">as typed below</MenuItem>
      </TextField>
      <ParamField index={index} line={line} param="length" label="Below the natural waist" shown="hemLevel" />
    </>
  );
}

function SpreadNote({ line }: { readonly line: WorksheetLine }) {
  const tape = useView((v) => v.tape);
  const { hemBefore, hemAfter, frontCreaseGrowth, backCreaseGrowth, crotchChange } = line.numbers;
  if (!hemBefore || !hemAfter) return null;
  return (
    <div style={{ color: "var(--quiet)", fontSize: 13 }}>
      Hem <Length mm={hemBefore.mm} tape={tape} /> to <Length mm={hemAfter.mm} tape={tape} unit />. Side seam and inseam
      keep their length; along the crease the front hangs {frontCreaseGrowth?.mm.toFixed(0)} mm, the back{" "}
      {backCreaseGrowth?.mm.toFixed(0)} mm lower. The crotch seam, turned with the inseam, changes by{" "}
      {crotchChange?.mm.toFixed(1)} mm.
    </div>
  );
}
