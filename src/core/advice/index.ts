import type { Advice, AdviceRule, Judged } from "./advice";
import { biasHangs, narrowAllowances, narrowCloth, noDartsInStretch } from "./cloth";
import { curvedHem } from "./curvedHem";
import { bentKneeDecides, fullerSeat } from "./figure";
import { childsCord, contourForCurvedWaist, deepTaperedHem, hipWideForElastic, rolledCircle } from "./finishing";
import { levelHem } from "./levelHem";

export type { Advice, Judged } from "./advice";

/** Every judgement, in the order it is offered. */
export const ADVICE: readonly AdviceRule[] = [
  childsCord,
  curvedHem,
  rolledCircle,
  levelHem,
  hipWideForElastic,
  noDartsInStretch,
  narrowAllowances,
  narrowCloth,
  biasHangs,
  contourForCurvedWaist,
  deepTaperedHem,
  bentKneeDecides,
  fullerSeat,
];

/** What the trade would suggest for this pattern. */
export function advise(judged: Judged): Advice[] {
  return ADVICE.map((rule) => rule.judge(judged)).filter((advice): advice is Advice => advice !== null);
}
