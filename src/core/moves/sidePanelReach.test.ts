import { edgeOf, panelById } from "../pattern";
import { pathEnd, pathLength, pathStart } from "../geometry";
import { badPattern } from "../testing/badOutline";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { said } from "../testing/said";
import { lastLine, made, movesOf, panelOf, seamLengths, STRAIGHT } from "../testing/worksheet";

const let1 = (params: Record<string, unknown> = {}) => made(...STRAIGHT, ["side-panel", params]);
const tipX = (panel: ReturnType<typeof panelOf>): number => {
  const dart = panel.lines.find((l) => l.kind === "dart");
  return dart?.points[1]?.[0] ?? NaN;
};

describe("where a side panel's straight part stands", () => {
  test("reach 0 is the dart line of each panel, a reach counts outward from there", () => {
    const plain = made(...STRAIGHT);
    for (const reach of [0, 15]) {
      const shape = let1({ reach: `${reach} mm` });
      for (const id of ["front", "back"]) {
        const straight = edgeOf(panelOf(shape, id), "panel-plain").path;
        const outward = id === "front" ? -1 : 1;
        const foot = pathEnd(straight)[1] > pathStart(straight)[1] ? pathEnd(straight) : pathStart(straight);
        expect([id, foot[0]]).toEqual([id, expect.closeTo(tipX(panelOf(plain, id)) + outward * reach, 1)]);
      }
    }
    expect(said(lastLine(let1()).sentence)).toMatch(/at the dart line/);
  });

  test("fold lines lie on its top, in pairs, and the end of the pleats is marked on both sides", () => {
    const derived = derivedOf(
      palazzoJob(HAND_BODY, {
        style: { id: "straight", params: {} },
        moves: movesOf(...STRAIGHT, ["side-panel", { fullness: 2 }]),
      }),
    );
    const panel = panelById(derived.sewn, "side-panel");
    const folds = panel.lines.filter((l) => l.kind === "pleat");
    expect(folds.length).toBeGreaterThanOrEqual(8);
    expect(folds.length % 2).toBe(0);
    const marks = (id: string, edge: string): number => {
      const piece = derived.pieces.find((p) => p.panel.id === id);
      const end = pathEnd(edgeOf(piece?.panel ?? panel, edge).path);
      return (piece?.notches ?? []).filter((n) => Math.hypot(n.at[0] - end[0], n.at[1] - end[1]) < 0.1).length;
    };
    expect(marks("front", "panel")).toBeGreaterThan(0);
    expect(marks("side-panel", "top-front")).toBeGreaterThan(0);
  });
});

describe("a cut that ends at the inseam", () => {
  test("takes the whole lower leg: one panel, full into both curves, closed by its own inseam", () => {
    const shape = let1({ ends: "inseam", below: "30 mm", fullness: 2 });
    expect(lastLine(shape).passed).toBeNull();
    const panel = panelOf(shape, "side-panel");
    const [a, b] = seamLengths(shape, "side-panel-inseam");
    expect(a).toBeCloseTo(b, 6);
    for (const half of ["front", "back"]) {
      const [leg, top] = seamLengths(shape, `side-panel-top-${half}`);
      expect(top / leg).toBeCloseTo(2, 6);
    }
    expect(pathLength(edgeOf(panel, "hem").path)).toBeGreaterThan(600);
    // Nothing of the legs reaches down to a hem any more.
    expect(panelOf(shape, "front").edges.some((e) => e.role === "hem")).toBe(false);
    expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
  });
});
