import { writeFileSync } from "node:fs";
import type { CDPSession, Page } from "@playwright/test";
import { base, openSample } from "./browser";

/**
 * Pulls every handle of every sample job in the running program and prints, as JSON, how long the page's own thread
 * was busy at a stretch: while pulling, and on letting go. Needs a running `bin/demo`; JOB chooses one job.
 *
 * A shared machine takes the processor away for whole frames at a time, so beside the time on the clock the time the
 * processor really worked is told; tracing itself costs some of both.
 */
const STEPS = 24;
const ONLY = process.env.JOB;

interface TraceEvent {
  readonly name: string;
  readonly pid: number;
  readonly tid: number;
  readonly ts: number;
  readonly dur?: number;
  readonly tdur?: number;
}

/** The longest stretch a thread was busy, in milliseconds. */
interface Stretch {
  readonly clockMs: number;
  readonly workMs: number;
}

interface PullFigures {
  readonly job: string;
  readonly handle: string;
  readonly pulling: Stretch;
  readonly lettingGo: Stretch;
}

/** Some whole frames, and whatever the page has left to do between them. */
const settle = (page: Page, frames: number): Promise<void> =>
  page.evaluate(
    (n) =>
      new Promise<void>((done) => {
        const tick = (left: number): void => (left === 0 ? done() : void requestAnimationFrame(() => tick(left - 1)));
        tick(n);
      }),
    frames,
  );

/** Runs some work with the page's tasks recorded. */
async function traced(session: CDPSession, work: () => Promise<void>): Promise<readonly TraceEvent[]> {
  const events: TraceEvent[] = [];
  const collect = (sent: { value: object[] }): void => void events.push(...(sent.value as TraceEvent[]));
  session.on("Tracing.dataCollected", collect);
  await session.send("Tracing.start", {
    transferMode: "ReportEvents",
    traceConfig: { includedCategories: ["toplevel", "blink.user_timing"] },
  });
  await work();
  const complete = new Promise((done) => session.once("Tracing.tracingComplete", done));
  await session.send("Tracing.end");
  await complete;
  session.off("Tracing.dataCollected", collect);
  return events;
}

/** Of the thread on which a mark was set, from one moment to another. */
function longest(events: readonly TraceEvent[], { pid, tid }: TraceEvent, from: number, to: number): Stretch {
  const own = (e: TraceEvent): boolean => e.name.endsWith("RunTask") && e.pid === pid && e.tid === tid;
  const tasks = events.filter((e) => own(e) && e.ts >= from && e.ts < to);
  const most = (time: (e: TraceEvent) => number | undefined): number =>
    Math.round(Math.max(0, ...tasks.map((e) => time(e) ?? 0)) / 100) / 10;
  return { clockMs: most((e) => e.dur), workMs: most((e) => e.tdur) };
}

async function pulled(page: Page, session: CDPSession, job: string, id: string): Promise<PullFigures | null> {
  const handle = page.locator(`[data-handle="${id}"]`);
  const box = await handle.locator("rect").first().boundingBox();
  if (!box) return null;
  const upright = (await handle.evaluate((g) => (g as SVGGElement).style.cursor)) === "ns-resize";
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await settle(page, 12);
  const mark = (name: string): Promise<void> => page.evaluate((n) => void performance.mark(n), name);
  const events = await traced(session, async () => {
    await mark("pull");
    await page.mouse.down();
    for (let i = 1; i <= STEPS; i++) {
      // Out and back, as a hand that looks for the right place.
      const by = 20 * Math.sin((i / STEPS) * Math.PI * 2);
      await page.mouse.move(x + (upright ? 0 : by), y + (upright ? by : 0));
      await settle(page, 1);
    }
    await mark("release");
    await page.mouse.up();
    await settle(page, 36);
  });
  await page.keyboard.press("Control+z");
  await settle(page, 24);
  const at = (name: string): TraceEvent | undefined => events.find((e) => e.name === name);
  const [from, to] = [at("pull"), at("release")];
  if (!from || !to) throw new Error("the marks of a pull were not recorded");
  return {
    job,
    handle: id,
    pulling: longest(events, from, from.ts, to.ts),
    lettingGo: longest(events, to, to.ts, Infinity),
  };
}

async function main(): Promise<void> {
  const { browser, page } = await openSample();
  const jobs = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLAnchorElement>("a[href*='job=']")]
      .map((a) => new URL(a.href).searchParams.get("job") ?? "")
      .filter((id, i, all) => id && all.indexOf(id) === i),
  );
  const session = await page.context().newCDPSession(page);
  const figures: PullFigures[] = [];
  for (const job of jobs.filter((id) => !ONLY || id.includes(ONLY))) {
    await page.goto(`${base}/restyle?job=${job}`);
    await page.getByRole("button", { name: /Fold what passes|pass$/ }).waitFor();
    await settle(page, 90);
    const ids = await page
      .locator("[data-handle]")
      .evaluateAll((all) => all.map((g) => (g as SVGGElement).dataset.handle ?? ""));
    for (const id of ids) {
      const one = await pulled(page, session, job, id);
      if (one) figures.push(one);
      if (one) process.stderr.write(`${JSON.stringify(one)}\n`);
    }
  }
  await browser.close();
  const over = (stretch: (f: PullFigures) => Stretch): unknown => ({
    mostWorkMs: Math.max(...figures.map((f) => stretch(f).workMs)),
    medianWorkMs: figures.map((f) => stretch(f).workMs).sort((a, b) => a - b)[Math.floor(figures.length / 2)],
    overFiftyByWork: figures.filter((f) => stretch(f).workMs > 50),
    overFiftyByClock: figures.filter((f) => stretch(f).clockMs > 50).length,
  });
  const text = JSON.stringify(
    { pulls: figures.length, pulling: over((f) => f.pulling), lettingGo: over((f) => f.lettingGo) },
    null,
    2,
  );
  writeFileSync("bench/results/pulls.json", `${text}\n`);
  console.log(text);
}

void main();
