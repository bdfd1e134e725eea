import { type Join, type Panel, rimGirth, type Drawing } from "../pattern";
import { questionsOf, resolveBody, type BodyMeasures, type Question } from "../body";
import {
  draftBlock,
  ownBlock,
  LEG_JOINS,
  resolveRules,
  type Block,
  type ChangedRule,
  type ResolvedRules,
} from "../drafting";
import { runMoves } from "./runMoves";
import { differBySide, fittingsOf, joinedSides, ofBothSides } from "./oneSided";
import type { MovesRun, WorksheetLine } from "./worksheetLine";
import { meetingHem } from "./askedHem";
import { clothOf } from "./cloth";
import { draftedOf, type Drafted } from "./drafted";
import { BLOCK_AT_FAULT, FITTINGS_AT_FAULT, MEASURES_AT_FAULT, MOVES_AT_FAULT, refuseBadOutlines } from "./lastGate";
import { planZip, type ZipPlan } from "./zip";
import type { Job } from "../files";
import {
  elasticLength,
  elasticOf,
  pulledOn,
  resolveAllowances,
  resolveFinish,
  STRETCHES,
  waistLevelEffect,
  hangsBelow,
  type AllowanceSet,
  type ResolvedFinish,
} from "../finish";
import type { Fitting } from "../fitting";
import { changesMoves, fittedMoves, fittedRules, refuseUnknownRules, ruleChanges } from "../fitting/apply";
import { readPanels, type Readings } from "../inspect";
import type { MoveContext } from "../moves";
import { autosOf, movesOf, styleOn, type MoveEntry, type Style } from "../styles";
import { remembered } from "../remember";
import { type Mm, Refusal, say, tapeOf, type Complaint, type Tape, complaintsOfSchema, typed } from "../units";

/** Card, rules and block stay as they were while moves are pulled and set. */
const bodyOf = remembered(resolveBody);
const rulesOf = remembered(resolveRules);
const blockOf = remembered(draftBlock);
const blockReadingsOf = remembered(readPanels);

/** What chosen numbers are brought to where a block is drafted on the maker's tape: eighths of an inch, half centimetres. */
const DRAFTED_ON: Readonly<Record<Tape, Mm>> = { in: 25.4 / 8, cm: 5 };

/** Heel height a full-length leg allows for. */
export const SHOE: Mm = 30;

/** What a handle needs each frame: the pattern on its seam lines and what it measures. */
export interface Shape {
  readonly ok: true;
  readonly measures: BodyMeasures;
  readonly questions: readonly Question[];
  readonly block: Block;
  /** All that is drafted before it is restyled, in one count: the block, and a bodice where there is one. */
  readonly drafted: Drafted;
  readonly blockReadings: Readings;
  readonly rules: ResolvedRules;
  /** The same without what fittings changed: as they were chosen. */
  readonly ownRules: ResolvedRules;
  /** The school's rules, and the chosen back's, with nothing changed. */
  readonly presetRules: ResolvedRules;
  readonly changedRules: readonly ChangedRule[];
  readonly style: Style;
  readonly moves: readonly MoveEntry[];
  readonly worksheet: readonly WorksheetLine[];
  readonly shown: readonly Drawing[];
  /** The pattern on its seam lines, from the centre to the side: front, back, and all that was cut from them. */
  readonly panels: readonly Panel[];
  readonly joins: readonly Join[];
  readonly plan: Block["plan"];
  readonly finish: ResolvedFinish;
  readonly allowances: AllowanceSet;
  readonly zip: ZipPlan | null;
  readonly readings: Readings;
}

/** A job that cannot be derived: 400 for input that cannot be read, 422 for a body or move that cannot be drawn. */
export interface DeriveFault {
  readonly ok: false;
  readonly status: 400 | 422;
  readonly errors: readonly Complaint[];
}

const fault = (status: 400 | 422, errors: DeriveFault["errors"]): DeriveFault => ({ ok: false, status, errors });

/**
 * From the job to the pattern on its seam lines and its readings: card, levels, block, moves. Always from the start,
 * in a few milliseconds; the same job gives the same shape.
 */
export function deriveShape(job: Job): Shape | DeriveFault {
  const read = readOf(job);
  if (!read.ok) return read;
  try {
    return drawn(job, read);
  } catch (error) {
    if (error instanceof Refusal) return fault(error.unreadable ? 400 : 422, [error.complaint]);
    throw error;
  }
}

/** A job as it is read before anything is drawn: its style, card, rules, finish and allowances, or what cannot be read of them. */
function readOf(job: Job) {
  const style = styleOn(job.style.id, tapeOf(job.body.unit));
  if (!style)
    return fault(400, [{ path: "style.id", says: say`There is no style “${typed(job.style.id.slice(0, 30))}”.` }]);
  const params = style.params.safeParse(job.style.params);
  if (!params.success) {
    return fault(
      400,
      complaintsOfSchema(params.error, ["style", "params"]).map((c) => ({
        ...c,
        says: say`${style.label}: ${c.says}`,
      })),
    );
  }
  const body = bodyOf(job.body);
  if (!body.ok) return fault(400, body.errors);
  const { measures } = body;
  const finish = resolveFinish(style.finish, job.finish ?? {}, { measures, unit: job.body.unit });
  const rules = rulesOf(
    job.block.school,
    [
      { by: "style", rules: style.rules },
      { by: "maker", rules: job.block.rules },
    ],
    job.body.unit,
  );
  const allowances = resolveAllowances(job.allowances ?? {}, job.body.unit);
  const unread = [...rules.errors, ...finish.errors, ...allowances.errors, ...clothOf(job).errors];
  if (unread.length > 0) return fault(400, unread);
  return {
    ok: true as const,
    style,
    measures,
    rules,
    params: params.data,
    finish: finish.finish,
    allowances: allowances.set,
  };
}
type ReadJob = Extract<ReturnType<typeof readOf>, { readonly ok: true }>;

