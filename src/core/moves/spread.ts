import { z } from "zod";
import {
  pathAt,
  pathLength,
  pathNearest,
  pointDistance,
  pointSubtract,
  pointUnit,
  polygonSelfCrossing,
  secant,
  type Point,
} from "../geometry";
import { edgeOf, isOf, landmarkOf, panelOutline, roleLength, type Edge, type Panel } from "../drafting";
import { lengthInputSchema, plain, quantity, toDegrees, type Mm, type Quantity } from "../units";
import { autoLengthSchema, paramOr, readParam } from "./auto";
import { alongAtX } from "./cut";
import { restoreLength, softenCorner, truedHem, turnCrotch } from "./fairing";
import { wholeLegs } from "./legs";
import { MoveRefused, type Handle, type Move, type MoveContext, type Shown } from "./move";
import { CutsCross, outlinePlace, slashAndSpread, type Cut, type OpenedCut } from "./slash";

const placeSchema = z.strictObject({
  edge: z.string().max(40).describe("Edge of the panel, such as hem, side, crotch."),
  at: z.union([z.string().max(40), z.number()]).describe("A landmark's name, or a length from the edge's start."),
});

const schema = z.strictObject({
  hemSpread: autoLengthSchema.optional().describe("Sum of the openings of one panel at the hem."),
  hemGirth: lengthInputSchema.optional().describe("Finished hem of one leg; beats hemSpread."),
  slashAt: lengthInputSchema.optional().describe("How far from the crease toward the side the slash runs."),
  hingeAt: lengthInputSchema.optional().describe("How far below the hip line the side hinge lies."),
  cuts: z
    .array(
      z.strictObject({
        panel: z.enum(["front", "back"]),
        open: placeSchema,
        hinge: placeSchema,
        gap: lengthInputSchema.optional(),
      }),
    )
    .max(24)
    .optional()
    .describe("The slashes; left out, each panel is slashed up the crease and hinged at hip and crotch point."),
});
type Params = z.infer<typeof schema>;

/** Corners of hinges sharper than this are softened. */
const SOFTEN_ABOVE = 2;

interface PlannedCut {
  readonly open: Mm;
  readonly hinge: Mm;
  /** A gap stated by the maker; null shares in `hemSpread`. */
  readonly gap: Mm | null;
}

interface SpreadPanel {
  readonly panel: Panel;
  readonly opened: readonly OpenedCut[];
  readonly growth: Mm;
}

/** Slash and spread, hinged: the hem grows by the gaps, side seam and inseam keep their lengths. */
export const spread: Move<Params> = {
  id: "spread",
  label: "Slash and spread",
  note: "Slashes each panel up the crease, hinges it at hip and crotch point and opens it at the hem.",
  schema,
  redraws: false,
  apply(state, params, context) {
    const legs = wholeLegs(state, "cuts", this.label, ["side", "hem", "inseam", "crotch"]);
    const panels = [legs.front, legs.back];
    const offset = (param: "slashAt" | "hingeAt", usual: string): Quantity =>
      params[param] === undefined ? quantity(0, usual) : readParam(param, params[param], context, "as chosen");
    const [slashAt, hingeAt] = [offset("slashAt", "on the crease"), offset("hingeAt", "on the hip line")];
    const planned = new Map(
      panels.map((panel) => [panel.id, planCuts(panel, params, context, slashAt.mm, hingeAt.mm)]),
    );
    const at = (sum: Mm): SpreadPanel[] =>
      panels.map((panel) => spreadPanel(panel, share(planned.get(panel.id) ?? [], sum)));
    const amount = askedSpread(params, context, panels, at);
    const spreadPanels = amount.asked.mm === 0 && !params.cuts ? panels.map(unopened) : refusing(at, amount);
    const [front, back] = [spreadPanels[0] as SpreadPanel, spreadPanels[1] as SpreadPanel];
    const hem = hemOf(spreadPanels);
    const each = quantity(amount.asked.mm / 2, "half of the panel's opening in each wedge");
    return {
      state: {
        ...state,
        panels: state.panels.map((p) => spreadPanels.find((s) => s.panel.id === p.id)?.panel ?? p),
      },
      template: "Slash up the crease, hinge at hip and crotch point, open {hemSpread} a panel at the hem.",
      numbers: {
        hemSpread: amount.asked,
        eachGap: each,
        slashAt,
        hingeAt,
        hemBefore: quantity(hemOf(panels.map(unopened)), "hem of one leg before the spread"),
        hemAfter: quantity(hem, "trued hem of one leg"),
        crotchChange: quantity(
          crotchOf(spreadPanels.map((s) => s.panel)) - crotchOf(panels),
          "crotch seam after less before: its curve turns with the inseam, to stay square to it",
        ),
        frontCreaseGrowth: quantity(front.growth, "the trued front hem below the set length, at the crease"),
        backCreaseGrowth: quantity(back.growth, "the trued back hem below the set length, at the crease"),
      },
      shown: spreadPanels.map(show),
      handles: spreadPanels.flatMap((s) => [
        ...handlesOf(s, amount.asked.mm),
        ...(params.cuts ? [] : slashHandles(s, slashAt.mm, hingeAt.mm)),
      ]),
    };
  },
};

