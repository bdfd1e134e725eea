"use client";
import { inSentence, phrase } from "@/core/words";
import { useView } from "@/store/viewStore";
import { Sentence } from "@/ui/Sentence";
import Checkbox from "@mui/material/Checkbox";
import { entryLength, entryNet, isEmptyCard, measureOf, missingMeasures, type MeasureKey } from "@/core/body";
import { changeJob } from "@/store/jobStore";
import { useOpenJob } from "@/ui/JobContext";
import { FaultNote } from "@/ui/ProofPane";
import { PaneHeading } from "@/ui/StageLayout";

/** Marks a girth as net, or as holding its ease already. */
function setNet(key: MeasureKey, net: boolean): void {
  changeJob((draft) => {
    const entry = draft.body.measures[key];
    if (entry === undefined) return;
    const length = entryLength(entry);
    draft.body.measures[key] = net ? length : { length, net: false };
  });
}

/** How to take the measure in focus, and what on the card is worth asking. */
export function MeasureHelp({ focus }: { readonly focus: MeasureKey }) {
  const tape = useView((v) => v.tape);
  const { job, shape, fault } = useOpenJob();
  const measure = measureOf(focus);
  // A measure that is not written yet is no mistake; one that cannot be read is.
  const lacking = missingMeasures(job.body);
  const unwritten = fault?.errors.every((e) => lacking.some((m) => e.path === `body.measures.${m.key}`)) ?? false;
  const missing = unwritten ? lacking.map((m) => inSentence(m.label)) : [];
  const estimated = shape ? Object.values(shape.measures).filter((m) => m.source === "estimated").length : 0;
  return (
    <>
      <PaneHeading>How to take it</PaneHeading>
      <p style={{ margin: "0 0 6px", fontSize: 16 }}>
        <b>{measure.label}.</b> {measure.how}
      </p>
      <p style={{ margin: "0 0 18px", color: "var(--quiet)" }}>Used for {measure.use}.</p>
      {measure.kind === "girth" && job.body.measures[focus] !== undefined ? (
        <label style={{ display: "flex", alignItems: "center", gap: 4, margin: "-8px 0 14px", cursor: "pointer" }}>
          <Checkbox
            size="small"
            checked={!entryNet(job.body.measures[focus])}
            onChange={(event) => setNet(focus, !event.target.checked)}
            sx={{ p: 0.5 }}
          />
          This girth already holds its ease; add no more
        </label>
      ) : null}
      {missing.length > 0 ? (
        <p role="status" style={{ margin: "0 0 14px", fontSize: 16 }}>
          {isEmptyCard(job.body)
            ? "Waist and hip are enough for a first pattern; what else you measure makes it yours."
            : phrase`Still needed for a pattern: ${missing.join(", ")}.`}
        </p>
      ) : (
        <FaultNote />
      )}
      {shape && shape.questions.length > 0 ? (
        <section aria-label="Questions">
          <PaneHeading>Worth asking</PaneHeading>
          {shape.questions.map((q, i) => (
            <p key={q.measure + i} style={{ margin: "0 0 8px", borderLeft: "4px solid var(--look)", paddingLeft: 10 }}>
              <Sentence says={q.message} tape={tape} />
            </p>
          ))}
        </section>
      ) : null}
      <p style={{ color: "var(--quiet)" }}>
        {estimated > 0
          ? phrase`${estimated} measures are estimates, in slanted type. Measure them before cutting good cloth: what rests on them is printed with the pattern.`
          : shape
            ? "Every measure is taken."
            : null}
      </p>
      <p style={{ color: "var(--quiet)" }}>
        Tie a tape round the waist first; every length starts at that tape. Write lengths as you would on paper: 28 3/8,
        72,5 cm, 725mm.
      </p>
    </>
  );
}
