import { readFileSync } from "node:fs";
import { join } from "node:path";
import { derive } from "../derive";
import { jobFrom } from "./jobFrom";
import { replyOf } from "../derive/reply";

/**
 * The numbers a practitioner states of each worked example, measured on the outlines that leave the program, by code of
 * its own: nothing here measures with what the engine draws with.
 */

export type Pt = readonly [number, number];
export interface Edge {
  readonly id: string;
  readonly role: string;
  readonly length: number;
  readonly points: readonly Pt[];
}
export interface Panel {
  readonly id: string;
  readonly edges: readonly Edge[];
  readonly outline: readonly Pt[];
  readonly landmarks: Readonly<Record<string, Pt>>;
  readonly lines: readonly { readonly kind: string; readonly points: readonly Pt[] }[];
}
export interface Reply {
  readonly panels: readonly Panel[];
  readonly pieces: readonly {
    readonly id: string;
    readonly material: string;
    readonly cutLine: readonly Pt[];
    readonly edges: readonly { readonly edge: string; readonly allowance: number; readonly surplus?: number }[];
    readonly notches: readonly { readonly pairs: string }[];
  }[];
  readonly seams: readonly { readonly id: string; readonly lengthA: number; readonly lengthB: number }[];
  readonly numbers: Readonly<Record<string, { readonly mm: number }>>;
  readonly checks: readonly {
    readonly id: string;
    readonly status: string;
    readonly value: number;
    readonly message: string;
  }[];
}

export const IN = 25.4;

export function garment(id: string): Reply {
  const job = jobFrom(JSON.parse(readFileSync(join(process.cwd(), "samples/garments", `${id}.json`), "utf8")));
  const derived = derive(job);
  if (!derived.ok) throw new Error(id);
  return JSON.parse(JSON.stringify(replyOf(derived, job.body.unit))) as Reply;
}

export const panel = (r: Reply, id: string): Panel => r.panels.find((p) => p.id === id) as Panel;
export const edge = (p: Panel, id: string): Edge => p.edges.find((e) => e.id === id) as Edge;
export const piece = (r: Reply, id: string) => r.pieces.find((p) => p.id === id) as Reply["pieces"][number];
export const seam = (r: Reply, id: string) => r.seams.find((s) => s.id === id) as Reply["seams"][number];
export const distance = (a: Pt, b: Pt): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
export const length = (points: readonly Pt[]): number =>
  points.slice(1).reduce((sum, p, i) => sum + distance(points[i] as Pt, p), 0);

/** Where a horizontal crosses an outline. */
export function crossings(points: readonly Pt[], y: number, closed = true): number[] {
  return points
    .flatMap((a, i) => {
      const b = points[(i + 1) % points.length] as Pt;
      if (!closed && i === points.length - 1) return [];
      if (a[1] > y === b[1] > y) return [];
      return [a[0] + ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1])];
    })
    .sort((a, b) => a - b);
}
export const width = (p: Panel, y: number): number => {
  const xs = crossings(p.outline, y);
  return (xs.at(-1) ?? 0) - (xs[0] ?? 0);
};
export const sideX = (p: Panel, y: number): number => crossings(edge(p, "side").points, y, false)[0] ?? NaN;
export const across = (points: readonly Pt[]): number => {
  const ys = points.map((p) => p[1]);
  return Math.max(...ys) - Math.min(...ys);
};
export const waist = (p: Panel): number =>
  p.edges.filter((e) => e.role === "waist").reduce((sum, e) => sum + e.length, 0);

/** Within a sixteenth of an inch. */
export const near = (inches: number): unknown => expect.closeTo(inches, 1);
export const inches = (mm: number): number => mm / IN;
export const is = (mm: number, wanted: number): void => expect(Math.abs(inches(mm) - wanted)).toBeLessThan(0.0625);
