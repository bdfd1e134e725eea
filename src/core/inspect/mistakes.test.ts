import { textOf } from "../units";
import { edgeOf, panelById } from "../pattern";
import type { Derived } from "../derive";
import type { Job } from "../files";
import type { Finish } from "../finish";
import { pathStart, pointDistance } from "../geometry";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";

/** Mistakes that people make aloud, each built here and seen caught; `inspect.test.ts` spoils outlines besides. */
const made = (more: Partial<Job>): Derived => derivedOf(palazzoJob(HAND_BODY, more));
const finished = (finish: Finish, style = "straight"): Derived => made({ style: { id: style, params: {} }, finish });
const check = (derived: Derived, id: string) => derived.checks.find((c) => c.id === id);
const advice = (derived: Derived, id: string) => derived.advice.find((a) => a.id === id);
const HIP_WIDE: Job["block"] = { school: "proportional", rules: { waist: { shaping: "hipWide" } } };

describe("what is pulled on", () => {
  const pulled = (finish: Finish, block: Job["block"] = HIP_WIDE): Derived =>
    made({ style: { id: "straight", params: {} }, block, finish: { fastening: { kind: "none" }, ...finish } });

  test("a band cut to the body's waist on a garment without an opening; one press cuts it to the edge", () => {
    const tight = pulled({ waist: { kind: "ring-band", fit: "waist", elastic: "none" } });
    expect(check(tight, "pull-on")).toMatchObject({
      status: "fault",
      remedy: { changes: [{ path: ["finish", "waist"], value: { kind: "ring-band", fit: "edge" } }] },
    });
  });

  test("darts sewn into a pull-on waist: the remedy leaves it hip-wide", () => {
    const darted = pulled({ waist: { kind: "ring-band" } }, { school: "proportional", rules: {} });
    expect(check(darted, "pull-on")).toMatchObject({
      status: "fault",
      remedy: { changes: [{ path: ["block", "rules", "waist", "shaping"], value: "hipWide" }] },
    });
    expect(advice(darted, "hip-wide-for-elastic")?.message).toSay("darts");
    expect(check(pulled({ waist: { kind: "ring-band" } }), "pull-on")?.status).toBe("pass");
  });

  test("elastic that does not pass the hip stretched, and one that marks the skin", () => {
    const cased = (elastic: string): Derived => pulled({ waist: { kind: "casing", elastic } });
    expect(check(cased("500 mm"), "elastic")).toMatchObject({ status: "fault", limit: 1040 / 1.8 });
    expect(check(cased("569 mm"), "elastic")?.status).toBe("fault");
    expect(check(cased("578 mm"), "elastic")?.status).not.toBe("fault");
    const wide = { ...HAND_BODY, measures: { ...HAND_BODY.measures, waist: 900, hip: 1040 } };
    const marked = derivedOf(
      palazzoJob(wide, {
        style: { id: "straight", params: {} },
        block: HIP_WIDE,
        finish: { waist: { kind: "casing", elastic: "660 mm" }, fastening: { kind: "none" } },
      }),
    );
    expect(check(marked, "elastic")).toMatchObject({
      status: "look",
      message: expect.toSay("mark the skin"),
    });
  });
});

describe("pockets", () => {
  test.each([
    [{ kind: "slant", down: "100 mm" }, "fault"],
    [{ kind: "in-seam", opening: "130 mm" }, "look"],
    [{ kind: "in-seam", opening: "150 mm" }, "pass"],
    [{ kind: "patch", opening: "120 mm" }, "fault"],
  ] as const)("too small for the hand: %j is a %s", (pocket, status) => {
    const derived = finished({ pockets: [pocket] });
    expect(check(derived, "pocket-hand")?.status).toBe(status);
    if (status === "pass") return;
    // One press opens it wide enough.
    const change = check(derived, "pocket-hand")?.remedy?.changes[0];
    expect(change?.path).toEqual(["finish", "pockets"]);
    const mended = finished({ pockets: change?.value as Finish["pockets"] });
    expect(check(mended, "pocket-hand")?.status).toBe("pass");
  });

  test("the patch is measured with the dart closed, so it does not bulge", () => {
    const derived = finished({ pockets: [{ kind: "patch" }] });
    const front = panelById(derived.sewn, "front");
    const dart = front.edges.find((e) => e.role === "dart");
    const top = pathStart(edgeOf(panelById(derived.sewn, "patch"), "waist").path);
    // It starts where the dart's near leg meets the waist: what lies in the dart is not in the patch.
    expect(dart && top && pointDistance(pathStart(dart.path), top)).toBeLessThan(2);
  });
});

