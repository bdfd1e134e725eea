import { choice, length } from "../params";
import { askedLength, defineMove } from "./define";
import { placket } from "./placket";
import { edgesWithRole, type Edge, type Panel, mirroredIn, EDGE_ROLES } from "../pattern";
import {
  distanceToChord,
  line,
  pathAlongAtLevel,
  pathBetween,
  pathEnd,
  pathEndTangent,
  pathFlatten,
  pathLength,
  pathMap,
  pathReverse,
  pathStart,
  pathStartTangent,
  pointAdd,
  pointDistance,
  pointDot,
  pointScale,
  pointSubtract,
  pointUnit,
  type Path,
  type Point,
} from "../geometry";
import { quantity, type Mm, say, Refusal, range, type Quantity, inside } from "../units";
import { paramOr } from "./auto";
import { refuseSewnWaist } from "./legs";
import { type Handle } from "./move";

const PARAMS = {
  at: choice("The edge the casing is cut on to.", {
    label: "On the",
    options: [
      ["waist", "waist"],
      ["hem", "hem"],
    ],
  }),
  depth: length("Depth of the channel.", {
    label: "Channel",
    shown: "depth",
    usual: { mm: 45 },
    within: [10, 120],
    refusal: (limits) => say`A casing is ${limits} deep.`,
    tried: [15, 60],
  }),
  frill: length("Stands free beyond the channel, as on a paper-bag waist.", {
    label: "Frill beyond it",
    shown: "frill",
    tried: [0, 60],
  }),
  sits: choice("beyond: it stands past the edge; on: it is folded along the edge.", {
    label: "It stands",
    options: [
      ["beyond", "past the edge"],
      ["on", "on the edge"],
    ],
  }),
  line: choice("keep: the waist line stays as it is drawn; level: it is cut level from the side, front and back.", {
    label: "Waist line",
    options: [
      ["keep", "as drawn"],
      ["level", "level from the side"],
    ],
  }),
  room: length("Added so that the elastic runs easily.", {
    label: "Room for the elastic",
    shown: "room",
    usual: { mm: 3 },
    within: [0, 20],
    refusal: (limits) => say`${limits} is added for the elastic.`,
    tried: [0, 8],
  }),
};

/** Cuts a casing on to the waist or hem: the panel runs on, is folded, and its fold-back mirrors what it covers. */
export const casing = defineMove({
  id: "casing",
  label: "Cut on a casing",
  note: "Lengthens the panel past its waist or hem by a channel that folds back, mirrored so that it lies flat.",
  params: PARAMS,
  redraws: false,
  apply(state, params, context) {
    const at = params.at ?? "waist";
    const asked = (name: "depth" | "room"): Quantity => askedLength("casing", PARAMS, name, params, context);
    const [depth, room] = [asked("depth"), asked("room")];
    const frill = paramOr("casing", "frill", params.frill, context) ?? quantity(0, "none");
    const sits = params.sits ?? "beyond";
    if (frill.mm < 0 || frill.mm > 150) throw new Refusal("frill", say`A frill stands ${range(0, 150)}.`);
    const own = state.panels.filter((p) => edgesWithRole(p, at).length > 0);
    if (own.length === 0) throw new Refusal("at", say`There is no ${at} edge left to cut a casing on to.`);
    for (const panel of own) {
      if (at === "waist") refuseSewnWaist(state, panel, "at", this.label);
      if (panel.worn?.ring) throw new Refusal("at", say`A flounce's hem is curved, so no casing folds along it.`);
      if (at === "waist" && panel.edges.some((e) => e.role === "dart")) {
        throw new Refusal(
          "at",
          say`The ${inside(panel.name)} has darts or pleats in its waist. A casing is drawn up, so leave the waist hip-wide.`,
        );
      }
    }
    const isLevelled = at === "waist" && params.line === "level";
    const rims = isLevelled ? own.map(levelled) : own;
    const riseLost = quantity(
      isLevelled ? Math.max(0, ...own.map((panel, i) => riseOf(panel) - riseOf(rims[i] as Panel))) : 0,
      "the centre back gives it up, so that the waist lies level with the side",
    );
    const stand = sits === "on" ? 0 : depth.mm + frill.mm;
    const back = depth.mm + frill.mm + room.mm;
    const cased = own.map((panel, i) => ({
      panel,
      done: withCasing(rims[i] as Panel, at, stand, back, [depth.mm, stand, frill.mm]),
    }));
    const squared = Math.max(...cased.map(({ done }) => done.squared));
    const beyond = quantity(
      stand + back,
      say`${sits === "on" ? "" : "2 x "}(channel ${depth.mm}${frill.mm > 0 ? say` + frill ${frill.mm}` : ""}) + ${room.mm}`,
      { depth, frill, room },
    );
    const handle = (panel: Panel, place: Point): Handle => ({
      id: `${panel.id}-casing-${at}`,
      panel: panel.id,
      at: place,
      axis: [0, at === "waist" ? -1 : 1],
      param: "depth",
      clears: [],
      perMm: sits === "on" ? 1 : 0.5,
      value: depth.mm,
      label: say`casing, ${at}`,
      reading: depth.mm,
    });
    return {
      state: { ...state, panels: state.panels.map((p) => cased.find((c) => c.panel === p)?.done.panel ?? p) },
      numbers: {
        depth,
        ...(frill.mm > 0 && { frill }),
        ...(isLevelled && { riseLost }),
        beyond,
        squared: quantity(squared, say`the ${at} curve against the straight fold`),
        room,
      },
      handles: cased.map(({ panel, done }) => handle(panel, done.middle)),
    };
  },
  says: ({ params: { at = "waist" }, numbers: { riseLost, frill } }) =>
    say`${riseLost ? "Level the waist from the side: the centre back gives up {riseLost} of its rise, the centre front is squared up. " : ""}Square off the ${at}, {squared} at the most, and cut on a casing: channel {depth}${frill ? ", frill {frill}" : ""}, {beyond} beyond the ${at} with its fold-back.`,
});

