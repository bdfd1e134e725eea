"use client";
import { phrase } from "@/core/words";
import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import Switch from "@mui/material/Switch";
import { nanoid } from "nanoid";
import { memo } from "react";
import type { WorksheetLine } from "@/core/derive/worksheetLine";
import { sameSentence, NOTHING } from "@/core/units";
import { ownMoves } from "@/core/derive/changes";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { FittingNotes } from "@/ui/FittingNotes";
import { useOpenJob } from "@/ui/JobContext";
import { Quiet } from "@/ui/Quiet";
import { Sentence } from "@/ui/Sentence";
import { MoveFields, setParams, paramsOf } from "./MoveFields";

/** The number of a line in its circle. */
export function Circle({ text, hot }: { readonly text: string; readonly hot: boolean }) {
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

interface Props {
  readonly line: WorksheetLine;
  readonly index: number;
  readonly open: boolean;
  readonly onChoose: (id: string) => void;
}

/** One move as a sentence: chosen, it shows its numbers; dragged by its edge, or by keys, it changes its place. */
export const WorksheetRow = memo(function WorksheetRow({ line, index, open, onChoose }: Props) {
  const tape = useView((v) => v.tape);
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: line.id });
  return (
    <li
      ref={setNodeRef}
      style={{
        margin: "0 -16px",
        padding: "10px 16px",
        borderTop: "1px solid var(--rule)",
        background: open || isDragging ? "var(--chalk-wash)" : "var(--panel)",
        boxShadow: open ? "inset 4px 0 0 var(--chalk)" : undefined,
        transform: CSS.Transform.toString(transform),
        transition,
        position: "relative",
        zIndex: isDragging ? 2 : undefined,
      }}
    >
      <div style={{ display: "flex", alignItems: "start" }}>
        <button
          type="button"
          aria-expanded={open}
          onClick={() => onChoose(line.id)}
          style={{
            all: "unset",
            cursor: "pointer",
            display: "flex",
            gap: 10,
            flex: 1,
            opacity: line.on && !line.passed ? 1 : 0.6,
          }}
        >
          <Circle text={String(index + 1)} hot={open} />
          <span style={{ lineHeight: 1.35 }}>
            {line.passed ? (
              phrase`${line.label}: passed over.`
            ) : line.on ? (
              <Sentence says={line.sentence} tape={tape} />
            ) : (
              phrase`${line.label}: switched off.`
            )}
          </span>
        </button>
        <span
          {...attributes}
          {...listeners}
          aria-label={phrase`Move “${line.label}” up or down: space, then the arrows`}
          style={{ cursor: "grab", padding: "2px 0 2px 6px", color: "var(--quiet)", touchAction: "none" }}
        >
          <svg width={8} height={16} viewBox="0 0 8 16" aria-hidden>
            <path d="M1 2h6M1 6h6M1 10h6M1 14h6" stroke="currentColor" strokeWidth={1.3} />
          </svg>
        </span>
      </div>
      {line.passed ? (
        <p role="status" style={{ margin: "4px 0 0 32px", color: "var(--look)", fontSize: 13 }}>
          <Sentence says={line.passed} tape={tape} />
        </p>
      ) : null}
      <div style={{ marginLeft: 32 }}>
        <LineNotes index={index} move={line.move} />
      </div>
      {open ? (
        <div style={{ paddingLeft: 32, paddingTop: 8, display: "grid", gap: 10 }}>
          <MoveFields line={line} index={index} />
          <RowActions line={line} index={index} />
        </div>
      ) : null}
    </li>
  );
}, sameRow);

/** While a handle is pulled only the lines whose words or numbers change are drawn again. */
function sameRow(a: Props, b: Props): boolean {
  const [x, y] = [a.line, b.line];
  const numbers = Object.keys(x.numbers);
  return (
    a.open === b.open &&
    a.index === b.index &&
    a.onChoose === b.onChoose &&
    x.id === y.id &&
    x.on === y.on &&
    sameSentence(x.passed ?? NOTHING, y.passed ?? NOTHING) &&
    sameSentence(x.sentence, y.sentence) &&
    numbers.length === Object.keys(y.numbers).length &&
    numbers.every(
      (n) =>
        x.numbers[n]?.mm === y.numbers[n]?.mm &&
        sameSentence(x.numbers[n]?.sum ?? NOTHING, y.numbers[n]?.sum ?? NOTHING),
    )
  );
}

/** What fittings changed of a move: it is given to the last line of its kind. */
function LineNotes({ index, move }: { readonly index: number; readonly move: string }) {
  const { shape } = useOpenJob();
  const last = shape?.moves.findLastIndex((m) => m.on && m.move === move);
  return last === index ? <FittingNotes changes={(change) => "move" in change && change.move === move} /> : null;
}

function RowActions({ line, index }: { readonly line: WorksheetLine; readonly index: number }) {
  return (
    <>
      <label style={{ display: "flex", alignItems: "center", fontSize: 13 }}>
        <Switch
          size="small"
          checked={line.on}
          onChange={(_event, on) =>
            changeJob((draft) => {
              const entry = ownMoves(draft)[index];
              if (entry) entry.on = on;
            })
          }
        />
        Make this move
      </label>
      <div style={{ display: "flex", flexWrap: "wrap", gap: "4px 14px" }}>
        <Quiet
          onPress={() => setParams(index, Object.fromEntries(paramsOf(line.move).map((param) => [param, undefined])))}
        >
          Put back what the style asks
        </Quiet>
        <Quiet
          onPress={() =>
            changeJob((draft) => {
              const moves = ownMoves(draft);
              const entry = moves[index];
              if (entry) moves.splice(index + 1, 0, { ...entry, id: nanoid(8), params: { ...entry.params } });
            })
          }
        >
          Make it twice
        </Quiet>
        <Quiet onPress={() => changeJob((draft) => void ownMoves(draft).splice(index, 1))}>Take it out</Quiet>
      </div>
    </>
  );
}
