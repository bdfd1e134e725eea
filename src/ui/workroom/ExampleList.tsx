"use client";
import { phrase } from "@/core/words";
import Button from "@mui/material/Button";
import { useSnackbar } from "notistack";
import { useEffect, useMemo, useState } from "react";
import type { Job } from "@/core/files";
import { MiniOutline } from "../MiniOutline";
import { useMiniatures } from "../useMiniatures";

interface Example {
  readonly id: string;
  readonly teaches: string;
  readonly job: Job;
}

const NONE: readonly Example[] = [];

/** The worked examples, fetched when they are first looked at; none until they are, and said where they cannot be. */
function useExamples(): readonly Example[] {
  const { enqueueSnackbar } = useSnackbar();
  const [examples, setExamples] = useState(NONE);
  useEffect(() => {
    let wanted = true;
    void Promise.all([import("@/store/workedExamples"), import("@/store/reading")]).then(
      ([{ WORKED_EXAMPLES }, { readRecords }]) => {
        const { records } = readRecords(
          "jobs",
          WORKED_EXAMPLES.map(({ id, job }) => ({ id, version: 1, job })),
        );
        const read = WORKED_EXAMPLES.flatMap(({ id, teaches }) => {
          const job = records.find((r) => r.id === id)?.job;
          return job ? [{ id, teaches, job }] : [];
        });
        if (wanted) setExamples(read);
      },
      () =>
        void enqueueSnackbar(phrase`The worked examples could not be loaded. Load this page again.`, {
          variant: "error",
        }),
    );
    return () => {
      wanted = false;
    };
  }, [enqueueSnackbar]);
  return examples;
}

/** Garments worked through, each with what it teaches; one opens as a copy. */
export function ExampleList({ onCopy }: { readonly onCopy: (job: Job) => void }) {
  const examples = useExamples();
  const jobs = useMemo(() => examples.map((e) => e.job), [examples]);
  const drawn = useMiniatures(jobs);
  return (
    <ul
      style={{
        listStyle: "none",
        margin: 0,
        padding: 0,
        display: "grid",
        gridTemplateColumns: "repeat(auto-fill, minmax(270px, 1fr))",
        gap: 16,
      }}
    >
      {examples.map(({ id, teaches, job }, i) => (
        <li
          key={id}
          style={{
            display: "grid",
            gridTemplateColumns: "92px 1fr",
            gap: 12,
            padding: 12,
            background: "var(--panel)",
            border: "1px solid var(--rule)",
            borderRadius: 6,
          }}
        >
          <div style={{ height: 96, display: "grid", placeItems: "center" }}>
            {drawn[i] ? <MiniOutline panels={drawn[i].panels} width={88} height={94} /> : null}
          </div>
          <div style={{ display: "flex", flexDirection: "column", alignItems: "flex-start", gap: 4 }}>
            <b style={{ lineHeight: 1.25 }}>{job.name}</b>
            <span style={{ color: "var(--quiet)", lineHeight: 1.35, flex: 1 }}>{teaches}</span>
            <Button
              size="small"
              sx={{ px: 0 }}
              onClick={() => onCopy(job)}
              aria-label={phrase`Open a copy of ${job.name}`}
            >
              Open a copy
            </Button>
          </div>
        </li>
      ))}
    </ul>
  );
}
