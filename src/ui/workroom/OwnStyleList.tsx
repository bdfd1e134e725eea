"use client";
import Button from "@mui/material/Button";
import type { StoredStyle } from "@/store/database";

/** Styles someone made here, to start a job from on any wearer. */
export function OwnStyleList(props: {
  readonly styles: readonly StoredStyle[];
  readonly onNewJob: (style: StoredStyle) => void;
  readonly onRemove: (style: StoredStyle) => void;
}) {
  if (props.styles.length === 0)
    return (
      <p style={{ color: "var(--quiet)" }}>
        None yet. On Restyle, “Keep this as a style of mine” keeps a job’s rules, lines and finishes for any wearer.
      </p>
    );
  return (
    <ul style={{ listStyle: "none", margin: 0, padding: 0, display: "grid", gap: 10 }}>
      {props.styles.map((own) => (
        <li
          key={own.id}
          style={{
            display: "flex",
            gap: 16,
            alignItems: "baseline",
            padding: "10px 14px",
            background: "var(--panel)",
            border: "1px solid var(--rule)",
            borderRadius: 6,
          }}
        >
          <b style={{ fontSize: 16 }}>{own.style.name}</b>
          <span style={{ color: "var(--quiet)", flex: 1 }}>
            from {own.style.style.id.replaceAll("-", " ")}, kept {own.style.date}
          </span>
          <Button size="small" onClick={() => props.onNewJob(own)}>
            New job
          </Button>
          <Button size="small" onClick={() => props.onRemove(own)}>
            Remove
          </Button>
        </li>
      ))}
    </ul>
  );
}
