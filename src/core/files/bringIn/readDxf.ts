import DxfParser, {
  type IArcEntity,
  type ICircleEntity,
  type IDxf,
  type IEntity,
  type IInsertEntity,
  type ILineEntity,
  type ILwpolylineEntity,
  type IPointEntity,
  type IPolylineEntity,
  type ISplineEntity,
} from "dxf-parser";
import { cubic, line, pathMap, pointDistance, type Path, type Point, type Segment } from "../../geometry";
import { DXF_LAYERS } from "../drawing/layers";
import { cleanDxf } from "./dxfPairs";
import { CannotBringIn, type Drawing, type Stroke } from "./shapes";

const MAX_VERTICES = 100_000;
const MAX_DEPTH = 6;
const HIGHEST_DEGREE = 10;
const TOO_MANY = "The drawing holds more than 100,000 lines. Bring in the block's outline alone.";

/** Millimetres of a drawing unit, by the header's unit code. */
const UNITS: Readonly<Record<number, number>> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };

/** The apparel layers that matter here. */
const LAYERS: Readonly<Record<string, Stroke["kind"]>> = { [DXF_LAYERS.boundary]: "cut", [DXF_LAYERS.sew]: "seam" };

/** An arc from `a` to `b` whose quarter-angle tangent is `bulge`, as cubics of at most a quarter turn. */
function bulged(a: Point, b: Point, bulge: number): Segment[] {
  if (Math.abs(bulge) < 1e-9) return [line(a, b)];
  const turn = 4 * Math.atan(bulge);
  const chord = pointDistance(a, b);
  const radius = chord / 2 / Math.sin(turn / 2);
  const [ux, uy] = [(b[0] - a[0]) / chord, (b[1] - a[1]) / chord];
  const height = radius * Math.cos(turn / 2);
  const centre: Point = [(a[0] + b[0]) / 2 - uy * height, (a[1] + b[1]) / 2 + ux * height];
  const from = Math.atan2(a[1] - centre[1], a[0] - centre[0]);
  return arc(centre, Math.abs(radius), from, turn);
}

/** A circular arc as cubics. `turn` may be negative; angles in radians, y upward. */
function arc(centre: Point, radius: number, from: number, turn: number): Segment[] {
  const parts = Math.max(1, Math.ceil(Math.abs(turn) / (Math.PI / 2)));
  const step = turn / parts;
  const handle = (4 / 3) * Math.tan(step / 4) * radius;
  const at = (angle: number): Point => [centre[0] + radius * Math.cos(angle), centre[1] + radius * Math.sin(angle)];
  return Array.from({ length: parts }, (_, i) => {
    const [a, b] = [from + i * step, from + (i + 1) * step];
    const [p, q] = [at(a), at(b)];
    return cubic(
      p,
      [p[0] - handle * Math.sin(a), p[1] + handle * Math.cos(a)],
      [q[0] + handle * Math.sin(b), q[1] - handle * Math.cos(b)],
      q,
    );
  });
}

/** Points along a B-spline (de Boor), fine enough to be fitted again. */
function splinePoints(s: ISplineEntity): Point[] {
  const control = (s.controlPoints ?? []).map((p): Point => [p.x, p.y]);
  if (control.length < 2) return (s.fitPoints ?? []).map((p): Point => [p.x, p.y]);
  const degree = Math.min(s.degreeOfSplineCurve || 3, control.length - 1);
  if (degree > HIGHEST_DEGREE)
    throw new CannotBringIn("A curve in the drawing is of no kind that patterns are drawn by.");
  const knots = s.knotValues;
  if (knots.length < control.length + degree + 1) return control;
  const [low, high] = [knots[degree] as number, knots[control.length] as number];
  const count = Math.min(2000, control.length * 16);
  return Array.from({ length: count + 1 }, (_, i) => {
    const t = low + ((high - low) * i) / count;
    let span = degree;
    while (span < control.length - 1 && t >= (knots[span + 1] as number)) span++;
    const d = Array.from({ length: degree + 1 }, (_, j) => control[j + span - degree] as Point);
    for (let r = 1; r <= degree; r++) {
      for (let j = degree; j >= r; j--) {
        const [k0, k1] = [knots[j + span - degree] as number, knots[j + 1 + span - r] as number];
        const share = k1 === k0 ? 0 : (t - k0) / (k1 - k0);
        const [a, b] = [d[j - 1] as Point, d[j] as Point];
        d[j] = [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share];
      }
    }
    return d[degree] as Point;
  });
}

