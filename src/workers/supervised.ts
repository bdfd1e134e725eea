import { wrap, type Remote } from "comlink";
import { tellTongue } from "./tellTongue";

const WORK_ENDED = "WorkEnded";

/** The work was ended: it ran over, its worker failed, or nobody wanted it any more. Its message is shown to the maker. */
export class WorkEnded extends Error {
  constructor(message: string) {
    super(message);
    this.name = WORK_ENDED;
  }
}

/** What crosses from a worker keeps its name and its message, and is an error of no other class. */
const crossed = (error: unknown): unknown =>
  error instanceof Error && error.name === WORK_ENDED ? new WorkEnded(error.message) : error;

const RAN_OVER = "This took too long and was ended. Everything else goes on; nothing of the job is lost.";
const FAILED = "A calculation behind the page failed and was started again. Nothing of the job is lost.";
const STOPPED = "Stopped.";

/** A worker that is started when first needed, and ended and started again when it fails or runs over. */
export interface Supervised<Face> {
  /** Asks the worker; rejects with WorkEnded after `withinMs`, when the worker fails, or when it is stopped. */
  ask<T>(withinMs: number, work: (face: Remote<Face>) => Promise<T>): Promise<T>;
  /** Ends whatever it is doing; the next request starts it again. */
  stop(): void;
}

interface Running<Face> {
  readonly worker: Worker;
  readonly face: Remote<Face>;
  readonly ended: Promise<never>;
  readonly end: (why: WorkEnded) => void;
}

export function supervised<Face>(start: () => Worker): Supervised<Face> {
  let running: Running<Face> | null = null;

  function started(): Running<Face> {
    const worker = start();
    tellTongue(worker);
    let reject: (why: WorkEnded) => void = () => undefined;
    const ended = new Promise<never>((_, no) => (reject = no));
    // It ends while nobody waits as well.
    ended.catch(() => undefined);
    const now: Running<Face> = {
      worker,
      face: wrap<Face>(worker),
      ended,
      end(why) {
        worker.terminate();
        if (running === now) running = null;
        reject(why);
      },
    };
    worker.addEventListener("error", () => now.end(new WorkEnded(FAILED)));
    worker.addEventListener("messageerror", () => now.end(new WorkEnded(FAILED)));
    return now;
  }

  return {
    async ask(withinMs, work) {
      running ??= started();
      const { face, ended, end } = running;
      const timer = setTimeout(() => end(new WorkEnded(RAN_OVER)), withinMs);
      try {
        return await Promise.race([work(face), ended]);
      } catch (error) {
        throw crossed(error);
      } finally {
        clearTimeout(timer);
      }
    },
    stop: () => running?.end(new WorkEnded(STOPPED)),
  };
}

/**
 * Answers only what was asked last: while one request is being worked on, the newest waits and those between are
 * answered with null.
 */
export function newestOnly<In, Out>(run: (input: In) => Promise<Out>): (input: In) => Promise<Out | null> {
  let waiting: { readonly input: In; readonly go: () => void; readonly drop: () => void } | null = null;
  let isBusy = false;
  const next = (): void => {
    isBusy = waiting !== null;
    const now = waiting;
    waiting = null;
    now?.go();
  };
  return (input) =>
    new Promise<Out | null>((resolve, reject) => {
      const go = (): void => void run(input).then(resolve, reject).finally(next);
      waiting?.drop();
      waiting = { input, go, drop: () => resolve(null) };
      if (!isBusy) next();
    });
}
