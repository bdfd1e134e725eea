import { boxOf, cubic, line } from "@/core/geometry";
import { derivedOf, HAND_BODY, palazzoJob } from "@/core/testing/jobs";
import { isOf } from "@/core/pattern";
import { arrange } from "./arrange";
import { clearHeights, labelWidth, screenLabel } from "./labels";
import { layOutParts, boundsOf, layOut, panelBox, pathData, pointsData } from "./layout";

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
    const { at, lines } = screenLabel(piece, 0.8);
    const ys = piece.cutLine.map((p) => p[1]);
    if (piece.id === "waistband") expect(at[1]).toBeGreaterThan(Math.max(...ys));
    else expect(at[0]).toBeGreaterThan(piece.grain[0][0]);
    expect(lines.join(" ")).toContain(piece.name);
  }
});

describe("parts laid out for a view", () => {
  const view = { width: 490, height: 650 };
  const many = derivedOf(
    palazzoJob(HAND_BODY, {
      style: { id: "front-slit", params: {} },
      finish: { pockets: [{ kind: "slant" }], hem: { kind: "faced" }, belt: { loops: 5 } },
    }),
  );
  const bell = derivedOf(palazzoJob(HAND_BODY, { style: { id: "bell-flounce", params: { share: 1 } } }));

  test.each([
    ["sixteen and more pieces", many],
    ["circles", bell],
  ])("%s: no label lies over another piece or label", (_, garment) => {
    const isLeg = (id: string): boolean => /^(front|back)/.test(id) && !/^hem/.test(id);
    const { placed, bounds } = layOutParts(
      garment.pieces.map((piece) => ({
        id: piece.panel.id,
        item: piece,
        box: boxOf(piece.cutLine),
        part: !isLeg(piece.id),
        label: labelWidth(piece),
      })),
      view,
    );
    const k = Math.min(view.width / (bounds.right - bounds.left), view.height / (bounds.bottom - bounds.top));
    const boxes = placed.map(({ item, at }) => {
      const { lines, at: own, leader } = screenLabel(item, k);
      const box = boxOf(item.cutLine);
      const place = {
        left: box.left + at[0],
        right: box.right + at[0],
        top: box.top + at[1],
        bottom: box.bottom + at[1],
      };
      const wide = Math.max(...lines.map((l) => l.length)) * 6;
      const [x, y] = [own[0] + at[0], own[1] + at[1]];
      const label = { left: x, right: x + wide / k, top: y, bottom: y + 34 / k };
      return { id: item.panel.id, place, label, below: leader !== null || own[1] > box.bottom };
    });
    type Rect = (typeof boxes)[number]["place"];
    const over = (a: Rect, b: Rect): boolean =>
      a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 1 && b.top < a.bottom - 1;
    for (const a of boxes.filter((x) => x.below)) {
      for (const b of boxes.filter((x) => x.id !== a.id)) {
        expect([a.id, b.id, over(a.label, b.place), b.below && over(a.label, b.label)]).toEqual([
          a.id,
          b.id,
          false,
          false,
        ]);
      }
    }
  });
});

test("parts alone lie side by side, with no legs beside them", () => {
  const { pieces } = derivedOf(palazzoJob(HAND_BODY));
  const parts = pieces.filter((p) => !isOf(p.panel, "front") && !isOf(p.panel, "back")).map((p) => p.panel);
  expect(parts.length).toBeGreaterThan(0);
  const bounds = boundsOf(arrange(parts));
  for (const side of Object.values(bounds)) expect(Number.isFinite(side)).toBe(true);
  expect(bounds.right - bounds.left).toBeGreaterThan(100);
});

test("words of places near one another are written below each other; far apart, or to the other side, they stay", () => {
  const near = [
    { x: 900, y: 226, side: -1 },
    { x: 890, y: 195, side: -1 },
    { x: 914, y: 229, side: -1 },
    { x: 905, y: 232, side: -1 },
  ] as const;
  expect(clearHeights(near)).toEqual([226, 195, 241, 256]);
  expect(clearHeights([near[0], { ...near[2], side: 1 }])).toEqual([226, 229]);
  expect(clearHeights([near[0], { ...near[2], x: 1200 }])).toEqual([226, 229]);
  expect(clearHeights([])).toEqual([]);
});
