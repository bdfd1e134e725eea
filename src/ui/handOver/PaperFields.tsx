"use client";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import type { HandOver } from "@/core/derive/handOver";
import { ROLL_WIDTHS, type Paper } from "@/core/files/paper/papers";
import { formatLength, parseLength, tapeOf, type Tape, type Unit } from "@/core/units";
import { Choice } from "../Choice";
import { LengthField } from "../LengthField";
import { SHEET_OPTIONS, type Kind } from "./kinds";

/** Rolls are mostly this wide. */
const USUAL_ROLL: Readonly<Record<Tape, number>> = { in: 914.4, cm: 900 };

interface Props {
  readonly kind: Kind;
  readonly how: HandOver;
  readonly tape: Tape;
  readonly unit: Unit;
  readonly onChange: (change: Partial<HandOver>) => void;
}

/** What it is printed on, which lines, how arranged and joined. */
export function PaperFields({ kind, how, tape, unit, onChange }: Props) {
  const { paper } = how;
  const put = (next: Paper): void => onChange({ paper: next });
  const isSheets = paper.on === "sheets";
  return (
    <>
      {kind === "paper" ? (
        <Choice
          label="Paper"
          value={isSheets ? paper.size : "roll"}
          options={SHEET_OPTIONS}
          width={188}
          onChange={(size) =>
            put(size === "roll" ? { on: "roll", width: USUAL_ROLL[tapeOf(unit)] } : { on: "sheets", size })
          }
        />
      ) : null}
      {paper.on === "roll" ? (
        <LengthField
          label="Width of the roll"
          text={formatLength(paper.width, tape)}
          unit={tape}
          tape={tape}
          onCommit={(text) => {
            const read = parseLength(text, tape);
            if (read.ok) put({ on: "roll", width: Math.min(Math.max(read.mm, ROLL_WIDTHS.least), ROLL_WIDTHS.most) });
          }}
        />
      ) : null}
      <Choice
        label="Arranged"
        value={how.arrange}
        options={
          isSheets
            ? [
                ["beside", "side by side"],
                ["nested", "nested, to save paper"],
                ["apart", "each on its own pages"],
              ]
            : [
                ["beside", "side by side"],
                ["nested", "nested, to save paper"],
              ]
        }
        width={188}
        onChange={(arrange) => onChange({ arrange })}
      />
      <Choice
        label="Lines"
        value={how.outlines}
        options={[
          ["both", "cut and seam line"],
          ["cut", "cut line only"],
          ["seam", "seam line only"],
        ]}
        width={188}
        onChange={(outlines) => onChange({ outlines })}
      />
      {isSheets ? (
        <>
          <Choice
            label="Pages"
            value={how.join}
            options={[
              ["overlap", "overlap 1 cm, glued"],
              ["trim", "trimmed, edge to edge"],
            ]}
            width={188}
            onChange={(join) => onChange({ join })}
          />
          <Choice
            label="Order of pages"
            value={how.order}
            options={[
              ["rows", "row by row"],
              ["columns", "column by column"],
            ]}
            width={188}
            onChange={(order) => onChange({ order })}
          />
        </>
      ) : null}
      <FormControlLabel
        control={<Checkbox checked={how.inner} onChange={(_, inner) => onChange({ inner })} />}
        label="Darts, pleats and placements"
      />
      {paper.on === "projector" ? (
        <FormControlLabel
          control={<Checkbox checked={how.inverted} onChange={(_, inverted) => onChange({ inverted })} />}
          label="Light lines on black"
        />
      ) : null}
    </>
  );
}
