import { choice, length } from "../params";
import { askedLength, defineMove } from "./define";
import { split } from "./split";
import {
  against,
  along,
  edgeOf,
  panelById,
  type Edge,
  type EdgeRef,
  type Join,
  type Panel,
  renamed,
  ringPanel,
  edgesWithRole,
  wholePanelOf,
  type EdgeRole,
} from "../pattern";
import { pathLength, pathSplit, pathStart } from "../geometry";
import { type Mm, say, Refusal, range, angle, toDegrees } from "../units";
import { type Handle, type StyleState } from "./move";

const ID = "godet";

const PARAMS = {
  at: choice("The seam it is let into.", {
    label: "Let into",
    options: [
      ["side", "the side seam"],
      ["inseam", "the inseam"],
      ["split", "the split seam"],
    ],
  }),
  length: length("How far up from the hem the seam is opened.", {
    label: "Up from the hem",
    shown: "length",
    ownOnly: true,
    usual: { mm: 350, where: "from the hem" },
    tried: [80, 500],
  }),
  spread: length("Width of the godet along its hem.", {
    takesCloth: true,
    label: "Width at its hem",
    shown: "spread",
    usual: { mm: 300, where: "at the hem" },
    tried: [60, 400],
  }),
};

/** The seams it is let into, in words. */
const SEAM = { side: "side seam", inseam: "inseam", split: "split seam" } as const;

/** Lets a sector of cloth into the lower end of a seam: as long as the seam is opened, its hem on a circle. */
export const godet = defineMove({
  id: ID,
  label: "Let in a godet",
  note: "Opens a seam from the hem and lets in a sector of cloth, so that the hem flares from there.",
  params: PARAMS,
  redraws: false,
  widensHem: true,
  apply(state, params, context) {
    const at = params.at ?? "side";
    const seams = state.joins.filter((join) =>
      at === "split" ? join.by === split.id : join.kind === at && endsAtHem(state, join),
    );
    const length = askedLength(ID, PARAMS, "length", params, context);
    const spread = askedLength(ID, PARAMS, "spread", params, context);
    if (seams.length === 0) {
      throw new Refusal(
        "at",
        at === "split"
          ? say`There is no split seam to let it into. Split a panel first.`
          : say`There is no ${at} seam that reaches the hem.`,
      );
    }
    if (state.panels.some((p) => isOpenedFor(p, at === "split" ? "style" : at)))
      throw new Refusal("at", say`A godet is let into this seam already. Change that one, or choose another seam.`);
    const edges = seams.flatMap((join) => [...join.a, ...join.b].map((ref) => `${ref.panel}.${ref.edge}`));
    if (new Set(edges).size < edges.length) {
      throw new Refusal(
        "at",
        say`Left and right differ here, and this seam is shared by both. Let the godet in before that split.`,
      );
    }
    const room = Math.min(...seams.map((join) => lastLength(state, join)));
    if (length.mm < 60 || length.mm > room - 40) {
      throw new Refusal(
        "length",
        say`The seam can be opened between ${range(60, room - 40, "and")} from the hem.`,
        room < 100 ? {} : { yields: Math.min(Math.max(length.mm, 60), room - 40) },
      );
    }
    // One part of more than half a circle cannot be cut in one piece.
    const most = Math.PI * length.mm;
    if (spread.mm < 20 || spread.mm > most)
      throw new Refusal("spread", say`A godet this long can be ${range(20, most)} wide at its hem.`);
    let next = state;
    for (const seam of seams) next = letIn(next, seam, length.mm, spread.mm, at);
    const panel = next.panels.find((p) => p.is.part === "godet" && !state.panels.includes(p)) as Panel;
    const handle = (param: "length" | "spread", perMm: number, value: Mm): Handle => ({
      id: `godet-${param}`,
      panel: panel.id,
      // Hung from its point, the godet is pulled by its hem: down for its length, out for its width.
      at: param === "length" ? [0, length.mm] : pathStart(edgeOf(panel, "hem").path),
      axis: param === "length" ? [0, 1] : [1, 0],
      param,
      clears: [],
      perMm,
      value,
      label: param === "length" ? "godet length" : "godet hem",
      ofHem: param === "spread",
      reading: value,
    });
    return {
      state: next,
      numbers: {
        length,
        spread,
      },
      figures: {
        angle: { ...angle(toDegrees(spread.mm / length.mm)), sum: say`spread ${spread.mm} / length ${length.mm}` },
      },
      handles: [handle("length", 1, length.mm), handle("spread", 2, spread.mm)],
    };
  },
  says: ({ params: { at = "side" } }) =>
    say`Open the ${SEAM[at]} {length} from the hem and let in a godet, {spread} wide along its hem.`,
});

