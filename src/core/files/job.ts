import { z } from "zod";
import { bodySchema } from "../body";
import { ownBodiceSchema } from "../bodice";
import { clothSchema } from "../cloth/schema";
import { ownBlockSchema, rulesSchema, schoolIdSchema } from "../drafting";
import { allowancesSchema, finishSchema } from "../finish";
import { fittingSchema } from "../fitting/schema";
import { planSchema, schoolsSchema } from "../making/schools";
import { JOB_FORMAT } from "./format";
import { JOB_VERSION } from "./migrations";

/** The edition of Eland's drawing: it rises when the same job is drawn otherwise on purpose. */
export const EDITION = 7;

const moveEntrySchema = z.strictObject({
  id: z.string().min(1).max(40),
  move: z.string().max(40),
  on: z.boolean().default(true),
  params: z.record(z.string().max(40), z.unknown()).default({}),
});

const blockSchema = z.strictObject({
  school: schoolIdSchema,
  rules: rulesSchema.default({}),
  /** The block that was brought in; drawn from only while the school is `own`. */
  own: ownBlockSchema.optional(),
  /** Every number that is chosen, not solved, stands on the maker's tape before the draft uses it. */
  onTape: z.boolean().optional(),
  /** The bodice that was brought in; drawn from only where the line that drafts the bodice says so. */
  bodice: ownBodiceSchema.optional(),
});

const styleChoiceSchema = z.strictObject({
  id: z.string().max(40),
  params: z.record(z.string().max(40), z.unknown()).default({}),
});

const fittingsSchema = z.array(fittingSchema).max(60);

/** What a job's pattern was made from when a version was kept; the card and the cloth stay the job's own. */
export const versionSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(80),
  date: z.iso.date(),
  block: blockSchema,
  style: styleChoiceSchema,
  moves: z.array(moveEntrySchema).max(60).optional(),
  finish: finishSchema.optional(),
  allowances: allowancesSchema.optional(),
  fittings: fittingsSchema.optional(),
});
export type Version = z.infer<typeof versionSchema>;

/**
 * A job as it is saved: plain choices, nothing derived. The card is a dated snapshot. `moves`, `finish`, `allowances`
 * and `cloth` may be left out; the style's own are then used.
 */
export const jobSchema = z.strictObject({
  format: z.literal(JOB_FORMAT),
  version: z.literal(JOB_VERSION),
  name: z.string().max(120).default(""),
  /** The edition of the drawing its maker has seen it in; left out, today's. */
  edition: z.int().min(1).max(EDITION).optional(),
  /** ISO date printed on labels. */
  date: z.iso.date().optional(),
  body: bodySchema,
  block: blockSchema,
  style: styleChoiceSchema,
  moves: z.array(moveEntrySchema).max(60).optional(),
  finish: finishSchema.optional(),
  allowances: allowancesSchema.optional(),
  /** What fittings changed, each with its note; it comes on top of everything else that is chosen. */
  fittings: fittingsSchema.optional(),
  cloth: clothSchema.optional(),
  /** In which order it is made. */
  making: schoolsSchema
    .partial()
    .extend({
      plan: planSchema.optional(),
      /** What good cloth waits for before it is cut: a toile that was passed, or, by its maker's word, nothing. */
      gate: z.enum(["toile", "none"]).optional(),
    })
    .optional(),
  /** Looks and faults that are meant so, by their check, each with a word why. */
  meant: z.record(z.string().max(40), z.string().max(300)).optional(),
  versions: z.array(versionSchema).max(40).optional(),
});
export type Job = z.infer<typeof jobSchema>;
