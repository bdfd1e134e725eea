"use client";
import { textOf } from "@/core/units";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import FormControlLabel from "@mui/material/FormControlLabel";
import LinearProgress from "@mui/material/LinearProgress";
import { useMemo, useState } from "react";
import type { Body } from "@/core/body";
import { jobFile } from "@/core/files/handedFile";
import type { HandOver } from "@/core/derive/handOver";
import { USUAL_PRINT } from "@/core/files/paper/options";
import { useView } from "@/store/viewStore";
import { fileOf, sizeFileOf, stopWriting } from "@/workers/client";
import { Choice } from "../Choice";
import { useOpenJob } from "../JobContext";
import { useSave } from "../useSave";
import { PaneHeading } from "../StageLayout";
import { usePhone } from "../usePhone";
import {
  DRAWINGS,
  hasPages,
  hasPieces,
  KIND_WORDS,
  KINDS,
  layerNote,
  makes,
  type DrawingKind,
  type Kind,
} from "./kinds";
import { Notices } from "./Notices";
import { PagesPreview } from "./PagesPreview";
import { SizeFields, sizeFormat, type SizeForm } from "./SizeFields";
import { SizeTable } from "./SizeTable";
import { PaperFields } from "./PaperFields";
import { usePages } from "./usePages";

/** The bench where work leaves the program: what, with which lines, how arranged, on what; the real pages beside it. */
export function HandOverDialog({ onClose }: { readonly onClose: () => void }) {
  const { job, fault, proof } = useOpenJob();
  const save = useSave();
  const phone = usePhone();
  const tape = useView((v) => v.tape);
  const [busy, setBusy] = useState(false);
  const [kind, setKind] = useState<Kind>("paper");
  const [drawing, setDrawing] = useState<DrawingKind>("svg");
  const [print, setPrint] = useState<HandOver>({
    ...USUAL_PRINT,
    paper: { on: "sheets", size: tape === "in" ? "letter" : "a4" },
    format: "pdf",
    dxf: "r12",
  });
  const [others, setOthers] = useState<readonly Body[]>([]);
  const [as, setAs] = useState<SizeForm>("nested");
  const how = useMemo<HandOver>(() => {
    if (kind === "projector")
      return {
        ...print,
        format: "pdf",
        paper: { on: "projector" },
        arrange: print.arrange === "apart" ? "beside" : print.arrange,
      };
    if (kind === "drawing")
      return { ...print, ...(drawing === "svg" ? { format: "svg" } : { format: "dxf", dxf: drawing }) };
    if (kind === "sizes") return { ...print, ...sizeFormat(as) };
    return { ...print, format: ({ paper: "pdf", table: "csv", sheet: "sheet", job: "json" } as const)[kind] };
  }, [kind, print, drawing, as]);
  const pages = usePages(job, hasPages(kind) && !fault ? how : null, kind === "sizes" ? others : null);
  const pieces = proof?.pieces ?? [];
  const chosen = print.pieces ?? pieces.map((p) => p.id);
  const isRefused = pages !== null && "refused" in pages;

  function change(more: Partial<HandOver>): void {
    setPrint((now) => ({ ...now, ...more }));
  }

  async function hand(): Promise<void> {
    setBusy(true);
    // The job itself needs no calculation, and goes out whatever else has failed.
    await save(
      kind === "job"
        ? jobFile(job)
        : kind === "sizes"
          ? sizeFileOf(job, others, how, as === "each" ? "each" : "nested")
          : fileOf(job, how),
      "The file could not be made.",
    );
    setBusy(false);
  }

  return (
    <Dialog
      open
      onClose={onClose}
      fullScreen={phone}
      maxWidth="lg"
      fullWidth
      aria-labelledby="hand-over-title"
      slotProps={{ paper: { sx: { height: phone ? undefined : "min(92vh, 860px)" } } }}
    >
      <DialogTitle
        id="hand-over-title"
        sx={{ fontFamily: '"Bricolage Grotesque Variable"', fontWeight: 700, fontSize: 22 }}
      >
        Hand over
      </DialogTitle>
      <DialogContent
        sx={{
          display: "grid",
          gridTemplateColumns: phone ? "1fr" : "330px 1fr",
          gap: 3,
          overflow: phone ? "auto" : "hidden",
        }}
      >
        <div role="region" aria-label="What, and how" tabIndex={0} style={{ overflow: "auto", paddingRight: 6 }}>
          <fieldset style={{ border: 0, margin: 0, padding: 0 }}>
            <legend className="unseen">What is handed over</legend>
            {KINDS.map((own) => (
              <label key={own} style={{ display: "flex", gap: 9, padding: "6px 0", lineHeight: 1.3 }}>
                <input type="radio" name="hand-over-kind" checked={kind === own} onChange={() => setKind(own)} />
                <span>
                  <b style={{ fontWeight: 600 }}>{KIND_WORDS[own].label}</b>
                  <br />
                  <span style={{ color: "var(--quiet)", fontSize: 13 }}>{KIND_WORDS[own].about}</span>
                </span>
              </label>
            ))}
          </fieldset>
          {kind === "sizes" ? (
            <SizeFields own={job.body} others={others} as={as} onOthers={setOthers} onAs={setAs} />
          ) : null}
          {hasPages(kind) ? (
            <>
              <PaneHeading>On what, and how</PaneHeading>
              <PaperFields kind={kind} how={how} tape={tape} unit={job.body.unit} onChange={change} />
            </>
          ) : null}
          {kind === "drawing" ? (
            <>
              <PaneHeading>Format</PaneHeading>
              <Choice label="Written as" value={drawing} options={DRAWINGS} onChange={setDrawing} width={168} />
              <p style={{ color: "var(--quiet)", margin: "8px 0" }}>{layerNote(drawing === "svg" ? "svg" : "dxf")}</p>
            </>
          ) : null}
          {hasPieces(kind) ? (
            <>
              <PaneHeading>Pieces</PaneHeading>
              {pieces.map((piece) => (
                <FormControlLabel
                  key={piece.id}
                  sx={{ display: "flex" }}
                  control={
                    <Checkbox
                      checked={chosen.includes(piece.id)}
                      onChange={(_, isOn) => {
                        const next = pieces.flatMap(({ id }) =>
                          (id === piece.id ? isOn : chosen.includes(id)) ? [id] : [],
                        );
                        change({ pieces: next.length === pieces.length ? null : next });
                      }}
                    />
                  }
                  label={textOf(piece.name)}
                />
              ))}
            </>
          ) : null}
        </div>
        <div style={{ display: "flex", flexDirection: "column", minHeight: 0, gap: 10 }}>
          {hasPages(kind) ? (
            <div style={{ flex: 1, minHeight: phone ? 280 : 0, background: "var(--table)", borderRadius: 6 }}>
              {pages === null ? (
                <p style={{ padding: 24, color: "var(--quiet)" }}>{fault ? "" : "Laying out the pages."}</p>
              ) : "refused" in pages ? (
                <p role="alert" style={{ padding: 24, color: "var(--fault)" }}>
                  {pages.refused}
                </p>
              ) : (
                <PagesPreview pages={pages} isDark={kind === "projector" && how.inverted} />
              )}
            </div>
          ) : null}
          {pages !== null && !("refused" in pages) ? (
            <div aria-live="polite">
              <b>{pages.tiles.length}</b>{" "}
              {kind === "projector"
                ? "page at true size, on a grid of 5 cm: set the projector until its squares measure 5 cm on the cloth."
                : phrase`${pages.tiles.length === 1 ? "page" : "pages"}, and one before with the map and two test squares.`}
            </div>
          ) : null}
          {pages !== null && !("refused" in pages) && pages.sizes ? (
            <div role="region" aria-label="What differs" tabIndex={0} style={{ overflow: "auto", maxHeight: 190 }}>
              <SizeTable names={pages.sizes.names} rows={pages.sizes.rows} tape={tape} />
            </div>
          ) : null}
          <div
            role="region"
            aria-label="Before you cut"
            tabIndex={0}
            style={{ overflow: "auto", maxHeight: hasPages(kind) ? 150 : undefined }}
          >
            <Notices fault={fault} notices={proof?.notices ?? []} tape={tape} />
          </div>
        </div>
      </DialogContent>
      <DialogActions sx={{ gap: 1.5, px: 3, py: 2 }}>
        {busy ? (
          <div style={{ display: "flex", gap: 12, alignItems: "center", flex: 1 }}>
            <LinearProgress aria-label="making the file" sx={{ flex: 1 }} />
            <Button size="small" onClick={stopWriting}>
              Stop
            </Button>
          </div>
        ) : null}
        <Button onClick={onClose}>Close</Button>
        <Button
          variant="contained"
          disabled={busy || isRefused || (fault !== null && kind !== "job")}
          onClick={() => void hand()}
        >
          {makes(kind, how, tape)}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
