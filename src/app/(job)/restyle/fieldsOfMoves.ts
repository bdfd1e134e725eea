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
  /** Named values offered beside a typed length. */
  readonly names?: readonly string[];
}

const LEVELS = ["hip", "crotch", "knee", "calf", "ankle"] as const;

/** What can be set on each move, in the order it is read aloud. */
export const MOVE_FIELDS: Readonly<Record<string, readonly MoveField[]>> = {
  "shape-leg": [
    { param: "start", label: "Turns at", shown: "start", names: LEVELS },
    { param: "knee", label: "Knee, one leg", shown: "knee" },
    { param: "hem", label: "Hem, one leg", shown: "hem", clears: ["out"] },
    { param: "out", label: "Or: out on each edge", shown: "out", clears: ["hem"], negative: true },
    { param: "backExtra", label: "Back wider than front", shown: "backExtra", negative: true },
  ],
  "widen-leg": [
    { param: "side", label: "Out at the side", shown: "side", negative: true },
    { param: "inseam", label: "Out at the inseam", shown: "inner" },
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
      shown: "hemLevel",
      names: ["full", "ankle", "calf", "mid-calf", "knee", "shorts"],
    },
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
  ],
};
