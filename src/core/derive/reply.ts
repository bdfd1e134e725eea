import { panelArea, panelOutline, stepText, type Panel } from "../drafting";
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
    name: panel.name,
    half: panel.half,
    material: panel.material,
    edges: edges.map((e, i) => ({
      id: e.id,
      role: e.role,
      name: e.name,
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
  const { panel: _panel, notches, ...rest } = piece;
  return { ...rest, notches: notches.map(({ at, outer, kind, pairs }) => ({ at, outer, kind, pairs })) };
}

const quantities = (
  record: Readonly<Record<string, { mm: number; formula: string; estimated: boolean; asked?: number }>>,
): unknown =>
  Object.fromEntries(
    Object.entries(record).map(([name, q]) => [
      name,
      { mm: q.mm, formula: q.formula, estimated: q.estimated, ...(q.asked === undefined ? {} : { asked: q.asked }) },
    ]),
  );

/** The reply of POST /api/derive, in the names of the headless contract. Lengths are millimetres. */
export function replyOf(derived: Derived): unknown {
  const { block } = derived;
  return {
    ok: true,
    body: {
      measures: Object.fromEntries(
        Object.entries(derived.measures).map(([key, q]) => [key, { mm: q.mm, source: q.source, formula: q.formula }]),
      ),
      questions: derived.questions,
    },
    numbers: quantities(block.numbers),
    block: { panels: block.panels.map(panelReply), changedRules: derived.changedRules },
    steps: block.steps.map((step) => ({
      n: step.n,
      panel: step.panel,
      text: stepText(step, block.numbers),
      numbers: step.numbers,
      points: Object.keys(step.points),
    })),
    moves: derived.worksheet.map((l) => ({
      id: l.id,
      move: l.move,
      on: l.on,
      text: stepText(l, l.numbers),
      numbers: quantities(l.numbers),
      ...(l.passed === null ? {} : { passedOver: l.passed }),
    })),
    // The legs as the moves left them, then every part that is sewn on or was cut from them.
    panels: [...derived.panels, ...derived.sewn.filter((p) => !derived.panels.some((own) => own.id === p.id))].map(
      panelReply,
    ),
    pieces: derived.pieces.map(pieceReply),
    seams: derived.seams.map(({ walkA: _a, walkB: _b, ...seam }) => seam),
    notions: derived.notions,
    readings: derived.readings,
    checks: derived.checks,
    advice: derived.advice,
    undecided: derived.undecided,
  };
}