describe("cloth", () => {
  test("a piece wider than the cloth", () => {
    const circle = made({ style: { id: "bell-flounce", params: { share: 1 } }, cloth: { width: "600 mm" } });
    expect(check(circle, "piece-fits-cloth")?.status).toBe("fault");
    expect(advice(circle, "narrow-cloth")).toBeDefined();
    const wide = made({ cloth: { width: "1500 mm" } });
    expect(check(wide, "piece-fits-cloth")).toMatchObject({ status: "pass", limit: 1500 });
    expect(check(made({}), "piece-fits-cloth")).toBeUndefined();
  });

  test("stretch cloth may be smaller than the body by half of what it gives, and wants neither darts nor wide seams", () => {
    const tight: Partial<Job> = {
      style: { id: "straight", params: {} },
      block: { school: "proportional", rules: { ease: { front: "-10 mm", back: "-10 mm" } } },
    };
    expect(check(made(tight), "hip-ease")?.status).toBe("fault");
    const jersey = made({ ...tight, cloth: { stretch: 0.3 } });
    expect(check(jersey, "hip-ease")?.status).toBe("pass");
    expect(advice(jersey, "no-darts-in-stretch")).toBeDefined();
    expect(advice(jersey, "stretch-allowances")).toBeDefined();
  });
});

describe("cloth that runs out", () => {
  const bell = (cloth: Job["cloth"]): Derived =>
    made({
      style: { id: "bell-flounce", params: { share: 1 } },
      cloth,
      finish: { trims: [{ kind: "flounce-lining" }] },
    });

  test("a lining of another width needs a join where the shell does not", () => {
    const derived = bell({ width: "2400 mm", liningWidth: "900 mm" });
    expect(check(derived, "piece-fits-cloth")).toMatchObject({
      status: "fault",
      limit: 900,
      message: expect.toSay("lining"),
    });
    expect(check(bell({ width: "2400 mm", liningWidth: "2400 mm" }), "piece-fits-cloth")?.status).toBe("pass");
  });

  test("too little of it, before anything is cut", () => {
    expect(check(bell({ width: "1500 mm", length: "1000 mm" }), "cloth-enough")?.status).toBe("fault");
    expect(check(bell({ width: "1500 mm", length: "9000 mm" }), "cloth-enough")?.status).toBe("pass");
  });
});

describe("a remedy loses nothing of what the maker stated", () => {
  test("pockets keep their other numbers, and those wide enough stay", () => {
    const derived = finished({
      pockets: [
        { kind: "slant", down: "100 mm", width: "180 mm", contrast: true },
        { kind: "patch", opening: "155 mm" },
      ],
    });
    expect(check(derived, "pocket-hand")?.remedy?.changes[0]?.value).toEqual([
      { kind: "slant", down: "170 mm", width: "180 mm", contrast: true },
      { kind: "patch", opening: "155 mm" },
    ]);
  });

  test("a fly keeps its width, a cuff its elastic", () => {
    const fly = finished({ fastening: { kind: "fly", length: "70 mm", extension: "45 mm", grown: "on" } });
    expect(check(fly, "zip-length")?.remedy?.changes[0]?.value).toEqual({
      kind: "fly",
      length: "auto",
      extension: "45 mm",
      grown: "on",
    });
    const cuff = finished({ hem: { kind: "cuff", girth: "150 mm", elastic: true, depth: "7 cm" } }, "jogger");
    expect(check(cuff, "foot-entry")?.remedy?.changes[0]?.value).toEqual({
      kind: "cuff",
      girth: "auto",
      elastic: true,
      depth: "7 cm",
    });
  });

  test("elastic too short on a pull-on waist is lengthened, not replaced by a zip", () => {
    const short = made({
      style: { id: "jogger", params: {} },
      finish: { waist: { kind: "cut-on-casing", elastic: "500 mm", drawstring: true } },
    });
    expect(check(short, "pull-on")?.remedy?.changes[0]).toEqual({
      path: ["finish", "waist"],
      value: { kind: "cut-on-casing", elastic: "waist-less", drawstring: true },
    });
  });
});

