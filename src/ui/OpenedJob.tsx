"use client";
import { phrase } from "@/core/words";
import dynamic from "next/dynamic";
import { useCallback, useDeferredValue, useEffect, useMemo, useState, type ReactNode } from "react";
import type { Job } from "@/core/files";
import { isOpen } from "@/core/inspect/check";
import { setView, useView } from "@/store/viewStore";
import { Commands } from "./Commands";
import { EditionNotice } from "./EditionNotice";
import { Header } from "./Header";
import { JobProvider, LiveJobProvider, type LiveJob, type OpenJob } from "./JobContext";
import { SaveNotice } from "./SaveNotice";
import { StageBar } from "./StageBar";
import { stageLabel, type StageId } from "./stages";
import { StoreNotice } from "./StoreNotice";
import { TapeRail, type Sign } from "./TapeRail";
import { useProof, useShape } from "./useDerived";
import { usePhone } from "./usePhone";

const HandOverDialog = dynamic(() => import("./handOver/HandOverDialog").then((m) => m.HandOverDialog), { ssr: false });

interface Props {
  readonly id: string;
  readonly job: Job;
  readonly stage: StageId;
  readonly children: ReactNode;
}

/** An open job: header, tape, and the stage in the middle, with all that is worked out of it. */
export function OpenedJob({ id, job, stage, children }: Props) {
  const live = useShape(job);
  // While a handle is pulled the table follows at once, and the panes when the hand rests; on letting go they follow too.
  const under = useMemo((): LiveJob => ({ id, job, ...live }), [id, job, live]);
  const later = useDeferredValue(useRested(under));
  const pulled = useView((v) => v.pull !== null || v.letGo);
  const shown = pulled ? later : under;
  useEffect(() => {
    if (later === under) setView({ letGo: false });
  }, [later, under]);
  const proved = useProof(job);
  const phone = usePhone();
  const [handing, setHanding] = useState(false);
  const handOver = useCallback(() => setHanding(true), [setHanding]);
  const open = useMemo(
    (): OpenJob => ({ ...shown, proof: proved?.proof ?? null, stale: proved?.job !== shown.job }),
    [shown, proved],
  );
  const { unit } = job.body;
  useEffect(() => {
    setView({ tape: unit === "in" ? "in" : "cm" });
  }, [id, unit]);
  const signs = useMemo(() => signsOf(open), [open]);
  return (
    <JobProvider value={open}>
      <LiveJobProvider value={under}>
        <div style={{ height: "100dvh", display: "flex", flexDirection: "column" }}>
          <Header onHandOver={handOver} />
          <StoreNotice />
          <SaveNotice />
          <EditionNotice />
          <title>{phrase`${open.job.name || "Unnamed job"}, ${stageLabel(stage)} · Eland`}</title>
          <h1 className="unseen">{phrase`${open.job.name || "Unnamed job"}: ${stageLabel(stage)}`}</h1>
          <div style={{ flex: 1, minHeight: 0, display: "flex", flexDirection: phone ? "column" : "row" }}>
            {phone ? null : <TapeRail current={stage} job={id} signs={signs} />}
            {children}
            {phone ? <StageBar current={stage} job={id} signs={signs} /> : null}
          </div>
        </div>
        {handing ? <HandOverDialog onClose={() => setHanding(false)} /> : null}
        <Commands onHandOver={handOver} />
      </LiveJobProvider>
    </JobProvider>
  );
}

/** A hand that has not moved for this long, in milliseconds, rests. */
const REST = 150;

/** What lies under the hand, once it rests; at once while no handle is pulled. */
function useRested<T>(under: T): T {
  const moving = useView((v) => v.pull !== null);
  const [rested, setRested] = useState(under);
  useEffect(() => {
    const waiting = setTimeout(() => setRested(under), moving ? REST : 0);
    return () => clearTimeout(waiting);
  }, [under, moving]);
  return moving ? rested : under;
}

/** What each stage has to settle. */
function signsOf({ shape, fault, proof }: OpenJob): Readonly<Record<StageId, Sign>> {
  const faultOn = (prefix: string): boolean => fault?.errors.some((e) => e.path.startsWith(prefix)) ?? false;
  const checks = proof?.checks ?? [];
  return {
    body: faultOn("body") || (shape?.questions.length ?? 0) > 0 ? "open" : shape ? "settled" : "none",
    block: faultOn("block") ? "open" : shape ? "settled" : "none",
    restyle: faultOn("moves") || faultOn("style") ? "open" : shape ? "settled" : "none",
    pieces:
      faultOn("finish") || faultOn("allowances") || checks.some(isOpen) || (proof?.undecided.length ?? 0) > 0
        ? "open"
        : proof
          ? "settled"
          : "none",
    cloth: faultOn("cloth") || checks.some((c) => CLOTH_CHECKS.has(c.id) && isOpen(c)) ? "open" : "none",
    make: "none",
    diary: "none",
  };
}

/** What the proof says of the cloth in hand. */
const CLOTH_CHECKS: ReadonlySet<string> = new Set(["piece-fits-cloth", "cloth-enough"]);