/** How much higher the waist lies at the centre than at the side. */
function riseOf(panel: Panel): Mm {
  const waists = edgesWithRole(panel, "waist");
  const [first, last] = [waists[0], waists.at(-1)];
  return first && last ? pathEnd(last.path)[1] - pathStart(first.path)[1] : 0;
}

/** The panel with its waist cut level from the side to the centre; a centre that ends lower is squared up to it. */
function levelled(panel: Panel): Panel {
  const waists = edgesWithRole(panel, "waist");
  const [first, last] = [waists[0] as Edge, waists.at(-1) as Edge];
  const { edges } = panel;
  const before = edges[(edges.indexOf(first) + edges.length - 1) % edges.length] as Edge;
  if (edges[(edges.indexOf(last) + 1) % edges.length]?.role !== "side")
    throw new Refusal(
      "line",
      say`The waist is levelled from the side, and the waist of the ${inside(panel.name)} does not run from centre to side. Move this line up, or leave the waist as it is drawn.`,
    );
  const y = pathEnd(last.path)[1];
  const top = pathEnd(before.path);
  const at = top[1] < y ? pathAlongAtLevel(before.path, y) : null;
  if (top[1] < y && at === null)
    throw new Refusal("line", say`The centre of the ${inside(panel.name)} does not reach the level of its side.`);
  const centre: Path = at === null ? [...before.path, line(top, [top[0], y])] : pathBetween(before.path, 0, at);
  const waist: Edge = { ...first, path: [line(pathEnd(centre), pathEnd(last.path))] };
  return {
    ...panel,
    edges: edges.flatMap((e): Edge[] =>
      e === before ? [{ ...e, path: centre }] : e === first ? [waist] : waists.includes(e) ? [] : [e],
    ),
    landmarks: { ...panel.landmarks, waistCentre: pathEnd(centre) },
  };
}

/** True where an edge beside the rim runs along it rather than away from it. */
function crossesAlong(before: Edge, after: Edge, a: Point, b: Point): boolean {
  const rim = pointUnit(pointSubtract(b, a));
  return [pathEndTangent(before.path), pathStartTangent(after.path)].some((t) => Math.abs(pointDot(t, rim)) > 0.75);
}

/** A rim that curves by more than this is not squared off: what lies beyond the straight fold would be missed on the body. */
const MOST_SQUARED: Mm = 20;

interface Cased {
  readonly panel: Panel;
  /** How far the curved edge lay from the straight line it is squared to. */
  readonly squared: Mm;
  readonly middle: Point;
}

const pathsLength = (edges: readonly Edge[]): Mm => edges.reduce((sum, e) => sum + pathLength(e.path), 0);

