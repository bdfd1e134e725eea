import type { Job } from "../files";
import { WRITTEN_TODAY } from "../files/format";
import { movesOf, STYLES } from "../styles";

/** The moves of a style, with these parameters, as a list of a job's own. */
export function movesOfStyle(styleId: string, params: Job["style"]["params"] = {}): NonNullable<Job["moves"]> {
  const style = STYLES[styleId];
  return (style ? movesOf(style, params) : []).map((m) => ({ ...m, params: { ...m.params } }));
}

/** A new job for a wearer's card in a style, with nothing changed yet. `date` is an ISO date for the labels. */
export function newJob(name: string, body: Job["body"], styleId: string, date: string): Job {
  return {
    ...jobInStyle(styleId, body),
    name,
    date,
    moves: movesOfStyle(styleId),
    finish: {},
    allowances: {},
  };
}

/** A style on a card with nothing of a maker's own: what shelves and dialogs draw. */
export const jobInStyle = (styleId: string, body: Job["body"]): Job => ({
  ...WRITTEN_TODAY,
  name: "",
  body,
  block: { school: STYLES[styleId]?.school ?? "proportional", rules: {} },
  style: { id: styleId, params: {} },
});
