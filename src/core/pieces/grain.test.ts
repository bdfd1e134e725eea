import { textOf } from "../units";
import { cutShapes } from "../cloth";
import type { Point } from "../geometry";
import { derivedOf, HAND_BODY, palazzoJob } from "../testing/jobs";
import { said } from "../testing/said";
import { CARD_KINDS, cardsOf, type Card } from "../making/cards";
import type { Piece } from ".";

/** Degrees from a piece's thread in one garment to the same piece's in another, without a way. */
function turned(a: Piece, b: Piece): number {
  const [one, other] = [a, b].map(({ grain: [from, to] }) => Math.atan2(to[1] - from[1], to[0] - from[0]));
  const by = Math.abs((((other ?? 0) - (one ?? 0)) * 180) / Math.PI) % 180;
  return Math.min(by, 180 - by);
}

/** True for a place inside an outline, by the crossings of a ray. */
const isInside = ([x, y]: Point, outline: readonly Point[]): boolean =>
  outline.filter(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length] as Point;
    return ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax);
  }).length %
    2 ===
  1;

/** How wide a piece is across a direction, by its cut line. */
function width(outline: readonly Point[], degrees: number): number {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const off = outline.map(([x, y]) => y * c - x * s);
  return Math.max(...off) - Math.min(...off);
}

const piece = (pieces: readonly Piece[], id: string): Piece => pieces.find((p) => p.id === id) as Piece;
const PLAIN = palazzoJob(HAND_BODY);
const before = derivedOf(PLAIN).pieces;

test("a piece laid across or on the bias has its thread turned, inside its outline, and says so", () => {
  const strips = before.filter((p) => p.is.component === "part" && !p.cut.onFold);
  expect(strips.length).toBeGreaterThan(0);
  for (const { id } of [...strips, piece(before, "back"), piece(before, "front")])
    for (const [lies, degrees, words] of [
      ["across", 90, "across the cloth"],
      ["bias", 45, "on the bias"],
      ["clockwise", 3, "turned 3° clockwise"],
      ["anticlockwise", 3, "turned 3° anticlockwise"],
    ] as const) {
      const after = derivedOf({ ...PLAIN, cloth: { grain: { [id]: lies } } }).pieces;
      const now = piece(after, id);
      expect(turned(piece(before, id), now)).toBeCloseTo(degrees, 6);
      for (const end of now.grain) expect(isInside(end, now.seamLine)).toBe(true);
      expect(now.label.map(textOf).join()).toContain(words);
      expect(now.cutLine).toEqual(piece(before, id).cutLine);
      for (const other of after) if (other.id !== id) expect(other.grain).toEqual(piece(before, other.id).grain);
    }
});

test("on the cloth a turned piece lies turned", () => {
  const { pieces: turnedPieces } = derivedOf({ ...PLAIN, cloth: { grain: { back: "bias", front: "across" } } });
  const leaning = derivedOf({ ...PLAIN, cloth: { grain: { back: "clockwise" } } }).pieces;
  for (const [id, degrees, pieces] of [
    ["back", 45, turnedPieces],
    ["front", 0, turnedPieces],
    ["back", 87, leaning],
  ] as const) {
    const shape = cutShapes(pieces, "shell").find((s) => s.piece === id);
    const ys = (shape?.outline ?? []).map(([, y]) => y);
    const wide = Math.max(...ys) - Math.min(...ys);
    const upright = piece(before, id);
    // Of a mirrored pair either diagonal is the bias.
    const wanted = [degrees, -degrees].map((d) => width(upright.cutLine, d));
    expect(Math.min(...wanted.map((w) => Math.abs(w - wide)))).toBeLessThan(0.01);
  }
});

test("what is cut on the fold stays on the thread, and that is said", () => {
  const faced = { ...PLAIN, finish: { ...PLAIN.finish, waist: { kind: "facing" as const } } };
  const folded = derivedOf(faced).pieces.find((p) => p.cut.onFold && p.material === "shell");
  expect(folded).toBeDefined();
  const id = folded?.id ?? "";
  const { pieces, undecided } = derivedOf({ ...faced, cloth: { grain: { [id]: "bias" } } });
  expect(piece(pieces, id).grain).toEqual(folded?.grain);
  expect(piece(pieces, id).lies).toBeNull();
  expect(undecided.map((says) => said(says)).join()).toMatch(
    /is cut on the fold, which lies on the thread: it cannot lie on the bias/,
  );
});

test("legs on the bias are to hang before the hem is levelled; a strip on the bias is not", () => {
  const advised = (id: string): boolean =>
    derivedOf({ ...PLAIN, cloth: { grain: { [id]: "bias" } } }).advice.some((a) => a.id === "bias-hangs");
  const [strip] = before.filter((p) => p.is.component === "part" && !p.cut.onFold);
  expect([advised("back"), advised(strip?.id ?? "")]).toEqual([true, false]);
});

test.each(CARD_KINDS)("cards %s: the grain that is drawn is the thread as the piece lies", (on) => {
  const angleOf = (cards: readonly Card[], panel: string): number => {
    const acts = cards.flatMap(({ panel: of, act }) =>
      of === panel && act.kind === "inner" && act.line === "grain" ? [act.points] : [],
    );
    const [from, to] = [acts.at(-1)?.[0], acts.at(-1)?.at(-1)];
    return Math.atan2((to?.[1] ?? NaN) - (from?.[1] ?? NaN), (to?.[0] ?? NaN) - (from?.[0] ?? NaN));
  };
  const plain = cardsOf(derivedOf(PLAIN), on, "cm");
  const laid = cardsOf(derivedOf({ ...PLAIN, cloth: { grain: { back: "bias", front: "across" } } }), on, "cm");
  for (const [panel, degrees] of [
    ["back", 45],
    ["front", 90],
  ] as const) {
    const by = (Math.abs(angleOf(laid, panel) - angleOf(plain, panel)) * 180) / Math.PI;
    expect(Math.min(by % 180, 180 - (by % 180))).toBeCloseTo(degrees, 3);
  }
  expect(laid.some((c) => said(c.says).includes("on the bias"))).toBe(on === "cloth");
});
