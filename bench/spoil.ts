import { execFileSync } from "node:child_process";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { build } from "esbuild";
import { SPOILT } from "./spoilt";

/**
 * Whether a wrong curve is noticed: one constant of each curve of each piece is spoilt in a copy of the program, in memory,
 * and the recorded garments are derived with it. Prints the first piece that is found to lie otherwise. `ONLY` takes the
 * constants whose file or words hold a text.
 */

const ONLY = process.env.ONLY ?? "";
const OUT = "bench/results/spoilt.cjs";

/** The program with one text of one file replaced; it ends at the first recorded garment that differs. */
async function spoil(file: string, text: string, by: string): Promise<string | null> {
  const path = join(process.cwd(), "src/core", file);
  const source = readFileSync(path, "utf8");
  if (source.split(text).length !== 2)
    throw new Error(`${file} holds “${text}” ${source.split(text).length - 1} times`);
  await build({
    entryPoints: ["bench/firstDifference.ts"],
    bundle: true,
    platform: "node",
    outfile: OUT,
    logLevel: "error",
    plugins: [
      {
        name: "spoil",
        setup: ({ onLoad }) => {
          onLoad({ filter: /\.ts$/ }, ({ path: at }) =>
            at === path ? { contents: source.replace(text, by), loader: "ts" } : undefined,
          );
        },
      },
    ],
  });
  return execFileSync("node", [OUT], { encoding: "utf8" }).trim() || null;
}

async function run(): Promise<void> {
  const missed: string[] = [];
  const all = SPOILT.filter(([what, file]) => `${what} ${file}`.includes(ONLY));
  for (const [what, file, text, by] of all) {
    const noticed = await spoil(file, text, by);
    console.log(`${what}: ${noticed ?? "NOT NOTICED"}`);
    if (!noticed) missed.push(what);
  }
  console.log(
    `${all.length - missed.length} of ${all.length} noticed${missed.length ? `; not: ${missed.join(", ")}` : ""}`,
  );
  process.exitCode = missed.length ? 1 : 0;
}

void run();
