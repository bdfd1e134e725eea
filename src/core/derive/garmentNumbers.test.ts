import { readFileSync } from "node:fs";
import { join } from "node:path";
import { derive } from "../derive";
import { jobFrom } from "../testing/jobFrom";
import { replyOf } from "./reply";

/**
 * The numbers a practitioner states of each worked example, measured on the outlines that leave the program, by code of
 * its own: nothing here measures with what the engine draws with.
 */

type Pt = readonly [number, number];
interface Edge {
  readonly id: string;
  readonly role: string;
  readonly length: number;
  readonly points: readonly Pt[];
}
interface Panel {
  readonly id: string;
  readonly edges: readonly Edge[];
  readonly outline: readonly Pt[];
  readonly landmarks: Readonly<Record<string, Pt>>;
  readonly lines: readonly { readonly kind: string; readonly points: readonly Pt[] }[];
}
interface Reply {
  readonly panels: readonly Panel[];
  readonly pieces: readonly {
    readonly id: string;
    readonly material: string;
    readonly cutLine: readonly Pt[];
    readonly edges: readonly { readonly edge: string; readonly allowance: number; readonly surplus?: number }[];
    readonly notches: readonly { readonly pairs: string }[];
  }[];
  readonly seams: readonly { readonly id: string; readonly lengthA: number; readonly lengthB: number }[];
  readonly numbers: Readonly<Record<string, { readonly mm: number }>>;
  readonly checks: readonly {
    readonly id: string;
    readonly status: string;
    readonly value: number;
    readonly message: string;
  }[];
}

const IN = 25.4;

function garment(id: string): Reply {
  const job = jobFrom(JSON.parse(readFileSync(join(process.cwd(), "samples/garments", `${id}.json`), "utf8")));
  const derived = derive(job);
  if (!derived.ok) throw new Error(id);
  return JSON.parse(JSON.stringify(replyOf(derived, job.body.unit))) as Reply;
}

const panel = (r: Reply, id: string): Panel => r.panels.find((p) => p.id === id) as Panel;
const edge = (p: Panel, id: string): Edge => p.edges.find((e) => e.id === id) as Edge;
const piece = (r: Reply, id: string) => r.pieces.find((p) => p.id === id) as Reply["pieces"][number];
const seam = (r: Reply, id: string) => r.seams.find((s) => s.id === id) as Reply["seams"][number];
const distance = (a: Pt, b: Pt): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
const length = (points: readonly Pt[]): number =>
  points.slice(1).reduce((sum, p, i) => sum + distance(points[i] as Pt, p), 0);

/** Where a horizontal crosses an outline. */
function crossings(points: readonly Pt[], y: number, closed = true): number[] {
  return points
    .flatMap((a, i) => {
      const b = points[(i + 1) % points.length] as Pt;
      if (!closed && i === points.length - 1) return [];
      if (a[1] > y === b[1] > y) return [];
      return [a[0] + ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1])];
    })
    .sort((a, b) => a - b);
}
const width = (p: Panel, y: number): number => {
  const xs = crossings(p.outline, y);
  return (xs.at(-1) ?? 0) - (xs[0] ?? 0);
};
const sideX = (p: Panel, y: number): number => crossings(edge(p, "side").points, y, false)[0] ?? NaN;
const across = (points: readonly Pt[]): number => {
  const ys = points.map((p) => p[1]);
  return Math.max(...ys) - Math.min(...ys);
};
const waist = (p: Panel): number => p.edges.filter((e) => e.role === "waist").reduce((sum, e) => sum + e.length, 0);

/** Within a sixteenth of an inch. */
const near = (inches: number): unknown => expect.closeTo(inches, 1);
const inches = (mm: number): number => mm / IN;
const is = (mm: number, wanted: number): void => expect(Math.abs(inches(mm) - wanted)).toBeLessThan(0.0625);

