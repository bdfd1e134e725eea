"use client";
import { sentenceOf } from "@/ui/sentenceOf";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import LinearProgress from "@mui/material/LinearProgress";
import { useMemo, useRef, useState } from "react";
import { outlineData, ownBlock, type OwnBlock, type OwnPanelLandmarks } from "@/core/drafting";
import type { BroughtIn, FoundOutline } from "@/core/files/bringIn";
import { formatLength, keptText, Refusal, tell, type Mm, type Sentence } from "@/core/units";
import { changeJob } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { Choice } from "@/ui/Choice";
import { useOpenJob } from "@/ui/JobContext";
import { LengthField } from "@/ui/LengthField";
import { broughtIn } from "@/workers/client";
import { LandmarkView } from "./LandmarkView";

const UNITS = [
  ["1", "millimetres"],
  ["10", "centimetres"],
  ["25.4", "inches"],
  ["0.2645833333", "pixels, 96 to the inch"],
  ["0.3527777778", "points, 72 to the inch"],
] as const;

type Outlines = Extract<BroughtIn, { kind: "outlines" }>;

/** Brings in a block: the file, its unit, which outline is which, the landmarks, the allowances, and a trial of it all. */
export function OwnBlockDialog({ onClose }: { readonly onClose: () => void }) {
  const { job, shape } = useOpenJob();
  const tape = useView((v) => v.tape);
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<{ readonly name: string; readonly text: string } | null>(null);
  const [read, setRead] = useState<BroughtIn | null>(null);
  const [busy, setBusy] = useState(false);
  const [roles, setRoles] = useState<{ readonly front: string; readonly back: string } | null>(null);
  const [marks, setMarks] = useState<Readonly<Record<string, OwnPanelLandmarks>>>({});
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
        setRoles(result.guess);
        setMarks(result.landmarks);
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
        ? tryOut(
            outlines,
            roles,
            marks,
            allowance === "" ? null : keptText(allowance, tape, job.body.unit),
            job.body.unit,
            file?.name,
          )
        : null,
    [outlines, roles, marks, allowance, tape, job.body.unit, file?.name],
  );
  const refusal = problem ?? (read?.kind === "refused" ? read.message : null);

  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="own-block-title">
      <DialogTitle id="own-block-title" sx={{ pb: 1 }}>
        Bring in a block
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
          aria-label="Drawing of the block"
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
              An SVG or DXF with the outlines of front and back, one half of the garment. Eland’s own SVG works as it
              is. Drop it here, or choose it.
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
              <LengthField
                label="Allowances it holds"
                allowEmpty
                text={allowance}
                unit={tape}
                tape={tape}
                placeholder="none"
                onCommit={setAllowance}
              />
            </div>
            <div style={{ display: "flex", gap: 20 }}>
              {(["back", "front"] as const).map((which) => {
                const outline = outlines.found.find((o) => o.id === roles?.[which]);
                const own = outline && marks[outline.id];
                return outline && own ? (
                  <LandmarkView
                    key={which}
                    title={which === "front" ? "Front" : "Back"}
                    color={`var(--${which})`}
                    outline={outline}
                    marks={own}
                    onChange={(next) => setMarks({ ...marks, [outline.id]: next })}
                  />
                ) : null;
              })}
            </div>
            {trial ? <Trial trial={trial} hip={shape?.measures.hip.mm ?? null} wearer={job.body.name} /> : null}
          </>
        ) : null}
      </DialogContent>
      <DialogActions>
        {outlines ? <Button onClick={() => input.current?.click()}>Choose another drawing</Button> : null}
        <Button onClick={onClose}>Leave it</Button>
        <Button
          variant="contained"
          disabled={!trial?.own}
          onClick={() => {
            const own = trial?.own;
            if (!own) return;
            changeJob((draft) => {
              draft.block.school = "own";
              draft.block.own = structuredClone(own);
            });
            onClose();
          }}
        >
          Use this block
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const describe = (o: FoundOutline, tape: "in" | "cm"): string =>
  `${o.name.slice(0, 24)}${o.kind === "other" ? "" : `, ${o.kind} line`}, ${formatLength(o.height, tape)} tall`;

interface TriedOut {
  readonly own: OwnBlock | null;
  readonly says: Sentence | null;
  readonly hip: Mm | null;
  readonly depth: Mm | null;
}

/** Makes the block as it stands, or says what is still wrong with it. */
function tryOut(
  outlines: Outlines,
  roles: { readonly front: string; readonly back: string },
  marks: Readonly<Record<string, OwnPanelLandmarks>>,
  allowance: string | null,
  unit: "in" | "cm" | "mm",
  name: string | undefined,
): TriedOut {
  const fail = (...says: Sentence): TriedOut => ({ own: null, says, hip: null, depth: null });
  if (roles.front === roles.back) return fail("Front and back are the same outline. Choose two.");
  const found = (id: string): FoundOutline | undefined => outlines.found.find((o) => o.id === id);
  const [front, back] = [found(roles.front), found(roles.back)];
  const [frontMarks, backMarks] = [marks[roles.front], marks[roles.back]];
  if (!front || !back || !frontMarks || !backMarks)
    return fail("Choose which outline is the front and which the back.");
  const panel = (o: FoundOutline): OwnBlock["panels"]["front"] => ({
    path: outlineData(o.path),
    ...(o.notches.length > 0 && { notches: o.notches.slice(0, 60).map(([x, y]): [number, number] => [x, y]) }),
    ...(o.darts.length > 0
      ? { darts: o.darts.map((d) => d.map((p) => [...p])) as OwnBlock["panels"]["front"]["darts"] }
      : {}),
  });
  const own: OwnBlock = {
    ...(name ? { name: name.slice(0, 120) } : {}),
    panels: { front: panel(front), back: panel(back) },
    landmarks: { front: frontMarks, back: backMarks },
    ...(allowance === null ? {} : { allowance }),
  };
  try {
    const block = ownBlock(own, unit);
    const width = (block.numbers.frontWidth?.mm ?? 0) + (block.numbers.backWidth?.mm ?? 0);
    return { own, says: null, hip: 2 * width, depth: block.numbers.crotchDepth?.mm ?? null };
  } catch (error) {
    if (error instanceof Refusal) return fail(...error.says);
    throw error;
  }
}

function Trial({ trial, hip, wearer }: { readonly trial: TriedOut; readonly hip: Mm | null; readonly wearer: string }) {
  const tape = useView((v) => v.tape);
  if (trial.says)
    return (
      <p role="alert" style={{ borderLeft: "4px solid var(--look)", paddingLeft: 10 }}>
        {tell(trial.says, tape)}
      </p>
    );
  const ease = trial.hip !== null && hip !== null ? trial.hip - hip : null;
  return (
    <p style={{ borderLeft: "4px solid var(--pass)", paddingLeft: 10 }}>
      It measures {formatLength(trial.hip ?? 0, tape)} round the hip
      {ease === null
        ? ""
        : `, ${formatLength(Math.abs(ease), tape)} ${ease >= 0 ? "more" : "less"} than ${wearer || "the wearer"}`}
      , with a crotch depth of {formatLength(trial.depth ?? 0, tape)}.
    </p>
  );
}
