import { z } from "zod";
import { schemaOf } from "../params";
import type { AnyFinish, EntryOf, Room } from "./define";
import { FINISHES, KINDS } from "./kinds";

type Kinds = typeof KINDS;
type Entry<R extends keyof Kinds> = EntryOf<Kinds[R][number]>;

const undecided = z.literal("undecided");

/** One of the kinds of a room, as it is stored. */
function entrySchema<R extends Exclude<Room, "belt">>(room: R): z.ZodType<Entry<R>> {
  const kinds: readonly AnyFinish[] = FINISHES[room];
  const options = kinds.map((kind) => kind.schema as z.ZodObject);
  return z.discriminatedUnion("kind", options as [z.ZodObject, ...z.ZodObject[]]) as unknown as z.ZodType<Entry<R>>;
}

const [belt] = KINDS.belt;

/**
 * How the garment is finished. Waist, fastening, pockets and hem may be `"undecided"`: it is then listed and printed,
 * never invented. Absent entries keep the style's own.
 */
export const finishSchema = z.strictObject({
  waist: z
    .union([undecided, entrySchema("waist")])
    .describe("The waist edge.")
    .optional(),
  fastening: z
    .union([undecided, entrySchema("fastening")])
    .describe("How the garment opens.")
    .optional(),
  pockets: z
    .union([undecided, z.array(entrySchema("pocket")).max(4)])
    .describe("Pockets; an empty list is none.")
    .optional(),
  hem: z
    .union([undecided, entrySchema("hem")])
    .describe("The hem.")
    .optional(),
  inside: z
    .enum(["undecided", "overlocked", "bound", "lined", "bagged", "raw"])
    .describe("How the inner edges are kept from fraying; lined: a lining laid in; bagged: a lining sewn to the hem.")
    .optional(),
  belt: z
    .union([z.literal("none"), schemaOf(belt.params)])
    .describe(belt.about)
    .optional(),
  trims: z.array(entrySchema("trim")).max(4).describe("What is set into the seams.").optional(),
});
export type Finish = z.infer<typeof finishSchema>;
