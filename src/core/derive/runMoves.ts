import { phrase } from "../words";
import { hasLegs, isOf, panelOutline, roleLength, type Panel, onPanel, type Drawing, drawingOn } from "../pattern";
import { LEG_JOINS, type Block } from "../drafting";
import { pathNearest } from "../geometry";
import { MOVES, type Handle, type Move, type MoveContext, type MoveResult, type StyleState } from "../moves";
import type { MoveEntry } from "../styles";
import { mirrored } from "./asItLies";
import { legsOf, withLegs } from "./drawnLegs";
import { refuseCrossing } from "./lastGate";
import type { MovesRun, WorksheetLine } from "./worksheetLine";
import {
  type Mm,
  type Quantity,
  Refusal,
  fill,
  say,
  type Sentence,
  isStated,
  limitsOf,
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

/** A limit as it is told: to a tenth of a millimetre, rounded to the inner side. */
const toTenth = (mm: Mm): Mm => Math.trunc(mm * 10 + 1e-6 * Math.sign(mm)) / 10 || 0;

const roundedLimits = ({ least, most }: Refusal): Pick<Refusal, "least" | "most"> =>
  limitsOf({
    ...(least !== undefined && { least: toTenth(least) }),
    ...(most !== undefined && { most: toTenth(most) }),
  });

/**
 * Makes the moves in their order. Moves that redraw side or inseam only change the plan; front and back are drawn and
 * reconciled once, after the last of them and before any cut. A move that makes no sense here is passed over and says
 * why; one whose number is too large, or cannot be read, throws Refusal.
 */
export function runMoves(block: Block, moves: readonly MoveEntry[], context: MoveContext): MovesRun {
  let state: StyleState = { plan: block.plan, panels: block.panels, joins: LEG_JOINS };
  let stale = false;
  let cutBy: string | null = null;
  const worksheet: WorksheetLine[] = [];
  const act = (line: Omit<WorksheetLine, "before" | "isPlanned" | "seams">): void =>
    void worksheet.push({ ...line, before, isPlanned: stale, seams: newSeams(before, line.after) });
  let before = state;
  let reconciled: ReturnType<typeof legsOf> | null = null;
  const reconcile = (): void => {
    if (!stale) return;
    before = state;
    const { plan, legs } = legsOf(state.plan);
    state = { ...state, plan, panels: withLegs(state, legs) };
    reconciled = { plan, legs };
    stale = false;
    const { backCrotchDrop, backShorter, reconcilingTook } = legs.solved as Record<string, Quantity>;
    const numbers = {
      ...(backCrotchDrop && { backCrotchDrop }),
      ...(backShorter && { backShorter }),
      ...(reconcilingTook && { reconcilingTook }),
    };
    act({
      id: "reconcile",
      index: null,
      move: "reconcile",
      label: "Reconcile front and back",
      on: true,
      sentence: fill(
        phrase`Walk side and inseam: the sides agree, the back crotch point drops {backCrotchDrop}, its inseam is {backShorter} shorter${reconcilingTook ? "; that takes {reconcilingTook} back of what was asked" : ""}.`,
        numbers,
      ),
      gaveWay: null,
      numbers,
      figures: {},
      handles: [],
      after: state,
      drawn: state.panels.map((panel) =>
        drawingOn(panel.id, {
          points: panel.landmarks.crotchPoint ? { crotchPoint: panel.landmarks.crotchPoint } : {},
          seams: panel.edges.filter((edge) => edge.role === "side" || edge.role === "inseam").map((edge) => edge.path),
        }),
      ),
      drafted: null,
      passed: null,
    });
  };
  moves.forEach((entry, index) => {
    const path = `moves.${index}`;
    const move = MOVES[entry.move];
    if (!move)
      throw new Refusal(`${path}.move`, say`There is no move “${typed(entry.move.slice(0, 30))}”.`, {
        unreadable: true,
      });
    const parsed = move.schema.safeParse(entry.params);
    if (!parsed.success) {
      const [first] = complaintsOfSchema(parsed.error, [path, "params"]) as [Complaint];
      throw new Refusal(first.path, say`${move.label}: ${first.says}`, { unreadable: true });
    }
    const { id, label } = move;
    const unmade = (on: boolean, passed: Sentence | null, fault?: EngineFault): void => {
      before = state;
      const nothing = { numbers: {}, figures: {}, handles: [], drawn: [], drafted: null };
      act({
        id: entry.id,
        index,
        move: id,
        label,
        on,
        sentence: asSentence(label),
        gaveWay: null,
        ...nothing,
        after: state,
        passed,
        ...(fault && { fault }),
      });
    };
    if (!entry.on) {
      unmade(false, null);
      return;
    }
    const passOver = (why: Sentence): void => unmade(true, why);
    if (move.redraws && cutBy) {
      passOver(say`It redraws the seams, so it has to come before “${cutBy}”. Move it up.`);
      return;
    }
    if (!move.redraws) {
      reconcile();
      cutBy = move.label;
    }
    try {
      const { result, gaveWay } = made(move, parsed.data as object, entry);
      refuseOverBudget(result.state, `${path}.move`);
      // What is drafted anew follows from the card and its rules: where that crosses, the garment is refused.
      if (!result.drafted) refuseCrossing(result.state.panels, state.panels);
      before = state;
      state = result.state;
      stale ||= move.redraws;
      act({
        id: entry.id,
        index,
        move: id,
        label,
        on: true,
        sentence: fill(result.template, result.figures ?? {}, result.numbers),
        gaveWay,
        numbers: result.numbers,
        figures: result.figures ?? {},
        handles: result.handles,
        after: state,
        drawn: result.shown,
        drafted: result.drafted ?? null,
        passed: null,
      });
    } catch (error) {
      if (!(error instanceof Refusal)) {
        const fault = faultOf(label, error);
        unmade(true, saidOfFault(fault), fault);
        return;
      }
      if (nearestOf(error) === undefined && !error.unreadable) {
        passOver(error.says);
        return;
      }
      throw error.path.startsWith("moves.") ? error : error.at(placeOf(entry, index, error.path, context));
    }
  });
  reconcile();
  const shown = worksheet.filter((l) => l.index !== null).flatMap((l) => l.drawn);
  // Where the legs were left off in the end, nobody is told how they were walked.
  const isTold = hasLegs(state.panels) ? worksheet : worksheet.filter((l) => l.index !== null);
  return mirrored({ state, worksheet: isTold.map(withHandles).map(told), shown });

  /** Makes a move; numbers of the style's own that cannot be made give way to the nearest that can, with a word. */
  function made(move: Move, params: object, entry: MoveEntry): { result: MoveResult; gaveWay: Sentence | null } {
    const given: Record<string, string> = {};
    const words: Sentence[] = [];
    for (;;) {
      try {
        const gaveWay = words.length > 0 ? say` The style's own number gives way: ${joined(words, " ")}` : null;
        return { result: move.apply(state, { ...params, ...given }, context), gaveWay };
      } catch (error) {
        if (!(error instanceof Refusal) || error.unreadable) throw error;
        const { path, says, yields } = error;
        const rounded = new Refusal(path, says, {
          ...roundedLimits(error),
          ...(yields !== undefined && { yields: toTenth(yields) }),
        });
        const nearest = rounded.yields ?? nearestOf(rounded);
        if (
          nearest === undefined ||
          words.length === MOST_GIVEN_WAY ||
          move.params[path]?.as !== "length" ||
          isStatedByMaker(entry, path, context)
        )
          throw rounded;
        given[path] = `${nearest} mm`;
        words.push(says);
      }
    }
  }

  /** What a line asked of the legs, as it came out on them. */
  function told(line: WorksheetLine): WorksheetLine {
    const toldOf = line.on && !line.passed ? MOVES[line.move]?.toldOf : undefined;
    if (!toldOf || !reconciled)
      return line.gaveWay ? { ...line, sentence: joined([line.sentence, line.gaveWay]) } : line;
    const { template, numbers } = toldOf(reconciled.plan, line.numbers, reconciled.legs);
    const sentence = fill(template, line.figures, numbers);
    return { ...line, numbers, sentence: line.gaveWay ? joined([sentence, line.gaveWay]) : sentence };
  }

  /** A redrawn seam is pulled where it lies in the end, on whichever part of the panel it came to lie. */
  function withHandles(line: WorksheetLine): WorksheetLine {
    const { plan, panels } = state;
    const handles = line.on && !line.passed ? MOVES[line.move]?.handlesOn?.(plan, line.numbers, panels) : undefined;
    if (!handles) return { ...line, handles: line.handles.map((handle) => finished(handle, panels)) };
    const placed = handles.flatMap((handle): Handle[] => {
      const { root } = handle;
      const on = panels.find((p) => root && isOf(p, root) && p.half !== "left" && standsOn(handle, p));
      return on ? [finished({ ...handle, panel: on.id }, panels)] : [];
    });
    return { ...line, handles: placed };
  }
}

/** A handle that pulls the hem tells the hem as it is in the end, whatever later lines have made of it. */
function finished(handle: Handle, panels: readonly Panel[]): Handle {
  const panel = handle.ofHem ? panels.find((p) => p.id === handle.panel && p.is.component === "legs") : undefined;
  const hem = panel ? roleLength(panel, "hem") : 0;
  return hem > 0 ? { ...handle, reading: hem } : handle;
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

/** So many numbers of a move may give way; one that still cannot be made says so. */
const MOST_GIVEN_WAY = 4;

/** The name of the style's parameter that fills what a move leaves open. */
const fedBy = ({ move }: MoveEntry, param: string, { feeds }: MoveContext): string =>
  feeds[`${move}.${param}`] ?? param;

/** True where the maker stated a move's parameter, with the move or with the style; else it is the style's own. */
const isStatedByMaker = (entry: MoveEntry, param: string, context: MoveContext): boolean =>
  isStated(entry.params[param]) || context.stated.has(fedBy(entry, param, context));

/** Where in the job a move's parameter was stated: with the move, or with the style that fills what the move leaves open. */
function placeOf(entry: MoveEntry, index: number, param: string, context: MoveContext): string {
  const fed = fedBy(entry, param, context);
  return !isStated(entry.params[param]) && context.stated.has(fed)
    ? `style.params.${fed}`
    : `moves.${index}.params.${param}`;
}

/** True where a handle's place is still there: inside the panel, on the seam it pulls, or anywhere on the outline. */
function standsOn({ at, axis, inside }: Handle, panel: Panel): boolean {
  if (inside) return onPanel(panelOutline(panel), at);
  const across = Math.abs(axis[0]) > Math.abs(axis[1]);
  const edges = across ? panel.edges.filter((e) => e.role === "side" || e.role === "inseam") : panel.edges;
  return edges.some((edge) => pathNearest(edge.path, at).distance < NEAR);
}

/** A handle stands on the outline if it lies within this of it. */
const NEAR: Mm = 12;

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
