import { HAND_BODY, palazzoJob } from "../testing/jobs";
import { labelsOf } from "./labels";

const job = (name: string, id: string) =>
  palazzoJob({ ...HAND_BODY, name: `For ${name}` }, { name, style: { id, params: {} } });

test("labels of several garments come piece after piece: all fronts, then all backs", () => {
  const alone = labelsOf([job("One", "straight")]);
  const { labels, missing } = labelsOf([job("One", "straight"), job("Two", "straight")]);
  expect(missing).toEqual([]);
  expect(labels).toHaveLength(2 * alone.labels.length);
  const pieces = labels.map((l) => l.piece);
  // No piece comes again after another has begun.
  expect(pieces.filter((p, i) => p !== pieces[i - 1])).toEqual([...new Set(pieces)]);
  const fronts = labels.filter((l) => l.piece === "Front");
  expect(new Set(fronts.map((l) => l.garment))).toEqual(new Set(["One", "Two"]));
  expect(new Set(fronts.map((l) => l.side)).size).toBe(2);
});

test("a garment that cannot be drawn is named, and the others have their labels", () => {
  const lost = { ...job("Lost", "straight"), block: { school: "own" as const, rules: {} } };
  const { labels, missing } = labelsOf([lost, job("Two", "straight")]);
  expect(missing).toEqual(["Lost"]);
  expect(labels.length).toBeGreaterThan(3);
});
