import { solveRising } from "./solve";

describe("where a rising function passes a value", () => {
  const counted = (f: (x: number) => number) => {
    let calls = 0;
    return { f: (x: number) => (calls++, f(x)), calls: () => calls };
  };
  test.each<readonly [string, (x: number) => number, number, number, number, number]>([
    ["a line", (x) => 3 * x, 6, 0, 10, 2],
    ["a cube", (x) => x ** 3, 27, 0, 50, 3],
    ["flat before it", (x) => Math.max(0, x - 4), 1e-9, 0, 10, 4 + 1e-9],
    ["steep at its end", (x) => -Math.sqrt(1 - x), -0.001, 0, 1, 1 - 1e-6],
    ["an exponential", (x) => Math.exp(x), 1e6, -20, 20, Math.log(1e6)],
    ["walked the other way", (x) => -x, -4, 10, 0, 4],
  ])("%s: within rounding, in a few steps", (_, f, wanted, low, high, at) => {
    const own = counted(f);
    expect(Math.abs(solveRising(own.f, wanted, low, high) - at)).toBeLessThan(1e-10);
    expect(own.calls()).toBeLessThan(48);
  });

  test("a smooth one takes a quarter of the halvings", () => {
    const own = counted((x) => x + 0.3 * Math.sin(x));
    solveRising(own.f, 2, 0, 6);
    expect(own.calls()).toBeLessThan(13);
  });

  test("a jump is found, and neither end is ever asked for", () => {
    const asked: number[] = [];
    const jump = (x: number): number => (asked.push(x), x < Math.PI ? -5 : 2);
    expect(solveRising(jump, 0, 0, 10)).toBeCloseTo(Math.PI, 10);
    expect(asked).not.toContain(0);
    expect(asked).not.toContain(10);
  });

  test("below the value all the way it is the far end, above it the near one; what is no number counts as above", () => {
    expect(solveRising((x) => x, 99, 0, 10)).toBeCloseTo(10, 9);
    expect(solveRising((x) => x, -1, 0, 10)).toBeCloseTo(0, 9);
    expect(solveRising((x) => (x > 4 ? NaN : -1), 0, 0, 10)).toBeCloseTo(4, 9);
  });
});
