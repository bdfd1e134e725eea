import {
  garment,
  panel,
  edge,
  piece,
  seam,
  distance,
  length,
  waist,
  near,
  inches,
  is,
  IN,
  type Pt,
} from "../../testing/replyMeasures";

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
