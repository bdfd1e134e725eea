import { edgeOf, legOf, pairOf, panelWidthAt, type Panel } from "../pattern";
import { pathLength } from "../geometry";
import { elasticOf, elasticWidthOf, grownCentre } from "../finish";
import { count, making, roundToTape, say, type Mm } from "../units";
import { byFloor, byLimits, placeOf, verdict, type CheckRule, type Inspected } from "./check";

/** A crotch line nearer to the hip line than this leaves no room to sit. */
const BELOW_HIP: Mm = 50;

/** The crotch line lies well below the hip line. */
export const crotchBelowHip: CheckRule = {
  id: "crotch-below-hip",
  label: "Crotch line below the hip",
  note: "The crotch line lies at least 50 mm below the hip line.",
  onLegs: true,
  measure({ plan, legs }) {
    const value = plan.levels.crotch - plan.levels.hip;
    return verdict(this, {
      status: byFloor(value, BELOW_HIP, -Infinity),
      value,
      limit: BELOW_HIP,
      unit: "length",
      message: say`The crotch line lies ${value} below the hip line.`,
      where: placeOf(legs, "crotchPoint"),
      fix: say`Check crotch depth and waist to hip: one of them is not as it was measured.`,
    });
  },
};

/** Levels of the leg at which left and right are compared. */
const COMPARED_AT = [0.1, 0.35, 0.6, 0.85];

/** Where one leg is cut otherwise than the other, both are as wide when closed. */
export const slitLeg: CheckRule = {
  id: "slit-leg",
  label: "Left leg as the right",
  note: "A leg that is split and buttoned is as wide, closed, as the plain one.",
  measure({ legs, plan }) {
    if (legs.every((p) => p.half === "both") || legs.some((p) => pairOf(p) !== null)) return null;
    const girth = (leg: "left" | "right", y: Mm): Mm =>
      legOf(legs, leg).reduce((sum, panel) => sum + panelWidthAt(panel, y), 0);
    const { crotch, hem } = plan.levels;
    const value = COMPARED_AT.map((share) => {
      const y = crotch + 30 + share * (hem - crotch - 40);
      return girth("left", y) - girth("right", y);
    }).reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
    return verdict(this, {
      status: byLimits(value, 1, 3),
      value,
      limit: 1,
      unit: "making",
      message:
        Math.abs(value) <= 1
          ? say`Closed, it is as wide as the plain leg.`
          : say`Closed, the left leg is ${making(Math.abs(value))} ${value > 0 ? "wider" : "narrower"} than the right.`,
      where: placeOf(legs, "hemSide"),
      fix: say`Let buttons and buttonholes lie on the line that was cut.`,
    });
  },
};

/** What is left on at the end of a yoke is as wide as the fly it lies over. */
export const yokeAndFly: CheckRule = {
  id: "yoke-fly",
  label: "Yoke end and fly",
  note: "A yoke's end extension is as wide as the fly it meets.",
  measure({ legs, finish }) {
    const ends = legs.flatMap((panel) =>
      panel.edges.flatMap((edge) => (edge.role === "crotch" && edge.surplus ? [{ panel, edge }] : [])),
    );
    const [end] = ends;
    const fly = grownCentre(finish);
    const mm = end?.edge.surplus?.mm;
    if (!end || fly === null || mm === undefined) return null;
    const value = mm - fly;
    return verdict(this, {
      status: byLimits(value, 1, Infinity),
      value,
      limit: 1,
      unit: "making",
      message:
        Math.abs(value) <= 1
          ? say`The yoke's end and the fly are both ${fly} wide.`
          : say`The yoke's end is left on by ${mm}, the fly by ${fly}.`,
      where: { panel: end.panel.id, point: end.edge.path[0]?.points[0] ?? [0, 0] },
      fix: say`Make the end extension as wide as the fly.`,
    });
  },
};

/** Half girths of front and back, for marking on the joined cloth. */
export const halfGirths: CheckRule = {
  id: "half-girths",
  label: "Half girths",
  note: "Half of waist and hip, and of one leg at thigh and knee, front and back apart: to mark on the joined cloth.",
  onLegs: true,
  measure({ readings, legs }) {
    const rows = readings.halfGirths;
    const [first] = rows;
    if (!first) return null;
    const told = rows.reduce(
      (all, { level, front, back }, i) => say`${all}${i === 0 ? "" : "; "}${level} ${front} and ${back}`,
      say``,
    );
    return verdict(this, {
      status: "pass",
      value: first.front,
      limit: 0,
      unit: "length",
      message: say`Front and back: ${told}.`,
      where: placeOf(legs, "hipCentre"),
      fix: null,
    });
  },
};

/** A tube narrower than this does not go over the free arm of a machine. */
const NARROW_TUBE: Mm = 240;

