import { speak, spokenTongue, type Tongue } from "@/core/words";

/** The first thing a worker is told where the page speaks another tongue than English. */
interface Told {
  readonly speaks: Tongue;
}

/** Tells a worker that was just started what the page speaks; what it is asked comes after that. */
export function tellTongue(worker: Pick<Worker, "postMessage">): void {
  const tongue = spokenTongue();
  if (tongue) worker.postMessage({ speaks: tongue } satisfies Told);
}

/** Has this worker speak what its page speaks. */
export function hearTongue(): void {
  self.addEventListener("message", ({ data }: MessageEvent<Partial<Told> | null>) => {
    if (data?.speaks) speak(data.speaks);
  });
}
