"use client";
import { nanoid } from "nanoid";
import { useSnackbar } from "notistack";
import Button from "@mui/material/Button";
import Link from "next/link";
import { useDeferredValue, useMemo, useState } from "react";
import { deriveShape, type Derived, type Shape } from "@/core/derive";
import { changeOf, corrected, curesOf, symptomsOf, type Learned } from "@/core/derive/correcting";
import { jobOfVersion, MOST_VERSIONS, takeOver, versionOf } from "@/core/derive/versions";
import { cutByNow, toileOf, type EntryKind } from "@/core/diary";
import { isOf, placeOfCure, SYMPTOMS, symptomOf, type Fitting, type Symptom } from "@/core/fitting";
import type { Job, Version } from "@/core/files";
import { formatLength, type Tape } from "@/core/units";
import { changeJob, undo } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "@/ui/JobContext";
import { PaneTabs } from "@/ui/PaneTabs";
import { FaultNote } from "@/ui/ProofPane";
import { Quiet } from "@/ui/Quiet";
import { ReadingsTable } from "@/ui/ReadingsPane";
import { PaneHeading, StageLayout } from "@/ui/StageLayout";
import { AddEntry } from "./AddEntry";
import { AppliedList } from "./AppliedList";
import { CurePane, type Draft } from "./CurePane";
import { EntryList } from "./EntryList";
import { LearnedList } from "./LearnedList";
import { OverTable, type Mark, type Pressed } from "./OverTable";
import { SymptomGrid } from "./SymptomGrid";
import { useDiary } from "./useDiary";
import { NOW, VersionLine } from "./VersionLine";

type Part = "fitting" | "versions";

/** How many of what can be seen are shown before more are asked for. */
const NEAREST = 6;

/** A fitting thought over: corrections of the first choice, as far as this garment's construction has them. */
const startOf = (symptom: Symptom, job: Job, shape: Shape): Draft => {
  const { id: seen } = symptom;
  const amounts = curesOf(job, shape, symptom)
    .filter(({ correction }) => correction.first)
    .map(({ correction, usual }) => [symptom.cures.indexOf(correction), usual]);
  return { seen, amounts: Object.fromEntries(amounts) as Draft["amounts"], pinned: "both", words: "" };
};

/** The fitting a draft comes to; null while nothing of it is asked. */
function fittingOf(draft: Draft, id: string, date: string): Fitting | null {
  const { cures } = symptomOf(draft.seen);
  const changes = Object.entries(draft.amounts).flatMap(([n, mm]) => {
    const correction = cures[Number(n)];
    return correction && mm > 0 ? [changeOf(correction, mm)] : [];
  });
  return changes.length === 0
    ? null
    : { id, date, seen: draft.seen, pinned: draft.pinned, words: draft.words.trim(), changes };
}

/** What is changed, in words beside its place on the pattern. */
const marksOf = (draft: Draft, tape: Tape): readonly Mark[] =>
  symptomOf(draft.seen).cures.flatMap((cure, n): Mark[] => {
    const mm = draft.amounts[n] ?? 0;
    const place = placeOfCure(cure);
    if (mm === 0 || !place) return [];
    return [{ root: place[0], landmark: place[1], words: `${cure.label.toLowerCase()} ${formatLength(mm, tape)}` }];
  });