/** A casing round a hem is wide enough to be stitched. */
export const casingTube: CheckRule = {
  id: "casing-tube",
  label: "Casing can be stitched",
  note: "A casing or cuff round a leg is a tube wide enough to be stitched round.",
  measure({ legs, panels, measures }) {
    const cased = legs.filter((p) => p.worn?.casings?.hem);
    const cuff = panels.find((p) => p.is.part === "cuff");
    const round = (of: readonly Panel[]): Mm => of.reduce((sum, p) => sum + (p.worn?.casings?.hem?.rim ?? 0), 0);
    const girth = cased.length > 0 ? round(cased) : cuff ? cuffEdge(cuff) : null;
    if (girth === null) return null;
    return verdict(this, {
      // Round an ankle that is estimated the tube is as wide as the style guesses.
      status: measures.ankle.source === "estimated" ? "pass" : byFloor(girth, NARROW_TUBE, -Infinity),
      value: girth,
      limit: NARROW_TUBE,
      unit: "length",
      message:
        girth < NARROW_TUBE
          ? say`A tube of ${girth} is narrower than a machine's free arm: stitch it flat before the inseam is closed.`
          : say`The tube of ${girth} can be stitched round.`,
      where: placeOf(legs, "hemSide"),
      fix: say`Stitch it before the inseam, or widen the hem.`,
    });
  },
};

const cuffEdge = (cuff: Panel): Mm => pathLength(edgeOf(cuff, "sewn").path);

/** Every line of the worksheet is made. */
export const linesMade: CheckRule = {
  id: "lines-made",
  label: "All lines are made",
  note: "No line of the worksheet is passed over: what is missing of the style is said.",
  measure({ passedOver }) {
    const first = passedOver.find(({ byEland }) => byEland) ?? passedOver[0];
    if (!first) return null;
    const others = passedOver.length - 1;
    return verdict(this, {
      status: first.byEland ? "fault" : "look",
      value: passedOver.length,
      limit: 0,
      unit: "pieces",
      message: say`“${first.label}” is not made: ${first.why}${others > 0 ? say` And ${count(others)} more.` : ""}`,
      where: null,
      fix: say`Change what stands in its way, or take the line out.`,
    });
  },
};

/** The elastic runs in its channel. */
export const elasticInChannel: CheckRule = {
  id: "elastic-channel",
  label: "Elastic in its channel",
  note: "The elastic is narrower than the channel it runs in.",
  measure({ finish, legs }) {
    const { waist } = finish;
    if (!waist || elasticOf(finish) === "none" || !("elasticWidth" in waist)) return null;
    const channel = channelOf(waist, legs);
    if (channel === null) return null;
    const width = elasticWidthOf(waist, channel);
    const value = channel - width;
    return verdict(this, {
      status: value < 0 ? "fault" : value < 2 ? "look" : "pass",
      value,
      limit: 2,
      unit: "making",
      message:
        value < 0
          ? say`The elastic of ${width} is wider than its channel of ${channel}.`
          : say`An elastic of ${width} in a channel of ${channel}.`,
      where: placeOf(legs, "waistCentre"),
      fix: say`Take a narrower elastic, or a deeper channel.`,
    });
  },
};

/** Depth of the channel that a waist's elastic runs in. */
function channelOf(waist: NonNullable<Inspected["finish"]["waist"]>, legs: readonly Panel[]): Mm | null {
  if (waist.kind === "ring-band") return waist.channel.mm;
  if (waist.kind === "casing") return waist.depth.mm;
  return legs.find((p) => p.worn?.casings?.waist)?.worn?.casings?.waist?.channel ?? null;
}

/** Widths read off the tape may differ from the drawn garment by this much all round. */
const ROUNDED_BY: Mm = 3;

/** What rounding each panel's width to the tape does to the whole garment. */
export const roundedToTape: CheckRule = {
  id: "tape-rounding",
  label: "Rounded to the tape",
  note: "Each panel's waist and hip rounded to the tape, and added up again, stay within 3 mm of what is drawn.",
  onLegs: true,
  measure({ readings, tape, legs }) {
    const around = readings.halfGirths.filter((row) => row.level === "waist" || row.level === "hip");
    const [first, ...rest] = around.map((row) => {
      const off = (mm: Mm): Mm => roundToTape(mm, tape).mm - mm;
      // Half girths are of both legs: each panel is one of two.
      return { level: row.level, value: 2 * (off(row.front / 2) + off(row.back / 2)) };
    });
    if (!first) return null;
    const worst = rest.reduce((a, b) => (Math.abs(b.value) > Math.abs(a.value) ? b : a), first);
    return verdict(this, {
      status: byLimits(worst.value, ROUNDED_BY, Infinity),
      value: worst.value,
      limit: ROUNDED_BY,
      unit: "making",
      message:
        Math.abs(worst.value) > ROUNDED_BY
          ? say`With every width rounded to the tape the ${worst.level} comes out ${making(Math.abs(worst.value))} ${worst.value > 0 ? "larger" : "smaller"}.`
          : say`Rounded to the tape the widths stay within ${making(ROUNDED_BY)} of what is drawn.`,
      where: placeOf(legs, "waistSide"),
      fix: say`Round front and back one up and one down.`,
    });
  },
};
