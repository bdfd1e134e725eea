import { differences, recordedJobs } from "../src/core/testing/recorded";

/** The first recorded garment, of today's form first, that is drawn otherwise than it was recorded; nothing where none is. */
for (const version of [9, 2, 1])
  for (const job of recordedJobs(version)) {
    let found: readonly string[];
    try {
      found = differences(job);
    } catch (error) {
      found = [`${job.name}: ${String(error)}`];
    }
    if (found.length > 0) {
      console.log(found[0]);
      process.exit(0);
    }
  }
