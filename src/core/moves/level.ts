import { isOf, type Panel } from "../pattern";
import { LEVEL_NAMES, type LevelName } from "../params";
import { quantity, type LengthInput, type Mm, type Quantity, say, Refusal } from "../units";
import { readParam } from "./auto";
import type { Point } from "../geometry";
import { type Handle, type MoveContext, type StyleState } from "./move";

const isName = (value: unknown): value is LevelName => LEVEL_NAMES.includes(value as LevelName);

/** A level below the natural waist with its sum: of the pattern, or of the wearer's body. */
export function levelOf(
  param: string,
  asked: LevelName | LengthInput,
  state: StyleState,
  context: MoveContext,
): Quantity {
  if (!isName(asked)) return readParam(param, asked, context, "below the waist, as chosen");
  const { levels } = state.plan;
  const { waistToCalf, waistToAnkle } = context.measures;
  switch (asked) {
    case "hip":
      return quantity(levels.hip, say`hip line ${levels.hip}`);
    case "crotch":
      return quantity(levels.crotch, say`crotch line ${levels.crotch}`);
    case "thigh":
      return quantity(levels.crotch + 25, say`crotch line ${levels.crotch} + ${25}`);
    case "knee":
      return quantity(levels.knee, say`knee line ${levels.knee}`);
    case "calf":
      return quantity(waistToCalf.mm, say`waist to calf ${waistToCalf.mm}`, { waistToCalf });
    case "ankle":
      return quantity(waistToAnkle.mm, say`waist to ankle ${waistToAnkle.mm}`, { waistToAnkle });
  }
}

/** Moves that change the draft's own lines need one: a block brought in keeps its upper part as it is. */
export function refuseOwnBlock(state: StyleState, param: string, label: string): void {
  if (state.plan.own) {
    throw new Refusal(
      param,
      say`“${label}” redraws the upper part, which a block brought in keeps. Use slashes, or draft a block.`,
    );
  }
}

/** A handle that slides a level down the panel (or up, with `up`). */
export function levelHandle(
  id: string,
  panel: string,
  at: Point,
  param: string,
  value: Mm,
  label: string,
  up = false,
): Handle {
  return { id, panel, at, axis: [0, up ? -1 : 1], param, clears: [], perMm: 1, value, label, reading: value };
}

/** One handle for the front and one for the back, at a landmark, on whichever part of the panel holds it. */
export function landmarkHandles(
  panels: readonly Panel[],
  landmark: string,
  make: (at: Point, root: "front" | "back") => Handle,
): readonly Handle[] {
  return (["front", "back"] as const).flatMap((root) => {
    const at = panels.find((p) => isOf(p, root) && p.half !== "left" && p.landmarks[landmark])?.landmarks[landmark];
    return at ? [{ ...make(at, root), root }] : [];
  });
}
