import { buildSync } from "esbuild";
import type { NextConfig } from "next";
import { PHASE_PRODUCTION_SERVER } from "next/constants";

/**
 * What a page may do: it asks this server alone, shows its own pictures, is framed by nobody and posts nowhere else.
 * Which scripts may run is not narrowed: the framework's own start inline.
 */
const POLICY = [
  "connect-src 'self'",
  "img-src 'self' blob: data:",
  "font-src 'self'",
  "worker-src 'self' blob:",
  "object-src 'none'",
  "base-uri 'self'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join("; ");

const HEADERS = [
  { key: "Content-Security-Policy", value: POLICY },
  { key: "X-Content-Type-Options", value: "nosniff" },
  { key: "Referrer-Policy", value: "no-referrer" },
  { key: "Permissions-Policy", value: "camera=(), microphone=(), geolocation=(), payment=()" },
  { key: "Cross-Origin-Opener-Policy", value: "same-origin" },
];

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  devIndicators: false,
  headers: async () => [{ source: "/:path*", headers: HEADERS }],
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
