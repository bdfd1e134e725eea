import { statedLength, number } from "../params";
import {
  along,
  edgeOf,
  findEdge,
  landmarkOf,
  middleGrain,
  onPanel,
  panelOutline,
  partOf,
  type Edge,
  type Join,
  type Panel,
  type PanelLine,
} from "../pattern";
import {
  line,
  pathBetween,
  pathEnd,
  pointAdd,
  pointBetween,
  pointDistance,
  pointDot,
  pointScale,
  pointSubtract,
  pointUnit,
  polygonSelfCrossing,
  type Point,
} from "../geometry";
import { quantity, ratio, Refusal, say, type Mm, type Words } from "../units";
import { numberOr } from "./auto";
import { askedLength, defineMove } from "./define";
import type { StyleState } from "./move";
import { bodiceHalves, needsBodice } from "./withBodice";

const ID = "fold-back";

const PARAMS = {
  neck: statedLength("How far the front goes on beyond the centre at the neck.", {
    label: "Beyond the centre, neck",
    usual: { mm: { cm: 50, in: 50.8 } },
    within: [10, 150],
    refusal: (limits) => say`At the neck the front goes on ${limits} beyond the centre.`,
    tried: [20, 80],
  }),
  waist: statedLength("How far it goes on at the waist.", {
    label: "Beyond the centre, waist",
    usual: { mm: { cm: 20, in: 19.05 } },
    within: [10, 200],
    refusal: (limits) => say`At the waist the front goes on ${limits} beyond the centre.`,
    tried: [10, 40],
  }),
  beyond: statedLength("How far the facing reaches beyond the fold, at the shoulder and at the waist.", {
    label: "Facing beyond the fold",
    usual: { mm: 20 },
    within: [10, 120],
    refusal: (limits) => say`The facing reaches ${limits} beyond the fold.`,
    tried: [15, 60],
  }),
  break: number("Where the fold ends on the front edge: share of the way from the neck to the waist.", {
    label: "Fold ends at, share of the way down",
    least: 0.2,
    most: 0.95,
    step: 0.05,
    usual: 0.85,
  }),
};

/** The fronts go on beyond the centre, lap, and fold back from the neck with their own facing. */
export const foldBack = defineMove({
  id: ID,
  label: "Fold the front back",
  note: "Both fronts go on beyond the centre and button there; above the break they fold back, faced with themselves.",
  params: PARAMS,
  redraws: false,
  apply(state, params, context) {
    needsBodice(state, "neck", this.label);
    const { front } = bodiceHalves(state);
    if (!front.landmarks.neckEnd || front.worn?.cowl)
      throw new Refusal("neck", say`The neck of the front was cut off by another line. Move this line before it.`);
    if (findEdge(front, "centre")?.role !== "fold")
      throw new Refusal("neck", say`The front is opened at its centre already. Take that line out first.`);
    const atNeck = askedLength(ID, PARAMS, "neck", params, context);
    const atWaist = askedLength(ID, PARAMS, "waist", params, context);
    const share = numberOr(ID, "break", params.break, context, PARAMS.break.usual);
    const drawn = opened(front, atNeck.mm, atWaist.mm, share);
    const beyond = askedLength(ID, PARAMS, "beyond", params, context);
    const facing = facingOf(drawn, beyond.mm, context.allowances.waist);
    if (!drawn.lies || polygonSelfCrossing(panelOutline(facing)))
      throw new Refusal(
        "break",
        say`Folded from there, the flap of ${drawn.flap} does not lie on the front. Let the fold end lower, or let the front go on less at the neck.`,
      );
    return {
      state: withFront(state, drawn.panel, facing),
      numbers: {
        neck: atNeck,
        waist: atWaist,
        break: quantity(pointDistance(drawn.corner, drawn.at), say`${ratio(share)} of the front edge`),
        flap: quantity(drawn.flap, "from the fold to the corner at the neck"),
        beyond,
      },
    };
  },
  says: () =>
    "Let both fronts go on beyond the centre, {neck} at the neck and {waist} at the waist, and fold them back from the shoulder to {break} below the neck: the flap is {flap} wide. The facing reaches {beyond} beyond the fold.",
});

interface Opened {
  readonly panel: Panel;
  /** Corner of the front at the neck, where the fold ends below, and the corner at the waist. */
  readonly corner: Point;
  readonly at: Point;
  readonly foot: Point;
  readonly flap: Mm;
  readonly lies: boolean;
}

