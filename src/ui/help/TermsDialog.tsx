"use client";
import { phrase } from "@/core/words";
import Dialog from "@mui/material/Dialog";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { useState } from "react";
import { setView } from "@/store/viewStore";
import { useOpenJob } from "../JobContext";
import { arrange } from "../table/arrange";
import { PanelShapes } from "../MiniOutline";
import { RowButton } from "../RowButton";
import { boundsOf } from "../table/layout";
import { runsOf, TERMS } from "./terms";

/** The trade's words, each shown on the pattern that is on the table. */
export function TermsDialog() {
  const { shape } = useOpenJob();
  const [chosen, setChosen] = useState(0);
  const panels = shape?.panels ?? [];
  const placed = arrange(panels);
  const b = boundsOf(placed);
  const term = TERMS[chosen] ?? TERMS[0];
  const lit = placed.flatMap(({ id, item, at }) =>
    (term ? runsOf(term, item) : []).map((points, i) => ({ key: `${id}-${i}`, points, at })),
  );
  return (
    <Dialog open onClose={() => setView({ termsOpen: false })} aria-labelledby="terms-title" fullWidth maxWidth="md">
      <DialogTitle id="terms-title">What the words mean</DialogTitle>
      <DialogContent sx={{ display: "grid", gridTemplateColumns: { xs: "1fr", sm: "210px 1fr" }, gap: 3 }}>
        <ul style={{ listStyle: "none", margin: 0, padding: 0, maxHeight: "60vh", overflowY: "auto" }}>
          {TERMS.map(({ word }, i) => (
            <li key={word}>
              <RowButton isHere={i === chosen} onPress={() => setChosen(i)} onFocus={() => setChosen(i)}>
                {word}
              </RowButton>
            </li>
          ))}
        </ul>
        <div aria-live="polite">
          <p style={{ fontSize: 17, lineHeight: 1.45, margin: "0 0 12px" }}>
            <b>{term?.word}.</b> {term?.means}
            {placed.length > 0 && lit.length === 0 ? " The pattern on the table has none." : ""}
          </p>
          {placed.length > 0 ? (
            <svg
              role="img"
              aria-label={phrase`${term?.word ?? ""} on the pattern: ${lit.length > 0 ? "lit" : "not there"}`}
              style={{ width: "100%", height: "52vh" }}
              viewBox={`${b.left - 20} ${b.top - 20} ${b.right - b.left + 40} ${b.bottom - b.top + 40}`}
            >
              <PanelShapes placed={placed} />
              {lit.map(({ key, points, at }) => (
                <polyline
                  key={key}
                  points={points.map(([x, y]) => `${x + at[0]},${y + at[1]}`).join(" ")}
                  fill="none"
                  stroke="var(--chalk)"
                  strokeWidth={4}
                  strokeLinecap="round"
                  vectorEffect="non-scaling-stroke"
                />
              ))}
            </svg>
          ) : (
            <p style={{ color: "var(--quiet)" }}>With waist and hip on the card, each word is shown on its pattern.</p>
          )}
        </div>
      </DialogContent>
    </Dialog>
  );
}
