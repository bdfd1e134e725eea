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
} from "../pattern";
import { solveRising, pathEnd, pathStart, segmentLength, pathAt, pathLength, pathSplit, type Point } from "../geometry";
import { quantity, type Figure, type Mm, say, ratio, Refusal, range, type Words, type Quantity } from "../units";
import { hemGirthOr, numberOr, paramOr } from "./auto";
import { wholeLegs, withoutPanels } from "./legs";
import { type Handle } from "./move";
import { acrossTo, dartLine, sample, sideOf, usualDrop, type Side } from "./sidePanelCut";
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
    leadsHem: true,
    takesCloth: true,
    label: "Top to its seam",
    least: LEAST_FULLNESS,
    most: MOST_FULLNESS,
    step: 0.25,
    usual: 2,
    clears: ["hemGirth"],
    solvedBy: "hemGirth",
  }),
  hemGirth: length("Finished hem of one leg with the panel; the fullness is solved for it and gives way.", {
    gives: "hem",
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

/** Cuts the sides of front and back away on a curve and lets in one panel, full above and plain below, without side seam. */
export const sidePanel = defineMove({
  id: ID,
  label: "Let in a side panel",
  note: "Cuts the sides away on a curve and replaces both by one panel: its top pleated or gathered in, its hem level.",
  params: PARAMS,
  redraws: false,
  widensHem: true,
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
    const frontPanel = panelById(next.panels, legs.front.id);
    const hasDart = [front, back].some((side) => dartLine(side.panel) !== null);
    const line0 = hasDart ? "the dart line" : "the crease";
    const sewn = lengths[0].curve + lengths[1].curve;
    return {
      state: {
        ...next,
        panels: [...next.panels, panel],
        joins: [...next.joins, ...joinsOf(frontPanel, legs.back, panel, how, toInseam)],
      },
      numbers: {
        above,
        reach,
        drop,
        below,
        hemAfter: quantity(legHem + roleLength(panel, "hem"), "hem of one leg with the panel"),
        seam: quantity(sewn, "curved seam of front and back"),
        top: quantity(fullness * sewn, say`${ratio(fullness)} x the curved seam ${sewn}`),
      },
      figures: { fullness: { ...ratio(fullness), sum: say`top of the panel / curved seam` } },
      facts: { line0 },
      shown: [front, back].map((side) =>
        drawingOn(side.panel.id, {
          slashes: [[...sample(side.curve), pathAt(edgeOf(side.panel, side.end.edge).path, side.end.along).point]],
        }),
      ),
      handles: handlesOf(legs.front.id, { front, line0, toInseam }, { above, reach, drop, below }),
    };
  },
  says({ params: { ends, how = "pleated" }, numbers: { reach }, facts: { line0 }, figures: { fullness } }) {
    const at = reach?.mm === 0 ? say`at ${line0}` : say`{reach} from ${line0}`;
    const cut =
      ends === "inseam"
        ? "Cut the legs away on a curve from {above} above the hip line at the side to the inseam, {below} below the crotch point"
        : say`Cut the sides away from {above} above the hip line on a curve that stands straight {drop} lower, ${at}`;
    return say`${cut}; let in one panel ${how} ${fullness as Figure} times into {seam} of seam, without a side seam, its hem level.`;
  },
});

/** How the panel is sewn in: its top full, the rest plain; across to the inseam, its own two edges are an inseam. */
function joinsOf(front: Panel, back: Panel, panel: Panel, how: Join["how"], toInseam: boolean): readonly Join[] {
  const join = (id: string, label: Words, a: EdgeRef, b: EdgeRef, more: Pick<Join, "how" | "kind">): Join => ({
    id: `side-panel-${id}`,
    label,
    by: ID,
    leg: "both",
    ...more,
    a: [a],
    b: [b],
  });
  const halves = [
    ["front", front, along],
    ["back", back, against],
  ] as const;
  const sewn = halves.flatMap(([half, of, turn]) => {
    const top = join(
      `top-${half}`,
      toInseam ? say`Leg panel top, ${half}` : say`Side panel top, ${half}`,
      along(of.id, "panel"),
      turn(panel.id, `top-${half}`),
      { kind: "cut", how },
    );
    if (toInseam) return [top];
    const plain = join(
      `plain-${half}`,
      say`Side panel, ${half}`,
      along(of.id, "panel-plain"),
      turn(panel.id, `plain-${half}`),
      { kind: "cut", how: "equal" },
    );
    return [top, plain];
  });
  if (!toInseam) return sewn;
  const inseam = join("inseam", "Inseam, leg panel", along(panel.id, "plain-front"), against(panel.id, "plain-back"), {
    kind: "inseam",
    how: "equal",
  });
  return [...sewn, inseam];
}

function handlesOf(
  on: string,
  { front, line0, toInseam }: { readonly front: Side; readonly line0: string; readonly toInseam: boolean },
  { above, reach, drop, below }: Readonly<Record<"above" | "reach" | "drop" | "below", Quantity>>,
): readonly Handle[] {
  const handle = (param: string, at: Point, axis: Point, { mm }: Quantity, label: Words): Handle => ({
    id: `side-panel-${param}`,
    panel: on,
    at,
    axis,
    param,
    label,
    clears: [],
    perMm: 1,
    value: mm,
    reading: mm,
  });
  const bend = pathEnd([front.curve]);
  const ended = pathAt(edgeOf(front.panel, front.end.edge).path, front.end.along).point;
  const starts = handle("above", pathStart([front.curve]), [0, -1], above, "panel starts");
  if (toInseam) return [starts, handle("below", ended, [0, 1], below, "panel ends at the inseam")];
  const outward = Math.sign(pathStart(edgeOf(front.panel, "side").path)[0]) || -1;
  return [
    starts,
    handle("drop", bend, [0, 1], drop, "curve runs out"),
    // Half-way down the straight part, clear of where the curve runs out.
    handle("reach", [bend[0], (bend[1] + ended[1]) / 2], [outward, 0], reach, say`panel from ${line0}`),
  ];
}

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
  return solveRising(hemAt, asked, LEAST_FULLNESS, MOST_FULLNESS);
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
