import { isLineOf } from "../moves/given";
import { setLength } from "../moves/setLength";
import { edgesWithRole, legOf, panelById, panelWidthAt, refsLength, roleLength } from "../pattern";
import type { Shape } from "../derive/shape";
import { drawnLeg } from "../drafting";
import { pathEnd, pathLength, pathStart, pointDistance } from "../geometry";
import { resolveBody, type Body, type BodyMeasures } from "../body";

/** A style with parameters chosen at random from their range, and what the finished pattern must measure then. */
export interface StyleCase {
  readonly params: Record<string, unknown>;
  /** What was asked against what was measured, in millimetres (or as a ratio x 1000). */
  readonly met: (shape: Shape) => readonly (readonly [what: string, asked: number, measured: number])[];
}

type Make = (m: BodyMeasures, between: (low: number, high: number) => number) => StyleCase;

const mm = (value: number): string => `${value.toFixed(2)} mm`;
const hem = (asked: number): StyleCase => ({
  params: { hemGirth: mm(asked) },
  met: (shape) => [["hem girth", asked, shape.readings.hemGirth]],
});

/** Girth of one leg at a level, across all its panels. */
const legWidthAt = (shape: Shape, y: number): number =>
  legOf(shape.panels, "right").reduce((sum, panel) => sum + panelWidthAt(panel, y), 0);

/** Lengths every style takes. */
const LENGTHS = ["full", "ankle", "calf", "mid-calf", "knee", "shorts"] as const;

