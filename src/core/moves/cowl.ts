import { edgeOf, findEdge, landmarkOf, type Edge, type Panel, type PanelLine } from "../pattern";
import {
  solveRising,
  line,
  pathEnd,
  pathMap,
  pathStart,
  pointBetween,
  pointDistance,
  pointRotate,
  pointSubtract,
  pointUnit,
  type Path,
  type Point,
} from "../geometry";
import { length } from "../params";
import { angle, quantity, Refusal, say, toDegrees, type Mm, type Radians } from "../units";
import { paramOr } from "./auto";
import { askedLength, defineMove } from "./define";
import { bodiceHalves, needsBodice } from "./withBodice";

const ID = "cowl";
/** A facing that is cut on covers when it reaches this far beyond the bust point where the neck hangs. */
export const BEYOND_BUST: Mm = 20;

const PARAMS = {
  opening: length(
    "How far the slash opens at the centre; left out, two thirds of what keeps the neck above the bust.",
    {
      takesCloth: true,
      label: "Opened at the centre",
      auto: "from the bust",
      within: [10, 400],
      refusal: (limits) => say`A slash of the chest line opens ${limits} at the centre.`,
      tried: [40, 90],
    },
  ),
  facing: length("Depth of the facing that is cut on above the neck; left out, so that it reaches beyond the bust.", {
    label: "Facing, cut on",
    auto: "beyond the bust point",
    within: [20, 300],
    refusal: (limits) => say`A facing that is cut on is ${limits} deep.`,
    tried: [60, 160],
  }),
};

/** A neck that hangs below the bust is faced at least so deep. */
const LEAST_FACING: Mm = 60;
/** Where it hangs, the neck stays this far above the bust point. */
export const ABOVE_BUST: Mm = 40;
/** Of the widest swing that does so, what a cowl takes when nothing is said. */
const USUAL_SHARE = 2 / 3;
const USUAL_WIDEST: Radians = Math.PI / 3;
/** Swung further, the upper front would lie over the side. */
const WIDEST: Radians = (100 * Math.PI) / 180;

/** How far a neck edge sags that is longer than the way between its ends: as a parabola does. */
function sagOf(edge: Mm, span: Mm): Mm {
  const arc = (sag: Mm): Mm => {
    const k = (4 * sag) / span;
    return k < 1e-9 ? span : (span / 2) * (Math.sqrt(1 + k * k) + Math.asinh(k) / k);
  };
  return edge <= span ? 0 : solveRising(arc, edge, 0, edge);
}

interface Swung {
  /** The centre of the new neck, and the shoulder's neck end, turned. */
  readonly centre: Point;
  readonly neckEnd: Point;
  readonly turn: (p: Point) => Point;
  /** The turn, as angles run in this frame. */
  readonly by: Radians;
  /** How far the neck hangs below the shoulder's neck end. */
  readonly drop: Mm;
}

/** The part above the chest line turned about the underarm, up at the centre. */
function swung(front: Panel, by: Radians): Swung {
  const [underarm, neckEnd] = [landmarkOf(front, "underarm"), landmarkOf(front, "neckEnd")];
  const centreX = landmarkOf(front, "waistCentre")[0];
  // Turned so that the centre, on the other side of the hinge, comes up.
  const way = centreX > underarm[0] ? -1 : 1;
  const turn = (p: Point): Point => pointRotate(p, underarm, way * by);
  const end = turn(neckEnd);
  const span = 2 * Math.abs(neckEnd[0] - centreX);
  return {
    centre: [centreX, end[1]],
    neckEnd: end,
    turn,
    by: way * by,
    drop: sagOf(2 * Math.abs(end[0] - centreX), span),
  };
}

const turned = (edge: Edge, { turn }: Swung): Edge => ({ ...edge, path: pathMap(edge.path, turn) });

/** The end of the facing that lies under the shoulder: its mirror about the neck's fold, and straight up beyond it. */
function facingEnd(shoulder: Path, neckEnd: Point, depth: Mm): Path {
  const mirrored = pathMap(shoulder, ([x, y]): Point => [x, 2 * neckEnd[1] - y]);
  const rise = neckEnd[1] - pathEnd(mirrored)[1];
  if (rise >= depth) return [line(pointBetween(pathStart(mirrored), pathEnd(mirrored), depth / rise), neckEnd)];
  const top: Point = [pathEnd(mirrored)[0], neckEnd[1] - depth];
  return [line(top, pathEnd(mirrored)), line(pathEnd(mirrored), neckEnd)];
}

