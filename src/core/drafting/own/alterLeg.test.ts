import type { Path, Point } from "../../geometry";
import { Refusal } from "../../units";
import type { OwnPanel } from "../plan";
import { extended, scooped } from "./alterLeg";

const crotch: Path = [
  {
    kind: "cubic",
    points: [
      [-100, 0],
      [-40, 0],
      [0, -40],
      [0, -100],
    ],
  },
  {
    kind: "line",
    points: [
      [0, -100],
      [0, -300],
    ],
  },
];
const back = {
  crotch,
  inseamDown: [
    {
      kind: "line",
      points: [
        [-100, 0],
        [-80, 400],
      ],
    },
  ],
} as unknown as OwnPanel;

/** The middle of a cubic, by its four points. */
const middle = ({ crotch: [curve] }: OwnPanel): Point => {
  const [a, b, c, d] = curve?.points as readonly [Point, Point, Point, Point];
  return [0, 1].map((k) => ((a[k] ?? 0) + 3 * (b[k] ?? 0) + 3 * (c[k] ?? 0) + (d[k] ?? 0)) / 8) as unknown as Point;
};

test("the back crotch curve of a block brought in comes nearer to its corner by what is asked, in its middle", () => {
  const [was, is] = [middle(back), middle(scooped(back, 5))];
  expect(Math.hypot(is[0] - was[0], is[1] - was[1])).toBeCloseTo(5, 6);
  // Toward the corner of crotch line and centre line.
  expect(is[0]).toBeGreaterThan(was[0]);
  expect(is[1]).toBeGreaterThan(was[1]);
});

test("no crotch extension of a block brought in is made shorter than 15", () => {
  const levels = { knee: 400 } as Parameters<typeof extended>[2];
  expect(() => extended(back, -84, levels)).not.toThrow();
  expect(() => extended(back, -86, levels)).toThrow(Refusal);
});