/** True where an edge of this role was opened for a godet already. */
const isOpenedFor = (panel: Panel, role: EdgeRole): boolean =>
  edgesWithRole(panel, role).some((edge) => edge.by === ID);

/** The end of a seam that lies at the hem: its last edge, or, for an inseam, its first. */
const hemEnd = (join: Join): "first" | "last" => (join.kind === "inseam" ? "first" : "last");

function endsAtHem(state: StyleState, join: Join): boolean {
  const refs = [join.a, join.b].map((list) => list.at(hemEnd(join) === "first" ? 0 : -1));
  return refs.every((ref) => ref && panelById(state.panels, ref.panel).edges.some((e) => e.role === "hem"));
}

function lastLength(state: StyleState, join: Join): Mm {
  const refs = [join.a, join.b].map((list) => list.at(hemEnd(join) === "first" ? 0 : -1) as EdgeRef);
  return Math.min(...refs.map((ref) => pathLength(edgeOf(panelById(state.panels, ref.panel), ref.edge).path)));
}

/** The panel with one edge divided at a distance from its hem end; the part at the hem is called `<edge>-godet`. */
function divided(
  panel: Panel,
  ref: EdgeRef,
  fromHem: Mm,
  end: "first" | "last",
): { panel: Panel; refs: readonly EdgeRef[] } {
  const edge = edgeOf(panel, ref.edge);
  // Whether the hem lies at the edge's own end or start.
  const atEnd = (end === "last") !== ref.reversed;
  const whole = pathLength(edge.path);
  const [a, b] = pathSplit(edge.path, atEnd ? whole - fromHem : fromHem);
  const opened: Edge = { ...edge, id: `${edge.id}-godet`, name: say`${edge.name}, godet`, by: ID };
  const parts: Edge[] = atEnd
    ? [
        { ...edge, path: a },
        { ...opened, path: b },
      ]
    : [
        { ...opened, path: a },
        { ...edge, path: b },
      ];
  return {
    panel: { ...panel, edges: panel.edges.flatMap((e) => (e === edge ? parts : [e])) },
    refs: parts.map((p) => along(panel.id, p.id)),
  };
}

function letIn(state: StyleState, join: Join, length: Mm, spread: Mm, at: string): StyleState {
  const end = hemEnd(join);
  const pick = (list: readonly EdgeRef[]): EdgeRef => list.at(end === "first" ? 0 : -1) as EdgeRef;
  const suffix = join.leg === "both" ? "" : `-${join.leg}`;
  const id = ["godet", at].join("-") + suffix;
  const sector = ringPanel({
    id,
    name: `Godet${suffix.replace("-", " ")}`,
    is: wholePanelOf("legs", null, "godet"),
    radius: 0,
    depth: length,
    turn: spread / length,
    from: state.plan.levels.hem - length,
    points: 0,
    before: 0,
    valley: 0,
    top: "",
  });
  const inner = edgeOf(sector, "top");
  // A sector has no inner edge: its two straight edges meet in a point.
  const part: Panel = { ...sector, half: join.leg, edges: sector.edges.filter((e) => e !== inner) };
  let { panels, joins } = state;
  const opened = [join.a, join.b].map((list): EdgeRef => {
    const ref = pick(list);
    const done = divided(panelById(panels, ref.panel), ref, length, end);
    panels = panels.map((p) => (p.id === ref.panel ? done.panel : p));
    const refs = new Map(panels.find((p) => p.id === ref.panel)?.edges.map((e) => [e.id, [along(ref.panel, e.id)]]));
    refs.set(ref.edge, [...done.refs]);
    joins = joins.map((other) => renamed(other, ref.panel, refs));
    return { ...ref, edge: `${ref.edge}-godet` };
  });
  const isOpened = (ref: EdgeRef): boolean => opened.some((o) => o.panel === ref.panel && o.edge === ref.edge);
  joins = joins.map((other) =>
    other.id === join.id
      ? { ...other, a: other.a.filter((r) => !isOpened(r)), b: other.b.filter((r) => !isOpened(r)) }
      : other,
  );
  const sewn = (ref: EdgeRef, edge: EdgeRef, n: number): Join => ({
    id: `${id}-${n}`,
    label: "Godet seam",
    kind: "cut",
    by: ID,
    how: "equal",
    leg: join.leg,
    // Walked from the godet's point down to the hem.
    a: [end === "last" ? ref : { ...ref, reversed: !ref.reversed }],
    b: [edge],
  });
  const [first, second] = opened as [EdgeRef, EdgeRef];
  return {
    ...state,
    panels: [...panels, part],
    joins: [...joins, sewn(first, against(id, "start"), 1), sewn(second, along(id, "end"), 2)],
  };
}
