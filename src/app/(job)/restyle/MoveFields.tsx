"use client";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import type { WorksheetLine } from "@/core/derive/runMoves";
import { formatLength, keptText } from "@/core/units";
import { changeJob, ownMoves } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { Choice } from "@/ui/Choice";
import { faultAt, useOpenJob } from "@/ui/JobContext";
import { Length } from "@/ui/Length";
import { LengthField } from "@/ui/LengthField";
import { MOVE_FIELDS, type MoveField } from "./fieldsOfMoves";

interface FieldProps {
  readonly index: number;
  readonly line: WorksheetLine;
  readonly field: MoveField;
}

/** Sets parameters of a move in the job, one undo step; undefined puts one back to what the style asks. */
export function setParams(index: number, params: Readonly<Record<string, unknown>>): void {
  changeJob((draft) => {
    const entry = ownMoves(draft)[index];
    if (!entry) return;
    for (const [param, value] of Object.entries(params)) {
      if (value === undefined) delete entry.params[param];
      else entry.params[param] = value;
    }
  });
}

/** The numbers of a move: what they came to, typed over, or put back. */
export function MoveFields({ line, index }: { readonly line: WorksheetLine; readonly index: number }) {
  return (
    <>
      {(MOVE_FIELDS[line.move] ?? []).map((field) => (
        <Field key={field.param} index={index} line={line} field={field} />
      ))}
      {line.move === "spread" ? <SpreadNote line={line} /> : null}
    </>
  );
}

/** One number of a move by its name, for panes that gather numbers of several moves. */
export function FieldOfMove({
  line,
  index,
  param,
}: {
  readonly line: WorksheetLine;
  readonly index: number;
  readonly param: string;
}) {
  const field = MOVE_FIELDS[line.move]?.find((f) => f.param === param);
  return field ? <Field index={index} line={line} field={field} /> : null;
}

function Field(props: FieldProps) {
  if (props.field.choices) return <ChoiceField {...props} />;
  if (props.field.number) return <PlainNumberField {...props} limits={props.field.number} />;
  if (props.field.names) return <NamedField {...props} />;
  return <NumberField {...props} />;
}

function ChoiceField({ index, field }: FieldProps) {
  const { shape } = useOpenJob();
  const options = field.choices ?? [];
  const own = shape?.moves[index]?.params[field.param];
  // What is stated as yes or no is chosen by its words.
  const isFlag = options.some(([value]) => value === "true");
  return (
    <Choice
      label={field.label}
      value={typeof own === "string" || typeof own === "boolean" ? String(own) : (options[0]?.[0] ?? "")}
      options={options}
      width={120}
      onChange={(value) => setParams(index, { [field.param]: isFlag ? value === "true" : value })}
    />
  );
}

function NamedField(props: FieldProps) {
  const { index, field } = props;
  const { job, shape } = useOpenJob();
  const own =
    shape?.moves[index]?.params[field.param] ?? job.style.params[field.param] ?? shape?.style.defaults?.[field.param];
  const named = field.names?.includes(own as string);
  return (
    <>
      <TextField
        select
        label={field.label}
        value={named ? (own as string) : "typed"}
        onChange={(event) => event.target.value !== "typed" && setParams(index, { [field.param]: event.target.value })}
      >
        {field.names?.map((name) => (
          <MenuItem key={name} value={name}>
            {name}
          </MenuItem>
        ))}
        <MenuItem value="typed">as below</MenuItem>
      </TextField>
      <NumberField {...props} field={{ ...field, label: `${field.label}: below the natural waist` }} />
    </>
  );
}

/** A count or a ratio: typed, stepped, or emptied to go back to the style's. */
function PlainNumberField({
  index,
  field,
  limits,
}: FieldProps & { readonly limits: NonNullable<MoveField["number"]> }) {
  const { job, shape, fault } = useOpenJob();
  const { param, label } = field;
  const stated =
    shape?.moves[index]?.params[param] ?? job.style.params[param] ?? shape?.style.defaults?.[param] ?? limits.usual;
  const error = faultAt(fault, `moves.${index}.params.${param}`);
  return (
    <TextField
      type="number"
      label={label}
      value={Number(stated)}
      error={Boolean(error)}
      helperText={error}
      slotProps={{ htmlInput: { min: limits.least, max: limits.most, step: limits.step } }}
      onChange={(event) => {
        const typed = event.target.value === "" ? undefined : Number(event.target.value);
        if (typed === undefined) setParams(index, { [param]: undefined });
        else if (Number.isFinite(typed))
          setParams(index, { [param]: Math.min(limits.most, Math.max(limits.least, typed)) });
      }}
    />
  );
}

function NumberField({ index, line, field }: FieldProps) {
  const { job, shape, fault } = useOpenJob();
  const tape = useView((v) => v.tape);
  const { param, label, shown, clears = [], negative } = field;
  const number = shown ? line.numbers[shown] : undefined;
  const own = shape?.moves[index]?.params[param];
  return (
    <div>
      <div style={{ fontSize: 13, fontStretch: "85%", marginBottom: 2 }}>{label}</div>
      <LengthField
        label={label}
        hideLabel
        allowEmpty
        negative={negative}
        text={number ? formatLength(number.mm, tape) : typeof own === "string" ? own : ""}
        unit={tape}
        tape={tape}
        error={faultAt(fault, `moves.${index}.params.${param}`)}
        helper={own === undefined && number ? number.formula : undefined}
        onCommit={(text) =>
          setParams(index, {
            [param]: text === "" ? undefined : keptText(text, tape, job.body.unit),
            ...(text === "" ? {} : Object.fromEntries(clears.map((other) => [other, undefined]))),
          })
        }
      />
    </div>
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
