"use client";
import { Sentence } from "@/ui/Sentence";
import { phrase } from "@/core/words";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { memo } from "react";
import type { WorksheetLine } from "@/core/derive/worksheetLine";
import { MOVES } from "@/core/moves";
import type { LengthParam, NumberParam, Param, RuledParam } from "@/core/params";
import type { Words } from "@/core/units";
import { formatLength, keptText, tellSum, type Tape, type Unit } from "@/core/units";
import { ownMoves } from "@/core/derive/changes";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { Choice } from "@/ui/Choice";
import { CountField } from "@/ui/CountField";
import { faultAt, useOpenJob } from "@/ui/JobContext";
import { LengthField } from "@/ui/LengthField";
import { LevelsField } from "./LevelsField";

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

/** What can be set of a move on the form, in the order it is read aloud. */
export const paramsOf = (move: string): readonly string[] => Object.keys(MOVES[move]?.params ?? {});

interface LineProps {
  readonly line: WorksheetLine;
  readonly index: number;
}

/** The numbers of a move: what they came to, typed over, or put back. */
export function MoveFields({ line, index }: LineProps) {
  return (
    <>
      {paramsOf(line.move).map((param) => (
        <FieldOfMove key={param} index={index} line={line} param={param} />
      ))}
      <Remarks line={line} />
    </>
  );
}

/** One number of a move by its name. */
export function FieldOfMove({ line, index, param }: LineProps & { readonly param: string }) {
  const { job, shape, fault } = useOpenJob();
  const tape = useView((v) => v.tape);
  const field = MOVES[line.move]?.params[param];
  const refused = (path: string): string | null => faultAt(fault, path, tape);
  if (!field) return null;
  const own = shape?.moves[index]?.params[param];
  const number = field.as === "length" && field.shown ? line.numbers[field.shown] : undefined;
  const fed = (name: string): string => shape?.style.feeds?.[`${line.move}.${name}`] ?? name;
  const ofStyle = (name: string): unknown => job.style.params[fed(name)] ?? shape?.style.defaults?.[fed(name)];
  const { solvedBy } = field;
  const solved =
    own === undefined && solvedBy !== undefined && Boolean(shape?.moves[index]?.params[solvedBy] ?? ofStyle(solvedBy));
  // Plain values only: while a handle is pulled, just the fields whose words change are drawn again.
  return (
    <Field
      index={index}
      param={param}
      field={field}
      own={typeof own === "object" ? JSON.stringify(own) : (own as Stated)}
      stated={solved ? "" : ((own ?? ofStyle(param)) as Stated)}
      text={number ? formatLength(number.mm, tape) : typeof own === "string" ? own : ""}
      helper={solved ? "solved for the hem" : own === undefined && number ? tellSum(number.sum, tape) : undefined}
      error={refused(`moves.${index}.params.${param}`) ?? refused(`style.params.${fed(param)}`)}
      tape={tape}
      unit={job.body.unit}
    />
  );
}

type Stated = string | number | boolean | undefined;

interface FieldProps {
  readonly index: number;
  readonly param: string;
  readonly field: Param;
  /** The move's own value. */
  readonly own: Stated;
  /** The move's own, else the style's. */
  readonly stated: Stated;
  /** What it came to, on the tape. */
  readonly text: string;
  readonly helper: string | undefined;
  readonly error: string | null;
  readonly tape: Tape;
  readonly unit: Unit;
}

const Field = memo(function Field(props: FieldProps) {
  const { field } = props;
  switch (field.as) {
    case "choice":
      return <ChoiceField {...props} options={field.options} isFlag={false} />;
    case "flag": {
      const [yes, no] = [["true", field.yes] as const, ["false", field.no] as const];
      return <ChoiceField {...props} options={field.usual ? [yes, no] : [no, yes]} isFlag />;
    }
    case "number":
      return <PlainNumberField {...props} field={field} />;
    case "length":
      return field.names ? (
        <NamedField {...props} field={field} names={field.names} />
      ) : (
        <NumberField {...props} field={field} />
      );
    case "ruled":
      return <RuledField {...props} field={field} />;
    case "levels":
      return <LevelsField index={props.index} param={props.param} field={field} tape={props.tape} unit={props.unit} />;
    // What is set on the table alone has no row.
    case "table":
      return null;
  }
});

