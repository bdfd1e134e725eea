import { lastGiving } from "../moves/given";
import { isBodice, panelOutline } from "../pattern";
import { boxOf } from "../geometry";
import { plain, say, type Mm } from "../units";
import { elasticLength, elasticOf, pulledOn, STRETCHES, waistLevelEffect } from "../finish";
import {
  byEstimate,
  difference,
  byFloor,
  estimateSaid,
  placeOf,
  verdict,
  asStored,
  type Check,
  type CheckRule,
  type Inspected,
} from "./check";

/** What would let the waist pass over the hip, by how the garment is put on. */
function howToOpen({ finish, legs, measures, finishSource }: Inspected): Pick<Check, "fix" | "remedy"> {
  const darted = legs.some((p) => p.edges.some((e) => e.role === "dart"));
  const { waist, fastening } = finish;
  if (waist && "fit" in waist && waist.fit === "waist") {
    return {
      fix: say`Cut the band as long as the sewn edge: without an opening it does not pass the hip.`,
      remedy: {
        label: say`Cut the band to the sewn edge`,
        changes: [
          { path: ["finish", "waist"], value: { ...asStored("waist", waist.kind, finishSource), fit: "edge" } },
        ],
      },
    };
  }
  if (pulledOn(finish) && darted) {
    return {
      fix: say`Leave the waist hip-wide: darts and a pull-on waist do not go together.`,
      remedy: {
        label: say`Leave the waist hip-wide`,
        changes: [{ path: ["block", "rules", "waist", "shaping"], value: "hipWide" }],
      },
    };
  }
  const relaxed = elasticLength(elasticOf(finish), measures);
  if (waist && pulledOn(finish) && relaxed && relaxed.mm * STRETCHES < measures.hip.mm) {
    return {
      fix: say`Choose a longer elastic: stretched it has to pass the hip.`,
      remedy: {
        label: say`Take the waist less a tenth`,
        changes: [
          {
            path: ["finish", "waist"],
            value: { ...asStored("waist", waist.kind, finishSource), elastic: "waist-less" },
          },
        ],
      },
    };
  }
  if (pulledOn(finish))
    return {
      fix: say`Leave the waist wider, or let it open: what is pulled on has to pass the hip as it is.`,
      remedy: {
        label: say`Leave the waist hip-wide`,
        changes: [{ path: ["block", "rules", "waist", "shaping"], value: "hipWide" }],
      },
    };
  const zipped = fastening && "length" in fastening && fastening.length !== "auto" ? fastening.kind : "zip-centre-back";
  return {
    fix: fastening
      ? say`Choose a longer zip, or another closure.`
      : say`Choose how it opens: a zip, a fly or a placket.`,
    remedy: {
      label:
        zipped === "zip-side"
          ? say`Set a zip in at the side`
          : zipped === "fly"
            ? say`Lengthen the fly`
            : say`Set a zip in at the centre back`,
      changes: [
        { path: ["finish", "fastening"], value: { ...asStored("fastening", zipped, finishSource), length: "auto" } },
      ],
    },
  };
}

/** A shorter leg, where a move sets the length. */
function shorterBy(moves: Inspected["moves"], whole: number, by: number): Check["remedy"] {
  const set = lastGiving(moves, "length");
  if (!set) return null;
  return {
    label: say`Shorten the leg by ${Math.ceil(by)}`,
    changes: [{ path: ["moves", set.index, "params", set.param], value: `${plain(Math.floor(whole - by))} mm` }],
  };
}

/** Can it be put on: the widest the waist opens against the hip. */
export const pullOn: CheckRule = {
  id: "pull-on",
  label: "Goes over the hip",
  note: "The opened waist passes over the hip.",
  onLegs: true,
  measure(inspected) {
    const { measures, readings, legs, zip } = inspected;
    // What hangs from the shoulders goes over the bust as well.
    const isWhole = legs.some((p) => isBodice(p));
    const over = isWhole && measures.bust.mm > measures.hip.mm ? "bust" : "hip";
    const value = difference(readings.waistOpening, measures[over].mm);
    // A zip that is too short for it says so itself.
    if (zip && value < 0) return null;
    const status = byEstimate(measures[over], (slack) => byFloor(value + slack, 20, 0));
    return verdict(this, {
      status,
      value,
      limit: 20,
      unit: "length",
      message:
        value < 0
          ? say`The opened waist is ${-value} too small to pass over the ${over}.${estimateSaid(measures[over], over)}`
          : say`The opened waist passes over the ${over} with ${value} to spare.`,
      where: placeOf(legs, "waistCentre"),
      ...howToOpen(inspected),
    });
  },
};

/** Waist ease beyond these is looked at; a waist smaller than the body does not close. */
const WAIST_EASE: readonly [least: Mm, most: Mm] = [-10, 25];

