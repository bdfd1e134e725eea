import { derive } from "../derive";
import type { Fitting, FittingChange } from "../fitting";
import { readJob, writeJobText, type Job } from "../files";
import { pathLength, type Point } from "../geometry";
import { panelById, panelOutline, refsLength, type Panel } from "../pattern";
import { STYLES } from "../styles";
import { badOutline } from "../testing/badOutline";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { complaintsOf } from "../testing/said";
import { corrected } from "./corrected";

const alone = (pinned: "left" | "right", ...changes: FittingChange[]): Fitting => ({
  id: `f-${pinned}`,
  date: "2026-05-03",
  seen: "hem-short",
  pinned,
  alone: true,
  words: "",
  changes,
});
const LONGER: FittingChange = { move: "set-length", param: "length", by: 15 };

const styled = (id: string, ...fittings: Fitting[]): Job =>
  palazzoJob(HAND_BODY, { style: { id, params: {} }, ...(fittings.length > 0 && { fittings }) });

const turnedOver = (panel: Panel): readonly Point[] => panelOutline(panel).map(([x, y]): Point => [0 - x, y]);
const long = (panel: Panel, role: string): number =>
  panel.edges.filter((e) => e.role === role).reduce((sum, e) => sum + pathLength(e.path), 0);

test("kept on the left, a longer leg is the left one alone: the right is as it was, and the left as if both were longer", () => {
  const [before, both, left] = [
    derivedOf(styled("straight")),
    derivedOf(styled("straight", { ...alone("left", LONGER), alone: undefined } as unknown as Fitting)),
    derivedOf(styled("straight", alone("left", LONGER))),
  ];
  for (const root of ["front", "back"] as const) {
    expect(panelOutline(panelById(left.panels, `${root}-right`))).toEqual(panelOutline(panelById(before.panels, root)));
    expect(turnedOver(panelById(left.panels, `${root}-left`))).toEqual(panelOutline(panelById(both.panels, root)));
    const [mine, others] = [panelById(left.panels, `${root}-left`), panelById(left.panels, `${root}-right`)];
    expect(long(mine, "side") - long(others, "side")).toBeCloseTo(15, 0);
    expect(long(mine, "crotch")).toBeCloseTo(long(others, "crotch"), 9);
  }
  // What goes round the whole body is not longer for a longer leg.
  for (const girth of ["hipGirth", "waistGirth", "hemGirth"] as const)
    expect([girth, left.readings[girth]]).toEqual([girth, expect.closeTo(before.readings[girth], 1)]);
  const cut = left.pieces.filter((p) => p.id.startsWith("front")).map((p) => [p.panel.half, p.cut.count, p.cut.pairs]);
  expect(cut).toEqual([
    ["right", 1, false],
    ["left", 1, false],
  ]);
});

test.each(["left", "right"] as const)(
  "kept on the %s in every style: outlines are whole, each seam as long on both edges, or a sentence says why not",
  (side) => {
    let drawn = 0;
    for (const id of Object.keys(STYLES)) {
      const without = derivedOf(styled(id));
      const after = derive(styled(id, alone(side, LONGER)));
      if (!after.ok) {
        expect(complaintsOf(after.errors)).toMatch(/Mirror it/);
        continue;
      }
      drawn++;
      expect([id, after.panels.flatMap((p) => badOutline(p))]).toEqual([id, []]);
      for (const join of after.joins.filter((j) => j.how === "equal")) {
        const own = without.joins.find((j) => j.id === (join.twin ?? join.id));
        // What the draft eases or leaves apart on both legs, it does here too.
        const usual = own ? Math.abs(refsLength(without.panels, own.a) - refsLength(without.panels, own.b)) : 0;
        const apart = Math.abs(refsLength(after.panels, join.a) - refsLength(after.panels, join.b));
        expect([id, join.id, apart <= usual + 0.1]).toEqual([id, join.id, true]);
      }
      const faults = after.checks.filter((c) => c.status === "fault").map((c) => c.id);
      const known = new Set(without.checks.filter((c) => c.status === "fault").map((c) => c.id));
      // Longer may lie on the floor; nothing else is new.
      expect([id, faults.filter((f) => !known.has(f) && f !== "floor-clearance")]).toEqual([id, []]);
    }
    expect(drawn).toBeGreaterThan(10);
  },
);

test("what would make the seams of the halves differ is refused, with how much and what to do", () => {
  const result = derive(styled("straight", alone("left", { rule: "back.rise", by: 10 })));
  expect(result.ok).toBe(false);
  if (!result.ok)
    expect(complaintsOf(result.errors)).toMatch(
      /the seam that joins the halves would be .* longer on one of them. Mirror it\.$/,
    );
});

test("left and right each with their own, and what is mirrored on both; kept over a changed measure and through a file", () => {
  const fittings = [
    alone("left", LONGER),
    { ...alone("right", { ...LONGER, by: -10 }), id: "r" },
    { ...alone("left", { ...LONGER, by: 4 }), id: "m", alone: undefined },
  ].map((f) => JSON.parse(JSON.stringify(f)) as Fitting);
  const job = styled("flare", ...fittings);
  const read = readJob(JSON.parse(writeJobText(job)));
  if (read.kind !== "job") throw new Error(complaintsOf(read.errors));
  for (const waist of [760, 800]) {
    const body = { ...HAND_BODY, measures: { ...HAND_BODY.measures, waist } };
    const { panels } = derivedOf({ ...read.job, body });
    const { panels: plain } = derivedOf({ ...styled("flare"), body });
    const by = (id: string): number => {
      const end = (of: readonly Panel[], panel: string): number => panelById(of, panel).landmarks.hemSide?.[1] ?? 0;
      return end(panels, id) - end(plain, "front");
    };
    expect([by("front-left"), by("front-right")]).toEqual([expect.closeTo(19, 0), expect.closeTo(-6, 0)]);
  }
});

test("of pieces that are cut already, the leg that is changed is void, and the other is not", () => {
  const made = corrected(styled("straight"), alone("left", LONGER));
  if ("refused" in made) throw new Error("refused");
  expect(made.recut.map(({ id, was }) => [id, was])).toEqual([
    ["front-left", "front"],
    ["back-left", "back"],
  ]);
});

test("pockets of that leg are the same pieces, turned over with it: they are not void", () => {
  const withPockets: Job = { ...styled("straight"), finish: { pockets: [{ kind: "slant" }] } };
  const made = corrected(withPockets, alone("left", LONGER));
  if ("refused" in made) throw new Error("refused");
  const after = derivedOf({ ...withPockets, fittings: [alone("left", LONGER)] });
  expect(after.pieces.map((p) => p.id)).toEqual(expect.arrayContaining(["pocket-bag-left", "pocket-bag-right"]));
  expect(made.recut.map((r) => r.id)).toEqual(["front-left", "back-left"]);
});
