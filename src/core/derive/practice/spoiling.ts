import type { Params } from "../../params";
import type { Derived } from "../../derive";
import type { FittingChange } from "../../fitting";
import type { Job } from "../../files";
import { pathLength, pointDistance } from "../../geometry";
import { edgesWithRole, isBodice, type EdgeRole, type Panel } from "../../pattern";
import { type Mm, say, type Words } from "../../units";
import { withFitting } from "../changes";

/** A mistake that people make: how a sound job is spoilt by it, and the one measure that shows it. */
export interface Mistake {
  readonly id: string;
  readonly label: Words;
  /** What happened, and how it is kept from happening. */
  readonly explains: Words;
  /** What is measured to see it, and with which tool on the table. */
  readonly measure: Words;
  readonly tool: "readings" | "tape";
  /** The job with the mistake in it, the larger the size the plainer; null where this garment has no place for it. */
  readonly spoil: (job: Job, sound: Derived, size: number) => Job | null;
  /** The measure on a pattern; null where it has none. */
  readonly read: (derived: Derived) => Mm | null;
}

export const changed = (job: Job, ...changes: FittingChange[]): Job =>
  withFitting(job, { id: "mistake", date: "2000-01-01", seen: "seat-pulls", pinned: "both", words: "", changes });

/** A rule that was drafted by so much more or less. */
export const byRule =
  (rule: string, by: (sound: Derived, size: number) => Mm): Mistake["spoil"] =>
  (job, sound, size) => {
    const mm = by(sound, size);
    return Math.abs(mm) < LEAST ? null : changed(job, { rule, by: mm });
  };

/** A number of a move's. */
export const numberOf = <P extends Params>(
  { id }: { readonly id: string; readonly params: P },
  param: keyof P & string,
): readonly [move: string, param: string] => [id, param];

/** A number of the restyling by so much more or less, on the first of these lines that the garment has. */
export const byMove =
  (lines: readonly (readonly [move: string, param: string])[], by: (now: Mm, size: number) => Mm): Mistake["spoil"] =>
  (job, sound, size) => {
    for (const [move, param] of lines) {
      const now = sound.worksheet.findLast((l) => l.on && !l.passed && l.move === move)?.numbers[param]?.mm;
      if (now !== undefined && Math.abs(by(now, size)) >= LEAST)
        return changed(job, { move, param, by: by(now, size) });
    }
    return null;
  };

/** Less than this no tape shows. */
const LEAST: Mm = 6;

/** The allowance at the seams of a kind, on the good cloth; null where no piece has such a seam. */
const allowanceAt =
  (role: EdgeRole): Mistake["read"] =>
  ({ pieces }) => {
    const edges = pieces
      .filter((p) => p.is.component === "legs" && p.is.part === null)
      .flatMap((p) => p.edges.filter((e) => e.role === role && !e.isFree));
    return edges.length === 0 ? null : Math.min(...edges.map((e) => e.allowance));
  };

const withAllowance =
  (kind: "side" | "inseam" | "crotch" | "waist", times: 0 | 2): Mistake["spoil"] =>
  (job, sound) => ({
    ...job,
    allowances: { ...job.allowances, [kind]: `${times * sound.allowances.widths[kind]} mm` },
  });

export const allowance = (
  kind: "side" | "inseam" | "crotch" | "waist",
  role: EdgeRole,
  where: string,
  times: 0 | 2,
): Mistake => ({
  id: `${kind}-${times === 0 ? "none" : "double"}`,
  label: times === 0 ? say`No allowance at the ${where}` : say`Allowance added twice at the ${where}`,
  explains:
    times === 0
      ? say`The ${where} was cut on its seam line: sewn, it takes the allowance out of the garment. Allowances are the last thing drawn, edge by edge, and ticked off.`
      : `The paper edge held the allowance already, and it was added again. Say at each edge whether it is net or cut before adding anything.`,
  measure: say`From seam line to cut line at the ${where}`,
  tool: "tape",
  spoil: withAllowance(kind, times),
  read: allowanceAt(role),
});

export const halfGirth =
  (level: "hip", half: "front" | "back"): Mistake["read"] =>
  ({ readings }) =>
    readings.halfGirths.find((h) => h.level === level)?.[half] ?? null;

export const reading =
  (of: (r: Derived["readings"]) => Mm | null): Mistake["read"] =>
  ({ readings }) =>
    readings.outseam > 0 ? of(readings) : null;

export const dartLength: Mistake["read"] = ({ panels }) => {
  const back = panels.find(
    (p) => p.is.component === "legs" && p.is.root === "back" && p.lines.some((l) => l.kind === "dart"),
  );
  const dart = back?.lines.find((l) => l.kind === "dart");
  const [from, tip] = dart?.points ?? [];
  return from && tip ? pointDistance(from, tip) : null;
};

export const pocketOpening: Mistake["read"] = ({ sewn }) => {
  const part = sewn.find((p) => p.landmarks.openingTop && p.landmarks.openingEnd);
  const { openingTop, openingEnd } = part?.landmarks ?? {};
  return openingTop && openingEnd ? pointDistance(openingTop, openingEnd) : null;
};

export const backCentre: Mistake["read"] = ({ panels }) => {
  const back: Panel | undefined = panels.find((p) => isBodice(p, "back"));
  const centre = back && edgesWithRole(back, "centre");
  return centre && centre.length > 0 ? centre.reduce((sum, e) => sum + pathLength(e.path), 0) : null;
};

export const hemDepth: Mistake["read"] = allowanceAt("hem");

export const withHem =
  (depth: Mm): Mistake["spoil"] =>
  (job, sound) =>
    hemDepth(sound) === null || !sound.hemDepth
      ? null
      : { ...job, finish: { ...job.finish, hem: { kind: "turned", depth: `${depth} mm` } } };

export const readingMistake = (
  id: string,
  label: string,
  explains: string,
  measure: string,
  read: Mistake["read"],
  spoil: Mistake["spoil"],
): Mistake => ({ id, label, explains, measure, tool: "readings", spoil, read });

export const seamFront = reading((r) => r.crotchSeamFront);
export const seamBack = reading((r) => r.crotchSeamBack);
export const crotchSeam = reading((r) => r.crotchSeam);
export const sideSeam = reading((r) => r.outseam);
