import { edgeOf, mirroredIn } from "../pattern";
import { said } from "../testing/said";
import { pathAt, pointDistance } from "../geometry";
import { badPattern } from "../testing/badOutline";
import { edgeLength, HIP_WIDE, lastLine, made, panelOf, STRAIGHT } from "../testing/worksheet";

describe("a casing", () => {
  test("twice the channel and its room, folded back on to what it covers", () => {
    const cased = made(...HIP_WIDE, ["casing", { depth: "45 mm" }]);
    const front = panelOf(cased, "front");
    const [a, b] = front.lines.find((l) => l.kind === "fold")?.points as readonly [
      readonly [number, number],
      readonly [number, number],
    ];
    const side = edgeOf(front, "side").path;
    for (const down of [10, 30, 45]) {
      // 48 of the side lie beyond the fold; mirrored in it they lie on the side below.
      const beyond = pathAt(side, 48 - down).point;
      expect(pointDistance(mirroredIn(beyond, a, b), pathAt(side, 48 + down).point)).toBeLessThan(0.01);
    }
    expect(edgeLength(front, "side") - edgeLength(panelOf(made(...HIP_WIDE), "front"), "side")).toBeCloseTo(93, 6);
    expect(cased.readings.crotchSeam).toBeCloseTo(made(...HIP_WIDE).readings.crotchSeam, 6);
    expect(badPattern(cased.panels, cased.joins, 3)).toEqual([]);
  });

  test("at a tapered hem the finished girth is still what was asked", () => {
    const cuffed = made(
      ["waist-shaping", { to: "hip-wide" }],
      ["shape-leg", { knee: "480 mm", hem: "380 mm" }],
      ["set-length"],
      ["casing", { at: "hem", sits: "on", depth: "30 mm" }],
    );
    expect(cuffed.readings.hemGirth).toBeCloseTo(380, 0);
    expect(cuffed.readings.lowestPoint).toBeCloseTo(1060, 0);
  });

  test("darts in a pull-on waist, and a placket beside it, are told", () => {
    expect(lastLine(made(...STRAIGHT, ["casing"])).passed).toSay(/darts or pleats/);
    expect(lastLine(made(...HIP_WIDE, ["split", { leg: "left" }], ["placket"], ["casing"])).passed).toSay(/placket/);
  });

  test("a frill stands beyond the channel, and the fold-back covers both", () => {
    const bag = made(...HIP_WIDE, ["casing", { depth: "35 mm", frill: "45 mm" }]);
    const { beyond, room } = lastLine(bag).numbers;
    expect([beyond?.mm, room?.mm]).toEqual([163, 3]); // 2 x (35 + 45) + 3
    for (const panel of bag.panels) expect(panel.worn?.casings?.waist?.folded).toBeCloseTo(83, 6);
    expect(said(lastLine(bag).sentence)).toMatch(/frill/);
  });

  test("on the edge it adds its fold-back alone", () => {
    const on = made(...HIP_WIDE, ["casing", { sits: "on", depth: "40 mm", room: "0 mm" }]);
    for (const panel of on.panels) expect(panel.worn?.casings?.waist?.added).toBeCloseTo(40, 6);
  });

  test("a hem that curves too much for a straight fold is passed over; one that curves a little is squared off", () => {
    const at = (hem: string) =>
      lastLine(
        made(
          ["waist-shaping", { to: "hip-wide" }],
          ["shape-leg", { knee: "420 mm", hem }],
          ["set-length"],
          ["casing", { at: "hem" }],
        ),
      );
    expect(at("480 mm").passed).toBeNull();
    expect(at("480 mm").numbers.squared?.mm).toBeLessThan(8);
    expect(at("1400 mm").passed).toSay(/curves by [\d.]+ cm, too much|runs nearly along it/);
  });

  test("depths, frills and room no casing has are passed over with the range", () => {
    for (const [params, words] of [
      [{ depth: "4 mm" }, /1 to 12 cm deep/],
      [{ frill: "200 mm" }, /0 to 15 cm/],
      [{ room: "40 mm" }, /0 to 2 cm/],
    ] as const)
      expect(lastLine(made(...HIP_WIDE, ["casing", params])).passed).toSay(words);
  });
});
