"use client";
import { phrase } from "@/core/words";
import { useTyping } from "@/store/typing";
import { useStoreState } from "@/store/shelf";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import Tooltip from "@mui/material/Tooltip";
import Link from "next/link";
import { memo, useState, type ComponentType, type CSSProperties } from "react";
import { formatLength, readLength } from "@/core/units";
import { changeJob, redo, undo, useHistory, useJobStore } from "@/store/jobStore";
import { setView, useView } from "@/store/viewStore";
import { shortDayOf } from "./dayOf";
import { HeaderToggle } from "./HeaderToggle";
import { RedoIcon, SearchIcon, UndoIcon } from "./icons";
import { useOpenJob } from "./JobContext";
import { stageHref } from "./stages";
import { usePhone } from "./usePhone";

/** Eland's mark: two legs falling from one waist. */
export function Mark({ size = 26 }: { readonly size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 32 32" aria-hidden>
      <path
        d="M9 4c0 8-5 14-5 24M16 10c0 7-2 11-2 18M16 10c0 7 2 11 2 18M23 4c0 8 5 14 5 24M9 4h14"
        fill="none"
        stroke="#f08b3a"
        strokeWidth="2.6"
        strokeLinecap="round"
      />
    </svg>
  );
}

const SAVE_WORDS = {
  loading: "Opening",
  missing: "",
  unreadable: "",
  saved: "Saved",
  saving: "Saving",
  blocked: "Not saved",
  conflict: "Not saved",
} as const;

const TAPES = [
  { value: "in", word: "in", spoken: "Inches in eighths" },
  { value: "cm", word: "cm", spoken: "Centimetres" },
] as const;

const chip: CSSProperties = {
  border: "1px solid rgb(255 255 255 / 28%)",
  borderRadius: 5,
  padding: "5px 10px",
  color: "inherit",
  textDecoration: "none",
  whiteSpace: "nowrap",
  overflow: "hidden",
  textOverflow: "ellipsis",
  fontStretch: "82%",
  maxWidth: 230,
};

export const Header = memo(function Header({ onHandOver }: { readonly onHandOver: () => void }) {
  const { id, job } = useOpenJob();
  const phone = usePhone();
  const tape = useView((v) => v.tape);
  const save = useJobStore((s) => s.save);
  const isKept = useStoreState((s) => s.kept);
  const isTyping = useTyping((s) => s.fields > 0);
  const { undoable, redoable } = useHistory();
  const size = (input: Parameters<typeof readLength>[0] | undefined): string => {
    if (input === undefined) return "";
    const read = readLength(input, job.body.unit);
    return read.ok ? `, ${formatLength(read.mm, tape)}` : "";
  };
  return (
    <header
      style={{
        height: 52,
        flexShrink: 0,
        display: "flex",
        alignItems: "center",
        gap: phone ? 6 : 14,
        padding: phone ? "0 8px" : "0 14px 0 16px",
        background: "var(--ink)",
        color: "var(--on-ink)",
      }}
    >
      <Link
        href="/"
        aria-label="Eland, the workroom"
        style={{ display: "flex", gap: 10, alignItems: "center", color: "inherit", textDecoration: "none" }}
      >
        <Mark />
        {phone ? null : (
          <span style={{ fontFamily: '"Bricolage Grotesque Variable"', fontWeight: 700, fontSize: 22 }}>Eland</span>
        )}
      </Link>
      <JobName key={job.name} name={job.name} />
      {phone ? null : (
        <Link href={stageHref("body", id)} style={chip} title="The wearer’s card">
          <b>{job.body.name || "No wearer yet"}</b>
          {job.body.taken ? phrase`, card of ${shortDayOf(job.body.taken)}` : ""}
        </Link>
      )}
      {job.cloth?.name && !phone ? (
        <span style={chip}>
          <b>{job.cloth.name}</b>
          {size(job.cloth.width)}
          {size(job.cloth.length)}
        </span>
      ) : null}
      <span style={{ flex: 1 }} />
      {phone ? null : (
        <Tool name="Find a command" keys="Ctrl+K" icon={SearchIcon} onClick={() => setView({ commandsOpen: true })} />
      )}
      <Tool name="Undo" keys="Ctrl+Z" icon={UndoIcon} onClick={undo} disabled={undoable === 0} />
      {phone ? null : <Tool name="Redo" keys="Ctrl+Shift+Z" icon={RedoIcon} onClick={redo} disabled={redoable === 0} />}
      <HeaderToggle label="Tape" value={tape} options={TAPES} onChoose={(next) => setView({ tape: next })} />
      <span
        role="status"
        className={phone ? "unseen" : undefined}
        style={{ minWidth: 52, opacity: 0.85, fontStretch: "82%" }}
      >
        {isTyping ? "Not entered" : isKept ? SAVE_WORDS[save] : "Not kept"}
      </span>
      <Button
        variant="contained"
        onClick={onHandOver}
        sx={{
          bgcolor: "#e8791f",
          color: "#14120c",
          fontSize: 15,
          px: 2,
          py: 0.75,
          whiteSpace: "nowrap",
          "&:hover": { bgcolor: "#f08b3a" },
        }}
      >
        Hand over
      </Button>
    </header>
  );
});

interface ToolProps {
  readonly name: string;
  readonly keys: string;
  readonly icon: ComponentType<{ fontSize: "small" }>;
  readonly onClick: () => void;
  readonly disabled?: boolean;
}

function Tool({ name, keys, icon: Icon, onClick, disabled = false }: ToolProps) {
  return (
    <Tooltip title={phrase`${name} (${keys})`}>
      <span>
        <IconButton aria-label={name} onClick={onClick} disabled={disabled} sx={iconStyle} size="small">
          <Icon fontSize="small" />
        </IconButton>
      </span>
    </Tooltip>
  );
}

const iconStyle = { color: "inherit", "&.Mui-disabled": { color: "rgb(255 255 255 / 35%)" } } as const;
/** The job's name, edited in place: Enter keeps it, Esc puts the old one back. */
function JobName({ name }: { readonly name: string }) {
  const [typed, setTyped] = useState(name);
  return (
    <input
      aria-label="Name of the job"
      value={typed}
      placeholder="Unnamed job"
      maxLength={120}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={() => typed !== name && changeJob((job) => void (job.name = typed))}
      onKeyDown={(event) => {
        if (event.key === "Enter") event.currentTarget.blur();
        if (event.key === "Escape") setTyped(name);
      }}
      style={{
        width: 190,
        minWidth: 60,
        flexShrink: 1,
        background: "transparent",
        border: 0,
        color: "inherit",
        font: "inherit",
        fontSize: 16,
        fontWeight: 600,
        padding: "4px 2px",
      }}
    />
  );
}
