"use client";
import type { Unreadable } from "@/store/database";
import CircularProgress from "@mui/material/CircularProgress";
import dynamic from "next/dynamic";
import Link from "next/link";
import { useSearchParams } from "next/navigation";
import { useEffect, type ReactNode } from "react";
import { openJob, useJobStore } from "@/store/jobStore";
import { setView } from "@/store/viewStore";
import { useStage } from "./useStage";
import { UnreadableList } from "./workroom/UnreadableList";

const opened = () => import("./OpenedJob");
/** What needs the engine, which arrives while the job is read from the store. */
const OpenedJob = dynamic(() => opened().then((m) => m.OpenedJob), { ssr: false, loading: () => <Opening /> });

/** The workroom's one place to work: opens the job of the address, and says so where it cannot. */
export function Frame({ children }: { readonly children: ReactNode }) {
  const id = useSearchParams().get("job");
  const stage = useStage();
  const state = useJobStore();
  const job = state.id === id ? state.job : null;
  useEffect(() => {
    void opened();
    if (id) void openJob(id);
    setView({ afterLine: null });
  }, [id]);

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
  if (!job) return <Opening notice={state.notice} />;
  return (
    <OpenedJob id={id} job={job} stage={stage}>
      {children}
    </OpenedJob>
  );
}

function Opening({ notice = null }: { readonly notice?: string | null }) {
  return (
    <main style={{ padding: 48, display: "flex", gap: 16, alignItems: "center" }} aria-busy>
      <CircularProgress size={24} aria-label="opening" /> Opening the job
      {notice ? <p role="alert">{notice}</p> : null}
    </main>
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
