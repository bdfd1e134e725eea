import { FOLDS, type Fold, type LayCloth } from "../cloth";
import type { Derived } from "../derive";
import type { Job } from "../files";
import type { JobChange } from "../inspect";
import { plain, say, type Mm, type Sentence } from "../units";
import { applyChanges } from "./changes";
import { fittable } from "./fittable";
import { layWithin, shapesOfAll } from "./lay";

/** Something that would bring short cloth in: what is changed, and how much less it takes. */
export interface Saving {
  readonly says: Sentence;
  readonly changes: readonly JobChange[];
  readonly saves: Mm;
}

type Idea = Omit<Saving, "saves">;

/** A length is tried shorter by so much, a ratio by a fifth of itself, a hem by a finger. */
const SHORTER: Mm = 40;
const LESS = 0.8;
const HEM_LESS: Mm = 10;
const LEAST_HEM: Mm = 15;

const FOLD_WORDS: Readonly<Record<Fold, string>> = {
  open: "Lay it open",
  lengthwise: "Fold it lengthwise",
  across: "Fold it across",
};

/** What can be tried on a job: smaller numbers of its moves, a narrower hem, another fold. */
function ideasOf(job: Job, derived: Derived, cloth: LayCloth): readonly Idea[] {
  const numbers = fittable(derived).flatMap(({ index, param, words, isLength, now }): Idea[] => {
    const less = isLength ? now - SHORTER : now * LESS;
    if (less <= 0) return [];
    return [
      {
        says: isLength ? say`${words}: ${less}, not ${now}` : say`${words}: ${less.toFixed(2)}, not ${now.toFixed(2)}`,
        changes: [
          { path: ["moves", index, "params", param], value: isLength ? `${plain(less)} mm` : Number(less.toFixed(3)) },
        ],
      },
    ];
  });
  const { hem } = derived.finish;
  const depth = derived.hemDepth?.mm ?? 0;
  const hems: readonly Idea[] =
    hem && "depth" in hem && depth - HEM_LESS >= LEAST_HEM
      ? [
          {
            says: say`Hem ${depth - HEM_LESS}, not ${depth}`,
            changes: [
              {
                path: ["finish", "hem"],
                value: { ...stored(job.finish?.hem, hem.kind), depth: `${plain(depth - HEM_LESS)} mm` },
              },
            ],
          },
        ]
      : [];
  const folds = FOLDS.filter((fold) => fold !== cloth.fold).map((fold): Idea => ({
    says: [FOLD_WORDS[fold]],
    changes: [{ path: ["cloth", "fold"], value: fold }],
  }));
  return [...numbers, ...hems, ...folds];
}

/** The hem as the job holds it, or the bare kind where it follows its style. */
const stored = (own: unknown, kind: string): object =>
  typeof own === "object" && own !== null && (own as { readonly kind?: unknown }).kind === kind ? own : { kind };

/** Enough to tell one idea from another; both sides are looked at as long as each other. */
const QUICK = { steps: 260, milliseconds: 900 } as const;
/** Less than this is no saving. */
const TELLS: Mm = 5;

/** What would bring short cloth in, one after the other as it is worked out; what saves nothing is left out. `others` lie on it too. */
export function* savingsOf(
  job: Job,
  derived: Derived,
  cloth: LayCloth,
  others: readonly Job[] = [],
): Generator<Saving | null, void, void> {
  const base = shapesOfAll([job, ...others], "shell", cloth);
  const now = base.ok ? layWithin(base.shapes, cloth, 1, QUICK) : null;
  if (!now?.ok) return;
  for (const idea of ideasOf(job, derived, cloth)) {
    const next = structuredClone(job);
    applyChanges(next, idea.changes);
    const fold = next.cloth?.fold ?? cloth.fold;
    const lies = { ...cloth, fold, ...(fold !== cloth.fold && { foldWidth: null }) };
    const made = shapesOfAll([next, ...others], "shell", lies);
    const laid = made.ok ? layWithin(made.shapes, lies, 1, QUICK) : null;
    const saves = laid?.ok ? now.lay.length - laid.lay.length : 0;
    yield saves > TELLS ? { ...idea, saves } : null;
  }
}
