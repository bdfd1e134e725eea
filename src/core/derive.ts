import { paramGiving } from "./moves/given";
import type { Given } from "./params";
import { keepAsTyped } from "./words";
import type { Panel } from "./pattern";
import { advise, type Advice } from "./advice";
import { askedHem } from "./derive/askedHem";
import { clothOf } from "./derive/cloth";
import { fatesOf, freeEdgeOf, hemCut, hemDepthOf, mockFlyLength, openingCut } from "./derive/cutPlan";
import { deriveShape, SHOE, type DeriveFault, type Shape } from "./derive/shape";
import type { Job } from "./files";
import { finishGarment, type Notion } from "./finish";
import { symptomOf } from "./fitting";
import { inspect, type Check, type Inspected } from "./inspect";
import { cutPieces, grainWords, seamsOf, type Piece, type Seam } from "./pieces";
import {
  isStated,
  type Mm,
  type Quantity,
  say,
  tapeOf,
  type Sentence,
  type EngineFault,
  inside,
  typed,
  type Words,
} from "./units";

/** Everything a job comes to. */
export interface Derived extends Shape {
  /** Every panel that is sewn, as it is sewn: legs with what bands and pockets took from them, and all other parts. */
  readonly sewn: readonly Panel[];
  readonly hemDepth: Quantity | null;
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
  readonly notions: readonly Notion[];
  readonly checks: readonly Check[];
  readonly advice: readonly Advice[];
  readonly undecided: readonly Sentence[];
  /** Acts at which Eland itself failed: they are left out, and said among the lines, the checks or what is undecided. */
  readonly faults: readonly EngineFault[];
}

/** The whole way: shape, then finishes, pieces, seams, proof and advice. */
export function derive(job: Job): Derived | DeriveFault {
  keepAsTyped(job);
  const shape = deriveShape(job);
  if (!shape.ok) return shape;
  const made = madeOf(job, shape);
  const { garment, seams, pieces, hemDepth } = made;
  const inspected = inspectedOf(job, shape, made);
  const checks = inspect(inspected);
  return {
    ...shape,
    sewn: garment.panels,
    hemDepth,
    pieces,
    seams,
    notions: garment.notions,
    checks: checks.map((check) => {
      const why =
        check.status === "pass" ? undefined : (saidAs(job.meant?.[check.id]) ?? meantByFitting(job, check.id));
      return why === undefined ? check : { ...check, meant: why };
    }),
    advice: advise({
      ...inspected,
      allowances: shape.allowances,
      moveNumbers: Object.fromEntries(shape.worksheet.filter((l) => l.on).map((l) => [l.move, l.numbers])),
    }),
    undecided: [
      ...garment.undecided,
      ...(job.cloth ? [] : [say`The cloth is not decided.`]),
      ...foldedAgainst(pieces, job.cloth?.grain ?? {}),
    ],
    faults: [
      ...shape.worksheet.flatMap((l) => l.fault ?? []),
      ...garment.faults,
      ...checks.flatMap((c) => c.failed ?? []),
    ],
  };
}

/** The garment as it is sewn, its seams and its pieces. */
function madeOf(job: Job, shape: Shape) {
  const { finish, zip, measures, plan } = shape;
  const hemDepth = hemDepthOf(shape.panels, finish, tapeOf(job.body.unit));
  const length = lengthOf(shape);
  const mockFly = mockFlyLength(shape.panels, shape.joins);
  const garment = finishGarment(shape.panels, shape.joins, finish, {
    measures,
    hip: measures.hip.mm,
    zip: (zip?.length.mm ?? 0) + (zip?.above ?? 0),
    hipLevel: plan.levels.hip,
    cloth: clothOf(job).cloth,
    tape: tapeOf(job.body.unit),
    mockFly,
    cuffDepth: length.cuff,
  });
  const seams = seamsOf(garment.panels, garment.joins);
  const pieces = cutPieces(garment.panels, seams, {
    allowances: shape.allowances,
    hem: hemCut(finish, hemDepth, shape.allowances),
    opening: openingCut(finish, zip, shape.allowances),
    zipAtSide: zip?.at === "side",
    freeEdge: freeEdgeOf(finish),
    fates: fatesOf(finish, garment.open),
    marks: garment.marks,
    lies: job.cloth?.grain ?? {},
    job: { name: job.name, wearer: job.body.name, date: job.date ?? "", version: "" },
  });
  return { garment, seams, pieces, hemDepth, length };
}

