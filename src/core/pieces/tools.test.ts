import { panelById, refPath } from "../pattern";
import { pathAt, pathEnd, pathLength, pathStart, pointDistance } from "../geometry";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { layTape, onOutline } from "./layTape";
import { rollSeam } from "./roll";

const derived = derivedOf(palazzoJob(HAND_BODY));
const seamOf = (id: string) => {
  const seam = derived.seams.find((s) => s.id === id);
  if (!seam) throw new Error(id);
  return seam;
};

describe("rolling a seam", () => {
  test.each(["side", "inseam"])("%s: both edges touch at the same distance, the panels on opposite sides", (id) => {
    const seam = seamOf(id);
    for (const share of [0, 0.2, 0.5, 0.8, 1]) {
      const distance = share * seam.lengthA;
      const rolled = rollSeam(derived.sewn, seam, distance);
      const [a] = seam.walkA;
      const [b] = seam.walkB;
      if (!a || !b) throw new Error("no edges");
      const [edgeA, edgeB] = [refPath(derived.sewn, a), refPath(derived.sewn, b)];
      const onB = pathAt(edgeB, Math.min(distance, pathLength(edgeB))).point;
      expect(pointDistance(rolled.move(onB), rolled.at)).toBeLessThan(1e-9);
      expect(pointDistance(pathAt(edgeA, rolled.alongA).point, rolled.at)).toBeLessThan(1e-9);
      // The crease of the rolling panel lies beyond the edge, seen from the panel that lies still.
      const { tangent } = pathAt(edgeA, rolled.alongA);
      const over = (p: readonly [number, number]): number =>
        Math.sign((p[0] - rolled.at[0]) * -tangent[1] + (p[1] - rolled.at[1]) * tangent[0]);
      const [still, rolling] = [rolled.still, rolled.rolling].map(
        (x) => panelById(derived.sewn, x).landmarks.creaseHem,
      );
      if (still && rolling) expect(over(rolled.move(rolling))).toBe(-over(still));
    }
  });

  test("distances within the rolling panel stay what they are; the shorter side stops at its end", () => {
    const seam = seamOf("inseam");
    const rolled = rollSeam(derived.sewn, seam, 5000);
    expect(rolled.alongA).toBeCloseTo(seam.lengthA, 9);
    expect(rolled.alongB).toBeCloseTo(seam.lengthB, 9);
    const [p, q] = [
      [0, 0],
      [300, 400],
    ] as const;
    expect(pointDistance(rolled.move(p), rolled.move(q))).toBeCloseTo(500, 9);
  });
});

describe("laying the tape", () => {
  const front = panelById(derived.sewn, "front");
  const side = front.edges.find((e) => e.id === "side")?.path ?? [];

  test("along an edge it reads the edge, straight it reads the chord", () => {
    const laid = layTape(front, pathStart(side), pathEnd(side));
    expect(laid.along).toBeCloseTo(pathLength(side), 3);
    expect(laid.straight).toBeLessThan(laid.along ?? 0);
    expect(laid.points.length).toBeGreaterThan(2);
  });

  test("round a corner it takes the shorter way, whichever place comes first", () => {
    const crotch = front.edges.find((e) => e.id === "crotch")?.path ?? [];
    const [a, b] = [pathAt(side, 20).point, pathAt(crotch, pathLength(crotch) - 20).point];
    const there = layTape(front, a, b);
    expect(there.along).toBeCloseTo(layTape(front, b, a).along ?? 0, 6);
    expect(there.along).toBeLessThan(600);
  });

  test("off the outline there is only the straight way", () => {
    expect(layTape(front, [0, 400], [0, 500])).toMatchObject({ straight: 100, along: null });
    expect(onOutline(front, pathStart(side)).distance).toBeLessThan(1e-6);
  });
});