/** The finished waist against the body where its edge lies, unless elastic, a cord or a fitted band takes it in. */
export const waistEase: CheckRule = {
  id: "waist-ease",
  label: "Waist ease",
  note: "The finished waist is as large as the body where its edge lies, and the ease that was asked for.",
  onLegs: true,
  measure({ finish, measures, readings, plan, rules, legs, cloth, ownBlock }) {
    const { waist } = finish;
    const isDrawnIn = elasticOf(finish) !== "none" || (waist && "drawstring" in waist && waist.drawstring);
    if (isDrawnIn || (waist && "fit" in waist && waist.fit === "waist")) return null;
    // A lowered edge lies further down toward the hip; what is sewn to it, and stands over it, brings it up again.
    const down = Math.max(0, plan.levels.waist + waistLevelEffect(finish)) / Math.max(1, plan.levels.hip);
    const body = measures.waist.mm + (measures.hip.mm - measures.waist.mm) * Math.min(1, down);
    const asked = measures.waist.net ? rules.waist.ease : 0;
    const value = difference(readings.waistGirth, body + asked);
    const [least, most] = WAIST_EASE;
    const given = cloth.stretch * body;
    const isTight = value < least - given;
    return verdict(this, {
      // Nothing is decided yet that would take it in.
      status: isTight
        ? byEstimate(measures.waist, (slack) => byFloor(value + slack, least - given, least - given))
        : value > most && waist
          ? "look"
          : "pass",
      value,
      limit: isTight ? least - given : most,
      unit: "length",
      message: isTight
        ? say`The waist is ${-value} smaller than the body there: it does not close.`
        : value > most
          ? say`The waist measures ${readings.waistGirth}, ${value} more than the body there: that is still to be taken in, pleated or gathered.`
          : say`The waist measures ${readings.waistGirth} on a body of ${body} there.`,
      where: placeOf(legs, "waistCentre", "back"),
      fix: isTight
        ? say`Take less into darts, sides and centres.`
        : say`Take the rest into darts, pleats or the centre back.`,
      remedy:
        isTight && !ownBlock
          ? {
              label: say`Give the waist ${Math.ceil(-value)} more`,
              changes: [
                {
                  path: ["block", "rules", "waist", "ease"],
                  value: `${plain(Math.ceil(rules.waist.ease - value))} mm`,
                },
              ],
            }
          : null,
    });
  },
};

/** The zip reaches past the hip and ends before the crotch curve turns. */
export const zipLength: CheckRule = {
  id: "zip-length",
  label: "Zip length",
  note: "The zip opens past the hip and does not run into the turn of the crotch curve.",
  measure({ zip, readings, measures, legs, finish, finishSource }) {
    if (!zip) return null;
    const passes = readings.waistOpening >= measures.hip.mm;
    const over = zip.length - zip.smoothAlong;
    const status = !passes ? "fault" : over > 0.5 ? "look" : "pass";
    return verdict(this, {
      status,
      value: zip.length,
      limit: zip.smoothAlong,
      unit: "length",
      message: !passes
        ? say`A zip of ${zip.length} does not let the hip through.`
        : over > 0.5
          ? say`The zip runs ${over} into the turn of the crotch curve.`
          : zip.at === "side"
            ? say`${zip.length} down the left side.`
            : say`${zip.length}, ending before the crotch turns.`,
      where:
        zip.at === "side"
          ? placeOf(legs, "hipSide")
          : placeOf(legs, "hipCentre", zip.at === "centre-front" ? "front" : "back"),
      remedy: finish.fastening
        ? {
            label: say`Take the length that fits`,
            changes: [
              {
                path: ["finish", "fastening"],
                value: { ...asStored("fastening", finish.fastening.kind, finishSource), length: "auto" },
              },
            ],
          }
        : null,
      fix:
        status === "pass"
          ? null
          : passes
            ? say`Choose a zip of ${Math.floor(zip.smoothAlong / 5) * 5} at most.`
            : say`Choose a longer zip.`,
    });
  },
};

/** The lowest place of the hem stays off the floor. */
export const floorClearance: CheckRule = {
  id: "floor-clearance",
  label: "Off the floor",
  note: "The lowest place of the hem clears the floor in shoes.",
  onLegs: true,
  measure({ measures, readings, shoe, legs, moves, length }) {
    const floor = measures.waistToFloor.mm + shoe;
    const value = difference(floor, readings.lowestPoint + length.cuff);
    // Left at the style's own length a curved hem may hang a little lower in its middle.
    const status = byEstimate(measures.waistToFloor, (slack) => byFloor(value + slack, length.stated ? 10 : 0, 0));
    const lowest = legs
      .map((panel) => ({ panel, bottom: boxOf(panelOutline(panel)).bottom }))
      .reduce((a, b) => (b.bottom > a.bottom ? b : a));
    const point = panelOutline(lowest.panel).find(([, y]) => y === lowest.bottom) ?? [0, lowest.bottom];
    return verdict(this, {
      status,
      value,
      limit: 10,
      unit: "length",
      message:
        value < 0
          ? say`The hem lies ${-value} on the floor: it can trip the wearer.${estimateSaid(measures.waistToFloor, "waist to floor")}`
          : say`The lowest place of the hem is ${value} off the floor in shoes of ${shoe}.`,
      where: { panel: lowest.panel.id, point },
      fix: say`Shorten the leg.`,
      remedy: shorterBy(moves, length.whole, 12 - value),
    });
  },
};
