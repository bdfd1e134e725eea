import { edgeOf, edgesWithRole, hasLegs, isBodice, landmarkOf, type Edge, type Join, type Panel } from "../pattern";
import {
  cubic,
  line,
  pathEnd,
  pathEndTangent,
  pathLength,
  pointAdd,
  pointScale,
  secant,
  squareCurve,
  type Path,
  type Point,
} from "../geometry";
import { choice, namedLength, statedLength, usualOn, garmentLengthSchema, LENGTH_NAMES } from "../params";
import { quantity, range, Refusal, say, tapeOf, type Mm } from "../units";
import { askedLength, defineMove } from "./define";
import { askedGarmentLength } from "./setLength";
import { bodiceHalves, needsBodice, needsWholeCentres } from "./withBodice";

const ID = "end-as-top";

/** Where a top ends below the waist when nothing is said, and at the most. */
const USUAL = { cm: 180, in: 177.8 } as const;
const LONGEST: Mm = 1500;

const PARAMS = {
  length: namedLength(
    "Where the hem ends: a level, or a length below the waist; 0 is the waist.",
    garmentLengthSchema,
    {
      label: "Length",
      takesCloth: true,
      shown: "length",
      names: LENGTH_NAMES,
      tried: [60, 240],
    },
  ),
  hipEase: statedLength("Ease of one quarter at the hip.", {
    label: "Hip ease, each quarter",
    usual: { mm: { cm: 15, in: 12.7 } },
    within: [0, 150],
    refusal: (limits) => say`The hip ease of a quarter is ${limits}.`,
  }),
  back: choice("How the back is cut.", {
    label: "Back cut",
    options: [
      ["fold", "whole, on the fold"],
      ["seam", "with a seam down its centre"],
    ],
  }),
};

/** The side of half a bodice led on below the waist as it runs, and out to the hem, upright there. */
function sideBelow(above: Path, out: Mm, down: Mm): Path {
  const from = pathEnd(above);
  const to: Point = [from[0] + out, from[1] + down];
  const leave = pointAdd(from, pointScale(pathEndTangent(above), down / 3));
  return [...above, cubic(from, leave, [to[0], to[1] - down / 3], to)];
}

/** A side is led on by `out` to the side and `down`. */
interface Below {
  readonly out: Mm;
  readonly down: Mm;
}

const wayOut = (panel: Panel): number =>
  Math.sign(landmarkOf(panel, "underarm")[0] - landmarkOf(panel, "waistCentre")[0]);

const lastSide = (panel: Panel): Edge => edgesWithRole(panel, "side").at(-1) as Edge;

/** The front's side led on so far down that what is added is as long as the back's. */
function asLongAs(front: Panel, back: Panel, { out, down }: Below): Below {
  const added = (panel: Panel, by: Mm): Mm =>
    pathLength(sideBelow(lastSide(panel).path, wayOut(panel) * out, by)) - pathLength(lastSide(panel).path);
  const wanted = added(back, down);
  const found = secant((by) => added(front, by) - wanted, down, down + 1, { tolerance: 1e-9 });
  return { out, down: found ?? down };
}

const FOLDED = { role: "fold", name: "centre, on the fold" } as const satisfies Pick<Edge, "role" | "name">;

/** Half a bodice that ends at its waist, or led on below it to a hem. */
function ended(panel: Panel, { out, down }: Below, level: Mm, onFold: boolean): Panel {
  const centre = edgeOf(panel, "centre");
  const fold: Pick<Edge, "role" | "name"> = onFold && centre.role === "centre" ? FOLDED : centre;
  const cutting = onFold ? { ...panel.cutting, pieces: { count: 1, onFold: true } } : panel.cutting;
  // A top that ends at the waist keeps its darts there, and is finished as a waist.
  if (level === 0) return { ...panel, cutting, edges: panel.edges.map((e) => (e === centre ? { ...e, ...fold } : e)) };
  const last = lastSide(panel);
  const side = sideBelow(last.path, wayOut(panel) * out, down);
  const hemCentre: Point = [landmarkOf(panel, "waistCentre")[0], level];
  const hem: Edge = {
    id: "hem",
    role: "hem",
    name: "hem",
    path: [squareCurve(pathEnd(side), pathEndTangent(side), hemCentre, [0, 1])],
    by: ID,
  };
  const edges = panel.edges.flatMap((edge): Edge[] => {
    if (edge === last) return [{ ...edge, path: side }, hem];
    if (edge === centre) return [{ ...edge, ...fold, path: [line(hemCentre, pathEnd(centre.path))] }];
    return edge.role === "waist" ? [] : [edge];
  });
  return { ...panel, cutting, edges, landmarks: { ...panel.landmarks, hemSide: pathEnd(side), hemCentre } };
}

