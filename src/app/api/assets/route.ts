import { readdirSync } from "node:fs";
import { join, sep } from "node:path";
import { replyWith } from "@/server/request";

const FOLDER = join(process.cwd(), ".next", "static");

/** Every script, style and font of this build, so that a browser can keep them for when the server is gone. */
export function GET(): Response {
  const files = readdirSync(FOLDER, { recursive: true, withFileTypes: true }).filter((entry) => entry.isFile());
  const assets = files.map(({ parentPath, name }) => {
    const inside = join(parentPath, name).slice(FOLDER.length);
    return `/_next/static${inside.split(sep).join("/")}`;
  });
  const bytes = new TextEncoder().encode(JSON.stringify({ assets }));
  return replyWith({ status: 200, type: "application/json", bytes });
}
