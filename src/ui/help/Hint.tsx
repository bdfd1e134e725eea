"use client";
import { phrase } from "@/core/words";
import { useEffect, useMemo, useRef, useState } from "react";
import { hintDone, leaveHints, useHints } from "@/store/hintStore";
import { useView } from "@/store/viewStore";
import { useOpenJob } from "../JobContext";
import { Quiet } from "../Quiet";
import { STAGES, type StageId } from "../stages";
import { GUIDE, type Seen } from "./guide";

/** The first thing to try in a stage, until it was done; then that it was, and where the work goes on. */
export function Hint({ stage }: { readonly stage: StageId }) {
  const { wanted, done } = useHints();
  if (!wanted) return null;
  return <ShownHint key={stage} stage={stage} wasDone={done.includes(stage)} />;
}

function ShownHint({ stage, wasDone }: { readonly stage: StageId; readonly wasDone: boolean }) {
  const { job } = useOpenJob();
  const isPulling = useView((v) => v.pull !== null);
  const tool = useView((v) => v.tool);
  const turned = useView((v) => v.turned);
  const now = useMemo((): Seen => ({ job, isPulling, tool, turned }), [job, isPulling, tool, turned]);
  const then = useRef(now);
  const { first, isDone } = GUIDE[stage];
  // What was done before this stage was opened again is not told a second time.
  const [isShown] = useState(!wasDone);
  useEffect(() => {
    if (!wasDone && isDone(then.current, now)) hintDone(stage);
  }, [now, wasDone, isDone, stage]);
  if (!isShown) return null;
  const next = STAGES[STAGES.findIndex(({ id }) => id === stage) + 1];
  return (
    <div
      role="status"
      style={{
        borderLeft: "4px solid var(--chalk)",
        background: "var(--chalk-wash)",
        padding: "8px 12px",
        margin: "0 0 12px",
        lineHeight: 1.4,
      }}
    >
      {wasDone ? (
        <>
          <b>That is how.</b> {next ? phrase`Then on to ${next.label}.` : "Those are all the stages."}
        </>
      ) : (
        <>
          <b>Try it.</b> {first}
        </>
      )}{" "}
      <Quiet onPress={leaveHints}>No more hints</Quiet>
    </div>
  );
}
