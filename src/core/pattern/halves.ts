import { say } from "../units";
import { pointFlipped } from "../geometry";
import { afterCut, type CutMark, type Identity } from "./identity";
import type { Join, Pattern } from "./joins";
import { panelMap, type Panel } from "./panel";

/** The pair a panel was one of until the legs were set apart because the body differs; null for any other panel. */
export const pairOf = ({ is }: { readonly is: Identity }): string | null => is.cuts.find((c) => c.asWorn)?.from ?? null;

/** A panel as it is cut for the other leg. */
export const turnedOver = (panel: Panel): Panel => panelMap(panel, pointFlipped);

/**
 * Copies of those panels of both legs that are asked for, for the right and the left leg, with every seam on both. `mark`
 * says what sets them apart.
 */
export function divideLegs<P extends Pattern>(
  pattern: P,
  isAsked: (panel: Panel) => boolean,
  mark: Pick<CutMark, "by" | "asWorn">,
): P {
  const own = pattern.panels.filter((p) => p.half === "both" && isAsked(p));
  const named = (id: string, leg: "left" | "right"): string => (own.some((p) => p.id === id) ? `${id}-${leg}` : id);
  const panels = pattern.panels.flatMap((p) =>
    own.includes(p)
      ? (["right", "left"] as const).map((leg) => ({
          ...p,
          id: `${p.id}-${leg}`,
          is: afterCut(p.is, { ...mark, from: p.id, part: leg }),
          half: leg,
          name: say`${p.name} ${leg}`,
        }))
      : [p],
  );
  const joins = pattern.joins.flatMap((join): Join[] => {
    if (![...join.a, ...join.b].some((ref) => own.some((p) => p.id === ref.panel))) return [join];
    const on = (refs: Join["a"], leg: "left" | "right"): Join["a"] =>
      refs.map((ref) => ({ ...ref, panel: named(ref.panel, leg) }));
    // What is sewn on one leg alone, because the other half of it differs already, stays on that leg.
    if (join.leg !== "both") return [{ ...join, a: on(join.a, join.leg), b: on(join.b, join.leg) }];
    // The centre seam joins the two legs; every other seam is sewn once on each.
    if (JSON.stringify(join.a) === JSON.stringify(join.b))
      return [{ ...join, a: on(join.a, "right"), b: on(join.b, "left") }];
    return (["right", "left"] as const).map((leg) => ({
      ...join,
      id: `${join.id}-${leg}`,
      label: say`${join.label}, ${leg}`,
      leg,
      twin: join.twin ?? join.id,
      a: on(join.a, leg),
      b: on(join.b, leg),
    }));
  });
  return { ...pattern, panels, joins };
}
