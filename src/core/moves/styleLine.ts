import {
  along,
  cutPanel,
  edgeOf,
  edgesWithRole,
  findEdge,
  landmarkOf,
  panelById,
  partOf,
  type Join,
  type Panel,
} from "../pattern";
import { line, pathAlongAtLevel, pathAt, pathChords, pathStart, type Point } from "../geometry";
import { flag, length } from "../params";
import { quantity, range, Refusal, say, type Mm } from "../units";
import { paramOr } from "./auto";
import { askedLength, defineMove } from "./define";
import type { StyleState } from "./move";
import { bodiceHalves, needsBodice, needsWholeCentres } from "./withBodice";

const ID = "style-line";

const PARAMS = {
  below: length(
    "How far below the shoulder's neck end the line runs across; left out, half-way from the neck to the underarm.",
    {
      label: "Below the neck's end of the shoulder",
      auto: "half-way to the underarm",
      within: [40, 400],
      refusal: (limits) => say`A style line runs across ${limits} below the shoulder.`,
      tried: [130, 190],
    },
  ),
  contrast: flag("Whether the part above it is cut from a second cloth.", {
    label: "Upper part from a second cloth",
    yes: "from a second cloth",
    no: "from the same cloth",
    usual: true,
  }),
  doubled: flag("Whether the part above it is cut twice and faced with itself.", {
    label: "Upper part doubled",
    yes: "doubled: its own facing",
    no: "single",
    usual: true,
  }),
};

/** The line stays this far from neck and underarm. */
const CLEAR: Mm = 12;

/** Between which levels below the shoulder a line crosses centre and armhole of one half. */
function levelsOf(panel: Panel): readonly [least: Mm, most: Mm] {
  const top = landmarkOf(panel, "neckEnd")[1];
  const highest = Math.max(landmarkOf(panel, "neckCentre")[1], landmarkOf(panel, "shoulderEnd")[1]);
  return [highest + CLEAR - top, landmarkOf(panel, "underarm")[1] - CLEAR - top];
}

/** One half cut level across, its upper part as a panel of its own. */
function cutHalf(state: StyleState, panel: Panel, below: Mm, contrast: boolean): StyleState {
  const y = landmarkOf(panel, "neckEnd")[1] + below;
  const place = (id: string): { readonly edge: string; readonly along: Mm; readonly point: Point } => {
    const { path } = edgeOf(panel, id);
    const at = pathAlongAtLevel(pathChords(path), y) ?? 0;
    return { edge: id, along: at, point: pathAt(path, at).point };
  };
  const [from, to] = [place("centre"), place("armhole")];
  const upper = upperId(panel);
  const cut = cutPanel(state, panel.id, {
    by: ID,
    from,
    to,
    path: [line(from.point, to.point)],
    between: { id: upper, name: say`${panel.name}, upper part`, part: "above" },
    rest: { id: panel.id, name: panel.name, part: "main" },
    seam: { id: `${panel.id}-style`, label: say`${panel.name}, style line` },
    edge: { id: "style", name: "style line" },
  });
  const material = contrast ? "contrast" : panel.cutting.material;
  return {
    ...cut,
    panels: cut.panels.map((p) => {
      if (p.id !== upper) return p;
      // However low the neck is cut, the back is told from the nape.
      const { nape } = panel.landmarks;
      return {
        ...p,
        cutting: { ...p.cutting, material },
        ...(nape && { landmarks: { ...p.landmarks, nape } }),
      };
    }),
  };
}

const upperId = (panel: Panel): string => `${panel.id}-upper`;

/** The upper part once more, as the facing of itself: sewn along neck and armhole, caught in shoulder and style line. */
function doubled(state: StyleState, roots: readonly ("bodice-front" | "bodice-back")[]): StyleState {
  const uppers = roots.map((id) => panelById(state.panels, `${id}-upper`));
  const facings = uppers.map((panel): Panel => ({
    ...panel,
    id: `${panel.id}-facing`,
    name: say`${panel.name}, facing`,
    is: partOf("facing", { root: panel.is.root, madeFor: panel.id }),
  }));
  const seams = uppers.flatMap((panel): Join[] =>
    (["neck", "armhole"] as const)
      .filter((role) => findEdge(panel, role))
      .map((role) => ({
        id: `${panel.id}-facing-${role}`,
        label: say`${panel.name} and its facing, ${role}`,
        kind: role,
        by: ID,
        how: "equal",
        leg: "both",
        ...(panel.is.root && { root: panel.is.root }),
        a: [along(`${panel.id}-facing`, role)],
        b: [along(panel.id, role)],
      })),
  );
  const [front, back] = facings as [Panel, Panel];
  const shoulder: Join = {
    id: "upper-facing-shoulder",
    label: "Upper parts' facings, shoulder",
    kind: "cut",
    by: ID,
    how: "equal",
    leg: "both",
    a: [along(front.id, "shoulder")],
    b: [along(back.id, "shoulder")],
  };
  return { ...state, panels: [...state.panels, ...facings], joins: [...state.joins, ...seams, shoulder] };
}

/** A level line across front and back of the bodice; the part above it may be of another cloth and its own facing. */
export const styleLine = defineMove({
  id: ID,
  label: "Style line across the bodice",
  note: "Cuts front and back of the bodice level across; the upper part may be of a second cloth, doubled with itself.",
  params: PARAMS,
  redraws: false,
  apply(state, params, context) {
    needsBodice(state, "below", this.label);
    needsWholeCentres(state, "below", this.label);
    const { front, back } = bodiceHalves(state);
    const halves = [front, back];
    if (halves.some((p) => edgesWithRole(p, "neck").length !== 1 || !p.landmarks.shoulderEnd || p.worn?.cowl))
      throw new Refusal("below", say`The bodice was cut or opened already. Move this line before the one that did.`);
    const limits = halves.map(levelsOf);
    const [least, most] = [Math.max(...limits.map(([l]) => l)), Math.min(...limits.map(([, m]) => m))];
    if (least > most)
      throw new Refusal(
        "below",
        say`The neck reaches as low as the underarm: no line crosses the bodice between them.`,
      );
    const stated = paramOr(ID, "below", params.below, context);
    const below = stated
      ? askedLength(ID, PARAMS, "below", params, context)
      : quantity((least + most) / 2, "half-way between neck and underarm");
    if (below.mm < least || below.mm > most)
      throw new Refusal("below", say`Across this bodice the line runs ${range(least, most)} below the shoulder.`, {
        least,
        most,
      });
    const contrast = params.contrast ?? PARAMS.contrast.usual;
    const isDoubled = params.doubled ?? PARAMS.doubled.usual;
    const cut = halves.reduce((now, panel) => cutHalf(now, panel, below.mm, contrast), state);
    return {
      state: isDoubled ? doubled(cut, ["bodice-front", "bodice-back"]) : cut,
      numbers: { below },
      handles: [
        {
          id: "style-line",
          panel: "bodice-front",
          at: pathStart(edgeOf(panelById(cut.panels, "bodice-front"), "style").path),
          axis: [0, 1],
          param: "below",
          clears: [],
          perMm: 1,
          value: below.mm,
          label: "style line",
          reading: below.mm,
          least,
        },
      ],
    };
  },
  says: ({ params: { contrast = PARAMS.contrast.usual, doubled: isDoubled = PARAMS.doubled.usual } }) =>
    say`Cut the bodice level across, {below} below the shoulder's neck end: the upper part is cut ${contrast ? "from a second cloth" : "from the same cloth"}${isDoubled ? ", twice: it faces itself" : ""}.`,
});
