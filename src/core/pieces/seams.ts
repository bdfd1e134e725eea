import { pathLength } from "../geometry";
import { edgesWithRole, type Panel } from "../drafting";
import type { Mm } from "../units";

/** A join: which edges, how, and how long each side is. Edges are listed from their shared start. */
export interface Seam {
  readonly id: string;
  readonly label: string;
  readonly a: readonly string[];
  readonly b: readonly string[];
  readonly how: "equal" | "eased" | "gathered" | "pleated";
  /** lengthB / lengthA. */
  readonly ratio: number;
  readonly lengthA: Mm;
  readonly lengthB: Mm;
}

/** Length of an edge written as "panel.edge" among these panels. */
export function addressLength(panels: readonly Panel[], address: string): Mm {
  const [panelId, edgeId] = address.split(".");
  const edge = panels.find((p) => p.id === panelId)?.edges.find((e) => e.id === edgeId);
  if (!edge) throw new RangeError(`no edge ${address}`);
  return pathLength(edge.path);
}

/** The joins of a pair of legs with, where there is one, a band. Lengths are measured on the panels as they are. */
export function seamsOf(front: Panel, back: Panel, band: Panel | null): Seam[] {
  const panels = band ? [front, back, band] : [front, back];
  const seam = (id: string, label: string, a: readonly string[], b: readonly string[], how: Seam["how"]): Seam => {
    const sum = (list: readonly string[]): Mm =>
      list.reduce((total, address) => total + addressLength(panels, address), 0);
    const [lengthA, lengthB] = [sum(a), sum(b)];
    return { id, label, a, b, how, ratio: lengthB / lengthA, lengthA, lengthB };
  };
  const waists = (panel: Panel): string[] => edgesWithRole(panel, "waist").map((e) => `${panel.id}.${e.id}`);
  const halfWaist = [...waists(back), ...waists(front).reverse()];
  return [
    seam("side", "Side seam", ["front.side"], ["back.side"], "equal"),
    seam("inseam", "Inseam", ["front.inseam"], ["back.inseam"], "eased"),
    seam("crotch-front", "Centre front", ["front.crotch"], ["front.crotch"], "equal"),
    seam("crotch-back", "Centre back", ["back.crotch"], ["back.crotch"], "equal"),
    ...(band
      ? [
          seam("waist-right", "Waist, right half", ["waistband.sewn-right"], halfWaist, "equal"),
          seam("waist-left", "Waist, left half", ["waistband.sewn-left"], [...halfWaist].reverse(), "equal"),
        ]
      : []),
  ];
}
