"use client";
import { type Unreadable } from "@/store/database";
import CircularProgress from "@mui/material/CircularProgress";
import dynamic from "next/dynamic";
import Link from "next/link";
import { usePathname, useSearchParams } from "next/navigation";
import { useCallback, useDeferredValue, useEffect, useMemo, useState, type ReactNode } from "react";
import { openJob, useJobStore } from "@/store/jobStore";
import { setView, useView } from "@/store/viewStore";
import { Commands } from "./Commands";
import { Header } from "./Header";
import { JobProvider, LiveJobProvider, type LiveJob, type OpenJob } from "./JobContext";
import { EditionNotice } from "./EditionNotice";
import { SaveNotice } from "./SaveNotice";
import { StoreNotice } from "./StoreNotice";
import { UnreadableList } from "./workroom/UnreadableList";
import { isOpen } from "@/core/inspect";
import { stageLabel, type StageId } from "./stages";
import { StageBar } from "./StageBar";
import { usePhone } from "./usePhone";
import { TapeRail, type Sign } from "./TapeRail";
import { useProof, useShape } from "./useDerived";

const HandOverDialog = dynamic(() => import("./handOver/HandOverDialog").then((m) => m.HandOverDialog), { ssr: false });

/** The workroom's one place to work: header, tape, and the stage in the middle. */
export function Frame({ children }: { readonly children: ReactNode }) {
  const id = useSearchParams().get("job");
  const stage = usePathname().split("/")[1] as StageId;
  const state = useJobStore();
  const job = state.id === id ? state.job : null;
  const unit = job?.body.unit;
  const live = useShape(job);
  // While a handle is pulled the table follows at once, and the panes when the hand rests; on letting go they follow too.
  const under = useMemo((): LiveJob | null => (id && job ? { id, job, ...live } : null), [id, job, live]);
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
    (): OpenJob | null => shown && { ...shown, proof: proved?.proof ?? null, stale: proved?.job !== shown.job },
    [shown, proved],
  );
  useEffect(() => {
    if (id) void openJob(id);
    setView({ afterLine: null });
  }, [id]);
  useEffect(() => {
    if (unit) setView({ tape: unit === "in" ? "in" : "cm" });
  }, [id, unit]);
  const signs = useMemo(() => (open ? signsOf(open) : null), [open]);

  if (state.save === "unreadable" && state.unreadable) return <UnreadableJob held={state.unreadable} />;
  if (!id || state.save === "missing") {
    return (
      <main style={{ padding: 48 }}>
        <h1>There is no such job here</h1>
        <p>
          It may have been removed, or belong to another browser. <Link href="/">Go to the workroom</Link>.
        </p>
      </main>
    );
  }
  if (!open || !under || !signs) {
    return (
      <main style={{ padding: 48, display: "flex", gap: 16, alignItems: "center" }} aria-busy>
        <CircularProgress size={24} aria-label="opening" /> Opening the job
        {state.notice ? <p role="alert">{state.notice}</p> : null}
      </main>
    );
  }
  return (
    <JobProvider value={open}>
      <LiveJobProvider value={under}>
        <div style={{ height: "100dvh", display: "flex", flexDirection: "column" }}>
          <Header onHandOver={handOver} />
          <StoreNotice />
          <SaveNotice />
          <EditionNotice />
          <title>{`${open.job.name || "Unnamed job"}, ${stageLabel(stage)} · Eland`}</title>
          <h1 className="unseen">{`${open.job.name || "Unnamed job"}: ${stageLabel(stage)}`}</h1>
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

/** A job that is kept here and cannot be read: why, and the way to hand it over as it lies. */
function UnreadableJob({ held }: { readonly held: Unreadable }) {
  return (
    <main style={{ padding: 48 }}>
      <h1>This job cannot be opened here</h1>
      <UnreadableList unreadable={[held]} />
      <p>
        <Link href="/">Go to the workroom</Link>
      </p>
    </main>
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
