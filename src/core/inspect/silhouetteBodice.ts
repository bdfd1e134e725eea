import {
  edgesWithRole,
  hasLegs,
  isBodice,
  rimLength,
  sectionWidth,
  panelOutline,
  type EdgeRole,
  type Panel,
} from "../pattern";
import { halves } from "../body";
import { line, pathMap, pathReverse, pathStart, pointRotate, type Path, type Point } from "../geometry";
import type { Mm } from "../units";

/** Width over depth of a body at bust and waist, as cloth lies round it. */
const FLAT = 1.36;

/** Where the bodice's front lies, whatever it was cut into, from the middle of the body out to its right side. */
interface Front {
  readonly landmarks: Panel["landmarks"];
  readonly edges: (role: EdgeRole) => Path;
  readonly waist: Mm;
  /** A neck that hangs: how far below the shoulder. */
  readonly drop: Mm | null;
}

/** The front on its wearer's right half: what was swung open hangs back where it was drafted. */
function frontOf(panels: readonly Panel[]): Front | null {
  const own = panels.filter((p) => isBodice(p, "front"));
  const landmarks: Panel["landmarks"] = Object.assign({}, ...own.map((p) => p.landmarks)) as Panel["landmarks"];
  const { underarm, neckEnd, shoulderEnd, waistCentre } = landmarks;
  if (!underarm || !neckEnd || !shoulderEnd || !waistCentre) return null;
  const cowl = own.find((p) => p.worn?.cowl)?.worn?.cowl;
  const way = Math.sign(underarm[0]);
  const right = (p: Point): Point => {
    const [x, y] = cowl && p[1] < underarm[1] ? pointRotate(p, underarm, -cowl.turn) : p;
    // What laps beyond the centre lies on the other half.
    return [Math.max(0, way * x), y];
  };
  const level = waistCentre[1];
  const whole = own.find((p) => p.landmarks.waistCentre) as Panel;
  return {
    landmarks: Object.fromEntries(Object.entries(landmarks).map(([name, p]) => [name, right(p)])),
    // An edge through several panels runs on from the uppermost.
    edges: (role) =>
      own
        .flatMap((p) => edgesWithRole(p, role).filter((e) => e.by === undefined))
        .sort((a, b) => pathStart(a.path)[1] - pathStart(b.path)[1])
        .flatMap((e) => pathMap(e.path, right)),
    waist: rimLength(whole, "waist") || sectionWidth(panelOutline(whole), level),
    drop: cowl?.drop ?? null,
  };
}

/** A neck edge that hangs from the shoulder to the middle. */
function hanging([x, y]: Point, drop: Mm): Path {
  return [
    {
      kind: "cubic",
      points: [
        [0, y + drop],
        [x * 0.5, y + drop],
        [x * 0.75, y + drop * 0.55],
        [x, y],
      ],
    },
  ];
}

/** The outside of a top from the waist to its hem. */
function below(panels: readonly Panel[], waistAt: Point): Path {
  const front = panels.find((p) => isBodice(p, "front") && p.landmarks.hemSide);
  const hem = front?.landmarks.hemSide;
  if (!front || !hem) return [];
  const at: Point = [halves(4 * Math.abs(hem[0]), FLAT).width, hem[1]];
  const third = (hem[1] - waistAt[1]) / 3;
  return [{ kind: "cubic", points: [waistAt, [waistAt[0], waistAt[1] + third], [at[0], at[1] - third], at] }];
}

/**
 * The right half of a bodice as it is worn, from the front's own edges: shoulders lie flat, bust and waist go round the
 * body; a top goes on to its hem. Empty where the garment has none. The middle of the body is x = 0.
 */
export function bodiceOutline(panels: readonly Panel[]): readonly Path[] {
  const front = frontOf(panels);
  if (!front) return [];
  const { underarm, shoulderEnd, neckEnd, waistCentre } = front.landmarks as Readonly<Record<string, Point>> & {
    readonly underarm: Point;
    readonly shoulderEnd: Point;
    readonly neckEnd: Point;
    readonly waistCentre: Point;
  };
  const bustAt: Point = [halves(4 * underarm[0], FLAT).width, underarm[1]];
  const waistAt: Point = [halves(4 * front.waist, FLAT).width, waistCentre[1]];
  // Between the flat shoulder and the round bust the armhole comes in by what the body's depth takes.
  const worn = ([x, y]: Point): Point => {
    const share = Math.min(1, Math.max(0, (y - shoulderEnd[1]) / (underarm[1] - shoulderEnd[1] || 1)));
    return [x * (1 + share * (bustAt[0] / underarm[0] - 1)), y];
  };
  const edge = (role: EdgeRole): Path => pathMap(front.edges(role), worn);
  const side: Mm = (waistAt[1] - bustAt[1]) / 3;
  const down = hasLegs(panels) ? [] : below(panels, waistAt);
  const lowest = down.length > 0 ? (down.at(-1) as Path[number]).points.at(-1) : waistAt;
  return [
    front.drop === null ? edge("neck") : hanging(neckEnd, front.drop),
    edge("shoulder"),
    edge("armhole"),
    [
      {
        kind: "cubic",
        points: [bustAt, [bustAt[0], bustAt[1] + side], [waistAt[0], waistAt[1] - side], waistAt],
      },
      ...down,
    ],
    pathReverse([line([0, (lowest as Point)[1]], lowest as Point)]),
  ];
}
