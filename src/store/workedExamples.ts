import palazzo from "../../samples/garments/palazzo.json";
import trimmedShorts from "../../samples/garments/trimmed-shorts.json";
import paperBagShorts from "../../samples/garments/paper-bag-shorts.json";
import highCigarette from "../../samples/garments/high-cigarette.json";
import bell from "../../samples/garments/bell.json";
import slitFront from "../../samples/garments/slit-front.json";
import cowlTop from "../../samples/garments/cowl-top.json";
import onePieceCulotte from "../../samples/garments/one-piece-culotte.json";
import onePiecePleated from "../../samples/garments/one-piece-pleated.json";
import paperBag from "../../samples/garments/paper-bag.json";
import jogger from "../../samples/garments/jogger.json";
import foldedFront from "../../samples/garments/folded-front.json";
import looseSweat from "../../samples/garments/loose-sweat.json";
import yokedFly from "../../samples/garments/yoked-fly.json";
import circleFlounce from "../../samples/garments/circle-flounce.json";
import pleatedShorts from "../../samples/garments/pleated-shorts.json";
import sidePanels from "../../samples/garments/side-panels.json";
import bandlessFlare from "../../samples/garments/bandless-flare.json";
import stretchWide from "../../samples/garments/stretch-wide.json";

/** A garment worked through, that opens as a copy. */
export interface WorkedExample {
  readonly id: string;
  /** What it teaches, in a line. */
  readonly teaches: string;
  /** The job as it lies in its file, of whatever form. */
  readonly job: unknown;
}

const example = (id: string, teaches: string, job: unknown): WorkedExample => ({ id, teaches, job });

export const WORKED_EXAMPLES: readonly WorkedExample[] = [
  example("palazzo", "Slash up the crease, hinge at hip and crotch point: a wide leg out of a straight one.", palazzo),
  example(
    "trimmed-shorts",
    "A strip pleated into the side seams, a contour band from the panels, a patch in a second cloth.",
    trimmedShorts,
  ),
  example(
    "paper-bag-shorts",
    "Pulled on: the frilled ring is one strip, and the seams must not eat the ease at the hip.",
    paperBagShorts,
  ),
  example(
    "high-cigarette",
    "A high waist counts its levels from the natural waist; two widths down one leg.",
    highCigarette,
  ),
  example(
    "bell",
    "A flared piece from the knee: its opening is the sewn knee, its depth what is left of the length.",
    bell,
  ),
  example("slit-front", "One front split and buttoned: the slit leg is as wide as the plain one.", slitFront),
  example("paper-bag", "Patch pockets over the closed darts, and a band that would not pass the hip.", paperBag),
  example("jogger", "A mock fly and cuffs with elastic; the cuff comes off the length.", jogger),
  example(
    "folded-front",
    "Both bodice halves cut to one length: what that does at the zip, told before cloth is cut. The front folds back, faced with itself.",
    foldedFront,
  ),
  example(
    "one-piece-pleated",
    "Bodice and trousers from one card: the bust dart turned into the waist, an upper part that faces itself, a short sleeve, the rest of the trousers pleated in.",
    onePiecePleated,
  ),
  example(
    "one-piece-culotte",
    "The waist dart turned into the bust dart and cut out, one facing for neck and armholes, the culotte’s waist gathered to the bodice.",
    onePieceCulotte,
  ),
  example(
    "loose-sweat",
    "Grown from a block of one’s own, out at the hip and squared down; casings cut on.",
    looseSweat,
  ),
  example("yoked-fly", "A yoke that closes the darts, one piece round the side, and a fly grown on.", yokedFly),
  example("circle-flounce", "A full circle from the sewn leg, its hem in points, shell and lining.", circleFlounce),
  example("pleated-shorts", "What the hip has more than the waist is pleated, front and back.", pleatedShorts),
  example(
    "cowl-top",
    "A top to go with them: the chest line slashed and swung open, how low the neck hangs and what its facing covers.",
    cowlTop,
  ),
  example(
    "side-panels",
    "A panel let in at the sides on a curve, twice as long as its seam, under a bodice whose darts meet the trousers’.",
    sidePanels,
  ),
  example(
    "bandless-flare",
    "No band: a shaped facing, the dart at half the bust span, the leg hung from its side.",
    bandlessFlare,
  ),
  example("stretch-wide", "Stretch cloth: ease may be less than nothing, and the back is drawn anew.", stretchWide),
];
