import { elasticLength, elasticOf, STRETCHES } from "../finish";
import { boxOf, pointDistance, pointSubtract, type Point } from "../geometry";
import type { Piece } from "../pieces";
import { plain, type Mm } from "../units";
import { byFloor, byLimits, placeOf, verdict, waistAsStored, type CheckRule } from "./check";

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
      unit: "mm",
      message:
        over < 0
          ? `Stretched to ${STRETCHES} times its length the elastic is ${plain(-over)} mm too short to pass the hip.`
          : tight
            ? `The elastic is ${plain(0.75 * measures.waist.mm - relaxed.mm)} mm shorter than three quarters of the waist: it will mark the skin.`
            : `${plain(relaxed.mm)} mm, ${relaxed.formula}; stretched it passes the hip.`,
      where: placeOf(legs, "waistCentre"),
      fix: "Choose a longer elastic.",
      remedy: {
        label: "Take the waist less a tenth",
        changes: [
          {
            path: ["finish", "waist"],
            value: { ...waistAsStored(finish.waist.kind, finishSource), elastic: "waist-less" },
          },
        ],
      },
    });
  },
};

/** A hand goes into every pocket. */
export const pocketHand: CheckRule = {
  id: "pocket-hand",
  label: "Hand goes in",
  note: "Every pocket opens wide enough for a hand.",
  measure({ panels, finish }) {
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
      unit: "mm",
      message:
        least.value < 140
          ? `The opening of ${plain(least.value)} mm is ${least.value < 125 ? "too small" : "tight"} for a hand.`
          : `The pocket opens ${plain(least.value)} mm.`,
      where: { panel: least.panel, point: least.point },
      fix: "Lengthen the opening.",
      remedy: {
        label: "Open it 15 cm",
        changes: [
          {
            path: ["finish", "pockets"],
            value: (finish.pockets ?? []).map((p) =>
              p.kind === "slant" ? { kind: p.kind, down: "170 mm", edge: p.edge } : { kind: p.kind, opening: "150 mm" },
            ),
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

/** Every piece fits on the width of the cloth in hand. */
export const pieceFitsCloth: CheckRule = {
  id: "piece-fits-cloth",
  label: "Fits on the cloth",
  note: "No piece is wider than the cloth, or it needs a join.",
  measure({ pieces, cloth }) {
    const { width } = cloth;
    const shell = pieces.filter((p) => p.material === "shell");
    if (width === null || shell.length === 0) return null;
    const widest = shell
      .map((piece) => ({ piece, value: acrossGrain(piece) }))
      .reduce((a, b) => (b.value > a.value ? b : a));
    // Turned across the grain is no remedy for a leg; a strip may be pieced.
    return verdict(this, {
      status: widest.value > width ? "fault" : "pass",
      value: widest.value,
      limit: width,
      unit: "mm",
      message:
        widest.value > width
          ? `The ${widest.piece.name.toLowerCase()} is ${plain(widest.value - width)} mm wider than the cloth of ${plain(width)} mm.`
          : `The widest piece, the ${widest.piece.name.toLowerCase()}, takes ${plain(widest.value)} of ${plain(width)} mm.`,
      where: { panel: widest.piece.id, point: widest.piece.grain[0] },
      fix: "Piece it with a join, open the hem less, or take wider cloth.",
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
      unit: "mm",
      message:
        Math.abs(value) < 0.05
          ? `The hem measures the ${plain(asked.hem)} mm asked for.`
          : `The hem is ${plain(Math.abs(value))} mm ${value > 0 ? "wider" : "narrower"} than the ${plain(asked.hem)} mm asked for.`,
      where: placeOf(legs, "hemSide"),
      fix: "Share the opening again, or ask for the girth that is there.",
    });
  },
};
