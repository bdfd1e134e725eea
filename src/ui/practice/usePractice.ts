"use client";
import { useCallback, useEffect, useState } from "react";
import { fromDrawn, MISTAKES, MOST_LEVEL, type Exercise } from "@/core/derive/practice";
import { readJob, type Job } from "@/core/files";
import { listJobs } from "@/store/database";
import { findPractice, keepExercise, type PracticeRecord } from "@/store/practiceStore";
import { WORKED_EXAMPLES } from "@/store/workedExamples";
import { exerciseFrom } from "@/workers/client";

export type Source = "examples" | "own";

const examples = (): readonly Job[] =>
  WORKED_EXAMPLES.flatMap(({ job }) => {
    const read = readJob(job);
    return read.kind === "job" ? [read.job] : [];
  });

/** Found so often one after the other, the next exercise is one level harder. */
const FOUND_A_LEVEL = 3;

export const levelOf = (record: PracticeRecord | null): number =>
  Math.min(MOST_LEVEL, Math.floor((record?.run ?? 0) / FOUND_A_LEVEL));

/** Exercises one after the other, kinds that were missed more often than others, and how it went so far. */
export function usePractice(source: Source) {
  const [record, setRecord] = useState<PracticeRecord | null>(null);
  const [exercise, setExercise] = useState<Exercise | null>(null);
  const [isEmpty, setEmpty] = useState(false);
  const draw = useCallback(async (from: Source, seed: number) => {
    const [kept, jobs] = await Promise.all([
      findPractice(),
      from === "examples" ? examples() : listJobs().then((shelf) => shelf.records.map((r) => r.job)),
    ]);
    const weights = Object.fromEntries(
      MISTAKES.map(({ id }) => {
        const own = kept.kinds[id];
        return [id, own ? 0.5 + (2 * (own.met - own.found)) / own.met : 1];
      }),
    );
    const drawn = await exerciseFrom(jobs, seed, levelOf(kept), weights);
    const next = drawn && fromDrawn(drawn);
    setRecord(kept);
    setExercise(next);
    setEmpty(next === null);
  }, []);
  useEffect(() => {
    let wanted = true;
    const start = setTimeout(() => wanted && void draw(source, Date.now() % 1_000_000), 0);
    return () => {
      wanted = false;
      clearTimeout(start);
    };
  }, [source, draw]);
  const answer = useCallback(
    (isFound: boolean): void => void keepExercise(exercise?.mistake.id ?? "", isFound).then(setRecord, () => undefined),
    [exercise],
  );
  const next = (): void => {
    setExercise(null);
    void draw(source, Date.now() % 1_000_000);
  };
  return { exercise, isEmpty, record, answer, next };
}
