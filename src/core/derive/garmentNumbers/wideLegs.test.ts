import {
  garment,
  panel,
  edge,
  piece,
  seam,
  length,
  width,
  across,
  inches,
  is,
  IN,
  type Pt,
  type Panel,
} from "../../testing/replyMeasures";

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
