import { levelSchema, LEVEL_NAMES } from "../params";
import { z } from "zod";
import { lengthInputSchema, quantity, readLength, Refusal, say, type Mm, type Quantity, asSentence } from "../units";
import { panelWidths, passingAbove, passingBelow, passingOf, type LegPlan, type Turn } from "../drafting";
import { levelOf } from "./level";
import type { MoveContext, StyleState } from "./move";

/** A level of the leg counted from another, or from where the leg ends now: so far below it (negative: above). */
const relativeSchema = z.strictObject({ of: z.enum([...LEVEL_NAMES, "end"]), by: lengthInputSchema });

export const MOST_LEVELS = 8;

/** Widths of the leg on its way down, each at its own level. */
export const legLevelsSchema = z
  .array(
    z.strictObject({
      at: z.union([levelSchema, relativeSchema]).describe("A level, a length below the waist, or one from another."),
      girth: lengthInputSchema.describe("Finished girth of one leg there."),
    }),
  )
  .max(MOST_LEVELS);
type Stated = z.infer<typeof legLevelsSchema>[number];

/** A width that is asked of the leg at a level. */
export interface LegLevel {
  readonly level: Quantity;
  readonly girth: Quantity;
}

/** Two widths closer than this are one: the later replaces the earlier. */
export const SAME_LEVEL: Mm = 20;
/** So close below the crotch line the inseam keeps its way, and the sides alone are led through a width. */
const ABOVE_TURNS: Mm = 60;
/** No leg is narrower than this, nor wider. */
const GIRTHS: readonly [Mm, Mm] = [120, 2500];

function levelAt(at: Stated["at"], path: string, state: StyleState, context: MoveContext): Quantity {
  if (typeof at !== "object" || !("of" in at)) return levelOf(path, at, state, context);
  const { hem } = state.plan.levels;
  const from = at.of === "end" ? quantity(hem, say`end of the leg ${hem}`) : levelOf(path, at.of, state, context);
  const by = readLength(at.by, context.unit);
  if (!by.ok) throw new Refusal(path, asSentence(by.message), { unreadable: true });
  return quantity(from.mm + by.mm, say`${from.sum} + ${by.mm}`, { from });
}

/** The widths as stated, from the top. Throws Refusal of the entry that cannot be read or cut. */
export function readLevels(
  stated: readonly Stated[] | undefined,
  state: StyleState,
  context: MoveContext,
): readonly LegLevel[] {
  const read = (stated ?? []).map((entry, i): LegLevel => {
    const level = levelAt(entry.at, `levels.${i}.at`, state, context);
    const girth = readLength(entry.girth, context.unit);
    if (!girth.ok) throw new Refusal(`levels.${i}.girth`, asSentence(girth.message), { unreadable: true });
    refuseLevel(`levels.${i}.at`, level, 20, state, context);
    refuseGirth(`levels.${i}.girth`, girth.mm);
    return { level, girth: quantity(girth.mm, say`${girth.mm} as chosen`) };
  });
  return read.sort((a, b) => a.level.mm - b.level.mm);
}

/** A leg turns so far below the crotch line, and above the floor. */
export function refuseLevel(
  path: string,
  level: Quantity,
  below: Mm,
  { plan }: StyleState,
  { measures }: MoveContext,
): void {
  const least = plan.levels.crotch + below;
  if (level.mm < least || level.mm > measures.waistToFloor.mm) {
    throw new Refusal(
      path,
      say`A leg can turn between ${Math.ceil(least)} below the waist and the floor, not at ${level.mm}.`,
    );
  }
}

function refuseGirth(path: string, girth: Mm): void {
  if (girth < GIRTHS[0] || girth > GIRTHS[1])
    throw new Refusal(path, say`A leg of ${girth} cannot be cut. Choose ${GIRTHS[0]} to ${GIRTHS[1]}.`);
}

/**
 * The plan led through more widths. The first that is asked for takes the place of the block's own turn where it
 * says so; two at one level are one, the later. What was replaced is handed back.
 */
export function withLevels(
  plan: LegPlan,
  added: readonly (LegLevel & { readonly toSide?: Mm })[],
  extra: Mm,
  clearsBlock: boolean,
): { readonly plan: LegPlan; readonly replaced: readonly Turn[] } {
  const thigh = added.find(({ level }) => level.mm < plan.levels.crotch + ABOVE_TURNS);
  if (thigh) {
    const led = { ...plan, thigh: { below: thigh.level.mm - plan.levels.crotch, girth: thigh.girth.mm } };
    return withLevels(
      led,
      added.filter((a) => a !== thigh && a.level.mm >= plan.levels.crotch + ABOVE_TURNS),
      extra,
      clearsBlock,
    );
  }
  const isNear = (turn: Turn): boolean => added.some(({ level }) => Math.abs(level.mm - turn.level) < SAME_LEVEL);
  const kept = plan.turns.filter((turn) => !isNear(turn) && (turn.asked || !clearsBlock));
  const replaced = plan.turns.filter((turn) => turn.asked && isNear(turn));
  const hung = plan.turns[0];
  let next: LegPlan = { ...plan, turns: kept };
  for (const { level, girth, toSide = 0 } of added) {
    const widths = panelWidths(girth.mm, extra);
    const passing = (panel: "front" | "back") => {
      const above = next.turns.filter((t) => t.level < level.mm);
      // The first width hangs where the block's leg hangs; what comes below is shared by both edges.
      return above.length === 0
        ? passingOf(plan.hang, widths[panel], hung?.[panel] ?? plan[panel].hem, toSide)
        : passingBelow(plan.hang, widths[panel], passingAbove(next, panel, level.mm), toSide);
    };
    const turn: Turn = { level: level.mm, front: passing("front"), back: passing("back"), asked: true };
    next = { ...next, turns: [...next.turns, turn].sort((a, b) => a.level - b.level) };
  }
  return { plan: next, replaced };
}
