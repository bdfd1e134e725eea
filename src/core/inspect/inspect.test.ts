import { panelById, panelMap, type Panel } from "../pattern";
import { said } from "../testing/said";
import type { Derived } from "../derive";
import { line, pathEnd, pathStart } from "../geometry";
import type { Finish } from "../finish";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { inspected } from "../testing/inspected";
import { inspect, type Inspected } from ".";

const hand = derivedOf(palazzoJob(HAND_BODY));

const statusOf = (derived: Derived, id: string): string | undefined => derived.checks.find((c) => c.id === id)?.status;

const recheck = (change: Partial<Inspected>, id: string): string | undefined =>
  inspect({ ...inspected(hand), ...change }).find((c) => c.id === id)?.status;

/** The panels with one of them put in place of the one of its id. */
const swapped = (panel: Panel | null): Partial<Inspected> => ({
  panels: hand.sewn.map((p) => (p.id === panel?.id ? panel : p)),
  legs: hand.panels.map((p) => (p.id === panel?.id ? panel : p)),
});

const stretched = (panel: Panel, by: number): Panel => panelMap(panel, ([x, y]) => [x, y > 300 ? y + by : y]);

test("a palazzo straight from the style passes", () => {
  const wanting = hand.checks.filter((c) => c.status !== "pass").map((c) => c.id);
  expect(wanting).toEqual([]);
  // Others may be added: these are all made, in this order.
  const known = [
    "side-seams",
    "inseams",
    "waist-seam",
    "band-gapes",
    "smooth-waist",
    "smooth-hem",
    "smooth-crotch",
    "hip-corner",
    "crease-balance",
    "waist-ease",
    "hip-ease",
    "thigh-ease",
    "knee-bent",
    "pull-on",
    "crotch-length",
    "crotch-below-hip",
    "dart-length",
    "zip-length",
    "foot-entry",
    "hem-turn",
    "floor-clearance",
    "mirrored-pair",
    "half-girths",
    "tape-rounding",
    "allowances",
    "labels",
  ];
  expect(hand.checks.map((c) => c.id).filter((id) => known.includes(id))).toEqual(known);
});

describe("checks measure the outlines they are given", () => {
  test("a back lengthened below the hip: sides and inseams", () => {
    expect(recheck(swapped(stretched(hand.back, 1.5)), "side-seams")).toBe("look");
    expect(recheck(swapped(stretched(hand.back, 3)), "side-seams")).toBe("fault");
    expect(recheck(swapped(stretched(hand.back, 4)), "inseams")).toBe("look");
    expect(recheck(swapped(stretched(hand.back, 9)), "inseams")).toBe("fault");
  });

  test("a front turned at the waist, the hem or the crotch: no longer smooth", () => {
    const sheared = panelMap(hand.front, ([x, y]) => [x + 0.12 * y, y]);
    for (const id of ["smooth-waist", "smooth-hem", "smooth-crotch"])
      expect(recheck(swapped(sheared), id)).not.toBe("pass");
  });

  test("a band cut short", () => {
    const band = panelMap(panelById(hand.sewn, "waistband"), ([x, y]) => [x * 0.99, y]);
    expect(recheck(swapped(band), "waist-seam")).toBe("fault");
  });

  test("a leg hung to one side of its crease", () => {
    const { landmarks } = hand.front;
    const hemSide: readonly [number, number] = [(landmarks.hemSide?.[0] ?? 0) - 12, landmarks.hemSide?.[1] ?? 0];
    expect(recheck(swapped({ ...hand.front, landmarks: { ...landmarks, hemSide } }), "crease-balance")).toBe("fault");
  });

  test("an allowance stated but not cut, or cut twice", () => {
    const spoil = (side: number) =>
      hand.pieces.map((p) => ({ ...p, edges: p.edges.map((e) => (e.id === "side" ? { ...e, allowance: side } : e)) }));
    expect(recheck({ pieces: spoil(40) }, "allowances")).toBe("fault");
    expect(recheck({ pieces: spoil(0) }, "allowances")).toBe("fault");
  });
});

