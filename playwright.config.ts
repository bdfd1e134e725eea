import { defineConfig } from "@playwright/test";
import { SEEDED } from "./e2e/support";

const PORT = 4311;

export default defineConfig({
  testDir: "e2e",
  fullyParallel: true,
  workers: 2,
  // A shared machine may be several times slower than one of its own; how fast the program is, the bench says.
  timeout: 180_000,
  expect: { timeout: 45_000 },
  forbidOnly: Boolean(process.env.CI),
  // A shared machine may stall; a test that fails three times fails.
  retries: process.env.CI ? 2 : 0,
  reporter: [["list"]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // Nothing is drawn only to move: colours half way from one theme to the other are nobody's.
    contextOptions: { reducedMotion: "reduce" },
    // Every test starts with a browser of its own, which would fetch the whole program to keep it; one test allows that.
    serviceWorkers: "block",
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? "/usr/bin/chromium",
      args: ["--no-sandbox", "--disable-gpu", "--disable-background-networking"],
    },
  },
  projects: [
    { name: "seed", testMatch: /seed\.setup\.ts/ },
    { name: "maker", dependencies: ["seed"], use: { storageState: SEEDED } },
  ],
  webServer: {
    command: `npx next start -H 127.0.0.1 -p ${PORT}`,
    url: `http://127.0.0.1:${PORT}/api/catalog`,
    reuseExistingServer: false,
    timeout: 60_000,
  },
});
