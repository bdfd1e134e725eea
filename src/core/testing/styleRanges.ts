import type { Shape } from "../derive";
import { edgesWithRole, panelById, refsLength } from "../drafting";
import { pathEnd, pathStart, pointDistance } from "../geometry";
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

/** Lengths every style takes. */
const LENGTHS = ["full", "ankle", "calf", "mid-calf", "knee", "shorts"] as const;

/** Ranges of every style's own parameters, in proportion to the body. */
export const STYLE_RANGES: Readonly<Record<string, Make>> = {
  straight: (m, between) => hem(m.knee.mm * between(1, 1.6)),
  cigarette: (m, between) => hem(m.ankle.mm * between(1.2, 1.8)),
  palazzo: (m, between) => hem(m.thigh.mm * between(1, 2.6)),
  flare: (m, between) => {
    const asked = m.knee.mm * between(1.3, 2.2);
    const start = m.waistToKnee.mm * between(0.95, 1.1);
    return {
      params: { hemGirth: mm(asked), start: mm(start) },
      met: (shape) => [
        ["hem girth", asked, shape.readings.hemGirth],
        // A leg that ends before its flare would start has none.
        ...(shape.plan.levels.hem > start ? [["start", start, shape.plan.levels.turn] as const] : []),
      ],
    };
  },
  "bell-flounce": (m, between) => {
    const start = m.waistToKnee.mm * between(0.98, 1.15);
    const share = [0.5, 0.75, 1, 1.5][Math.floor(between(0, 4))] ?? 1;
    return {
      // On every second body the start is left to the style, which then follows the length.
      params: between(0, 1) < 0.5 ? { share } : { start: mm(start), share, length: "full" },
      met: (shape) => {
        const join = shape.joins.find((j) => j.id === "flounce");
        if (!join) return [["flounce", 1, 0]];
        return [["flounce seam", refsLength(shape.panels, join.a), refsLength(shape.panels, join.b)]];
      },
    };
  },
  "side-fullness": (m, between) => {
    const fullness = between(1.5, 3);
    return {
      params: { fullness },
      met: (shape) =>
        shape.joins
          .filter((j) => j.id.startsWith("side-panel-top"))
          .map((j) => ["fullness", fullness * refsLength(shape.panels, j.a), refsLength(shape.panels, j.b)] as const),
    };
  },
  "paper-bag": (m, between) => hem(m.ankle.mm * between(1.3, 2)),
  pleated: (m, between) => {
    const depth = between(15, 32);
    return {
      params: { depth: mm(depth), count: between(0, 1) < 0.5 ? 1 : 2 },
      met: (shape) =>
        shape.worksheet.some((l) => l.move === "pleats" && l.passed)
          ? []
          : edgesWithRole(panelById(shape.panels, "front"), "dart").map(
              (e) => ["pleat depth", depth, pointDistance(pathStart(e.path), pathEnd(e.path)) / 2] as const,
            ),
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
          .filter((l) => l.move === "set-length" && l.numbers.hemLevel?.asked === undefined)
          .map((l) => ["cuff off the length", cuff, l.numbers.less?.mm ?? 0] as const),
      ],
    };
  },
  sweat: (m, between) => {
    const side = between(10, 45);
    return {
      params: { side: mm(side) },
      met: (shape) => [["out at the side", side, shape.plan.front.hipX - shape.block.plan.front.hipX]],
    };
  },
  "front-slit": (m, between) => hem(m.knee.mm * between(1.05, 1.6)),
  "yoke-flare": (m, between) => hem(m.knee.mm * between(1.3, 2)),
  culotte: (m, between) => {
    const length = m.waistToKnee.mm * between(1.02, 1.3);
    return { params: { length: mm(length) }, met: (shape) => [["length", length, shape.plan.levels.hem]] };
  },
};

/** A random case of a style for a body. */
export function styleCase(style: string, body: Body, random: () => number): StyleCase {
  const resolved = resolveBody(body);
  if (!resolved.ok) throw new Error("a plausible body must resolve");
  const make = STYLE_RANGES[style];
  if (!make) throw new Error(`no range for ${style}`);
  const made = make(resolved.measures, (low, high) => low + (high - low) * random());
  const length = LENGTHS[Math.floor(random() * LENGTHS.length)] ?? "full";
  return { ...made, params: { length, ...made.params } };
}