/** The default slash: up the crease, branching to the hip at the side and to the crotch point. */
function planCuts(panel: Panel, params: Params, context: MoveContext, slashAt: Mm, hingeAt: Mm): PlannedCut[] {
  if (params.cuts) {
    return params.cuts
      .filter((cut) => isOf(panel.id, cut.panel))
      .map((cut) => ({
        open: placeOn(panel, cut.open),
        hinge: placeOn(panel, cut.hinge),
        gap: cut.gap === undefined ? null : readParam("cuts", cut.gap, context, "as chosen").mm,
      }));
  }
  const open = slashAt === 0 ? placeOn(panel, { edge: "hem", at: "creaseHem" }) : slashPlace(panel, slashAt);
  const hip = placeOn(panel, { edge: "side", at: "hipSide" });
  const [top, bottom] = [
    outlinePlace(panel, "side", 0),
    outlinePlace(panel, "side", pathLength(edgeOf(panel, "side").path)),
  ];
  // The hip line itself is always a place to hinge; only a hinge moved by hand has to keep clear of both ends.
  if (hingeAt !== 0 && (hip + hingeAt < top + 20 || hip + hingeAt > Math.max(hip, bottom - 150))) {
    throw new MoveRefused(
      "hingeAt",
      `The hinge can lie ${plain(top + 20 - hip)} to ${plain(Math.max(0, bottom - 150 - hip))} mm below the hip line.`,
    );
  }
  return [
    { open, hinge: hip + hingeAt, gap: null },
    { open, hinge: outlinePlace(panel, "crotch", 0), gap: null },
  ];
}

/** Where a slash beside the crease is opened at the hem. */
function slashPlace(panel: Panel, out: Mm): Mm {
  const hem = edgeOf(panel, "hem").path;
  const crease = landmarkOf(panel, "creaseHem")[0];
  const outward = Math.sign(landmarkOf(panel, "hemSide")[0] - crease) || 1;
  const at = alongAtX(hem, crease + outward * out);
  if (at === null || at < 15 || at > pathLength(hem) - 15)
    throw new MoveRefused(
      "slashAt",
      `A slash ${plain(out)} mm from the crease does not reach the hem of the ${panel.name.toLowerCase()}.`,
    );
  return outlinePlace(panel, "hem", at);
}

function placeOn(panel: Panel, place: z.infer<typeof placeSchema>): Mm {
  if (!panel.edges.some((edge) => edge.id === place.edge)) {
    throw new MoveRefused("cuts", `The ${panel.name.toLowerCase()} has no edge “${place.edge.slice(0, 20)}”.`);
  }
  const { path } = edgeOf(panel, place.edge);
  if (typeof place.at === "number") {
    const length = pathLength(path);
    if (!(place.at >= 0 && place.at <= length)) {
      throw new MoveRefused("cuts", `A slash lies beyond the ${place.edge}, which is ${plain(length)} mm long.`);
    }
    return outlinePlace(panel, place.edge, place.at);
  }
  const landmark = panel.landmarks[place.at];
  if (!landmark)
    throw new MoveRefused("cuts", `The ${panel.name.toLowerCase()} has no landmark “${place.at.slice(0, 20)}”.`);
  return outlinePlace(panel, place.edge, pathNearest(path, landmark).along);
}

