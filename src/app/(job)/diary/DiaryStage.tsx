"use client";
import { capital, phrase } from "@/core/words";
import { nanoid } from "nanoid";
import { useSnackbar } from "notistack";
import { useCallback, useMemo, useState } from "react";
import type { Derived } from "@/core/derive";
import { becomes, takeOver, versionOf } from "@/core/derive/versions";
import { toileOf } from "@/core/diary";
import { SYMPTOMS, symptomOf, symptomsOf } from "@/core/fitting";
import { changeJob } from "@/store/jobStore";
import { localDay } from "@/store/localDay";
import { useView } from "@/store/viewStore";
import { UNDOABLE } from "@/ui/undoable";
import { dayOf } from "@/ui/dayOf";
import { useOpenJob } from "@/ui/JobContext";
import { PaneTabs } from "@/ui/PaneTabs";
import { FaultNote } from "@/ui/ProofPane";
import { Quiet } from "@/ui/Quiet";
import { ReadingsTable } from "@/ui/ReadingsPane";
import { useAsked } from "@/ui/useAsked";
import { curesFor } from "@/workers/client";
import { PaneHeading, StageLayout } from "@/ui/StageLayout";
import { AppliedList } from "./AppliedList";
import { CurePane } from "./CurePane";
import { amountsOf, fittingOf, startOf, type Draft, type Settled } from "./draft";
import { DaysList } from "./DaysList";
import { DiaryPages } from "./DiaryPages";
import { FigurePress } from "./FigurePress";
import { OverTable, type Pressed } from "./OverTable";
import { SymptomGrid } from "./SymptomGrid";
import { useCompared } from "./useCompared";
import { keepVersion } from "./keepVersion";
import { useDiary } from "./useDiary";
import { useTrial } from "./useTrial";
import { NOW, VersionLine } from "./VersionLine";

type Part = "fitting" | "versions";
type Look = "pattern" | "wearer";

/** How many of what can be seen are shown before more are asked for. */
const NEAREST = 6;

