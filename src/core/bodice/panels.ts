import { say } from "../units";
import {
  against,
  along,
  edgesWithRole,
  panelMap,
  wholePanelOf,
  type Edge,
  type Join,
  type Panel,
  type PanelLine,
} from "../pattern";
import { line, pathEnd, pathLength, pathReverse, pathStart, type Path, type Point, pointFlipped } from "../geometry";
import { remembered } from "../remember";
import { drawBodice, type BodiceHalf, type DrawnBodice } from "./halves";
import type { BodicePlan } from "./plan";

/** A plan that was drawn is drawn once, while other lines are pulled and set. */
const drawn = remembered(drawBodice);

type Half = "front" | "back";
const idOf = (half: Half): string => `bodice-${half}`;

const edge = (id: string, role: Edge["role"], name: string, path: Path): Edge => ({ id, role, name, path });

/** The side from the underarm down, divided where the bust dart opens. */
function sideEdges({ underarm, sideDart, waist }: BodiceHalf): readonly Edge[] {
  if (!sideDart) return [edge("side", "side", "side", [line(underarm, waist.side)])];
  const { from, cap, to } = sideDart;
  return [
    edge("side", "side", "side", [line(underarm, from)]),
    edge("bust-dart", "dart", "bust dart", [line(from, cap), line(cap, to)]),
    edge("side-2", "side", "side", [line(to, waist.side)]),
  ];
}

/** The waist from the side to the centre, its darts open; numbered from the centre. */
function waistEdges({ waist }: BodiceHalf): readonly Edge[] {
  let [waists, darts] = [0, 0];
  const numbered = (id: string, n: number): string => (n === 1 ? id : `${id}-${n}`);
  return waist.parts
    .map((part) =>
      part.is === "waist"
        ? edge(numbered("waist", ++waists), "waist", "waist", pathReverse([part.path]))
        : edge(numbered("waist-dart", ++darts), "dart", "waist dart", [
            line(part.to, part.cap),
            line(part.cap, part.from),
          ]),
    )
    .reverse();
}

/** The lines of half a bodice from the centre out, x to the right and y down from the waist. */
export interface HalfLines {
  readonly neck: Path;
  readonly shoulder: Path;
  readonly armhole: Path;
  /** From the underarm down, parted where the bust dart opens. */
  readonly side: readonly Edge[];
  /** From the side to the centre, parted where darts open, numbered from the centre. */
  readonly waist: readonly Edge[];
  readonly centre: Path;
  readonly darts: readonly PanelLine[];
  /** Places besides those at its corners. */
  readonly points: Readonly<Record<string, Point>>;
  /** Its waist is a V. */
  readonly isPointed: boolean;
}

/** Half a bodice as a panel, as the wearer's right half lies on the table: the front with its centre to the right. */
export function panelOf(half: Half, lines: HalfLines): Panel {
  const isFolded = half === "front";
  const [underarm, waistCentre] = [pathEnd(lines.armhole), pathStart(lines.centre)];
  const x = underarm[0] * 0.3;
  const grain: PanelLine = {
    kind: "grain",
    points: [
      [x, underarm[1] * 0.2],
      [x, underarm[1] * 1.15],
    ],
  };
  const panel: Panel = {
    id: idOf(half),
    name: say`Bodice ${half}`,
    is: wholePanelOf("bodice", half),
    half: "both",
    ...(lines.isPointed && { worn: { pointed: true } }),
    cutting: { material: "shell", ...(isFolded && { pieces: { count: 1, onFold: true } }) },
    edges: [
      edge("neck", "neck", "neck", lines.neck),
      edge("shoulder", "shoulder", "shoulder", lines.shoulder),
      edge("armhole", "armhole", "armhole", lines.armhole),
      ...lines.side,
      ...lines.waist,
      edge("centre", isFolded ? "fold" : "centre", isFolded ? "centre, on the fold" : "centre", lines.centre),
    ],
    landmarks: {
      neckCentre: pathStart(lines.neck),
      neckEnd: pathEnd(lines.neck),
      shoulderEnd: pathEnd(lines.shoulder),
      underarm,
      waistSide: pathStart((lines.waist[0] as Edge).path),
      waistCentre,
      ...lines.points,
    },
    lines: [grain, ...lines.darts],
  };
  return isFolded ? panelMap(panel, pointFlipped) : panel;
}

/** The lines of a half that was drafted. */
function linesOfHalf(own: BodiceHalf, isPointed: boolean, points: HalfLines["points"]): HalfLines {
  const waist = waistEdges(own);
  const dartLines = [
    ...own.waist.parts.flatMap((p) => (p.is === "dart" ? [p] : [])),
    ...(own.sideDart ? [own.sideDart] : []),
  ];
  return {
    neck: own.neck,
    shoulder: own.shoulder,
    armhole: own.armhole,
    side: sideEdges(own),
    waist,
    centre: [line(pathEnd((waist.at(-1) as Edge).path), pathStart(own.neck))],
    darts: dartLines.map(({ from, tip, to }): PanelLine => ({ kind: "dart", points: [from, tip, to] })),
    points,
    isPointed,
  };
}

/** The seams of a bodice that is whole: shoulder, side, centre back; the centre front lies on the fold. */
export function joinsOf(panels: Readonly<Record<Half, Panel>>): readonly Join[] {
  const [f, b] = [idOf("front"), idOf("back")];
  const join = (id: string, label: string, kind: Join["kind"], a: Join["a"], other: Join["b"]): Join => ({
    id: `bodice-${id}`,
    label,
    kind,
    by: null,
    how: "equal",
    leg: "both",
    a,
    b: other,
  });
  const side = (half: Half) => edgesWithRole(panels[half], "side").map((e) => along(idOf(half), e.id));
  return [
    join("shoulder", "Shoulder seam", "shoulder", [along(f, "shoulder")], [along(b, "shoulder")]),
    join("side", "Bodice, side seam", "side", side("front"), side("back")),
    { ...join("centre", "Bodice, centre back", "centre", [along(b, "centre")], [along(b, "centre")]), root: "back" },
  ];
}

/** Front and back of a bodice on their seam lines, and how they are sewn together. */
export function bodicePanels(plan: BodicePlan): {
  readonly panels: readonly Panel[];
  readonly joins: readonly Join[];
  readonly drawn: DrawnBodice;
} {
  const both = drawn(plan);
  // However low the neck is cut, lengths are told from where the tape starts.
  const nape: Point = [0, -plan.napeToWaist];
  const isPointed = plan.vWaist.front !== 0 || plan.vWaist.back !== 0;
  const front = panelOf("front", linesOfHalf(both.front, isPointed, { bustPoint: both.bust }));
  const back = panelOf("back", linesOfHalf(both.back, isPointed, { nape }));
  return { panels: [front, back], joins: joinsOf({ front, back }), drawn: both };
}

/** The waist of half a bodice walked from the centre to the side. */
export const waistFromCentre = (panel: Panel) =>
  panel.edges
    .filter((e) => e.role === "waist")
    .reverse()
    .map((e) => against(panel.id, e.id));

/** Length of the whole armhole of one side, front and back. */
export const armholeOf = ({ front, back }: DrawnBodice): number => pathLength(front.armhole) + pathLength(back.armhole);
