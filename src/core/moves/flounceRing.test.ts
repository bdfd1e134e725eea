import { distanceToOutline, pathAt, pathEnd, pathLength, pathStart } from "../geometry";
import { edgeOf, panelById } from "../pattern";
import { badPattern } from "../testing/badOutline";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { said } from "../testing/said";
import { lastLine, made, movesOf, seamLengths, STRAIGHT } from "../testing/worksheet";

const START = { start: "700 mm" } as const;
const derived = (params: Record<string, unknown>, more = {}) =>
  derivedOf(
    palazzoJob(HAND_BODY, {
      style: { id: "straight", params: {} },
      moves: movesOf(...STRAIGHT, ["flounce", { ...START, ...params }]),
      ...more,
    }),
  );

/** How far out the outer edge lies from the ring's centre, along it. */
const outsOf = (shape: ReturnType<typeof made>): number[] =>
  shape.panels
    .filter((p) => p.worn?.ring)
    .flatMap((p) => {
      const hem = edgeOf(p, "hem").path;
      return Array.from({ length: 400 }, (_, i) => Math.hypot(...pathAt(hem, (pathLength(hem) * i) / 400).point));
    });

test.each([3, 5, 7, 8])("%d points close evenly over the joins", (points) => {
  const shape = made(...STRAIGHT, ["flounce", { ...START, points, valley: "40 mm" }]);
  const rings = shape.panels.filter((p) => p.worn?.ring);
  for (let i = 1; i <= rings.length; i++) {
    const [a, b] = seamLengths(shape, `flounce-join-${i}`);
    expect(a).toBeCloseTo(b, 6);
  }
  const outs = outsOf(shape);
  const most = Math.max(...outs);
  expect(most - Math.min(...outs)).toBeCloseTo(40, 0);
  // Counted on the drawn edge: how often it comes out to a point.
  const peaks = outs.filter((r, i) => r > most - 6 && (outs[i - 1] ?? 0) <= most - 6).length;
  expect(Math.abs(peaks - points)).toBeLessThanOrEqual(1);
  expect(said(lastLine(shape).sentence)).toContain(`${points} points`);
});

test("a whole circle in one piece is half of it on the fold, and is worn whole", () => {
  const whole = derived({ parts: 1 });
  const two = derived({});
  const piece = whole.pieces.find((p) => p.panel.worn?.ring);
  expect(piece?.cut).toMatchObject({ count: 2, onFold: true });
  expect(whole.readings.hemGirth).toBeCloseTo(two.readings.hemGirth, 1);
  const seam = whole.seams.find((s) => s.id === "flounce");
  expect(seam?.lengthB).toBeCloseTo(seam?.lengthA ?? NaN, 3);
  expect(whole.checks.filter((c) => c.status === "fault").map((c) => c.id)).toEqual([]);
});

test("where it is sewn and where it is cut are told apart", () => {
  const { radius, cutRadius } = lastLine(made(...STRAIGHT, ["flounce", START])).numbers;
  expect((radius?.mm ?? 0) - (cutRadius?.mm ?? 0)).toBeCloseTo(20, 6);
  expect(said(lastLine(made(...STRAIGHT, ["flounce", START])).sentence)).toMatch(/sewn at a radius of .*, cut at/);
});

test("surplus on the leg's end is cut beyond the allowance, with its trim line, and is no ease", () => {
  const plain = derived({});
  const left = derived({ surplus: "50 mm" });
  const front = left.pieces.find((p) => p.id === "front");
  const edge = front?.edges.find((e) => e.edge === "leg-end");
  expect(edge).toMatchObject({ surplus: 50 });
  expect(edge?.allowance).toBe(
    plain.pieces.find((p) => p.id === "front")?.edges.find((e) => e.edge === "leg-end")?.allowance,
  );
  const seamLine = edgeOf(panelById(left.sewn, "front"), "leg-end").path;
  const middle = pathAt(seamLine, pathLength(seamLine) / 2).point;
  expect(distanceToOutline(middle, front?.cutLine ?? [])).toBeCloseTo((edge?.allowance ?? 0) + 50, 0);
  const trim = front?.trims[0] ?? [];
  expect(Math.min(...trim.map((p) => Math.hypot(p[0] - middle[0], p[1] - middle[1])))).toBeCloseTo(
    edge?.allowance ?? 0,
    0,
  );
  expect(front?.signs.words.map((w) => w.text)).toContain("trim when the flounce is sewn on");
  expect(left.readings.outseam).toBeCloseTo(plain.readings.outseam, 6);
  expect(left.checks.find((c) => c.id === "allowances")?.status).toBe("pass");
});

test("leg and flounce are checked against the set length, above the floor as well", () => {
  const check = (params: Record<string, unknown>) => derived(params).checks.find((c) => c.id === "length-sum");
  expect(check({})?.status).toBe("pass");
  expect(check({ depth: "200 mm" })).toMatchObject({ status: "look", message: expect.toSay("above the") });
});

test("lining of another width is parted apart from the shell", () => {
  const lined = derived({}, { finish: { trims: [{ kind: "flounce-lining", parts: 3 }] } });
  const parts = lined.pieces.filter((p) => p.material === "lining");
  expect(parts).toHaveLength(3);
  const seam = lined.seams.find((s) => s.id === "flounce-lining");
  expect(seam?.lengthB).toBeCloseTo(seam?.lengthA ?? NaN, 1);
  const ends = parts.map((p) => edgeOf(p.panel, "end").path);
  for (const end of ends) expect(Math.hypot(...pathEnd(end)) - Math.hypot(...pathStart(end))).toBeCloseTo(360, 6);
});

test("fewer points than a wave can run round are refused with the fewest that can; those are drawn whole", () => {
  const drawn = (share: number, points: number) =>
    made(...STRAIGHT, ["flounce", { ...START, share, points, parts: 4 }]);
  for (const [share, fewest] of [
    [1.85, 4],
    [1, 2],
    [0.5, 1],
  ] as const) {
    const shape = drawn(share, fewest);
    expect(lastLine(shape).passed).toBeNull();
    expect(badPattern(shape.panels, shape.joins, 3)).toEqual([]);
    if (fewest > 1) expect(lastLine(drawn(share, fewest - 1)).passed).toSay(new RegExp(`has ${fewest} points or more`));
  }
  const asked = made(...STRAIGHT, ["flounce", { ...START, hemGirth: "2600 mm", points: 2 }]);
  expect(badPattern(asked.panels, asked.joins, 3)).toEqual([]);
});