/** Stage 7: what happened to the garment, what fittings change of its pattern, and its versions. */
export function DiaryStage() {
  const { id, job, shape, proof } = useOpenJob();
  const tape = useView((v) => v.tape);
  const { enqueueSnackbar } = useSnackbar();
  const diary = useDiary(id);
  const [part, setPart] = useState<Part>("fitting");
  const [pressed, setPressed] = useState<Pressed | null>(null);
  const [look, setLook] = useState<Look>("pattern");
  const [all, setAll] = useState(false);
  const [draft, setDraft] = useState<Draft | null>(null);
  const [[first, second], setCompared] = useState<readonly [string, string]>([NOW, NOW]);
  const [today] = useState(() => localDay(new Date()));
  const entries = useMemo(() => (diary.pages ?? []).map((p) => p.entry), [diary.pages]);
  const before = useMemo((): Derived | null => (shape && proof ? { ...shape, ...proof } : null), [shape, proof]);
  const seen = draft?.seen ?? null;
  const readCures = useCallback(() => (seen ? curesFor(job, seen) : Promise.resolve([])), [job, seen]);
  const cures = useAsked(readCures, "What cures it could not be worked out.");
  const chosen = draft?.amounts ?? null;
  const amounts = useMemo(() => (cures ? amountsOf(chosen, cures) : {}), [chosen, cures]);
  const settled = useMemo((): Settled | null => draft && { ...draft, amounts }, [draft, amounts]);
  const { made, after, voided, recut, marks } = useTrial({ id, draft: settled, entries, job, today, tape });
  const symptoms = useMemo(() => symptomsOf(SYMPTOMS, shape?.panels ?? [], pressed), [shape, pressed]);
  const compared = useCompared(part === "versions" ? job : null, first, second);

  function apply(): void {
    const fitting = settled && fittingOf(settled, nanoid(8), today);
    if (!fitting) return;
    changeJob((now) => {
      now.fittings = [...(now.fittings ?? []), fitting];
    });
    void diary.add({
      kind: "fitting",
      date: today,
      words: [capital(symptomOf(fitting.seen).label), fitting.words].filter(Boolean).join(". "),
      pattern: versionOf(job, nanoid(8), "before the fitting", today),
      ...(voided.length > 0 && { cut: [] }),
      fitting: fitting.id,
      photos: [],
    });
    setDraft(null);
    enqueueSnackbar(
      voided.length > 0
        ? phrase`The pattern is changed. Void, to be cut again: ${voided.join(", ")}.`
        : "The pattern is changed, with its note.",
      UNDOABLE,
    );
  }

  const shown = all ? symptoms : symptoms.slice(0, NEAREST);
  return (
    <StageLayout
      worksheetLabel="Diary"
      worksheetWidth={268}
      worksheet={
        <>
          <FaultNote />
          <PaneTabs<Part>
            label="Fittings or versions"
            value={part}
            tabs={[
              ["fitting", "Fittings"],
              ["versions", "Versions"],
            ]}
            onChange={setPart}
          />
          {part === "fitting" ? (
            <DiaryPages id={id} job={job} diary={diary} before={before} today={today} tape={tape} />
          ) : (
            <>
              <VersionLine
                job={job}
                cut={
                  new Set(entries.filter((e) => e.kind === "cutting").flatMap((e) => (e.pattern ? [e.pattern.id] : [])))
                }
                first={first}
                second={second}
                onChoose={(a, b) => setCompared([a, b])}
                onKeep={(name) => keepVersion(job, name || phrase`Version ${(job.versions?.length ?? 0) + 1}`, today)}
                onReturn={(version) => {
                  changeJob((now) => takeOver(now, version));
                  enqueueSnackbar(phrase`Back at “${version.name}”.`, UNDOABLE);
                }}
                onName={(version, name) =>
                  changeJob((now) => {
                    const own = now.versions?.find((v) => v.id === version.id);
                    if (own) own.name = name;
                  })
                }
              />
              <DaysList
                id={id}
                onReturn={(then, date) => {
                  changeJob((now) => becomes(now, then));
                  enqueueSnackbar(phrase`Back at the end of ${dayOf(date)}.`, UNDOABLE);
                }}
              />
            </>
          )}
        </>
      }
      table={
        compared?.first ? (
          <OverTable
            label="Versions on the table"
            before={compared.first.panels}
            after={first === second ? null : (compared.second?.panels ?? null)}
            pressed={null}
            note={
              first === second
                ? "Choose two versions, and they lie over each other."
                : "The first pale, the second bold."
            }
          />
        ) : shape ? (
          <div style={{ display: "flex", flexDirection: "column", height: "100%" }}>
            <div style={{ padding: "6px 14px 0", width: 300 }}>
              <PaneTabs<Look>
                label="Where it is pressed"
                value={look}
                tabs={[
                  ["pattern", "On the pattern"],
                  ["wearer", "On the wearer"],
                ]}
                onChange={setLook}
              />
            </div>
            <div style={{ flex: 1, minHeight: 0, position: "relative" }}>
              {look === "wearer" ? (
                <FigurePress shape={shape} onPress={setPressed} />
              ) : (
                <OverTable
                  label="Pattern on the table, before and after"
                  before={shape.panels}
                  after={after?.panels ?? null}
                  pressed={pressed}
                  marks={marks}
                  onPress={setPressed}
                  note={after ? "Before pale, after bold." : "Press where it pulls; what is seen there comes first."}
                />
              )}
            </div>
          </div>
        ) : (
          <p style={{ padding: 32, color: "var(--quiet)" }}>Waist and hip on the card, and the pattern lies here.</p>
        )
      }
      readings={
        compared?.first && compared.second ? (
          <ReadingsTable before={compared.first.readings} now={compared.second.readings} tape={tape} first="first" />
        ) : (
          <>
            <PaneHeading>
              What you see{pressed ? phrase`, near where you pressed on the ${pressed.root}` : ""}
            </PaneHeading>
            <SymptomGrid
              symptoms={shown}
              chosen={draft?.seen ?? null}
              onChoose={(symptom) => shape && setDraft(startOf(symptom.id))}
            />
            {symptoms.length > NEAREST ? (
              <p style={{ margin: "6px 0 12px" }}>
                <Quiet onPress={() => setAll(!all)}>{all ? "The nearest only" : "All that can be seen"}</Quiet>
              </p>
            ) : null}
            {settled && shape ? (
              <CurePane
                cures={cures}
                before={before}
                tape={tape}
                draft={settled}
                made={made}
                voided={voided}
                recut={recut}
                // What is changed before the usual amounts are there changes none of them.
                onChange={(next) => setDraft(cures ? next : { ...next, amounts: null })}
                onApply={apply}
                onLeave={() => setDraft(null)}
              />
            ) : (
              <>
                {toileOf(entries) === "none" ? (
                  <p style={{ color: "var(--quiet)", lineHeight: 1.45 }}>
                    A toile of old cloth shows most of this before the good cloth is cut. Pin only what pulls, stand,
                    sit and walk, and change one thing at a time.
                  </p>
                ) : null}
                <AppliedList
                  fittings={job.fittings ?? []}
                  tape={tape}
                  onTakeBack={(gone) =>
                    changeJob((now) => {
                      now.fittings = now.fittings?.filter((f) => f.id !== gone);
                    })
                  }
                />
              </>
            )}
          </>
        )
      }
    />
  );
}
