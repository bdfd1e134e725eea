import { panelOutline, edgeOf } from "../../pattern";
import { distanceToOutline, pathAt, pathLength, pointDistance, polygonArea } from "../../geometry";
import { derivedOf, HAND_BODY, palazzoJob } from "../../testing/jobs";

const facingOf = (edge: "straight" | "curved" | "scalloped", across: string) => {
  const derived = derivedOf(
    palazzoJob(HAND_BODY, {
      style: { id: "straight", params: {} },
      moves: [["shape-leg"], ["waist-shaping", { to: "hip-wide" }], ["set-length"]].map(([move, params], i) => ({
        id: `m${i}`,
        move: move as string,
        on: true,
        params: (params ?? {}) as Record<string, unknown>,
      })),
      finish: { pockets: [{ kind: "slant", across, down: "170 mm", edge }] },
    }),
  );
  const facing = derived.sewn.find((p) => p.is.part === "pocket-facing");
  if (!facing) throw new Error("no facing");
  return facing;
};

test.each([
  ["straight", "50 mm"],
  ["straight", "80 mm"],
  ["curved", "60 mm"],
] as const)("the facing of a %s opening is 30 to 40 mm wide, and runs out in no spike", (edge, across) => {
  const facing = facingOf(edge, across);
  const { path } = edgeOf(facing, "opening");
  const free = edgeOf(facing, "free").path;
  const places = Array.from({ length: 41 }, (_, i) => pathAt(free, (pathLength(free) * i) / 40).point);
  for (const share of [0.35, 0.5, 0.65, 0.8]) {
    const { point } = pathAt(path, pathLength(path) * share);
    const wide = Math.min(...places.map((p) => pointDistance(p, point)));
    expect([share, wide > 28 && wide < 41]).toEqual([share, true]);
  }
  // Down the side it reaches little further than the opening.
  expect(pathLength(edgeOf(facing, "side").path)).toBeLessThan(25);
});

test("its grain lies inside it", () => {
  for (const edge of ["straight", "curved", "scalloped"] as const) {
    const facing = facingOf(edge, "60 mm");
    const outline = panelOutline(facing);
    for (const { kind, points } of facing.lines)
      if (kind === "grain") for (const p of points) expect(distanceToOutline(p, outline)).toBeGreaterThan(1);
    expect(Math.abs(polygonArea(outline))).toBeGreaterThan(2000);
  }
});
