import type { Point } from "../../geometry";
import { Pairs } from "./pairs";
import { layShape } from "./shape";

const square: readonly Point[] = [
  [0, 0],
  [100, 0],
  [100, 60],
  [0, 60],
];
const wedge: readonly Point[] = [
  [0, 0],
  [200, 0],
  [0, 80],
];

test("what two shapes forbid each other is the same when it was let go of and is worked out anew", () => {
  const pairs = new Pairs([layShape(square, 2), layShape(wedge, 2)]);
  const { table } = pairs.view(0, 0, 1, 0);
  const rows = (): readonly (readonly number[])[] =>
    Array.from({ length: 2 * table.reach + 1 }, (_, i) => [...table.at(i - table.reach)]);
  const known = rows();
  expect(known.filter((row) => row.length > 0).length).toBeGreaterThan(100);
  expect(table.at(0)).toBe(table.at(0));
  const before = table.at(0);
  table.forget();
  expect(table.at(0)).not.toBe(before);
  expect(rows()).toEqual(known);
  // Beyond their boxes nothing is forbidden.
  expect([...table.at(table.reach + 1), ...table.at(-table.reach - 1)]).toEqual([]);
});
