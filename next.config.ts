import { buildSync } from "esbuild";
import type { NextConfig } from "next";
import { PHASE_PRODUCTION_SERVER } from "next/constants";

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
};

/** The API answers in threads of its own, whose program is bundled beside the pages. */
function bundleThread(): void {
  buildSync({
    entryPoints: ["src/server/thread.ts"],
    outfile: ".threads/thread.cjs",
    bundle: true,
    platform: "node",
    target: "node20",
    logLevel: "error",
  });
}

export default function configOf(phase: string): NextConfig {
  if (phase !== PHASE_PRODUCTION_SERVER) bundleThread();
  return config;
}