function share(cuts: readonly PlannedCut[], sum: Mm): Cut[] {
  const sharing = cuts.filter((cut) => cut.gap === null).length;
  return cuts.map((cut) => ({ open: cut.open, hinge: cut.hinge, gap: cut.gap ?? sum / sharing }));
}

/** How much to open: the move's own numbers, else the style's, `hemGirth` before `hemSpread`. */
function askedSpread(
  params: Params,
  context: MoveContext,
  panels: readonly Panel[],
  at: (sum: Mm) => SpreadPanel[],
): { readonly asked: Quantity; readonly param: "hemSpread" | "hemGirth" } {
  const ownSpread = params.hemSpread !== undefined && params.hemSpread !== "auto";
  const girth =
    params.hemGirth !== undefined || !ownSpread ? paramOr("spread", "hemGirth", params.hemGirth, context) : null;
  if (!girth) {
    const asked = paramOr("spread", "hemSpread", params.hemSpread, context) ?? quantity(0, "nothing asked");
    return { asked, param: "hemSpread" };
  }
  const closed = hemOf(panels.map(unopened));
  if (girth.mm < closed * 0.6) {
    throw new MoveRefused(
      "hemGirth",
      `The hem already measures ${plain(closed)} mm before spreading. Narrow the leg first, or ask for more.`,
    );
  }
  const guess = (girth.mm - closed) / 2;
  // Near nothing the secant needs two different starts; elsewhere the gaps themselves are within two percent.
  const hemAt = (sum: Mm): Mm => {
    try {
      return hemOf(at(sum));
    } catch (error) {
      // A slash too short for its gap: the girth lies beyond what this leg can be opened to.
      if (error instanceof RangeError) return NaN;
      throw error;
    }
  };
  const found = secant((sum) => hemAt(sum) - girth.mm, guess, guess * 1.02 + 1, { tolerance: 1e-4, steps: 25 });
  if (found === null) {
    throw new MoveRefused(
      "hemGirth",
      `A hem of ${plain(girth.mm)} mm cannot be reached by spreading a leg this short. Ask for less, or make it longer.`,
    );
  }
  return {
    asked: quantity(found, `solved for a hem of ${plain(girth.mm)} a leg`, { hemGirth: girth }),
    param: "hemGirth",
  };
}

/** Spreads, and turns what cannot be done into a sentence that names the largest amount that works. */
function refusing(
  at: (sum: Mm) => SpreadPanel[],
  amount: { readonly asked: Quantity; readonly param: string },
): SpreadPanel[] {
  const works = (sum: Mm): SpreadPanel[] | null => {
    try {
      const done = at(sum);
      return done.some((s) => polygonSelfCrossing(panelOutline(s.panel))) ? null : done;
    } catch (error) {
      if (error instanceof RangeError) return null;
      if (error instanceof CutsCross)
        throw new MoveRefused("cuts", "Two of the slashes cross each other. Move one of them.");
      throw error;
    }
  };
  const done = works(amount.asked.mm);
  if (done) return done;
  let [good, bad] = [0, amount.asked.mm];
  for (let i = 0; i < 24 && Math.abs(bad - good) > 0.5; i++) {
    const middle = (good + bad) / 2;
    if (works(middle)) good = middle;
    else bad = middle;
  }
  const largest = Math.floor(Math.abs(good)) * Math.sign(good);
  throw new MoveRefused(
    amount.param,
    `Opening ${(amount.asked.mm / 10).toFixed(1)} cm a panel would lay the pattern over itself. The largest that works is ${(largest / 10).toFixed(1)} cm.`,
    largest,
  );
}