test("shorts with a pleated trim", () => {
  const r = garment("trimmed-shorts");
  const [front, back] = [panel(r, "front"), panel(r, "back")];
  // The hip inch throughout, on top of the inch the back is wider anyway.
  is(edge(back, "hem").length - edge(front, "hem").length, 2);
  is(edge(back, "hem").length + edge(front, "hem").length, 25);
  for (const id of ["band-front", "band-back"]) is(edge(panel(r, id), "side").length, 2);
  is(seam(r, "trim").lengthB, inches(2 * seam(r, "trim").lengthA));
  // Cut 3 1/2 in, held half an inch inside a seam of an inch.
  is(across(piece(r, "trim").cutLine), 3.5);
  expect(
    piece(r, "front")
      .edges.filter((e) => e.edge === "side")
      .map((e) => inches(e.allowance)),
  ).toEqual([near(1)]);
  const crotch = piece(r, "back")
    .edges.filter((e) => e.edge === "crotch")
    .map((e) => inches(e.allowance));
  expect([Math.max(...crotch), Math.min(...crotch)]).toEqual([near(1), near(0.5)]);
  expect(piece(r, "patch").material).toBe("contrast");
});

test("palazzo by slashing", () => {
  const r = garment("palazzo");
  const front = panel(r, "front");
  // Half of the thigh on the front's crotch line, before it is opened: hip and crotch point do not move apart above it.
  const half = (23 + 3 / 4) / 2;
  const line = r.numbers.frontWidth && r.numbers.frontExtension;
  expect(line).toBeDefined();
  is((r.numbers.frontWidth?.mm ?? 0) + (r.numbers.frontExtension?.mm ?? 0), half);
  is((front.landmarks.waistCentre as Pt)[1], 1);
  is((r.numbers.backExtension?.mm ?? 0) - (r.numbers.frontExtension?.mm ?? 0), 2);
  is(seam(r, "waist-right").lengthA, inches(seam(r, "waist-right").lengthB));
  // Opened 9 in a panel: the hem grows by about as much on each.
  expect(inches(edge(front, "hem").length)).toBeGreaterThan(17);
});

test("pull-on paper-bag shorts", () => {
  const r = garment("paper-bag-shorts");
  is((r.numbers.frontExtension?.mm ?? 0) * 4, inches(r.numbers.frontWidth?.mm ?? 0));
  is((r.numbers.backExtension?.mm ?? 0) - (r.numbers.frontExtension?.mm ?? 0), 3);
  is(across(panel(r, "waistband").outline), 2 * (2 + 1.75));
  // The channel sits on the waist: it comes off the panels, the frill does not; both numbers are told.
  is((r.numbers.crotchDepth?.mm ?? 0) - (r.numbers.crotchFromEdge?.mm ?? 0), 1.75);
  // The ring is as long as the edge, and hip-wide.
  is(2 * (waist(panel(r, "front")) + waist(panel(r, "back"))), inches(edge(panel(r, "waistband"), "inner").length));
  expect(r.checks.find((c) => c.id === "hip-ease")?.status).not.toBe("pass");
});

test("high-waist cigarette", () => {
  const r = garment("high-cigarette");
  is(r.numbers.crotchDepth?.mm ?? 0, 10 + 2);
  const [front, back] = [panel(r, "front"), panel(r, "back")];
  // Two above the natural waist, the centre front half an inch in and three quarters down.
  is((r.numbers.waistLevel?.mm ?? 0) / 1, 2);
  is((r.numbers.backExtension?.mm ?? 0) - (r.numbers.frontExtension?.mm ?? 0), 3.5);
  const y = 12 * IN + 1 * IN;
  is(width(front, y) + width(back, y), 26);
  expect(front.edges.some((e) => e.role === "dart")).toBe(false);
  for (const id of ["band-front", "band-back"]) is(edge(panel(r, id), "side").length, 2);
});

