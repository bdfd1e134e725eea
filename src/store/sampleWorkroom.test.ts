import { readJob } from "@/core/files";
import { derivedOf } from "@/core/testing/jobs";
import { SAMPLE_JOBS } from "./sampleWorkroom";

test("the sample workroom has several wearers on both tapes, one card with gaps, and every job derives", () => {
  expect(new Set(SAMPLE_JOBS.map(({ job }) => job.body.name)).size).toBe(8);
  expect(new Set(SAMPLE_JOBS.map(({ job }) => job.body.unit))).toEqual(new Set(["cm", "in"]));
  expect(SAMPLE_JOBS.filter(({ job }) => job.style.id === "palazzo").length).toBeGreaterThanOrEqual(2);
  for (const { job } of SAMPLE_JOBS) {
    expect(readJob(structuredClone(job))).toMatchObject({ kind: "job" });
    const derived = derivedOf(job);
    expect([job.name, derived.questions]).toEqual([job.name, []]);
    expect(derived.pieces.map((p) => p.panel.id)).toEqual(derived.sewn.map((p) => p.id));
    for (const { id } of derived.panels) expect(derived.pieces.map((p) => p.id)).toContain(id);
    // The culotte waits for its maker; everything else is decided and can be made.
    if (job.style.id !== "culotte") expect([job.name, derived.undecided]).toEqual([job.name, []]);
    expect(derived.worksheet.filter((l) => l.passed).map((l) => l.passed)).toEqual([]);
  }
});

test("its faults are the ones it is meant to show", () => {
  const wanting = Object.fromEntries(
    SAMPLE_JOBS.map(({ id, job }) => [
      id,
      derivedOf(job)
        .checks.filter((c) => c.status !== "pass")
        .map((c) => c.id),
    ]),
  );
  expect(wanting).toEqual({
    "sample-heron-walk": [],
    "sample-lantern-bearer": [],
    "sample-tide-chorus": [],
    // Where she is slashed open the hip falls between two marks of the tape.
    "sample-wren-shorts": ["tape-rounding"],
    // A full-length flare trues its hem below the set length.
    "sample-ferry-flare": [],
    "sample-rope-cigarette": [],
    "sample-string-sweat": [],
    "sample-drum-culotte": [],
    "sample-moth-bell": ["hip-corner"],
    "sample-wave-sides": [],
    "sample-well-top": [],
    "sample-cook-paperbag": [],
    // In sixteenths each of its hip quarters rounds the same way.
    "sample-mayor-pleats": ["tape-rounding"],
    "sample-climber-jogger": ["casing-tube"],
    "sample-gull-slit": [],
    // The centre back of the yoke lies on the fold, and no other closure is chosen yet.
    "sample-baker-yoke": [],
    "sample-kite-one-piece": [],
    "sample-lamp-lighter": [],
    // Hung from the shoulders on estimated measures: little is left to sit in.
    "sample-bell-ringer": [],
  });
});
