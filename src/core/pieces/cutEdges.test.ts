import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { marksOff, unequalAllowances, withoutFate } from "../testing/cutEdges";
import { randomFinish } from "../testing/randomFinish";
import { randomWorksheet } from "../testing/randomMoves";
import { plausibleBody, seededRandom } from "../testing/bodies";
import { derive } from "../derive";
import type { Derived } from "../derive";
import type { Job } from "../files";

const finished = (finish: Job["finish"], style = "palazzo", more: Partial<Job> = {}): Derived =>
  derivedOf(palazzoJob(HAND_BODY, { style: { id: style, params: {} }, finish, ...more }));
const seamOf = (derived: Derived, a: string, b: string): boolean =>
  derived.seams.some((s) => (s.a.includes(a) && s.b.includes(b)) || (s.a.includes(b) && s.b.includes(a)));

/** How wide the front is cut beyond its side seam so far below the pocket's end, along a level line. */
function sideWidth(derived: Derived, below: number): number {
  const front = derived.pieces.find((p) => p.panel.id === "front-main");
  const side = front?.panel.edges.find((e) => e.role === "side");
  if (!front || !side) throw new Error("no front with a pocket");
  const y = (side.path[0] as (typeof side.path)[number]).points[0][1] + below;
  const at = (ring: Derived["pieces"][number]["cutLine"]): number =>
    Math.min(
      ...ring.flatMap((p, i) => {
        const q = ring[(i + 1) % ring.length] as typeof p;
        return p[1] > y === q[1] > y ? [] : [p[0] + ((q[0] - p[0]) * (y - p[1])) / (q[1] - p[1])];
      }),
    );
  return at(front.seamLine) - at(front.cutLine);
}

test.each([20, 38])("below a slant pocket the front's side has its whole allowance of %s at once", (width) => {
  const derived = finished({ pockets: [{ kind: "slant" }] }, "palazzo", {
    allowances: { set: "woven", side: `${width} mm` },
  });
  for (const below of [2, 10, 30]) expect(sideWidth(derived, below)).toBeGreaterThan(width - 0.5);
  expect(unequalAllowances(derived)).toEqual([]);
});

test("facings are sewn to each other at their ends", () => {
  const hem = finished({ hem: { kind: "faced" } });
  expect(seamOf(hem, "hem-facing-front.side", "hem-facing-back.side")).toBe(true);
  expect(seamOf(hem, "hem-facing-front.inseam", "hem-facing-back.inseam")).toBe(true);
  const both = finished({ hem: { kind: "faced" }, waist: { kind: "facing" } });
  expect(seamOf(both, "facing-front.side", "facing-back.side")).toBe(true);
  expect(seamOf(both, "hem-facing-front.side", "hem-facing-back.side")).toBe(true);
});

test("under a cowl the facing cut on is sewn to the back's neck facing as far as that reaches, and its free edge is kept", () => {
  const cowl = finished({}, "cowl-top");
  const seam = cowl.seams.find((s) => s.a.includes("bodice-front.facing-shoulder"));
  expect(seam?.b).toEqual(["neck-facing-back.shoulder"]);
  expect(seam && Math.abs(seam.lengthA - seam.lengthB)).toBeLessThan(0.01);
  const free = cowl.pieces.find((p) => p.id === "bodice-front")?.edges.find((e) => e.edge === "facing-edge");
  expect(free).toMatchObject({ isFree: true, allowance: free?.fate === "turned" ? 10 : 0 });
});

test.each(["contour-band", "straight-band", "facing", "ring-band"] as const)(
  "tops of a slant pocket's parts are caught in the waist under a %s, as wide as the waist is cut there",
  (kind) => {
    const derived = finished({ waist: { kind }, pockets: [{ kind: "slant" }] });
    const waist = derived.pieces.find((p) => p.panel.id === "front-main")?.edges[0]?.allowance;
    for (const [id, edge] of [
      ["pocket-hip", "waist-under"],
      ["pocket-bag", "waist-under"],
      ["pocket-facing", "waist"],
    ])
      expect(derived.pieces.find((p) => p.id === id)?.edges.find((e) => e.edge === edge)).toMatchObject({
        fate: "caught",
        allowance: waist,
      });
  },
);

test("random garments: seams cut equally wide on both sides, a fate for every edge, every mark on its lines", () => {
  let made = 0;
  for (let seed = 5001; made < 40; seed++) {
    const { style, moves } = randomWorksheet(seed);
    const finish = randomFinish(seededRandom(seed + 1));
    const derived = derive(palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves, finish }));
    if (!derived.ok) continue;
    made++;
    expect({ seed, wrong: [...unequalAllowances(derived), ...withoutFate(derived), ...marksOff(derived)] }).toEqual({
      seed,
      wrong: [],
    });
  }
});
