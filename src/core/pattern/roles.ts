/** What an edge of an outline is. The table is closed: an edge of no role here cannot be made. */
export type EdgeRole =
  | "waist"
  | "side"
  | "hem"
  | "inseam"
  | "crotch"
  | "centre"
  | "neck"
  | "shoulder"
  | "armhole"
  | "fold"
  | "dart"
  | "style"
  | "casing";

/** Kinds of sewn edges that carry an allowance of their own. */
export type AllowanceKind =
  "side" | "inseam" | "crotch" | "zip" | "waist" | "band" | "style" | "pocket" | "shoulder" | "neck" | "armhole";

/** What becomes of an edge that no seam takes, where what made it says so; `free` is kept as the garment's inside is. */
export type Becomes = "turned" | "caught" | "faced" | "free";

/** What becomes of a cut edge. Every edge of every piece has one of these. */
export type Fate = "sewn" | "turned" | "folded" | "faced" | "bound" | "overlocked" | "caught" | "raw" | "undecided";

/** A rim bounds the garment above or below. */
export type Rim = "waist" | "hem";

interface RoleTraits {
  /** The allowance it takes where nothing else is said; the hem's is a finish of its own, and a fold has none. */
  readonly allowance: AllowanceKind | "hem" | "none";
  /** The rim it is part of; a casing's edge says for itself which rim it was cut on to. */
  readonly rim: Rim | null;
  /** A seam that can run on past a rim, when a casing is cut on there. */
  readonly runsOn: boolean;
}

const traits = (allowance: RoleTraits["allowance"], more: Partial<Omit<RoleTraits, "allowance">> = {}): RoleTraits => ({
  allowance,
  rim: null,
  runsOn: false,
  ...more,
});

/** What follows from an edge's role. */
export const EDGE_ROLES: Readonly<Record<EdgeRole, RoleTraits>> = {
  waist: traits("waist", { rim: "waist" }),
  side: traits("side", { runsOn: true }),
  hem: traits("hem", { rim: "hem" }),
  inseam: traits("inseam", { runsOn: true }),
  crotch: traits("crotch", { runsOn: true }),
  centre: traits("crotch", { runsOn: true }),
  neck: traits("neck"),
  shoulder: traits("shoulder"),
  armhole: traits("armhole"),
  fold: traits("none", { runsOn: true }),
  dart: traits("waist"),
  style: traits("style", { runsOn: true }),
  casing: traits("waist"),
};

export type LineKind =
  | "grain"
  | "crease"
  | "hip"
  | "crotch"
  | "knee"
  | "dart"
  | "pleat"
  | "slash"
  | "opening"
  | "placement"
  | "fold"
  | "notch"
  | "drill";

/** What a piece is cut from; `contrast` is a second shell cloth. */
export type Material = "shell" | "contrast" | "lining" | "interfacing" | "pocketing" | "rib";
