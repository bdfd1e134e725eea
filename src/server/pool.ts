import { existsSync } from "node:fs";
import { join } from "node:path";
import { Worker } from "node:worker_threads";
import { answer, refused, type Answer, type Question } from "./answer";
import type { Asked } from "./thread";

/** The bundle of `thread.ts` that the build leaves beside the pages. */
const THREAD = join(process.cwd(), ".threads", "thread.cjs");

/** At the same time; one job never holds up others. */
const THREADS = 2;
/** No job takes longer. */
const WITHIN_MS = 20_000;
/** Of one thread's working memory. */
const MOST_MEGABYTES = 600;
/** Waiting beyond this many is refused at once. */
const MOST_WAITING = 64;

interface Waiting {
  readonly question: Question;
  readonly give: (answer: Answer) => void;
}

const ranOver = refused(422, "", "This job takes too long to work out. Take moves out of it, and try again.");
const tooLarge = refused(422, "", "This job takes more memory than there is. Take moves out of it, and try again.");
const failed = refused(500, "", "Eland failed on this job. That is a fault of the program’s, not of the job.");
const tooMany = refused(503, "", "Too much is asked at once. Try again in a moment.");

/** One thread, which works on one question at a time and is started anew where it ran over or failed. */
class Thread {
  private worker: Worker | null = null;
  private n = 0;
  private settle: ((answer: Answer) => void) | null = null;

  constructor(private readonly onIdle: () => void) {}

  get isIdle(): boolean {
    return this.settle === null;
  }

  /** Starts it before it is needed, so that the first question does not wait for it. */
  warm(): void {
    this.started();
  }

  work({ question, give }: Waiting): void {
    const timer = setTimeout(() => this.end(ranOver), WITHIN_MS);
    this.settle = (given) => {
      clearTimeout(timer);
      this.settle = null;
      give(given);
      this.onIdle();
    };
    const asked: Asked = { n: ++this.n, question };
    this.started().postMessage(asked);
  }

  private started(): Worker {
    if (this.worker) return this.worker;
    const worker = new Worker(THREAD, { resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES } });
    worker.unref();
    worker.on("message", ({ n, given }: { readonly n: number; readonly given: Answer | null }) => {
      if (n === this.n) this.settle?.(given ?? failed);
    });
    worker.on("error", (error: Error & { readonly code?: string }) => {
      if (this.worker === worker) this.end(error.code === "ERR_WORKER_OUT_OF_MEMORY" ? tooLarge : failed);
    });
    this.worker = worker;
    return worker;
  }

  private end(given: Answer): void {
    const { worker } = this;
    this.worker = null;
    void worker?.terminate();
    this.settle?.(given);
  }
}

/** All threads and who waits for one. */
class Pool {
  private readonly waiting: Waiting[] = [];
  private readonly threads: readonly Thread[] = Array.from({ length: THREADS }, () => new Thread(() => this.handOn()));

  constructor() {
    this.threads.forEach((thread) => thread.warm());
  }

  ask(question: Question): Promise<Answer> {
    if (this.waiting.length >= MOST_WAITING) return Promise.resolve(tooMany);
    return new Promise((give) => {
      this.waiting.push({ question, give });
      this.handOn();
    });
  }

  private handOn(): void {
    const idle = this.threads.find((thread) => thread.isIdle);
    const next = idle && this.waiting.shift();
    if (idle && next) idle.work(next);
  }
}

/** Start-up and the routes are bundled apart, and share the one pool through the process. */
const shared = globalThis as { elandPool?: Pool };

/** Starts the threads, where the build has left their bundle. */
export function warmUp(): void {
  if (existsSync(THREAD)) shared.elandPool ??= new Pool();
}

/** Answers a question beside the pages, in bounded time and memory; in place where no server was started, as in tests. */
export const asked = (question: Question): Promise<Answer> => shared.elandPool?.ask(question) ?? answer(question);
