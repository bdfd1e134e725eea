"use client";
import { sentenceOf } from "./sentenceOf";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import LinearProgress from "@mui/material/LinearProgress";
import { useSnackbar } from "notistack";
import { useState } from "react";
import { jobFile } from "@/core/files";
import type { ExportFormat } from "@/core/derive/handOver";
import type { Paper } from "@/core/files/pdf";
import { fileOf, stopWriting } from "@/workers/client";
import { download } from "./download";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "./JobContext";
import { Sentence } from "./Sentence";

interface Way {
  readonly title: string;
  readonly text: string;
  readonly format: ExportFormat;
  readonly paper: Paper;
  readonly button: string;
}

const WAYS: readonly Way[] = [
  {
    title: "Paper, A4",
    text: "True size in pages to glue: a map, two test squares, then the tiles.",
    format: "pdf",
    paper: "a4",
    button: "PDF on A4",
  },
  { title: "Paper, Letter", text: "The same on US Letter.", format: "pdf", paper: "letter", button: "PDF on Letter" },
  {
    title: "Drawing",
    text: "One SVG at true size, with named layers, for a cutter or a copy shop.",
    format: "svg",
    paper: "a4",
    button: "SVG",
  },
  {
    title: "The job itself",
    text: "A small file with every choice. Drop it on the workroom to open it again.",
    format: "json",
    paper: "a4",
    button: "Job file",
  },
];

/** Everything that leaves the program, with what must be said before cutting. Nothing blocks it. */
export function HandOverDialog({ onClose }: { readonly onClose: () => void }) {
  const { job, fault, proof } = useOpenJob();
  const { enqueueSnackbar } = useSnackbar();
  const tape = useView((v) => v.tape);
  const [busy, setBusy] = useState<string | null>(null);
  const notices = proof?.notices ?? [];

  async function hand(way: Way): Promise<void> {
    setBusy(way.button);
    try {
      // The job itself needs no calculation, and goes out whatever else has failed.
      const file = way.format === "json" ? jobFile(job) : await fileOf(job, way.format, way.paper);
      download(file);
      enqueueSnackbar(`${file.name} is in your downloads.`);
    } catch (error) {
      enqueueSnackbar(sentenceOf(error, "The file could not be made."), { variant: "error" });
    } finally {
      setBusy(null);
    }
  }

  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="hand-over-title">
      <DialogTitle
        id="hand-over-title"
        sx={{ fontFamily: '"Bricolage Grotesque Variable"', fontWeight: 700, fontSize: 22 }}
      >
        Hand over
      </DialogTitle>
      <DialogContent>
        {busy ? (
          <div style={{ display: "flex", gap: 12, alignItems: "center", marginBottom: 8 }}>
            <LinearProgress aria-label={`making ${busy}`} sx={{ flex: 1 }} />
            <Button size="small" onClick={stopWriting}>
              Stop
            </Button>
          </div>
        ) : null}
        {WAYS.map((way) => (
          <div
            key={way.button}
            style={{
              display: "flex",
              alignItems: "center",
              gap: 16,
              padding: "11px 0",
              borderTop: "1px solid var(--rule)",
            }}
          >
            <div style={{ flex: 1 }}>
              <b>{way.title}</b>
              <div style={{ color: "var(--quiet)" }}>{way.text}</div>
            </div>
            <Button
              variant="outlined"
              disabled={busy !== null || (fault !== null && way.format !== "json")}
              onClick={() => void hand(way)}
              sx={{ minWidth: 128 }}
            >
              {way.button}
            </Button>
          </div>
        ))}
        <div style={{ borderTop: "1px solid var(--rule)", paddingTop: 12 }}>
          {fault ? (
            <p style={{ color: "var(--fault)", margin: "0 0 8px" }}>
              As it stands this cannot be drawn:{" "}
              {fault.errors[0] ? <Sentence says={fault.errors[0].says} tape={tape} /> : null}
            </p>
          ) : null}
          {notices.length > 0 ? (
            <>
              <b>Printed with the pattern</b>
              <ul style={{ margin: "6px 0 0", paddingLeft: 18 }}>
                {notices.map((n, i) => (
                  <li key={i}>
                    <Sentence says={n} tape={tape} />
                  </li>
                ))}
              </ul>
            </>
          ) : (
            <span style={{ color: "var(--pass)" }}>
              Nothing is open: every measure taken, nothing undecided, no fault.
            </span>
          )}
          <p style={{ color: "var(--quiet)", margin: "10px 0 0" }}>
            Shears and rotary blades: cut away from the hand, close them after use.
          </p>
        </div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
