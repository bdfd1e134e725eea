import { choice, length, flag, type StatedOf } from "../params";
import { askedLength, defineMove } from "./define";
import {
  edgeOf,
  edgesWithRole,
  findEdge,
  foldedOut,
  type Panel,
  cutTop,
  centreOnFold,
  isCutTo,
  type TopCut,
} from "../pattern";
import { angleFromTo, pathAt, pathLength, pathStartTangent, type Point } from "../geometry";
import { quantity, Refusal, say, type Mm, type Quantity, type Radians, type Words, inside } from "../units";
import { paramOr } from "./auto";
import { wholeLegs } from "./legs";
import type { Handle, StyleState } from "./move";
import { JOINED_CENTRE, joinYokes } from "./joinYokes";

const ID = "yoke";

const PARAMS = {
  panels: choice("Which panels get a yoke.", {
    label: "On",
    options: [
      ["both", "front and back"],
      ["back", "the back"],
      ["front", "the front"],
    ],
  }),
  centre: length("Depth of the yoke at the centre back.", {
    label: "Depth, centre back",
    shown: "centre",
    usual: { mm: 90, where: "at the centre back" },
    tried: [30, 130],
  }),
  side: length("Depth at the side seam, the same on front and back.", {
    label: "Depth, side",
    shown: "side",
    tried: [30, 110],
  }),
  front: length("Depth at the centre front.", { label: "Depth, centre front", shown: "front", tried: [30, 110] }),
  backDart: choice(
    "The back dart is used up, or its remnant stays below, or is folded out there to nothing at the hem.",
    {
      label: "Back dart",
      options: [
        ["remnant", "rest stays below"],
        ["folded", "rest folded out to the hem"],
        ["used", "used up"],
      ],
    },
  ),
  frontDart: choice(
    "The front dart is used up, or its remnant stays below, or is folded out there to nothing at the hem.",
    {
      label: "Front dart",
      options: [
        ["used", "used up"],
        ["remnant", "rest stays below"],
        ["folded", "rest folded out to the hem"],
      ],
    },
  ),
  fold: flag("The centre back of the yoke lies on the fold.", {
    label: "Centre back",
    yes: "on the fold",
    no: "a seam",
    usual: true,
  }),
  extension: length("Left on at the centre front of one yoke, as underlap of a fly.", {
    label: "End extension on one front",
    shown: "extension",
    usual: { mm: 0 },
    within: [0, 100],
    refusal: (limits) => say`An end extension is ${limits}.`,
    tried: [0, 60],
  }),
  extends: choice("Which front keeps it.", {
    label: "On the",
    options: [
      ["right", "right front"],
      ["left", "left front"],
    ],
  }),
  joined: flag("Front and back yoke are one piece, without a side seam.", {
    label: "Front and back yoke",
    yes: "one piece",
    no: "two pieces",
    usual: false,
  }),
};
type Params = StatedOf<typeof PARAMS>;

/** How deep it is, by the panels it is cut off. */
const DEPTHS: Readonly<Record<NonNullable<Params["panels"]>, string>> = {
  both: "{centre} deep at the centre back, {side} at the side and {front} at the centre front",
  back: "{centre} deep at the centre back and {side} at the side",
  front: "{side} deep at the side and {front} at the centre front",
};

/** Cuts a yoke off front and back through the side at equal depth, closes its darts and fairs it. */
export const yoke = defineMove({
  id: ID,
  label: "Cut a yoke",
  note: "Cuts across below the waist, closes the darts in the part above, and fairs both edges of the seam.",
  params: PARAMS,
  redraws: false,
  apply(state, params, context) {
    const which = params.panels ?? "both";
    const legs = wholeLegs(state, "panels", this.label, ["waist", "side", "inseam", "crotch"]);
    const centre = askedLength(ID, PARAMS, "centre", params, context);
    const side =
      paramOr("yoke", "side", params.side, context) ??
      quantity(0.75 * centre.mm, say`three quarters of the centre back ${centre.mm}`, { centre });
    const front =
      paramOr("yoke", "front", params.front, context) ?? quantity(side.mm, "as deep as at the side", { side });
    const cutAt = (deeper: Mm): StyleState => {
      const more = (depth: Quantity): Quantity => (deeper === 0 ? depth : quantity(depth.mm + deeper, depth.sum));
      let next: StyleState = state;
      if (which !== "front") {
        const cut = cutOf(legs.back);
        const remnant = params.backDart !== "used";
        const back = cutTop(next, legs.back, cut, more(centre), side.mm + deeper, remnant, "centre");
        const below = params.backDart === "folded" ? withFoldedOut(back, cut.lower.id, "backDart") : back;
        next = params.fold === false ? below : centreOnFold(below, cut.upper.id);
      }
      if (which === "back") return next;
      const remnant = params.frontDart === "remnant" || params.frontDart === "folded";
      const cut = cutOf(legs.front);
      const cutOff = cutTop(next, legs.front, cut, more(front), side.mm + deeper, remnant, "front");
      return params.frontDart === "folded" ? withFoldedOut(cutOff, cut.lower.id, "frontDart") : cutOff;
    };
    let next = cutAt(0);
    if (turnsBack(next))
      throw tooShallow(which === "front" ? "front" : "centre", which === "front" ? front : centre, cutAt);
    const joined = params.joined === true && which === "both";
    if (joined) next = joinYokes(next, cutOf(legs.front).upper.id, cutOf(legs.back).upper.id);
    const extension = askedLength(ID, PARAMS, "extension", params, context);
    if (extension.mm > 0 && which !== "back")
      next = withExtension(
        next,
        joined ? cutOf(legs.back).upper.id : cutOf(legs.front).upper.id,
        extension.mm,
        params.extends ?? "right",
      );
    const seams = next.panels
      .filter((p) => isCutTo(p, ID, "above"))
      .reduce((sum, p) => sum + edgesWithRole(p, "style").reduce((all, e) => all + pathLength(e.path), 0), 0);
    return {
      state: next,
      numbers: {
        centre,
        side,
        front,
        extension,
        seam: quantity(seams, "yoke edge of one leg, equal to the edge below it"),
      },
      handles: handlesOf(legs, which, centre.mm, side.mm, front.mm),
    };
  },
  says: ({ params: { panels = "both", joined, extends: side = "right" }, numbers: { extension } }) =>
    say`Cut a yoke ${DEPTHS[panels]}${joined && panels === "both" ? ", in one piece round the side" : ""}, and close its darts; its seam is {seam} a leg.${extension && extension.mm > 0 && panels !== "back" ? say` Leave {extension} on at the ${side} centre front.` : ""}`,
});

