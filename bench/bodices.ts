import { derive, type Derived } from "../src/core/derive";
import { pathFlatten, polygonSelfCrossing } from "../src/core/geometry";
import type { Panel } from "../src/core/pattern";
import { bodiceJob } from "../src/core/testing/randomBodice";
import { tell } from "../src/core/units";

/**
 * Bodices on random upper bodies, in every style that has one, with parameters anywhere in their range. Lengths are
 * measured here on flattened edges, by nothing the engine measures with.
 */

type Pt = readonly [number, number];
const COUNT = Number(process.env.COUNT ?? "2000");
const FINE = 0.002;

const run = (panel: Panel | undefined, edge: string): number => {
  const points = pathFlatten(panel?.edges.find((e) => e.id === edge)?.path ?? [], FINE);
  return points
    .slice(1)
    .reduce((sum, p, i) => sum + Math.hypot(p[0] - (points[i] as Pt)[0], p[1] - (points[i] as Pt)[1]), 0);
};

const offs = { shoulder: 0, side: 0, sleeve: 0, waist: 0, facing: 0, dart: 0, zip: 0, cowl: 0 };
const worst = (of: keyof typeof offs, mm: number): void => {
  offs[of] = Math.max(offs[of], Math.abs(mm));
};

function measure(d: Derived): string[] {
  const bad: string[] = [];
  for (const panel of d.sewn) {
    const outline = panel.edges.flatMap((e) => pathFlatten(e.path, 0.05).slice(0, -1));
    if (outline.some(([x, y]) => !Number.isFinite(x + y))) bad.push(`${panel.id} not finite`);
    if (polygonSelfCrossing(outline)) bad.push(`${panel.id} crosses itself`);
  }
  for (const piece of d.pieces) if (polygonSelfCrossing(piece.cutLine)) bad.push(`${piece.id} cut line crosses itself`);
  const side = (refs: Derived["seams"][number]["walkA"]): number =>
    refs.reduce(
      (sum, ref) =>
        sum +
        (ref.part
          ? ref.part[1] - ref.part[0]
          : run(
              d.sewn.find((p) => p.id === ref.panel),
              ref.edge,
            )),
      0,
    );
  for (const seam of d.seams) {
    const off = side(seam.walkA) - side(seam.walkB);
    const of = (part: string): boolean =>
      [...seam.walkA, ...seam.walkB].some((r) => d.sewn.find((p) => p.id === r.panel)?.is.part === part);
    if (seam.how !== "equal") {
      if (seam.kind === "armhole" && of("sleeve")) {
        const ease = d.finish.trims.find((t) => t.kind === "sleeve") as { ease: { mm: number } } | undefined;
        worst("sleeve", off + (ease?.ease.mm ?? 0) / 2);
      }
      continue;
    }
    if (seam.kind === "shoulder") worst("shoulder", off);
    else if (seam.id === "bodice-side") worst("side", off);
    else if (seam.kind === "waist") worst("waist", off);
    else if (of("sleeve")) worst("sleeve", off);
    else if (of("facing")) worst("facing", off);
    else if (seam.id === "bust-dart") worst("dart", off);
  }
  // Neck to waist down the centre back, and on to the zip's end: what the zip is bought for.
  const back = d.sewn.filter((p) => p.is.component === "bodice" && p.is.root === "back");
  if (d.zip && d.zip.at === "centre-back")
    worst("zip", back.reduce((sum, p) => sum + run(p, "centre"), 0) - d.zip.above);
  // A swing keeps what it turns.
  const line = d.worksheet.find((l) => l.move === "cowl" && l.on && !l.passed);
  if (line) {
    const of = (panels: readonly Panel[]): Panel | undefined => panels.find((p) => p.id === "bodice-front");
    for (const id of ["shoulder", "armhole", "side"])
      worst("cowl", run(of(line.before.panels), id) - run(of(line.after.panels), id));
  }
  return bad;
}

let [made, refused, passedOver, times] = [0, 0, 0, [] as number[]];
const faults: Record<string, number> = {};
const bad: string[] = [];
const undecided: Record<string, number> = {};
for (let seed = 1; seed <= COUNT; seed++) {
  const from = performance.now();
  const d = derive(bodiceJob(seed));
  times.push(performance.now() - from);
  if (!d.ok) {
    refused++;
    continue;
  }
  made++;
  if (d.worksheet.some((l) => l.passed)) passedOver++;
  for (const c of d.checks) if (c.status === "fault") faults[c.id] = (faults[c.id] ?? 0) + 1;
  for (const u of d.undecided) {
    const words = tell(u, "cm").replace(/[\d.,]+/g, "#");
    undecided[words] = (undecided[words] ?? 0) + 1;
  }
  bad.push(...measure(d).map((what) => `${seed}: ${what}`));
}
times = times.sort((a, b) => a - b);
console.log(
  JSON.stringify(
    {
      made,
      refused,
      passedOver,
      bad: bad.length,
      examples: bad.slice(0, 12),
      offs,
      faults,
      undecided,
      medianMs: times[COUNT >> 1],
    },
    null,
    1,
  ),
);