/** Refuses a rim that no casing folds along; else how far it lies from the straight line it is squared to. */
function refuseUncased(
  panel: Panel,
  at: "waist" | "hem",
  rims: readonly Edge[],
  [before, after]: readonly [Edge, Edge],
  [a, b]: readonly [Point, Point],
): Mm {
  const name = inside(panel.name);
  if ([before, after].some((e) => !EDGE_ROLES[e.role].runsOn || e.by === placket.id)) {
    throw new Refusal(
      "at",
      say`Beside the ${at} of the ${name} lies a placket, so no casing can be cut on there. Use a separate strip.`,
    );
  }
  if (crossesAlong(before, after, a, b)) {
    throw new Refusal(
      "at",
      say`Beside the ${at} of the ${name} a seam runs nearly along it, so no casing can be folded there. Use a separate strip, or a leg that tapers or flares less.`,
    );
  }
  const squared = Math.max(...rims.flatMap((e) => pathFlatten(e.path)).map((p) => distanceToChord(p, a, b)));
  if (squared > MOST_SQUARED) {
    throw new Refusal(
      "at",
      say`The ${at} of the ${name} curves by ${squared}, too much to be folded along a straight line. Use a separate strip or a facing.`,
    );
  }
  return squared;
}

/**
 * The panel lengthened past one of its rims. Both seams beside it run on in their own direction by `stand`, the same on
 * every panel; there it is folded, and as much of the seams as `back` covers is mirrored in the fold.
 */
function withCasing(
  panel: Panel,
  at: "waist" | "hem",
  stand: Mm,
  back: Mm,
  [channel, channelAt, frill]: readonly [Mm, Mm, Mm],
): Cased {
  const rims = edgesWithRole(panel, at);
  const first = rims[0] as Edge;
  const last = rims[rims.length - 1] as Edge;
  const { edges } = panel;
  const before = edges[(edges.indexOf(first) + edges.length - 1) % edges.length] as Edge;
  const after = edges[(edges.indexOf(last) + 1) % edges.length] as Edge;
  const [a, b] = [pathStart(first.path), pathEnd(last.path)];
  const squared = refuseUncased(panel, at, rims, [before, after], [a, b]);
  const on = pathEndTangent(before.path);
  const off = pathStartTangent(after.path);
  const foldA = pointAdd(a, pointScale(on, stand));
  const foldB = pointAdd(b, pointScale(off, -stand));
  const arriving: Path = stand > 0 ? [...before.path, line(a, foldA)] : before.path;
  const leaving: Path = stand > 0 ? [line(foldB, b), ...after.path] : after.path;
  const mirror = (path: Path): Path => pathMap(path, (p) => mirroredIn(p, foldA, foldB));
  const whole = pathLength(arriving);
  if (back > Math.min(whole, pathLength(leaving)) - 5) {
    throw new Refusal(
      "depth",
      say`The fold-back would reach ${back} down the ${inside(panel.name)}, which is not as deep beside its ${at}. Make the casing shallower.`,
    );
  }
  const outA = mirror(pathReverse(pathBetween(arriving, whole - back, whole)));
  const outB = pathReverse(mirror(pathBetween(leaving, 0, back)));
  const rim: Edge = {
    id: first.id,
    role: "casing",
    rim: at,
    name: say`${first.name}, casing`,
    path: [line(pathEnd(outA), pathStart(outB))],
  };
  const next = edges.flatMap((e): Edge[] => {
    if (e === first) return [rim];
    if (rims.includes(e)) return [];
    if (e === before) return [{ ...e, path: [...arriving, ...outA] }];
    if (e === after) return [{ ...e, path: [...outB, ...leaving] }];
    return [e];
  });
  const level = (share: Mm): readonly Point[] => [
    pointAdd(a, pointScale(on, share)),
    pointAdd(b, pointScale(off, -share)),
  ];
  return {
    panel: {
      ...panel,
      edges: next,
      worn: {
        ...panel.worn,
        casings: {
          ...panel.worn?.casings,
          [at]: {
            channel,
            added: stand + back,
            folded: back,
            rim: at === "waist" ? pathsLength(rims) : pointDistance(foldA, foldB),
          },
        },
      },
      lines: [
        ...panel.lines,
        { kind: "fold", points: [foldA, foldB] },
        // Its raw edge is folded in once more.
        { kind: "fold", points: [pathEnd(outA), pathStart(outB)] },
        ...(stand > 0 ? [{ kind: "placement" as const, points: [a, b] }] : []),
        ...(frill > 0 ? [{ kind: "placement" as const, points: level(channelAt - frill) }] : []),
      ],
    },
    squared,
    middle: [(pathEnd(outA)[0] + pathStart(outB)[0]) / 2, (pathEnd(outA)[1] + pathStart(outB)[1]) / 2],
  };
}
