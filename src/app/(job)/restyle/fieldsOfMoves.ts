/** One number or choice of a move, as a line under its sentence. */
export interface MoveField {
  readonly param: string;
  readonly label: string;
  /** The number of the worksheet line that shows what it came to. */
  readonly shown?: string;
  readonly choices?: readonly (readonly [string, string])[];
  /** Parameters that say the same thing another way, and would win. */
  readonly clears?: readonly string[];
  readonly negative?: boolean;
  /** The parameter that this one is solved for, where that is stated and this is not. */
  readonly solvedBy?: string;
  /** Named values offered beside a typed length. */
  readonly names?: readonly string[];
  /** A plain number, not a length, between limits; `usual` where neither move nor style states one. */
  readonly number?: { readonly least: number; readonly most: number; readonly step: number; readonly usual: number };
}

const LEVELS = ["hip", "crotch", "knee", "calf", "ankle"] as const;

const ON_FRONT = [
  ["front", "the fronts"],
  ["back", "the backs"],
  ["both", "fronts and backs"],
] as const;

/** What can be set on each move, in the order it is read aloud. */
export const MOVE_FIELDS: Readonly<Record<string, readonly MoveField[]>> = {
  "shape-leg": [
    { param: "start", label: "Turns at", shown: "start", names: LEVELS },
    { param: "knee", label: "Knee, one leg", shown: "knee" },
    { param: "hem", label: "Hem, one leg", shown: "hem", clears: ["out"] },
    { param: "out", label: "Or: out on each edge", shown: "out", clears: ["hem"], negative: true },
    { param: "backExtra", label: "Back wider than front", shown: "backExtra", negative: true },
    { param: "kneeToSide", label: "Knee: inseam's half to side's", shown: "kneeToSide", negative: true },
    { param: "hemToSide", label: "Hem: inseam's half to side's", shown: "hemToSide", negative: true },
  ],
  "widen-leg": [
    { param: "side", label: "Out at the side", shown: "side", negative: true },
    {
      param: "inseamShare",
      label: "Inseam gains, share of the side",
      number: { least: 0, most: 1, step: 0.05, usual: 0.33 },
      clears: ["inseam", "hemGirth"],
      solvedBy: "hemGirth",
    },
    { param: "inseam", label: "Or: out at the inseam", shown: "inner", clears: ["hemGirth", "inseamShare"] },
    { param: "hemGirth", label: "Or: hem of one leg", shown: "hemGirth", clears: ["inseam", "inseamShare"] },
  ],
  "drop-crotch": [{ param: "by", label: "Lower by", shown: "by", negative: true }],
  "waist-level": [{ param: "by", label: "Up by", shown: "by", negative: true }],
  "waist-shaping": [
    {
      param: "to",
      label: "Surplus goes into",
      choices: [
        ["darts", "darts"],
        ["side", "the side"],
        ["ease", "ease on the band"],
        ["hip-wide", "nothing, hip-wide"],
      ],
    },
    { param: "frontIntake", label: "Front darts", shown: "frontIntake" },
    { param: "backIntake", label: "Back darts", shown: "backIntake" },
    { param: "ease", label: "Ease left in", shown: "ease" },
  ],
  "set-length": [
    {
      param: "length",
      label: "Length",
      shown: "length",
      names: ["full", "ankle", "calf", "mid-calf", "knee", "shorts"],
    },
    { param: "less", label: "Less, for a cuff sewn on below", shown: "less" },
  ],
  "full-spread": [
    { param: "gap", label: "Opened, each panel", shown: "gap" },
    {
      param: "panels",
      label: "On",
      choices: [
        ["both", "front and back"],
        ["front", "the front"],
        ["back", "the back"],
      ],
    },
  ],
  spread: [
    { param: "hemSpread", label: "Opened, each panel", shown: "hemSpread", clears: ["hemGirth"] },
    { param: "hemGirth", label: "Or: hem of one leg", shown: "hemAfter", clears: ["hemSpread"] },
    { param: "slashAt", label: "Slash, from the crease to the side", shown: "slashAt", negative: true },
    { param: "hingeAt", label: "Hinge, below the hip line", shown: "hingeAt", negative: true },
  ],
  pleats: [
    { param: "panel", label: "On", choices: ON_FRONT },
    { param: "count", label: "Pleats, each panel", number: { least: 1, most: 4, step: 1, usual: 1 } },
    { param: "depth", label: "Depth of one", shown: "depth" },
    {
      param: "kind",
      label: "Kind",
      choices: [
        ["knife", "knife"],
        ["box", "box"],
        ["inverted", "inverted"],
      ],
    },
    {
      param: "toward",
      label: "Knife, folded toward",
      choices: [
        ["side", "the side"],
        ["centre", "the centre"],
      ],
    },
    { param: "run", label: "Runs out at", shown: "run", names: ["parallel", ...LEVELS] },
    { param: "spacing", label: "From pleat to pleat", shown: "spacing" },
  ],
  yoke: [
    {
      param: "panels",
      label: "On",
      choices: [
        ["both", "front and back"],
        ["back", "the back"],
        ["front", "the front"],
      ],
    },
    { param: "centre", label: "Depth, centre back", shown: "centre" },
    { param: "side", label: "Depth, side", shown: "side" },
    { param: "front", label: "Depth, centre front", shown: "front" },
    {
      param: "backDart",
      label: "Back dart",
      choices: [
        ["remnant", "rest stays below"],
        ["used", "used up"],
      ],
    },
    {
      param: "frontDart",
      label: "Front dart",
      choices: [
        ["used", "used up"],
        ["remnant", "rest stays below"],
      ],
    },
    {
      param: "fold",
      label: "Centre back",
      choices: [
        ["true", "on the fold"],
        ["false", "a seam"],
      ],
    },
    {
      param: "joined",
      label: "Front and back yoke",
      choices: [
        ["false", "two pieces"],
        ["true", "one piece"],
      ],
    },
  ],
  split: [
    {
      param: "panel",
      label: "Panel",
      choices: [
        ["front", "the front"],
        ["back", "the back"],
      ],
    },
    {
      param: "leg",
      label: "On",
      choices: [
        ["both", "both legs"],
        ["left", "the left leg"],
        ["right", "the right leg"],
      ],
    },
    { param: "out", label: "From the crease to the side", shown: "out", negative: true },
  ],
  placket: [
    {
      param: "edge",
      label: "Along",
      choices: [
        ["split", "the split"],
        ["centre-front", "centre front"],
        ["centre-back", "centre back"],
      ],
    },
    { param: "width", label: "Added on each side", shown: "width" },
    { param: "length", label: "Down from the waist", shown: "length" },
    { param: "spacing", label: "From button to button", shown: "spacing" },
  ],
  flounce: [
    { param: "start", label: "Starts at", shown: "start", names: ["knee", "calf"] },
    { param: "depth", label: "Depth", shown: "depth" },
    {
      param: "kind",
      label: "Kind",
      choices: [
        ["circle", "part of a circle"],
        ["gathered", "gathered strip"],
      ],
    },
    {
      param: "share",
      label: "Share of a circle",
      number: { least: 0.25, most: 2, step: 0.25, usual: 1 },
      clears: ["hemGirth"],
      solvedBy: "hemGirth",
    },
    {
      param: "fullness",
      label: "Gathered: strip to seam",
      number: { least: 1, most: 5, step: 0.25, usual: 2 },
      clears: ["hemGirth"],
      solvedBy: "hemGirth",
    },
    { param: "hemGirth", label: "Or: hem of one leg", shown: "hemAfter", clears: ["share", "fullness"] },
    { param: "parts", label: "Cut in parts", number: { least: 1, most: 8, step: 1, usual: 2 } },
    { param: "points", label: "Points on the edge", number: { least: 0, most: 24, step: 1, usual: 0 } },
    { param: "valley", label: "Valleys cut back", shown: "valley" },
  ],
  "side-panel": [
    { param: "above", label: "Starts above the hip line", shown: "above" },
    { param: "drop", label: "Curve runs out lower by", shown: "drop" },
    { param: "reach", label: "Straight part from the crease", shown: "reach", negative: true },
    {
      param: "fullness",
      label: "Top to its seam",
      number: { least: 1, most: 4, step: 0.25, usual: 2 },
      clears: ["hemGirth"],
      solvedBy: "hemGirth",
    },
    { param: "hemGirth", label: "Or: hem of one leg", shown: "hemAfter", clears: ["fullness"] },
    {
      param: "how",
      label: "Taken in by",
      choices: [
        ["pleated", "pleats"],
        ["gathered", "gathers"],
      ],
    },
  ],
  godet: [
    {
      param: "at",
      label: "Let into",
      choices: [
        ["side", "the side seam"],
        ["inseam", "the inseam"],
        ["split", "the split seam"],
      ],
    },
    { param: "length", label: "Up from the hem", shown: "length" },
    { param: "spread", label: "Width at its hem", shown: "spread" },
  ],
  casing: [
    {
      param: "at",
      label: "On the",
      choices: [
        ["waist", "waist"],
        ["hem", "hem"],
      ],
    },
    { param: "depth", label: "Channel", shown: "depth" },
    { param: "frill", label: "Frill beyond it", shown: "frill" },
    {
      param: "sits",
      label: "It stands",
      choices: [
        ["beyond", "past the edge"],
        ["on", "on the edge"],
      ],
    },
    { param: "room", label: "Room for the elastic", shown: "room" },
  ],
};
