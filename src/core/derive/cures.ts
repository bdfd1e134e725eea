import { derive, type Derived } from "../derive";
import type { Job } from "../files";
import type { Check, JobChange } from "../inspect";
import { applyChanges } from "./changes";

const RANK: Readonly<Record<Check["status"], number>> = { pass: 0, look: 1, fault: 2 };

/** The job with changes made, derived; null where it cannot be. */
function tried(job: Job, changes: readonly JobChange[]): Derived | null {
  const changed = structuredClone(job);
  applyChanges(changed, changes);
  const derived = derive(changed);
  return derived.ok ? derived : null;
}

const faults = ({ checks }: Derived): number => checks.filter((c) => c.status === "fault").length;

/** True where a remedy mends what its check found, and breaks nothing else. */
function cures(job: Job, derived: Derived, check: Check): boolean {
  if (!check.remedy) return false;
  const after = tried(job, check.remedy.changes);
  const now = after?.checks.find((c) => c.id === check.id);
  if (!after || faults(after) > faults(derived)) return false;
  return RANK[now?.status ?? "pass"] < RANK[check.status];
}

/**
 * What was derived with every remedy and every action pressed in thought: what does not mend what it stands beside is not
 * offered. The check and the advice stay, with their words.
 */
export function withCures(job: Job, derived: Derived): Derived {
  const checks = derived.checks.map((check) =>
    check.remedy && !cures(job, derived, check) ? { ...check, remedy: null } : check,
  );
  const advice = derived.advice.map((given) => {
    if (!given.action) return given;
    const after = tried(job, given.action.changes);
    const isGone = after !== null && !after.advice.some((a) => a.id === given.id) && faults(after) <= faults(derived);
    return isGone ? given : { ...given, action: null };
  });
  return { ...derived, checks, advice };
}
