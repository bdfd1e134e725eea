import "./browser";
import { render, type RenderResult } from "@testing-library/react";
import type { ReactNode } from "react";
import { deriveShape } from "@/core/derive/shape";
import type { Job } from "@/core/files";
import { useJobStore } from "@/store/jobStore";
import { useView } from "@/store/viewStore";
import { JobProvider } from "@/ui/JobContext";

/** What a stage needs round it: the job of the store and what is derived from it. */
function Bench({ children }: { readonly children: ReactNode }) {
  const job = useJobStore((s) => s.job);
  if (!job) return null;
  const result = deriveShape(job);
  const [shape, fault] = result.ok ? [result, null] : [null, result];
  return <JobProvider value={{ id: "bench", job, shape, fault, proof: null, stale: false }}>{children}</JobProvider>;
}

/** Draws a part of a stage on an open job; what it changes is in `jobOnBench`. */
export function onBench(job: Job, part: ReactNode): RenderResult {
  useJobStore.setState({ id: "bench", job, save: "saved", revision: 1 });
  useView.setState({ tape: job.body.unit === "in" ? "in" : "cm" });
  return render(<Bench>{part}</Bench>);
}

export function jobOnBench(): Job {
  const { job } = useJobStore.getState();
  if (!job) throw new Error("no job is open");
  return job;
}
