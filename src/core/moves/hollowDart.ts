import { against, along, type Edge, type Join, type Panel } from "../pattern";
import {
  line,
  pathEnd,
  pathLength,
  pathStart,
  pointDistance,
  pointSubtract,
  pointUnit,
  pointDot,
  type Point,
} from "../geometry";
import { angle, quantity, Refusal, say, toDegrees, type Mm } from "../units";
import type { Numbers } from "../drafting";
import { statedLength } from "../params";
import { askedLength, defineMove } from "./define";
import { bodiceHalves, needsBodice } from "./withBodice";

const ID = "hollow-dart";

const PARAMS = {
  allowance: statedLength("What is left on inside the dart, along both legs.", {
    label: "Left on along the legs",
    usual: { mm: { cm: 10, in: 9.525 } },
    within: [4, 25],
    refusal: (limits) => say`Along the legs of a dart ${limits} are left on.`,
  }),
};

/** The allowances inside meet at no more than this share of the leg from the tip, or nothing is left to cut away. */
const MOST_FILLED = 0.7;

/** True where the allowances of a dart's legs meet so far from its tip that they fill it. */
const isFilled = ({ meets, leg }: Numbers): boolean =>
  meets !== undefined && leg !== undefined && meets.mm > MOST_FILLED * leg.mm;

/** Cuts a wide bust dart out, to the allowance along its legs. */
export const hollowDart = defineMove({
  id: ID,
  label: "Hollow the bust dart",
  note: "A wide dart is cut away inside, to its own allowance along both legs.",
  params: PARAMS,
  redraws: false,
  apply(state, params, context) {
    needsBodice(state, "allowance", this.label);
    const { front } = bodiceHalves(state);
    const found = dartOf(front);
    if (!found) throw new Refusal("allowance", say`The front has no bust dart to hollow.`);
    const { dart, tip } = found;
    const [from, to] = [pathStart(dart.path), pathEnd(dart.path)];
    const leg = pointDistance(from, tip);
    const between = Math.acos(pointDot(pointUnit(pointSubtract(from, tip)), pointUnit(pointSubtract(to, tip))));
    const allowance = askedLength(ID, PARAMS, "allowance", params, context);
    const meets: Mm = allowance.mm / Math.sin(between / 2);
    const numbers = {
      allowance,
      meets: quantity(meets, say`allowance ${allowance.mm} / sine of half the dart`),
      leg: quantity(leg, "from the seam to the tip"),
    };
    const figures = { angle: { ...angle(toDegrees(between)), sum: say`between its legs` } };
    if (isFilled(numbers)) return { state, numbers, figures };
    return {
      numbers,
      figures,
      state: {
        ...state,
        panels: state.panels.map((p) => (p === front ? hollowed(front, found, allowance.mm) : p)),
        joins: [...state.joins, seam(front)],
      },
    };
  },
  says: ({ numbers }) =>
    isFilled(numbers)
      ? "The bust dart opens {angle} on legs of {leg}: allowances of {allowance} fill it, so it is sewn as it is."
      : "Cut the bust dart out, {allowance} inside its legs: the allowances meet {meets} from its tip, on legs of {leg}.",
});

interface Found {
  readonly dart: Edge;
  readonly tip: Point;
  /** It opens on the side seam; else on the waist. */
  readonly onSide: boolean;
}

/** The dart of the front's side, or the widest of the front where another has taken it. */
function dartOf(front: Panel): Found | null {
  const darts = front.edges.flatMap((dart, i): (Found & { readonly wide: Mm })[] => {
    if (dart.role !== "dart") return [];
    const mouth = [pathStart(dart.path), pathEnd(dart.path)];
    const tip = front.lines.find(
      (l) =>
        l.kind === "dart" &&
        [l.points[0], l.points[2]].every((p) => p && mouth.some((q) => pointDistance(p, q) < 0.01)),
    )?.points[1];
    return tip ? [{ dart, tip, onSide: front.edges[i - 1]?.role === "side", wide: pathLength(dart.path) }] : [];
  });
  return darts.find((d) => d.onSide) ?? darts.toSorted((a, b) => b.wide - a.wide)[0] ?? null;
}

/** The legs of a dart as they are walked clockwise, named by where they lie. */
const legNames = (onSide: boolean): readonly [string, string] =>
  onSide
    ? ["upper leg of the dart", "lower leg of the dart"]
    : ["leg of the dart toward the side", "leg of the dart toward the centre"];

/** The dart's fold gives way to its legs, which are edges of the outline. */
function hollowed(front: Panel, { dart, tip, onSide }: Found, beyond: Mm): Panel {
  const [first, second] = legNames(onSide);
  const legs: readonly Edge[] = [
    {
      id: "dart-leg",
      role: "style",
      name: first,
      path: [line(pathStart(dart.path), tip)],
      by: ID,
      beyond,
    },
    {
      id: "dart-leg-2",
      role: "style",
      name: second,
      path: [line(tip, pathEnd(dart.path))],
      by: ID,
      beyond,
    },
  ];
  return {
    ...front,
    edges: front.edges.flatMap((edge) => (edge === dart ? legs : [edge])),
    lines: front.lines.filter((l) => !(l.kind === "dart" && l.points[1] === tip)),
    landmarks: { ...front.landmarks, dartTip: tip },
  };
}

const seam = (front: Panel): Join => ({
  id: "bust-dart",
  label: "Bust dart",
  kind: "cut",
  by: ID,
  how: "equal",
  leg: "both",
  a: [along(front.id, "dart-leg")],
  b: [against(front.id, "dart-leg-2")],
});