function withCowl(front: Panel, at: Swung, depth: Mm, bust: Mm): Panel {
  const { centre, neckEnd, drop } = at;
  const shoulder = turned(edgeOf(front, "shoulder"), at);
  const end = facingEnd(shoulder.path, neckEnd, depth);
  const corner: Point = [centre[0], centre[1] - depth];
  const top: Edge = {
    id: "facing-edge",
    role: "style",
    name: "facing's inner edge",
    becomes: "free",
    path: [line(corner, pathStart(end))],
    by: ID,
  };
  const under: Edge = {
    id: "facing-shoulder",
    role: "shoulder",
    name: "facing, caught in the shoulder",
    becomes: "caught",
    under: { panel: front.id, edge: shoulder.id },
    path: end,
    by: ID,
  };
  const edges = front.edges.flatMap((edge): Edge[] => {
    switch (edge.role) {
      case "neck":
        return [top, under];
      case "shoulder":
        return [shoulder];
      case "armhole":
        return [turned(edge, at)];
      case "fold":
        return [{ ...edge, path: [line(pathStart(edge.path), corner)] }];
      default:
        return [edge];
    }
  });
  const { underarm, bustPoint, waistCentre, waistSide } = front.landmarks;
  const slash = landmarkOf(front, "underarm");
  const lines: PanelLine[] = [
    ...front.lines,
    { kind: "fold", points: [centre, neckEnd] },
    { kind: "slash", points: [[centre[0], slash[1]], slash] },
  ];
  return {
    ...front,
    edges,
    landmarks: {
      ...(underarm && { underarm }),
      ...(bustPoint && { bustPoint }),
      ...(waistCentre && { waistCentre }),
      ...(waistSide && { waistSide }),
      neckCentre: centre,
      neckEnd,
      shoulderEnd: at.turn(landmarkOf(front, "shoulderEnd")),
    },
    lines,
    worn: { ...front.worn, cowl: { drop, bust, facing: depth, turn: at.by, edge: pointDistance(centre, neckEnd) } },
  };
}

/** Slashes the chest line from the centre and swings the upper front open about the underarm: a neck that hangs. */
export const cowl = defineMove({
  id: ID,
  label: "Swing open to a cowl",
  note: "The chest line is slashed from the centre and the upper front turned about the underarm: the neck hangs in folds.",
  params: PARAMS,
  redraws: false,
  apply(state, params, context) {
    needsBodice(state, "opening", this.label);
    const { front } = bodiceHalves(state);
    if (findEdge(front, "centre")?.role !== "fold" || !findEdge(front, "neck") || !findEdge(front, "armhole"))
      throw new Refusal("opening", say`A cowl hangs from a front that is whole. Take out the line that cut it.`);
    const [underarm, neckEnd] = [landmarkOf(front, "underarm"), landmarkOf(front, "neckEnd")];
    const width = Math.abs(underarm[0] - landmarkOf(front, "waistCentre")[0]);
    const bust = landmarkOf(front, "bustPoint")[1] - neckEnd[1];
    const deepest = bust - ABOVE_BUST;
    const widest = solveRising((by) => swung(front, by).drop, deepest, 0.02, USUAL_WIDEST);
    const openingOf = (by: Radians): Mm => 2 * width * Math.sin(by / 2);
    const stated = paramOr(ID, "opening", params.opening, context);
    const opening = stated
      ? askedLength(ID, PARAMS, "opening", params, context)
      : quantity(
          openingOf(USUAL_SHARE * widest),
          say`two thirds of the swing that keeps the neck ${ABOVE_BUST} above the bust`,
        );
    const widestOpening = Math.floor(openingOf(WIDEST));
    if (opening.mm > widestOpening)
      throw new Refusal(
        "opening",
        say`Hinged at the underarm this front opens ${widestOpening} at the centre at most: it would turn over its side.`,
        { most: widestOpening },
      );
    const by = 2 * Math.asin(opening.mm / (2 * width));
    const at = swung(front, by);
    const facing = paramOr(ID, "facing", params.facing, context)
      ? askedLength(ID, PARAMS, "facing", params, context)
      : quantity(
          Math.max(LEAST_FACING, bust + BEYOND_BUST - at.drop),
          say`bust point ${bust} below the shoulder + ${BEYOND_BUST} - the neck's drop ${at.drop}, ${LEAST_FACING} at the least`,
        );
    const panel = withCowl(front, at, facing.mm, bust);
    const slashed = at.turn([at.centre[0], underarm[1]]);
    return {
      state: { ...state, panels: state.panels.map((p) => (p === front ? panel : p)) },
      numbers: {
        opening,
        facing,
        edge: quantity(
          pointDistance(at.centre, at.neckEnd),
          "level from the shoulder's neck end to the fold, one half",
        ),
        drop: quantity(
          at.drop,
          say`sag of the whole edge between neck ends ${2 * Math.abs(neckEnd[0] - at.centre[0])} apart`,
        ),
        bust: quantity(bust, "from the shoulder's neck end down to the bust point"),
      },
      figures: { angle: { ...angle(toDegrees(by)), sum: say`about the underarm` } },
      handles: [
        {
          id: "cowl-opening",
          panel: front.id,
          at: slashed,
          axis: pointUnit(pointSubtract(slashed, pointRotate(slashed, underarm, -0.01 * Math.sign(at.by)))),
          inside: true,
          param: "opening",
          clears: [],
          perMm: Math.cos(by / 2),
          value: opening.mm,
          label: "cowl",
          reading: opening.mm,
          least: 10,
        },
      ],
    };
  },
  says: () =>
    "Slash the chest line from the centre, hinge it at the underarm and swing the upper front {angle} up, {opening} at the centre. Straight from the shoulder to the fold the neck is then {edge}; it hangs {drop} below the shoulder, the bust point lies {bust} below it. Cut a facing of {facing} on above.",
});
