import { hasLegs, type Drawing, drawingOn } from "../pattern";
import { LEG_JOINS, type Block, type LegPlan } from "../drafting";
import { MOVES, type Made, type Move, type MoveContext, type MoveResult, type StyleState } from "../moves";
import type { MoveEntry } from "../styles";
import { mirrored } from "./asItLies";
import { legsOf, withLegs } from "./drawnLegs";
import { applied, placeOf } from "./givesWay";
import { refuseCrossing } from "./lastGate";
import { withHandles } from "./lineHandles";
import type { MovesRun, WorksheetLine } from "./worksheetLine";
import {
  type Quantity,
  Refusal,
  fill,
  say,
  type Sentence,
  nearestOf,
  complaintsOfSchema,
  faultOf,
  saidOfFault,
  type EngineFault,
  type Complaint,
  asSentence,
  joined,
  typed,
} from "../units";

/**
 * Makes the moves in their order. Moves that redraw side or inseam only change the plan; front and back are drawn and
 * reconciled once, after the last of them and before any cut. A move that makes no sense here is passed over and says
 * why; one whose number is too large, or cannot be read, throws Refusal.
 */
export function runMoves(block: Block, moves: readonly MoveEntry[], context: MoveContext): MovesRun {
  const run = new Run({ plan: block.plan, panels: block.panels, joins: LEG_JOINS }, context);
  moves.forEach((entry, index) => run.make(entry, index));
  return run.end();
}

/** A line as it is before its sentence is told: how its move was made. */
type Line = Omit<WorksheetLine, "sentence"> & { readonly made?: Made };

/** What a line shows that drew nothing. */
const NOTHING_DRAWN = { numbers: {}, figures: {}, handles: [], drawn: [], drafted: null, gaveWay: null } as const;

class Run {
  private readonly lines: Line[] = [];
  /** Seams are planned and not drawn yet. */
  private stale = false;
  /** The first line that cut the panels. */
  private cutBy: string | null = null;
  private reconciled: ReturnType<typeof legsOf> | null = null;

  constructor(
    private state: StyleState,
    private readonly context: MoveContext,
  ) {}

  /** Makes one line of the job. Throws Refusal at its place in the job. */
  make(entry: MoveEntry, index: number): void {
    const { move, params } = read(entry, `moves.${index}`);
    if (!entry.on) return this.unmade(entry, index, move, null);
    if (move.redraws && this.cutBy)
      return this.unmade(
        entry,
        index,
        move,
        say`It redraws the seams, so it has to come before “${this.cutBy}”. Move it up.`,
      );
    if (!move.redraws) {
      this.reconcile();
      this.cutBy = move.label;
    }
    try {
      const { result, gaveWay } = applied(this.state, move, params, entry, this.context);
      refuseOverBudget(result.state, `moves.${index}.move`);
      // What is drafted anew follows from the card and its rules: where that crosses, the garment is refused.
      if (!result.drafted) refuseCrossing(result.state.panels, this.state.panels);
      this.stale ||= move.redraws;
      this.done(entry, index, move, params, result, gaveWay);
    } catch (error) {
      if (!(error instanceof Refusal)) {
        const fault = faultOf(move.label, error);
        return this.unmade(entry, index, move, saidOfFault(fault), fault);
      }
      if (nearestOf(error) === undefined && !error.unreadable) return this.unmade(entry, index, move, error.says);
      throw error.path.startsWith("moves.") ? error : error.at(placeOf(entry, index, error.path, this.context));
    }
  }

  /** Draws what is planned, and tells all. */
  end(): MovesRun {
    this.reconcile();
    const shown = this.lines.filter((l) => l.index !== null).flatMap((l) => l.drawn);
    // Where the legs were left off in the end, nobody is told how they were walked.
    const told = hasLegs(this.state.panels) ? this.lines : this.lines.filter((l) => l.index !== null);
    const worksheet = told.map((line) => this.told(withHandles(line, this.state)));
    return mirrored({ state: this.state, worksheet, shown });
  }

  private add(line: Omit<Line, "before" | "after" | "isPlanned" | "seams">, after: StyleState): void {
    const before = this.state;
    this.state = after;
    this.lines.push({ ...line, before, after, isPlanned: this.stale, seams: newSeams(before, after) });
  }

  private done(
    entry: MoveEntry,
    index: number,
    move: Move,
    params: object,
    result: MoveResult,
    gaveWay: Sentence | null,
  ): void {
    const { state, numbers, figures = {}, facts, shown = [], handles = [], drafted = null } = result;
    const made = { params, numbers, asked: numbers, figures, facts, plan: state.plan };
    this.add(
      {
        id: entry.id,
        index,
        move: move.id,
        label: move.label,
        on: true,
        gaveWay,
        passed: null,
        numbers,
        figures,
        handles,
        drawn: shown,
        drafted,
        made,
      },
      state,
    );
  }

