import { textOf } from "../units";
import { pathLength, type Path } from "../geometry";
import { partedAtDarts, type DrawnDart } from "./darts";

const EDGE: Path = [
  {
    kind: "line",
    points: [
      [0, 0],
      [200, 0],
    ],
  },
];
const NAMES = { role: "side", id: "side", name: "side", dartId: "bust-dart", dartName: "bust dart" } as const;
const dart = (at: number, mouth: number): DrawnDart => [
  [at, 0],
  [at + mouth / 2, -90],
  [at + mouth, 0],
];
const parted = (...darts: readonly DrawnDart[]) => {
  const { edges, lines } = partedAtDarts(EDGE, darts, NAMES);
  return { edges: edges.map((e) => [e.id, e.role, Number(pathLength(e.path).toFixed(3))]), lines: lines.length };
};

test("an edge is parted at the mouths of its darts, which its sewn length does not count", () => {
  expect(parted(dart(60, 25))).toEqual({
    edges: [
      ["side", "side", 60],
      ["bust-dart", "dart", 25],
      ["side-2", "side", 115],
    ],
    lines: 1,
  });
});

test("a dart of next to two millimetres counts like any other", () => {
  expect(parted(dart(60, 1.8)).edges).toEqual([
    ["side", "side", 60],
    ["bust-dart", "dart", 1.8],
    ["side-2", "side", 138.2],
  ]);
});

test("a slit no wider than a line, and a dart at the edge's end, part nothing", () => {
  expect(parted(dart(60, 0.2)).edges).toEqual([["side", "side", 200]]);
  expect(parted(dart(0.5, 20)).edges).toEqual([["side", "side", 200]]);
});

test("two darts are numbered in the order of the edge, whatever order they come in", () => {
  const { edges, lines } = partedAtDarts(EDGE, [dart(120, 20), dart(40, 10)], NAMES);
  expect(lines).toHaveLength(2);
  expect(edges.filter((e) => e.role === "dart").map((e) => [e.id, textOf(e.name)])).toEqual([
    ["bust-dart", "bust dart 1"],
    ["bust-dart-2", "bust dart 2"],
  ]);
});
