"use client";
import { phrase } from "@/core/words";
import { nanoid } from "nanoid";
import Link from "next/link";
import { useState } from "react";
import type { Derived } from "@/core/derive";
import { cuttingEntry, entryOf, MOST_VERSIONS } from "@/core/derive/versions";
import type { EntryKind } from "@/core/diary";
import type { Job } from "@/core/files";
import { isOf, symptomOf, type Learned } from "@/core/fitting";
import type { Tape } from "@/core/units";
import { changeJob } from "@/store/jobStore";
import { AddEntry } from "./AddEntry";
import { EntryList } from "./EntryList";
import { keepVersion } from "./keepVersion";
import { LearnedList } from "./LearnedList";
import type { useDiary } from "./useDiary";

interface Props {
  readonly id: string;
  readonly job: Job;
  readonly diary: ReturnType<typeof useDiary>;
  /** The garment as it stands; null until it is worked out. */
  readonly before: Derived | null;
  readonly today: string;
  readonly tape: Tape;
}

/** The pages of a job's diary, what its wearer's fittings have taught, and a new page. */
export function DiaryPages({ id, job, diary, before, today, tape }: Props) {
  const [chosen, setChosen] = useState<string | null>(null);

  async function write({ kind, date, words }: { kind: EntryKind; date: string; words: string }): Promise<void> {
    const about = { id: nanoid(8), date, words };
    await diary.add(
      kind === "cutting"
        ? cuttingEntry(job, before?.pieces ?? [], about)
        : { ...entryOf(job, kind, about), ...(kind === "toile" && { passed: false }) },
    );
  }

  function pass(page: Parameters<typeof diary.change>[0], passed: boolean): void {
    void diary.change(page, { passed });
    if (!passed || (job.versions?.length ?? 0) >= MOST_VERSIONS) return;
    // A toile that is passed is a version: what is cut from good cloth can be told from it ever after.
    keepVersion(job, "Toile passed", page.entry.date);
  }

  const has = ({ seen, label }: Learned): boolean => {
    const cure = symptomOf(seen).cures.find((c) => c.label === label);
    return (job.fittings ?? []).some((f) => f.changes.some((change) => cure !== undefined && isOf(cure, change)));
  };

  return (
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
                words: phrase`From ${learned.times} garments before.`,
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
  );
}
