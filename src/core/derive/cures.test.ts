import { derive, type Derived } from "../derive";
import type { Job } from "../files";
import { plausibleBody, seededRandom } from "../testing/bodies";
import { derivedOf, FOUR_BODIES, HAND_BODY, palazzoJob } from "../testing/jobs";
import { randomFinish } from "../testing/randomFinish";
import { randomWorksheet } from "../testing/randomMoves";
import { STYLES } from "../styles";
import { applyChanges } from "./changes";
import { withCures } from "./cures";

const RANK = { pass: 0, look: 1, fault: 2 } as const;

/** Remedies and actions of a job that were pressed and did not mend what they stand beside; and how many there were. */
function pressed(job: Job): { readonly offered: number; readonly idle: readonly string[] } {
  const derived = derive(job);
  if (!derived.ok) return { offered: 0, idle: [] };
  const whole = withCures(job, derived);
  const after = (changes: Parameters<typeof applyChanges>[1]): Derived | null => {
    const next = structuredClone(job);
    applyChanges(next, changes);
    const result = derive(next);
    return result.ok ? result : null;
  };
  const offered = whole.checks.filter((c) => c.remedy).length + whole.advice.filter((a) => a.action).length;
  const idleChecks = whole.checks.flatMap((check) => {
    if (!check.remedy) return [];
    const now = after(check.remedy.changes)?.checks.find((c) => c.id === check.id);
    return RANK[now?.status ?? "pass"] < RANK[check.status] ? [] : [check.id];
  });
  const idleAdvice = whole.advice.flatMap((given) => {
    const again = given.action && after(given.action.changes)?.advice.some((a) => a.id === given.id);
    return again ? [given.id] : [];
  });
  return { offered, idle: [...idleChecks, ...idleAdvice] };
}

test("every remedy offered on any garment mends what it stands beside", () => {
  let offered = 0;
  for (let seed = 1; seed <= 60; seed++) {
    const { style, moves } = randomWorksheet(seed);
    const finish = randomFinish(seededRandom(seed + 1));
    const made = pressed(palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves, finish }));
    expect([seed, made.idle]).toEqual([seed, []]);
    offered += made.offered;
  }
  expect(offered).toBeGreaterThan(20);
});

test.each(Object.keys(STYLES))("%s on four wearers: what is offered mends", (id) => {
  for (const body of Object.values(FOUR_BODIES))
    expect(pressed(palazzoJob(body, { style: { id, params: {} } })).idle).toEqual([]);
});

test("what does not mend is not offered, and the check keeps its words", () => {
  const job = palazzoJob(HAND_BODY, {
    finish: { fastening: { kind: "none" }, waist: { kind: "straight-band", fit: "waist" } },
  });
  const derived = derivedOf(job);
  const [check] = derived.checks.filter((c) => c.status === "fault" && c.remedy);
  if (!check?.remedy) throw new Error("nothing is offered");
  const idle = {
    ...derived,
    checks: derived.checks.map((c) => (c.id === check.id ? { ...c, remedy: { ...check.remedy!, changes: [] } } : c)),
  };
  const now = withCures(job, idle).checks.find((c) => c.id === check.id);
  expect(now).toMatchObject({ status: "fault", remedy: null, message: check.message });
});