function unopened(panel: Panel): SpreadPanel {
  return { panel, opened: [], growth: 0 };
}

function spreadPanel(panel: Panel, cuts: readonly Cut[]): SpreadPanel {
  if (cuts.length === 0) return unopened(panel);
  const slashed = slashAndSpread(panel, cuts);
  const before = new Map(panel.edges.map((edge) => [edge.id, pathLength(edge.path)]));
  const opensHem = cuts.some((cut) => {
    const hem = outlinePlace(panel, "hem", 0);
    return cut.open > hem && cut.open < hem + (before.get("hem") ?? 0);
  });
  let edges: Edge[] = slashed.edges.map((edge) => {
    if (edge.id !== "side" && edge.id !== "inseam") return edge;
    let path = edge.path;
    for (const cut of slashed.opened) {
      const corner = cut.hingeEdge === edge.id && cut.hingeAlong > 1 && cut.hingeAlong < pathLength(path) - 1;
      if (corner && Math.abs(toDegrees(cut.angle)) > SOFTEN_ABOVE) path = softenCorner(path, cut.hingeAlong);
    }
    return { ...edge, path: restoreLength(path, before.get(edge.id) as Mm, edge.id === "side" ? "end" : "start") };
  });
  const crotchTurn = slashed.opened
    .filter((cut) => pointDistance(cut.hinge, landmarkOf(panel, "crotchPoint")) < 0.01)
    .reduce((sum, cut) => sum + cut.angle, 0);
  edges = edges.map((edge) =>
    edge.id === "crotch" && crotchTurn !== 0 ? { ...edge, path: turnCrotch(edge.path, crotchTurn) } : edge,
  );
  const pathOf = (id: string): Edge["path"] => (edges.find((e) => e.id === id) as Edge).path;
  edges = edges.map((edge) =>
    edge.id !== "hem"
      ? edge
      : {
          ...edge,
          path: opensHem ? [truedHem(pathOf("side"), pathOf("inseam"), pathLength(pathOf("hem")))] : edge.path,
        },
  );
  return finishPanel(panel, edges, slashed.moveAt, slashed.opened);
}

/** Landmarks and lines of the spread panel: the crease and grain stay, what lies on the outline travels with it. */
function finishPanel(
  panel: Panel,
  edges: readonly Edge[],
  moveAt: (place: Mm) => (p: Point) => Point,
  opened: readonly OpenedCut[],
): SpreadPanel {
  const pathOf = (id: string): Edge["path"] => (edges.find((e) => e.id === id) as Edge).path;
  const sideMove = moveAt(outlinePlace(panel, "side", pathLength(edgeOf(panel, "side").path) - 1));
  const inseamMove = moveAt(outlinePlace(panel, "inseam", 1));
  const onEdge = (id: string, p: Point): Point => {
    const { path } = edgeOf(panel, id);
    const from = pathNearest(path, p).along;
    return pathAt(pathOf(id), from).point;
  };
  const { landmarks } = panel;
  const oldCrease = landmarkOf(panel, "creaseHem");
  const creaseHem = creaseOnHem(pathOf("hem"), oldCrease);
  const knee = landmarks.kneeSide?.[1] ?? 0;
  const moved: Record<string, Point> = {
    ...landmarks,
    creaseHem,
    hipSide: onEdge("side", landmarkOf(panel, "hipSide")),
  };
  moved.hemSide = pathAt(pathOf("side"), Infinity).point;
  moved.hemInseam = pathAt(pathOf("inseam"), 0).point;
  if (landmarks.kneeSide) moved.kneeSide = onEdge("side", landmarks.kneeSide);
  if (landmarks.kneeInseam) moved.kneeInseam = onEdge("inseam", landmarks.kneeInseam);
  const growth = creaseHem[1] - oldCrease[1];
  const lines = panel.lines.flatMap((l) => {
    if (l.kind === "crease") return [{ ...l, points: [l.points[0] as Point, creaseHem] }];
    if (l.kind !== "knee" || opened.length === 0) return [l];
    return [
      { ...l, points: [moved.kneeSide as Point, sideMove([0, knee])] },
      { ...l, points: [inseamMove([0, knee]), moved.kneeInseam as Point] },
    ];
  });
  return { panel: { ...panel, edges, lines, landmarks: moved }, opened, growth };
}

