import { spawn, type ChildProcess } from "node:child_process";
import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { answer, refused, type Answer, type Question } from "./answer";
import type { Asked, Given } from "./worker";

/** The bundle of `worker.ts` that the build leaves beside the pages. */
const WORKER = join(process.cwd(), ".workers", "worker.cjs");

/** Processes that answer, at the same time; one job never holds up others. */
const WORKERS = 2;
/** No job takes more of a processor's time. */
const MOST_PROCESSOR_MS = 20_000;
/** However busy the machine is, nobody waits longer once the work has begun: that is not the job's fault. */
const MOST_WAIT_MS = 120_000;
/** How often the processor time of a working process is read. */
const READ_EVERY_MS = 500;
/** Of one process's working memory. */
const MOST_MEGABYTES = 600;
/** Waiting beyond this many is refused at once. */
const MOST_WAITING = 64;
/** Work that nobody waits for any more is ended once it has run so long; less is sooner finished than begun anew. */
const WORTH_ENDING_MS = 1_000;

/** Questions that search, for seconds; the others take milliseconds and go first. */
const LONG: ReadonlySet<Question["kind"]> = new Set(["lay", "fit-cloth"]);
const isLong = ({ question }: Waiting): boolean => LONG.has(question.kind);

interface Waiting {
  readonly question: Question;
  readonly give: (answer: Answer) => void;
  /** Nobody waits for the answer any more. */
  isAbandoned: boolean;
}

const ranOver = refused(422, "", "This job takes too long to work out. Take moves out of it, and try again.");
const tooLarge = refused(422, "", "This job takes more memory than there is. Take moves out of it, and try again.");
const failed = refused(500, "", "Eland failed on this job. That is a fault of the program’s, not of the job.");
const busy = refused(503, "", "Eland is busy with other work. Try again in a moment.");

/** Ticks of a second in which Linux counts a process's time. */
const TICKS_PER_SECOND = 100;

/** Processor time that a process has used, in milliseconds; null where the system does not tell. */
function processorTime(pid: number): number | null {
  try {
    // Fields after the command's closing bracket; user and system time are the 14th and 15th of all.
    const fields = readFileSync(`/proc/${pid}/stat`, "utf8").split(") ").at(-1)?.split(" ") ?? [];
    return ((Number(fields[11]) + Number(fields[12])) * 1000) / TICKS_PER_SECOND;
  } catch {
    return null;
  }
}

/** One process, which works on one question at a time and is started anew where it ran over or failed. */
class Worker {
  private child: ChildProcess | null = null;
  private n = 0;
  private settle: ((answer: Answer) => void) | null = null;
  private current: Waiting | null = null;

  constructor(private readonly onIdle: () => void) {}

  get isIdle(): boolean {
    return this.settle === null;
  }

  get isSearching(): boolean {
    return this.current !== null && isLong(this.current);
  }

  /** Starts it before it is needed, so that the first question does not wait for it. */
  warm(): void {
    this.started();
  }

  work(waiting: Waiting): void {
    const child = this.started();
    const since = Date.now();
    const usedBefore = child.pid === undefined ? null : processorTime(child.pid);
    const watch = setInterval(() => {
      const used = child.pid === undefined ? null : processorTime(child.pid);
      if (used !== null && usedBefore !== null && used - usedBefore > MOST_PROCESSOR_MS) this.end(ranOver);
      else if (Date.now() - since > (waiting.isAbandoned ? WORTH_ENDING_MS : MOST_WAIT_MS)) this.end(busy);
    }, READ_EVERY_MS);
    this.current = waiting;
    this.settle = (given) => {
      clearInterval(watch);
      this.settle = null;
      this.current = null;
      waiting.give(given);
      this.onIdle();
    };
    const asked: Asked = { n: ++this.n, question: waiting.question };
    child.send(asked);
  }

  private started(): ChildProcess {
    if (this.child) return this.child;
    const child = spawn(process.execPath, [`--max-old-space-size=${MOST_MEGABYTES}`, WORKER], {
      serialization: "advanced",
      stdio: ["ignore", "inherit", "inherit", "ipc"],
    });
    child.unref();
    // Neither it nor what is sent to it keeps the server running.
    (child.channel as { unref?: () => void } | null | undefined)?.unref?.();
    child.on("message", ({ n, given }: Given) => {
      if (n === this.n) this.settle?.(given ?? failed);
    });
    child.on("exit", (_code, signal) => {
      // Out of memory it ends itself by an abort.
      if (this.child === child) this.end(signal === "SIGABRT" ? tooLarge : failed);
    });
    this.child = child;
    return child;
  }

  private end(given: Answer): void {
    const { child } = this;
    this.child = null;
    child?.kill("SIGKILL");
    this.settle?.(given);
    this.warm();
  }
}

/** All processes and who waits for one. */
class Pool {
  private readonly waiting: Waiting[] = [];
  private readonly workers: readonly Worker[] = Array.from({ length: WORKERS }, () => new Worker(() => this.handOn()));

  constructor() {
    this.workers.forEach((worker) => worker.warm());
  }

  ask(question: Question, signal?: AbortSignal): Promise<Answer> {
    if (this.waiting.length >= MOST_WAITING) return Promise.resolve(busy);
    return new Promise((give) => {
      const waiting: Waiting = { question, give, isAbandoned: signal?.aborted ?? false };
      signal?.addEventListener("abort", () => {
        waiting.isAbandoned = true;
        this.handOn();
      });
      this.waiting.push(waiting);
      this.handOn();
    });
  }

  /** The next question: short ones first, and never a search in every process; what nobody waits for is dropped. */
  private next(): Waiting | undefined {
    for (const left of this.waiting.filter((w) => w.isAbandoned)) {
      this.waiting.splice(this.waiting.indexOf(left), 1);
      left.give(busy);
    }
    const searching = this.workers.filter((worker) => worker.isSearching).length;
    const next =
      this.waiting.find((w) => !isLong(w)) ?? (searching < WORKERS - 1 ? this.waiting.find(isLong) : undefined);
    if (next) this.waiting.splice(this.waiting.indexOf(next), 1);
    return next;
  }

  private handOn(): void {
    const idle = this.workers.find((worker) => worker.isIdle);
    const next = idle && this.next();
    if (idle && next) idle.work(next);
  }
}

/** One pool for the whole server: pages and API are bundled apart, and share it this way. */
const shared = globalThis as { elandPool?: Pool };

/** Starts the processes, where there is a server with their bundle. */
export function warmUp(): void {
  if (existsSync(WORKER)) shared.elandPool ??= new Pool();
}

/**
 * Answers a question beside the pages, in bounded time and memory; in place where no server was started, as in tests. When
 * `signal` tells that nobody waits for it any more, it is dropped.
 */
export const asked = (question: Question, signal?: AbortSignal): Promise<Answer> =>
  shared.elandPool?.ask(question, signal) ?? answer(question);