function polyline(
  points: readonly (Point & { readonly bulge?: number })[],
  bulges: readonly number[],
  closed: boolean,
): Path {
  const segments: Segment[] = [];
  const last = closed ? points.length : points.length - 1;
  for (let i = 0; i < last; i++) {
    const [a, b] = [points[i] as Point, points[(i + 1) % points.length] as Point];
    if (pointDistance(a, b) > 1e-9) segments.push(...bulged(a, b, bulges[i] ?? 0));
  }
  return segments;
}

function pathOf(entity: IEntity): Path {
  switch (entity.type) {
    case "LINE": {
      const [a, b] = (entity as ILineEntity).vertices;
      return a && b ? [line([a.x, a.y], [b.x, b.y])] : [];
    }
    case "LWPOLYLINE":
    case "POLYLINE": {
      const { vertices, shape } = entity as ILwpolylineEntity | IPolylineEntity;
      const points = vertices.map((v): Point => [v.x, v.y]);
      return polyline(
        points,
        vertices.map((v) => v.bulge),
        shape,
      );
    }
    case "ARC": {
      const a = entity as IArcEntity;
      const turn = (((a.endAngle - a.startAngle) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);
      return arc([a.center.x, a.center.y], a.radius, a.startAngle, turn);
    }
    case "CIRCLE": {
      const c = entity as ICircleEntity;
      return arc([c.center.x, c.center.y], c.radius, 0, 2 * Math.PI);
    }
    case "SPLINE": {
      const points = splinePoints(entity as ISplineEntity);
      return polyline(points, [], (entity as ISplineEntity).closed);
    }
    default:
      return [];
  }
}

/**
 * Reads the lines of a DXF drawing: lines, polylines with their arcs, arcs, circles, splines, and the blocks that are
 * placed. Refused, with a sentence: what is damaged or no DXF, and drawings with more lines than any pattern has.
 */
export function readDxf(text: string): Drawing {
  if (!/SECTION/.test(text.slice(0, 4000))) throw new CannotBringIn("This is not a DXF drawing in text form.");
  let parsed: IDxf | null;
  try {
    parsed = new DxfParser().parseSync(cleanDxf(text));
  } catch (error) {
    if (error instanceof CannotBringIn) throw error;
    throw new CannotBringIn(
      "The drawing is damaged: it is not readable as DXF. Save it again and bring in the new file.",
    );
  }
  if (!parsed || !Array.isArray(parsed.entities)) throw new CannotBringIn("The drawing holds no lines.");
  const dxf = parsed;
  const strokes: Stroke[] = [];
  const notches: Point[] = [];
  let vertices = 0;
  const add = (entities: readonly IEntity[], place: (p: Point) => Point, name: string, depth: number): void => {
    for (const entity of entities) {
      if (entity.type === "INSERT") {
        const insert = entity as IInsertEntity;
        const block = dxf.blocks?.[insert.name];
        if (++vertices > MAX_VERTICES) throw new CannotBringIn(TOO_MANY);
        if (!block?.entities || depth >= MAX_DEPTH) continue;
        const angle = ((insert.rotation || 0) * Math.PI) / 180;
        const [sx, sy] = [insert.xScale || 1, insert.yScale || 1];
        const into = ([x, y]: Point): Point => {
          const [lx, ly] = [(x - (block.position?.x ?? 0)) * sx, (y - (block.position?.y ?? 0)) * sy];
          return place([
            insert.position.x + lx * Math.cos(angle) - ly * Math.sin(angle),
            insert.position.y + lx * Math.sin(angle) + ly * Math.cos(angle),
          ]);
        };
        add(block.entities, into, insert.name, depth + 1);
        continue;
      }
      if (entity.type === "POINT" && entity.layer === DXF_LAYERS.notches) {
        const { x, y } = (entity as IPointEntity).position;
        notches.push(place([x, y]));
        if (++vertices > MAX_VERTICES) throw new CannotBringIn(TOO_MANY);
        continue;
      }
      const path = pathOf(entity);
      if (path.length === 0) continue;
      vertices += path.length;
      if (vertices > MAX_VERTICES) throw new CannotBringIn(TOO_MANY);
      const layer = entity.layer ?? "";
      strokes.push({ path: pathMap(path, place), name: name || layer, kind: LAYERS[layer] ?? "other" });
    }
  };
  // Drawings count y upward; patterns here count it downward.
  try {
    add(dxf.entities, ([x, y]) => [x, 0 - y], "", 0);
  } catch (error) {
    // What its reader hands on may lack what its types promise: an arc without a centre, a block without a place.
    if (error instanceof TypeError)
      throw new CannotBringIn("A line in the drawing is damaged. Save the drawing again and bring in the new file.");
    throw error;
  }
  const code = Number((dxf.header as Record<string, unknown> | undefined)?.$INSUNITS);
  return { strokes, notches, unitMm: UNITS[code] ?? null };
}