/** What the checks look at. */
function inspectedOf(
  job: Job,
  shape: Shape,
  { garment, seams, pieces, hemDepth, length }: ReturnType<typeof madeOf>,
): Inspected {
  const { finish, zip, measures, readings, plan } = shape;
  return {
    measures,
    plan,
    legs: shape.panels,
    legSeams: seamsOf(shape.panels, shape.joins),
    panels: garment.panels,
    seams,
    pieces,
    finish,
    readings,
    zip: zip && { at: zip.at, length: zip.length.mm, hipAlong: zip.hipAlong, smoothAlong: zip.smoothAlong },
    hemDepth: hemDepth?.mm ?? null,
    crotchDrop: Math.max(0, plan.levels.crotch - shape.block.plan.levels.crotch),
    shoe: SHOE,
    setApart: new Set(Object.keys(shape.allowances.edges)),
    length: { whole: length.whole, cuff: length.cuff ?? 0, stated: lengthIsStated(job, shape) },
    rules: shape.rules,
    tape: tapeOf(job.body.unit),
    ownBlock: job.block.school === "own",
    moves: shape.moves,
    finishSource: job.finish ?? {},
    cloth: clothOf(job).cloth,
    passedOver: shape.worksheet.flatMap(({ on, passed, label, fault }) =>
      on && passed ? [{ label, why: passed, byEland: fault !== undefined }] : [],
    ),
    asked: { hem: askedHem(job, shape) },
  };
}

/** Pieces whose grain was to be turned, but which are cut on the fold: the fold lies on the thread. */
const foldedAgainst = (
  pieces: readonly Piece[],
  grain: NonNullable<NonNullable<Job["cloth"]>["grain"]>,
): readonly Sentence[] =>
  pieces.flatMap(({ id, name, cut }) => {
    const asked = grain[id];
    return asked && cut.onFold
      ? [say`The ${inside(name)} is cut on the fold, which lies on the thread: it cannot lie ${grainWords(asked)}.`]
      : [];
  });

/** What a maker wrote, as it stands; undefined where she wrote nothing. */
const saidAs = (text: string | undefined): Words | undefined => (text ? say`${typed(text)}` : text);

/** The fitting by which a check is answered on purpose, in words; undefined where none does. */
function meantByFitting({ fittings = [] }: Job, check: string): Sentence | undefined {
  const fitting = fittings.find(({ seen }) => symptomOf(seen).means?.includes(check));
  return fitting && say`Fitting of ${typed(fitting.date)}: ${symptomOf(fitting.seen).label}.`;
}

/** True where the maker has stated the length: in the style, or in a line that gives it. */
const lengthIsStated = ({ style }: Job, { moves }: Shape): boolean =>
  isStated(style.params.length) || moves.some((m) => m.on && isStated(m.params[paramGiving(m, "length") ?? ""]));

/** The length that was set, and the depth of the cuff where it gave something up for one. */
function lengthOf({ worksheet, plan }: Shape): { readonly whole: Mm; readonly cuff: Mm | null } {
  const set = worksheet.findLast((l) => l.on && !l.passed && paramGiving(l, "length"));
  const given = (what: Given): Mm | undefined => set?.numbers[paramGiving(set, what) ?? ""]?.mm;
  return { whole: given("length") ?? plan.levels.hem, cuff: given("cuff") ?? null };
}