interface ChoiceProps extends FieldProps {
  readonly options: readonly (readonly [string, Words])[];
  /** What is stated as yes or no is chosen by its words. */
  readonly isFlag: boolean;
}

function ChoiceField({ index, param, field, own, options, isFlag }: ChoiceProps) {
  return (
    <Choice
      label={field.label}
      value={typeof own === "string" || typeof own === "boolean" ? String(own) : (options[0]?.[0] ?? "")}
      options={options}
      width="above"
      onChange={(value) => setParams(index, { [param]: isFlag ? value === "true" : value })}
    />
  );
}

type LengthProps = FieldProps & { readonly field: LengthParam };

function NamedField(props: LengthProps & { readonly names: readonly string[] }) {
  const { index, param, field, stated, names } = props;
  const named = names.includes(stated as string);
  return (
    <>
      <TextField
        select
        label={field.label}
        value={named ? (stated as string) : "typed"}
        onChange={(event) => event.target.value !== "typed" && setParams(index, { [param]: event.target.value })}
      >
        {names.map((name) => (
          <MenuItem key={name} value={name}>
            {name}
          </MenuItem>
        ))}
        <MenuItem value="typed">as below</MenuItem>
      </TextField>
      <NumberField {...props} field={{ ...field, label: phrase`${field.label}: below the natural waist` }} />
    </>
  );
}

/** One of some rules, or a length of its own. */
function RuledField({ field, own, ...props }: FieldProps & { readonly field: RuledParam }) {
  const { index, param, text, helper, error, tape, unit } = props;
  const options = field.options.map(([value]) => value);
  const isRule = own === undefined || options.includes(own as string);
  const { least } = { least: field.within?.[0] ?? 0 };
  return (
    <>
      <Choice
        label={field.label}
        value={isRule ? String(own ?? options[0]) : "typed"}
        options={[...field.options, ["typed", "a length of its own"] as const]}
        width="above"
        onChange={(value) => setParams(index, { [param]: value === "typed" ? `${least} mm` : value })}
      />
      {isRule ? null : (
        <LengthField
          label={phrase`${field.label}, from the centre`}
          text={text}
          unit={tape}
          tape={tape}
          helper={helper}
          error={error}
          onCommit={(typed) => setParams(index, { [param]: keptText(typed, tape, unit) })}
        />
      )}
    </>
  );
}

/** A count or a ratio: typed, stepped, or emptied to go back to the style's. */
function PlainNumberField({
  index,
  param,
  field,
  stated,
  helper,
  error,
}: FieldProps & { readonly field: NumberParam }) {
  const cleared = Object.fromEntries((field.clears ?? []).map((other) => [other, undefined]));
  return (
    <CountField
      label={field.label}
      value={stated === "" ? null : Number(stated ?? field.usual)}
      least={field.least}
      most={field.most}
      step={field.step}
      whole={field.whole}
      helper={helper}
      error={error}
      onCommit={(value) => setParams(index, { [param]: value, ...(value !== undefined && cleared) })}
    />
  );
}

function NumberField({ index, param, field, text, helper, error, tape, unit }: LengthProps) {
  const { label, clears = [], negative } = field;
  return (
    <div>
      <div style={{ fontSize: 13, fontStretch: "85%", marginBottom: 2 }}>{label}</div>
      <LengthField
        label={label}
        hideLabel
        allowEmpty
        negative={negative}
        text={text}
        unit={tape}
        tape={tape}
        error={error}
        helper={helper}
        onCommit={(typed) =>
          setParams(index, {
            [param]: typed === "" ? undefined : keptText(typed, tape, unit),
            ...(typed === "" ? {} : Object.fromEntries(clears.map((other) => [other, undefined]))),
          })
        }
      />
    </div>
  );
}

/** What a line's numbers mean besides. */
function Remarks({ line }: { readonly line: WorksheetLine }) {
  const tape = useView((v) => v.tape);
  const says = MOVES[line.move]?.remarks?.(line.numbers);
  return says ? (
    <div style={{ color: "var(--quiet)", fontSize: 13 }}>
      <Sentence says={says} tape={tape} />
    </div>
  ) : null;
}