/** The front with its centre opened; `share` of the way down its new edge the fold from the shoulder ends. */
function opened(front: Panel, neck: Mm, waist: Mm, share: number): Opened {
  const [neckCentre, neckEnd] = [landmarkOf(front, "neckCentre"), landmarkOf(front, "neckEnd")];
  const waistCentre = landmarkOf(front, "waistCentre");
  // Away from the shoulder: the front lies with its centre to the right.
  const out = neckEnd[0] < neckCentre[0] ? 1 : -1;
  const corner: Point = [neckCentre[0] + out * neck, neckCentre[1]];
  const foot: Point = [waistCentre[0] + out * waist, waistCentre[1]];
  const at = pointBetween(corner, foot, share);
  const fold = pointUnit(pointSubtract(at, neckEnd));
  const mirrored = (p: Point): Point => {
    const onFold = pointAdd(neckEnd, pointScale(fold, pointDot(pointSubtract(p, neckEnd), fold)));
    return pointSubtract(pointScale(onFold, 2), p);
  };
  const [neckEdge, centre] = [edgeOf(front, "neck"), edgeOf(front, "centre")];
  const edges = front.edges.flatMap((edge): Edge[] => {
    if (edge === neckEdge) return [{ ...edge, path: [line(corner, neckCentre), ...edge.path] }];
    if (edge !== centre) return [edge];
    return [
      {
        id: "lap",
        role: "style",
        name: "lap",
        becomes: "caught",
        path: [line(waistCentre, foot)],
        by: ID,
        sewnAs: "waist",
      },
      { id: "front-edge", role: "style", name: "front edge", path: [line(foot, corner)], by: ID },
    ];
  });
  const notch = (p: Point): PanelLine => ({ kind: "notch", points: [p] });
  const panel: Panel = {
    ...front,
    cutting: { material: front.cutting.material },
    edges,
    worn: { ...front.worn, lap: { from: at[1], wide: waist } },
    lines: [
      ...front.lines,
      { kind: "fold", points: [neckEnd, at] },
      { kind: "placement", points: [neckCentre, waistCentre] },
      notch(neckCentre),
      notch(waistCentre),
    ],
  };
  const outline = panelOutline(panel);
  const flapOn = [0.25, 0.5, 0.75, 1].map((t) => mirrored(pointBetween(at, corner, t)));
  const flap = Math.abs(fold[0] * (corner[1] - neckEnd[1]) - fold[1] * (corner[0] - neckEnd[0]));
  return { panel, corner, at, foot, flap, lies: flapOn.every((p) => onPanel(outline, p)) };
}

/** The facing of the front edge: the flap, and a little beyond the fold, down to the waist. */
function facingOf({ panel, corner, at, foot }: Opened, beyond: Mm, waistWidth: Mm): Panel {
  const neckEnd = landmarkOf(panel, "neckEnd");
  const shoulder = pathBetween(edgeOf(panel, "shoulder").path, 0, beyond);
  const waistCentre = landmarkOf(panel, "waistCentre");
  const inward = Math.sign(waistCentre[0] - foot[0]);
  const below: Point = [waistCentre[0] + inward * beyond, waistCentre[1]];
  const beside: Point = [at[0] + inward * (beyond + Math.abs(foot[0] - waistCentre[0])), at[1]];
  const edges: Edge[] = [
    edgeOf(panel, "neck"),
    { ...edgeOf(panel, "shoulder"), path: shoulder },
    { id: "inner", role: "style", name: "inner edge", path: [line(pathEnd(shoulder), beside), line(beside, below)] },
    {
      id: "waist-end",
      role: "style",
      name: "waist, caught in its seam",
      path: [line(below, foot)],
      beyond: waistWidth,
      becomes: "caught",
    },
    edgeOf(panel, "front-edge"),
  ];
  const facing: Panel = {
    id: "front-facing",
    name: "Front facing",
    is: partOf("facing", { root: "front", madeFor: panel.id }),
    half: "both",
    cutting: { material: panel.cutting.material, also: [{ material: "interfacing", count: 2 }] },
    edges,
    landmarks: { neckEnd, corner, at },
    lines: [],
  };
  return { ...facing, lines: [middleGrain(panelOutline(facing)), { kind: "fold", points: [neckEnd, at] }] };
}

function withFront(state: StyleState, panel: Panel, facing: Panel): StyleState {
  const join = (edge: string, kind: Join["kind"], label: Words): Join => ({
    id: `front-facing-${edge}`,
    label,
    kind,
    by: ID,
    how: "equal",
    leg: "both",
    a: [along(facing.id, edge)],
    b: [along(panel.id, edge)],
  });
  return {
    ...state,
    panels: [...state.panels.map((p) => (p.id === panel.id ? panel : p)), facing],
    joins: [
      ...state.joins,
      join("front-edge", "cut", "Front edge and its facing"),
      { ...join("neck", "neck", "Front neck and its facing"), root: "front" },
    ],
  };
}
