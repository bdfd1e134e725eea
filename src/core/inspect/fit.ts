import { panelOutline } from "../drafting";
import { boxOf } from "../geometry";
import { plain } from "../units";
import { elasticLength, elasticOf, pulledOn, STRETCHES } from "../finish";
import { byFloor, placeOf, verdict, asStored, type Check, type CheckRule, type Inspected } from "./check";

/** What would let the waist pass over the hip, by how the garment is put on. */
function howToOpen({ finish, legs, measures, finishSource }: Inspected): Pick<Check, "fix" | "remedy"> {
  const darted = legs.some((p) => p.edges.some((e) => e.role === "dart"));
  const { waist, fastening } = finish;
  if (waist && "fit" in waist && waist.fit === "waist") {
    return {
      fix: "Cut the band as long as the sewn edge: without an opening it does not pass the hip.",
      remedy: {
        label: "Cut the band to the sewn edge",
        changes: [
          { path: ["finish", "waist"], value: { ...asStored("waist", waist.kind, finishSource), fit: "edge" } },
        ],
      },
    };
  }
  if (pulledOn(finish) && darted) {
    return {
      fix: "Leave the waist hip-wide: darts and a pull-on waist do not go together.",
      remedy: {
        label: "Leave the waist hip-wide",
        changes: [{ path: ["block", "rules", "waist", "shaping"], value: "hipWide" }],
      },
    };
  }
  const relaxed = elasticLength(elasticOf(finish), measures);
  if (waist && pulledOn(finish) && relaxed && relaxed.mm * STRETCHES < measures.hip.mm) {
    return {
      fix: "Choose a longer elastic: stretched it has to pass the hip.",
      remedy: {
        label: "Take the waist less a tenth",
        changes: [
          {
            path: ["finish", "waist"],
            value: { ...asStored("waist", waist.kind, finishSource), elastic: "waist-less" },
          },
        ],
      },
    };
  }
  const zipped = fastening && "length" in fastening && fastening.length !== "auto" ? fastening.kind : "zip-centre-back";
  return {
    fix: "Choose a longer zip, or another closure.",
    remedy: {
      label:
        zipped === "zip-side"
          ? "Set a zip in at the side"
          : zipped === "fly"
            ? "Lengthen the fly"
            : "Set a zip in at the centre back",
      changes: [
        { path: ["finish", "fastening"], value: { ...asStored("fastening", zipped, finishSource), length: "auto" } },
      ],
    },
  };
}

/** A shorter leg, where a move sets the length. */
function shorterBy(moves: Inspected["moves"], whole: number, by: number): Check["remedy"] {
  const index = moves.findIndex((m) => m.move === "set-length" && m.on);
  if (index < 0) return null;
  return {
    label: `Shorten the leg by ${plain(Math.ceil(by))} mm`,
    changes: [{ path: ["moves", index, "params", "length"], value: `${plain(Math.floor(whole - by))} mm` }],
  };
}

/** Can it be put on: the widest the waist opens against the hip. */
export const pullOn: CheckRule = {
  id: "pull-on",
  label: "Goes over the hip",
  note: "The opened waist passes over the hip.",
  measure(inspected) {
    const { measures, readings, legs } = inspected;
    const value = readings.waistOpening - measures.hip.mm;
    const status = byFloor(value, 20, 0);
    return verdict(this, {
      status,
      value,
      limit: 20,
      unit: "mm",
      message:
        value < 0
          ? `The opened waist is ${plain(-value)} mm too small to pass over the hip.`
          : `The opened waist passes with ${plain(value)} mm to spare.`,
      where: placeOf(legs, "waistCentre"),
      ...howToOpen(inspected),
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
      unit: "mm",
      message: !passes
        ? `A zip of ${plain(zip.length)} mm does not let the hip through.`
        : over > 0.5
          ? `The zip runs ${plain(over)} mm into the turn of the crotch curve.`
          : zip.at === "side"
            ? `${plain(zip.length)} mm down the left side.`
            : `${plain(zip.length)} mm, ending before the crotch turns.`,
      where:
        zip.at === "side"
          ? placeOf(legs, "hipSide")
          : placeOf(legs, "hipCentre", zip.at === "centre-front" ? "front" : "back"),
      remedy: finish.fastening
        ? {
            label: "Take the length that fits",
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
            ? `Choose a zip of ${plain(Math.floor(zip.smoothAlong / 5) * 5)} mm at most.`
            : "Choose a longer zip.",
    });
  },
};

/** The lowest place of the hem stays off the floor. */
export const floorClearance: CheckRule = {
  id: "floor-clearance",
  label: "Off the floor",
  note: "The lowest place of the hem clears the floor in shoes.",
  measure({ measures, readings, shoe, legs, moves, length }) {
    const floor = measures.waistToFloor.mm + shoe;
    const value = floor - readings.lowestPoint - length.cuff;
    const status = byFloor(value, 10, 0);
    const lowest = legs
      .map((panel) => ({ panel, bottom: boxOf(panelOutline(panel)).bottom }))
      .reduce((a, b) => (b.bottom > a.bottom ? b : a));
    const point = panelOutline(lowest.panel).find(([, y]) => y === lowest.bottom) ?? [0, lowest.bottom];
    return verdict(this, {
      status,
      value,
      limit: 10,
      unit: "mm",
      message:
        value < 0
          ? `The hem lies ${plain(-value)} mm on the floor: it can trip the wearer.`
          : `The lowest place of the hem is ${plain(value)} mm off the floor in shoes of ${plain(shoe)} mm.`,
      where: { panel: lowest.panel.id, point },
      fix: "Shorten the leg.",
      remedy: shorterBy(moves, length.whole, 12 - value),
    });
  },
};
