import { choice, flag, length, number, ruledLength, statedLength } from "../../params";
import type { AlsoCut } from "../../pattern";
import { say, type Mm } from "../../units";

/** Cut from a second cloth. */
export const CONTRAST = flag("Cut from a second cloth.", {
  label: "From a second cloth",
  yes: "from a second cloth",
  no: "from the shell",
  usual: false,
});

/** Interfacing fused to it, or not. */
export const INTERFACED = flag("Interfacing is fused to it.", {
  label: "Interfacing",
  yes: "with interfacing",
  no: "without interfacing",
  usual: true,
});

/** Interfacing cut by the same outline, where it is wanted. */
export const interfacing = (wanted: boolean, count: number): readonly AlsoCut[] =>
  wanted ? [{ material: "interfacing", count }] : [];

/** Where a strip that is closed into a ring has its seam. */
export const RING_SEAM = choice("Where the ring is joined.", {
  label: "Its seam lies at",
  options: [
    ["centre-back", "the centre back"],
    ["centre-front", "the centre front"],
    ["side", "the left side"],
  ],
});

/** Rows of topstitching that divide a channel. */
export const ROWS = number("Rows of topstitching that divide the channel evenly.", {
  label: "Rows topstitched",
  least: 0,
  most: 4,
  step: 1,
  usual: 0,
  whole: true,
});

/** Where rows run across a folded strip, from its inner edge, on both layers: the channel lies at both its long edges. */
export function rowsOf(rows: number, channel: Mm, depth: Mm): readonly Mm[] {
  const from = Array.from({ length: rows }, (_, i) => (channel * (i + 1)) / (rows + 1));
  return from.flatMap((at) => [at, 2 * depth - at]);
}

/** What is drawn into a channel at the waist. */
export const CHANNEL = {
  elastic: ruledLength(
    "Elastic: as long as the waist, a tenth less, the hip less 25.4 cm, a length of its own, or none.",
    {
      label: "Elastic",
      options: [
        ["waist-less", "waist less 1/10"],
        ["waist", "as the waist"],
        ["hip-less", say`hip less ${254}`],
        ["none", "none"],
      ],
      within: [200, 1800],
    },
  ),
  elasticWidth: length("Width of the elastic; left out, as wide as runs easily in the channel.", {
    label: "Width of the elastic",
    auto: "what runs easily",
    within: [4, 120],
  }),
  joined: choice("lap: laid over itself by 10 mm; butt: end to end over a tape.", {
    label: "Elastic joined",
    options: [
      ["lap", "lapped"],
      ["butt", "end to end"],
    ],
  }),
  drawstring: flag("A cord runs in the channel and comes out in front.", {
    label: "With a cord",
    yes: "with a cord",
    no: "without a cord",
    usual: false,
  }),
  eyelets: flag("Whether a cord comes out through eyelets; without, it comes out at a gap in the seam.", {
    label: "Eyelets for the cord",
    yes: "with eyelets",
    no: "without eyelets",
    usual: true,
  }),
};

/** How long a strip is that is sewn to the waist. */
export const FIT = choice(
  "edge: as long as the sewn edge; waist: as long as the body's waist, the edge gathered into it.",
  {
    label: "As long as",
    options: [
      ["edge", "the sewn edge"],
      ["waist", "the body’s waist"],
    ],
  },
);

/** The zip below the sewn waist. */
export const ZIP = length("Length of the zip below the sewn waist.", {
  label: "Zip, below the band",
  within: [60, 400],
});

/** How wide a fly is, true or mock. */
export const FLY_WIDTH = statedLength("Width of the fly beyond the centre front.", {
  label: "Width of the fly",
  usual: { mm: 38 },
  within: [20, 60],
});