/** The pattern with what is left of the darts below the yoke folded out. */
function withFoldedOut(state: StyleState, lowerId: string, param: "backDart" | "frontDart"): StyleState {
  const panels = state.panels.map((panel): Panel => {
    if (panel.id !== lowerId) return panel;
    const folded = foldedOut(panel);
    if (folded) return folded;
    throw new Refusal(
      param,
      say`What is left of the dart of the ${inside(panel.name)} cannot be folded out to the hem. Leave it below, or use it up.`,
    );
  });
  return { ...state, panels };
}

/** A yoke with cloth left on at its centre front: one end keeps it, the other is trimmed. */
function withExtension(state: StyleState, yokeId: string, mm: Mm, on: "right" | "left"): StyleState {
  const other = on === "right" ? "left" : "right";
  const surplus = { mm, says: say`the ${on} end keeps this; trim the ${other} end here` };
  return {
    ...state,
    panels: state.panels.map((p) =>
      p.id !== yokeId ? p : { ...p, edges: p.edges.map((e) => (e.id === centreFrontOf(p) ? { ...e, surplus } : e)) },
    ),
  };
}

/** The centre front of a yoke: its own centre, or, in one piece, the far end. */
const centreFrontOf = (panel: Panel): string => (findEdge(panel, JOINED_CENTRE) ? JOINED_CENTRE : "crotch");

/** An edge that turns further than this runs back on itself: the yoke is cut through its darts, not below them. */
const MOST_TURN: Radians = (100 * Math.PI) / 180;

/** True where an edge of the yoke's seam turns back on itself. */
function turnsBack({ panels }: StyleState): boolean {
  const edges = panels.flatMap((p) => p.edges.filter((e) => e.by === ID));
  return edges.some(({ path }) => {
    const start = pathStartTangent(path);
    const whole = pathLength(path);
    return Array.from({ length: 41 }, (_, i) => pathAt(path, (whole * i) / 40).tangent).some(
      (tangent) => Math.abs(angleFromTo(start, tangent)) > MOST_TURN,
    );
  });
}

/** Deeper by this much at a step, up to so much, until a yoke lies below its darts. */
const DEEPER: Mm = 5;
const MOST_DEEPER: Mm = 120;

function tooShallow(param: string, depth: Quantity, cutAt: (deeper: Mm) => StyleState): Refusal {
  for (let more = DEEPER; more <= MOST_DEEPER; more += DEEPER) {
    try {
      if (!turnsBack(cutAt(more)))
        return new Refusal(
          param,
          say`A yoke ${depth.mm} deep lies across its darts, and its edge would run back on itself. Cut it ${depth.mm + more} deep, and as much deeper at the side.`,
          { yields: depth.mm + more },
        );
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
    }
  }
  return new Refusal(
    param,
    say`A yoke ${depth.mm} deep lies across its darts, and its edge would run back on itself. Use its darts up, or shape the waist without them.`,
  );
}

/** What cutting a yoke off a panel makes of it. */
const cutOf = ({ id, name }: Panel): TopCut => ({
  by: ID,
  upper: { id: `${id}-yoke`, name: say`${name} yoke` },
  lower: { id: `${id}-lower`, name },
  seam: { id: `${id}-yoke`, label: say`${name} yoke seam`, edge: "yoke seam" },
});

function handlesOf(
  legs: { readonly front: Panel; readonly back: Panel },
  which: Params["panels"],
  centre: Mm,
  side: Mm,
  front: Mm,
): Handle[] {
  const at = (panel: Panel, param: string, edge: "side" | "crotch", mm: Mm, label: Words): Handle => {
    const { path } = edgeOf(panel, edge);
    const place = pathAt(path, edge === "side" ? mm : pathLength(path) - mm);
    const down: Point = edge === "side" ? place.tangent : [-place.tangent[0], -place.tangent[1]];
    const id = `${panel.id}-yoke-${edge}`;
    return {
      id,
      panel: panel.id,
      at: place.point,
      axis: down,
      param,
      clears: [],
      perMm: 1,
      value: mm,
      label,
      reading: mm,
    };
  };
  return [
    ...(which !== "front"
      ? [
          at(legs.back, "centre", "crotch", centre, "yoke, centre back"),
          at(legs.back, "side", "side", side, "yoke, side"),
        ]
      : []),
    ...(which !== "back"
      ? [
          at(legs.front, "front", "crotch", front, "yoke, centre front"),
          at(legs.front, "side", "side", side, "yoke, side"),
        ]
      : []),
  ];
}
