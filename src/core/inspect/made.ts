import { elasticLength, elasticOf, STRETCHES, type ResolvedPocket } from "../finish";
import { panelOutline } from "../pattern";
import { boxOf, pointDistance, pointSubtract, polygonArea, type Point } from "../geometry";
import type { Piece } from "../pieces";
import { type Mm, say, making, ratio, inside } from "../units";
import { byFloor, byLimits, placeOf, verdict, asStored, type CheckRule } from "./check";

/** The waist elastic passes the hip at full stretch and is not too tight at rest. */
export const elastic: CheckRule = {
  id: "elastic",
  label: "Elastic",
  note: "Stretched, the elastic passes the hip; relaxed, it is no shorter than three quarters of the waist.",
  measure({ finish, measures, legs, finishSource }) {
    const relaxed = elasticLength(elasticOf(finish), measures);
    if (!relaxed || !finish.waist) return null;
    const over = STRETCHES * relaxed.mm - measures.hip.mm;
    const tight = relaxed.mm < 0.75 * measures.waist.mm;
    return verdict(this, {
      status: over < 0 ? "fault" : tight ? "look" : "pass",
      value: relaxed.mm,
      limit: over < 0 ? measures.hip.mm / STRETCHES : 0.75 * measures.waist.mm,
      unit: "length",
      message:
        over < 0
          ? say`Stretched to ${ratio(STRETCHES)} times its length the elastic is ${-over} too short to pass the hip.`
          : tight
            ? say`The elastic is ${0.75 * measures.waist.mm - relaxed.mm} shorter than three quarters of the waist: it will mark the skin.`
            : say`${relaxed.mm}; stretched it passes the hip.`,
      where: placeOf(legs, "waistCentre"),
      fix: say`Choose a longer elastic.`,
      remedy: {
        label: say`Take the waist less a tenth`,
        changes: [
          {
            path: ["finish", "waist"],
            value: { ...asStored("waist", finish.waist.kind, finishSource), elastic: "waist-less" },
          },
        ],
      },
    });
  },
};

/** Opening that takes a hand with ease. */
const HAND: Mm = 150;

const storedAt = (pockets: unknown, i: number): object =>
  Array.isArray(pockets) && typeof pockets[i] === "object" ? (pockets[i] as object) : {};

/** A pocket as it is stored, opened wide enough for a hand where it is not. */
function widerFor(pocket: ResolvedPocket, stored: object): object {
  const { kind } = pocket;
  if (kind === "slant") return pocket.down.mm >= 165 ? { ...stored, kind } : { ...stored, kind, down: "170 mm" };
  if (kind === "rectangular-patch")
    return pocket.width.mm >= HAND ? { ...stored, kind } : { ...stored, kind, width: `${HAND} mm` };
  return pocket.opening.mm >= HAND ? { ...stored, kind } : { ...stored, kind, opening: `${HAND} mm` };
}

/** A hand and what it holds want a bag of at least this size. */
const BAG: { readonly wide: Mm; readonly deep: Mm } = { wide: 150, deep: 210 };

/** Every pocket's bag is large enough for a hand. */
export const pocketBag: CheckRule = {
  id: "pocket-bag",
  label: "Bag takes a hand",
  note: "Every pocket's bag is wide and deep enough for a hand.",
  measure({ panels }) {
    const bags = panels.filter((p) => p.is.part === "pocket-bag");
    const [first, ...rest] = bags.map((panel) => {
      const { left, right, top, bottom } = boxOf(panelOutline(panel));
      return { panel, wide: right - left, deep: bottom - top };
    });
    if (!first) return null;
    const lacking = ({ wide, deep }: { wide: Mm; deep: Mm }): Mm => Math.max(BAG.wide - wide, BAG.deep - deep);
    const least = rest.reduce((a, b) => (lacking(b) > lacking(a) ? b : a), first);
    const isTight = lacking(least) > 0;
    return verdict(this, {
      status: isTight ? "look" : "pass",
      value: least.wide,
      limit: BAG.wide,
      unit: "length",
      message: isTight
        ? say`The bag of ${least.wide} by ${least.deep} is tight for a hand.`
        : say`The bag measures ${least.wide} by ${least.deep}.`,
      where: { panel: least.panel.id, point: panelOutline(least.panel)[0] as Point },
      fix: say`Make the bag at least ${BAG.wide} wide and ${BAG.deep} deep.`,
    });
  },
};

/** A hand goes into every pocket. */
export const pocketHand: CheckRule = {
  id: "pocket-hand",
  label: "Hand goes in",
  note: "Every pocket opens wide enough for a hand.",
  measure({ panels, finish, finishSource }) {
    const found = panels.flatMap(({ id, landmarks: { openingTop, openingEnd } }) =>
      openingTop && openingEnd ? [{ panel: id, value: pointDistance(openingTop, openingEnd), point: openingTop }] : [],
    );
    const [first, ...rest] = found;
    if (!first) return null;
    const least = rest.reduce((a, b) => (b.value < a.value ? b : a), first);
    return verdict(this, {
      status: byFloor(least.value, 140, 125),
      value: least.value,
      limit: 140,
      unit: "length",
      message:
        least.value < 140
          ? say`The opening of ${least.value} is ${least.value < 125 ? "too small" : "tight"} for a hand.`
          : say`The pocket opens ${least.value}.`,
      where: { panel: least.panel, point: least.point },
      fix: say`Lengthen the opening.`,
      remedy: {
        label: say`Open it ${HAND}`,
        changes: [
          {
            path: ["finish", "pockets"],
            value: (finish.pockets ?? []).map((pocket, i) => widerFor(pocket, storedAt(finishSource.pockets, i))),
          },
        ],
      },
    });
  },
};

