"use client";
import { asSentence } from "@/core/units";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import { setAtPath } from "@/core/derive/changes";
import { changeJob } from "@/store/jobStore";
import type { Job } from "@/core/files";
import type { Quantity } from "@/core/units";
import { Choice } from "@/ui/Choice";
import { CountField } from "@/ui/CountField";
import { JobLengthField } from "@/ui/JobLengthField";
import type { AnyFinish } from "@/core/finish";
import type { Param } from "@/core/params";

interface Props {
  readonly kind: AnyFinish;
  /** Where in the job the entry is kept. */
  readonly path: readonly (string | number)[];
  /** The entry as stored, the entry as resolved to millimetres, and what `auto` comes to where that is known. */
  readonly own: Readonly<Record<string, unknown>>;
  readonly resolved: Readonly<Record<string, unknown>>;
  readonly known?: Readonly<Record<string, Quantity | null>>;
  /** Gives the job an entry of its own to be changed. */
  readonly prepare: (draft: Job) => void;
}

const asQuantity = (value: unknown): Quantity | null =>
  typeof value === "object" && value !== null && "mm" in value ? (value as Quantity) : null;

/** The numbers and choices of one finish. */
export function FinishEntry(props: Props) {
  const { kind } = props;
  return (
    <>
      {Object.entries(kind.params).map(([name, field]) => (
        <Field key={name} {...props} name={name} field={field} />
      ))}
      {kind.note ? <p style={{ color: "var(--quiet)", fontSize: 13, margin: "0 0 6px" }}>{kind.note}</p> : null}
    </>
  );
}

/** The choice of a length of one's own beside the rules for one. */
const OWN = "own";

type FieldProps = Props & { readonly name: string; readonly field: Param };

function Field({ name, field, path, own, resolved, known, prepare }: FieldProps) {
  const value = resolved[name];
  const at = [...path, name];
  const set = (next: unknown): void =>
    changeJob((draft) => {
      prepare(draft);
      setAtPath(draft, at, next);
    });
  switch (field.as) {
    case "length": {
      const shown = asQuantity(value) ?? known?.[name] ?? null;
      return (
        <JobLengthField
          label={field.label}
          path={at}
          mm={shown?.mm ?? null}
          note={shown?.sum ?? asSentence(field.word?.[1] ?? "")}
          changed={own[name] !== undefined && own[name] !== field.word?.[0]}
          prepare={prepare}
        />
      );
    }
    case "flag":
      return (
        <FormControlLabel
          label={field.label}
          sx={{ ml: -1, minHeight: 34, "& .MuiFormControlLabel-label": { fontStretch: "85%" } }}
          control={<Checkbox size="small" checked={value === true} onChange={(event) => set(event.target.checked)} />}
        />
      );
    case "number":
      return (
        <CountField
          label={field.label}
          value={typeof value === "number" ? value : field.usual}
          least={field.least}
          most={field.most}
          step={field.step}
          whole={field.whole}
          onCommit={set}
        />
      );
    case "levels":
    case "table":
      return null;
    case "ruled": {
      const own = asQuantity(value);
      const start = own ?? known?.[name] ?? null;
      return (
        <>
          <Choice
            label={field.label}
            width={158}
            value={typeof value === "string" ? value : OWN}
            options={[...field.options, [OWN, "a length of its own"]]}
            onChange={(next) => set(next === OWN ? `${Math.round(start?.mm ?? field.within?.[0] ?? 0)} mm` : next)}
          />
          {own ? (
            <JobLengthField
              label={`${field.label}, its length`}
              path={at}
              mm={own.mm}
              note={own.sum}
              prepare={prepare}
              changed
            />
          ) : null}
        </>
      );
    }
    case "choice":
      return (
        <Choice
          label={field.label}
          width={158}
          value={typeof value === "string" ? value : ""}
          options={field.options}
          onChange={set}
        />
      );
  }
}
