import { textOf } from "../units";
import { derive } from "../derive";
import { deriveShape } from "./shape";
import { changeOf, learnedFrom, SYMPTOMS, symptomOf, symptomsOf, type Correction, type Fitting } from "../fitting";
import { readJob, type Job } from "../files";
import { pathLength, type Point } from "../geometry";
import { edgesWithRole, type Panel } from "../pattern";
import { derivedOf, HAND_BODY, palazzoJob, shapeOf } from "../testing/jobs";
import { ownBlockJob, ownBlockOf } from "../testing/ownBlock";
import { complaintsOf, said } from "../testing/said";
import { movesOf } from "../testing/worksheet";
import { corrected } from "./corrected";
import { withFitting } from "./changes";
import { curesOf, hasMoved } from "./correcting";
import { jobOfVersion, jobWithStyle, ownStyleOf, versionOf } from "./versions";

const fitting = (seen: Fitting["seen"], ...changes: Fitting["changes"]): Fitting => ({
  id: `f-${seen}`,
  date: "2026-05-03",
  seen,
  pinned: "both",
  words: "",
  changes,
});

const straight = (more: Partial<Job> = {}): Job =>
  palazzoJob(HAND_BODY, { style: { id: "straight", params: {} }, ...more });

const at = (panel: Panel, name: string): Point => panel.landmarks[name] as Point;
const long = (panel: Panel, role: "centre" | "crotch" | "inseam" | "side" | "waist" | "hem"): number =>
  edgesWithRole(panel, role as "side").reduce((sum, e) => sum + pathLength(e.path), 0);

/** What a correction of the straight block has to have done, measured on front and back before and after. */
const STATED: Readonly<
  Record<string, (was: { front: Panel; back: Panel }, is: { front: Panel; back: Panel }) => number>
> = {
  "back.rise": (a, b) => at(a.back, "waistCentre")[1] - at(b.back, "waistCentre")[1],
  "frontExtension.add": (a, b) => across(b.front) - across(a.front),
  "crotchDepth.add": (a, b) => at(b.front, "crotchPoint")[1] - at(a.front, "crotchPoint")[1],
  "ease.back": (a, b) => width(b.back) - width(a.back),
  "ease.front": (a, b) => width(b.front) - width(a.front),
  "waist.ease": (a, b) =>
    2 * (long(b.front, "waist") + long(b.back, "waist") - long(a.front, "waist") - long(a.back, "waist")),
  "waist.frontDrop": (a, b) => at(b.front, "waistCentre")[1] - at(a.front, "waistCentre")[1],
  "backExtension.add": (a, b) => across(b.back) - across(a.back),
  "waist.backIntake": (a, b) => mouth(b.back) - mouth(a.back),
  "waist.frontIntake": (a, b) => mouth(b.front) - mouth(a.front),
  // In is towards the side.
  "waist.frontIn": (a, b) => width(a.front) - width(b.front),
  "waistLevel.add": (a, b) => at(a.front, "waistCentre")[1] - at(b.front, "waistCentre")[1],
  "shape-leg.hemToSide": (a, b) => toSide(b, "hem") - toSide(a, "hem"),
  "shape-leg.kneeToSide": (a, b) => toSide(b, "knee") - toSide(a, "knee"),
};
const statedBy = (changes: Correction["changes"]) =>
  STATED["rule" in changes ? changes.rule : `${changes.move}.${changes.param}`];
/** The mouth of a panel's first dart. */
const mouth = ({ lines }: Panel): number => {
  const [from, , to] = lines.find((l) => l.kind === "dart")?.points ?? [];
  return Math.hypot((to?.[0] ?? 0) - (from?.[0] ?? 0), (to?.[1] ?? 0) - (from?.[1] ?? 0));
};
/** How far the middle of the leg lies towards the side of its crease, the smaller of front and back. */
const toSide = (legs: { front: Panel; back: Panel }, level: "hem" | "knee"): number =>
  Math.min(
    ...[legs.front, legs.back].map((panel) => {
      const [side, inseam] = [at(panel, `${level}Side`)[0], at(panel, `${level}Inseam`)[0]];
      return (Math.sign(side - inseam) * (side + inseam)) / 2;
    }),
  );
const across = (panel: Panel): number => Math.abs(at(panel, "crotchPoint")[0] - at(panel, "hipSide")[0]);
const width = (panel: Panel): number => Math.abs(at(panel, "hipSide")[0] - hipCentre(panel));
const hipCentre = (panel: Panel): number => at(panel, "waistCentre")[0];

