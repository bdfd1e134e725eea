import { clothOtherwise, FOLDS, type CupboardCloth, type Fold, type LayCloth } from "../cloth";
import { forJob } from "../cloth/cupboard";
import type { Derived } from "../derive";
import type { Job } from "../files";
import { boxOf, polygonArea } from "../geometry";
import type { JobChange } from "../inspect";
import { grainWords, leans, TURNED_GRAINS, type Piece } from "../pieces";
import { plain, say, type Mm, type Sentence, asSentence, inside } from "../units";
import { applyChanges } from "./changes";
import { readCloth } from "./cloth";
import { fittable } from "./fittable";
import { layWithin, shapesOfAll } from "./lay";

/** Something that would bring short cloth in: what is changed, and how much less it takes. */
export interface Saving {
  readonly says: Sentence;
  readonly changes: readonly JobChange[];
  readonly saves: Mm;
}

interface Idea extends Omit<Saving, "saves"> {
  /** The cloth it is laid on, and the length there is of it, where that is another. */
  readonly on?: { readonly cloth: LayCloth; readonly length: Mm | null };
}

/** A length is tried shorter by so much, a ratio by a fifth of itself, a hem by a finger. */
const SHORTER: Mm = 40;
const LESS = 0.8;
const HEM_LESS: Mm = 10;
const LEAST_HEM: Mm = 15;
const BAND_LESS: Mm = 10;
const LEAST_BAND: Mm = 25;
/** A part so much longer than it is wide is a strip: it may as well lie across the cloth. */
const STRIP = 3;

const FOLD_WORDS: Readonly<Record<Fold, string>> = {
  open: "Lay it open",
  lengthwise: "Fold it lengthwise",
  across: "Fold it across",
  partly: "Fold it, then open it out for the rest",
};

const isStrip = ({ is, cut, lies, material, seamLine }: Piece): boolean => {
  const { left, right, top, bottom } = boxOf(seamLine);
  const [wide, tall] = [right - left, bottom - top];
  const isLong = Math.max(wide, tall) > STRIP * Math.min(wide, tall);
  return is.component === "part" && material === "shell" && lies === null && !cut.onFold && isLong;
};

/** So many of the largest pieces are tried a little off the thread: the others find a place beside them. */
const LARGEST = 2;
const areaOf = ({ cutLine }: Piece): number => Math.abs(polygonArea(cutLine));

/** Strips laid across the cloth, large pieces a little off the thread, and a narrower band. */
function partsOf(job: Job, { pieces, finish }: Derived): readonly Idea[] {
  const across = pieces.filter(isStrip).map(({ id, name }): Idea => ({
    says: say`Cut the ${inside(name)} across the cloth`,
    changes: [{ path: ["cloth", "grain", id], value: "across" }],
  }));
  const leaning = [...pieces]
    .filter((p) => p.is.component === "legs" && p.material === "shell" && p.lies === null && !p.cut.onFold)
    .sort((a, b) => areaOf(b) - areaOf(a))
    .slice(0, LARGEST)
    .flatMap(({ id, name }) =>
      TURNED_GRAINS.filter(leans).map((lies): Idea => ({
        says: say`Lay the ${inside(name)} ${grainWords(lies)}`,
        changes: [{ path: ["cloth", "grain", id], value: lies }],
      })),
    );
  const turned = [...across, ...leaning];
  const { waist } = finish;
  const deep = waist && "depth" in waist ? waist.depth.mm : 0;
  if (!waist || deep - BAND_LESS < LEAST_BAND) return turned;
  const depth = `${plain(deep - BAND_LESS)} mm`;
  return [
    ...turned,
    {
      says: say`Band ${deep - BAND_LESS}, not ${deep}`,
      changes: [{ path: ["finish", "waist"], value: { ...stored(job.finish?.waist, waist.kind), depth } }],
    },
  ];
}

/** Cloths of the cupboard, each with what the job would say of it. */
const otherCloths = (cupboard: readonly CupboardCloth[], usual: LayCloth): readonly Idea[] =>
  cupboard.flatMap((kept): Idea[] => {
    const own = forJob(kept);
    // What the cupboard keeps says its own unit.
    const { cloth, errors } = readCloth(own, "mm");
    if (errors.length > 0) return [];
    return [
      {
        says: say`Lay it on the ${kept.name} of the cupboard`,
        changes: [{ path: ["cloth"], value: own }],
        on: { cloth: { ...cloth.lies, width: cloth.width ?? usual.width }, length: cloth.length },
      },
    ];
  });

/** What can be tried on a job: smaller numbers of its moves, a narrower hem or band, strips across the cloth, another fold. */
function ideasOf(job: Job, derived: Derived, cloth: LayCloth): readonly Idea[] {
  const numbers = fittable(derived).flatMap(({ index, param, words, isLength, now }): Idea[] => {
    const less = isLength ? now - SHORTER : now * LESS;
    if (less <= 0) return [];
    return [
      {
        says: isLength ? say`${words}: ${less}, not ${now}` : say`${words}: ${less.toFixed(2)}, not ${now.toFixed(2)}`,
        changes: [
          {
            path: ["moves", index, "params", param],
            value: isLength ? `${plain(less)} mm` : Number(less.toFixed(3)),
          },
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
  const folds = (cloth.outline ? [] : FOLDS.filter((fold) => fold !== cloth.fold)).map((fold): Idea => ({
    says: asSentence(FOLD_WORDS[fold]),
    changes: [{ path: ["cloth", "fold"], value: fold }],
  }));
  return [...numbers, ...hems, ...partsOf(job, derived), ...folds];
}

/** A finish as the job holds it, or the bare kind where it follows its style. */
const stored = (own: unknown, kind: string): object =>
  typeof own === "object" && own !== null && (own as { readonly kind?: unknown }).kind === kind ? own : { kind };

/** Enough to tell one idea from another. Counted in steps: both sides are looked at as long as each other, however busy. */
const QUICK = { steps: 260 } as const;
/** Less than this is no saving. */
const TELLS: Mm = 5;

/**
 * What would bring short cloth in, one after the other as it is worked out; what saves nothing is left out. `others` lie on
 * it too; a cloth of the cupboard is told where it is long enough and takes less.
 */
export function* savingsOf(
  job: Job,
  derived: Derived,
  cloth: LayCloth,
  others: readonly Job[] = [],
  cupboard: readonly CupboardCloth[] = [],
): Generator<Saving | null, void, void> {
  const base = shapesOfAll([job, ...others], "shell", cloth);
  const now = base.ok ? layWithin(base.shapes, cloth, 1, QUICK) : null;
  if (!now?.ok) return;
  for (const { on, ...idea } of [...ideasOf(job, derived, cloth), ...otherCloths(cupboard, cloth)]) {
    const next = structuredClone(job);
    applyChanges(next, idea.changes);
    const fold = next.cloth?.fold ?? cloth.fold;
    const lies = on?.cloth ?? (fold === cloth.fold ? cloth : clothOtherwise(cloth, { fold }));
    const made = shapesOfAll([next, ...others], "shell", lies);
    const laid = made.ok ? layWithin(made.shapes, lies, 1, QUICK) : null;
    const isEnough = laid?.ok && laid.lay.length <= (on?.length ?? Infinity);
    const saves = isEnough ? now.lay.length - laid.lay.length : 0;
    yield saves > TELLS ? { ...idea, saves } : null;
  }
}
