import {
  garment,
  panel,
  edge,
  piece,
  seam,
  distance,
  width,
  sideX,
  across,
  waist,
  near,
  inches,
  is,
  IN,
  type Pt,
} from "../../testing/replyMeasures";

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

test("pleated wide shorts", () => {
  const r = garment("pleated-shorts");
  is((r.numbers.frontExtension?.mm ?? 0) * 4, inches(r.numbers.frontWidth?.mm ?? 0));
  is(r.numbers.backExtension?.mm ?? 0, inches(2 * (r.numbers.frontExtension?.mm ?? 0)));
  // What lies beyond a waist quarter is pleated on every panel.
  for (const id of ["front", "back"]) is(waist(panel(r, id)), 7);
  expect(panel(r, "front").edges.some((e) => e.role === "dart")).toBe(true);
});