/** Ranges of every style's own parameters, in proportion to the body. */
export const STYLE_RANGES: Readonly<Record<string, Make>> = {
  straight: (m, between) => hem(m.knee.mm * between(1, 1.6)),
  cigarette: (m, between) => {
    const asked = hem(m.ankle.mm * between(1.2, 1.8));
    const knee = m.kneeBent.mm * between(1.02, 1.3);
    return {
      params: { ...asked.params, knee: mm(knee) },
      met: (shape) => [
        ...asked.met(shape),
        // A leg that ends above its knee has no girth there.
        ...drawnLeg(shape.plan).turns.map((turn) => ["knee", knee, legWidthAt(shape, turn.level)] as const),
      ],
    };
  },
  palazzo: (m, between) => hem(m.thigh.mm * between(1, 2.6)),
  flare: (m, between) => {
    const asked = m.knee.mm * between(1.3, 2.2);
    const start = m.waistToKnee.mm * between(0.95, 1.1);
    return {
      params: { hemGirth: mm(asked), start: mm(start) },
      met: (shape) => [
        ["hem girth", asked, shape.readings.hemGirth],
        // A leg that ends before its flare would start has none.
        ...drawnLeg(shape.plan).turns.map((turn) => ["start", start, turn.level] as const),
      ],
    };
  },
  "bell-flounce": (m, between) => {
    const start = m.waistToKnee.mm * between(0.98, 1.15);
    const share = [0.5, 0.75, 1, 1.5][Math.floor(between(0, 4))] ?? 1;
    const fullness = between(1.2, 3);
    const girth = m.knee.mm * between(3, 7);
    const points = Math.floor(between(0, 9));
    // On every second body the start is left to the style, which then follows the length.
    const where = between(0, 1) < 0.5 ? {} : { start: mm(start), length: "full" };
    const how = Math.floor(between(0, 3));
    const of = [{ share }, { kind: "gathered", fullness }, { hemGirth: mm(girth), points }][how] ?? {};
    return {
      params: { ...where, ...of },
      met: (shape) => {
        const join = shape.joins.find((j) => j.by === "flounce");
        if (!join) return [["flounce", 1, 0]];
        const [leg, sewn] = [refsLength(shape.panels, join.a), refsLength(shape.panels, join.b)];
        return [
          ["flounce seam", how === 1 ? fullness * leg : leg, sewn],
          ...(how === 2 ? [["hem girth", girth, shape.readings.hemGirth] as const] : []),
        ];
      },
    };
  },
  "side-fullness": (m, between) => {
    const fullness = between(1.5, 3);
    if (between(0, 1) < 0.4) return hem(m.thigh.mm * between(1.6, 3));
    return {
      params: { fullness },
      met: (shape) =>
        shape.joins
          .filter((j) => j.by === "side-panel" && j.how !== "equal")
          .map((j) => ["fullness", fullness * refsLength(shape.panels, j.a), refsLength(shape.panels, j.b)] as const),
    };
  },
  "paper-bag": (m, between) => {
    const asked = hem(m.ankle.mm * between(1.3, 2));
    const [frill, depth] = [between(15, 70), between(20, 50)];
    return {
      params: { ...asked.params, frill: mm(frill), depth: mm(depth) },
      met: (shape) => [
        ...asked.met(shape),
        // The fold-back covers frill, channel and 3 mm of room.
        ...shape.panels.map(
          (p) => [`folded on ${p.id}`, frill + depth + 3, p.worn?.casings?.waist?.folded ?? 0] as const,
        ),
      ],
    };
  },
  pleated: (m, between) => {
    const depth = between(15, 32);
    const asked = hem(m.ankle.mm * between(1.5, 2.4));
    return {
      params: {
        depth: mm(depth),
        count: between(0, 1) < 0.5 ? 1 : 2,
        run: between(0, 1) < 0.5 ? "knee" : "parallel",
        ...asked.params,
      },
      met: (shape) => [
        ...asked.met(shape),
        ...edgesWithRole(panelById(shape.panels, "front"), "dart").map(
          (e) => ["pleat depth", depth, pointDistance(pathStart(e.path), pathEnd(e.path)) / 2] as const,
        ),
      ],
    };
  },
  jogger: (m, between) => {
    const asked = m.ankle.mm * between(1.25, 1.7);
    const cuff = between(40, 80);
    return {
      params: { hemGirth: mm(asked), cuff: mm(cuff) },
      met: (shape) => [
        ["hem girth", asked, shape.readings.hemGirth],
        // What comes off the length hangs below it again, unless so short a leg could not be sewn.
        ...shape.worksheet
          .filter((l) => isLineOf(l, setLength) && l.numbers.hemLevel?.asked === undefined)
          .map((l) => ["cuff off the length", cuff, l.numbers.less?.mm ?? 0] as const),
      ],
    };
  },
  sweat: (m, between) => {
    const side = between(10, 45);
    const asked = between(0, 1) < 0.4 ? hem(m.thigh.mm * between(1.2, 1.9)) : null;
    return {
      params: { side: mm(side), ...asked?.params },
      met: (shape) => [
        ["out at the side", side, shape.plan.front.hipX - shape.block.plan.front.hipX],
        ...(asked?.met(shape) ?? []),
      ],
    };
  },
  "front-slit": (m, between) => {
    const asked = hem(m.knee.mm * between(1.05, 1.6));
    const width = between(25, 70);
    return {
      params: { ...asked.params, width: mm(width) },
      met: (shape) => [
        ...asked.met(shape),
        ...shape.panels
          .map((p) => p.edges.filter((e) => e.by === "placket").map((e) => pathLength(e.path)))
          .filter((lengths) => lengths.length > 0)
          .map((lengths) => ["placket", width, Math.min(...lengths)] as const),
      ],
    };
  },
  "yoke-flare": (m, between) => {
    const asked = hem(m.knee.mm * between(1.3, 2));
    const centre = between(60, 100);
    const start = m.waistToKnee.mm + between(60, 160);
    return {
      params: { ...asked.params, centre: mm(centre), start: mm(start) },
      met: (shape) => [
        ...asked.met(shape),
        ["yoke, centre back", centre, roleLength(panelById(shape.panels, "back-yoke"), "fold")],
        ...drawnLeg(shape.plan).turns.map((turn) => ["narrowest", start, turn.level] as const),
      ],
    };
  },
  culotte: (m, between) => {
    const length = m.waistToKnee.mm * between(1.02, 1.3);
    const asked = between(0, 1) < 0.5 ? hem(m.knee.mm * between(1.6, 3)) : null;
    return {
      params: { length: mm(length), ...asked?.params },
      met: (shape) => [["length", length, shape.plan.levels.hem], ...(asked?.met(shape) ?? [])],
    };
  },
  "cowl-top": (m, between) => {
    const long = between(60, 400);
    return {
      params: { length: mm(long), school: between(0, 1) < 0.5 ? "measured" : "quarters" },
      met: (shape) => [["length", long, panelById(shape.panels, "bodice-front").landmarks.hemCentre?.[1] ?? NaN]],
    };
  },
  "one-piece": (m, between) => {
    const legs = ["wide", "culotte", "flare", "palazzo", "side-panel"] as const;
    const leg = legs[Math.floor(between(0, legs.length))] ?? "wide";
    const asked = leg === "flare" || leg === "wide" ? hem(m.knee.mm * between(1.6, 2.6)) : null;
    const school = between(0, 1) < 0.5 ? "measured" : "quarters";
    return {
      params: { leg, school, ...asked?.params },
      met: (shape) => [
        ...(asked?.met(shape) ?? []),
        ["waist", m.waist.mm, shape.readings.waistGirth] as const,
        ...(["front", "back"] as const).map(
          (root) =>
            [
              `sewn ${root} waist`,
              m.waist.mm / 4,
              roleLength(panelById(shape.panels, `bodice-${root}`), "waist"),
            ] as const,
        ),
      ],
    };
  },
};

/** A random case of a style for a body. */
export function styleCase(style: string, body: Body, random: () => number): StyleCase {
  const resolved = resolveBody(body);
  if (!resolved.ok) throw new Error("a plausible body must resolve");
  // A style of which nothing is stated here is tried at every length, with its own numbers.
  const make: Make = STYLE_RANGES[style] ?? (() => ({ params: {}, met: () => [] }));
  const made = make(resolved.measures, (low, high) => low + (high - low) * random());
  const length = LENGTHS[Math.floor(random() * LENGTHS.length)] ?? "full";
  return { ...made, params: { length, ...made.params } };
}
