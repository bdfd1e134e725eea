import type { Derived } from "../derive";
import { panelMap, type Panel } from "../pattern";
import type { Piece } from "../pieces";
import { inspected } from "../testing/inspected";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { inspect, type Inspected } from ".";

/** A pattern with one of its panels, front or back, moved place by place. */
function moved(derived: Derived, root: "front" | "back", map: Parameters<typeof panelMap>[1]): Partial<Inspected> {
  const spoil = (panels: readonly Panel[]): Panel[] =>
    panels.map((p) => (p.is.root === root && p.is.component === "legs" ? panelMap(p, map) : p));
  return { panels: spoil(derived.sewn), legs: spoil(derived.panels) };
}

const pieces = ({ pieces: all }: Derived, change: (piece: Piece) => Partial<Piece>): Partial<Inspected> => ({
  pieces: all.map((p) => (p.is.root === "back" && p.is.component === "legs" ? { ...p, ...change(p) } : p)),
});

/** What can go wrong with a pattern on its way, each by a little more than a cutter would bear. */
const SPOILT: readonly (readonly [string, (derived: Derived) => Partial<Inspected>])[] = [
  ["the back longer below the hip", (d) => moved(d, "back", ([x, y]) => [x, y > 300 ? y + 9 : y])],
  ["the front longer below the hip", (d) => moved(d, "front", ([x, y]) => [x, y > 300 ? y + 9 : y])],
  ["the front sheared", (d) => moved(d, "front", ([x, y]) => [x + 0.12 * y, y])],
  ["the back sheared", (d) => moved(d, "back", ([x, y]) => [x - 0.12 * y, y])],
  ["the front narrowed by a tenth", (d) => moved(d, "front", ([x, y]) => [0.9 * x, y])],
  ["the back shrunk as a whole", (d) => moved(d, "back", ([x, y]) => [0.97 * x, 0.97 * y])],
  [
    "a cut line drawn too near",
    (d) => pieces(d, (p) => ({ cutLine: p.cutLine.map(([x, y]) => [0.97 * x, y] as const) })),
  ],
  [
    "an allowance stated that is not cut",
    (d) => pieces(d, (p) => ({ edges: p.edges.map((e) => (e.role === "side" ? { ...e, allowance: 38 } : e)) })),
  ],
  [
    "a notch off its seam",
    (d) => pieces(d, (p) => ({ notches: p.notches.map((n) => ({ ...n, at: [n.at[0] + 4, n.at[1]] as const })) })),
  ],
  ["the back's waist cut too wide", (d) => moved(d, "back", ([x, y]) => [y < 60 ? 1.12 * x : x, y])],
];

const STYLED = ["palazzo", "straight", "flare", "culotte", "pleated"].map(
  (id) => [id, derivedOf(palazzoJob(HAND_BODY, { style: { id, params: {} } }))] as const,
);

describe.each(STYLED)("%s", (_, derived) => {
  const before = new Map(inspect(inspected(derived)).map((c) => [c.id, c.status]));

  test.each(SPOILT)("%s is told", (_what, spoil) => {
    const told = inspect({ ...inspected(derived), ...spoil(derived) }).filter(
      (c) => c.status !== "pass" && c.status !== before.get(c.id),
    );
    expect(told.map((c) => c.id)).not.toEqual([]);
  });
});
