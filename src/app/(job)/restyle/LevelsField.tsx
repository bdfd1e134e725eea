"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { usualOn, type LevelsParam, type PerTape } from "@/core/params";
import { formatLength, keptText, readLength, type LengthInput, type Tape, type Unit } from "@/core/units";
import { ownMoves } from "@/core/derive/changes";
import { changeJob } from "@/store/jobStore";
import { faultAt, useOpenJob } from "@/ui/JobContext";
import { LengthField } from "@/ui/LengthField";

interface Entry {
  at: unknown;
  girth: LengthInput;
}

interface Props {
  readonly index: number;
  readonly param: string;
  readonly field: LevelsParam;
  readonly tape: Tape;
  readonly unit: Unit;
}

/** True for a level that is counted from another. */
const isRelative = (at: unknown): boolean => typeof at === "object" && at !== null && "of" in at;

const asEntries = (value: unknown): readonly Entry[] => (Array.isArray(value) ? (value as Entry[]) : []);

/** Widths of the leg at levels of their own: each with its level and its girth, added and taken out by one press. */
export function LevelsField({ index, param, field, tape, unit }: Props) {
  const { shape, fault } = useOpenJob();
  const entries = asEntries(shape?.moves[index]?.params[param]);
  const change = (edit: (list: Entry[]) => void): void =>
    changeJob((draft) => {
      const move = ownMoves(draft)[index];
      if (!move) return;
      const list = structuredClone(asEntries(move.params[param])) as Entry[];
      edit(list);
      if (list.length === 0) delete move.params[param];
      else move.params[param] = list;
    });
  const onTape = (input: LengthInput): string => {
    const read = readLength(input, unit);
    return read.ok ? formatLength(read.mm, tape) : String(input);
  };
  const usual = (mm: PerTape): string => `${usualOn(mm, tape)} mm`;
  const free = field.names.find((name) => !entries.some((entry) => entry.at === name)) ?? field.names[0] ?? "";
  return (
    <div role="group" aria-label={field.label}>
      <div style={{ fontSize: 13, fontStretch: "85%", marginBottom: 2 }}>{field.label}</div>
      {entries.map((entry, i) => {
        const named = typeof entry.at === "string" && field.names.includes(entry.at);
        return (
          <div
            key={i}
            style={{ display: "grid", gap: 4, marginBottom: 8, paddingLeft: 8, borderLeft: "2px solid var(--rule)" }}
          >
            <TextField
              select
              value={named ? entry.at : "length"}
              slotProps={{ select: { "aria-label": phrase`Width ${i + 1}, level` } as object }}
              onChange={(event) =>
                change((list) => {
                  const own = list[i];
                  if (own) own.at = event.target.value === "length" ? usual(field.usual.at) : event.target.value;
                })
              }
            >
              {field.names.map((name) => (
                <MenuItem key={name} value={name}>
                  at the {name}
                </MenuItem>
              ))}
              <MenuItem value="length">{isRelative(entry.at) ? "from another level" : "below the waist"}</MenuItem>
            </TextField>
            {named || isRelative(entry.at) ? null : (
              <LengthField
                label={phrase`Width ${i + 1}, below the waist`}
                hideLabel
                text={onTape(entry.at as LengthInput)}
                unit={tape}
                tape={tape}
                error={faultAt(fault, `moves.${index}.params.${param}.${i}.at`, tape)}
                onCommit={(text) =>
                  change((list) => {
                    const own = list[i];
                    if (own) own.at = keptText(text, tape, unit);
                  })
                }
              />
            )}
            <LengthField
              label={phrase`Width ${i + 1}, round one leg`}
              hideLabel
              text={onTape(entry.girth)}
              unit={tape}
              tape={tape}
              error={faultAt(fault, `moves.${index}.params.${param}.${i}.girth`, tape)}
              onCommit={(text) =>
                change((list) => {
                  const own = list[i];
                  if (own) own.girth = keptText(text, tape, unit);
                })
              }
            />
            <Button
              size="small"
              sx={{ justifySelf: "start", px: 0 }}
              onClick={() => change((list) => list.splice(i, 1))}
            >
              Take this width out
            </Button>
          </div>
        );
      })}
      {entries.length < field.most ? (
        <Button
          size="small"
          sx={{ px: 0 }}
          onClick={() => change((list) => void list.push({ at: free, girth: usual(field.usual.girth) }))}
        >
          Add a width
        </Button>
      ) : null}
    </div>
  );
}
