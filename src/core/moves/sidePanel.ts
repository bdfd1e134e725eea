import { length, number, choice } from "../params";
import { askedLength, defineMove } from "./define";
import {
  against,
  along,
  edgeOf,
  panelById,
  panelOutline,
  roleLength,
  type Edge,
  type EdgeRef,
  type Join,
  type Panel,
  cutPanel,
  drawingOn,
  type Place,
} from "../pattern";
import {
  bisect,
  cubic,
  line,
  pathEnd,
  pathStart,
  segmentLength,
  pathAt,
  pathLength,
  chordsCross,
  pathAlongAtX,
  pathNearest,
  pathSplit,
  type Path,
  type Point,
  type Segment,
} from "../geometry";
import { quantity, ratioText, type Mm, type Quantity, say, ratio, Refusal, range } from "../units";
import { hemGirthOr, numberOr, paramOr } from "./auto";
import { fromHem, wholeLegs, withoutPanels, type WholeLegs } from "./legs";
import { type Handle } from "./move";
import { drawSidePanel, type SeamLengths } from "./sidePanelShape";

const LEAST_FULLNESS = 1;
const MOST_FULLNESS = 4;

const PARAMS = {
  above: length("How far above the hip line the curve leaves the side seam.", {
    label: "Starts above the hip line",
    shown: "above",
    usual: { mm: 75, where: "above the hip line" },
    tried: [-20, 80],
  }),
  drop: length("How far below its start the curve has become straight.", {
    label: "Curve runs out lower by",
    shown: "drop",
    tried: [60, 300],
  }),
  ends: choice(
    "Where the cut ends: down at the hem, or across at the inseam, the panel then being the whole lower leg.",
    {
      label: "The cut ends at",
      options: [
        ["hem", "the hem"],
        ["inseam", "the inseam"],
      ],
    },
  ),
  below: length("Ending at the inseam: how far below the crotch point.", {
    label: "At the inseam, below the crotch",
    shown: "below",
    usual: { mm: 20, where: "below the crotch point, so that the fork stays whole" },
    within: [15, 400],
    refusal: (limits) => say`The cut ends ${limits} below the crotch point.`,
    tried: [15, 120],
  }),
  reach: length(
    "How far from the dart line of each panel the straight part stands; 0 is the dart line, the crease without one.",
    {
      label: "Straight part from the dart line",
      shown: "reach",
      negative: true,
      tried: [-20, 60],
    },
  ),
  fullness: number("Length of the panel's top to the seam it is set into.", {
    label: "Top to its seam",
    least: LEAST_FULLNESS,
    most: MOST_FULLNESS,
    step: 0.25,
    usual: 2,
    clears: ["hemGirth"],
    solvedBy: "hemGirth",
  }),
  hemGirth: length("Finished hem of one leg with the panel; the fullness is solved for it and gives way.", {
    label: "Or: hem of one leg",
    shown: "hemAfter",
    clears: ["fullness"],
    tried: [300, 1400],
  }),
  how: choice("How the fullness is taken in.", {
    label: "Taken in by",
    options: [
      ["pleated", "pleats"],
      ["gathered", "gathers"],
    ],
  }),
};
const ID = "side-panel";

interface Side {
  readonly panel: Panel;
  readonly start: Mm;
  /** The cut from the side seam: a curve, then straight down to the hem. */
  readonly curve: Segment;
  /** Where the cut ends on the outline, and the way it takes there from the curve. */
  readonly end: Place;
  readonly straight: Path;
}

