import { UNNAMED } from "../pieces";
import { say } from "../units";
import { verdict, type CheckRule } from "./check";

/** Every piece says what it is, for whom, and how many to cut. */
export const labels: CheckRule = {
  id: "labels",
  label: "Labels",
  note: "Every piece carries name, count, material, wearer and grain.",
  measure({ pieces }) {
    const poor = pieces.filter(
      (p) =>
        p.label.length < 5 ||
        !p.label[0] ||
        p.label.some((l) => l === UNNAMED.job || l === UNNAMED.wearer) ||
        p.cut.count < 1,
    );
    const missing = poor[0];
    return verdict(this, {
      status: missing ? "look" : "pass",
      value: poor.length,
      limit: 0,
      unit: "pieces",
      message: missing
        ? say`Wearer or job is not named, so the labels cannot say for whom.`
        : say`Every piece is labelled.`,
      where: missing ? { panel: missing.id, point: missing.grain[0] } : null,
      fix: missing ? say`Name the wearer and the job.` : null,
    });
  },
};
