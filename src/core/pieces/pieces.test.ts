import { textOf } from "../units";
import { edgeOf, landmarkOf } from "../pattern";
import {
  distanceToOutline,
  pathAt,
  pathLength,
  pointDistance,
  polygonArea,
  polygonSelfCrossing,
  type Point,
} from "../geometry";
import type { Derived } from "../derive";
import type { Job } from "../files";
import { plausibleBody } from "../testing/bodies";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import type { Piece } from "./piece";

const pieceOf = (derived: Derived, id: string): Piece => {
  const found = derived.pieces.find((p) => p.id === id);
  if (!found) throw new Error(`no piece ${id}`);
  return found;
};

const hand = derivedOf(palazzoJob(HAND_BODY));

/** Largest difference between the stated allowance and the measured distance, away from the ends of each stretch. */
function worstAllowance(piece: Piece): number {
  let worst = 0;
  for (const stretch of piece.edges) {
    // A dart mouth is a corner in itself; a narrowing stretch has no single width.
    if (stretch.allowanceEnd !== undefined || stretch.role === "dart") continue;
    const { path } = edgeOf(piece.panel, stretch.edge);
    const margin = Math.min(stretch.length * 0.4, 2 * stretch.allowance + 8);
    for (let i = 0; i <= 20; i++) {
      const along = stretch.from + margin + ((stretch.length - 2 * margin) * i) / 20;
      worst = Math.max(
        worst,
        Math.abs(distanceToOutline(pathAt(path, along).point, piece.cutLine) - stretch.allowance),
      );
    }
  }
  return worst;
}

describe("allowances", () => {
  test("cut line to seam line is the stated width along every edge", () => {
    for (const piece of hand.pieces) expect(worstAllowance(piece)).toBeLessThan(0.2);
  });

  test("the zip has a wide allowance that narrows to the crotch's", () => {
    const stretches = pieceOf(hand, "back").edges.filter((e) => e.edge === "crotch");
    expect(stretches.map((e) => [e.allowance, e.allowanceEnd])).toEqual([
      [12, undefined],
      [12, 25],
      [25, undefined],
    ]);
    const total = stretches.reduce((sum, e) => sum + e.length, 0);
    expect(total).toBeCloseTo(pathLength(edgeOf(hand.back, "crotch").path), 6);
  });

  test("cut lines are sound and larger than the seam lines on differing bodies and hems", () => {
    for (let seed = 0; seed < 60; seed++) {
      const hem = { kind: "turned" as const, depth: seed % 2 ? ("auto" as const) : "40 mm" };
      const derived = derivedOf(palazzoJob(plausibleBody(seed), { finish: { hem } } as Partial<Job>));
      for (const piece of derived.pieces) {
        expect([seed, piece.id, polygonSelfCrossing(piece.cutLine)]).toEqual([seed, piece.id, null]);
        expect(Math.abs(polygonArea(piece.cutLine))).toBeGreaterThan(Math.abs(polygonArea(piece.seamLine)));
      }
    }
  });
});

describe("turned hem", () => {
  test("folds onto the leg within half a millimetre", () => {
    const straight = derivedOf(
      palazzoJob(HAND_BODY, {
        finish: { hem: { kind: "turned", depth: "40 mm" } },
        moves: [{ id: "a", move: "shape-leg", on: true, params: { knee: "460 mm", hem: "390 mm" } }],
      }),
    );
    const piece = pieceOf(straight, "front");
    const hem = landmarkOf(straight.front, "hemSide");
    const folded = piece.cutLine.filter((p) => p[1] > hem[1] + 1 && p[1] < hem[1] + 39);
    expect(folded.length).toBeGreaterThan(1);
    for (const [x, y] of folded) {
      const mirrored: Point = [x, 2 * hem[1] - y];
      expect(distanceToOutline(mirrored, piece.cutLine)).toBeLessThan(0.5);
    }
    const lowest = Math.max(...piece.cutLine.map((p) => p[1]));
    expect(lowest).toBeCloseTo(hem[1] + 40, 3);
  });
});

describe("notches and seams", () => {
  test("notch pairs meet when the seams are walked from their shared end", () => {
    for (const [id, edge] of [
      ["side", "side"],
      ["inseam", "inseam"],
    ] as const) {
      const along = (pieceId: string): number[] => {
        const piece = pieceOf(hand, pieceId);
        const { path } = edgeOf(piece.panel, edge);
        const length = pathLength(path);
        return piece.notches
          .filter((n) => n.pairs === id)
          .map((n) => {
            for (let s = 0; s <= length; s += 0.05)
              if (pointDistance(pathAt(path, s).point, n.at) < 0.04) return id === "side" ? length - s : s;
            return NaN;
          });
      };
      const [front, back] = [along("front"), along("back")];
      expect(front.length).toBeGreaterThan(0);
      front.forEach((s, i) => expect(Math.abs(s - (back[i] ?? NaN))).toBeLessThan(0.3));
    }
  });

  test("the front carries single marks at the crotch, the back double", () => {
    const kinds = (id: string): string[] =>
      pieceOf(hand, id)
        .notches.filter((n) => n.pairs === `crotch-${id}`)
        .map((n) => n.kind);
    expect(kinds("front")).toEqual(["single"]);
    expect(kinds("back")).toContain("double");
  });

  test("the band is the sewn waist and its underlap, folded once", () => {
    const band = pieceOf(hand, "waistband");
    const xs = band.seamLine.map((p) => p[0]);
    const ys = band.seamLine.map((p) => p[1]);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(760 + 30, 3);
    expect(Math.max(...ys) - Math.min(...ys)).toBe(80);
    for (const seam of hand.seams.filter((s) => s.id.startsWith("waist"))) expect(seam.ratio).toBeCloseTo(1, 6);
  });

  test("labels say what, how many, from what, for which job and whom", () => {
    expect(pieceOf(hand, "front").label.slice(0, 4).map(textOf)).toEqual([
      "Front",
      "cut 2, left and right, shell",
      "Test",
      "for Hand",
    ]);
  });
});