describe("a correction", () => {
  const before = shapeOf(straight());
  const tried = SYMPTOMS.flatMap((s) => curesOf(straight(), before, s).map((cure) => [s.id, cure] as const));

  test.each(tried.map(([id, cure]) => [id, cure.correction.label, cure] as const))(
    "%s: %s moves the pattern, and its seams still agree",
    (id, _, { correction, usual }) => {
      const job = withFitting(straight(), fitting(id, changeOf(correction, usual)));
      const after = derivedOf(job);
      expect(hasMoved(before.panels, after.panels)).toBe(true);
      for (const seam of ["side-seams", "inseams", "waist-seam"])
        expect([seam, after.checks.find((c) => c.id === seam)?.status]).toEqual([seam, "pass"]);
      for (const seam of after.seams.filter((s) => s.kind === "side"))
        expect(Math.abs(seam.lengthA - seam.lengthB)).toBeLessThan(0.5);
      const stated = statedBy(correction.changes);
      if (stated) expect(stated(before, after)).toBeCloseTo(correction.way * usual, 0);
    },
  );

  test("of length or knee changes that number of the garment by what was stated", () => {
    const moved = (seen: Fitting["seen"], move: string, param: string, by: number) =>
      shapeOf(withFitting(straight(), fitting(seen, { move, param, by }))).readings;
    expect(before.readings.outseam - moved("hem-long", "set-length", "length", -20).outseam).toBeCloseTo(20, 0);
    expect(moved("knee-binds", "shape-leg", "knee", 20).kneeGirth).toBeCloseTo(
      (before.readings.kneeGirth ?? 0) + 20,
      1,
    );
  });

  test("stays on top when measures, school or the rule itself change, and goes with undo", () => {
    const rise = fitting("seat-pulls", { rule: "back.rise", by: 10 });
    const centre = (job: Job): number => at(shapeOf(job).back, "waistCentre")[1];
    const bodies = [HAND_BODY, { ...HAND_BODY, measures: { ...HAND_BODY.measures, hip: 1120 } }];
    for (const body of bodies)
      for (const school of ["proportional", "traced", "eased-metric"] as const)
        for (const rules of [{}, { back: { rise: "30 mm" } }]) {
          const job = straight({ body, block: { school, rules } });
          expect([school, centre(job) - centre(withFitting(job, rise))]).toEqual([school, expect.closeTo(10, 0)]);
        }
    // A lower crotch line made as a rise is not counted twice where the rise settles itself.
    const lower = straight({
      block: { school: "proportional", rules: { back: { rise: "auto", drop: "20 mm", lower: "rise" } } },
    });
    expect(centre(lower) - centre(withFitting(lower, rise))).toBeCloseTo(10, 0);
    // A back that is hinged has no rise of its own: the correction waits, and spoils nothing.
    const hinged = straight({ block: { school: "hinged", rules: {} } });
    expect(hasMoved(shapeOf(hinged).panels, shapeOf(withFitting(hinged, rise)).panels)).toBe(false);
  });

  test("goes out with the job and comes in again; a version of before has none, a style takes none along", () => {
    const job = straight();
    const fitted = withFitting(job, fitting("seat-pulls", { rule: "back.rise", by: 10 }));
    const read = readJob(JSON.parse(JSON.stringify(fitted)));
    expect(read.kind === "job" && read.job.fittings).toEqual(fitted.fittings);
    const version = versionOf(job, "v", "Before", "2026-05-01");
    expect(jobOfVersion(fitted, version).fittings).toBeUndefined();
    const style = ownStyleOf(fitted, "s", "Mine", "2026-05-04");
    expect("fittings" in style).toBe(false);
    expect(jobWithStyle(fitted, style).fittings).toEqual(fitted.fittings);
  });

  test("that cannot be drawn says the most that can", () => {
    const made = derive(withFitting(straight(), fitting("seat-pulls", { rule: "back.rise", by: 150 })));
    if (made.ok) throw new Error("made");
    expect(made.errors[0]?.path).toBe("fittings.0.changes.0");
    expect(complaintsOf(made.errors)).toMatch(/stays within 0.*120.*change by 80/);
    const none = derive(withFitting(straight(), fitting("seat-pulls", { rule: "back.no", by: 1 })));
    expect(none.ok).toBe(false);
    const whole = corrected(straight(), fitting("seat-pulls", { rule: "back.rise", by: 150 }));
    expect("refused" in whole && said(whole.refused)).toMatch(/80/);
  });

  test("of a twisted leg answers the check of the crease on purpose, and says so", () => {
    const after = derivedOf(
      withFitting(straight(), fitting("leg-twists-in", { move: "shape-leg", param: "hemToSide", by: 10 })),
    );
    const crease = after.checks.find((c) => c.id === "crease-balance");
    expect(crease?.status).toBe("fault");
    expect(textOf(crease?.meant ?? "")).toBe("Fitting of 2026-05-03: leg twists inward.");
  });
});

