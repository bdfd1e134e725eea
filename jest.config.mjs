import nextJest from "next/jest.js";

const withNext = nextJest({ dir: "./" });

export default withNext({
  testEnvironment: "node",
  setupFilesAfterEnv: ["<rootDir>/src/core/testing/matchers.ts"],
  testMatch: ["<rootDir>/src/**/*.test.{ts,tsx}"],
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/src/$1" },
});
