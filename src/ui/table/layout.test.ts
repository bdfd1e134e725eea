import { cubic, line } from "@/core/geometry";
import { derivedOf, HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import { screenLabel } from "./labels";
import { boundsOf, layOut, panelBox, pathData, pointsData } from "./layout";

const derived = derivedOf(palazzoJob(HAND_BODY));

test("paths are drawn with their own curves, not flattened", () => {
  expect(pathData([line([0, 0], [5, 0]), cubic([5, 0], [6, 1], [7, 2], [8, 8])], true)).toBe("M0 0L5 0C6 1 7 2 8 8Z");
  expect(
    pointsData([
      [1, 2],
      [3, 4],
    ]),
  ).toBe("M1 2L3 4");
  expect(pathData([])).toBe("");
});

test("panels lie side by side with their waists level, strips below, nothing overlapping", () => {
  const placed = layOut(
    [derived.back, derived.front, ...derived.sewn.filter((p) => p.id === "waistband")].map((p) => ({
      id: p.id,
      item: p,
      box: panelBox(p),
    })),
  );
  const [back, front, band] = placed;
  expect(back?.at[1]).toBe(0);
  expect(front?.at[1]).toBe(0);
  expect((back?.box.right ?? 0) + (back?.at[0] ?? 0)).toBeLessThan((front?.box.left ?? 0) + (front?.at[0] ?? 0));
  expect((band?.box.top ?? 0) + (band?.at[1] ?? 0)).toBeGreaterThan(front?.box.bottom ?? Infinity);
  const bounds = boundsOf(placed);
  expect(bounds.bottom).toBeCloseTo((band?.box.bottom ?? 0) + (band?.at[1] ?? 0), 6);
});

test("a label that does not fit inside at this scale stands below the piece with a leader", () => {
  const front = derived.pieces.find((p) => p.id === "front");
  if (!front) throw new Error("no front");
  expect(screenLabel(front, 0.8).leader).toBeNull();
  const far = screenLabel(front, 0.1);
  expect(far.leader).not.toBeNull();
  expect(far.at[1]).toBeGreaterThan(Math.max(...front.cutLine.map((p) => p[1])));
});

test("screen labels lie inside legs and outside strips", () => {
  for (const piece of derived.pieces) {
    const { at, lines } = screenLabel(piece);
    const ys = piece.cutLine.map((p) => p[1]);
    if (piece.id === "waistband") expect(at[1]).toBeGreaterThan(Math.max(...ys));
    else expect(at[0]).toBeGreaterThan(piece.grain[0][0]);
    expect(lines.join(" ")).toContain(piece.name);
  }
});
