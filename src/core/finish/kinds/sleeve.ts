import { capEdge, sleeveSizes } from "../../bodice";
import {
  against,
  along,
  cutPanel,
  edgeOf,
  edgesWithRole,
  isBodice,
  isCutTo,
  isSewnOn,
  panelById,
  partOf,
  refLength,
  refsLength,
  walkedBack,
  type EdgeRef,
  type Join,
  type Panel,
} from "../../pattern";
import { line, pathAt, pathEnd, pathMap, pathReverse, pathStart, type Point, pointFlipped } from "../../geometry";
import { length, statedLength } from "../../params";
import { Refusal, say, type Mm, type Words } from "../../units";
import { defineFinish } from "../define";
import { unsettled, withParts, type Garment } from "../garment";

const ID = "sleeve";
const ROOTS = ["front", "back"] as const;
type Half = (typeof ROOTS)[number];

/** The armhole of front or back from the underarm up to the shoulder, through every panel it was cut into. */
function armholeUp({ panels }: Garment, root: Half): readonly EdgeRef[] {
  const down = panels
    .filter((p) => isBodice(p, root))
    .flatMap((p) => edgesWithRole(p, "armhole").map((e) => ({ y: pathStart(e.path)[1], ref: along(p.id, e.id) })))
    .sort((a, b) => a.y - b.y)
    .map((a) => a.ref);
  return walkedBack(down);
}

/** A short sleeve ends this far below the underarm. */
const BELOW_UNDERARM: Mm = 70;

interface Sizes {
  readonly length: Mm;
  readonly taper: Mm;
  readonly hem: Mm;
}

/** A short sleeve on its seam line: its cap in two halves, its seam, its hem with the turning beyond. */
function drawn(cap: { readonly cap: Mm; readonly front: Mm; readonly back: Mm }, { length, taper, hem }: Sizes): Panel {
  const front = capEdge(cap.front, cap.cap);
  const back = pathReverse(pathMap(capEdge(cap.back, cap.cap), pointFlipped));
  const [f, b] = [pathStart(front), pathEnd(back)];
  const [hf, hb]: [Point, Point] = [
    [f[0] - taper, length],
    [b[0] + taper, length],
  ];
  return {
    id: ID,
    name: "Sleeve",
    is: partOf("sleeve"),
    half: "both",
    cutting: { material: "shell" },
    edges: [
      { id: "cap-front", role: "armhole", name: "cap, front", path: front },
      { id: "cap-back", role: "armhole", name: "cap, back", path: back },
      { id: "seam-back", role: "style", name: "underarm seam, back", path: [line(b, hb)], sewnAs: "side" },
      { id: "sleeve-hem", role: "style", name: "hem", becomes: "turned", path: [line(hb, hf)], beyond: hem },
      { id: "seam-front", role: "style", name: "underarm seam, front", path: [line(hf, f)], sewnAs: "side" },
    ],
    landmarks: { crown: [0, 0], underarmFront: f, underarmBack: b },
    lines: [
      {
        kind: "grain",
        points: [
          [0, cap.cap * 0.3],
          [0, length - 15],
        ],
      },
      { kind: "notch", points: [[0, 0]] },
    ],
  };
}

const join = (id: string, label: Words, kind: Join["kind"], more: Pick<Join, "how" | "a" | "b">): Join => ({
  id,
  label,
  kind,
  by: ID,
  leg: "both",
  ...more,
});

/** The sleeve cut where a bodice's upper part ends, at the same share of each half of its cap, and from its cloth. */
function cutLikeBodice(garment: Garment, ups: Readonly<Record<Half, readonly EdgeRef[]>>): Garment {
  const upper = ROOTS.map((root) => ups[root].at(-1) as EdgeRef);
  if (ROOTS.some((root) => ups[root].length < 2)) return garment;
  const material = panelById(garment.panels, (upper[0] as EdgeRef).panel).cutting.material;
  const sleeve = panelById(garment.panels, ID);
  // From the underarm, the share of the armhole that is below the upper part.
  const below = ROOTS.map(
    (root, i) => 1 - refLength(garment.panels, upper[i] as EdgeRef) / refsLength(garment.panels, ups[root]),
  );
  const [front, back] = [edgeOf(sleeve, "cap-front"), edgeOf(sleeve, "cap-back")];
  const [from, to] = [
    refLength(garment.panels, along(ID, "cap-front")) * (below[0] as number),
    refLength(garment.panels, along(ID, "cap-back")) * (1 - (below[1] as number)),
  ];
  const cut = cutPanel(garment, ID, {
    by: ID,
    from: { edge: "cap-front", along: from },
    to: { edge: "cap-back", along: to },
    path: [line(pathAt(front.path, from).point, pathAt(back.path, to).point)],
    between: { id: "sleeve-upper", name: "Sleeve, upper part", part: "above" },
    rest: { id: ID, name: "Sleeve", part: "main" },
    seam: { id: "sleeve-style", label: "Sleeve, its parts" },
    edge: { id: "style", name: "style line" },
  });
  return {
    ...cut,
    panels: cut.panels.map((p) => (isCutTo(p, ID, "above") ? { ...p, cutting: { ...p.cutting, material } } : p)),
  };
}

