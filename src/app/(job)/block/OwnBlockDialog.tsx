"use client";
import { bodice } from "@/core/moves/bodice";
import { isLineOf } from "@/core/moves/given";
import { phrase } from "@/core/words";
import { sentenceOf } from "@/ui/sentenceOf";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import LinearProgress from "@mui/material/LinearProgress";
import { useMemo, useRef, useState } from "react";
import type { BodyMeasures } from "@/core/body";
import type { OwnBodice } from "@/core/bodice";
import type { Job } from "@/core/files";
import type { BroughtIn, FoundOutline, GuessedPanels } from "@/core/files/bringIn";
import { formatLength, keptText, tell } from "@/core/units";
import { ownMoves } from "@/core/derive/changes";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { Choice } from "@/ui/Choice";
import { useOpenJob } from "@/ui/JobContext";
import { LengthField } from "@/ui/LengthField";
import { broughtIn } from "@/workers/client";
import { BODICE_PLACED, LandmarkView, LEG_PLACES, type Places } from "./LandmarkView";
import { tryOut, type Brought, type Said, type Tried } from "./ownTrial";

const UNITS = [
  ["1", "millimetres"],
  ["10", "centimetres"],
  ["25.4", "inches"],
  ["0.2645833333", "pixels, 96 to the inch"],
  ["0.3527777778", "points, 72 to the inch"],
] as const;

/**
 * Brings in a block or a bodice: the file, its unit, which outline is which, the places, the allowances, and a trial of
 * it all.
 */
