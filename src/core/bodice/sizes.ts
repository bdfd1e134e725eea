import type { BodyMeasures } from "../body";
import { solveRising, type Point } from "../geometry";
import { quantity, Refusal, say, type Mm, type Quantity, type Radians } from "../units";
import { armholeLength } from "./armhole";
import { neckSizes, shoulderEnd } from "./neck";
import { NO_CHANGES, sharedDarts, type BodicePlan, type BodiceSchool, type DartShare } from "./plan";

/** What a maker may say of a bodice; ease is of one quarter. */
export interface BodiceAsked {
  readonly school: BodiceSchool;
  readonly bustEase: Mm;
  readonly waistEase: Mm;
  /** By quarters front and back are equally long: as long as the back, or as the front. */
  readonly equalTo: "back" | "front";
  readonly tipBack: Mm;
  /** Width of the waist darts of one half together; null shares the surplus. */
  readonly frontDarts: Mm | null;
  readonly backDarts: Mm | null;
}

/** A shoulder drops 1 on 4 by quarters; a measured one is 19 degrees, a usual shoulder. */
const SLOPES: Readonly<Record<BodiceSchool, Radians>> = { quarters: Math.atan(1 / 4), measured: (19 * Math.PI) / 180 };
/** A shoulder's end stays within this share of the bust quarter. */
const MOST_SHOULDER = 0.93;
/** How far in from the shoulder's end the armhole stands upright. */
const ARMHOLE_IN = { front: 25, back: 17 } as const;
/** The underarm lies at least this far above the bust line, and below the shoulder's end. */
const ABOVE_BUST: Mm = 8;
const BELOW_SHOULDER: Mm = 60;
/** A sleeveless armhole is at least and at most this many times the upper arm. */
const LEAST_ARMHOLE = 1.4;
const MOST_ARMHOLE = 1.65;

/** A bodice's plan with the sums behind it. */
export interface SizedBodice {
  readonly plan: BodicePlan;
  readonly numbers: Readonly<Record<string, Quantity>>;
}

function dartsOf(asked: Mm | null, surplus: Mm): DartShare {
  if (asked === null) return sharedDarts(surplus);
  if (asked < 3) return { count: 0, intake: 0 };
  return asked > 50 ? { count: 2, intake: asked / 2 } : { count: 1, intake: asked };
}

/** How low the underarm lies: by height and bust, where its armhole goes round the arm. */
function underarmOf(
  m: BodyMeasures,
  end: Point,
  slope: Radians,
  quarter: Mm,
  bustBelow: Mm,
): { readonly underarm: Mm; readonly bySum: Mm; readonly around: (below: Mm) => Mm } {
  const around = (below: Mm): Mm => armholeLength(end, [quarter, below], slope, ARMHOLE_IN);
  const [highest, lowest] = [end[1] + BELOW_SHOULDER, Math.max(end[1] + BELOW_SHOULDER, bustBelow - ABOVE_BUST)];
  const within = (below: Mm): Mm => Math.min(lowest, Math.max(highest, below));
  const bySum = m.height.mm / 20 + m.bust.mm / 8 + 15;
  const ratio = around(within(bySum)) / m.upperArm.mm;
  const held = Math.min(MOST_ARMHOLE, Math.max(LEAST_ARMHOLE, ratio));
  const underarm = held === ratio ? within(bySum) : within(solveRising(around, held * m.upperArm.mm, highest, lowest));
  return { underarm, bySum, around };
}

/** Refuses a bust that no front is drawn over; else how far aside of the neck's end the bust point lies. */
function refuseBust(m: BodyMeasures, bustX: Mm, neckWidth: Mm, waist: Mm): Mm {
  if (bustX > 0.85 * waist)
    throw new Refusal(
      "body.measures.bustSpan",
      say`The bust points lie ${m.bustSpan.mm} apart, beyond the front's waist of ${2 * waist}. Check the bust span.`,
    );
  const aside = Math.abs(bustX - neckWidth);
  const most = m.shoulderToWaist.mm - 60;
  if (m.shoulderToBust.mm <= aside + 60 || m.shoulderToBust.mm > most)
    throw new Refusal(
      "body.measures.shoulderToBust",
      say`Shoulder to bust is ${m.shoulderToBust.mm}, with ${m.shoulderToWaist.mm} from shoulder to waist. Measure both again over the bust.`,
    );
  return aside;
}