test("bell with a flared piece at the knee", () => {
  const r = garment("bell");
  is(seam(r, "flounce").lengthB, inches(seam(r, "flounce").lengthA));
  is(r.numbers.frontExtension?.mm ?? 0, 1.5);
  is(r.numbers.waistLevel?.mm ?? 0, 2);
  const ring = r.panels.filter((p) => p.id.startsWith("flounce") && !p.id.includes("lining"));
  // Half a circle: the hem is longer than the seam by pi times the depth.
  const depth = edge(ring[0] as Panel, "end").length;
  const hem = ring.reduce((sum, p) => sum + edge(p, "hem").length, 0);
  is(hem - seam(r, "flounce").lengthA, inches(Math.PI * depth));
  // A single layer, turned in.
  is(across(panel(r, "waistband").outline), 2);
});

test("slit front with buttons", () => {
  const r = garment("slit-front");
  expect(r.panels.map((p) => p.id)).toEqual(
    expect.arrayContaining(["front-right", "front-left-centre", "front-left-side"]),
  );
  is(edge(panel(r, "front-left-side"), "split-top").length, 2);
  is(across(panel(r, "waistband").outline), 4);
  // Buttoned on the line that was cut, the slit front is as wide as the plain one.
  const plain = panel(r, "front-right");
  for (const y of [16, 22, 28].map((n) => n * IN)) {
    const parts = ["front-left-centre", "front-left-side"].reduce((sum, id) => sum + width(panel(r, id), y), 0);
    is(parts - 4 * IN, inches(width(plain, y)));
  }
});

test("paper-bag with patch pockets", () => {
  const r = garment("paper-bag");
  is(r.numbers.frontExtension?.mm ?? 0, 3);
  const y = (r.numbers.crotchDepth?.mm ?? 0) + 3 * IN;
  is(width(panel(r, "front"), y) + width(panel(r, "back"), y), 28);
  const dart = panel(r, "front").lines.find((l) => l.kind === "dart");
  expect(Math.abs(dart?.points[1]?.[0] ?? 99)).toBeLessThan(IN / 2);
  const patch = panel(r, "patch");
  is(distance(patch.landmarks.openingTop as Pt, patch.landmarks.openingEnd as Pt), 5.5);
  is(edge(panel(r, "belt"), "sewn").length, 50);
  // A band cut to the body on a garment without an opening, and darts in a pull-on waist: both are caught.
  expect(r.checks.find((c) => c.id === "pull-on")?.status).toBe("fault");
});

test("jogger with mock fly", () => {
  const r = garment("jogger");
  const fly = panel(r, "mock-fly");
  is(edge(fly, "waist").length, 1.5);
  is(r.numbers.waistLevel?.mm ?? 0, 2);
  // The hip inch at the hip line only: from the slant the back is an inch narrower on the crotch line.
  const { backWidth, backWidthAtCrotch, inAtWaist, inAtCrotch, crotchDepth, hipLevel } = r.numbers;
  is(backWidth?.mm ?? 0, 41 / 4 + 1);
  is(backWidthAtCrotch?.mm ?? 0, 41 / 4);
  const lean = ((inAtWaist?.mm ?? 0) - (inAtCrotch?.mm ?? 0)) / (crotchDepth?.mm ?? 1);
  const [hip, crotch] = [hipLevel?.mm ?? 0, crotchDepth?.mm ?? 0];
  const back = panel(r, "back");
  is(sideX(back, hip) - sideX(back, crotch), 1 + inches(lean * (crotch - hip)));
});

test("loose sweat trousers from an own block", () => {
  const r = garment("loose-sweat");
  const front = panel(r, "front");
  expect(front.edges.some((e) => e.role === "casing")).toBe(true);
  expect(piece(r, "pocket-bag").cutLine.length).toBeGreaterThan(4);
});

