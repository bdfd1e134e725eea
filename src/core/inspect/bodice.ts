import { edgesWithRole, isBodice, panelById, type Panel } from "../pattern";
import { pathLength, pointDistance } from "../geometry";
import { making, ratio, say, type Mm } from "../units";
import {
  byEstimate,
  byFloor,
  byLimits,
  deeperBy,
  estimateSaid,
  placeOf,
  verdict,
  type CheckRule,
  type Inspected,
} from "./check";

/** One half of a bodice, whatever it was cut into. */
interface Half {
  readonly panels: readonly Panel[];
  readonly landmarks: Panel["landmarks"];
}

interface Halves {
  readonly front: Half;
  readonly back: Half;
}

/** Front and back of a bodice; null where the garment has none. */
function halvesOf({ legs }: Inspected): Halves | null {
  const of = (root: "front" | "back"): Half => {
    const panels = legs.filter((p) => isBodice(p, root));
    return { panels, landmarks: Object.assign({}, ...panels.map((p) => p.landmarks)) as Panel["landmarks"] };
  };
  const [front, back] = [of("front"), of("back")];
  return front.panels.length > 0 && back.panels.length > 0 ? { front, back } : null;
}

const lengthBetween = ({ landmarks }: Half, from: string, to: string): Mm => {
  const [a, b] = [landmarks[from], landmarks[to]];
  return a && b ? pointDistance(a, b) : 0;
};

/** Over the bust from the shoulder's neck end to the waist, as drawn. */
const frontOver = ({ front }: Halves): Mm => {
  const [bust, waist] = [front.landmarks.bustPoint, front.landmarks.waistCentre];
  return bust && waist ? lengthBetween(front, "neckEnd", "bustPoint") + waist[1] - bust[1] : 0;
};

const backOver = ({ back }: Halves): Mm => lengthBetween(back, "nape", "waistCentre");

/** Gathered more than this, the waist stands off. */
const MOST_GATHERED = 2.2;

/** The bodice's waist against the trousers', half by half. */
export const bodiceMatch: CheckRule = {
  id: "bodice-match",
  label: "Bodice and trousers",
  note: "Bodice and trousers are equally long at the waist, front and back apart, or gathered by a stated ratio.",
  measure({ panels, seams, legs }) {
    const component = (address: string | undefined) =>
      panelById(panels, (address ?? "").split(".")[0] ?? "").is.component;
    const joined = seams.filter(
      (s) => s.kind === "waist" && component(s.a[0]) === "bodice" && component(s.b[0]) === "legs",
    );
    const [first, ...rest] = joined;
    if (!first) return null;
    const off = (s: typeof first): Mm => (s.how === "equal" ? s.lengthB - s.lengthA : 0);
    const worst = rest.reduce((a, b) => (Math.abs(off(b)) > Math.abs(off(a)) ? b : a), first);
    const value = off(worst);
    const gathered = joined.reduce((a, b) => (b.ratio > a.ratio ? b : a));
    const isFull = gathered.ratio > MOST_GATHERED;
    const told = joined.reduce(
      (all, s, i) => say`${all}${i > 0 ? "; " : ""}${s.label}: ${s.lengthA} on ${s.lengthB}`,
      say``,
    );
    const status = byLimits(value, 0.5, 2);
    return verdict(this, {
      status: status === "pass" && isFull ? "look" : status,
      value,
      limit: 0.5,
      unit: "making",
      message:
        status !== "pass"
          ? say`${worst.label}: the trousers are ${making(Math.abs(value))} ${value > 0 ? "longer" : "shorter"} than the bodice.`
          : isFull
            ? say`${gathered.label} is gathered ${ratio(gathered.ratio)} times: it stands off.`
            : say`${told}.`,
      where: placeOf(legs, "waistSide"),
      fix: say`Join them again after the last change of either, or pleat the trousers in.`,
    });
  },
};

/** Less than this to sit in is looked at, and more than the other hangs. */
const SITS: readonly [least: Mm, most: Mm] = [20, 100];
/** A millimetre of crotch depth gives this much of the way round the trunk. */
const PER_DEPTH = 1.9;

