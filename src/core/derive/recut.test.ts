import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import type { ClothLay } from "../cloth";
import type { Point } from "../geometry";
import { said } from "../testing/said";
import type { Job } from "../files";
import { clothOf } from "./cloth";
import { layWithin, shapesOf } from "./lay";
import { recutOf } from "./recut";

const onCloth = (length: number) =>
  palazzoJob(HAND_BODY, { cloth: { width: "1500 mm", length: `${length} mm` }, style: { id: "straight", params: {} } });

/** A lay that ends at a length over the whole width, as far as what is left behind it goes. */
const ending = (length: number): ClothLay => {
  const outline: Point[] = [
    [0, 0],
    [length, 0],
    [length, 1500],
    [0, 1500],
  ];
  const placement = { piece: "all", copy: 0, bundle: 0, x: 0, y: 0, turn: 0, outline };
  return { length, placements: [placement] } as unknown as ClothLay;
};

test("void pieces are laid on what is left behind the lay: a band fits a remnant that a back does not", () => {
  const job = onCloth(2600);
  expect(recutOf(job, ["waistband"], ending(1700))).toMatchObject({ kind: "fits", left: 900 });
  const back = recutOf(job, ["back"], ending(1700));
  expect(back.kind).toBe("short");
  expect(back).toMatchObject({ left: 900, needs: expect.any(Number) as number });
});

test("what it needs is a lay of those pieces alone, and no longer than one of all", () => {
  const job = onCloth(5000);
  const all = shapesOf(job, "shell");
  if (!all.ok) throw new Error("drawn");
  const cloth = { width: 1500, fold: "open" as const, foldWidth: null, nap: false, gap: 2, repeat: null };
  const whole = layWithin(all.shapes, cloth, 1, { steps: 260 });
  const legs = recutOf(job, ["front", "back"], ending(2000));
  if (!("needs" in legs) || !whole.ok) throw new Error("laid");
  expect(legs.needs).toBeLessThanOrEqual(whole.lay.length + 40);
  expect(legs.needs).toBeGreaterThan(900);
  expect(derivedOf(job).pieces.some((p) => p.id === "front")).toBe(true);
});

test.each([
  [palazzoJob(HAND_BODY), 2000, /How wide and long the cloth is was not said/],
  [onCloth(2600), null, /No lay was kept/],
])("what is not known is said", (job, laid, sentence) => {
  const recut = recutOf(job, ["front"], laid === null ? null : ending(laid));
  expect(recut.kind === "unknown" ? said(recut.why) : "").toMatch(sentence);
});

test("nothing void needs nothing", () => {
  expect(recutOf(onCloth(2600), [], ending(2000))).toEqual({ kind: "fits", on: "width", needs: 0, left: 600 });
});

describe("what is left beside the pieces", () => {
  const corners = [
    [0, 0],
    [2300, 0],
    [2300, 900],
    [1900, 1500],
    [0, 1500],
  ] as const;
  const remnant = (): Job => ({
    ...onCloth(2300),
    cloth: { outline: corners.map(([x, y]): [string, string] => [`${x} mm`, `${y} mm`]) },
  });
  const laidOn = (job: Job): ClothLay => {
    const { width, lies } = clothOf(job).cloth;
    const cloth = { ...lies, width: width ?? NaN };
    const shapes = shapesOf(job, "shell", cloth);
    if (!shapes.ok) throw new Error("drawn");
    const laid = layWithin(shapes.shapes, cloth, 1, { steps: 400 });
    if (!laid.ok) throw new Error("laid");
    return laid.lay;
  };

  test("of a remnant takes a small piece, and no leg", () => {
    const job = remnant();
    const lay = laidOn(job);
    expect(recutOf(job, ["waistband"], lay)).toMatchObject({ kind: "fits", on: "part" });
    expect(recutOf(job, ["front", "back"], lay)).toEqual({ kind: "none" });
  });

  test("of a strip is looked at where what lies behind them does not do", () => {
    const job: Job = { ...onCloth(2050), cloth: { width: "1500 mm", length: "2050 mm", fold: "open" } };
    // Pieces as they lie when one leg reaches a metre further than the rest.
    const corner: Point[] = [
      [0, 0],
      [2000, 0],
      [2000, 700],
      [1000, 700],
      [1000, 1500],
      [0, 1500],
    ];
    const lay = { ...ending(2000), placements: [{ ...ending(2000).placements[0], outline: corner }] } as ClothLay;
    expect(recutOf(job, ["waistband"], ending(2000)).kind).toBe("short");
    expect(recutOf(job, ["waistband"], lay)).toMatchObject({ kind: "fits", on: "part" });
    expect(recutOf(job, ["front", "back"], lay).kind).toBe("short");
  });
});
