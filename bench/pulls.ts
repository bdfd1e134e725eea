import { readFileSync, writeFileSync } from "node:fs";
import { chromium, type Page } from "@playwright/test";

/**
 * Pulls every handle of every sample job in the running program and prints, as JSON, the frames and the tasks longer
 * than 50 ms. Needs a running `bin/demo`. The processor of a shared machine may be taken away for whole frames, so a
 * pull during which the system counted stolen time is told apart.
 */
const base = `http://localhost:${process.env.PORT ?? "4310"}`;
const STEPS = 24;
const ONLY = process.env.JOB;

/** Processor time that others took from this machine so far, in hundredths of a second; 0 where it is not counted. */
function stolen(): number {
  try {
    return Number(readFileSync("/proc/stat", "utf8").split("\n")[0]?.trim().split(/\s+/)[8] ?? 0);
  } catch {
    return 0;
  }
}

interface Watched {
  readonly tasks: { readonly at: number; readonly ms: number }[];
  readonly frames: number[];
}

async function watch(page: Page): Promise<void> {
  await page.evaluate(() => {
    const held = window as unknown as { watched: Watched };
    held.watched = { tasks: [], frames: [] };
    new PerformanceObserver((list) =>
      held.watched.tasks.push(...list.getEntries().map((e) => ({ at: e.startTime, ms: e.duration }))),
    ).observe({ type: "longtask" });
    let last = performance.now();
    const tick = (now: number): void => {
      held.watched.frames.push(now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
}

const since = (page: Page): Promise<Watched> =>
  page.evaluate(() => {
    const { watched } = window as unknown as { watched: Watched };
    const copy = { tasks: watched.tasks.splice(0), frames: watched.frames.splice(0) };
    return copy;
  });

/** A few whole frames, and whatever the page has left to do between them. */
const settle = (page: Page, frames: number): Promise<void> =>
  page.evaluate(
    (n) =>
      new Promise<void>((done) => {
        const tick = (left: number): void => {
          if (left === 0) done();
          else requestAnimationFrame(() => tick(left - 1));
        };
        tick(n);
      }),
    frames,
  );

interface PullFigures {
  readonly job: string;
  readonly handle: string;
  readonly medianFrameMs: number;
  readonly longTasksPulling: readonly number[];
  readonly longTasksLettingGo: readonly number[];
  readonly stolenMs: number;
}

async function pulled(page: Page, job: string, id: string): Promise<PullFigures | null> {
  const handle = page.locator(`[data-handle="${id}"]`);
  const box = await handle.locator("rect").first().boundingBox();
  if (!box) return null;
  const upright = (await handle.evaluate((g) => (g as SVGGElement).style.cursor)) === "ns-resize";
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await settle(page, 12);
  await since(page);
  const from = stolen();
  await page.mouse.down();
  for (let i = 1; i <= STEPS; i++) {
    // Out and back, as a hand that looks for the right place.
    const by = 20 * Math.sin((i / STEPS) * Math.PI * 2);
    await page.mouse.move(x + (upright ? 0 : by), y + (upright ? by : 0));
    await settle(page, 1);
  }
  const pulling = await since(page);
  await page.mouse.up();
  await settle(page, 36);
  const after = await since(page);
  const stolenMs = (stolen() - from) * 10;
  await page.keyboard.press("Control+z");
  await settle(page, 24);
  const frames = [...pulling.frames].sort((a, b) => a - b);
  return {
    job,
    handle: id,
    medianFrameMs: frames[Math.floor(frames.length / 2)] ?? NaN,
    longTasksPulling: pulling.tasks.map((t) => Math.round(t.ms)),
    longTasksLettingGo: after.tasks.map((t) => Math.round(t.ms)),
    stolenMs,
  };
}

async function main(): Promise<void> {
  const browser = await chromium.launch({
    executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${base}/?workroom=sample`);
  await page.getByText("Heron walk").first().waitFor();
  const jobs = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLAnchorElement>("a[href*='job=']")]
      .map((a) => new URL(a.href).searchParams.get("job") ?? "")
      .filter((id, i, all) => id && all.indexOf(id) === i),
  );
  const figures: PullFigures[] = [];
  for (const job of jobs.filter((id) => !ONLY || id.includes(ONLY))) {
    await page.goto(`${base}/restyle?job=${job}`);
    await page.getByRole("button", { name: /Fold what passes|pass$/ }).waitFor();
    await watch(page);
    await settle(page, 90);
    const ids = await page
      .locator("[data-handle]")
      .evaluateAll((all) => all.map((g) => (g as SVGGElement).dataset.handle));
    for (const id of ids) {
      const one = id ? await pulled(page, job, id) : null;
      if (one) figures.push(one);
      if (one) process.stderr.write(`${JSON.stringify(one)}\n`);
    }
  }
  await browser.close();
  const quiet = figures.filter((f) => f.stolenMs === 0);
  const summary = {
    pulls: figures.length,
    quiet: quiet.length,
    medianFrameMs: [...figures.map((f) => f.medianFrameMs)].sort((a, b) => a - b)[Math.floor(figures.length / 2)],
    longWhilePulling: figures.filter((f) => f.longTasksPulling.length > 0),
    longOnLettingGo: figures.filter((f) => f.longTasksLettingGo.length > 0),
  };
  const text = JSON.stringify(summary, null, 2);
  writeFileSync("bench/results/pulls.json", `${text}\n`);
  console.log(text);
}

void main();
