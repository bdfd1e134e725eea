import { buildSync } from "esbuild";
import type { NextConfig } from "next";
import { PHASE_PRODUCTION_SERVER } from "next/constants";
import { contentPolicy } from "./src/policy";

/** Of everything that is sent; pages get a policy of their own with every request. */
const HEADERS = [
  { key: "Content-Security-Policy", value: contentPolicy(null, process.env.NODE_ENV === "development") },
  { key: "X-Content-Type-Options", value: "nosniff" },
  { key: "Referrer-Policy", value: "no-referrer" },
  { key: "Permissions-Policy", value: "camera=(), microphone=(), geolocation=(), payment=()" },
  { key: "Cross-Origin-Opener-Policy", value: "same-origin" },
];

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  // Types are checked by `npm run types`, once: whoever only wants to run the program does not wait for it.
  typescript: { ignoreBuildErrors: true },
  headers: async () => [{ source: "/:path*", headers: HEADERS }],
};

/** The API answers in processes of its own, whose program is bundled beside the pages. */
function bundleWorker(): void {
  buildSync({
    entryPoints: ["src/server/worker.ts"],
    outfile: ".workers/worker.cjs",
    bundle: true,
    platform: "node",
    target: "node20",
    logLevel: "error",
  });
}

export default function configOf(phase: string): NextConfig {
  if (phase !== PHASE_PRODUCTION_SERVER) bundleWorker();
  return config;
}
