import { keepAsTyped, phrase } from "@/core/words";
import { temporal } from "zundo";
import { create, useStore } from "zustand";
import { immer } from "zustand/middleware/immer";
import type { Job } from "@/core/files";
import {
  findJob,
  HeldUnreadable,
  isUnreadable,
  SavedElsewhere,
  writeJob,
  type StoredJob,
  type Unreadable,
} from "./database";
import { useStoreState } from "./shelf";
import { useTyping } from "./typing";

/** Where the open job stands with the browser's store. */
export type SaveState = "loading" | "missing" | "unreadable" | "saved" | "saving" | "blocked" | "conflict";

interface JobState {
  id: string | null;
  job: Job | null;
  /** Revision of the store this tab last read or wrote. */
  revision: number;
  save: SaveState;
  /** Why the store refused, or who changed the job. */
  notice: string | null;
  theirs: StoredJob | null;
  /** What is kept under this id, where this Eland cannot read it. */
  unreadable: Unreadable | null;
}

const UNDO_STEPS = 500;
const SAVE_AFTER_MS = 250;
/** A store that refused is tried again after this long. */
const TRY_AGAIN_MS = 4_000;

const initial: JobState = {
  id: null,
  job: null,
  revision: 0,
  save: "loading",
  notice: null,
  theirs: null,
  unreadable: null,
};

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

/** The steps of jobs that were open in this tab before, by id, with the revision they lead up to. */
const steps = new Map<string, Pick<Steps, "pastStates" | "futureStates"> & { readonly revision: number }>();
type Steps = ReturnType<typeof history.getState>;

function holdSteps(): void {
  const { id, revision, save } = useJobStore.getState();
  const { pastStates, futureStates } = history.getState();
  if (id !== null && save === "saved") steps.set(id, { revision, pastStates, futureStates });
}

/** Shows a job as another tab or the store has it: nothing of that can be undone here. */
function follow(state: Partial<JobState>): void {
  history.getState().pause();
  useJobStore.setState(state);
  history.getState().clear();
  history.getState().resume();
}

/** Opens a job from the store; what was done to it in this tab before can still be undone, if nobody changed it since. */
export async function openJob(id: string): Promise<void> {
  await flush();
  holdSteps();
  history.getState().pause();
  useJobStore.setState({ ...initial, id });
  try {
    const found = await findJob(id);
    if (useJobStore.getState().id !== id) return;
    if (!found) useJobStore.setState({ save: "missing" });
    else if (isUnreadable(found)) useJobStore.setState({ save: "unreadable", unreadable: found });
    else useJobStore.setState({ job: found.job, revision: found.revision, save: "saved" });
  } catch {
    useJobStore.setState({ save: "blocked", notice: BLOCKED });
  }
  history.getState().clear();
  const before = steps.get(id);
  if (before && before.revision === useJobStore.getState().revision)
    history.setState({ pastStates: before.pastStates, futureStates: before.futureStates });
  history.getState().resume();
}

const BLOCKED =
  "The browser’s store is full or blocked, so changes are not kept; it is tried again by itself. Hand over the job as a file to be sure.";

/** Changes the open job by a recipe; one undo step. Saved within a quarter of a second. */
export function changeJob(recipe: (job: Job) => void): void {
  useJobStore.setState((state) => {
    if (state.job) recipe(state.job);
  });
}

useJobStore.subscribe((state, before) => {
  if (state.job !== before.job) keepAsTyped(state.job);
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
  if (!id || !job || (save !== "saving" && save !== "blocked")) return;
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
      const isHeld = error instanceof HeldUnreadable;
      useJobStore.setState({ save: "blocked", notice: isHeld ? error.message : BLOCKED });
      if (!isHeld) timer ??= setTimeout(() => void flush(), TRY_AGAIN_MS);
    }
  }
}

/** Another tab saved: follow it when nothing is waiting here; otherwise the next save finds the conflict. */
channel?.addEventListener("message", (event: MessageEvent<{ id: string; revision: number }>) => {
  const { id, save } = useJobStore.getState();
  if (event.data.id !== id || save !== "saved") return;
  void findJob(id).then((found) => {
    if (!found || isUnreadable(found) || useJobStore.getState().id !== id) return;
    if (useJobStore.getState().save === "saved" && found.revision > useJobStore.getState().revision) {
      follow({ job: found.job, revision: found.revision });
    }
  });
});

/** Settles a conflict by taking what the other tab has saved by now. */
export async function takeTheirs(): Promise<void> {
  const { id, theirs } = useJobStore.getState();
  const found = id === null ? undefined : await findJob(id);
  const latest = found && !isUnreadable(found) ? found : theirs;
  if (latest) follow({ job: latest.job, revision: latest.revision, save: "saved", theirs: null, notice: null });
}

/** Settles a conflict by keeping this tab's work as a job of its own; returns its id. */
export async function keepMineAsCopy(newId: string): Promise<string> {
  const { job } = useJobStore.getState();
  if (job) await writeJob(newId, { ...job, name: phrase`${job.name} (my copy)` }, 0);
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

/** True while something would be lost with this tab: not yet saved, typed and not entered, or kept nowhere else. */
export function isUnsaved(): boolean {
  const { save, job } = useJobStore.getState();
  const waits = save === "saving" || save === "blocked" || save === "conflict";
  return waits || useTyping.getState().fields > 0 || (job !== null && !useStoreState.getState().kept);
}

if (typeof window !== "undefined") {
  window.addEventListener("pagehide", () => void flush());
  window.addEventListener("beforeunload", (event) => {
    void flush();
    if (isUnsaved()) event.preventDefault();
  });
}