/** A garment that hangs from the shoulders: the way round the trunk against the wearer's. */
export const trunk: CheckRule = {
  id: "trunk",
  label: "Room to sit",
  note: "From the shoulder through the crotch and up the back, the garment is longer than the body by enough to sit.",
  measure(inspected) {
    const halves = halvesOf(inspected);
    const { measures: m, readings, legs, rules, ownBlock } = inspected;
    if (!halves || readings.crotchSeam === 0) return null;
    const parts = {
      crotch: readings.crotchSeam - m.crotchLength.mm,
      front: frontOver(halves) - m.shoulderToWaist.mm,
      back: backOver(halves) - m.napeToWaist.mm,
    };
    const value = parts.crotch + parts.front + parts.back;
    const [least, most] = SITS;
    const status = byEstimate(m.crotchLength, (slack) =>
      value > most + slack ? "look" : byFloor(value + slack, least, 0),
    );
    return verdict(this, {
      status,
      value,
      limit: value > most ? most : least,
      unit: "length",
      message:
        value < 0
          ? say`Round the trunk there is ${-value} less than the body, and ${least} more than it is needed to sit: crotch seam ${parts.crotch}, front ${parts.front}, back ${parts.back}.${estimateSaid(m.crotchLength, "crotch length")}`
          : value < least
            ? say`Round the trunk there is ${value} more than the body, and ${least} is needed to sit: crotch seam ${parts.crotch}, front ${parts.front}, back ${parts.back}.${estimateSaid(m.crotchLength, "crotch length")}`
            : value > most
              ? say`Round the trunk there is ${value} more than the body: the crotch hangs.`
              : say`Round the trunk there is ${value} to sit in.`,
      where: placeOf(legs, "crotchPoint", "back"),
      remedy:
        ownBlock || status === "pass"
          ? null
          : deeperBy(rules.crotchDepth.add, ((value < least ? least + 2 : most - 2) - value) / PER_DEPTH),
      fix: value < least ? say`Deepen the crotch line.` : say`Raise the crotch line.`,
    });
  },
};

/** The centre back against the wearer's. */
const BULGES: readonly [look: Mm, fault: Mm] = [10, 45];

export const backBulge: CheckRule = {
  id: "back-bulge",
  label: "Back at the zip",
  note: "The centre back of the bodice is as long as nape to waist; longer, it bulges above the zip's seat.",
  measure(inspected) {
    const halves = halvesOf(inspected);
    const { measures: m } = inspected;
    if (!halves) return null;
    const value = backOver(halves) - m.napeToWaist.mm;
    return verdict(this, {
      status: byEstimate(m.napeToWaist, (slack) => byLimits(Math.max(0, Math.abs(value) - slack), ...BULGES)),
      value,
      limit: BULGES[0],
      unit: "length",
      message:
        value > BULGES[0]
          ? say`The back is ${value} longer than nape to waist: it bulges at the zip. Dart ${value} out of the back above the waist, or cut the back shorter.`
          : value < -BULGES[0]
            ? say`The back is ${-value} shorter than nape to waist: the waist rides up.`
            : say`The back is as long as nape to waist.`,
      where: placeOf(halves.back.panels, "waistCentre"),
      fix: say`Give each half its own length: the front over the bust, the back from the nape.`,
    });
  },
};

/** An armhole of less than these times the arm binds; of more it gapes. */
const ARMHOLES: readonly [least: number, most: number] = [1.3, 1.95];

export const armhole: CheckRule = {
  id: "armhole",
  label: "Armhole",
  note: "The armhole is wide enough for the arm to move, and not so wide that it gapes.",
  measure(inspected) {
    const halves = halvesOf(inspected);
    const { upperArm } = inspected.measures;
    if (!halves) return null;
    const edges = [...halves.front.panels, ...halves.back.panels].flatMap((p) => edgesWithRole(p, "armhole"));
    if (edges.length === 0) return null;
    const round = edges.reduce((sum, e) => sum + pathLength(e.path), 0);
    const [least, most] = ARMHOLES;
    const value = round - least * upperArm.mm;
    const isWide = round > most * upperArm.mm;
    return verdict(this, {
      status: isWide ? "look" : byEstimate(upperArm, (slack) => byFloor(value + slack, 0, -40)),
      value: round,
      limit: (isWide ? most : least) * upperArm.mm,
      unit: "length",
      message:
        value < 0
          ? say`The armhole is ${round} round an arm of ${upperArm.mm}: it binds.${estimateSaid(upperArm, "upper arm")}`
          : isWide
            ? say`The armhole is ${round} round an arm of ${upperArm.mm}: it gapes.`
            : say`The armhole is ${round} round an arm of ${upperArm.mm}.`,
      where: placeOf(halves.front.panels, "underarm"),
      fix: value < 0 ? say`Lower the underarm, or take the shoulder in.` : say`Raise the underarm.`,
    });
  },
};