export const sleeve = defineFinish({
  room: "trim",
  kind: ID,
  words: "short sleeve",
  about: "A short sleeve set into the armhole, its cap eased in.",
  params: {
    length: length("From the crown down to the hem; left out, to a hand's width below the underarm.", {
      label: "Length from the crown",
      auto: "below the underarm",
      within: [80, 700],
      tried: [260, 420],
    }),
    ease: statedLength("How much longer the cap is than the armhole, eased in.", {
      label: "Cap eased in",
      usual: { mm: { cm: 15, in: 12.7 } },
      within: [0, 60],
      tried: [0, 30],
    }),
    armEase: statedLength("How much wider the sleeve is than the upper arm.", {
      label: "Wider than the arm by",
      usual: { mm: { cm: 40, in: 38.1 } },
      within: [10, 150],
      tried: [30, 70],
    }),
    taper: statedLength("How far each side of the hem comes in.", {
      label: "Hem in, each side",
      usual: { mm: { cm: 10, in: 9.525 } },
      within: [0, 60],
    }),
    hem: statedLength("Turned up at the hem.", {
      label: "Turned up",
      usual: { mm: { cm: 30, in: 31.75 } },
      within: [5, 60],
    }),
  },
  facts: {},
  make(garment, asked, { measures }) {
    const ups = { front: armholeUp(garment, "front"), back: armholeUp(garment, "back") };
    if (ups.front.length === 0 || ups.back.length === 0)
      return unsettled(garment, say`There is no armhole to set a sleeve into.`);
    if (
      garment.joins.some((j) => j.by === ID) ||
      ups.front.some((ref) => isSewnOn(garment, ref.panel, ref.edge) && ups.front.length === 1)
    )
      return unsettled(garment, say`The armholes are finished already: a sleeve goes into an open armhole.`);
    const half = (root: Half): Mm => refsLength(garment.panels, ups[root]) + asked.ease.mm / 2;
    const width = measures.upperArm.mm + asked.armEase.mm;
    try {
      const cap = sleeveSizes(half("front"), half("back"), width);
      const long = asked.length === "auto" ? cap.cap + BELOW_UNDERARM : asked.length.mm;
      if (long < cap.cap + 20)
        return unsettled(
          garment,
          say`The sleeve of ${long} ends above its underarm, ${cap.cap} below the crown. Make it at least ${cap.cap + 20} long.`,
        );
      const panel = drawn(cap, { length: long, taper: asked.taper.mm, hem: asked.hem.mm });
      const how = asked.ease.mm > 0 ? "eased" : "equal";
      const made = withParts(garment, {
        panels: [panel],
        joins: [
          {
            ...join("sleeve-front", "Sleeve, front of the armhole", "armhole", {
              how,
              a: ups.front,
              b: [along(ID, "cap-front")],
            }),
            root: "front",
          },
          {
            ...join("sleeve-back", "Sleeve, back of the armhole", "armhole", {
              how,
              a: ups.back,
              b: [against(ID, "cap-back")],
            }),
            root: "back",
          },
          join("sleeve-seam", "Sleeve, underarm", "cut", {
            how: "equal",
            a: [against(ID, "seam-front")],
            b: [along(ID, "seam-back")],
          }),
        ],
      });
      return cutLikeBodice(made, ups);
    } catch (error) {
      if (error instanceof Refusal) return unsettled(garment, error.says);
      throw error;
    }
  },
});