/** Where the crease meets the trued hem. */
function creaseOnHem(hem: Edge["path"], near: Point): Point {
  const length = pathLength(hem);
  const sign = Math.sign(pathAt(hem, length).point[0] - pathAt(hem, 0).point[0]);
  let [low, high] = [0, length];
  for (let i = 0; i < 48; i++) {
    const middle = (low + high) / 2;
    if ((pathAt(hem, middle).point[0] - near[0]) * sign < 0) low = middle;
    else high = middle;
  }
  return pathAt(hem, (low + high) / 2).point;
}

function crotchOf(panels: readonly Panel[]): Mm {
  return panels.reduce((sum, panel) => sum + roleLength(panel, "crotch"), 0);
}

function hemOf(panels: readonly SpreadPanel[]): Mm {
  return panels.reduce((sum, s) => sum + pathLength(edgeOf(s.panel, "hem").path), 0);
}

/** The slash as it is cut (up the crease, then a branch to each hinge) and the wedges it opens. */
function show({ panel, opened }: SpreadPanel): Shown {
  const crotchLine = landmarkOf(panel, "creaseCrotch")[1];
  return {
    panel: panel.id,
    slashes: opened.map((cut) => {
      const branch: Point = [cut.stay[0], Math.min(crotchLine + 60, (crotchLine + cut.stay[1]) / 2)];
      return [cut.stay, branch, cut.hinge];
    }),
    wedges: opened.map((cut) => [cut.hinge, cut.stay, cut.tip]),
    hinges: opened.map((cut) => cut.hinge),
  };
}

function handlesOf({ panel, opened }: SpreadPanel, hemSpread: Mm): Handle[] {
  const hem = pathLength(edgeOf(panel, "hem").path);
  const creaseHem = landmarkOf(panel, "creaseHem");
  const ends =
    opened.length > 0 ? opened.map((cut) => cut.tip) : [landmarkOf(panel, "hemSide"), landmarkOf(panel, "hemInseam")];
  return ends.map((tip, i) => ({
    id: `${panel.id}-hem-${i + 1}`,
    panel: panel.id,
    at: tip,
    axis: pointUnit([Math.sign(pointSubtract(tip, creaseHem)[0]) || 1, 0]),
    param: "hemSpread",
    clears: ["hemGirth"],
    perMm: 2,
    value: hemSpread,
    label: `${panel.name.toLowerCase()} hem`,
    reading: hem,
  }));
}

/** The slash line and the place of its hinge at the side, moved by hand. */
function slashHandles({ panel, opened }: SpreadPanel, slashAt: Mm, hingeAt: Mm): Handle[] {
  const [side] = opened.filter((cut) => cut.hingeEdge === "side");
  const crease = landmarkOf(panel, "creaseHem");
  const outward = Math.sign(landmarkOf(panel, "hemSide")[0] - crease[0]) || 1;
  const name = panel.name.toLowerCase();
  const low = crease[1] - 130;
  const slash: Handle = {
    id: `${panel.id}-slash`,
    panel: panel.id,
    at: [side ? side.stay[0] : outward * slashAt, low],
    axis: [outward, 0],
    param: "slashAt",
    clears: [],
    perMm: 1,
    value: slashAt,
    label: `${name} slash from the crease`,
    reading: slashAt,
    least: -400,
  };
  const hinge = side?.hinge ?? landmarkOf(panel, "hipSide");
  return [
    slash,
    {
      ...slash,
      id: `${panel.id}-hinge`,
      at: hinge,
      axis: [0, 1],
      param: "hingeAt",
      value: hingeAt,
      label: `${name} hinge below the hip line`,
      reading: hingeAt,
    },
  ];
}
