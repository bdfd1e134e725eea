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
  const { finish, errors: finishErrors } = resolveFinish(style.finish, job.finish ?? {}, {
    measures,
    unit: job.body.unit,
  });
  const {
    rules: ownRules,
    preset,
    changed,
    errors: ruleErrors,
  } = rulesOf(
    job.block.school,
    [
      { by: "style", rules: style.rules },
      { by: "maker", rules: job.block.rules },
    ],
    job.body.unit,
  );
  const { set: allowances, errors: allowanceErrors } = resolveAllowances(job.allowances ?? {}, job.body.unit);
  const unread = [...ruleErrors, ...finishErrors, ...allowanceErrors, ...clothOf(job).errors];
  if (unread.length > 0) return fault(400, unread);
  try {
    // Finishes act on levels first: a band on the waist comes off the panels before anything is drawn.
    const levelled = (own: ResolvedRules): ResolvedRules => ({
      ...own,
      waistLevel: { add: own.waistLevel.add + waistLevelEffect(finish) },
    });
    const fittings = job.fittings ?? [];
    const division = job.block.onTape ? DRAFTED_ON[tapeOf(job.body.unit)] : null;
    const ruled = (own: readonly Fitting[]): { readonly rules: ResolvedRules; readonly block: Block } => {
      if (job.block.school === "own") return { rules: ownRules, block: ownBlockOf(job, ownRules, own) };
      const rules = fittedRules(ownRules, own, () => blockOf(measures, levelled(ownRules), division));
      return { rules, block: blockOf(measures, levelled(rules), division) };
    };
    const { rules, block } = ruled(fittingsOf(fittings, "right"));
    const hung = hangsBelow(finish);
    const context: MoveContext = {
      measures,
      unit: job.body.unit,
      styleParams: { ...style.defaults, ...params.data },
      stated: new Set(Object.keys(job.style.params)),
      feeds: style.feeds ?? {},
      autos: autosOf(style, params.data),
      shoe: SHOE,
      allowances: allowances.widths,
      ...(hung && { cuff: hung }),
      ...(job.block.bodice && { ownBodice: job.block.bodice }),
    };
    const moves = job.moves ?? movesOf(style, params.data);
    const restyled = (on: Block, own: readonly Fitting[]): MovesRun => {
      const unfitted = changesMoves(own) ? runMoves(on, moves, context).worksheet : [];
      const fitted = fittedMoves(moves, own, (index) => unfitted.find((l) => l.index === index)?.numbers);
      return meetingHem(context, (given) => runMoves(on, fitted, given));
    };
    const right = restyled(block, fittingsOf(fittings, "right"));
    const left = differBySide(fittings) ? fittingsOf(fittings, "left") : null;
    const onLeft = left && ruled(left);
    const run = onLeft ? joinedSides(right, restyled(onLeft.block, left), "fittings") : right;
    const { panels, joins, plan } = run.state;
    if (job.block.school === "own" && fittings.length > 0)
      refuseBadOutlines([...block.panels, ...(onLeft?.block.panels ?? [])], "fittings", FITTINGS_AT_FAULT);
    if (job.block.school === "own") refuseBadOutlines(block.panels, "block.own", BLOCK_AT_FAULT);
    else refuseBadOutlines(block.panels, "body.measures", MEASURES_AT_FAULT);
    refuseBadOutlines(panels, "moves", MOVES_AT_FAULT);
    const waistGirth = rimGirth({ panels, joins }, "waist");
    const zip = planZip(panels, joins, waistGirth, measures.hip, finish);
    const opens = { zip: zip?.length.mm ?? 0, held: heldWaist(finish, measures) };
    return {
      ok: true,
      measures,
      questions: questionsOf(measures, run.state.bodice !== undefined),
      block,
      drafted: draftedOf(block, run.worksheet),
      blockReadings: blockReadingsOf(block.panels, LEG_JOINS, block.plan, measures, { ...opens, held: Infinity }),
      rules: onLeft ? ofBothSides(rules, onLeft.rules) : rules,
      ownRules,
      presetRules: preset,
      changedRules: changed,
      style,
      moves,
      worksheet: run.worksheet,
      shown: run.shown,
      panels,
      joins,
      plan,
      finish,
      allowances,
      zip,
      readings: readPanels(panels, joins, plan, measures, opens),
    };
  } catch (error) {
    if (error instanceof Refusal) return fault(error.unreadable ? 400 : 422, [error.complaint]);
    throw error;
  }
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
