import type { BodyMeasures } from "../body";
import { quantity, say, type Mm } from "../units";
import { USUAL_DART, type DartShare } from "./darts";
import type { Drafter } from "./drafter";
import type { ResolvedRules } from "./rules";
import type { DartPlan } from "./waist";

/** Distance of the dart from the centre where a rule states it; `crease` is found per panel. */
export function dartPlace(m: BodyMeasures, rules: ResolvedRules, drafter: Drafter): Mm | "crease" | null {
  switch (rules.dart.at) {
    case "mid":
      return null;
    case "crease":
      return "crease";
    case "bust": {
      const { bustSpan } = m;
      const at = drafter.number(
        "dartAt",
        quantity(bustSpan.mm / 2, say`half of the bust span ${bustSpan.mm}`, { bustSpan }),
      );
      return at.mm;
    }
    case "fixed":
      return drafter.number("dartAt", quantity(rules.dart.value, say`${rules.dart.value} as chosen`)).mm;
  }
}

/** The darts of a panel with their place. */
export function withPlace(share: DartShare, rules: ResolvedRules, at: Mm | "crease" | null, creaseAt: Mm): DartPlan {
  const { count, intake, length } = share;
  return { count, intake, length, at: at === "crease" ? creaseAt : at, run: rules.dart.run };
}

/** Records what the darts of a panel came to, with what was asked. */
export function recordDarts(
  drafter: Drafter,
  panel: "front" | "back",
  plan: DartShare,
  intake: Mm | "auto",
  length: Mm,
): void {
  const how = plan.count === 0 ? "no dart" : plan.count === 1 ? "one dart" : say`two darts of ${plan.intake}`;
  drafter.number(
    `${panel}DartIntake`,
    quantity(
      plan.count * plan.intake,
      say`${how}; surplus less what the side takes`,
      {},
      intake === "auto" ? USUAL_DART : intake,
    ),
  );
  drafter.number(
    `${panel}DartLength`,
    quantity(plan.length, say`ends ${50} above the hip line at the least`, {}, length),
  );
}
