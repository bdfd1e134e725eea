import { overAfter } from "@/clock";
import { z } from "zod";
import { clothSchema, MOST_TOGETHER, type ClothLay } from "@/core/cloth";
import { readCloth } from "@/core/derive/cloth";
import { fitCloth } from "@/core/derive/fitCloth";
import { layWithin, shapesOfAll } from "@/core/derive/lay";
import { readJob, type Job } from "@/core/files";
import { complaintsOfSchema, tapeOf } from "@/core/units";
import { complaints, json, refused, type Answer } from "./reply";

/** A search is ended after so long, whatever is asked: no process works for longer than the pool allows. */
const MOST_SECONDS = 15;
const USUAL_SECONDS = 2;
const MOST_STEPS = 2_000_000;

const MATERIALS = ["shell", "contrast", "lining", "interfacing", "pocketing", "rib"] as const;

const searched = {
  job: z.unknown(),
  cloth: clothSchema.default({}),
  seconds: z.number().min(0).max(600).default(USUAL_SECONDS),
  seed: z
    .int()
    .min(0)
    .max(2 ** 31)
    .default(1),
};
const laySchema = z.strictObject({
  ...searched,
  with: z.array(z.unknown()).max(MOST_TOGETHER).default([]),
  steps: z.int().min(1).max(MOST_STEPS).optional(),
  material: z.enum(MATERIALS).default("shell"),
});
const fitSchema = z.strictObject({ ...searched, move: z.string().max(40), number: z.string().max(40) });

type Read<T> =
  { readonly ok: true; readonly asked: T; readonly job: Job } | { readonly ok: false; readonly answer: Answer };

/** The request and its job; the cloth of the request is laid over the job's own, bare numbers of it millimetres. */
function readAsked<T extends z.ZodType<{ readonly job: unknown }>>(schema: T, value: unknown): Read<z.infer<T>> {
  const parsed = schema.safeParse(value);
  if (!parsed.success) return { ok: false, answer: complaints(400, complaintsOfSchema(parsed.error, []), "cm") };
  const read = readJob(parsed.data.job);
  if (read.kind !== "job")
    return {
      ok: false,
      answer: complaints(
        400,
        read.errors.map((e) => ({ ...e, path: `job.${e.path}` })),
        "cm",
      ),
    };
  return { ok: true, asked: parsed.data, job: read.job };
}

/** The cloth that was asked for, in millimetres. */
function clothAsked(job: Job, asked: z.infer<typeof clothSchema>) {
  const own = readCloth(job.cloth, job.body.unit);
  const read = readCloth(asked, "mm");
  const { cloth } = read;
  // Another width or length asked for is of another cloth than the job's remnant.
  const outline =
    cloth.lies.outline ??
    (asked.width === undefined && asked.length === undefined ? own.cloth.lies.outline : undefined);
  return {
    errors: [...own.errors, ...read.errors],
    width: cloth.width ?? own.cloth.width,
    length: cloth.length ?? own.cloth.length,
    shrinks: asked.shrink === undefined ? own.cloth.shrinks : cloth.shrinks,
    lies: {
      fold: outline ? "open" : (asked.fold ?? own.cloth.lies.fold),
      foldWidth: cloth.lies.foldWidth ?? own.cloth.lies.foldWidth,
      nap: asked.nap ?? own.cloth.lies.nap,
      gap: asked.gap === undefined ? own.cloth.lies.gap : cloth.lies.gap,
      repeat: cloth.lies.repeat ?? own.cloth.lies.repeat,
      ...(outline && { outline }),
    },
  };
}

const noWidth = refused(400, "cloth.width", "Say how wide the cloth is, in millimetres.");

type Cloth = Omit<ReturnType<typeof clothAsked>, "width" | "errors"> & { readonly width: number };

