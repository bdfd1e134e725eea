import { z } from "zod";
import type { Taken } from "@/core/making";
import { RECORD_VERSION } from "./records";
import { shelves } from "./shelf";

/** How far the making of a job has come: operations that are done, with the minutes they took, and the card that is open. */
const progressSchema = z.object({
  id: z.string(),
  version: z.literal(RECORD_VERSION),
  done: z.record(
    z.string(),
    z.object({
      at: z.string(),
      minutes: z.number().min(0).max(6000).nullable(),
      /** What kind of step it was, and what was guessed for it. */
      doing: z.string().optional(),
      guess: z.number().optional(),
    }),
  ),
  cards: z.record(z.string(), z.number().int().min(1)),
});
export type MakingProgress = z.infer<typeof progressSchema>;

const channel = typeof window === "undefined" ? null : new BroadcastChannel("eland-making");

const none = (job: string): MakingProgress => ({ id: job, version: RECORD_VERSION, done: {}, cards: {} });

/** How far a job has come; from the start where nothing is kept, or nothing that can be read. */
export async function findProgress(job: string): Promise<MakingProgress> {
  const read = progressSchema.safeParse(await (await shelves()).get("making", job));
  return read.success ? read.data : none(job);
}

/**
 * Changes how far a job has come, from what is held at that moment: a tick in one tab takes none of another's away. What a
 * newer Eland kept is left as it is. Returns how far it has come.
 */
export async function changeProgress(
  job: string,
  recipe: (now: MakingProgress) => MakingProgress,
): Promise<MakingProgress> {
  const kept = await (
    await shelves()
  ).replace("making", job, (held) => {
    const { version } = (held ?? {}) as { readonly version?: number };
    if (version !== undefined && version > RECORD_VERSION) return held as MakingProgress;
    const read = progressSchema.safeParse(held);
    return recipe(read.success ? read.data : none(job));
  });
  channel?.postMessage(job);
  return kept;
}

/** Tells of what other tabs change; returns how to stop listening. */
export function onProgressElsewhere(job: string, tell: () => void): () => void {
  const listen = ({ data }: MessageEvent): void => void (data === job && tell());
  channel?.addEventListener("message", listen);
  return () => channel?.removeEventListener("message", listen);
}

/** What was timed in every job: how this maker works. */
export async function listTaken(): Promise<readonly Taken[]> {
  const all = await (await shelves()).all("making");
  return all.flatMap((raw) => {
    const read = progressSchema.safeParse(raw);
    return !read.success
      ? []
      : Object.values(read.data.done).flatMap(({ at, minutes, doing, guess }): Taken[] =>
          minutes === null || doing === undefined || guess === undefined
            ? []
            : [{ at, minutes, guess, doing: doing as Taken["doing"] }],
        );
  });
}
