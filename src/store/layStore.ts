import { z } from "zod";
import { cupboardClothSchema, type ClothLay, type CupboardCloth, type Laid } from "@/core/cloth";
import type { Material } from "@/core/pattern";
import type { Mm } from "@/core/units";
import { RECORD_VERSION } from "./records";
import { shelves } from "./shelf";

/** A lay that was kept beside a job: of one material, and what stands for the pieces and the cloth it was made of. */
export interface KeptLay {
  readonly id: string;
  readonly version: 1;
  readonly job: string;
  readonly material: Material;
  readonly sign: string;
  readonly seed: number;
  readonly steps: number;
  readonly locked: readonly (readonly [number, Laid])[];
  readonly lay: ClothLay;
  /** No lay is shorter, as far as that was proved. */
  readonly proved?: Mm;
}

const placed = z
  .object({ piece: z.string(), copy: z.number(), x: z.number(), y: z.number(), turn: z.number() })
  .loose();
const keptSchema = z.object({
  id: z.string(),
  version: z.literal(RECORD_VERSION),
  sign: z.string(),
  lay: z.object({ length: z.number(), drawnWidth: z.number(), placements: z.array(placed) }).loose(),
});

export const layId = (job: string, material: Material): string => `${job}|${material}`;

/** The kept lay of a job's material; null where there is none, or none that can be read. */
export async function findLay(job: string, material: Material): Promise<KeptLay | null> {
  const raw = await (await shelves()).get("lays", layId(job, material));
  if (!keptSchema.safeParse(raw).success) return null;
  const kept = raw as unknown as KeptLay;
  // A lay that was kept before several garments shared a cloth is all of the job's own.
  const placements = kept.lay.placements.map((p) => ({ ...p, bundle: (p as { bundle?: number }).bundle ?? 0 }));
  return { ...kept, lay: { ...kept.lay, placements } };
}

/** Keeps a lay in place of the one before; one that a newer Eland kept is left as it is. */
export async function keepLay(lay: Omit<KeptLay, "id" | "version">): Promise<void> {
  const id = layId(lay.job, lay.material);
  await (
    await shelves()
  ).replace("lays", id, (held) => {
    const { version } = (held ?? {}) as { readonly version?: number };
    return version !== undefined && version > RECORD_VERSION
      ? (held as KeptLay)
      : { ...lay, id, version: RECORD_VERSION };
  });
}

interface StoredCloth {
  readonly id: string;
  readonly version: 1;
  readonly cloth: CupboardCloth;
}

/** The cloths of the cupboard, by name; what cannot be read is left where it lies. */
export async function listCloths(): Promise<readonly CupboardCloth[]> {
  const raws = await (await shelves()).all("cloths");
  return raws
    .flatMap((raw) => {
      const read = cupboardClothSchema.safeParse((raw as Partial<StoredCloth>).cloth);
      return read.success ? [read.data] : [];
    })
    .sort((a, b) => a.name.localeCompare(b.name));
}

export async function keepCloth(cloth: CupboardCloth): Promise<void> {
  const record: StoredCloth = { id: cloth.id, version: RECORD_VERSION, cloth };
  await (await shelves()).put("cloths", [record]);
}

export async function removeCloth(id: string): Promise<void> {
  await (await shelves()).remove("cloths", id);
}

/** Which other garments lie on a job's cloth too, by their ids. */
interface Together {
  readonly id: string;
  readonly version: 1;
  readonly job: string;
  readonly with: readonly string[];
}

const togetherSchema = z.object({ version: z.literal(RECORD_VERSION), with: z.array(z.string()) });
/** It lies beside the job's lays, of no one material. */
const togetherId = (job: string): string => `${job}|`;

/** The ids of the garments that share a job's cloth. */
export async function findTogether(job: string): Promise<readonly string[]> {
  const read = togetherSchema.safeParse(await (await shelves()).get("lays", togetherId(job)));
  return read.success ? read.data.with : [];
}

export async function keepTogether(job: string, ids: readonly string[]): Promise<void> {
  const record: Together = { id: togetherId(job), version: RECORD_VERSION, job, with: ids };
  await (await shelves()).put("lays", [record]);
}
