import { resolveBody, type BodyMeasures } from "../body";
import { pathFlatten, type Point } from "../geometry";
import { edgesWithRole, landmarkOf, panelById, panelOutline, type Panel } from "../pattern";
import { badOutline } from "../testing/badOutline";
import { plausibleBody, seededRandom } from "../testing/bodies";
import { Refusal } from "../units";
import { bodicePanels, bodicePlan, frontLonger, type BodiceAsked, type BodicePlan } from ".";
import { armholeEdge } from "./armhole";

// Everything here is measured on flattened outlines, by sums of chords: nothing the drafting measures with.
const long = (points: readonly Point[]): number =>
  points
    .slice(1)
    .reduce((sum, p, i) => sum + Math.hypot(p[0] - (points[i]?.[0] ?? 0), p[1] - (points[i]?.[1] ?? 0)), 0);
const sewn = (panel: Panel, role: "waist" | "side" | "shoulder" | "armhole" | "neck"): number =>
  edgesWithRole(panel, role).reduce((sum, e) => sum + long(pathFlatten(e.path, 0.001)), 0);

const measuresOf = (seed: number): BodyMeasures => {
  const body = resolveBody(plausibleBody(seed));
  if (!body.ok) throw new Error("the body cannot be read");
  return body.measures;
};
const usual: BodiceAsked = {
  school: "measured",
  equalTo: "back",
  bustEase: 15,
  waistEase: 0,
  tipBack: 25,
  frontDarts: null,
  backDarts: null,
};
const drawn = (plan: BodicePlan) => {
  const { panels } = bodicePanels(plan);
  return { front: panelById(panels, "bodice-front"), back: panelById(panels, "bodice-back") };
};

/** Plans of many bodies, both schools, with darts turned and edges restyled at random. */
function* plans(count: number): Generator<{ plan: BodicePlan; measures: BodyMeasures }> {
  for (let seed = 1; seed <= count; seed++) {
    const random = seededRandom(seed);
    const measures = measuresOf(seed);
    const school = random() < 0.5 ? "measured" : "quarters";
    let plan: BodicePlan;
    try {
      plan = bodicePlan(measures, { ...usual, school, tipBack: 40 * random(), bustEase: 30 * random() }).plan;
    } catch (error) {
      if (error instanceof Refusal) continue;
      throw error;
    }
    const edges = {
      ...plan.edges,
      neckFront: 60 * random(),
      neckOut: 20 * random(),
      shoulderIn: 15 * random(),
      underarmUp: 10 * random(),
    };
    const pivot = random();
    const into =
      pivot < 0.25 && plan.darts.front.count > 0
        ? {
            pivot: { into: "bust", leave: 0 } as const,
            darts: { ...plan.darts, front: { count: 0, intake: 0 } as const },
          }
        : pivot > 0.75 && frontLonger(plan) > 16
          ? { pivot: { into: "waist", leave: 0 } as const }
          : {};
    yield { plan: { ...plan, edges, ...into }, measures };
  }
}

test("shoulders, sides and sewn waists agree on every body, and no outline is bad", () => {
  let [made, refused] = [0, 0];
  for (const { plan, measures } of plans(250)) {
    let both: ReturnType<typeof drawn>;
    try {
      both = drawn(plan);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      refused++;
      continue;
    }
    made++;
    const { front, back } = both;
    for (const panel of [front, back]) expect(badOutline(panel)).toEqual([]);
    expect(Math.abs(sewn(front, "shoulder") - sewn(back, "shoulder"))).toBeLessThan(0.01);
    expect(Math.abs(sewn(front, "side") - sewn(back, "side"))).toBeLessThan(0.01);
    for (const panel of [front, back])
      expect(Math.abs(sewn(panel, "waist") - measures.waist.mm / 4)).toBeLessThan(0.05);
  }
  expect(made).toBeGreaterThan(200);
  expect(refused).toBeLessThan(0.06 * made);
});

/** Unit direction of a run at its start or end, over its last tenth of a millimetre. */
const way = (run: readonly Point[], end: "start" | "end"): Point => {
  const [a, b] = end === "start" ? [run[0], run[1]] : [run.at(-2), run.at(-1)];
  if (!a || !b) return [1, 0];
  const size = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
  return [(b[0] - a[0]) / size, (b[1] - a[1]) / size];
};
const angleBetween = (a: Point, b: Point): number =>
  (Math.acos(Math.min(1, a[0] * b[0] + a[1] * b[1])) * 180) / Math.PI;