describe("mistakes of the trade", () => {
  test("ease eaten at the hip", () => {
    const tight = derivedOf(
      palazzoJob(HAND_BODY, {
        block: { school: "proportional", rules: { ease: { front: "-15 mm", back: "-15 mm" } } },
      }),
    );
    expect(statusOf(tight, "hip-ease")).not.toBe("pass");
  });

  test("no opening: the waist does not pass over the hip", () => {
    const closed = derivedOf(palazzoJob(HAND_BODY, { finish: { fastening: "undecided" } }));
    expect(statusOf(closed, "pull-on")).toBe("fault");
    expect(closed.undecided.map(said)).toEqual(["The closure is not decided."]);
    expect(closed.pieces.length).toBe(3);
  });

  test("a zip too short to open past the hip, and one that runs into the crotch curve", () => {
    const zip = (length: string) =>
      derivedOf(palazzoJob(HAND_BODY, { finish: { fastening: { kind: "zip-centre-back", length } } }));
    expect(statusOf(zip("100 mm"), "zip-length")).toBe("fault");
    expect(statusOf(zip("330 mm"), "zip-length")).toBe("look");
  });

  test("a deep turn-up on a curved hem, with advice that mends it", () => {
    const finish: Finish = { hem: { kind: "turned", depth: "40 mm" } };
    const deep = derivedOf(palazzoJob(HAND_BODY, { finish }));
    expect(statusOf(deep, "hem-turn")).toBe("fault");
    const advice = deep.advice.find((a) => a.id === "narrow-curved-hem");
    const mended = derivedOf(palazzoJob(HAND_BODY, { finish: advice?.action?.changes[0]?.value as Finish }));
    expect(statusOf(mended, "hem-turn")).toBe("pass");
  });

  test("a hem on the floor", () => {
    const long = derivedOf(palazzoJob(HAND_BODY, { style: { id: "palazzo", params: { length: "1095 mm" } } }));
    expect(long.checks.find((c) => c.id === "floor-clearance")).toMatchObject({
      status: "fault",
      message: expect.toSay("trip"),
    });
  });

  const onCard = (measures: Record<string, number>) =>
    derivedOf(palazzoJob({ ...HAND_BODY, measures: { ...HAND_BODY.measures, ...measures } }));

  test("a crotch that is too short for the body, or bags", () => {
    expect(statusOf(onCard({ crotchLength: 720 }), "crotch-length")).toBe("fault");
    expect(statusOf(onCard({ crotchLength: 610 }), "crotch-length")).toBe("look");
    const dropped = derivedOf(
      palazzoJob(HAND_BODY, {
        style: { id: "straight", params: {} },
        moves: [{ id: "d", move: "drop-crotch", on: true, params: { by: "30 mm" } }],
      }),
    );
    // A stated drop is asked for, so it is no bagging.
    expect(statusOf(dropped, "crotch-length")).toBe("pass");
  });

  test("a thigh that fills the leg, and one that does not fit into it", () => {
    const leg = hand.readings.thighGirth;
    const thigh = (mm: number): Partial<Inspected> => ({
      measures: { ...hand.measures, thigh: { ...hand.measures.thigh, mm } },
    });
    expect(recheck(thigh(leg - 10), "thigh-ease")).toBe("look");
    expect(recheck(thigh(leg + 1), "thigh-ease")).toBe("fault");
  });

  test("darts that run too close to the hip line", () => {
    const long = derivedOf(
      palazzoJob(HAND_BODY, { block: { school: "proportional", rules: { waist: { backLength: "180 mm" } } } }),
    );
    // The draft itself keeps its darts clear; a dart that was moved is caught.
    expect(statusOf(long, "dart-length")).toBe("pass");
    const spoiled = {
      ...hand.back,
      lines: hand.back.lines.map((l) =>
        l.kind === "dart" ? { ...l, points: l.points.map(([x, y]) => [x, y + 75] as const) } : l,
      ),
    };
    expect(recheck(swapped(spoiled), "dart-length")).toBe("fault");
  });

  test("a sharp corner at the hip", () => {
    const { hipSide } = hand.front.landmarks;
    if (!hipSide) throw new Error("no hip");
    const corner: readonly [number, number] = [hipSide[0] - 45, hipSide[1]];
    const pointed: Panel = {
      ...hand.front,
      landmarks: { ...hand.front.landmarks, hipSide: corner },
      edges: hand.front.edges.map((e) =>
        e.id === "side" ? { ...e, path: [line(pathStart(e.path), corner), line(corner, pathEnd(e.path))] } : e,
      ),
    };
    expect(recheck(swapped(pointed), "hip-corner")).not.toBe("pass");
  });

  test("an ankle that the foot does not pass", () => {
    const slim = derivedOf(palazzoJob(HAND_BODY, { style: { id: "cigarette", params: { hemGirth: "300 mm" } } }));
    expect(slim.checks.find((c) => c.id === "foot-entry")).toMatchObject({
      status: "fault",
      value: expect.closeTo(-40, 0) as number,
    });
  });

  test("two left legs: a slit leg that is not the mirror image, and a pair cut as one", () => {
    const slit = derivedOf(palazzoJob(HAND_BODY, { style: { id: "front-slit", params: {} } }));
    expect(statusOf(slit, "mirrored-pair")).toBe("pass");
    const twice = slit.pieces.map((p) =>
      p.panel.half === "left" ? { ...p, panel: panelMap(p.panel, ([x, y]) => [-x, y]) } : p,
    );
    const check = (pieces: typeof twice) =>
      inspect({ ...inspected(slit), pieces }).find((c) => c.id === "mirrored-pair")?.status;
    expect(check(twice)).toBe("fault");
    expect(
      check(slit.pieces.map((p) => (p.id === "back" ? { ...p, cut: { ...p.cut, count: 1, pairs: false } } : p))),
    ).toBe("fault");
  });

  test("nobody named on the labels", () => {
    expect(statusOf(derivedOf(palazzoJob({ ...HAND_BODY, name: "" })), "labels")).toBe("look");
  });
});

test("a band on the waist is taken off the panels; one above it is not", () => {
  const on = derivedOf(palazzoJob(HAND_BODY, { finish: { waist: { kind: "straight-band", sits: "on" } } }));
  expect(on.front.landmarks.waistSide?.[1]).toBeCloseTo((hand.front.landmarks.waistSide?.[1] ?? 0) + 40, 4);
  expect(on.front.landmarks.hipSide?.[1]).toBeCloseTo(hand.front.landmarks.hipSide?.[1] ?? 0, 0);
  expect(statusOf(on, "waist-seam")).toBe("pass");
});