/** The block by its rules, as fittings changed them; finishes act on levels first: a band on the waist comes off the panels. */
function blockFor(job: Job, { rules: { rules: own }, measures, finish }: ReadJob, fittings: readonly Fitting[]) {
  if (job.block.school === "own") return { rules: own, block: ownBlockOf(job, own, fittings) };
  const levelled = (rules: ResolvedRules): ResolvedRules => ({
    ...rules,
    waistLevel: { add: rules.waistLevel.add + waistLevelEffect(finish) },
  });
  const division = job.block.onTape ? DRAFTED_ON[tapeOf(job.body.unit)] : null;
  const rules = fittedRules(own, fittings, () => blockOf(measures, levelled(own), division));
  return { rules, block: blockOf(measures, levelled(rules), division) };
}

/** What the moves may look at. */
function contextOf(job: Job, { style, params, measures, finish, allowances }: ReadJob): MoveContext {
  const hung = hangsBelow(finish);
  return {
    measures,
    unit: job.body.unit,
    styleParams: { ...style.defaults, ...params },
    stated: new Set(Object.keys(job.style.params)),
    feeds: style.feeds ?? {},
    autos: autosOf(style, params),
    shoe: SHOE,
    allowances: allowances.widths,
    ...(hung && { cuff: hung }),
    ...(job.block.bodice && { ownBodice: job.block.bodice }),
  };
}

/** The moves made on a block, with what fittings changed of them. */
function restyled(
  block: Block,
  moves: readonly MoveEntry[],
  fittings: readonly Fitting[],
  context: MoveContext,
): MovesRun {
  const unfitted = changesMoves(fittings) ? runMoves(block, moves, context).worksheet : [];
  const fitted = fittedMoves(moves, fittings, (index) => unfitted.find((l) => l.index === index)?.numbers);
  return meetingHem(context, (given) => runMoves(block, fitted, given));
}

/** Refuses outlines that cross themselves, at what they follow from. */
function refuseBad(
  { block: { school } }: Job,
  blocks: readonly Block[],
  fittings: readonly Fitting[],
  panels: readonly Panel[],
): void {
  const drafted = blocks.flatMap((block) => block.panels);
  if (school !== "own") refuseBadOutlines(blocks[0]?.panels ?? [], "body.measures", MEASURES_AT_FAULT);
  else {
    if (fittings.length > 0) refuseBadOutlines(drafted, "fittings", FITTINGS_AT_FAULT);
    refuseBadOutlines(blocks[0]?.panels ?? [], "block.own", BLOCK_AT_FAULT);
  }
  refuseBadOutlines(panels, "moves", MOVES_AT_FAULT);
}

function drawn(job: Job, read: ReadJob): Shape {
  const { style, params, measures, finish, allowances } = read;
  const fittings = job.fittings ?? [];
  const { rules, block } = blockFor(job, read, fittingsOf(fittings, "right"));
  const context = contextOf(job, read);
  const moves = job.moves ?? movesOf(style, params);
  const right = restyled(block, moves, fittingsOf(fittings, "right"), context);
  const left = differBySide(fittings) ? fittingsOf(fittings, "left") : null;
  const onLeft = left && blockFor(job, read, left);
  const run = onLeft ? joinedSides(right, restyled(onLeft.block, moves, left, context), "fittings") : right;
  const { panels, joins, plan } = run.state;
  refuseBad(job, onLeft ? [block, onLeft.block] : [block], fittings, panels);
  const zip = planZip(panels, joins, rimGirth({ panels, joins }, "waist"), measures.hip, finish);
  const opens = { zip: zip?.length.mm ?? 0, held: heldWaist(finish, measures) };
  return {
    ok: true,
    measures,
    style,
    moves,
    panels,
    joins,
    plan,
    finish,
    allowances,
    zip,
    block,
    questions: questionsOf(measures, run.state.bodice !== undefined),
    drafted: draftedOf(block, run.worksheet),
    blockReadings: blockReadingsOf(block.panels, LEG_JOINS, block.plan, measures, { ...opens, held: Infinity }),
    rules: onLeft ? ofBothSides(rules, onLeft.rules) : rules,
    ownRules: read.rules.rules,
    presetRules: read.rules.preset,
    changedRules: read.rules.changed,
    worksheet: run.worksheet,
    shown: run.shown,
    readings: readPanels(panels, joins, plan, measures, opens),
  };
}

/** The widest that a drawn-up or fitted waist lets the edge be; infinite where nothing holds it. */
function heldWaist(finish: ResolvedFinish, measures: BodyMeasures): Mm {
  const { waist } = finish;
  const relaxed = elasticLength(elasticOf(finish), measures);
  const fitted = waist && "fit" in waist && waist.fit === "waist" ? measures.waist.mm : Infinity;
  return Math.min(fitted, relaxed && pulledOn(finish) ? relaxed.mm * STRETCHES : Infinity);
}

/** The block a job brought in, as fittings corrected it; says what to do where there is none yet. */
function ownBlockOf(job: Job, rules: ResolvedRules, fittings: readonly Fitting[]): Block {
  const { own } = job.block;
  if (!own) {
    throw new Refusal(
      "block.own",
      say`There is no own block yet. Bring in its outline as SVG or DXF on the Block stage, or choose another school.`,
    );
  }
  refuseUnknownRules(fittings);
  return ownBlock(own, job.body.unit, rules.hang.from === "offset", ruleChanges(fittings));
}