/** Cuts the sides of front and back away on a curve and lets in one panel, full above and plain below, without side seam. */
export const sidePanel = defineMove({
  id: ID,
  label: "Let in a side panel",
  note: "Cuts the sides away on a curve and replaces both by one panel: its top pleated or gathered in, its hem level.",
  params: PARAMS,
  redraws: false,
  apply(state, params, context) {
    const legs = wholeLegs(state, "above", this.label);
    const above = askedLength(ID, PARAMS, "above", params, context);
    const reach = paramOr("side-panel", "reach", params.reach, context) ?? quantity(0, "to the dart line");
    const drop = paramOr("side-panel", "drop", params.drop, context) ?? usualDrop(legs, above.mm);
    const asked = hemGirthOr("side-panel", params.hemGirth, params.fullness, context);
    const how = params.how ?? "pleated";
    const toInseam = params.ends === "inseam";
    const below = askedLength(ID, PARAMS, "below", params, context);
    const [front, back] = [legs.front, legs.back].map((panel) =>
      toInseam ? acrossTo(panel, legs, above.mm, below.mm) : sideOf(panel, legs, above.mm, reach.mm, drop.mm),
    ) as [Side, Side];
    let next = state;
    for (const side of [front, back])
      next = cutPanel(next, side.panel.id, {
        by: ID,
        from: { edge: "side", along: side.start },
        to: side.end,
        path: [side.curve, ...side.straight],
        between: { id: `${side.panel.id}-off`, name: "cut away", part: "off" },
        rest: { id: side.panel.id, name: side.panel.name, part: "main" },
        seam: { id: `${side.panel.id}-panel`, label: "Side panel seam" },
        edge: { id: "panel", name: "side panel seam" },
      });
    const off = [front, back].map((side) => panelOutline(panelById(next.panels, `${side.panel.id}-off`)));
    next = withoutPanels(next, [`${front.panel.id}-off`, `${back.panel.id}-off`]);
    if (!toInseam) for (const side of [front, back]) next = dividedAt(next, side.panel.id, segmentLength(side.curve));
    const lengths = [front, back].map((side) => {
      const panel = panelById(next.panels, side.panel.id);
      return {
        curve: pathLength(edgeOf(panel, "panel").path),
        // Across to the inseam, what hangs below is the whole leg: its edges are the inseams that were cut off.
        straight: toInseam ? side.end.along : pathLength(edgeOf(panel, "panel-plain").path),
      };
    }) as [SeamLengths, SeamLengths];
    const top = Math.min(...[front, back].map((side) => pathStart([side.curve])[1]));
    const drawn = (ratio: number): Panel =>
      drawSidePanel(lengths, [front, back], ratio, top, {
        plain: toInseam ? "inseam" : "style",
        isPleated: how === "pleated",
      });
    const legHem = [front, back].reduce(
      (sum, side) => sum + roleLength(panelById(next.panels, side.panel.id), "hem"),
      0,
    );
    const fullness = asked
      ? fullnessFor(asked.mm, (ratio) => legHem + roleLength(drawn(ratio), "hem"))
      : numberOr("side-panel", "fullness", params.fullness, context, 2);
    // On the body it fits as what it took the place of; the rest hangs.
    const panel: Panel = { ...drawn(fullness), worn: { inPlaceOf: off } };
    const seam = (of: Panel, half: "front" | "back"): Join[] => {
      const join = (id: string, a: EdgeRef, b: EdgeRef, joinHow: Join["how"], label: string): Join => ({
        id: `side-panel-${id}-${half}`,
        label,
        kind: "cut",
        by: ID,
        how: joinHow,
        leg: "both",
        a: [a],
        b: [b],
      });
      const turn = half === "front" ? along : against;
      if (toInseam)
        return [join("top", along(of.id, "panel"), turn(panel.id, `top-${half}`), how, `Leg panel top, ${half}`)];
      return [
        join("top", along(of.id, "panel"), turn(panel.id, `top-${half}`), how, `Side panel top, ${half}`),
        join("plain", along(of.id, "panel-plain"), turn(panel.id, `plain-${half}`), "equal", `Side panel, ${half}`),
      ];
    };
    const frontPanel = panelById(next.panels, legs.front.id);
    const handle = (param: string, at: Point, axis: Point, value: Mm, label: string): Handle => ({
      id: `side-panel-${param}`,
      panel: legs.front.id,
      at,
      axis,
      param,
      clears: [],
      perMm: 1,
      value,
      label,
      reading: value,
    });
    const outward = Math.sign(pathStart(edgeOf(legs.front, "side").path)[0]) || -1;
    const bend = pathEnd([front.curve]);
    const ended = pathAt(edgeOf(front.panel, front.end.edge).path, front.end.along).point;
    const inseams: readonly Join[] = toInseam
      ? [
          {
            id: "side-panel-inseam",
            label: "Inseam, leg panel",
            kind: "inseam",
            by: ID,
            how: "equal",
            leg: "both",
            a: [along(panel.id, "plain-front")],
            b: [against(panel.id, "plain-back")],
          },
        ]
      : [];
    const hasDart = [front, back].some((side) => dartLine(side.panel) !== null);
    const line0 = hasDart ? "the dart line" : "the crease";
    const sewn = lengths[0].curve + lengths[1].curve;
    return {
      state: {
        ...next,
        panels: [...next.panels, panel],
        joins: [...next.joins, ...seam(frontPanel, "front"), ...seam(legs.back, "back"), ...inseams],
      },
      template: `${
        toInseam
          ? "Cut the legs away on a curve from {above} above the hip line at the side to the inseam, {below} below the crotch point"
          : `Cut the sides away from {above} above the hip line on a curve that stands straight {drop} lower, ${reach.mm === 0 ? `at ${line0}` : `{reach} from ${line0}`}`
      }; let in one panel ${how} ${ratioText(fullness)} times into {seam} of seam, without a side seam, its hem level.`,
      numbers: {
        above,
        reach,
        drop,
        below,
        hemAfter: quantity(legHem + roleLength(panel, "hem"), "hem of one leg with the panel"),
        seam: quantity(sewn, "curved seam of front and back"),
        top: quantity(fullness * sewn, say`${ratio(fullness)} x the curved seam ${sewn}`),
      },
      shown: [front, back].map((side) =>
        drawingOn(side.panel.id, {
          slashes: [[...sample(side.curve), pathAt(edgeOf(side.panel, side.end.edge).path, side.end.along).point]],
        }),
      ),
      handles: [
        handle("above", pathStart([front.curve]), [0, -1], above.mm, "panel starts"),
        ...(toInseam
          ? [handle("below", ended, [0, 1], below.mm, "panel ends at the inseam")]
          : [
              handle("drop", bend, [0, 1], drop.mm, "curve runs out"),
              // Half-way down the straight part, clear of where the curve runs out.
              handle("reach", [bend[0], (bend[1] + ended[1]) / 2], [outward, 0], reach.mm, `panel from ${line0}`),
            ]),
      ],
    };
  },
});

