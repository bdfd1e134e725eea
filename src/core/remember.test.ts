import { remembered } from "./remember";

describe("remembered", () => {
  it("gives the same answer without working it out again, by value", () => {
    const work = jest.fn((of: { readonly waist: number }) => ({ half: of.waist / 2 }));
    const half = remembered(work);
    const first = half({ waist: 700 });
    expect(first).toEqual({ half: 350 });
    expect(half({ waist: 700 })).toBe(first);
    expect(work).toHaveBeenCalledTimes(1);
    expect(half({ waist: 702 })).toEqual({ half: 351 });
    expect(work).toHaveBeenCalledTimes(2);
  });

  it("tells apart what plain JSON writes alike", () => {
    const said = remembered((value: number | null) => String(value), 8);
    expect([NaN, Infinity, -Infinity, null].map((value) => said(value))).toEqual([
      "NaN",
      "Infinity",
      "-Infinity",
      "null",
    ]);
  });

  it("lets go of what was asked for longest ago", () => {
    const work = jest.fn((n: number) => n * n);
    const square = remembered(work, 2);
    [1, 2, 1, 3, 1].forEach((n) => square(n));
    expect(work.mock.calls.flat()).toEqual([1, 2, 3]);
    square(2);
    expect(work.mock.calls.flat()).toEqual([1, 2, 3, 2]);
  });

  it("throws what the work throws, each time anew", () => {
    const work = jest.fn((): number => {
      throw new Error("cannot be drawn");
    });
    const drawn = remembered(work);
    expect(() => drawn()).toThrow("cannot be drawn");
    expect(() => drawn()).toThrow("cannot be drawn");
    expect(work).toHaveBeenCalledTimes(2);
  });
});
