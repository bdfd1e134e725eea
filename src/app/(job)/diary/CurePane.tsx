"use client";
import { capital, listOf, phrase } from "@/core/words";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import type { Corrected } from "@/core/derive/corrected";
import type { Cure } from "@/core/derive/correcting";
import { readingRows } from "@/core/inspect/readingRows";
import { symptomOf, type Symptom } from "@/core/fitting";
import type { Derived } from "@/core/derive";
import type { Recut } from "@/core/derive/recut";
import { formatLength, keptText, parseLength, tell, type Sentence as Says, type Tape } from "@/core/units";
import { Choice } from "@/ui/Choice";
import { LengthField } from "@/ui/LengthField";
import { Sentence } from "@/ui/Sentence";
import { PaneHeading } from "@/ui/StageLayout";
import type { Draft, Settled } from "./draft";

const PINNED: readonly (readonly [string, string, Pick<Draft, "pinned" | "alone">])[] = [
  ["both", "both sides", { pinned: "both", alone: false }],
  ["right", "right, mirrored", { pinned: "right", alone: false }],
  ["left", "left, mirrored", { pinned: "left", alone: false }],
  ["right alone", "right alone", { pinned: "right", alone: true }],
  ["left alone", "left alone", { pinned: "left", alone: true }],
];

interface Props {
  /** Corrections that change this pattern; null while they are worked out. */
  readonly cures: readonly Cure[] | null;
  readonly before: Derived | null;
  readonly tape: Tape;
  readonly draft: Settled;
  readonly made: Corrected | { readonly refused: Says } | null;
  /** Pieces of good cloth that are cut already and would be void. */
  readonly voided: readonly string[];
  /** Whether they can be cut again; null while that is looked at. */
  readonly recut: Recut | null;
  readonly onChange: (draft: Draft) => void;
  readonly onApply: () => void;
  readonly onLeave: () => void;
}

/** Whether void pieces can be cut again, in words. */
function recutWords(recut: Exclude<Recut, { kind: "unknown" }>, tape: Tape): string {
  if (recut.kind === "none") return "Nothing that is left of the remnant takes them.";
  const [needs, left] = [formatLength(recut.needs, tape), formatLength(recut.left, tape)];
  if (recut.kind === "short")
    return phrase`What is left does not do: ${needs} are needed, ${left} are left over the whole width.`;
  return recut.on === "width"
    ? phrase`They can be cut again from what is left: ${needs} of ${left}, whole width.`
    : phrase`They can be cut again from a part that is left beside the pieces: ${needs} of its ${left}.`;
}

/** What cures a symptom, by how much, what that changes, and taking it over with its note. */
export function CurePane(props: Props) {
  const { cures, before, tape, draft, made, voided, recut, onChange } = props;
  const symptom: Symptom = symptomOf(draft.seen);
  const corrected = made && "panels" in made ? made : null;
  const changed =
    before && corrected
      ? readingRows(corrected.readings).flatMap(({ label, read }) => {
          const [was, is] = [read(before.readings), read(corrected.readings)];
          return was !== null && is !== null && Math.abs(was - is) > 0.4 ? [[label, was, is] as const] : [];
        })
      : [];
  const isAsked = Object.values(draft.amounts).some((mm) => mm > 0);
  return (
    <section aria-label="What cures it">
      <PaneHeading>{capital(symptom.label)}: what cures it</PaneHeading>
      {cures?.length === 0 ? (
        <p style={{ margin: 0 }}>
          Nothing of this garment’s construction answers that. Restyle it, or check the card: is it the body or the
          pattern?
        </p>
      ) : null}
      {cures?.map(({ n, correction }) => {
        const mm = draft.amounts[n] ?? 0;
        return (
          <div
            key={correction.label}
            style={{
              display: "grid",
              gridTemplateColumns: "1fr 104px",
              gap: 8,
              alignItems: "start",
              minHeight: 38,
              color: mm === 0 ? "var(--quiet)" : undefined,
              fontWeight: mm === 0 ? 450 : 650,
            }}
          >
            <span style={{ paddingTop: 6 }}>{correction.label}</span>
            <LengthField
              label={correction.label}
              hideLabel
              text={formatLength(mm, tape)}
              unit={tape}
              tape={tape}
              onCommit={(text) => {
                const read = parseLength(keptText(text, tape, tape), tape);
                if (read.ok) onChange({ ...draft, amounts: { ...draft.amounts, [n]: Math.max(0, read.mm) } });
              }}
            />
          </div>
        );
      })}
      <Choice
        label="Pinned on"
        value={draft.alone ? phrase`${draft.pinned} alone` : draft.pinned}
        options={PINNED.map(([value, words]) => [value, words] as const)}
        width={136}
        onChange={(value) => onChange({ ...draft, ...PINNED.find(([v]) => v === value)?.[2] })}
      />
      <TextField
        multiline
        minRows={1}
        maxRows={4}
        fullWidth
        value={draft.words}
        placeholder="In your own words"
        onChange={(event) => onChange({ ...draft, words: event.target.value })}
        slotProps={{ htmlInput: { "aria-label": "In your own words", maxLength: 500 } }}
        sx={{ mt: 1, mb: 1.5 }}
      />
      <PaneHeading>What changes</PaneHeading>
      {made && "refused" in made ? (
        <p role="alert" style={{ borderLeft: "4px solid var(--look)", paddingLeft: 10, margin: "0 0 10px" }}>
          {tell(made.refused, tape)}
        </p>
      ) : null}
      <table style={{ width: "100%", borderCollapse: "collapse" }} aria-label="What changes">
        <tbody>
          {changed.map(([label, was, is]) => (
            <tr key={label} style={{ borderBottom: "1px solid var(--rule)", height: 30 }}>
              <th scope="row" style={{ textAlign: "left", fontWeight: 450 }}>
                {label}
              </th>
              <td style={{ textAlign: "right" }}>
                {formatLength(was, tape)} to <b>{formatLength(is, tape)}</b>
              </td>
            </tr>
          ))}
          {corrected ? (
            <tr style={{ borderBottom: "1px solid var(--rule)", height: 30 }}>
              <th scope="row" style={{ textAlign: "left", fontWeight: 450 }}>
                Cut already
              </th>
              <td style={{ textAlign: "right", color: voided.length > 0 ? "var(--look)" : undefined }}>
                {voided.length > 0 ? phrase`void: ${listOf(voided)}` : "nothing is void"}
              </td>
            </tr>
          ) : null}
        </tbody>
      </table>
      {voided.length > 0 && recut ? (
        <p aria-live="polite" style={{ margin: "8px 0", lineHeight: 1.4 }}>
          {recut.kind === "unknown" ? <Sentence says={recut.why} tape={tape} /> : recutWords(recut, tape)}
        </p>
      ) : null}
      {corrected && corrected.checks.length > 0 ? (
        <ul aria-label="Checks that change" style={{ margin: "8px 0", padding: 0, listStyle: "none", lineHeight: 1.4 }}>
          {corrected.checks.map((check) => (
            <li
              key={check.id}
              style={{ borderLeft: `4px solid var(--${check.status})`, paddingLeft: 8, marginBottom: 5, fontSize: 13 }}
            >
              <Sentence says={check.message} tape={tape} />
            </li>
          ))}
        </ul>
      ) : null}
      <div style={{ display: "flex", gap: 8, marginTop: 12 }}>
        <Button variant="contained" disabled={!corrected || !isAsked} onClick={props.onApply}>
          Apply, with this note
        </Button>
        <Button variant="outlined" onClick={props.onLeave}>
          Leave it
        </Button>
      </div>
    </section>
  );
}
