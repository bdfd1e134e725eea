import { edgesWithRole, panelOutline, type Panel } from "../pattern";
import { pathAt, pathLength, polygonArea } from "../geometry";
import { say, making, type Mm, inside } from "../units";
import { pathTurn } from "../pieces";
import { byLimits, verdict, type CheckRule, type Inspected } from "./check";

/** What may be eased in without a word, and at all. */
const LITTLE: Mm = 6;
const MUCH: Mm = 12;

/** Hems no deeper than this are rolled. */
const ROLLED = 10;

/**
 * How much a turn-up is longer than what it covers: twice its depth times the turn of the hem. Negative where the hem is
 * hollow: what is turned up is then too short.
 */
export function turnUpExcess(panel: Panel, depth: Mm): Mm {
  const way = Math.sign(polygonArea(panelOutline(panel)));
  return edgesWithRole(panel, "hem").reduce((sum, edge) => sum + 2 * depth * way * pathTurn(edge.path), 0);
}

/** A hem that is already turned no deeper than it has to be. */
const asFlat = (hem: Inspected["finish"]["hem"]): boolean =>
  hem !== null && (hem.kind === "rolled" || ("depth" in hem && hem.depth === "auto"));

/** A curved hem turned up deeply has cloth to ease in. */
export const hemTurn: CheckRule = {
  id: "hem-turn",
  label: "Turn-up on the curve",
  note: "The turn-up of a curved hem has little to ease in.",
  measure({ legs, hemDepth, finish, finishSource }) {
    if (hemDepth === null) return null;
    // Part of a circle is always rolled or turned narrowly; there the ease is spread over the whole round.
    const turned = legs.filter((panel) => !panel.worn?.ring || hemDepth > ROLLED);
    if (turned.length === 0) return null;
    const worst = turned
      .map((panel) => ({ panel, value: turnUpExcess(panel, hemDepth) }))
      .reduce((a, b) => (Math.abs(b.value) > Math.abs(a.value) ? b : a));
    // The depth that lies flat is chosen to leave just as much as may be eased in.
    const status = byLimits(Math.abs(worst.value) - 1e-6, LITTLE, MUCH);
    const hem = edgesWithRole(worst.panel, "hem")[0];
    return verdict(this, {
      status,
      value: worst.value,
      limit: LITTLE,
      unit: "making",
      message:
        worst.value >= 0
          ? say`A turn-up of ${hemDepth} leaves ${making(worst.value)} to ease in on the ${inside(worst.panel.name)}.`
          : say`A turn-up of ${hemDepth} is ${making(-worst.value)} too short on the ${inside(worst.panel.name)}: its edge has to be stretched.`,
      where: hem ? { panel: worst.panel.id, point: pathAt(hem.path, pathLength(hem.path) / 2).point } : null,
      fix: say`Choose a narrower hem, a facing or a rolled hem.`,
      remedy: asFlat(finish.hem)
        ? {
            label: say`Face the hem instead`,
            changes: [{ path: ["finish"], value: { ...finishSource, hem: { kind: "faced" } } }],
          }
        : {
            label: say`Take the depth that lies flat`,
            changes: [{ path: ["finish"], value: { ...finishSource, hem: { kind: "turned", depth: "auto" } } }],
          },
    });
  },
};