test("yoked trousers with a calf flare", () => {
  const r = garment("yoked-fly");
  const yoke = piece(r, "back-yoke");
  expect(yoke.notches.filter((n) => n.pairs === "own")).toHaveLength(2);
  expect(yoke.edges.find((e) => e.surplus)?.surplus).toBeCloseTo(40, 6);
  expect(r.checks.find((c) => c.id === "yoke-fly")?.status).toBe("pass");
  // Yoke seam walked: equal above and below.
  for (const s of r.seams.filter((x) => x.id.includes("yoke")))
    expect(Math.abs(s.lengthA - s.lengthB)).toBeLessThan(0.05);
});

test("trousers with a full-circle flounce", () => {
  const r = garment("circle-flounce");
  is(r.numbers.frontExtension?.mm ?? 0, 39 / 16);
  const waistToHip = 8.5;
  is(r.numbers.crotchDepth?.mm ?? 0, waistToHip + 1);
  const rings = r.panels.filter((p) => p.id.startsWith("flounce-") && !p.id.includes("lining"));
  const outs = rings.flatMap((p) => edge(p, "top").points.map((q) => Math.hypot(...q)));
  is(Math.max(...outs), inches(seam(r, "flounce").lengthA / (2 * Math.PI)));
  expect(piece(r, "front").edges.find((e) => e.surplus)?.surplus).toBeCloseTo(2 * IN, 6);
  expect(r.pieces.filter((p) => p.material === "lining")).toHaveLength(4);
});

test("pleated wide shorts", () => {
  const r = garment("pleated-shorts");
  is((r.numbers.frontExtension?.mm ?? 0) * 4, inches(r.numbers.frontWidth?.mm ?? 0));
  is(r.numbers.backExtension?.mm ?? 0, inches(2 * (r.numbers.frontExtension?.mm ?? 0)));
  // What lies beyond a waist quarter is pleated on every panel.
  for (const id of ["front", "back"]) is(waist(panel(r, id)), 7);
  expect(panel(r, "front").edges.some((e) => e.role === "dart")).toBe(true);
});

test("bandless flare", () => {
  const r = garment("bandless-flare");
  const front = panel(r, "front");
  is(r.numbers.frontExtension?.mm ?? 0, 2);
  is(r.numbers.frontWidth?.mm ?? 0, 10);
  // Hung from the side: the knee three quarters in from the hip.
  const knee = (front.landmarks.kneeSide as Pt)[0];
  is(Math.abs((front.landmarks.hipSide as Pt)[0]) - Math.abs(knee), 0.75);
  // Two and a half out on each of the four edges below it.
  const back = panel(r, "back");
  const out = (p: Panel): number =>
    width(p, (p.landmarks.hemSide as Pt)[1] - 2) - width(p, (p.landmarks.kneeSide as Pt)[1]);
  expect(Math.abs(inches(out(front) + out(back)) - 10)).toBeLessThan(0.3);
  is(length(edge(panel(r, "facing-back"), "side").points), 2);
});

test("stretch wide leg", () => {
  const r = garment("stretch-wide");
  is(r.numbers.crotchDepth?.mm ?? 0, 11);
  is(edge(panel(r, "front"), "hem").length + edge(panel(r, "back"), "hem").length, 23);
  // A strip of five inches, with its two allowances.
  is(across(piece(r, "waistband").cutLine), 5 + 2 * (7 / IN - 0.25));
  is(r.numbers.riseForLower?.mm ?? 0, 1);
});

