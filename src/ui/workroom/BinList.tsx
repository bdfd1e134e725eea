"use client";
import Button from "@mui/material/Button";
import { useState } from "react";
import type { Binned } from "@/store/database";

interface Props {
  readonly bin: readonly Binned[];
  readonly onPutBack: (binned: Binned) => void;
  readonly onEmpty: () => void;
}

/** Removed jobs, until they are put back or thrown away. */
export function BinList({ bin, onPutBack, onEmpty }: Props) {
  const [isOpen, setOpen] = useState(false);
  if (bin.length === 0) return null;
  return (
    <section aria-label="Bin" style={{ marginTop: 32, maxWidth: 820 }}>
      <Button aria-expanded={isOpen} onClick={() => setOpen(!isOpen)} sx={{ ml: -1 }}>
        Bin, {bin.length} {bin.length === 1 ? "job" : "jobs"}
      </Button>
      {isOpen ? (
        <>
          <ul style={{ listStyle: "none", margin: 0, padding: 0 }}>
            {bin.map((binned) => (
              <li
                key={binned.id}
                style={{
                  display: "flex",
                  gap: 16,
                  alignItems: "center",
                  padding: "6px 0",
                  borderTop: "1px solid var(--rule)",
                }}
              >
                <span style={{ flex: 1 }}>
                  <b>{binned.record.job.name || "Unnamed job"}</b>{" "}
                  <span style={{ color: "var(--quiet)" }}>removed {binned.removed.slice(0, 10)}</span>
                </span>
                <Button size="small" onClick={() => onPutBack(binned)}>
                  Put it back
                </Button>
              </li>
            ))}
          </ul>
          <Button size="small" color="error" onClick={onEmpty}>
            Throw all of these away
          </Button>
        </>
      ) : null}
    </section>
  );
}