/** What was cut off the back, and its facing, with the centre on the fold as the back itself. */
function upperOnFold(panel: Panel): Panel {
  if (panel.is.root !== "back" || edgesWithRole(panel, "centre").length === 0) return panel;
  const edges = panel.edges.map((e) => (e.role === "centre" ? { ...e, ...FOLDED } : e));
  return { ...panel, edges, cutting: { ...panel.cutting, pieces: { count: 1, onFold: true } } };
}

/** True where a dart opens on the waist. */
const hasWaistDart = ({ edges }: Panel): boolean =>
  edges.some((e, i) => e.role === "dart" && edges[i - 1]?.role === "waist");

/** A top: the bodice without trousers, its hem at the waist or below. */
export const endAsTop = defineMove({
  id: ID,
  label: "End it as a top",
  note: "Leaves the trousers off: the bodice ends at its waist, or goes on below it to a hem.",
  params: PARAMS,
  redraws: false,
  apply(state, params, context) {
    needsBodice(state, "length", this.label);
    needsWholeCentres(state, "length", this.label);
    if (state.joins.some((j) => j.kind === "waist"))
      throw new Refusal("length", say`The bodice is sewn to trousers already. Take that line out first.`);
    if (!hasLegs(state.panels))
      throw new Refusal("length", say`It ends as a top already. Change the line that says so, or take this one out.`);
    const halves = bodiceHalves(state);
    const below = askedGarmentLength(params.length, `${usualOn(USUAL, tapeOf(context.unit))} mm`, state, context);
    if (below.mm < 0 || below.mm > LONGEST)
      throw new Refusal("length", say`A top goes on ${range(0, LONGEST)} below the waist.`, {
        least: 0,
        most: LONGEST,
      });
    const ease = askedLength(ID, PARAMS, "hipEase", params, context);
    if (below.mm > 0 && [halves.front, halves.back].some(hasWaistDart))
      throw new Refusal(
        "length",
        say`Waist darts end at the waist, so a top with darts ends there too. Leave the darts out where the bodice is drafted, or let it go on by ${0}.`,
        { most: 0 },
      );
    const sides = [halves.front, halves.back].map((p) => landmarkOf(p, "waistSide"));
    const widest = Math.max(...sides.map(([x]) => Math.abs(x)));
    const hip = context.measures.hip.mm / 4 + ease.mm;
    const share = Math.min(1, below.mm / context.measures.waistToHip.mm);
    const mean = sides.reduce((sum, [, y]) => sum + y, 0) / sides.length;
    const drawn: Below = { out: share * Math.max(0, hip - widest), down: below.mm - mean };
    const onFold = (params.back ?? "fold") === "fold";
    const top = (panel: Panel, to: Below): Panel => ended(panel, to, below.mm, onFold);
    const inFront = below.mm > 0 ? asLongAs(halves.front, halves.back, drawn) : drawn;
    const [front, back] = [top(halves.front, inFront), top(halves.back, drawn)];
    const bodice = new Set(state.panels.filter((p) => isBodice(p)).map((p) => p.id));
    const isLeft = new Set(
      state.panels.filter((p) => bodice.has(p.id) || bodice.has(p.is.madeFor ?? "")).map((p) => p.id),
    );
    const stays = (join: Join): boolean =>
      [...join.a, ...join.b].every((ref) => isLeft.has(ref.panel)) &&
      !(onFold && join.kind === "centre" && join.root === "back");
    const hem = (p: Panel): Mm =>
      Math.abs((p.landmarks.hemSide ?? landmarkOf(p, "waistSide"))[0] - landmarkOf(p, "waistCentre")[0]);
    return {
      state: {
        ...state,
        panels: state.panels
          .filter((p) => isLeft.has(p.id))
          .map((p) => (p === halves.front ? front : p === halves.back ? back : onFold ? upperOnFold(p) : p)),
        joins: state.joins.filter(stays),
      },
      numbers: {
        length: below,
        hip: quantity(hip, say`hip ${context.measures.hip.mm} / 4 + ${ease.mm}`, { hip: context.measures.hip }),
        front: quantity(hem(front), "half the front at the hem"),
        back: quantity(hem(back), "half the back at the hem"),
      },
    };
  },
  says: ({ numbers: { length: below } }) =>
    below?.mm === 0
      ? "Leave the trousers off: the top ends at the waist."
      : "Leave the trousers off: the top goes on {length} below the waist; at the hem the front is {front} and the back {back} from centre to side.",
});
