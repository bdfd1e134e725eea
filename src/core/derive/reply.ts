import { panelArea, panelOutline, type Panel } from "../pattern";
import type { Remedy } from "../inspect";
import {
  formulaOf,
  tapeOf,
  tell,
  tellNumber,
  tellSum,
  type Figure,
  type Quantity,
  type Sentence,
  type Tape,
  type Unit,
  textOf,
} from "../units";
import type { Derived } from "../derive";
import { pathFlatten, pathLength, pathReverse, polygonArea } from "../geometry";
import type { Piece } from "../pieces";

/** A panel as the contract states it: clockwise as drawn, first edge the waist, points within 0.05 mm. */
function panelReply(panel: Panel): unknown {
  // Inside the core all panels run from the centre by way of waist and side, which is counter-clockwise for the front.
  const clockwise = polygonArea(panelOutline(panel)) > 0;
  const waists = panel.edges.findLastIndex((e) => e.role === "waist" || e.role === "dart");
  const edges = clockwise
    ? panel.edges
    : [...panel.edges.slice(0, waists + 1).reverse(), ...panel.edges.slice(waists + 1).reverse()].map((e) => ({
        ...e,
        path: pathReverse(e.path),
      }));
  const points = edges.map((e) => pathFlatten(e.path));
  return {
    id: panel.id,
    name: textOf(panel.name),
    half: panel.half,
    material: panel.cutting.material,
    edges: edges.map((e, i) => ({
      id: e.id,
      role: e.role,
      name: textOf(e.name),
      length: pathLength(e.path),
      points: points[i],
    })),
    outline: points.flatMap((run) => run.slice(0, -1)),
    landmarks: panel.landmarks,
    lines: panel.lines,
    area: panelArea(panel),
  };
}

function pieceReply(piece: Piece): unknown {
  const { panel: _panel, notches, name, label, edges, signs, ...rest } = piece;
  return {
    ...rest,
    name: textOf(name),
    label: label.map(textOf),
    edges: edges.map((e) => ({ ...e, name: textOf(e.name) })),
    signs: { ...signs, words: signs.words.map((w) => ({ ...w, text: textOf(w.text) })) },
    notches: notches.map(({ at, outer, kind, pairs }) => ({ at, outer, kind, pairs })),
  };
}

/** A number of the reply: its value, its sum in millimetres, and both as they are told on the maker's tape. */
function quantityReply(q: Quantity, tape: Tape): unknown {
  return {
    mm: q.mm,
    formula: formulaOf(q),
    text: tellNumber(q, tape),
    sum: tellSum(q.sum, tape),
    estimated: q.estimated,
    ...(q.asked === undefined ? {} : { asked: q.asked }),
  };
}

const figureReply = ({ sum, ...told }: Figure, tape: Tape): unknown => ({
  ...told,
  formula: tellSum(sum, "mm"),
  text: tellNumber(told, tape),
  sum: tellSum(sum, tape),
});

const mapped = <T>(record: Readonly<Record<string, T>>, reply: (value: T) => unknown): Record<string, unknown> =>
  Object.fromEntries(Object.entries(record).map(([name, value]) => [name, reply(value)]));

const UNITS = { length: "mm", making: "mm", degrees: "degrees", pieces: "pieces" } as const;

/**
 * The reply of POST /api/derive, in the names of the headless contract. Lengths are millimetres; sentences are told on
 * the tape of the card's `unit`.
 */
export function replyOf(derived: Derived, unit: Unit): unknown {
  const { block } = derived;
  const tape = tapeOf(unit);
  const told = (sentence: Sentence): string => tell(sentence, tape);
  const numbers = (record: Readonly<Record<string, Quantity>>) => mapped(record, (q) => quantityReply(q, tape));
  const remedy = (r: Remedy | null | undefined) => r && { ...r, label: told(r.label) };
  return {
    ok: true,
    body: {
      measures: mapped(derived.measures, (q) => ({
        mm: q.mm,
        source: q.source,
        formula: formulaOf(q),
        text: tellNumber(q, tape),
        sum: tellSum(q.sum, tape),
      })),
      questions: derived.questions.map((q) => ({ ...q, message: told(q.message) })),
    },
    numbers: numbers({ ...derived.drafted.numbers, ...block.numbers }),
    block: { panels: block.panels.map(panelReply), changedRules: derived.changedRules },
    steps: derived.drafted.steps.map((step) => ({
      n: step.n,
      panel: step.panel,
      text: told(step.sentence),
      numbers: step.numbers,
      points: Object.keys(step.points),
    })),
    moves: derived.worksheet.map((l) => ({
      id: l.id,
      move: l.move,
      on: l.on,
      text: told(l.sentence),
      numbers: { ...numbers(l.numbers), ...mapped(l.figures, (f) => figureReply(f, tape)) },
      ...(l.passed === null ? {} : { passedOver: told(l.passed) }),
    })),
    // The legs as the moves left them, then every part that is sewn on or was cut from them.
    panels: [...derived.panels, ...derived.sewn.filter((p) => !derived.panels.some((own) => own.id === p.id))].map(
      panelReply,
    ),
    pieces: derived.pieces.map(pieceReply),
    seams: derived.seams.map(({ walkA: _a, walkB: _b, label, ...seam }) => ({ ...seam, label: textOf(label) })),
    notions: derived.notions.map(({ label, length, note, caution, ...notion }) => ({
      ...notion,
      label: told(label),
      length: length && quantityReply(length, tape),
      ...(note && { note: told(note) }),
      ...(caution && { caution: told(caution) }),
    })),
    readings: derived.readings,
    checks: derived.checks.map((check) => ({
      ...check,
      unit: UNITS[check.unit],
      message: told(check.message),
      ...(check.meant !== undefined && { meant: textOf(check.meant) }),
      fix: check.fix && told(check.fix),
      ...(check.remedy !== undefined && { remedy: remedy(check.remedy) }),
    })),
    advice: derived.advice.map((advice) => ({
      ...advice,
      message: told(advice.message),
      reason: told(advice.reason),
      action: remedy(advice.action),
    })),
    undecided: derived.undecided.map(told),
  };
}
