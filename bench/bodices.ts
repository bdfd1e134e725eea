import { derive, type Derived } from "../src/core/derive";
import type { Job } from "../src/core/files";
import { pathFlatten, polygonSelfCrossing } from "../src/core/geometry";
import type { Panel } from "../src/core/pattern";
import { plausibleBody, seededRandom } from "../src/core/testing/bodies";
import { palazzoJob } from "../src/core/testing/jobs";
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

/** A body with its upper measures scattered about what is usual for its lower ones. */
function upperBody(seed: number): Job["body"] {
  const random = seededRandom(seed * 7 + 1);
  const between = (low: number, high: number): number => low + (high - low) * random();
  const body = plausibleBody(seed);
  const { hip, height } = body.measures as { hip: number; height: number };
  const bust = hip * between(0.85, 1.12);
  const napeToWaist = height * 0.245 * between(0.95, 1.05);
  const neck = (130 + 0.255 * bust) * between(0.94, 1.06);
  const over = napeToWaist + neck / 16 + Math.min(70, Math.max(5, bust / 8 - height / 16)) * between(0.4, 1.6);
  return {
    ...body,
    measures: {
      ...body.measures,
      bust,
      neck,
      napeToWaist,
      upperArm: bust * 0.31 * between(0.9, 1.1),
      shoulderWidth: (0.14 * height + 0.165 * bust) * between(0.95, 1.05),
      shoulderToWaist: over,
      shoulderToBust: over * between(0.56, 0.64),
      bustSpan: (bust / 5) * between(0.9, 1.1),
    },
  };
}

/** A job of a style with a bodice, its moves and finish anywhere in their range. */
function bodiceJob(seed: number): Job {
  const random = seededRandom(seed);
  const between = (low: number, high: number): number => low + (high - low) * random();
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const mm = (low: number, high: number): string => `${between(low, high).toFixed(1)} mm`;
  const isTop = random() < 0.25;
  const leg = pick(["wide", "culotte", "flare", "palazzo", "side-panel"]);
  const plan: (readonly [string, Record<string, unknown>])[] = [
    ["bodice", { school: pick(["quarters", "measured"]), ...(isTop && { frontDarts: "0 mm", backDarts: "0 mm" }) }],
  ];
  const hasPivot = !isTop && random() < 0.4;
  if (hasPivot) plan.push(["pivot-dart", { into: pick(["bust", "waist"]) }]);
  plan.push([
    "bodice-edges",
    {
      neckFront: mm(0, 40),
      neckBack: mm(0, 30),
      neckOut: mm(0, 20),
      shoulderIn: mm(0, 25),
      underarmUp: mm(-10, 10),
      sideOut: mm(0, 8),
      armhole: pick(["round", "round", "cutaway"]),
      ...(!isTop && random() < 0.2 && { vFront: mm(0, 20), vBack: mm(0, 25) }),
    },
  ]);
  if (!isTop) plan.push(["shape-leg", leg === "flare" ? {} : { fall: "straight" }], ["set-length", {}]);
  if (hasPivot && random() < 0.5) plan.push(["hollow-dart", {}]);
  const front = random();
  if (front < 0.25) plan.push(["style-line", {}]);
  else if (front < 0.45 || isTop) plan.push(isTop ? ["cowl", {}] : ["fold-back", { neck: mm(20, 50) }]);
  if (isTop) plan.push(["end-as-top", { length: mm(60, 400) }]);
  else {
    plan.push(["join-bodice", { how: leg === "culotte" ? "gather" : "pleat" }]);
    if (leg === "palazzo") plan.push(["spread", {}]);
    if (leg === "side-panel") plan.push(["side-panel", {}]);
  }
  const trims = [
    ...(random() < 0.4 ? [{ kind: "sleeve" as const, ease: mm(0, 30) }] : []),
    { kind: "edge-facing" as const, depth: mm(20, 80) },
  ];
  return palazzoJob(upperBody(seed), {
    style: { id: isTop ? "cowl-top" : "one-piece", params: {} },
    moves: plan.map(([move, params], i) => ({ id: `m${i}`, move, on: true, params })),
    finish: {
      waist: { kind: isTop ? "from-shoulders" : "joined" },
      fastening: { kind: isTop ? "none" : "zip-centre-back" },
      trims,
    } as Job["finish"],
  });
}

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
