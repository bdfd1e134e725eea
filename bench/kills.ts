import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, type BrowserContext, type Page } from "@playwright/test";
import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { seededRandom } from "../src/core/geometry";
import { base } from "./browser";

/**
 * Kills the browser's processes at random moments while a job is edited, its steps are ticked, its pieces are laid or a
 * workroom comes in, in one tab or two, and looks what is left: nothing but the last second may be lost, nothing be
 * damaged, and a file comes in whole or not at all. Needs a running `bin/demo`. `COUNT` kills (300).
 */
const COUNT = Number(process.env.COUNT ?? "300");
const LOST_MS = 1000;
const JOB = "sample-heron-walk";

type Kept = Readonly<Record<string, unknown>> & { readonly id: string };
/** What was done, the newest last: written down before it is begun, for it may be kept before it is known to be done. */
interface Done {
  readonly value: string;
  /** When the page had taken it. */
  at: number;
}
type Doing = (context: BrowserContext, until: number, log: Done[]) => Promise<void>;

const home = mkdtempSync(join(tmpdir(), "eland-kills-"));
const open = (): Promise<BrowserContext> =>
  chromium.launchPersistentContext(home, {
    executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
    args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
    acceptDownloads: true,
    viewport: { width: 1280, height: 800 },
  });
const kill = (): void => void spawnSync("pkill", ["-9", "-f", home]);

/** Every record of a shelf, as it lies in the store. */
const shelf = (page: Page, name: string): Promise<readonly Kept[]> =>
  page.evaluate(
    (store) =>
      new Promise<Kept[]>((done, failed) => {
        const opening = indexedDB.open("eland");
        opening.onerror = () => failed(new Error("the store does not open"));
        opening.onsuccess = () => {
          const all = opening.result.transaction(store).objectStore(store).getAll();
          all.onsuccess = () => {
            opening.result.close();
            done(all.result as Kept[]);
          };
        };
      }),
    name,
  );

async function stage(context: BrowserContext, name: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(`${base}/${name}?job=${JOB}`);
  return page;
}

let typed = 0;
/** Types ever new hips into the card. */
const editing: Doing = async (context, until, log) => {
  const page = await stage(context, "body");
  const field = page.getByLabel("Hip", { exact: true });
  await field.waitFor();
  while (Date.now() < until) {
    const value = String(95 + (typed++ % 200) / 10);
    const done: Done = { at: Infinity, value };
    log.push(done);
    await field.fill(value);
    await field.press("Enter");
    done.at = Date.now();
    await page.waitForTimeout(60);
  }
};

/** Ticks steps of the making one after the other, and takes ticks back. */
const ticking: Doing = async (context, until, log) => {
  const page = await stage(context, "make");
  await page
    .getByRole("tab", { name: "Order" })
    .or(page.getByRole("button", { name: "Order" }))
    .first()
    .click();
  const boxes = page.getByRole("checkbox", { name: /^Step \d+ done$/ });
  await boxes.first().waitFor();
  for (let i = 0; Date.now() < until; i++) {
    const box = boxes.nth(i % 12);
    const ticked = await page.getByRole("checkbox", { checked: true }).count();
    const done: Done = { at: Infinity, value: String(ticked + ((await box.isChecked()) ? -1 : 1)) };
    log.push(done);
    await box.click();
    done.at = Date.now();
    await page.waitForTimeout(40);
  }
};

/** Lays the pieces anew. */
const laying: Doing = async (context, until) => {
  const page = await stage(context, "cloth");
  const on = page.getByRole("button", { name: "Look on" });
  while (Date.now() < until) {
    if (await on.isVisible().catch(() => false)) await on.click();
    await page.waitForTimeout(120);
  }
};

let brought = 0;
/** Brings in a workroom of jobs that are not here yet. */
const importing =
  (file: Uint8Array): Doing =>
  async (context, until, log) => {
    const entries = unzipSync(file);
    const run = ++brought;
    for (const [name, bytes] of Object.entries(entries)) {
      if (!name.startsWith("jobs/")) {
        if (name !== "workroom.json") delete entries[name];
        continue;
      }
      const record = JSON.parse(strFromU8(bytes)) as Kept;
      entries[name] = strToU8(JSON.stringify({ ...record, id: `in-${run}-${record.id}` }));
    }
    const manifest = JSON.parse(strFromU8(entries["workroom.json"] ?? new Uint8Array())) as {
      counts: Record<string, number>;
    };
    for (const name of Object.keys(manifest.counts)) if (name !== "jobs") manifest.counts[name] = 0;
    entries["workroom.json"] = strToU8(JSON.stringify(manifest));
    const page = await context.newPage();
    await page.goto(base);
    await page.getByText("Heron walk").first().waitFor();
    await page.getByLabel("Job or workroom file").setInputFiles({
      name: "workroom.eland.zip",
      mimeType: "application/zip",
      buffer: Buffer.from(zipSync(entries)),
    });
    log.push({ at: Date.now(), value: `${run} ${manifest.counts.jobs}` });
    await page.waitForTimeout(Math.max(0, until - Date.now()));
  };