/** The request with its job and the cloth it is to lie on; or why there is none. */
function asked<T extends z.ZodType<{ readonly job: unknown; readonly cloth: z.infer<typeof clothSchema> }>>(
  schema: T,
  value: unknown,
): (Extract<Read<z.infer<T>>, { ok: true }> & { readonly cloth: Cloth }) | Extract<Read<never>, { ok: false }> {
  const read = readAsked(schema, value);
  if (!read.ok) return read;
  const { errors, width, ...cloth } = clothAsked(read.job, read.asked.cloth);
  if (errors.length > 0) return { ok: false, answer: complaints(400, errors, tapeOf(read.job.body.unit)) };
  if (width === null) return { ok: false, answer: noWidth };
  // Which pieces are joined or turned changes the shapes that are cut: it is said of the job.
  const { joined, grain } = { ...read.job.cloth, ...read.asked.cloth };
  const job: Job = { ...read.job, cloth: { ...read.job.cloth, ...(joined && { joined }), ...(grain && { grain }) } };
  return { ...read, job, cloth: { ...cloth, width } };
}

/** A lay as it is sent: places, and each outline as it lies. */
const layReply = (lay: ClothLay) => ({
  length: lay.length,
  foldedLength: lay.foldedLength,
  drawnWidth: lay.drawnWidth,
  utilisation: lay.utilisation,
  bound: lay.bound,
  singles: lay.singles,
  placements: lay.placements.map(({ turn, ...placement }) => ({
    ...placement,
    // Mirrored once, it lies face down; mirrored along the cloth or both ways, it points the other way.
    angle: turn & 1 ? 180 : 0,
    flipped: turn === 1 || turn === 2,
  })),
});

/** Lays a job's pieces on cloth. */
export function layAnswer(value: unknown): Answer {
  const read = asked(laySchema, value);
  if (!read.ok) return read.answer;
  const { asked: want, job, cloth } = read;
  const tape = tapeOf(job.body.unit);
  const from = performance.now();
  const on = { width: cloth.width, ...cloth.lies };
  const others = want.with.map(readJob);
  const strange = others.findIndex((o) => o.kind !== "job");
  const odd = others[strange];
  if (odd && odd.kind !== "job")
    return complaints(
      400,
      odd.errors.map((e) => ({ ...e, path: [`with.${strange}`, e.path].filter(Boolean).join(".") })),
      "cm",
    );
  const made = shapesOfAll([job, ...others.flatMap((o) => (o.kind === "job" ? [o.job] : []))], want.material, on);
  if (!made.ok) return complaints(made.status, made.errors, tape);
  // Preparing the pieces counts as well: the answer is there when it was asked for.
  const allowed = 1000 * Math.min(MOST_SECONDS, want.steps === undefined ? want.seconds : MOST_SECONDS);
  const laid = layWithin(made.shapes, on, want.seed, {
    steps: want.steps ?? MOST_STEPS,
    isOver: overAfter(Math.max(1, allowed - (performance.now() - from))),
  });
  if (!laid.ok) return complaints(laid.status, laid.errors, tape);
  return json(200, {
    ok: true,
    ...layReply(laid.lay),
    width: cloth.width,
    fold: cloth.lies.fold,
    fits: cloth.length === null ? null : laid.lay.length <= cloth.length,
    toBuy: laid.lay.length / (1 - cloth.shrinks),
    seed: want.seed,
    steps: laid.steps,
    foundAt: laid.foundAt,
    endedBy: laid.endedBy,
    // Only a search that counted its steps to the end gives the same lay again.
    isRepeatable: laid.endedBy !== "time",
    ms: performance.now() - from,
  });
}

/** The largest number of a move whose lay fits on the cloth. */
export function fitAnswer(value: unknown): Answer {
  const read = asked(fitSchema, value);
  if (!read.ok) return read.answer;
  const { asked: want, job, cloth } = read;
  if (cloth.length === null) return refused(400, "cloth.length", "Say how long the cloth is, in millimetres.");
  const search = fitCloth(job, { width: cloth.width, ...cloth.lies }, cloth.length, {
    move: want.move,
    number: want.number,
    seed: want.seed,
    // A slow machine may take twice as long over it.
    milliseconds: 1000 * Math.min(MOST_SECONDS / 2, Math.max(1, want.seconds)),
    isOver: overAfter(900 * MOST_SECONDS),
  });
  for (;;) {
    const next = search.next();
    if (!next.done) continue;
    const fitted = next.value;
    if ("ok" in fitted) return complaints(fitted.status, fitted.errors, tapeOf(job.body.unit));
    const { lay, ...rest } = fitted;
    return json(200, { ok: true, ...rest, lay: layReply(lay), seed: want.seed });
  }
}
