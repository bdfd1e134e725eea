import { EndType, inflatePathsD, JoinType } from "clipper2-ts";
import { derive } from "../../derive";
import type { Job } from "../../files";
import { bringIn } from "../../files/bringIn";
import { writeSvg } from "../../files/drawing/svg";
import { line, pathFlatten, polygonArea, type Path, type Point } from "../../geometry";
import { cornersOf, outlineData } from "../../tracing";
import { edgesWithRole, panelById, panelOutline, type Panel } from "../../pattern";
import { derivedOf, HAND_BODY, palazzoJob, shapeOf } from "../../testing/jobs";
import { ownBodiceOf } from "../../testing/ownBodice";
import { complaintsOf, said } from "../../testing/said";
import type { OwnBodice } from "..";

const onePiece = (params: Record<string, unknown> = {}, more: Partial<Job> = {}): Job =>
  palazzoJob(HAND_BODY, { style: { id: "one-piece", params }, ...more });

const taking = (bodice: OwnBodice, params: Record<string, unknown> = {}, more: Partial<Job> = {}): Job =>
  onePiece({ school: "own", ...params }, { block: { school: "proportional", rules: {}, bodice }, ...more });

/** Length of a panel's edges of one role, by chords. */
const long = (panel: Panel, role: Parameters<typeof edgesWithRole>[1]): number =>
  edgesWithRole(panel, role)
    .map((e) => pathFlatten(e.path, 0.001))
    .reduce(
      (all, run) =>
        all +
        run
          .slice(1)
          .reduce((sum, p, i) => sum + Math.hypot(p[0] - (run[i] as Point)[0], p[1] - (run[i] as Point)[1]), 0),
      0,
    );

const apart = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

const outlineOf = (points: readonly Point[]): Path =>
  points.map((p, i) => line(p, points[(i + 1) % points.length] as Point));

const complaint = (job: Job): string => {
  const made = derive(job);
  if (!made.ok) return complaintsOf(made.errors);
  return made.worksheet.flatMap((l) => (l.passed ? [said(l.passed)] : [])).join(" ") || "made";
};

describe.each(["measured", "quarters"])("a bodice drafted %s and brought in", (school) => {
  const drafted = shapeOf(onePiece({ school }));
  const own = ownBodiceOf(onePiece({ school }));

  test("has every edge, dart and place that was drawn", () => {
    const { panels } = shapeOf(taking(own));
    for (const id of ["bodice-front", "bodice-back"]) {
      const [was, is] = [panelById(drafted.drafted.panels, id), panelById(panels, id)];
      for (const role of ["neck", "shoulder", "armhole", "side", "waist"] as const)
        expect([id, role, long(is, role)]).toEqual([id, role, expect.closeTo(long(was, role), 1)]);
      expect(is.lines.filter((l) => l.kind === "dart")).toHaveLength(was.lines.filter((l) => l.kind === "dart").length);
      expect(Math.abs(polygonArea([...panelOutline(is)]))).toBeCloseTo(
        Math.abs(polygonArea([...panelOutline(was)])),
        -1,
      );
    }
  });

  test("is sewn to every kind of trousers, and the whole shows no fault", () => {
    for (const leg of ["wide", "culotte", "flare", "palazzo", "side-panel"]) {
      const { checks, pieces } = derivedOf(taking(own, { leg }));
      const allowed = new Set(["back-bulge"]);
      expect([leg, checks.filter((c) => c.status === "fault" && !allowed.has(c.id)).map((c) => c.id)]).toEqual([
        leg,
        [],
      ]);
      expect(pieces.map((p) => p.id)).toEqual(expect.arrayContaining(["bodice-front", "bodice-back"]));
    }
  });

  test("stays as it is when the card changes, and turned or mirrored it is the same", () => {
    const wider = taking(own, {}, { body: { ...HAND_BODY, measures: { ...HAND_BODY.measures, bust: 1100 } } });
    const turn = ([x, y]: readonly [number, number]): [number, number] => [-y + 900, x - 40];
    const data = (path: string): string =>
      path.replace(/(-?[\d.]+) (-?[\d.]+)/g, (_, x: string, y: string) => turn([Number(x), Number(y)]).join(" "));
    const turned: OwnBodice = {
      ...own,
      panels: {
        ...own.panels,
        back: {
          path: data(own.panels.back.path),
          darts: own.panels.back.darts?.map((d) => d.map(turn)) as OwnBodice["panels"]["back"]["darts"],
        },
      },
      landmarks: {
        ...own.landmarks,
        back: Object.fromEntries(
          Object.entries(own.landmarks.back).map(([name, p]) => [name, turn(p)]),
        ) as OwnBodice["landmarks"]["back"],
      },
    };
    const back = (job: Job): readonly Point[] => panelOutline(panelById(shapeOf(job).panels, "bodice-back"));
    const plain = back(taking(own));
    back(wider).forEach((p, i) => expect(p).toEqual([...(plain[i] as Point)]));
    back(taking(turned)).forEach((p, i) => {
      expect(Math.hypot(p[0] - (plain[i] as Point)[0], p[1] - (plain[i] as Point)[1])).toBeLessThan(0.05);
    });
  });
});

