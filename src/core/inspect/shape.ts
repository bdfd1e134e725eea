import { edgesWithRole, isOf, panelOutline, type Panel } from "../pattern";
import { angleFromTo, pathAt, pathLength, pathNearest, polygonArea, type Path, type Point } from "../geometry";
import { plain, toDegrees, say, angle, type Mm, inside } from "../units";
import { byEstimate, byFloor, byLimits, verdict, type CheckRule, type CheckStatus } from "./check";

/** Stretch of side seam over which a corner is felt. */
const WINDOW = 60;

/** Where between two lengths along a path it has turned by half of what it turns there. */
function halfTurned(path: Path, from: Mm, to: Mm): Mm {
  const tangent = (at: Mm): Point => pathAt(path, at).tangent;
  const half = Math.abs(angleFromTo(tangent(from), tangent(to))) / 2;
  let [low, high] = [from, to];
  while (high - low > 0.1) {
    const middle = (low + high) / 2;
    if (Math.abs(angleFromTo(tangent(from), tangent(middle))) < half) low = middle;
    else high = middle;
  }
  return high;
}

/** The hip line runs into the leg without a sharp corner. */
export const hipCorner: CheckRule = {
  id: "hip-corner",
  label: "Hip runs into the leg",
  note: "Near the hip line the side turns gently, or it puckers when sewn.",
  measure({ legs, measures: { waistToHip }, ownBlock }) {
    const found = legs.flatMap((panel) => {
      const { hipSide } = panel.landmarks;
      if (!hipSide) return [];
      return edgesWithRole(panel, "side").flatMap((edge) => {
        const near = pathNearest(edge.path, hipSide);
        if (near.distance > 5) return [];
        const whole = pathLength(edge.path);
        let worst = { turn: 0, at: near.along };
        for (let s = near.along - WINDOW; s <= near.along + WINDOW; s += 10) {
          const [from, to] = [s - WINDOW / 2, s + WINDOW / 2];
          if (from < 0 || to > whole) continue;
          const [a, b] = [from, to].map((at) => pathAt(edge.path, at).tangent) as [Point, Point];
          const turn = Math.abs(toDegrees(angleFromTo(a, b)));
          if (turn > worst.turn + 1e-6) worst = { turn, at: halfTurned(edge.path, from, to) };
        }
        return [{ panel, ...worst, point: pathAt(edge.path, worst.at).point }];
      });
    });
    const [first, ...rest] = found;
    if (!first) return null;
    const worst = rest.reduce((a, b) => (b.turn > a.turn ? b : a), first);
    // Drafted, the side turns as much less as the hip lies deeper; a block brought in has its own hip.
    const judge = (slack: Mm): CheckStatus => byLimits((worst.turn * waistToHip.mm) / (waistToHip.mm + slack), 12, 25);
    return verdict(this, {
      status: ownBlock ? judge(0) : byEstimate(waistToHip, judge),
      value: worst.turn,
      limit: 12,
      unit: "degrees",
      message: say`The side of the ${inside(worst.panel.name)} turns by ${angle(worst.turn)} within ${WINDOW}, ${worst.at} down along the seam.`,
      where: { panel: worst.panel.id, point: worst.point },
      fix: say`Widen the leg below the hip, or round the side over a longer stretch.`,
    });
  },
};

/** Darts end clear of the hip line. */
export const dartLength: CheckRule = {
  id: "dart-length",
  label: "Darts clear of the hip",
  note: "Darts end well above the hip line.",
  measure({ legs, plan, rules, measures: { waistToHip } }) {
    const ends = legs.flatMap((panel) =>
      panel.lines
        .filter((l) => l.kind === "dart")
        .map((l) => ({ panel, tip: l.points[1] as Point, value: plan.levels.hip - (l.points[1] as Point)[1] })),
    );
    const [first, ...rest] = ends;
    if (!first) return null;
    const lowest = rest.reduce((a, b) => (b.value < a.value ? b : a), first);
    return verdict(this, {
      status: byEstimate(waistToHip, (slack) => byFloor(lowest.value + slack, 50, 20)),
      value: lowest.value,
      limit: 50,
      unit: "length",
      message: say`The lowest dart, on the ${inside(lowest.panel.name)}, ends ${lowest.value} above the hip line.`,
      where: { panel: lowest.panel.id, point: lowest.tip },
      fix: say`Shorten the dart.`,
      remedy: {
        label: say`Shorten it`,
        changes: [
          {
            path: ["block", "rules", "waist", isOf(lowest.panel, "front") ? "frontLength" : "backLength"],
            value: `${plain(Math.max(60, Math.floor(rules.waist[isOf(lowest.panel, "front") ? "frontLength" : "backLength"] - (51 - lowest.value))))} mm`,
          },
        ],
      },
    });
  },
};

const turnsOf = (panel: Panel): number => Math.sign(polygonArea(panelOutline(panel)));

/** Left and right are one of each: pairs are cut as pairs, and what differs is the mirror image it has to be. */
export const mirroredPair: CheckRule = {
  id: "mirrored-pair",
  label: "Left and right",
  note: "Every leg has its left and its right, mirrored.",
  measure({ panels, pieces }) {
    const wrong = pieces.filter(({ panel, cut }) => {
      if (panel.half === "both") return !cut.onFold && !panel.cutting.pieces && !(cut.pairs && cut.count % 2 === 0);
      // Doubled over a fold, it is the same from both sides.
      if (cut.onFold) return cut.count !== 1;
      if (cut.count !== 1 || !cut.singleLayer) return true;
      const root = isOf(panel, "front") ? "front" : isOf(panel, "back") ? "back" : null;
      const other = panels.find((p) => root && isOf(p, root) && p.half === (panel.half === "left" ? "right" : "left"));
      // The mirror image of an outline runs the other way round.
      return other !== undefined && turnsOf(other) === turnsOf(panel);
    });
    const [first] = wrong;
    return verdict(this, {
      status: first ? "fault" : "pass",
      value: wrong.length,
      limit: 0,
      unit: "pieces",
      message: first
        ? say`The ${inside(first.name)} would not come out as left and right.`
        : say`Left and right are one of each.`,
      where: first ? { panel: first.id, point: first.grain[0] } : null,
      fix: say`Cut it as a pair, or mirror one of the two.`,
    });
  },
};