/** Width of a piece across its grain, on the cut line; a piece on the fold is twice as wide. */
export function acrossGrain({ cutLine, grain: [from, to], cut }: Piece): Mm {
  const [dx, dy] = pointSubtract(to, from);
  const size = Math.hypot(dx, dy) || 1;
  const { left, right } = boxOf(cutLine.map(([x, y]): Point => [(x * dy - y * dx) / size, 0]));
  return (right - left) * (cut.onFold ? 2 : 1);
}

/** How many of a piece are cut from a cloth; what is cut again counts too. */
const countFrom = ({ material, cut, alsoCut }: Piece, cloth: Piece["material"]): number =>
  (material === cloth ? cut.count : 0) + alsoCut.filter((c) => c.material === cloth).reduce((n, c) => n + c.count, 0);

/** Every piece fits on the width of the cloth in hand, shell and lining each on its own. */
export const pieceFitsCloth: CheckRule = {
  id: "piece-fits-cloth",
  label: "Fits on the cloth",
  note: "No piece is wider than its cloth, shell or lining, or it needs a join.",
  measure({ pieces, cloth }) {
    const tried = (
      [
        ["shell", cloth.width],
        ["lining", cloth.liningWidth],
      ] as const
    ).flatMap(([material, width]) =>
      width === null
        ? []
        : pieces
            .filter((p) => countFrom(p, material) > 0)
            .map((piece) => ({ piece, material, width, value: acrossGrain(piece) })),
    );
    const [first, ...rest] = tried;
    if (!first) return null;
    const worst = rest.reduce((a, b) => (b.value - b.width > a.value - a.width ? b : a), first);
    const { piece, material, width, value } = worst;
    const cloths = material === "shell" ? "cloth" : "lining";
    return verdict(this, {
      status: value > width ? "fault" : "pass",
      value,
      limit: width,
      unit: "length",
      message:
        value > width
          ? say`The ${inside(piece.name)} is ${value - width} wider than the ${cloths} of ${width}: there it needs a join.`
          : say`The widest piece, the ${inside(piece.name)}, takes ${value} of ${width}.`,
      where: { panel: piece.id, point: piece.grain[0] },
      fix: say`Piece it with a join, open the hem less, or take wider cloth.`,
    });
  },
};

/** The cloth in hand is more than the pieces themselves cover: less, and no lay can be found. */
export const clothEnough: CheckRule = {
  id: "cloth-enough",
  label: "Cloth enough",
  note: "The pieces cover less than the cloth in hand; how they lie is for the lay.",
  measure({ pieces, cloth }) {
    const { width, length } = cloth;
    if (width === null || length === null) return null;
    const area = pieces.reduce(
      (sum, piece) =>
        sum + countFrom(piece, "shell") * (piece.cut.onFold ? 2 : 1) * Math.abs(polygonArea(piece.cutLine)),
      0,
    );
    const needed = area / width;
    return verdict(this, {
      status: needed > length ? "fault" : "pass",
      value: needed,
      limit: length,
      unit: "length",
      message:
        needed > length
          ? say`Laid without a gap the pieces take ${needed} of cloth; there are ${length}.`
          : say`Laid without a gap the pieces would take ${needed} of ${length}; the lay takes more.`,
      where: null,
      fix: say`Open the hem less, shorten the leg, or get more cloth, before anything is cut.`,
    });
  },
};

/** Front and back together make the girths that were asked for. */
export const legSum: CheckRule = {
  id: "leg-sum",
  label: "Hem as asked",
  note: "Front and back hem together are the girth that was asked for.",
  measure({ asked, readings, legs }) {
    if (asked.hem === null) return null;
    const value = readings.hemGirth - asked.hem;
    return verdict(this, {
      status: byLimits(value, 1, 1),
      value,
      limit: 1,
      unit: "making",
      message:
        Math.abs(value) < 0.05
          ? say`The hem measures the ${asked.hem} asked for.`
          : say`The hem is ${making(Math.abs(value))} ${value > 0 ? "wider" : "narrower"} than the ${asked.hem} asked for.`,
      where: placeOf(legs, "hemSide"),
      fix: say`Share the opening again, or ask for the girth that is there.`,
    });
  },
};

/** Leg and flounce together end where the length was set. */
export const lengthSum: CheckRule = {
  id: "length-sum",
  label: "Leg and flounce",
  note: "Where the leg ends and a flounce hangs from it, both together are the length that was set.",
  measure({ legs, length }) {
    const rings = legs.flatMap(({ id, worn }) => (worn?.ring ? [{ id, ...worn.ring }] : []));
    const [first] = rings;
    if (!first) return null;
    const ends = Math.max(...rings.map((ring) => ring.from + ring.depth));
    const value = ends - (length.whole - length.cuff);
    return verdict(this, {
      status: byLimits(value, 1, Infinity),
      value,
      limit: 1,
      unit: "length",
      message:
        Math.abs(value) <= 1
          ? say`The leg of ${first.from} and the flounce of ${ends - first.from} are the ${ends} that was set.`
          : say`The leg of ${first.from} and the flounce of ${ends - first.from} end ${Math.abs(value)} ${value > 0 ? "below" : "above"} the ${length.whole} that was set.`,
      where: placeOf(legs, "hemMiddle"),
      fix: say`Leave the flounce's depth to the length, or set the length to where it ends.`,
    });
  },
};