describe("a correction of a block brought in", () => {
  /** The block brought in, in the style's own lines. */
  const own = (more: Partial<Job> = {}): Job => {
    const { moves: _, ...job } = ownBlockJob(ownBlockOf());
    return { ...job, ...more };
  };
  const before = shapeOf(own());
  const tried = SYMPTOMS.flatMap((s) => curesOf(own(), before, s).map((cure) => [s.id, cure] as const));
  const hollowOf = ({ back }: { readonly back: Panel }): number => long(back, "crotch");

  test("is offered for every symptom that is cured on legs, as on a drafted one", () => {
    const drafted = SYMPTOMS.flatMap((s) => curesOf(straight(), shapeOf(straight()), s).map(() => s.id));
    expect([...new Set(tried.map(([id]) => id))]).toEqual(expect.arrayContaining([...new Set(drafted)]));
  });

  test.each(tried.map(([id, cure]) => [id, cure.correction.label, cure] as const))(
    "%s: %s is as large as stated, runs on smoothly, and its seams agree as they did",
    (id, _, { correction, usual }) => {
      const after = derivedOf(withFitting(own(), fitting(id, changeOf(correction, usual))));
      expect(hasMoved(before.panels, after.panels)).toBe(true);
      const faults = after.checks.filter((c) => c.status === "fault" && !c.meant).map((c) => c.id);
      // What fits the body otherwise than before may be too small for it: that is told, and the wearer's own matter.
      expect(faults.filter((check) => !["crotch-length", "waist-ease", "hip-ease"].includes(check))).toEqual([]);
      for (const role of ["side", "inseam"] as const)
        expect(long(after.back, role) - long(after.front, role)).toBeCloseTo(
          long(before.back, role) - long(before.front, role),
          2,
        );
      const stated = statedBy(correction.changes);
      if (stated) expect(stated(before, after)).toBeCloseTo(correction.way * usual, 0);
      const said = after.drafted.steps.filter((step) => JSON.stringify(step.sentence).includes("2026-05-03"));
      expect(said.length > 0).toBe("rule" in correction.changes);
    },
  );

  test("darts stay closed by equal legs, and a scooped curve is longer", () => {
    const legs = ({ lines }: Panel): number[] =>
      lines
        .filter((l) => l.kind === "dart")
        .map(({ points: [a, tip, b] }) => Math.hypot(...gap(a, tip)) - Math.hypot(...gap(b, tip)));
    const gap = (a?: Point, b?: Point): [number, number] => [
      (a?.[0] ?? 0) - (b?.[0] ?? 0),
      (a?.[1] ?? 0) - (b?.[1] ?? 0),
    ];
    for (const changes of [
      { rule: "back.rise", by: 20 },
      { rule: "waist.backIntake", by: 8 },
      { rule: "waistLevel.add", by: 20 },
      { rule: "waistLevel.add", by: -20 },
    ]) {
      const { back } = shapeOf(withFitting(own(), fitting("seat-pulls", changes)));
      legs(back).forEach((off, i) => expect(off).toBeCloseTo(legs(before.back)[i] ?? 0, 0));
    }
    const scooped = shapeOf(withFitting(own(), fitting("seat-folds", { rule: "hollow.back", by: -5 })));
    expect(hollowOf(scooped)).toBeGreaterThan(hollowOf(before) + 1);
    expect(scooped.readings.clothArea).toBeLessThan(before.readings.clothArea);
  });

  test("stays when the block's style changes, and is passed over where such a block has no such number", () => {
    const rise = fitting("seat-pulls", { rule: "back.rise", by: 10 });
    for (const moves of [movesOf(["widen-leg", {}]), movesOf(["set-length", { length: "800 mm" }])]) {
      const job = own({ moves });
      expect(at(shapeOf(job).back, "waistCentre")[1]).toBeCloseTo(
        at(shapeOf(withFitting(job, rise)).back, "waistCentre")[1] + 10,
        0,
      );
    }
    const none = shapeOf(withFitting(own(), fitting("seat-pulls", { rule: "back.open", by: 10 })));
    expect(hasMoved(before.panels, none.panels)).toBe(false);
  });

  test.each(["back.no", "constructor", "back.how"])("changes no number “%s” that there is not", (rule) => {
    for (const job of [own(), straight()]) {
      const made = derive(withFitting(job, fitting("seat-pulls", { rule, by: 10 })));
      if (made.ok) throw new Error("made");
      expect(made.errors[0]?.path).toBe("fittings.0.changes.0");
      expect(complaintsOf(made.errors)).toMatch(/There is no number/);
    }
  });

  test.each([
    ["an extension that would be gone", { rule: "backExtension.add", by: -200 }, /can be \d+.* less at the most/],
    ["a dart that would be gone", { rule: "waist.backIntake", by: -100 }, /dart.* less at the most/],
    ["a waist cut at the hip", { rule: "waistLevel.add", by: -200 }, /waist.* less at the most/],
  ])("is refused at the fittings, with its limit: %s", (_, change, words) => {
    const made = derive(withFitting(own(), fitting("seat-folds", change)));
    if (made.ok) throw new Error("made");
    expect(made.errors[0]?.path).toBe("fittings");
    expect(complaintsOf(made.errors)).toMatch(words);
  });
});

