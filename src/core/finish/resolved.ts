import { type Quantity, type Sentence } from "../units";

/** How long an elastic is: by a rule, or as chosen. */
export type ElasticRule = "none" | "waist" | "waist-less" | "hip-less" | Quantity;

export type ResolvedWaist =
  | {
      readonly kind: "straight-band";
      readonly depth: Quantity;
      readonly sits: "above" | "on" | "outside";
      readonly overlap: Quantity;
      readonly fit: "edge" | "waist";
      readonly contrast: boolean;
    }
  | {
      readonly kind: "contour-band";
      readonly depth: Quantity;
      readonly sits: "cut" | "above";
      readonly contrast: boolean;
    }
  | { readonly kind: "facing"; readonly depth: Quantity }
  | { readonly kind: "cut-on-casing"; readonly elastic: ElasticRule; readonly drawstring: boolean }
  | {
      readonly kind: "casing";
      readonly depth: Quantity;
      readonly sits: "above" | "on";
      readonly elastic: ElasticRule;
      readonly drawstring: boolean;
    }
  | {
      readonly kind: "ring-band";
      readonly frill: Quantity;
      readonly channel: Quantity;
      readonly fit: "edge" | "waist";
      readonly elastic: ElasticRule;
      readonly drawstring: boolean;
    };

export type ResolvedFastening =
  | { readonly kind: "zip-centre-back" | "zip-side"; readonly length: Quantity | "auto" }
  | {
      readonly kind: "fly";
      readonly length: Quantity | "auto";
      readonly extension: Quantity;
      readonly grown: "on" | "separate";
    }
  | { readonly kind: "mock-fly"; readonly extension: Quantity }
  | { readonly kind: "front-placket" | "none" };

export type ResolvedPocket =
  | {
      readonly kind: "slant";
      readonly across: Quantity | "auto";
      readonly down: Quantity;
      readonly width: Quantity;
      readonly below: Quantity;
      readonly edge: "straight" | "curved" | "scalloped";
      readonly contrast: boolean;
    }
  | {
      readonly kind: "in-seam";
      readonly from: Quantity;
      readonly opening: Quantity;
      readonly width: Quantity;
      readonly below: Quantity;
    }
  | {
      readonly kind: "patch";
      readonly opening: Quantity;
      readonly depth: Quantity | "auto";
      readonly contrast: boolean;
    };

export type ResolvedHem =
  | { readonly kind: "turned" | "bonded"; readonly depth: Quantity | "auto" }
  | { readonly kind: "double" | "rolled" | "faced"; readonly depth: Quantity }
  | {
      readonly kind: "cuff";
      readonly depth: Quantity;
      readonly girth: Quantity | "auto";
      readonly elastic: boolean;
    };

export interface ResolvedBelt {
  readonly width: Quantity;
  readonly length: Quantity | "auto";
  readonly loops: number;
  readonly loopWidth: Quantity;
}

export type ResolvedTrim =
  | {
      readonly kind: "pleated-strip";
      readonly width: Quantity;
      readonly fullness: number;
      readonly contrast: boolean;
    }
  | { readonly kind: "flounce-lining" };

/** The finish in millimetres; null where it is undecided. */
export interface ResolvedFinish {
  readonly waist: ResolvedWaist | null;
  readonly fastening: ResolvedFastening | null;
  readonly pockets: readonly ResolvedPocket[] | null;
  readonly hem: ResolvedHem | null;
  /** How the inner edges are finished; null while it is undecided. */
  readonly inside: "overlocked" | "bound" | "lined" | "raw" | null;
  readonly belt: ResolvedBelt | null;
  readonly trims: readonly ResolvedTrim[];
  /** What the maker has not chosen, as sentences. */
  readonly undecided: readonly Sentence[];
}