export function OwnBlockDialog({ what, onClose }: { readonly what: Brought; readonly onClose: () => void }) {
  const { job, shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<{ readonly name: string; readonly text: string } | null>(null);
  const [read, setRead] = useState<BroughtIn | null>(null);
  const [busy, setBusy] = useState(false);
  const [roles, setRoles] = useState<GuessedPanels | null>(null);
  const [marks, setMarks] = useState<Readonly<Record<string, Places>>>({});
  const [noDarts, setNoDarts] = useState<ReadonlySet<string>>(new Set());
  const [allowance, setAllowance] = useState("");
  const [problem, setProblem] = useState<string | null>(null);

  async function take(next: { readonly name: string; readonly text: string }, unitMm: number | null): Promise<void> {
    setBusy(true);
    setProblem(null);
    try {
      const result = await broughtIn(next.text, unitMm);
      setFile(next);
      setRead(result);
      if (result.kind === "outlines") {
        setRoles(result[what].panels);
        setMarks(result[what].places as unknown as typeof marks);
        setNoDarts(new Set());
      }
    } catch (error) {
      setProblem(sentenceOf(error, "This file cannot be read as a drawing. Save it as SVG or as text DXF."));
    } finally {
      setBusy(false);
    }
  }

  async function chosen(files: FileList | null): Promise<void> {
    const picked = files?.[0];
    if (!picked) return;
    if (picked.size > 8_000_000) {
      setProblem("The file is over 8 MB; a block's outline is far smaller. Bring in the outline alone.");
      return;
    }
    await take({ name: picked.name, text: await picked.text() }, null);
  }

  const outlines = read?.kind === "outlines" ? read : null;
  const trial = useMemo(
    () =>
      outlines && roles
        ? tryOut(what, outlines, {
            panels: roles,
            legs: marks as unknown as Said["legs"],
            bodice: marks as unknown as Said["bodice"],
            noDarts,
            allowance: allowance === "" ? null : keptText(allowance, tape, job.body.unit),
            unit: job.body.unit,
            name: file?.name,
          })
        : null,
    [what, outlines, roles, marks, noDarts, allowance, tape, job.body.unit, file?.name],
  );
  const refusal = problem ?? (read?.kind === "refused" ? read.message : null);

  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="own-block-title">
      <DialogTitle id="own-block-title" sx={{ pb: 1 }}>
        {WORDS[what].title}
      </DialogTitle>
      <DialogContent
        onDragOver={(event) => event.preventDefault()}
        onDrop={(event) => {
          event.preventDefault();
          void chosen(event.dataTransfer.files);
        }}
      >
        <input
          ref={input}
          type="file"
          accept=".svg,.dxf"
          aria-label={WORDS[what].drawing}
          hidden
          onChange={(event) => void chosen(event.target.files)}
        />
        {busy ? <LinearProgress aria-label="Reading the drawing" /> : null}
        {refusal ? (
          <p role="alert" style={{ borderLeft: "4px solid var(--fault)", paddingLeft: 10 }}>
            {refusal}
          </p>
        ) : null}
        {!outlines ? (
          <div style={{ padding: "10px 0 18px", maxWidth: 620 }}>
            <p style={{ marginTop: 0 }}>
              {WORDS[what].ask} Eland’s own SVG works as it is. Drop it here, or choose it.
            </p>
            <Button variant="contained" onClick={() => input.current?.click()}>
              Choose a drawing
            </Button>
          </div>
        ) : null}
        {read?.kind === "ask-unit" && file ? (
          <div style={{ maxWidth: 420 }}>
            <p>The file does not say its unit. What was it drawn in?</p>
            {UNITS.map(([mm, word]) => (
              <Button key={mm} sx={{ mr: 1, mb: 1 }} variant="outlined" onClick={() => void take(file, Number(mm))}>
                {word}
              </Button>
            ))}
          </div>
        ) : null}
        {outlines ? (
          <>
            <div style={{ display: "grid", gridTemplateColumns: "1fr 1fr 1fr 1fr", gap: 20, marginBottom: 12 }}>
              {(["front", "back"] as const).map((which) => (
                <Choice
                  key={which}
                  label={which === "front" ? "Front is" : "Back is"}
                  value={roles?.[which] ?? ""}
                  options={outlines.found.map((o) => [o.id, describe(o, tape)] as const)}
                  onChange={(id) => setRoles({ front: roles?.front ?? id, back: roles?.back ?? id, [which]: id })}
                />
              ))}
              <Choice
                label="Drawn in"
                value={UNITS.find(([mm]) => Math.abs(Number(mm) - outlines.unitMm) < 1e-6)?.[0] ?? "file"}
                options={[...UNITS, ["file", "as the file says"] as const]}
                onChange={(mm) => file && void take(file, mm === "file" ? null : Number(mm))}
              />
              <div style={{ display: "grid", gridTemplateColumns: "1fr 128px", gap: 8, alignItems: "center" }}>
                <span style={{ fontStretch: "85%" }}>Allowances it holds</span>
                <LengthField
                  label="Allowances it holds"
                  hideLabel
                  allowEmpty
                  text={allowance}
                  unit={tape}
                  tape={tape}
                  placeholder="none"
                  onCommit={setAllowance}
                />
              </div>
            </div>
            <div style={{ display: "flex", gap: 20 }}>
              {(["back", "front"] as const).map((which) => {
                const outline = outlines.found.find((o) => o.id === roles?.[which]);
                const own = outline && marks[outline.id];
                return outline && own ? (
                  <LandmarkView
                    key={which}
                    title={which === "front" ? "Front" : "Back"}
                    kind={what === "legs" ? LEG_PLACES : BODICE_PLACED[which]}
                    color={`var(--${which})`}
                    outline={outline}
                    marks={own}
                    onChange={(next) => setMarks({ ...marks, [outline.id]: next })}
                    tape={tape}
                    noDarts={noDarts}
                    onNoDarts={setNoDarts}
                  />
                ) : null;
              })}
            </div>
            {trial ? <Trial trial={trial} measures={shape?.measures ?? null} wearer={job.body.name} /> : null}
          </>
        ) : null}
      </DialogContent>
      <DialogActions>
        {outlines ? <Button onClick={() => input.current?.click()}>Choose another drawing</Button> : null}
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          disabled={!trial || trial.what === "refused"}
          onClick={() => {
            if (!trial || trial.what === "refused") return;
            changeJob((draft) => {
              if (trial.what === "legs") {
                draft.block.school = "own";
                draft.block.own = structuredClone(trial.own);
              } else takeBodice(draft, trial.own);
            });
            onClose();
          }}
        >
          {WORDS[what].use}
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const describe = (o: FoundOutline, tape: "in" | "cm"): string =>
  phrase`${o.name.slice(0, 24)}${o.kind === "other" ? "" : phrase`, ${o.kind} line`}, ${formatLength(o.height, tape)} tall`;

const WORDS = {
  legs: {
    title: "Bring in a block",
    ask: "An SVG or DXF with the outlines of front and back, one half of the garment.",
    drawing: "Drawing of the block",
    use: "Use this block",
  },
  bodice: {
    title: "Bring in a bodice",
    ask: "An SVG or DXF with half a front and half a back of a bodice that fits, from neck to waist.",
    drawing: "Drawing of the bodice",
    use: "Use this bodice",
  },
} as const;

/** The bodice, and every line that drafts one takes it from now on. */
function takeBodice(draft: Job, own: OwnBodice): void {
  draft.block.bodice = structuredClone(own);
  for (const line of ownMoves(draft)) if (isLineOf(line, bodice)) line.params.school = "own";
}

/** What the tape says of it, beside what the wearer measures. */
function Trial({
  trial,
  measures,
  wearer,
}: {
  readonly trial: Tried;
  readonly measures: BodyMeasures | null;
  readonly wearer: string;
}) {
  const tape = useView((v) => v.tape);
  if (trial.what === "refused")
    return (
      <p role="alert" style={{ borderLeft: "4px solid var(--look)", paddingLeft: 10 }}>
        {tell(trial.says, tape)}
      </p>
    );
  const [round, own] = trial.what === "legs" ? [trial.hip, measures?.hip.mm] : [trial.bust, measures?.bust.mm];
  const ease = own === undefined ? null : round - own;
  return (
    <p style={{ borderLeft: "4px solid var(--pass)", paddingLeft: 10 }}>
      It measures {formatLength(round, tape)} round the {trial.what === "legs" ? "hip" : "underarm"}
      {ease === null
        ? ""
        : phrase`, ${formatLength(Math.abs(ease), tape)} ${ease >= 0 ? "more" : "less"} than ${wearer || "the wearer"}${trial.what === "legs" ? "" : "’s bust"}`}
      {trial.what === "legs"
        ? phrase`, with a crotch depth of ${formatLength(trial.depth, tape)}.`
        : phrase`, and its sewn waist ${formatLength(trial.waist, tape)}.`}
    </p>
  );
}
