"use client";
import Button from "@mui/material/Button";
import Drawer from "@mui/material/Drawer";
import useMediaQuery from "@mui/material/useMediaQuery";
import { useState, type ReactNode } from "react";
import { Hint } from "./help/Hint";
import { usePhone } from "./usePhone";
import { useStage } from "./useStage";

interface Props {
  readonly worksheet: ReactNode;
  readonly table: ReactNode;
  readonly readings: ReactNode;
  readonly worksheetWidth?: number;
  readonly worksheetLabel: string;
}

const SHEET_BUTTON = { flex: 1, minHeight: 44 } as const;
const SHEET = { height: "72dvh", display: "flex", flexDirection: "column", borderRadius: "10px 10px 0 0" } as const;

/** Worksheet, table and readings. Under 1200 px the readings become a drawer; on a phone both are sheets from below. */
export function StageLayout({ worksheet, table, readings, worksheetWidth = 248, worksheetLabel }: Props) {
  const narrow = useMediaQuery("(max-width: 1199px)");
  const phone = usePhone();
  const [open, setOpen] = useState(false);
  const [sheet, setSheet] = useState<"worksheet" | "readings" | null>(null);
  const stage = useStage();
  const pane: React.CSSProperties = {
    background: "var(--panel)",
    overflowY: "auto",
    padding: "14px 16px",
    boxSizing: "border-box",
  };
  if (phone) {
    return (
      <main style={{ flex: 1, minHeight: 0, display: "flex", flexDirection: "column" }}>
        <Hint stage={stage} />
        <div style={{ flex: 1, minHeight: 0, position: "relative" }}>{table}</div>
        <div
          style={{
            display: "flex",
            gap: 8,
            padding: 8,
            background: "var(--panel)",
            borderTop: "1px solid var(--rule)",
          }}
        >
          <Button variant="outlined" sx={SHEET_BUTTON} onClick={() => setSheet("worksheet")}>
            {worksheetLabel}
          </Button>
          <Button variant="outlined" sx={SHEET_BUTTON} onClick={() => setSheet("readings")}>
            Readings
          </Button>
        </div>
        <Drawer
          anchor="bottom"
          open={sheet !== null}
          onClose={() => setSheet(null)}
          slotProps={{
            paper: { "aria-label": sheet === "readings" ? "Readings" : worksheetLabel, sx: SHEET } as object,
          }}
        >
          <Button
            sx={{ minHeight: 44, borderRadius: 0, borderBottom: "1px solid var(--rule)" }}
            onClick={() => setSheet(null)}
          >
            Back to the table
          </Button>
          <div style={{ ...pane, flex: 1 }}>{sheet === "readings" ? readings : worksheet}</div>
        </Drawer>
      </main>
    );
  }
  return (
    <>
      <aside
        aria-label={worksheetLabel}
        tabIndex={0}
        style={{ ...pane, width: worksheetWidth, flexShrink: 0, borderRight: "1px solid var(--rule)" }}
      >
        <Hint stage={stage} />
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
        <Drawer
          anchor="right"
          open={open}
          onClose={() => setOpen(false)}
          slotProps={{ paper: { "aria-label": "Readings" } as object }}
        >
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
