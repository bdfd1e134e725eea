import { temporal } from "zundo";
import { create, useStore } from "zustand";
import { immer } from "zustand/middleware/immer";
import type { Job } from "@/core/files";
import { movesOfStyle } from "@/core/derive/newJob";
import { exactLength } from "@/core/units";
import { readJob, SavedElsewhere, writeJob, type StoredJob } from "./database";
import type { Pull } from "./pull";

/** Where the open job stands with the browser's store. */
export type SaveState = "loading" | "missing" | "saved" | "saving" | "blocked" | "conflict";

interface JobState {
  id: string | null;
  job: Job | null;
  /** Revision of the store this tab last read or wrote. */
  revision: number;
  save: SaveState;
  /** Why the store refused, or who changed the job. */
  notice: string | null;
  theirs: StoredJob | null;
}

const UNDO_STEPS = 500;
const SAVE_AFTER_MS = 250;

const initial: JobState = { id: null, job: null, revision: 0, save: "loading", notice: null, theirs: null };

/** The open job, with undo over its data. Everything shown is derived from it. */
export const useJobStore = create<JobState>()(
  temporal(
    immer((): JobState => initial),
    {
      limit: UNDO_STEPS,
      partialize: ({ job }) => ({ job }),
      equality: (a, b) => a.job === b.job,
    },
  ),
);

const history = useJobStore.temporal;
const channel = typeof window === "undefined" ? null : new BroadcastChannel("eland-jobs");
let timer: ReturnType<typeof setTimeout> | null = null;
let writing: Promise<void> = Promise.resolve();

/** Opens a job from the store; the undo history starts anew. */
export async function openJob(id: string): Promise<void> {
  await flush();
  history.getState().pause();
  useJobStore.setState({ ...initial, id });
  try {
    const record = await readJob(id);
    if (useJobStore.getState().id !== id) return;
    useJobStore.setState(record ? { job: record.job, revision: record.revision, save: "saved" } : { save: "missing" });
  } catch {
    useJobStore.setState({ save: "blocked", notice: BLOCKED });
  }
  history.getState().clear();
  history.getState().resume();
}

const BLOCKED = "The browser's store is full or blocked, so changes are not kept. Hand over the job as a file now.";

/** Changes the open job by a recipe; one undo step. Saved within a quarter of a second. */
export function changeJob(recipe: (job: Job) => void): void {
  useJobStore.setState((state) => {
    if (state.job) recipe(state.job);
  });
}

/** The moves of a job, its own list from now on; a job that still follows its style takes a copy of the style's. */
export function ownMoves(job: Job): NonNullable<Job["moves"]> {
  job.moves ??= movesOfStyle(job.style.id);
  return job.moves;
}

/** Sets what a handle pulls: its parameter, exactly, and takes away those that would win over it. */
export function setPulled(job: Job, pull: Pull): void {
  const entry = ownMoves(job)[pull.moveIndex];
  if (!entry) return;
  for (const other of pull.clears) delete entry.params[other];
  entry.params[pull.param] = pull.counts ? Math.round(pull.value) : exactLength(pull.value);
  for (const [param, value] of Object.entries(pull.also ?? {})) entry.params[param] = exactLength(value);
}

/** Sets a value at a path of the job (advice and single numbers use this). */
export function setAtPath(job: Job, path: readonly (string | number)[], value: unknown): void {
  let at = job as unknown as Record<string | number, unknown>;
  path.slice(0, -1).forEach((key) => {
    if (typeof at[key] !== "object" || at[key] === null) at[key] = {};
    at = at[key] as Record<string | number, unknown>;
  });
  at[path[path.length - 1] as string | number] = value;
}

useJobStore.subscribe((state, before) => {
  const external = state.revision !== before.revision || state.id !== before.id;
  if (state.job === before.job || external || !state.job || !before.job || state.save === "conflict") return;
  if (state.save !== "saving") useJobStore.setState({ save: "saving" });
  // Counted from the first change that waits, so that steady work is saved as soon as a single change.
  timer ??= setTimeout(() => void flush(), SAVE_AFTER_MS);
});

/** Writes what is waiting, now. */
export function flush(): Promise<void> {
  if (timer) clearTimeout(timer);
  timer = null;
  writing = writing.then(writeNow);
  return writing;
}

async function writeNow(): Promise<void> {
  const { id, job, revision, save } = useJobStore.getState();
  if (!id || !job || save !== "saving") return;
  try {
    const record = await writeJob(id, job, revision);
    const now = useJobStore.getState();
    if (now.id !== id) return;
    // A change made while writing is still waiting for its own save.
    useJobStore.setState({ revision: record.revision, save: now.job === job ? "saved" : "saving", notice: null });
    channel?.postMessage({ id, revision: record.revision });
    if (now.job !== job) timer ??= setTimeout(() => void flush(), SAVE_AFTER_MS);
  } catch (error) {
    if (error instanceof SavedElsewhere) {
      useJobStore.setState({ save: "conflict", theirs: error.theirs, notice: error.message });
    } else {
      useJobStore.setState({ save: "blocked", notice: BLOCKED });
    }
  }
}

/** Another tab saved: follow it when nothing is waiting here; otherwise the next save finds the conflict. */
channel?.addEventListener("message", (event: MessageEvent<{ id: string; revision: number }>) => {
  const { id, save } = useJobStore.getState();
  if (event.data.id !== id || save !== "saved") return;
  void readJob(id).then((record) => {
    if (record && useJobStore.getState().save === "saved" && record.revision > useJobStore.getState().revision) {
      useJobStore.setState({ job: record.job, revision: record.revision });
    }
  });
});

/** Settles a conflict by taking what the other tab saved. */
export function takeTheirs(): void {
  const { theirs } = useJobStore.getState();
  if (theirs)
    useJobStore.setState({ job: theirs.job, revision: theirs.revision, save: "saved", theirs: null, notice: null });
}

/** Settles a conflict by keeping this tab's work as a job of its own; returns its id. */
export async function keepMineAsCopy(newId: string): Promise<string> {
  const { job } = useJobStore.getState();
  if (job) await writeJob(newId, { ...job, name: `${job.name} (my copy)` }, 0);
  return newId;
}

export const undo = (): void => history.getState().undo();
export const redo = (): void => history.getState().redo();

/** How many steps can be undone and redone. */
export function useHistory(): { readonly undoable: number; readonly redoable: number } {
  const undoable = useStore(history, (s) => s.pastStates.length);
  const redoable = useStore(history, (s) => s.futureStates.length);
  return { undoable, redoable };
}

if (typeof window !== "undefined") {
  window.addEventListener("pagehide", () => void flush());
}
