import { type Edge, type Panel, type PanelLine, wholePanelOf } from "../pattern";
import {
  angleFromTo,
  cubic,
  line,
  pathAlongAtX,
  pathAt,
  pathCrossings,
  pathEnd,
  pathEndTangent,
  pathLength,
  pathReverse,
  pathSplit,
  pathStart,
  pointAdd,
  pointBetween,
  pointQuarterTurn,
  pointRotate,
  pointScale,
  pointSubtract,
  pointUnit,
  secant,
  truedCurve,
  type Path,
  type Point,
  pathAlongAtLevel,
} from "../geometry";
import type { Mm, Radians } from "../units";
import { drawnLeg, FLARED, passingAbove, type LegPlan } from "./plan";

/** A panel's runs before assembly, in the canonical frame (centre left), each onward from the centre. */
export interface Outline {
  readonly waist: readonly Edge[];
  readonly dartLines: readonly PanelLine[];
  /** Notches that a block brought in has on its outline. */
  readonly notches?: readonly Point[];
  readonly side: Path;
  /** From the crotch point down. */
  readonly inseamDown: Path;
  /** From the crotch point up to the waist. */
  readonly crotch: Path;
  /** The hem as it is, from side to inseam; a straight line where none is given. */
  readonly hem?: Path;
  readonly hip: Point;
  /** Where the crotch curve leaves the centre line. */
  readonly curveStart: Point;
}

/**
 * A hem above the level a leg is drawn to cuts both panels at equal arc length: the side from the waist, the inseam from
 * its hem end. The new edge is the hem of any other leg. A leg that ends above the knee still runs in steeply where it is
 * cut: its seams come down square to the hem over their last stretch, so that the hem is straight and turns up flat.
 */
export function cutAtHem(legs: LegPlan, [front, back]: readonly [Outline, Outline]): readonly [Outline, Outline] {
  const { hem } = legs.levels;
  if (hem >= drawnLeg(legs).hem) return [front, back];
  const isShort = hem < legs.levels.knee;
  const ended = (path: Path, at: Mm): Path => {
    const seam = pathSplit(path, at)[0];
    return isShort ? squareToHem(seam) : seam;
  };
  const alongAt = (path: Path): Mm => {
    const at = pathAlongAtLevel(path, hem) ?? pathLength(path);
    // What comes down square reaches a little lower by the same length.
    return at - (pathEnd(ended(path, at))[1] - hem);
  };
  const sideAt = alongAt(front.side);
  const inseamLeft = pathLength(front.inseamDown) - alongAt(front.inseamDown);
  const cut = (o: Outline): Outline => {
    const side = ended(o.side, sideAt);
    const inseamDown = ended(o.inseamDown, pathLength(o.inseamDown) - inseamLeft);
    return { ...o, side, inseamDown, hem: hemOf(side, inseamDown) };
  };
  return [cut(front), cut(back)];
}

/** The seams of a short leg come square to its hem over this length, or this share of what they have. */
const SQUARED: Mm = 110;
const SQUARED_SHARE = 0.7;

/** A seam that runs in toward its hem, its last stretch bent upright, as long as it was. */
function squareToHem(seam: Path): Path {
  const whole = pathLength(seam);
  const reach = Math.min(SQUARED, SQUARED_SHARE * whole);
  const [above, last] = pathSplit(seam, whole - reach);
  const [from, way, end] = [pathEnd(above), pathEndTangent(above), pathEndTangent(last)];
  if (Math.abs(angleFromTo(DOWN, end)) < UNSQUARE) return seam;
  const bent = (long: Mm): Path => {
    const corner = pointAdd(from, pointScale(way, long / 2));
    const to = pointAdd(corner, pointScale(DOWN, long / 2));
    return [cubic(from, pointBetween(from, corner, 2 / 3), pointBetween(to, corner, 2 / 3), to)];
  };
  const long = secant((by) => pathLength(bent(by)) - reach, reach, reach * 1.02, { tolerance: 1e-8 });
  return long === null ? seam : [...above, ...bent(long)];
}

const DOWN: Point = [0, 1];

/** A tapered hem may leave each seam this far from square before the joined hem steps by 3 mm. */
const UNSQUARE: Radians = (2.6 * Math.PI) / 180;
/** Bent more than this at either end, a deep turn-up of a tapered hem would no longer lie flat. */
const MOST_BEND: Radians = (4.3 * Math.PI) / 180;