/** Stage 7: what happened to the garment, what fittings change of its pattern, and its versions. */
export default function DiaryPage() {
  const { id, job, shape, proof } = useOpenJob();
  const tape = useView((v) => v.tape);
  const { enqueueSnackbar } = useSnackbar();
  const diary = useDiary(id);
  const [part, setPart] = useState<Part>("fitting");
  const [chosen, setChosen] = useState<string | null>(null);
  const [pressed, setPressed] = useState<Pressed | null>(null);
  const [all, setAll] = useState(false);
  const [draft, setDraft] = useState<Draft | null>(null);
  const [[first, second], setCompared] = useState<readonly [string, string]>([NOW, NOW]);
  const [today] = useState(() => new Date().toLocaleDateString("sv-SE"));
  const entries = useMemo(() => (diary.pages ?? []).map((p) => p.entry), [diary.pages]);
  const before = useMemo((): Derived | null => (shape && proof ? { ...shape, ...proof } : null), [shape, proof]);
  const asked = useDeferredValue(draft);
  const made = useMemo(() => {
    const fitting = asked && fittingOf(asked, "trial", today);
    return before && fitting ? corrected(job, before, fitting) : null;
  }, [asked, before, job, today]);
  const after = made && "after" in made ? made.after : null;
  const cut = useMemo(() => cutByNow(entries), [entries]);
  const voided = useMemo(() => {
    const { recut = [] } = made && "after" in made ? made : {};
    return (before?.pieces ?? []).filter((p) => cut.has(p.id) && recut.includes(p.id)).map((p) => p.name.toLowerCase());
  }, [made, before, cut]);
  const marks = !after || !asked ? [] : marksOf(asked, tape);
  const symptoms = useMemo(() => symptomsOf(SYMPTOMS, shape?.panels ?? [], pressed), [shape, pressed]);
  const compared = useMemo(() => {
    const shapeOf = (which: string) => {
      const version = job.versions?.find((v) => v.id === which);
      const drawn = deriveShape(version ? jobOfVersion(job, version) : job);
      return drawn.ok ? drawn : null;
    };
    return part === "versions" ? { first: shapeOf(first), second: shapeOf(second) } : null;
  }, [part, job, first, second]);

  const stamp = (name: string): Version => versionOf(job, nanoid(8), name, today);

  function keepVersion(name: string, date: string): void {
    const version = versionOf(job, nanoid(8), name, date);
    changeJob((now) => {
      now.versions = [...(now.versions ?? []), version];
    });
  }

  async function write({ kind, date, words }: { kind: EntryKind; date: string; words: string }): Promise<void> {
    const isCut = kind === "cutting";
    await diary.add({
      kind,
      date,
      words,
      pattern: stamp(job.versions?.at(-1)?.name ?? "as it was"),
      card: job.body,
      ...(job.cloth?.name && { cloth: job.cloth.name }),
      ...(isCut && { cut: (before?.pieces ?? []).map((p) => p.id) }),
      ...(kind === "toile" && { passed: false }),
      photos: [],
    });
  }

  function pass(page: Parameters<typeof diary.change>[0], passed: boolean): void {
    void diary.change(page, { passed });
    if (!passed || (job.versions?.length ?? 0) >= MOST_VERSIONS) return;
    // A toile that is passed is a version: what is cut from good cloth can be told from it ever after.
    keepVersion("Toile passed", page.entry.date);
  }

  function apply(): void {
    const fitting = draft && fittingOf(draft, nanoid(8), today);
    if (!fitting) return;
    changeJob((now) => {
      now.fittings = [...(now.fittings ?? []), fitting];
    });
    void diary.add({
      kind: "fitting",
      date: today,
      words: [capital(symptomOf(fitting.seen).label), fitting.words].filter(Boolean).join(". "),
      pattern: stamp("before the fitting"),
      ...(voided.length > 0 && { cut: [] }),
      fitting: fitting.id,
      photos: [],
    });
    setDraft(null);
    enqueueSnackbar(
      voided.length > 0
        ? `The pattern is changed. Void, to be cut again: ${voided.join(", ")}.`
        : "The pattern is changed, with its note.",
      { action: () => <Button onClick={() => undo()}>Undo</Button> },
    );
  }

  const has = ({ seen, label }: Learned): boolean => {
    const cure = symptomOf(seen).cures.find((c) => c.label === label);
    return (job.fittings ?? []).some((f) => f.changes.some((change) => cure !== undefined && isOf(cure, change)));
  };

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
            <>
              <EntryList
                name={job.name}
                pages={diary.pages ?? []}
                unreadable={diary.unreadable}
                busy={diary.busy}
                chosen={chosen}
                onChoose={setChosen}
                onPass={pass}
                onRemove={(page) => void diary.remove(page)}
                onPhotos={(page, files) => void diary.addPhotos(page, files)}
                onDropPhoto={(page, photo) => void diary.dropPhoto(page, photo)}
              />
              <LearnedList
                id={id}
                wearer={job.body.name}
                tape={tape}
                has={has}
                onTake={(learned) =>
                  changeJob((now) => {
                    now.fittings = [
                      ...(now.fittings ?? []),
                      {
                        id: nanoid(8),
                        date: today,
                        seen: learned.seen,
                        pinned: "both",
                        words: `From ${learned.times} garments before.`,
                        changes: [learned.change],
                      },
                    ];
                  })
                }
              />
              <div style={{ marginTop: 12 }}>
                <AddEntry today={today} onAdd={(written) => void write(written)} />
              </div>
              <p style={{ margin: "16px 0 0", color: "var(--quiet)" }}>
                <Link href="/practice" style={{ color: "var(--text)" }}>
                  Practise finding mistakes
                </Link>{" "}
                in patterns that have one.
              </p>
            </>
          ) : (
            <VersionLine
              job={job}
              cut={
                new Set(entries.filter((e) => e.kind === "cutting").flatMap((e) => (e.pattern ? [e.pattern.id] : [])))
              }
              first={first}
              second={second}
              onChoose={(a, b) => setCompared([a, b])}
              onKeep={(name) => keepVersion(name || `Version ${(job.versions?.length ?? 0) + 1}`, today)}
              onReturn={(version) => {
                changeJob((now) => takeOver(now, version));
                enqueueSnackbar(`Back at “${version.name}”.`, {
                  action: () => <Button onClick={() => undo()}>Undo</Button>,
                });
              }}
              onName={(version, name) =>
                changeJob((now) => {
                  const own = now.versions?.find((v) => v.id === version.id);
                  if (own) own.name = name;
                })
              }
            />
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
          <OverTable
            label="Pattern on the table, before and after"
            before={shape.panels}
            after={after?.panels ?? null}
            pressed={pressed}
            marks={marks}
            onPress={setPressed}
            note={after ? "Before pale, after bold." : "Press where it pulls; what is seen there comes first."}
          />
        ) : (
          <p style={{ padding: 32, color: "var(--quiet)" }}>Waist and hip on the card, and the pattern lies here.</p>
        )
      }
      readings={
        compared?.first && compared.second ? (
          <ReadingsTable before={compared.first.readings} now={compared.second.readings} tape={tape} first="first" />
        ) : (
          <>
            <PaneHeading>What you see{pressed ? `, near where you pressed on the ${pressed.root}` : ""}</PaneHeading>
            <SymptomGrid
              symptoms={shown}
              chosen={draft?.seen ?? null}
              onChoose={(symptom) => shape && setDraft(startOf(symptom, job, shape))}
            />
            {symptoms.length > NEAREST ? (
              <p style={{ margin: "6px 0 12px" }}>
                <Quiet onPress={() => setAll(!all)}>{all ? "The nearest only" : "All that can be seen"}</Quiet>
              </p>
            ) : null}
            {draft && shape ? (
              <CurePane
                job={job}
                shape={shape}
                before={before}
                tape={tape}
                draft={draft}
                made={made}
                voided={voided}
                onChange={setDraft}
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

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