/** How full the panel has to be for the whole hem to measure what is asked. */
function fullnessFor(asked: Mm, hemAt: (fullness: number) => Mm): number {
  const [least, most] = [hemAt(LEAST_FULLNESS), hemAt(MOST_FULLNESS)];
  if (asked < least || asked > most) {
    throw new Refusal(
      "hemGirth",
      say`With a panel let in here the hem of one leg is ${range(Math.ceil(least), Math.floor(most))}, not ${asked}. Choose one of these, or change the leg's own width.`,
      asked < least ? { least: Math.ceil(least) } : { most: Math.floor(most) },
    );
  }
  return bisect(hemAt, asked, LEAST_FULLNESS, MOST_FULLNESS);
}

const USUAL_DROP: Mm = 170;
/** The straight part of the cut below the curve is at least this long. */
const LEAST_STRAIGHT: Mm = 45;

/** How far the curve takes to stand straight: 170, or less on a leg that ends before. */
function usualDrop(legs: WholeLegs, above: Mm): Quantity {
  const rooms = [legs.front, legs.back].map((panel) => {
    const start = (panel.landmarks.hipSide?.[1] ?? 0) - above;
    const hem = edgeOf(panel, "hem").path;
    return Math.min(pathStart(hem)[1], pathEnd(hem)[1]) - start - LEAST_STRAIGHT - 15;
  });
  const room = Math.min(...rooms);
  return room >= USUAL_DROP
    ? quantity(USUAL_DROP, say`the usual ${170} below its start`)
    : quantity(Math.max(60, room), "as far as the short leg allows");
}

const sample = (curve: Segment): Point[] =>
  Array.from({ length: 13 }, (_, i) => pathAt([curve], (segmentLength(curve) * i) / 12).point);

/** Where the cut leaves the side, so far above the hip line: the same length from the hem on both panels. */
function startOn(panel: Panel, legs: WholeLegs, above: Mm): Mm {
  const frontSide = edgeOf(legs.front, "side").path;
  const hip = legs.front.landmarks.hipSide;
  if (!hip)
    throw new Refusal("above", say`The hip line has been cut away, so the side panel has no place to start from.`);
  const up = fromHem(legs.front, pathNearest(frontSide, hip).along - above);
  const start = fromHem(panel, up);
  if (start < 20) {
    throw new Refusal(
      "above",
      say`The panel has to start at least ${20} below the waist, or a yoke: at most ${start + above - 20} above the hip line.`,
    );
  }
  return start;
}

/** x of the dart's tip, of the dart nearest the crease; null where the panel has none. */
function dartLine(panel: Panel): Mm | null {
  const tips = panel.lines.filter((l) => l.kind === "dart").map((l) => (l.points[1] as Point)[0]);
  return tips.length === 0 ? null : tips.reduce((a, b) => (Math.abs(b) < Math.abs(a) ? b : a));
}

