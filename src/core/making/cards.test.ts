import { RUNS } from "../testing/runs";
import { derive, type Derived } from "../derive";
import type { Fitting } from "../fitting";
import { boxOf, type Point } from "../geometry";
import { panelOutline, type Panel } from "../pattern";
import { STYLES } from "../styles";
import { apart, drawnByHand } from "../testing/byHand";
import { plausibleBody } from "../testing/bodies";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { randomWorksheet } from "../testing/randomMoves";
import { said } from "../testing/said";
import { cardsOf, type Card } from ".";

/** Half of what a tape in inches is read to; a curve's own card says by how much a hand misses it. */
const HALF_AN_EIGHTH = 25.4 / 16;

/** The outline of a panel from the origin that its cards measure from. */
function fromOrigin(panel: Panel): readonly Point[] {
  const points = panelOutline(panel);
  const isPart = panel.is.component !== "legs" || panel.is.part !== null;
  const box = boxOf(panel.edges.flatMap((e) => e.path.flatMap((s) => [...s.points])));
  const centre = panel.landmarks.waistCentre ?? panel.landmarks.hemCentre;
  const [dx, dy] = !isPart
    ? [0, 0]
    : panel.is.component === "bodice" && panel.is.part === null && centre
      ? [centre[0], 0]
      : [box.left, box.top];
  return points.map(([x, y]): Point => [x - dx, y - dy]);
}

const LEFT_ALONE: Fitting = {
  id: "left",
  date: "2026-05-03",
  seen: "hem-short",
  pinned: "left",
  alone: true,
  words: "",
  changes: [{ move: "set-length", param: "length", by: 15 }],
};

/** Each is drawn in three kinds of cards. */
const COUNT = Math.ceil(RUNS / 3);
const RANDOM = Array.from({ length: COUNT }, (_, seed) => {
  const { style, moves } = randomWorksheet(seed);
  return derive(palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves }));
}).filter((d): d is Derived => d.ok);

const GARMENTS: readonly (readonly [string, Derived])[] = [
  ...Object.keys(STYLES).map((id) => [id, derivedOf(palazzoJob(HAND_BODY, { style: { id, params: {} } }))] as const),
  // Longer on the left alone: left and right are drawn apart.
  ...["straight", "flare"].map(
    (id) =>
      [
        `${id}, one-sided`,
        derivedOf(palazzoJob(HAND_BODY, { style: { id, params: {} }, fittings: [LEFT_ALONE] })),
      ] as const,
  ),
];

/** The largest distance between what is drawn from cards and what the engine drew, and where. */
function worst(
  panels: readonly (readonly [string, readonly Point[]])[],
  cards: readonly Card[],
): readonly [number, string] {
  const drawn = drawnByHand(cards);
  return panels.reduce<readonly [number, string]>(
    (most, [id, outline]) => {
      const own = drawn.get(id);
      const off = own && own.length > 2 ? apart(own, outline) : Infinity;
      return off > most[0] ? [off, id] : most;
    },
    [0, ""],
  );
}

const netPanels = ({ panels, sewn }: Derived): [string, readonly Point[]][] =>
  [...panels, ...sewn.filter((p) => !panels.some((own) => own.id === p.id))]
    .filter((p) => !sewn.some((s) => s.is.leftOf === p.id))
    .map((p) => [p.id, fromOrigin(p)]);

const cutLines = ({ pieces }: Derived): [string, readonly Point[]][] =>
  pieces.map((piece) => {
    const { left, top } = boxOf(piece.cutLine);
    return [piece.panel.id, piece.cutLine.map(([x, y]): Point => [x - left, y - top])];
  });

const styledPanels = ({ panels }: Derived): [string, readonly Point[]][] => panels.map((p) => [p.id, fromOrigin(p)]);

describe.each(GARMENTS)("%s, drawn by a stranger from its cards alone", (_, derived) => {
  test("paper cards give the seam lines, cloth cards the cut lines, short cards turn the block into the style", () => {
    expect(worst(netPanels(derived), cardsOf(derived, "paper", "in"))[0]).toBeLessThan(HALF_AN_EIGHTH);
    expect(worst(cutLines(derived), cardsOf(derived, "cloth", "in"))[0]).toBeLessThan(HALF_AN_EIGHTH);
    expect(worst(styledPanels(derived), cardsOf(derived, "short", "in"))[0]).toBeLessThan(HALF_AN_EIGHTH);
  });

  test.each(["in", "cm"] as const)(
    "on cloth, in %s, the parts of every number add up to it as they are printed",
    (tape) => {
      for (const { numbers, says } of cardsOf(derived, "cloth", tape))
        for (const name of ["right", "down"]) {
          const total = numbers[`${name}OnTape`];
          if (total === undefined) continue;
          const parts = [1, 2, 3].map((n) => numbers[`${name}Part${n}`] ?? 0);
          expect(parts.reduce((sum, mm) => sum + mm, 0)).toBeCloseTo(total, 6);
          // No allowance of a garment is wider than this: what lies beyond the net is an allowance, not a piece of the leg.
          for (const mm of parts.slice(1)) expect(Math.abs(mm)).toBeLessThan(120);
          expect(Math.abs(total - (numbers[name] ?? NaN))).toBeLessThanOrEqual(HALF_AN_EIGHTH + 1e-6);
          expect(said(says)).toMatch(/\.$/);
        }
    },
  );
});

test("random garments: paper, cloth and short cards each draw them within half a division of the tape", () => {
  expect(RANDOM.length).toBeGreaterThan(0.6 * COUNT);
  const off: [string, number][] = [];
  RANDOM.forEach((derived, i) => {
    for (const [kind, panels] of [
      ["paper", netPanels(derived)],
      ["cloth", cutLines(derived)],
      ["short", styledPanels(derived)],
    ] as const) {
      const [far, id] = worst(panels, cardsOf(derived, kind, "in"));
      if (far >= HALF_AN_EIGHTH) off.push([`${i} ${kind} ${derived.style.id} ${id}`, far]);
    }
  });
  expect(off).toEqual([]);
});

test("no card tells more than a hand can keep: few places and few words, whatever lies inside the piece", () => {
  for (const [id, derived] of GARMENTS)
    for (const kind of ["paper", "cloth", "short"] as const)
      for (const card of cardsOf(derived, kind, "in"))
        expect([id, kind, card.name, said(card.says).length < 440]).toEqual([id, kind, card.name, true]);
});
