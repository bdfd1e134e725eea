"use client";
import Button from "@mui/material/Button";
import Drawer from "@mui/material/Drawer";
import useMediaQuery from "@mui/material/useMediaQuery";
import { useState, type ReactNode } from "react";

interface Props {
  readonly worksheet: ReactNode;
  readonly table: ReactNode;
  readonly readings: ReactNode;
  readonly worksheetWidth?: number;
  readonly worksheetLabel: string;
}

/** Worksheet, table and readings. Under 1200 px the readings become a drawer. */
export function StageLayout({ worksheet, table, readings, worksheetWidth = 248, worksheetLabel }: Props) {
  const narrow = useMediaQuery("(max-width: 1199px)");
  const [open, setOpen] = useState(false);
  const pane: React.CSSProperties = {
    background: "var(--panel)",
    overflowY: "auto",
    padding: "14px 16px",
    boxSizing: "border-box",
  };
  return (
    <>
      <aside
        aria-label={worksheetLabel}
        tabIndex={0}
        style={{ ...pane, width: worksheetWidth, flexShrink: 0, borderRight: "1px solid var(--rule)" }}
      >
        {worksheet}
      </aside>
      <main style={{ flex: 1, minWidth: 0, position: "relative" }}>
        {table}
        {narrow ? (
          <Button variant="contained" onClick={() => setOpen(true)} sx={{ position: "absolute", right: 12, top: 10 }}>
            Readings
          </Button>
        ) : null}
      </main>
      {narrow ? (
        <Drawer anchor="right" open={open} onClose={() => setOpen(false)}>
          <aside aria-label="Readings" style={{ ...pane, width: 320 }}>
            {readings}
          </aside>
        </Drawer>
      ) : (
        <aside
          aria-label="Readings"
          tabIndex={0}
          style={{ ...pane, width: 320, flexShrink: 0, borderLeft: "1px solid var(--rule)" }}
        >
          {readings}
        </aside>
      )}
    </>
  );
}

/** A quiet heading within a pane. */
export function PaneHeading({ children }: { readonly children: ReactNode }) {
  return (
    <h2 style={{ fontSize: 13, fontWeight: 650, color: "var(--quiet)", margin: "4px 0 8px", fontStretch: "82%" }}>
      {children}
    </h2>
  );
}