/** The cut to the hem: a curve from the side to the dart line, then straight down. */
function sideOf(panel: Panel, legs: WholeLegs, above: Mm, reach: Mm, drop: Mm): Side {
  const start = startOn(panel, legs, above);
  if (drop < 60 || drop > 500) throw new Refusal("drop", say`The curve runs out ${range(60, 500)} below its start.`);
  const from = pathAt(edgeOf(panel, "side").path, start);
  const outward = Math.sign(from.point[0]) || 1;
  const x = (dartLine(panel) ?? 0) + outward * reach;
  const hem = edgeOf(panel, "hem");
  const hemAlong = pathAlongAtX(hem.path, x);
  if (hemAlong === null || hemAlong < 15 || (from.point[0] - x) * outward < 30) {
    throw new Refusal(
      "reach",
      say`A panel ${reach} from the dart line leaves nothing of the side to replace. Bring it nearer to the crease.`,
    );
  }
  const bend: Point = [x, from.point[1] + drop];
  if (bend[1] > Math.min(pathStart(hem.path)[1], pathEnd(hem.path)[1]) - LEAST_STRAIGHT + 5)
    throw new Refusal("drop", say`The curve would run out below the hem. Let it run out higher.`);
  const across = Math.abs(from.point[0] - x);
  // Leaves the side inward and a little down, arrives on the straight line upright.
  const curve = cubic(
    from.point,
    [from.point[0] - outward * across * 0.55, from.point[1] + drop * 0.12],
    [x, bend[1] - drop * 0.55],
    bend,
  );
  const foot = pathAt(hem.path, hemAlong).point;
  refuseThroughDart(panel, [...sample(curve), foot]);
  return { panel, start, curve, end: { edge: "hem", along: hemAlong }, straight: [line(bend, foot)] };
}

/** The cut across: one curve from the side to the inseam, at the same length from the hem on both panels. */
function acrossTo(panel: Panel, legs: WholeLegs, above: Mm, below: Mm): Side {
  const start = startOn(panel, legs, above);
  const along = pathLength(edgeOf(legs.front, "inseam").path) - below;
  const inseam = edgeOf(panel, "inseam").path;
  if (along < 100 || along > pathLength(inseam) - 8)
    throw new Refusal("below", say`The cut has to end on the inseam, at least ${100} above the hem.`);
  const [from, to] = [pathAt(edgeOf(panel, "side").path, start).point, pathAt(inseam, along).point];
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const curve = cubic(from, [from[0] + 0.4 * dx, from[1] + 0.15 * dy], [from[0] + 0.65 * dx, to[1] - 0.08 * dy], to);
  refuseThroughDart(panel, sample(curve));
  return { panel, start, curve, end: { edge: "inseam", along }, straight: [] };
}

function refuseThroughDart(panel: Panel, cut: readonly Point[]): void {
  if (crossesDart(panel, cut))
    throw new Refusal(
      "drop",
      say`The curve would run through a dart of the ${panel.name.toLowerCase()}. Let it run out lower, or stand further from the dart.`,
    );
}

/** True where a line runs through the cloth of a dart. */
function crossesDart(panel: Panel, line: readonly Point[]): boolean {
  const chords = (points: readonly Point[]): (readonly [Point, Point])[] =>
    points.slice(1).map((p, i) => [points[i] as Point, p]);
  return panel.lines
    .filter((l) => l.kind === "dart")
    .some((dart) => chords(dart.points).some(([a, b]) => chords(line).some(([c, d]) => chordsCross(a, b, c, d))));
}

/** The cut edge as two: the curve, into which the fullness goes, and the straight part below. */
function dividedAt(
  state: Parameters<typeof withoutPanels>[0],
  id: string,
  at: Mm,
): Parameters<typeof withoutPanels>[0] {
  const panel = panelById(state.panels, id);
  const edge = edgeOf(panel, "panel");
  const [curve, straight] = pathSplit(edge.path, at);
  const parts: Edge[] = [
    { ...edge, path: curve },
    { ...edge, id: "panel-plain", name: "side panel seam, plain", path: straight },
  ];
  const divided = { ...panel, edges: panel.edges.flatMap((e) => (e === edge ? parts : [e])) };
  return { ...state, panels: state.panels.map((p) => (p === panel ? divided : p)) };
}