const faults: string[] = [];
/** Kills by kind that had something to lose: done more than a second before; and imports that had come in. */
const told: Record<string, number> = {};
const count = (what: string): void => void (told[what] = (told[what] ?? 0) + 1);

/** What is wrong with what lies in the store after a kill. */
async function look(page: Page, kind: string, log: readonly Done[], killed: number): Promise<void> {
  await page.goto(base);
  await page.getByText("Heron walk").first().waitFor();
  if (
    await page
      .getByText(/cannot be read/i)
      .first()
      .isVisible()
  )
    faults.push(`${kind}: a record cannot be read`);
  const sure = log.filter(({ at }) => at < killed - LOST_MS);
  const since = log.slice(Math.max(0, sure.length - 1)).map(({ value }) => value);
  if (sure.length > 0) count(kind);
  if (kind.startsWith("edit")) {
    const job = (await shelf(page, "jobs")).find((j) => j.id === JOB) as unknown as {
      job: { body: { measures: { hip: unknown } } };
    };
    const kept = String(job.job.body.measures.hip).replace(/[^0-9.]/g, "");
    if (sure.length > 0 && !since.includes(String(Number(kept))))
      faults.push(`${kind}: hip ${kept}, not of ${since.join()}`);
  }
  if (kind.startsWith("tick")) {
    const held = (await shelf(page, "making")).find((m) => m.id === JOB) as unknown as { done: object } | undefined;
    const ticks = String(Object.keys(held?.done ?? {}).length);
    if (sure.length > 0 && !since.includes(ticks)) faults.push(`${kind}: ${ticks} ticks, not of ${since.join()}`);
  }
  if (kind === "lay")
    for (const lay of await shelf(page, "lays"))
      if (!(((lay.lay as { length?: number }).length ?? 0) > 0)) faults.push("lay: a lay of no length");
  if (kind === "import") {
    const [run, jobs] = (log[0]?.value ?? "0 0").split(" ");
    const here = (await shelf(page, "jobs")).filter((j) => j.id.startsWith(`in-${run}-`)).length;
    if (here > 0) count("import that came in whole or in part");
    if (here !== 0 && here !== Number(jobs)) faults.push(`import: ${here} of ${jobs} jobs came in`);
  }
}

/** Puts away what came in, so that the store stays small. */
const clear = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((done) => {
        const opening = indexedDB.open("eland");
        opening.onsuccess = () => {
          const tx = opening.result.transaction("jobs", "readwrite");
          const jobs = tx.objectStore("jobs");
          jobs.getAllKeys().onsuccess = (event) => {
            for (const key of (event.target as IDBRequest<IDBValidKey[]>).result)
              if (String(key).startsWith("in-")) jobs.delete(key);
          };
          tx.oncomplete = () => {
            opening.result.close();
            done();
          };
        };
      }),
  );

/** The sample workroom as a file. */
async function workroomFile(page: Page): Promise<Uint8Array> {
  const [file] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("button", { name: "Hand over the workroom" }).click(),
  ]);
  return new Uint8Array(readFileSync(await file.path()));
}

async function main(): Promise<void> {
  const random = seededRandom(7);
  let context = await open();
  const page = await context.newPage();
  await page.goto(`${base}/?workroom=sample`);
  await page.getByText("Heron walk").first().waitFor();
  const file = await workroomFile(page);
  const two =
    (a: Doing, b: Doing): Doing =>
    async (of, until, log) => {
      await Promise.all([a(of, until, log), b(of, until, [])]);
    };
  const kinds: readonly (readonly [string, Doing])[] = [
    ["edit", editing],
    ["tick", ticking],
    ["lay", laying],
    ["import", importing(file)],
    ["edit beside a lay", two(editing, laying)],
    ["tick beside an edit", two(ticking, editing)],
  ];
  for (let n = 0; n < COUNT; n++) {
    const [kind, doing] = kinds[n % kinds.length] as (typeof kinds)[number];
    const log: Done[] = [];
    const after = 1800 + 3000 * random();
    const work = doing(context, Date.now() + 60_000, log).catch(() => undefined);
    await new Promise((done) => setTimeout(done, after));
    const killed = Date.now();
    kill();
    await work;
    await context.close().catch(() => undefined);
    context = await open();
    const after2 = await context.newPage();
    await look(after2, kind, log, killed).catch((error: unknown) =>
      faults.push(`${kind}: ${String(error).slice(0, 200)}`),
    );
    await clear(after2);
    await after2.close();
    if (n % 30 === 29) console.error(`${n + 1} kills, ${faults.join("; ") || "no faults"}`);
  }
  await context.close();
  rmSync(home, { recursive: true, force: true });
  console.log(JSON.stringify({ kills: COUNT, told, faults }, null, 2));
}

void main();