/**
 * The sizes of a bodice from the upper card. Throws Refusal, naming the measure at fault, where no bodice can be drawn.
 */
export function bodicePlan(m: BodyMeasures, asked: BodiceAsked): SizedBodice {
  const { school } = asked;
  const slope = SLOPES[school];
  const neck = neckSizes(school, m.neck.mm, slope);
  const quarter = m.bust.mm / 4 + asked.bustEase;
  const waist = m.waist.mm / 4 + asked.waistEase;
  const bustX = m.bustSpan.mm / 2;
  const aside = refuseBust(m, bustX, neck.width, waist);
  const bustBelow = Math.sqrt(m.shoulderToBust.mm ** 2 - aside ** 2);
  // Over the bust the tape runs down to the bust point and on from there, so that the front is a little shorter than it.
  const overBust = m.shoulderToWaist.mm - m.shoulderToBust.mm + bustBelow;
  const fromNape = m.napeToWaist.mm + neck.back;
  const equal = asked.equalTo === "front" ? overBust : fromNape;
  const frontLength = school === "measured" ? overBust : equal;
  const napeToWaist = school === "measured" ? m.napeToWaist.mm : equal - neck.back;
  const shoulderX = Math.min(m.shoulderWidth.mm / 2, MOST_SHOULDER * quarter);
  if (shoulderX < neck.width + 30)
    throw new Refusal(
      "body.measures.shoulderWidth",
      say`A shoulder width of ${m.shoulderWidth.mm} leaves no shoulder beside a neck ${2 * neck.width} wide. Check both.`,
    );
  const { underarm, bySum, around } = underarmOf(
    m,
    shoulderEnd([neck.width, 0], shoulderX, slope),
    slope,
    quarter,
    bustBelow,
  );
  const surplus = quarter - waist;
  const plan: BodicePlan = {
    school,
    neck,
    slope,
    frontLength,
    napeToWaist,
    shoulderX,
    underarm,
    quarter,
    waist: { front: waist, back: waist },
    armholeIn: ARMHOLE_IN,
    bustX,
    bustBelow,
    darts: { front: dartsOf(asked.frontDarts, surplus), back: dartsOf(asked.backDarts, surplus) },
    backTip: 0,
    tipBack: asked.tipBack,
    pivot: null,
    edges: NO_CHANGES,
    cutaway: false,
    vWaist: { front: 0, back: 0 },
  };
  return {
    plan,
    numbers: {
      bustQuarter: quantity(quarter, say`bust ${m.bust.mm} / 4 + ${asked.bustEase}`, { bust: m.bust }),
      waistQuarter: quantity(waist, say`waist ${m.waist.mm} / 4 + ${asked.waistEase}`, { waist: m.waist }),
      frontLonger: quantity(
        frontLength - napeToWaist - neck.back,
        say`front over the bust ${frontLength} - back from the nape ${napeToWaist} - neck depth ${neck.back}`,
        { shoulderToWaist: m.shoulderToWaist, napeToWaist: m.napeToWaist },
      ),
      shoulder: quantity(
        (shoulderX - neck.width) / Math.cos(slope),
        say`half the shoulder width ${m.shoulderWidth.mm}, down the slope`,
        { shoulderWidth: m.shoulderWidth, neck: m.neck },
        (m.shoulderWidth.mm / 2 - neck.width) / Math.cos(slope),
      ),
      underarm: quantity(
        underarm,
        say`height ${m.height.mm} / 20 + bust ${m.bust.mm} / 8 + ${15}, for an armhole of ${around(underarm)} round an arm of ${m.upperArm.mm}`,
        { height: m.height, bust: m.bust, upperArm: m.upperArm },
        bySum,
      ),
    },
  };
}