describe("a bodice brought in", () => {
  const own = ownBodiceOf(onePiece());

  test("gives up the allowance it holds all round, but for the front's fold", () => {
    const grown = (half: "front" | "back"): Point[] => {
      const panel = panelById(shapeOf(onePiece()).drafted.panels, `bodice-${half}`);
      const points = pathFlatten(
        panel.edges.flatMap((e) => [...e.path]),
        0.01,
      ).map(([x, y]) => ({ x, y }));
      const [out = []] = inflatePathsD([points], 12.7, JoinType.Miter, EndType.Polygon, 6, 4);
      // On the fold nothing is added.
      return out.map(({ x, y }): Point => [half === "front" ? Math.min(x, 0) : x, y]);
    };
    const placed = (half: "front" | "back") => {
      const corners = cornersOf(outlineOf(grown(half))).map(({ point }) => point);
      const nearest = (p: Point): [number, number] => {
        const [x, y] = corners.reduce((a, b) => (apart(b, p) < apart(a, p) ? b : a));
        return [x, y];
      };
      const { bustPoint, ...others } = { bustPoint: [0, 0] as [number, number], ...own.landmarks[half] };
      const moved = Object.fromEntries(Object.entries(others).map(([name, p]) => [name, nearest(p)]));
      return half === "front" ? { ...moved, bustPoint } : moved;
    };
    const cut = (half: "front" | "back"): OwnBodice["panels"]["front"] => ({
      path: outlineData(outlineOf(grown(half))),
      darts: own.panels[half].darts,
    });
    const held = {
      panels: { front: cut("front"), back: cut("back") },
      landmarks: { front: placed("front"), back: placed("back") },
      allowance: "1/2 in",
    } as OwnBodice;
    expect(complaint(taking(held))).toBe("made");
    const { panels } = shapeOf(taking(held));
    const was = shapeOf(onePiece()).drafted.panels;
    for (const id of ["bodice-front", "bodice-back"])
      for (const role of ["shoulder", "neck", "side"] as const)
        expect([id, role, Math.abs(long(panelById(panels, id), role) - long(panelById(was, id), role)) < 3]).toEqual([
          id,
          role,
          true,
        ]);
  });

  test("says what is missing or lies wrong, and where", () => {
    expect(complaint(onePiece({ school: "own" }))).toMatch(/no bodice of your own yet/);
    const moved = (half: "front" | "back", name: string, p: [number, number]): OwnBodice => ({
      ...own,
      landmarks: { ...own.landmarks, [half]: { ...own.landmarks[half], [name]: p } },
    });
    expect(complaint(taking(moved("front", "bustPoint", [400, -200])))).toMatch(/bust point lies beyond the panel/);
    expect(complaint(taking(moved("back", "underarm", [900, 0])))).toMatch(/lies .* off the outline/);
    expect(complaint(taking(moved("back", "neckEnd", own.landmarks.back.waistSide)))).toMatch(
      /wrong order|below|outside/,
    );
    expect(complaint(taking({ ...own, allowance: "12 cm" }))).toMatch(/allowance must lie between/);
  });

  test("moves that redraw a bodice say that one brought in is kept", () => {
    const withLine = (move: string, params: Record<string, unknown>, redraws = true) =>
      taking(
        own,
        {},
        {
          moves: [
            { id: "a", move: "bodice", on: true, params: { school: "own" } },
            ...(redraws ? [{ id: "b", move, on: true, params }] : []),
            { id: "c", move: "shape-leg", on: true, params: { fall: "straight" } },
            ...(redraws ? [] : [{ id: "b", move, on: true, params }]),
            { id: "d", move: "join-bodice", on: true, params: {} },
          ],
        },
      );
    expect(complaint(withLine("bodice-edges", { neckFront: "2 cm" }))).toMatch(/one brought in keeps/);
    expect(complaint(withLine("pivot-dart", {}))).toMatch(/one brought in keeps/);
    expect(complaint(withLine("bodice-edges", {}))).toBe("made");
    expect(complaint(withLine("fold-back", {}, false))).toBe("made");
    expect(complaint(withLine("style-line", {}, false))).toBe("made");
  });

  test("is found in Eland's own drawing of a one-piece by its names and places", () => {
    const { pieces } = derivedOf(onePiece());
    const read = bringIn(writeSvg({ title: "One-piece", pieces, notices: [] }), null);
    if (read.kind !== "outlines") throw new Error(JSON.stringify(read));
    const { panels, places } = read.bodice;
    const name = (which: "front" | "back") => read.found.find((o) => o.id === panels?.[which])?.name;
    expect([name("front"), name("back")]).toEqual([
      expect.stringMatching(/^bodice-front/),
      expect.stringMatching(/^bodice-back/),
    ]);
    for (const half of ["front", "back"] as const) {
      const guess = places[panels?.[half] ?? ""];
      const panel = panelById(shapeOf(onePiece()).panels, `bodice-${half}`);
      const marked = (a: "neckCentre" | "underarm" | "waistSide" | "shoulderEnd", b: typeof a): number => {
        const [p, q] = [panel.landmarks[a] as Point, panel.landmarks[b] as Point];
        return Math.hypot(p[0] - q[0], p[1] - q[1]);
      };
      const guessed = (a: "neckCentre" | "underarm" | "waistSide" | "shoulderEnd", b: typeof a): number =>
        Math.hypot((guess?.[a][0] ?? 0) - (guess?.[b][0] ?? 0), (guess?.[a][1] ?? 0) - (guess?.[b][1] ?? 0));
      for (const [a, b] of [
        ["neckCentre", "underarm"],
        ["underarm", "waistSide"],
        ["shoulderEnd", "underarm"],
      ] as const)
        expect([half, a, b, Math.abs(marked(a, b) - guessed(a, b)) < 12]).toEqual([half, a, b, true]);
    }
  });
});
