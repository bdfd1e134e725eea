import {
  namedLength,
  length,
  choice,
  number,
  statedLength,
  type StatedOf,
  levelSchema,
  type LevelName,
} from "../params";
import { askedLength, defineMove } from "./define";
import { against, along, edgeOf, type EdgeRef, type Join, type Panel } from "../pattern";
import { pathAt, pathLength } from "../geometry";
import { quantity, type Mm, type Quantity, say, Refusal, range } from "../units";
import { paramOr, styleParam } from "./auto";
import { CIRCLE_SHARE, circle, circleWords, EDGE, hemOf, strip, STRIP_FULLNESS } from "./flounceCloth";
import { cutAcross, withoutPanels, wholeLegs } from "./legs";
import { levelHandle, levelOf } from "./level";
import { type Handle, type MoveContext, type StyleState } from "./move";

const PARAMS = {
  start: namedLength("Where the leg ends and the flounce begins.", levelSchema, {
    label: "Starts at",
    shown: "start",
    names: ["knee", "calf"],
    tried: [200, 900],
  }),
  depth: length("How deep the flounce hangs; left auto, to the set length.", {
    label: "Depth",
    shown: "depth",
    tried: [60, 400],
  }),
  kind: choice("Part of a circle, or a straight strip gathered on.", {
    label: "Kind",
    options: [
      ["circle", "part of a circle"],
      ["gathered", "gathered strip"],
    ],
  }),
  share: number("Share of a circle: 1 is a full circle, 0.5 a half.", {
    leadsHem: true,
    takesCloth: true,
    label: "Share of a circle",
    least: CIRCLE_SHARE[0],
    most: CIRCLE_SHARE[1],
    step: 0.25,
    usual: 1,
    clears: ["hemGirth"],
    solvedBy: "hemGirth",
  }),
  fullness: number("Gathered: length of the strip to the seam.", {
    leadsHem: true,
    takesCloth: true,
    label: "Gathered: strip to seam",
    least: STRIP_FULLNESS[0],
    most: STRIP_FULLNESS[1],
    step: 0.25,
    usual: 2,
    clears: ["hemGirth"],
    solvedBy: "hemGirth",
  }),
  hemGirth: length("Finished hem of one leg; the share of a circle, or the fullness, is solved for it and gives way.", {
    gives: "hem",
    label: "Or: hem of one leg",
    shown: "hemAfter",
    clears: ["share", "fullness"],
    tried: [300, 1400],
  }),
  surplus: statedLength("Left on the leg's end beyond its seam, to be trimmed when the flounce is sewn on.", {
    label: "Surplus on the leg, to trim",
    shown: "surplus",
    within: [0, 120],
    tried: [0, 60],
  }),
  parts: number("Into how many parts one flounce is divided.", {
    label: "Cut in parts",
    least: 1,
    most: 8,
    step: 1,
    usual: 2,
    whole: true,
  }),
  points: number("Points on the outer edge of one leg.", {
    label: "Points on the edge",
    least: 0,
    most: 24,
    step: 1,
    usual: 0,
    whole: true,
  }),
  valley: length("How far the valleys between the points are cut back.", {
    label: "Valleys cut back",
    shown: "valley",
    tried: [0, 120],
  }),
};
type Params = StatedOf<typeof PARAMS>;

const ID = "flounce";
const LEAST_DEPTH: Mm = 40;
/** So far below the crotch line a leg can be cut off. */
const BELOW_CROTCH: Mm = 80;
/** A flounce that has to start higher than usual is this deep. */
const USUAL_DEPTH: Mm = 150;

