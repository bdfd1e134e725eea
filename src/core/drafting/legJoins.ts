import { along, type Join } from "../pattern";

/** The seams of a pair of trousers before anything is cut: front and back, right and left alike. */
export const LEG_JOINS: readonly Join[] = [
  {
    id: "side",
    label: "Side seam",
    kind: "side",
    by: null,
    how: "equal",
    leg: "both",
    a: [along("front", "side")],
    b: [along("back", "side")],
  },
  {
    id: "inseam",
    label: "Inseam",
    kind: "inseam",
    by: null,
    how: "eased",
    leg: "both",
    a: [along("front", "inseam")],
    b: [along("back", "inseam")],
  },
  ...(["front", "back"] as const).map((root): Join => ({
    id: `crotch-${root}`,
    label: root === "front" ? "Centre front" : "Centre back",
    kind: "centre",
    by: null,
    root,
    how: "equal",
    leg: "both",
    a: [along(root, "crotch")],
    b: [along(root, "crotch")],
  })),
];
