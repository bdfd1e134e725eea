import { boxOf, type Point } from "../../geometry";
import { isBodice, type Panel } from "../../pattern";
import { say, type Sentence, type Words } from "../../units";

/** What a place of a panel is called in the trade. */
const PLACES: Readonly<Record<string, string>> = {
  waistCentre: "centre of the waist",
  waistSide: "side of the waist",
  hipSide: "hip line at the side",
  hipCentre: "hip line at the centre",
  crotchPoint: "crotch point",
  kneeSide: "knee line at the side",
  kneeInseam: "knee line at the inseam",
  hemSide: "hem at the side",
  hemInseam: "hem at the inseam",
  hemCentre: "centre of the hem",
  neckCentre: "centre of the neck",
  neckEnd: "neck's end of the shoulder",
  shoulderEnd: "shoulder's end",
  underarm: "underarm",
};
/** A place this near to one that has a name is that place. */
const SAME_PLACE = 0.5;

/** The name of a place of a panel, after a comma; empty where it has none. */
export function placeName(panel: Panel, p: Point): Words {
  const known = Object.entries(panel.landmarks).find(
    ([name, q]) => PLACES[name] && Math.hypot(p[0] - q[0], p[1] - q[1]) < SAME_PLACE,
  );
  return known ? say`, the ${PLACES[known[0]] ?? ""}` : "";
}

/** Where measures start on a panel, and its lines. */
export interface Origin {
  readonly at: Point;
  readonly name: string;
  readonly upright: string;
  readonly level: string;
}

/** The origin of a panel: legs have crease and waist line, a bodice its centre; parts the corner of their sheet. */
export function originOf(panel: Panel): Origin {
  if (panel.is.component === "legs" && panel.is.part === null)
    return {
      at: [0, 0],
      name: "O, where the crease meets the waist line",
      upright: "the crease",
      level: "the waist line",
    };
  const centre = panel.landmarks.waistCentre ?? panel.landmarks.hemCentre;
  if (isBodice(panel) && centre)
    return {
      at: [centre[0], 0],
      name: "O, where the centre meets the waist line",
      upright: "the centre line",
      level: "the waist line",
    };
  const { left, top } = boxOf(panel.edges.flatMap((e) => e.path.flatMap((s) => [...s.points])));
  return {
    at: [left, top],
    name: "O, the upper left corner of the sheet",
    upright: "the left edge",
    level: "the upper edge",
  };
}

/** A place in the frame of an origin: so far right, so far down. */
export const from =
  ({ at }: Origin) =>
  ([x, y]: Point): Point => [x - at[0], y - at[1]];

/** Nearer than this to a line, a place is on it. */
export const ON_LINE = 0.25;

/** A place told from the origin: so far right or left, so far above or below. */
export function placed(p: Point, origin: Origin): Sentence {
  const [right, down] = from(origin)(p);
  const across =
    Math.abs(right) < ON_LINE
      ? say`on ${origin.upright}`
      : say`${Math.abs(right)} to the ${right > 0 ? "right" : "left"} of ${origin.upright}`;
  const along =
    Math.abs(down) < ON_LINE
      ? say`on ${origin.level}`
      : say`${Math.abs(down)} ${down > 0 ? "below" : "above"} ${origin.level}`;
  return say`${across}, ${along}`;
}

/** A list of sentences with a word between them. */
export const listed = (parts: readonly Words[], between: Words = "; "): Sentence =>
  parts.reduce<Sentence>((all, part, i) => say`${all}${i === 0 ? "" : between}${part}`, say``);