test("flared one-piece with a folded front", () => {
  const r = garment("folded-front");
  is(r.numbers.frontExtension?.mm ?? 0, 2);
  is(r.numbers.crotchDepth?.mm ?? 0, 41 / 4);
  const front = panel(r, "bodice-front");
  const [neck, waistCentre] = [front.landmarks.neckCentre as Pt, front.landmarks.waistCentre as Pt];
  // Two inches beyond the centre at the neck, three quarters at the waist.
  const lap = [...edge(front, "front-edge").points].sort((a, b) => a[1] - b[1]);
  is(Math.abs((lap[0] as Pt)[0] - neck[0]), 2);
  is(Math.abs((lap.at(-1) as Pt)[0] - waistCentre[0]), 0.75);
  // Both halves are cut to the front's length: the back is longer than the back, and the proof says by how much.
  const back = panel(r, "bodice-back");
  const drawn = distance(back.landmarks.nape as Pt, back.landmarks.waistCentre as Pt);
  const bulge = r.checks.find((c) => c.id === "back-bulge");
  expect(bulge?.status).toBe("look");
  expect(bulge?.value).toBeCloseTo(drawn - (16 + 1 / 2) * IN, 0);
  expect(bulge?.message).toMatch(/Dart .* out of the back above the waist/);
  // Shaped alike, darts and all.
  for (const root of ["front", "back"]) is(waist(panel(r, root)), inches(waist(panel(r, `bodice-${root}`))));
  // An inch beyond the centre back for the zip, on bodice and trousers.
  for (const [id, name] of [
    ["bodice-back", "centre"],
    ["back", "crotch"],
  ] as const)
    expect(
      piece(r, id)
        .edges.filter((e) => e.edge === name)
        .map((e) => inches(e.allowance)),
    ).toContainEqual(near(1));
});

test("one-piece with pleated side panels", () => {
  const sides = garment("side-panels");
  const [front, back] = [seam(sides, "side-panel-top-front"), seam(sides, "side-panel-top-back")];
  for (const s of [front, back]) is(s.lengthB, inches(2 * s.lengthA));
  // Half of the thigh decides the extension.
  is((sides.numbers.frontWidth?.mm ?? 0) + (sides.numbers.frontExtension?.mm ?? 0), 23.375 / 2);
  for (const root of ["front", "back"]) {
    const own = waist(panel(sides, `bodice-${root}`));
    is(own, 33 / 4);
    is(seam(sides, `waist-${root}`).lengthB, inches(own));
  }
});

test("cowl top: what the swing keeps, and how low the neck hangs", () => {
  const r = garment("cowl-top");
  const [front, back] = [panel(r, "bodice-front"), panel(r, "bodice-back")];
  for (const role of ["shoulder", "side"] as const)
    expect(Math.abs(length(edge(front, role).points) - length(edge(back, role).points))).toBeLessThan(0.01);
  // The neck runs level from the shoulder to the fold, and the fold straight up.
  const fold = front.lines.find((l) => l.kind === "fold")?.points as readonly [Pt, Pt];
  expect(fold[0][1]).toBeCloseTo(fold[1][1], 6);
  // It hangs as a parabola as long as the whole edge, between the two ends of the neck: by quadrature, not by formula.
  const span = 2 * Math.abs((back.landmarks.neckEnd as Pt)[0]);
  const sag = (drop: number): number => {
    const at = (t: number): Pt => [span * t, 4 * drop * t * (1 - t)];
    return length(Array.from({ length: 401 }, (_, i) => at(i / 400)));
  };
  const told = r.checks.find((c) => c.id === "facing-covers");
  const drop = Number(/hangs ([\d ]+(?:\d+\/\d+)?)/.exec(told?.message ?? "")?.[1]?.split(" ")[0]);
  expect(drop).toBeGreaterThan(5);
  expect(sag((drop + 1) * IN)).toBeGreaterThan(2 * distance(fold[0], fold[1]));
  expect(sag(drop * IN)).toBeLessThan(2 * distance(fold[0], fold[1]) + 1);
  is((front.landmarks.hemCentre as Pt)[1], 8);
  // The facing is cut on above the neck, and covers.
  expect(told?.status).toBe("pass");
});

