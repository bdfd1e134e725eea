import { EDITION, readJob, type Job } from "../files";
import { HAND_BODY, palazzoJob } from "../testing/jobs";
import { recordedJobs } from "../testing/recorded";
import { tell } from "../units";
import { drawnOtherwise } from "./editions";

const said = (job: Job): string[] => drawnOtherwise(job).map((s) => tell(s, "cm"));

test("a job of today is told nothing; one kept before is told what concerns it", () => {
  expect(said(palazzoJob(HAND_BODY))).toEqual([]);
  expect(said({ ...palazzoJob(HAND_BODY), edition: EDITION })).toEqual([]);
  const palazzo = said({ ...palazzoJob(HAND_BODY), edition: 1 });
  expect(palazzo.join()).toMatch(/falls straight from hip and crotch point/);
  expect(palazzo.join()).not.toMatch(/hung from its side/);
  const hung = {
    ...palazzoJob(HAND_BODY),
    edition: 1,
    block: { school: "proportional" as const, rules: { hang: "side" as const } },
  };
  expect(said(hung).join()).toMatch(/hung from its side/);
});

test.each([1, 2])(
  "every job kept in form %d opens in the first edition, and says what is drawn otherwise",
  (version) => {
    for (const { name, job } of recordedJobs(version)) {
      const read = readJob(job);
      if (read.kind !== "job") throw new Error(`${name} is not read`);
      expect([name, read.job.edition]).toEqual([name, 1]);
      expect([name, said(read.job).length > 0]).toEqual([name, true]);
    }
  },
);
