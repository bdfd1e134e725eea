import { choice, flag, length, ruledLength, statedLength } from "../../params";
import { say } from "../../units";

/** Cut from a second cloth. */
export const CONTRAST = flag("Cut from a second cloth.", {
  label: "From a second cloth",
  yes: "from a second cloth",
  no: "from the shell",
  usual: false,
});

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
  drawstring: flag("A cord runs in the channel, out through two eyelets in front.", {
    label: "With a cord",
    yes: "with a cord",
    no: "without a cord",
    usual: false,
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