test("wide one-piece, pleated waist", () => {
  const r = garment("one-piece-pleated");
  for (const root of ["front", "back"]) {
    // From each centre a waist quarter of 30 in on the stitching line; bodice and trousers alike.
    is(waist(panel(r, root)), 7.5);
    is(waist(panel(r, `bodice-${root}`)), 7.5);
    // Hip-wide above, and one pleat holds the rest.
    expect(panel(r, root).lines.filter((l) => l.kind === "pleat").length).toBeGreaterThan(0);
  }
  // A sixteenth of the hip in front, 2 1/2 in more behind.
  is(r.numbers.frontExtension?.mm ?? 0, 40 / 16);
  is((r.numbers.backExtension?.mm ?? 0) - (r.numbers.frontExtension?.mm ?? 0), 2.5);
  // The bust dart is closed into the waist dart: none is left at the side.
  const front = panel(r, "bodice-front");
  expect(front.edges.filter((e) => e.role === "side")).toHaveLength(1);
  expect(front.edges.filter((e) => e.role === "dart")).toHaveLength(1);
  is(length(edge(front, "side").points), inches(length(edge(panel(r, "bodice-back"), "side").points)));
  // Its upper part is of a second cloth and faces itself; the sleeve changes cloth at the same share of the armhole.
  for (const id of ["bodice-front-upper", "bodice-back-upper-facing", "sleeve-upper"])
    expect(piece(r, id).material).toBe("contrast");
  const [sewn, cap] = [panel(r, "bodice-front"), panel(r, "sleeve")].map((p) =>
    length(edge(p, p.id === "sleeve" ? "cap-front" : "armhole").points),
  ) as [number, number];
  const whole = seam(r, "sleeve-front");
  expect(cap / whole.lengthB).toBeCloseTo(sewn / whole.lengthA, 3);
  // The cap is half an inch longer than the armhole, half of it in front.
  is(whole.lengthB - whole.lengthA, 0.25);
  is(seam(r, "sleeve-back").lengthB - seam(r, "sleeve-back").lengthA, 0.25);
});

test("culotte one-piece, gathered waist", () => {
  const r = garment("one-piece-culotte");
  const cm = (mm: number): number => mm / 10;
  const [front, back] = [panel(r, "bodice-front"), panel(r, "bodice-back")];
  // Waist quarter of 77, each side half a centimetre out.
  for (const p of [front, back]) expect(cm(waist(p))).toBeCloseTo(77 / 4 + 0.5, 1);
  for (const root of ["front", "back"]) {
    const { lengthA, lengthB } = seam(r, `waist-${root}`);
    expect(cm(lengthA)).toBeCloseTo(19.75, 1);
    expect(lengthB / lengthA).toBeGreaterThan(1.2);
  }
  // The waist dart went into the bust dart, its tip 3 cm from the bust point and half-way between its legs.
  const [upper, lower] = [edge(front, "dart-leg"), edge(front, "dart-leg-2")];
  const bust = front.landmarks.bustPoint as Pt;
  const tip = [...upper.points].sort((a, b) => distance(a, bust) - distance(b, bust))[0] as Pt;
  expect(cm(distance(tip, bust))).toBeCloseTo(3, 1);
  expect(cm(Math.abs(length(upper.points) - length(lower.points)))).toBeLessThan(0.01);
  // It is cut out to a centimetre along both legs.
  for (const id of ["dart-leg", "dart-leg-2"])
    expect(
      piece(r, "bodice-front")
        .edges.filter((e) => e.edge === id)
        .map((e) => cm(e.allowance)),
    ).toEqual([expect.closeTo(1, 3)]);
  // The shoulder is 6 wide.
  expect(cm(length(edge(front, "shoulder").points))).toBeCloseTo(6, 2);
  // Shoulders: 2.5 in at the arm, 3 at the neck, equal before and behind.
  expect(cm(edge(front, "shoulder").length - edge(back, "shoulder").length)).toBeCloseTo(0, 3);
  for (const role of ["neck", "armhole"])
    expect(
      piece(r, "bodice-front")
        .edges.filter((e) => e.edge === role)
        .map((e) => cm(e.allowance)),
    ).toEqual([expect.closeTo(0.7, 3)]);
  expect(piece(r, "bodice-back").notches.filter((n) => n.pairs === "edge-facing-back-armhole").length).toBeGreaterThan(
    0,
  );
});