test("neck and armhole run on across the shoulder, and the neck is as long as the neck that was measured", () => {
  for (const { plan, measures } of plans(60)) {
    const plain = { ...plan, edges: { ...plan.edges, neckFront: 0, neckOut: 0, shoulderIn: 0 } };
    const { front, back } = drawn(plain);
    expect(2 * (sewn(front, "neck") + sewn(back, "neck"))).toBeCloseTo(measures.neck.mm + 10, 1);
    for (const panel of [front, back]) {
      const run = (role: "neck" | "shoulder" | "armhole") =>
        pathFlatten(edgesWithRole(panel, role)[0]?.path ?? [], 0.0005);
      expect(Math.abs(angleBetween(way(run("neck"), "end"), way(run("shoulder"), "start")) - 90)).toBeLessThan(1.5);
      expect(Math.abs(angleBetween(way(run("shoulder"), "end"), way(run("armhole"), "start")) - 90)).toBeLessThan(1.5);
    }
  }
});

test("the legs of every dart are equally long, and its tip stays back from the bust point as asked", () => {
  let seen = 0;
  for (const { plan } of plans(60)) {
    const { front } = drawn(plan);
    const bust = landmarkOf(front, "bustPoint");
    for (const { points } of front.lines.filter((l) => l.kind === "dart")) {
      const [from, tip, to] = points as readonly [Point, Point, Point];
      expect(long([from, tip])).toBeCloseTo(long([to, tip]), 3);
      seen++;
    }
    const first = front.lines.find((l) => l.kind === "dart")?.points[1];
    if (first && plan.darts.front.count === 1) expect(long([bust, first])).toBeLessThan(plan.tipBack + 0.01);
  }
  expect(seen).toBeGreaterThan(40);
});

test("a dart that is turned changes neither the sewn waist nor the side, and nothing above the bust", () => {
  let turned = 0;
  for (const { plan } of plans(200)) {
    if (plan.pivot || plan.darts.front.count !== 1 || frontLonger(plan) < 16) continue;
    const before = drawn(plan);
    const after = drawn({
      ...plan,
      pivot: { into: "bust", leave: 0 },
      darts: { ...plan.darts, front: { count: 0, intake: 0 } },
    });
    turned++;
    for (const role of ["waist", "side", "shoulder", "neck"] as const)
      expect(Math.abs(sewn(after.front, role) - sewn(before.front, role))).toBeLessThan(0.01);
    expect(panelOutline(after.back)).toEqual(panelOutline(before.back));
    expect(landmarkOf(after.front, "underarm")).toEqual(landmarkOf(before.front, "underarm"));
  }
  expect(turned).toBeGreaterThan(5);
});

test("what cannot be drawn names the measure", () => {
  const { measures } = [...plans(1)][0] ?? { measures: measuresOf(1) };
  const with_ = (key: "bustSpan" | "shoulderWidth" | "shoulderToBust", mm: number): BodyMeasures => ({
    ...measures,
    [key]: { ...measures[key], mm },
  });
  const refusalOf = (m: BodyMeasures): string => {
    try {
      bodicePlan(m, usual);
    } catch (error) {
      if (error instanceof Refusal) return error.path;
    }
    return "";
  };
  expect(refusalOf(with_("bustSpan", 900))).toBe("body.measures.bustSpan");
  expect(refusalOf(with_("shoulderWidth", 120))).toBe("body.measures.shoulderWidth");
  expect(refusalOf(with_("shoulderToBust", 20))).toBe("body.measures.shoulderToBust");
});

test("the armhole of a steep shoulder stands upright three tenths of what the slope gives inside its end, at the least", () => {
  const slope = 0.4;
  const edge = armholeEdge([0, 0], [60, 200], [0, 1], slope, 1);
  const inside = Math.max(...pathFlatten(edge, 0.001).map(([x]) => -x));
  expect(inside).toBeCloseTo(0.3 * 0.58 * 200 * Math.tan(slope), 1);
});
