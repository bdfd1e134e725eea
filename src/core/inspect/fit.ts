import { panelOutline } from "../drafting";
import { boxOf } from "../geometry";
import { plain } from "../units";
import { byFloor, placeOf, verdict, type CheckRule } from "./check";

/** Can it be put on: the widest the waist opens against the hip. */
export const pullOn: CheckRule = {
  id: "pull-on",
  label: "Goes over the hip",
  note: "The opened waist passes over the hip.",
  measure({ measures, readings, panels }) {
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
      where: placeOf(panels, "waistCentre"),
      fix: "Choose a longer zip, or another closure.",
    });
  },
};

/** The zip reaches past the hip and ends before the crotch curve turns. */
export const zipLength: CheckRule = {
  id: "zip-length",
  label: "Zip length",
  note: "The zip opens past the hip and does not run into the turn of the crotch curve.",
  measure({ zip, readings, measures, panels }) {
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
      where: zip.at === "side" ? placeOf(panels, "hipSide") : placeOf(panels, "hipCentre", "back"),
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
  measure({ measures, readings, shoe, panels }) {
    const floor = measures.waistToFloor.mm + shoe;
    const value = floor - readings.lowestPoint;
    const status = byFloor(value, 10, 0);
    const lowest = panels
      .filter((p) => p.id !== "waistband")
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
    });
  },
};
