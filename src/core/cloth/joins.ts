import { FillRule, intersectD } from "clipper2-ts";
import { boxOf, polygonArea, type Point } from "../geometry";
import type { Piece } from "../pieces";
import { Refusal, say, type Mm, inside } from "../units";
import { inFrame, type CutShape } from "./cutShapes";
import { JOIN_ALLOWANCE, widthOf } from "./wider";

/** How a piece that is wider than the cloth may be joined from two along its grain. */
interface Joining {
  /** Which side of it is joined on: the lower or the upper across the cloth, as it lies in its frame. */
  readonly side: "low" | "high";
  /** What is joined on lies beyond this along the grain, that way; null where it may lie anywhere. */
  readonly only: { readonly from: Mm; readonly way: 1 | -1 } | null;
}

/** Slivers smaller than this are no part of a piece. */
const SLIVER = 400;

/**
 * Where a piece is joined so that it shows least: a leg at its inseam, a front below the knee alone; anything else on its
 * upper side.
 */
function joiningOf({ panel, is }: Piece, shape: CutShape): Joining {
  const place = inFrame(shape.frame);
  const { crotchPoint, kneeSide, hemSide } = panel.landmarks;
  if (is.component !== "legs" || !crotchPoint) return { side: "high", only: null };
  const { top, bottom } = boxOf(shape.whole);
  const side = place(crotchPoint)[1] < (top + bottom) / 2 ? "low" : "high";
  if (is.root !== "front" || !kneeSide || !hemSide) return { side, only: null };
  const from = place(kneeSide)[0];
  return { side, only: { from, way: place(hemSide)[0] > from ? 1 : -1 } };
}

/** The parts of an outline on one side of a line across the cloth. */
function clipped(outline: readonly Point[], low: Mm, high: Mm): readonly (readonly Point[])[] {
  const { left, right } = boxOf(outline);
  const strip = [
    { x: left - 10, y: low },
    { x: right + 10, y: low },
    { x: right + 10, y: high },
    { x: left - 10, y: high },
  ];
  return intersectD([outline.map(([x, y]) => ({ x, y }))], [strip], FillRule.NonZero, 4)
    .map((path) => path.map(({ x, y }): Point => [x, y]))
    .filter((part) => Math.abs(polygonArea(part)) > SLIVER);
}

/**
 * Shapes with those named cut in two along the grain where they are wider than the cloth: the larger part as wide as the
 * cloth allows, the rest beside it, each with the allowance of the join. Throws Refusal where that would show, or take
 * more than one join.
 */
export function joinedShapes(
  shapes: readonly CutShape[],
  pieces: readonly Piece[],
  joined: readonly string[],
  width: Mm,
): readonly CutShape[] {
  return shapes.flatMap((shape): readonly CutShape[] => {
    const piece = pieces.find((p) => p.id === shape.piece);
    if (!piece || !joined.some((name) => name === shape.piece) || widthOf(shape) <= width) return [shape];
    return inTwo(shape, joiningOf(piece, shape), width);
  });
}

function inTwo(shape: CutShape, { side, only }: Joining, width: Mm): readonly CutShape[] {
  const { top, bottom } = boxOf(shape.whole);
  const far = 1e5;
  // The join lies so that the larger part, its allowance with it, is as wide as the cloth.
  const at = side === "low" ? bottom - width + JOIN_ALLOWANCE : top + width - JOIN_ALLOWANCE;
  const [main, rest] =
    side === "low"
      ? [clipped(shape.whole, at - JOIN_ALLOWANCE, far), clipped(shape.whole, -far, at + JOIN_ALLOWANCE)]
      : [clipped(shape.whole, -far, at + JOIN_ALLOWANCE), clipped(shape.whole, at - JOIN_ALLOWANCE, far)];
  const name = inside(shape.name);
  const [largest] = main;
  if (!largest || main.length > 1 || rest.some((part) => boxOf(part).bottom - boxOf(part).top > width))
    throw new Refusal(
      "cloth.joined",
      say`The ${name} would take more than one join on this cloth. Take wider cloth, or make it narrower.`,
    );
  if (only && rest.some((part) => part.some(([x]) => only.way * (x - only.from) < 0)))
    throw new Refusal(
      "cloth.joined",
      say`The ${name} would be joined above the knee, where it shows. Take wider cloth, spread it less, or lay the cloth open.`,
    );
  const part = (outline: readonly Point[], called: string): CutShape => ({
    ...shape,
    piece: called,
    outline,
    whole: outline,
    onFold: false,
    mark: null,
  });
  return [
    part(largest, shape.piece),
    ...rest.map((outline, i) => part(outline, `${shape.piece}, joined on${rest.length > 1 ? ` ${i + 1}` : ""}`)),
  ];
}
