import { z } from "zod";
import { RECORD_VERSION } from "./records";
import { shelves } from "./shelf";

/** How often each kind of mistake was met in practice, and found. */
const practiceSchema = z.object({
  id: z.literal("practice"),
  version: z.literal(RECORD_VERSION),
  kinds: z.record(z.string(), z.object({ met: z.number().int().min(0), found: z.number().int().min(0) })),
  /** Found one after the other, without a miss between. */
  run: z.number().int().min(0),
});
export type PracticeRecord = z.infer<typeof practiceSchema>;

const NONE: PracticeRecord = { id: "practice", version: RECORD_VERSION, kinds: {}, run: 0 };

export async function findPractice(): Promise<PracticeRecord> {
  const read = practiceSchema.safeParse(await (await shelves()).get("practice", "practice"));
  return read.success ? read.data : NONE;
}

/** Adds one exercise to what is kept; what a newer Eland kept is left as it is. */
export async function keepExercise(mistake: string, isFound: boolean): Promise<PracticeRecord> {
  const kept = await (
    await shelves()
  ).replace("practice", "practice", (held) => {
    const { version } = (held ?? {}) as { readonly version?: number };
    if (version !== undefined && version > RECORD_VERSION) return held as PracticeRecord;
    const read = practiceSchema.safeParse(held);
    const now = read.success ? read.data : NONE;
    const own = now.kinds[mistake] ?? { met: 0, found: 0 };
    return {
      ...now,
      kinds: { ...now.kinds, [mistake]: { met: own.met + 1, found: own.found + (isFound ? 1 : 0) } },
      run: isFound ? now.run + 1 : 0,
    };
  });
  return kept;
}
