import { deriveShape, type Shape } from "./shape";
import { SYMPTOMS, symptomOf } from "../fitting";
import { onPanel, panelOutline, isOf } from "../pattern";
import { STYLES } from "../styles";
import { HAND_BODY, palazzoJob } from "../testing/jobs";
import { symptomsOf } from "../fitting";
import { panelPlaceOf, wornOf } from "./worn";

const shapeOf = (id: string): Shape => {
  const shape = deriveShape(palazzoJob(HAND_BODY, { style: { id, params: {} } }));
  if (!shape.ok) throw new Error(`${id} is not drawn`);
  return shape;
};

test.each(Object.keys(STYLES))("%s: worn on its wearer, it stands on the floor and fits the page", (id) => {
  const worn = wornOf(shapeOf(id));
  const places = [...worn.figure, ...worn.garment].flatMap((path) => path.flatMap((s) => [...s.points]));
  expect(Math.max(...worn.garment.flat().flatMap((s) => s.points.map(([x]) => Math.abs(x))))).toBeLessThanOrEqual(
    worn.half,
  );
  for (const [, y] of places) expect(y).toBeLessThan(worn.floor + 40);
  expect(worn.floor).toBeGreaterThan(worn.top + 900);
});

test.each(["straight", "palazzo", "jogger"])("%s: a place pressed on the wearer is one of the panel under it", (id) => {
  const shape = shapeOf(id);
  const worn = wornOf(shape);
  for (const root of ["front", "back"] as const) {
    const panel = shape.panels.find((p) => isOf(p, root));
    if (!panel) throw new Error("no panel");
    const outline = panelOutline(panel);
    const seen = [0.05, 0.5, 0.95].map((share) => {
      const at = panelPlaceOf(shape.panels, worn, root, [share * 170, 150]);
      if (!at) throw new Error("nothing there");
      expect(onPanel(outline, at)).toBe(true);
      return at[0];
    });
    // From the centre to the side: to the left on the front, to the right on the back.
    const ordered = [...seen].sort((a, b) => (root === "front" ? b - a : a - b));
    expect(seen).toEqual(ordered);
    expect(panelPlaceOf(shape.panels, worn, root, [0, 5000])).toBeNull();
  }
});

test("pressed at the seat of the wearer, what is seen at the seat comes first", () => {
  const shape = shapeOf("straight");
  const worn = wornOf(shape);
  const seat = shape.panels.find((p) => isOf(p, "back"))?.landmarks.crotchPoint;
  const point = panelPlaceOf(shape.panels, worn, "back", [20, (seat?.[1] ?? 0) - 30]);
  const [first] = symptomsOf(SYMPTOMS, shape.panels, point && { root: "back", point });
  expect(first && symptomOf(first.id).root).toBe("back");
});
