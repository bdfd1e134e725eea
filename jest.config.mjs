import nextJest from "next/jest.js";

const withNext = nextJest({ dir: "./" });

const own = withNext({
  testEnvironment: "node",
  setupFilesAfterEnv: ["<rootDir>/src/core/testing/matchers.ts"],
  testMatch: ["<rootDir>/src/**/*.test.{ts,tsx}"],
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/src/$1" },
});

/** Libraries that ship as modules alone are put in a form the tests can load. */
const AS_MODULES = "node_modules/(?!(clipper2-ts|@noble/hashes)/)";

/** Milliseconds a test may take on a busy machine; how fast the program is, tests measure themselves. */
const TEST_TIMEOUT = 60_000;

const config = async () => ({
  ...(await own()),
  transformIgnorePatterns: [AS_MODULES],
  testTimeout: TEST_TIMEOUT,
  // By itself it leaves one core alone, which is half of a machine of two.
  maxWorkers: "100%",
});

export default config;
