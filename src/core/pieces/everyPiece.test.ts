import { jobFrom } from "../testing/jobFrom";
import { refPath, edgeOf } from "../pattern";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import type { Derived } from "../derive";
import { type Job } from "../files";
import {
  distanceToOutline,
  pathAt,
  pathEndTangent,
  pathLength,
  pathNearest,
  pathStartTangent,
  pointDistance,
  type Path,
  type Point,
} from "../geometry";
import { STYLES } from "../styles";
import { derivedOf, FOUR_BODIES, palazzoJob } from "../testing/jobs";

const FOLDER = join(process.cwd(), "samples/garments");
const garments = readdirSync(FOLDER)
  .filter((f) => f.endsWith(".json"))
  .map((file): readonly [string, Derived] => {
    const job = jobFrom(JSON.parse(readFileSync(join(FOLDER, file), "utf8")));
    return [file.replace(".json", ""), derivedOf(job)];
  });
const styles = Object.keys(STYLES).map((id, i): readonly [string, Derived] => [
  id,
  derivedOf({ ...palazzoJob(FOUR_BODIES[i % 4] as Job["body"], { style: { id, params: {} } }), finish: undefined }),
]);
const all = [...garments, ...styles];

/** Places on a stretch that are clear of its corners: there the nearest cut line is the stretch's own. */
function clear(length: number, corners: number): number[] {
  const from = corners;
  return length < 2 * corners + 5 ? [] : Array.from({ length: 12 }, (_, i) => from + ((length - 2 * corners) * i) / 11);
}

/** Left and right of one pattern are marked once. */
const LEG = /-(left|right)$/;

/** Where an edge turns by more than a few degrees, by arc length: points of a handkerchief hem, scallops. */
function cornersOf(path: Path): number[] {
  let reached = 0;
  return path.flatMap((segment, i) => {
    const before = path[i - 1];
    const at = reached;
    reached += pathLength([segment]);
    if (!before) return [];
    const [a, b] = [pathEndTangent([before]), pathStartTangent([segment])];
    return a[0] * b[0] + a[1] * b[1] < 0.99 ? [at] : [];
  });
}

describe.each(all)("%s", (_, derived) => {
  test("the cut line lies one allowance outside every sewn edge, on it along folds", () => {
    for (const piece of derived.pieces) {
      const widest = Math.max(...piece.edges.map((e) => Math.max(e.allowance + (e.surplus ?? 0), e.allowanceEnd ?? 0)));
      for (const stretch of piece.edges) {
        if (stretch.role === "dart" || stretch.allowanceEnd !== undefined) continue;
        const { path } = edgeOf(piece.panel, stretch.edge);
        const corners = cornersOf(path);
        for (const s of clear(stretch.length, 2.2 * widest)) {
          if (corners.some((c) => Math.abs(c - stretch.from - s) < 3 * stretch.allowance)) continue;
          const { point } = pathAt(path, stretch.from + s);
          // Toward the tip of a dart that is cut out, its allowances run into each other.
          const { dartTip } = piece.panel.landmarks;
          if (dartTip && pointDistance(point, dartTip) < 0.8 * stretch.length && pointDistance(point, dartTip) < 140)
            continue;
          const off = distanceToOutline(point, piece.cutLine) - stretch.allowance - (stretch.surplus ?? 0);
          expect([piece.panel.id, stretch.id, Math.abs(off) < 0.2 || off.toFixed(2)]).toEqual([
            piece.panel.id,
            stretch.id,
            true,
          ]);
        }
      }
    }
  });

  test("no corner is cut nearer than the narrower of its two allowances", () => {
    for (const piece of derived.pieces) {
      const { edges } = piece.panel;
      edges.forEach((edge, i) => {
        const before = edges[(i + edges.length - 1) % edges.length];
        if (edge.role === "dart" || !before || before.role === "dart") return;
        const widthAt = (id: string, end: "start" | "end"): number => {
          const own = piece.edges.filter((e) => e.edge === id);
          const stretch = end === "start" ? own[0] : own.at(-1);
          return end === "end" ? (stretch?.allowanceEnd ?? stretch?.allowance ?? 0) : (stretch?.allowance ?? 0);
        };
        const least = Math.min(widthAt(edge.id, "start"), widthAt(before.id, "end"));
        const off = distanceToOutline(pathAt(edge.path, 0).point, piece.cutLine);
        expect([piece.panel.id, edge.id, off > least - 0.2 || off.toFixed(2)]).toEqual([piece.panel.id, edge.id, true]);
      });
    }
  });

  test("marks of a seam lie at the same distance from its start on both sides", () => {
    for (const seam of derived.seams.filter((s) => s.how === "equal")) {
      const along = (walk: typeof seam.walkA): number[] => {
        let before = 0;
        const found: number[] = [];
        for (const ref of walk) {
          const path = refPath(derived.sewn, ref);
          const marks = derived.pieces.find((p) => p.panel.id === ref.panel)?.notches ?? [];
          for (const mark of marks.filter((m) => m.pairs.replace(LEG, "") === seam.id.replace(LEG, ""))) {
            const near = pathNearest(path, mark.at as Point);
            if (near.distance < 0.4) found.push(before + near.along);
          }
          before += pathLength(path);
        }
        // A mark where two edges meet is found on both.
        return found.sort((a, b) => a - b).filter((x, i, list) => i === 0 || x - (list[i - 1] ?? 0) > 0.1);
      };
      const [a, b] = [along(seam.walkA), along(seam.walkB)];
      if (seam.kind === "waist") continue;
      expect([seam.id, a.length]).toEqual([seam.id, b.length]);
      a.forEach((at, i) => expect([seam.id, Math.abs(at - (b[i] ?? NaN)) < 0.3]).toEqual([seam.id, true]));
    }
  });

  test("every piece says what it is, and is cut from something", () => {
    for (const piece of derived.pieces) {
      expect(piece.label.length).toBeGreaterThanOrEqual(5);
      expect(piece.cut.count).toBeGreaterThan(0);
      expect(piece.area).toBeGreaterThan(100);
    }
  });
});