  private unmade(entry: MoveEntry, index: number, move: Move, passed: Sentence | null, fault?: EngineFault): void {
    const { id, on } = entry;
    this.add(
      { ...NOTHING_DRAWN, id, index, move: move.id, label: move.label, on, passed, ...(fault && { fault }) },
      this.state,
    );
  }

  /** Draws front and back anew where a line redrew them, so that their seams agree. */
  private reconcile(): void {
    if (!this.stale) return;
    const { plan, legs } = legsOf(this.state.plan);
    const after = { ...this.state, plan, panels: withLegs(this.state, legs) };
    this.reconciled = { plan, legs };
    this.stale = false;
    const { backCrotchDrop, backShorter, reconcilingTook } = legs.solved as Record<string, Quantity>;
    const numbers = {
      ...(backCrotchDrop && { backCrotchDrop }),
      ...(backShorter && { backShorter }),
      ...(reconcilingTook && { reconcilingTook }),
    };
    const drawn = after.panels.map((panel) =>
      drawingOn(panel.id, {
        points: panel.landmarks.crotchPoint ? { crotchPoint: panel.landmarks.crotchPoint } : {},
        seams: panel.edges.filter((edge) => edge.role === "side" || edge.role === "inseam").map((edge) => edge.path),
      }),
    );
    this.add(
      {
        ...NOTHING_DRAWN,
        id: "reconcile",
        index: null,
        move: "reconcile",
        label: "Reconcile front and back",
        on: true,
        numbers,
        drawn,
        passed: null,
      },
      after,
    );
  }

  /** A line with its sentence: what it asked of the legs, as it came out on them. */
  private told({ made, ...line }: Line): WorksheetLine {
    if (line.index === null) return { ...line, sentence: fill(walked(line.numbers), line.numbers) };
    const move = MOVES[line.move] as Move;
    if (!made) return { ...line, sentence: asSentence(line.label) };
    const as = move.drawnAs && this.reconciled ? drawnOn(made, move.drawnAs, this.reconciled) : made;
    const sentence = fill(move.says(as), as.figures, as.numbers);
    return { ...line, numbers: as.numbers, sentence: line.gaveWay ? joined([sentence, line.gaveWay]) : sentence };
  }
}

/** A move of the job and what is stated of it. Throws Refusal where either cannot be read. */
function read(entry: MoveEntry, path: string): { readonly move: Move; readonly params: object } {
  const move = MOVES[entry.move];
  if (!move)
    throw new Refusal(`${path}.move`, say`There is no move “${typed(entry.move.slice(0, 30))}”.`, { unreadable: true });
  const parsed = move.schema.safeParse(entry.params);
  if (parsed.success) return { move, params: parsed.data as object };
  const [first] = complaintsOfSchema(parsed.error, [path, "params"]) as [Complaint];
  throw new Refusal(first.path, say`${move.label}: ${first.says}`, { unreadable: true });
}

/** What the walking of the seams came to. */
const walked = ({ reconcilingTook }: WorksheetLine["numbers"]): Sentence =>
  say`Walk side and inseam: the sides agree, the back crotch point drops {backCrotchDrop}, its inseam is {backShorter} shorter${reconcilingTook ? "; that takes {reconcilingTook} back of what was asked" : ""}.`;

/** A move as it came out on the drawn legs. */
function drawnOn(
  made: Made,
  drawnAs: NonNullable<Move["drawnAs"]>,
  { plan, legs }: { readonly plan: LegPlan; readonly legs: Parameters<NonNullable<Move["drawnAs"]>>[2] },
): Made {
  return { ...made, plan, numbers: drawnAs(plan, made.asked, legs) };
}

/** How many stretches and inner lines the outlines of a pattern may have: a hundred times what a garment takes. */
const MOST_LINES = 20_000;

/** Bounds the work that a list of moves can ask for. */
function refuseOverBudget({ panels }: StyleState, path: string): void {
  const lines = panels.reduce((sum, p) => sum + p.lines.length + p.edges.reduce((all, e) => all + e.path.length, 0), 0);
  if (lines > MOST_LINES)
    throw new Refusal(path, say`With this line the pattern has more lines than Eland works with. Take moves out.`, {
      unreadable: true,
    });
}

/** The seams that an act has made, on the panels they are part of. */
function newSeams(before: StyleState, after: StyleState): Drawing[] {
  const lasting = new Set(before.panels);
  const changed = after.panels.filter(
    (panel) => !lasting.has(panel) && panel.edges.some((edge) => edge.by !== undefined),
  );
  if (changed.length === 0) return [];
  const known = new Set(before.panels.flatMap((p) => p.edges.map((edge) => edge.path)));
  return changed.flatMap((panel) => {
    const seams = panel.edges.filter((edge) => edge.by !== undefined && !known.has(edge.path)).map((edge) => edge.path);
    return seams.length > 0 ? [drawingOn(panel.id, { seams })] : [];
  });
}