/** Cuts the leg off at a level and hangs part of a circle, or a gathered strip, from the sewn leg girth. */
export const flounce = defineMove({
  id: ID,
  label: "Add a flounce",
  note: "Cuts the leg off at a level and sews on part of a circle, or a gathered strip, as deep as the length asks.",
  params: PARAMS,
  redraws: false,
  widensHem: true,
  apply(state, params, context) {
    const legs = wholeLegs(state, "start", this.label);
    const start = startOf(params, state, context);
    const depth = depthOf(params, start, state, context);
    const cut = cutAcross(state, legs, start.mm, ID, (panel) => ({ id: `${panel.id}-off`, name: "cut off" }), EDGE);
    const off = [`${legs.front.id}-off`, `${legs.back.id}-off`];
    const surplus = askedLength(ID, PARAMS, "surplus", params, context);
    const upper = withSurplus(withoutPanels(cut, off), surplus.mm);
    const sewn: readonly EdgeRef[] = [against(legs.front.id, EDGE.id), along(legs.back.id, EDGE.id)];
    const lengths = sewn.map((ref) => pathLength(edgeOf(panelIn(upper, ref.panel), ref.edge).path));
    const girth = lengths.reduce((sum, l) => sum + l, 0);
    const seam = quantity(girth, "the sewn leg at the start, front and back");
    const gathered = (params.kind ?? styleParam("flounce", "kind", context)) === "gathered";
    const made = gathered
      ? strip(params, girth, depth.mm, start.mm, context)
      : circle(params, lengths, depth.mm, start.mm, context);
    const joins: Join[] = [
      {
        id: "flounce",
        label: "Flounce seam",
        kind: "cut",
        by: ID,
        how: gathered ? "gathered" : "equal",
        leg: "both",
        a: sewn,
        // Half a circle on the fold is sewn on with both its halves.
        b: made.panels.flatMap((p) => [along(p.id, "top"), ...(p.worn?.ring?.isHalf ? [against(p.id, "top")] : [])]),
      },
      ...(made.panels.some((p) => p.worn?.ring?.isHalf) ? [] : made.panels).map((panel, i): Join => {
        const next = made.panels[(i + 1) % made.panels.length] as Panel;
        return {
          id: `flounce-join-${i + 1}`,
          label: "Flounce join",
          kind: "cut",
          by: ID,
          how: "equal",
          leg: "both",
          a: [along(panel.id, "end")],
          b: [against(next.id, "start")],
        };
      }),
    ];
    const end = edgeOf(panelIn(upper, legs.front.id), EDGE.id).path;
    const middle = pathAt(end, pathLength(end) / 2).point;
    const [first] = made.panels;
    const hemAt = first?.landmarks.hemMiddle;
    const handles: Handle[] = [
      levelHandle("flounce-start", legs.front.id, middle, "start", start.mm, "flounce starts"),
      ...(first && hemAt ? [levelHandle("flounce-depth", first.id, hemAt, "depth", depth.mm, "flounce depth")] : []),
    ];
    return {
      state: { ...upper, panels: [...upper.panels, ...made.panels], joins: [...upper.joins, ...joins] },
      numbers: {
        start,
        depth,
        seam,
        surplus,
        hemAfter: quantity(hemOf(made), "hem of one leg, all parts of the flounce"),
        ...made.numbers,
      },
      figures: made.figures,
      facts: { circle: made.circle },
      handles,
    };
  },
  says: ({ numbers: { strip: gathered, surplus }, facts: { circle: cut } }) =>
    gathered || !cut
      ? "End the leg {start} below the waist and gather a strip {strip} long and {depth} deep onto its {seam}."
      : say`End the leg {start} below the waist and hang ${circleWords(cut)} from its {seam}, sewn at a radius of {radius}, cut at {cutRadius}, {depth} deep.${surplus && surplus.mm > 0 ? " Leave {surplus} on the leg's end, to be trimmed." : ""}`,
});

/** The legs with cloth left on beyond the seam that the flounce is sewn to. */
const withSurplus = (state: StyleState, surplus: Mm): StyleState =>
  surplus === 0
    ? state
    : {
        ...state,
        panels: state.panels.map((p) => ({
          ...p,
          edges: p.edges.map((e) =>
            e.id === EDGE.id && e.by === ID
              ? { ...e, surplus: { mm: surplus, says: "trim when the flounce is sewn on" } }
              : e,
          ),
        })),
      };

const panelIn = (state: StyleState, id: string): Panel => state.panels.find((p) => p.id === id) as Panel;

function startOf(params: Params, state: StyleState, context: MoveContext): Quantity {
  const asked = params.start ?? (styleParam("flounce", "start", context) as LevelName | undefined);
  const { crotch, hem, knee } = state.plan.levels;
  const usual = context.autos["flounce.start"]?.(context.measures) ?? quantity(knee, say`knee line ${knee}`);
  // Left to itself, the flounce of a garment that ends higher starts higher.
  const [least, most] = [crotch + BELOW_CROTCH, hem - LEAST_DEPTH];
  if (most < least)
    throw new Refusal(
      "start",
      say`A leg of ${hem - crotch} below the crotch is too short for a flounce, which takes ${BELOW_CROTCH + LEAST_DEPTH}. Make it longer.`,
    );
  const above = Math.min(most, Math.max(least, hem - USUAL_DEPTH));
  const start =
    asked !== undefined
      ? levelOf("start", asked, state, context)
      : usual.mm <= above
        ? usual
        : quantity(above, say`${hem - above} above the hem ${hem}`);
  if (start.mm < least || start.mm > most) {
    throw new Refusal(
      "start",
      say`A flounce starts between ${range(least, most, "and")} below the waist here, not at ${start.mm}.`,
    );
  }
  return start;
}

function depthOf(params: Params, start: Quantity, state: StyleState, context: MoveContext): Quantity {
  const { hem } = state.plan.levels;
  const depth =
    paramOr("flounce", "depth", params.depth, context) ??
    quantity(hem - start.mm, say`set length ${hem} - start ${start.mm}`, { start });
  if (depth.mm < LEAST_DEPTH || depth.mm > 1200)
    throw new Refusal("depth", say`A flounce is between ${range(40, 1200, "and")} deep.`);
  return depth;
}
