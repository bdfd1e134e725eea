import type { Job } from "../files";
import { plausibleBody, seededRandom } from "./bodies";
import { palazzoJob } from "./jobs";

/** A body with its upper measures scattered about what is usual for its lower ones. */
export function upperBody(seed: number): Job["body"] {
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
export function bodiceJob(seed: number): Job {
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
