"use client";
import Checkbox from "@mui/material/Checkbox";
import { nanoid } from "nanoid";
import { useEffect, useState } from "react";
import { cuttingEntry } from "@/core/derive/versions";
import { toileOf } from "@/core/diary";
import type { Derived } from "@/core/derive";
import { keepEntry, listEntries } from "@/store/diaryStore";
import { changeJob } from "@/store/jobStore";
import type { MakingProgress } from "@/store/makingStore";
import { useOpenJob } from "@/ui/JobContext";
import { Quiet } from "@/ui/Quiet";

/** The cutting among what is done: it stands before every step of the order. */
const CUT = "cut";

interface Props {
  readonly pieces: Derived["pieces"];
  readonly progress: MakingProgress | null;
  readonly today: string;
  readonly onChange: (recipe: (now: MakingProgress) => MakingProgress) => void;
}

/** Cutting the good cloth: it waits for a toile that was passed, unless its maker says otherwise. */
export function CutGate({ pieces, progress, today, onChange }: Props) {
  const { id, job } = useOpenJob();
  const [toile, setToile] = useState<ReturnType<typeof toileOf> | null>(null);
  useEffect(() => {
    let wanted = true;
    listEntries(id).then(
      ({ entries }) => wanted && setToile(toileOf(entries.map((e) => e.entry))),
      () => wanted && setToile("none"),
    );
    return () => {
      wanted = false;
    };
  }, [id]);
  const isDone = progress?.done[CUT] !== undefined;
  const waits = job.making?.gate !== "none" && toile !== "passed";
  const count = pieces.filter((p) => p.material === "shell").reduce((sum, p) => sum + p.cut.count, 0);

  /** What was cut, and from which pattern, stands in the diary from then on. */
  async function writeDown(): Promise<void> {
    const { entries } = await listEntries(id);
    if (entries.some((e) => e.entry.kind === "cutting")) return;
    await keepEntry(nanoid(10), id, cuttingEntry(job, pieces, { id: nanoid(8), date: today, words: "" }));
  }

  return (
    <div
      style={{
        display: "grid",
        gridTemplateColumns: "40px 1fr",
        gap: 10,
        alignItems: "center",
        borderBottom: "1px solid var(--rule)",
        margin: "0 24px",
        minHeight: 62,
      }}
    >
      <Checkbox
        checked={isDone}
        disabled={!isDone && (waits || toile === null)}
        slotProps={{ input: { "aria-label": "Good cloth is cut" } }}
        onChange={() => {
          if (!isDone) void writeDown().catch(() => undefined);
          onChange((now) => {
            const { [CUT]: had, ...rest } = now.done;
            return {
              ...now,
              done: had ? rest : { ...now.done, [CUT]: { at: new Date().toISOString(), minutes: null } },
            };
          });
        }}
      />
      <div style={{ lineHeight: 1.4 }}>
        <span style={{ textDecoration: isDone ? "line-through" : undefined }}>
          Cut the good cloth, {count} {count === 1 ? "piece" : "pieces"} of it.
        </span>
        {!isDone && waits && toile !== null ? (
          <div style={{ color: "var(--look)", fontSize: 13 }}>
            {toile === "failed" ? "The toile was not passed." : "No toile was passed yet."} Sew one of old cloth, try it
            on and pass it in the diary, or{" "}
            <Quiet onPress={() => changeJob((draft) => void (draft.making = { ...draft.making, gate: "none" }))}>
              cut without a toile
            </Quiet>
            .
          </div>
        ) : null}
        {!isDone && job.making?.gate === "none" && toile !== "passed" ? (
          <div style={{ color: "var(--quiet)", fontSize: 13 }}>
            Cut without a toile, as you said.{" "}
            <Quiet onPress={() => changeJob((draft) => void (draft.making = { ...draft.making, gate: "toile" }))}>
              Wait for one after all
            </Quiet>
          </div>
        ) : null}
      </div>
    </div>
  );
}
