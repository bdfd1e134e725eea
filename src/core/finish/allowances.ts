import { type AllowanceKind } from "../pattern";
import { type Mm, type Unit, type Complaint } from "../units";
import { lengthWithin } from "./readEntry";
import type { Allowances } from "./allowanceSchema";

/** An allowance at the start and at the end of an edge. */
export type Running = readonly [Mm, Mm];

/** Which seams take what width in millimetres, and single edges that differ, by "panel.edge". */
export interface AllowanceSet {
  readonly id: AllowanceSetId;
  readonly widths: Readonly<Record<AllowanceKind, Mm>>;
  readonly edges: Readonly<Record<string, Running>>;
  /** Corners run out to where the cut lines meet, or are cut off square to the seam. */
  readonly corners: "mitred" | "squared";
}

export type AllowanceSetId = NonNullable<Allowances["set"]>;

interface NamedSet {
  readonly label: string;
  readonly note: string;
  /** Sewn and trimmed in one, as stretch cloth is. */
  readonly narrow?: true;
  readonly widths: AllowanceSet["widths"];
}

/** The sets by cloth and use: what the trade adds where nothing else is said. */
export const ALLOWANCE_SETS: Readonly<Record<AllowanceSetId, NamedSet>> = {
  woven: {
    label: "firm woven cloth",
    note: "Pressed open seams.",
    widths: {
      side: 20,
      inseam: 15,
      crotch: 12,
      zip: 25,
      waist: 10,
      band: 10,
      style: 20,
      pocket: 10,
      shoulder: 20,
      neck: 7,
      armhole: 7,
    },
  },
  stretch: {
    label: "stretch cloth",
    note: "A little, sewn and trimmed in one.",
    narrow: true,
    widths: {
      side: 7,
      inseam: 7,
      crotch: 7,
      zip: 20,
      waist: 7,
      band: 7,
      style: 7,
      pocket: 7,
      shoulder: 7,
      neck: 7,
      armhole: 7,
    },
  },
  overlocked: {
    label: "overlocked",
    narrow: true,
    note: "The overlocker cuts the edge off as it sews; along a zip the seam is still pressed open.",
    widths: {
      side: 7,
      inseam: 7,
      crotch: 7,
      zip: 25,
      waist: 10,
      band: 10,
      style: 7,
      pocket: 7,
      shoulder: 7,
      neck: 7,
      armhole: 7,
    },
  },
  "let-out": {
    label: "to let out later",
    note: "Wide at side, centre back and inseam, so that the garment can grow.",
    widths: {
      side: 38,
      inseam: 20,
      crotch: 20,
      zip: 25,
      waist: 10,
      band: 10,
      style: 20,
      pocket: 10,
      shoulder: 38,
      neck: 7,
      armhole: 7,
    },
  },
  children: {
    label: "children, to grow",
    note: "Wide at the sides; local product-safety rules decide about cords and buttons.",
    widths: {
      side: 25,
      inseam: 20,
      crotch: 15,
      zip: 25,
      waist: 10,
      band: 10,
      style: 15,
      pocket: 10,
      shoulder: 25,
      neck: 7,
      armhole: 7,
    },
  },
};

const LIMITS: readonly [Mm, Mm] = [0, 60];

/** The allowances in millimetres: the set's, with the maker's own laid over; errors name their path. */
export function resolveAllowances(
  own: Allowances,
  unit: Unit,
): { readonly set: AllowanceSet; readonly errors: readonly Complaint[] } {
  const errors: Complaint[] = [];
  const id = own.set ?? "woven";
  const usual = Object.entries(ALLOWANCE_SETS[id].widths) as [AllowanceKind, Mm][];
  const widths = Object.fromEntries(
    usual.map(([kind, mm]) => {
      const asked = own[kind];
      return [kind, asked === undefined ? mm : lengthWithin(`allowances.${kind}`, asked, LIMITS, unit, errors)];
    }),
  ) as AllowanceSet["widths"];
  const edges = Object.fromEntries(
    Object.entries(own.edges ?? {}).map(([edge, asked]): [string, Running] => {
      const at = (input: typeof asked): Mm =>
        typeof input === "object" && "from" in input
          ? 0
          : lengthWithin(`allowances.edges.${edge}`, input, LIMITS, unit, errors);
      return typeof asked === "object" && "from" in asked
        ? [edge, [at(asked.from), at(asked.to)]]
        : [edge, [at(asked), at(asked)]];
    }),
  );
  return { set: { id, widths, edges, corners: own.corners ?? "mitred" }, errors };
}