describe("net and cut", () => {
  test("a flounce is sewn along its seam line; what is cut lies one allowance inside it", () => {
    const bell = made({ style: { id: "bell-flounce", params: {} } });
    const piece = bell.pieces.find((p) => p.panel.worn?.ring);
    const inner = piece?.edges.find((e) => e.id === "top" || textOf(e.name).includes("seam"));
    expect(inner?.allowance).toBeGreaterThan(0);
    const seams = bell.seams.filter((s) => s.id.includes("flounce") && s.how === "equal");
    expect(seams.length).toBeGreaterThan(0);
    for (const s of seams) expect(Math.abs(s.lengthA - s.lengthB)).toBeLessThan(0.5);
  });

  test("an asymmetric style cut on the fold, or as a pair, is not left and right", () => {
    const slit = made({ style: { id: "front-slit", params: {} } });
    expect(slit.pieces.filter((p) => p.panel.half !== "both").every((p) => p.cut.singleLayer && !p.cut.onFold)).toBe(
      true,
    );
  });
});

describe("judgement", () => {
  test("a deep straight band on a body that curves: a contour band, in one press", () => {
    const deep = finished({ waist: { kind: "straight-band", depth: "60 mm" } });
    const offered = advice(deep, "contour-for-curve");
    expect(offered?.message).toSay("gapes");
    expect(check(deep, "band-gapes")?.status).toBe("look");
    expect(check(finished({}), "band-gapes")?.status).toBe("pass");
    const mended = finished((offered?.action?.changes[0]?.value ?? {}) as Finish);
    expect(mended.pieces.some((p) => p.panel.id === "band-back")).toBe(true);
    expect(advice(finished({ waist: { kind: "straight-band", depth: "30 mm" } }), "contour-for-curve")).toBeUndefined();
  });

  test("the knee was measured standing and binds when bent", () => {
    const slim = made({
      style: { id: "straight", params: {} },
      moves: [{ id: "m", move: "shape-leg", on: true, params: { knee: "400 mm", hem: "400 mm" } }],
    });
    expect(advice(slim, "bent-knee")?.message).toSay("2.0");
    expect(check(slim, "knee-bent")).toMatchObject({ status: "look", value: expect.closeTo(-20, 0) as number });
    expect(check(made({}), "knee-bent")?.status).toBe("pass");
    expect(advice(made({}), "bent-knee")).toBeUndefined();
  });

  test("a circular hem is rolled; a tapered leg is mirrored; no cords for children", () => {
    const bell = made({ style: { id: "bell-flounce", params: {} }, finish: { hem: { kind: "turned" } } });
    expect(advice(bell, "rolled-circle")?.action?.changes[0]?.value).toMatchObject({ hem: { kind: "rolled" } });
    const slim = finished({ hem: { kind: "turned", depth: "40 mm" } }, "cigarette");
    expect(advice(slim, "tapered-hem")).toBeDefined();
    const child = derivedOf(
      palazzoJob(
        {
          name: "Child",
          unit: "mm",
          measures: { waist: 560, hip: 660, crotchDepth: 200, waistToHip: 140, waistToKnee: 420, waistToFloor: 740 },
        },
        { style: { id: "jogger", params: {} }, finish: { waist: { kind: "cut-on-casing", drawstring: true } } },
      ),
    );
    expect(advice(child, "no-cord-for-children")?.action?.label).toSay("Leave out the cord");
    expect(
      advice(finished({ waist: { kind: "cut-on-casing", drawstring: true } }, "jogger"), "no-cord-for-children"),
    ).toBeUndefined();
  });

  test("a fuller seat asks for more back rise", () => {
    const full = { ...HAND_BODY, measures: { ...HAND_BODY.measures, waist: 720 } };
    expect(advice(derivedOf(palazzoJob(full)), "fuller-seat")?.action?.changes[0]).toEqual({
      path: ["block", "rules", "back", "rise"],
      value: "50 mm",
    });
  });
});

test("a hem that was asked for is measured on the finished panels", () => {
  const asked = made({ style: { id: "palazzo", params: { hemGirth: "900 mm" } } });
  expect(check(asked, "leg-sum")).toMatchObject({ status: "pass", limit: 1 });
  expect(Math.abs(check(asked, "leg-sum")?.value ?? 9)).toBeLessThan(1);
});