/**
 * A leg that widens downward gets a trued hem, square to both seams; a straight one stays straight. A tapered one
 * stays straight too, so that it can be turned up flat, but for as much as it takes that the joined hem runs on.
 */
function hemOf(side: Path, inseamDown: Path): Path {
  const [a, b] = [pathEndTangent(side), pathEndTangent(inseamDown)];
  const [hemSide, hemInseam] = [pathEnd(side), pathEnd(inseamDown)];
  const [leave, arrive] = [pointQuarterTurn(a), pointQuarterTurn(b)];
  if (angleFromTo(b, a) < -FLARED) return [truedCurve(hemSide, leave, hemInseam, arrive)];
  const chord = pointUnit(pointSubtract(hemInseam, hemSide));
  const bend = (square: Point): Radians => {
    const off = angleFromTo(chord, square);
    return Math.sign(off) * Math.min(MOST_BEND, Math.max(0, Math.abs(off) - UNSQUARE));
  };
  const [from, to] = [bend(leave), bend(arrive)];
  if (from === 0 && to === 0) return [line(hemSide, hemInseam)];
  return [truedCurve(hemSide, pointRotate(chord, [0, 0], from), hemInseam, pointRotate(chord, [0, 0], to))];
}

/** Closes the runs into a panel with its named edges, landmarks and inner lines. */
export function assemble(kind: "front" | "back", legs: LegPlan, run: Outline): Panel {
  const { levels } = legs;
  const { side, inseamDown, crotch, hip, curveStart } = run;
  const hemSide = pathEnd(side);
  const hemInseam = pathEnd(inseamDown);
  const crotchPoint = pathStart(inseamDown);
  const hem: Path = run.hem ?? hemOf(side, inseamDown);
  const edges: Edge[] = [
    ...run.waist,
    { id: "side", role: "side", name: "side seam", path: side },
    { id: "hem", role: "hem", name: "hem", path: hem },
    { id: "inseam", role: "inseam", name: "inseam", path: pathReverse(inseamDown) },
    { id: "crotch", role: "crotch", name: kind === "front" ? "front crotch" : "back crotch", path: crotch },
  ];
  const seamX = (path: Path, y: Mm): Mm | undefined => pathCrossings(path, y)[0];
  const creaseHem = pathAt(hem, pathAlongAtX(hem, 0) ?? pathLength(hem) / 2).point;
  const hipCentre: Point = [seamX(crotch, levels.hip) ?? curveStart[0], levels.hip];
  const atKnee = passingAbove(legs, kind, levels.knee + 1);
  const hasKnee = levels.knee < Math.min(hemSide[1], hemInseam[1]) - 1;
  const [kneeInseam, kneeSide]: readonly [Point, Point] = [
    [seamX(inseamDown, levels.knee) ?? atKnee.inseam, levels.knee],
    [seamX(side, levels.knee) ?? atKnee.side, levels.knee],
  ];
  const grainTop = Math.max(levels.hip - 20, levels.waist + 40);
  const lines: PanelLine[] = [
    ...run.dartLines,
    ...(run.notches ?? []).map((p): PanelLine => ({ kind: "notch", points: [p] })),
    {
      kind: "grain",
      points: [
        [0, grainTop],
        [0, Math.max(grainTop + 60, creaseHem[1] - 60)],
      ],
    },
    {
      kind: "crease",
      points: [[0, levels.crotch], creaseHem],
    },
    { kind: "hip", points: [hipCentre, hip] },
    {
      kind: "crotch",
      points: [
        [crotchPoint[0], levels.crotch],
        [seamX(side, levels.crotch) ?? hip[0], levels.crotch],
      ],
    },
    ...(hasKnee ? [{ kind: "knee" as const, points: [kneeInseam, kneeSide] }] : []),
  ];
  return {
    id: kind,
    name: kind === "front" ? "Front" : "Back",
    is: wholePanelOf("legs", kind),
    half: "both",
    cutting: { material: "shell" },
    edges,
    lines,
    landmarks: {
      waistCentre: pathEnd(crotch),
      waistSide: pathStart(side),
      hipSide: hip,
      hipCentre,
      crotchPoint,
      curveStart,
      ...(hasKnee ? { kneeSide, kneeInseam } : {}),
      hemSide,
      hemInseam,
      creaseHem,
      creaseCrotch: [0, levels.crotch],
    },
  };
}
