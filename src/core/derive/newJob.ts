import { type Job, JOB_VERSION } from "../files";
import { STYLES } from "../styles";

/** The moves of a style as a list of a job's own. */
export function movesOfStyle(styleId: string): NonNullable<Job["moves"]> {
  return (STYLES[styleId]?.moves ?? []).map((m) => ({ ...m, params: { ...m.params } }));
}

/** A new job for a wearer's card in a style, with nothing changed yet. `date` is an ISO date for the labels. */
export function newJob(name: string, body: Job["body"], styleId: string, date: string): Job {
  return {
    format: "eland-job",
    version: JOB_VERSION,
    name,
    date,
    body,
    block: { school: STYLES[styleId]?.school ?? "proportional", rules: {} },
    style: { id: styleId, params: {} },
    moves: movesOfStyle(styleId),
    finish: {},
    allowances: {},
  };
}
