import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

/** What a bundle cannot hold: a page or a browser's store of its own, modules that are replaced, and what is marked `@alone`. */
const ON_ITS_OWN = /@jest-environment|@alone|jest\.mock\(|fake-indexeddb/;

const all = readdirSync("src", { recursive: true })
  .map((file) => join("src", file))
  .filter((file) => /\.test\.tsx?$/.test(file))
  .sort();

/** Test files that run by themselves. */
export const alone = all.filter((file) => file.endsWith(".tsx") || ON_ITS_OWN.test(readFileSync(file, "utf8")));

/** Test files that run in Node with what they test, many in one bundle. */
export const bundled = all.filter((file) => !alone.includes(file));
