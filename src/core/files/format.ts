import { JOB_VERSION } from "./migrations";

export const JOB_FORMAT = "eland-job";

/** How every job that is written today begins. */
export const WRITTEN_TODAY = { format: JOB_FORMAT, version: JOB_VERSION } as const;
