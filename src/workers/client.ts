import { wrap, type Remote } from "comlink";
import type { DeriveWorker } from "./derive.worker";

let remote: Remote<DeriveWorker> | null = null;

/** The one worker of this tab, started when first needed. */
export function deriveWorker(): Remote<DeriveWorker> {
  remote ??= wrap<DeriveWorker>(new Worker(new URL("./derive.worker.ts", import.meta.url), { type: "module" }));
  return remote;
}
