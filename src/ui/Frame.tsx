"use client";
import CircularProgress from "@mui/material/CircularProgress";
import dynamic from "next/dynamic";
import Link from "next/link";
import { usePathname, useSearchParams } from "next/navigation";
import { useEffect, useState, type ReactNode } from "react";
import { openJob, useJobStore } from "@/store/jobStore";
import { setView } from "@/store/viewStore";
import { Commands } from "./Commands";
import { Header } from "./Header";
import { JobProvider, type OpenJob } from "./JobContext";
import { SaveNotice } from "./SaveNotice";
import type { StageId } from "./stages";
import { TapeRail, type Sign } from "./TapeRail";
import { useProof, useShape } from "./useDerived";

const HandOverDialog = dynamic(() => import("./HandOverDialog").then((m) => m.HandOverDialog), { ssr: false });

/** The workroom's one place to work: header, tape, and the stage in the middle. */
export function Frame({ children }: { readonly children: ReactNode }) {
  const id = useSearchParams().get("job");
  const stage = usePathname().split("/")[1] as StageId;
  const state = useJobStore();
  const job = state.id === id ? state.job : null;
  const live = useShape(job);
  const { proof, stale } = useProof(job);
  const [handing, setHanding] = useState(false);
  const unit = job?.body.unit;

  useEffect(() => {
    if (id) void openJob(id);
  }, [id]);
  useEffect(() => {
    if (unit) setView({ tape: unit === "in" ? "in" : "cm" });
  }, [id, unit]);

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
  if (!job) {
    return (
      <main style={{ padding: 48, display: "flex", gap: 16, alignItems: "center" }} aria-busy>
        <CircularProgress size={24} aria-label="opening" /> Opening the job
        {state.notice ? <p role="alert">{state.notice}</p> : null}
      </main>
    );
  }
  const open: OpenJob = { id, job, ...live, proof, stale };
  return (
    <JobProvider value={open}>
      <div style={{ height: "100dvh", display: "flex", flexDirection: "column" }}>
        <Header onHandOver={() => setHanding(true)} />
        <SaveNotice />
        <div style={{ flex: 1, minHeight: 0, display: "flex" }}>
          <TapeRail current={stage} job={id} signs={signsOf(open)} />
          {children}
        </div>
      </div>
      {handing ? <HandOverDialog onClose={() => setHanding(false)} /> : null}
      <Commands onHandOver={() => setHanding(true)} />
    </JobProvider>
  );
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
      faultOn("finish") ||
      faultOn("allowances") ||
      checks.some((c) => c.status !== "pass") ||
      (proof?.undecided.length ?? 0) > 0
        ? "open"
        : proof
          ? "settled"
          : "none",
  };
}
