import type { Advice, AdviceRule, Judged } from "./advice";
import { curvedHem } from "./curvedHem";
import { levelHem } from "./levelHem";

export type { Advice, Judged } from "./advice";

/** Every judgement, in the order it is offered. */
export const ADVICE: readonly AdviceRule[] = [curvedHem, levelHem];

/** What the trade would suggest for this pattern. */
export function advise(judged: Judged): Advice[] {
  return ADVICE.map((rule) => rule.judge(judged)).filter((advice): advice is Advice => advice !== null);
}