test("a crotch curve is hollower where it comes nearer to its corner", () => {
  const job = straight({ block: { school: "proportional", rules: { hollow: { back: "50 mm" } } } });
  const [was, is] = [job, withFitting(job, fitting("seat-folds", { rule: "hollow.back", by: -5 }))].map(shapeOf);
  expect(is?.readings.crotchSeamBack).toBeGreaterThan((was?.readings.crotchSeamBack ?? NaN) + 1);
  expect(is?.readings.clothArea).toBeLessThan(was?.readings.clothArea ?? NaN);
});

test("what is offered depends on the garment: a symptom's cures that change nothing are left out", () => {
  const labels = (job: Job, id: Fitting["seen"]): string[] =>
    curesOf(job, shapeOf(job), symptomOf(id)).map((c) => c.correction.label);
  expect(labels(straight(), "seat-pulls")).toEqual(["Back rise up", "Back extension out", "More back hip"]);
  expect(labels(straight({ block: { school: "hinged", rules: {} } }), "seat-pulls")).toContain("Slash opened wider");
  const onePiece = palazzoJob(HAND_BODY, { style: { id: "one-piece", params: {} } });
  expect(labels(onePiece, "zip-bulges")).toEqual(["Crotch deeper", "Back waist darts wider"]);
  const ids = (job: Job) => symptomsOf(SYMPTOMS, shapeOf(job).panels, null).map((s) => s.id);
  expect(ids(straight())).not.toContain("zip-bulges");
  expect(ids(onePiece)).toContain("zip-bulges");
});

test("pressed on the pattern, what is seen near there comes first", () => {
  const { panels, back, front } = shapeOf(straight());
  const near = (root: "front" | "back", point: Point) => symptomsOf(SYMPTOMS, panels, { root, point })[0]?.id;
  expect(near("back", at(back, "crotchPoint"))).toBe("seat-folds");
  expect(near("front", at(front, "crotchPoint"))).toBe("front-smiles");
  expect(near("front", at(front, "creaseHem"))).toBe("hem-long");
});

test("before and after: pieces that are cut otherwise, and checks that say something else", () => {
  const job = straight();
  const made = corrected(job, fitting("front-smiles", { rule: "frontExtension.add", by: 6 }));
  if ("refused" in made) throw new Error(said(made.refused));
  expect(made.recut.map((p) => p.id)).toContain("front");
  expect(made.recut.map((p) => p.id)).not.toContain("waistband");
  expect(made.checks.map((c) => c.id)).toContain("crotch-length");
});

test("what several garments of a wearer needed comes back, with the mean of its amounts", () => {
  const rise = (by: number): Pick<Job, "fittings"> => ({
    fittings: [fitting("seat-pulls", { rule: "back.rise", by })],
  });
  const once = { fittings: [fitting("crotch-bags", { rule: "crotchDepth.add", by: -10 })] };
  expect(learnedFrom([rise(6), rise(10), once, {}], SYMPTOMS)).toEqual([
    { label: "Back rise up", change: { rule: "back.rise", by: 8 }, times: 2, seen: "seat-pulls" },
  ]);
});

test("every style takes what its fittings change without a bad outline", () => {
  for (const style of ["palazzo", "flare", "paper-bag", "pleated", "jogger", "culotte", "one-piece"]) {
    const job = palazzoJob(HAND_BODY, { style: { id: style, params: {} } });
    const shape = shapeOf(job);
    for (const symptom of SYMPTOMS)
      for (const { correction, usual } of curesOf(job, shape, symptom)) {
        const after = deriveShape(withFitting(job, fitting(symptom.id, changeOf(correction, usual))));
        const told = after.ok ? "made" : complaintsOf(after.errors);
        expect([style, correction.label, told]).toEqual([
          style,
          correction.label,
          expect.stringMatching(/^made$|at the most/),
        ]);
      }
  }
});
