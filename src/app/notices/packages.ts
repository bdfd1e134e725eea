import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

/** A package that is part of what is served, with its licence. */
export interface Notice {
  readonly name: string;
  readonly version: string;
  readonly licence: string;
  /** The licence as the package ships it; null where it ships none. */
  readonly text: string | null;
}

interface Lock {
  readonly packages: Readonly<
    Record<
      string,
      { readonly version?: string; readonly dev?: boolean; readonly license?: string; readonly optional?: boolean }
    >
  >;
}

const LICENCE_FILE = /^(licen[cs]e|copying|notice|ofl)([.-].*)?$/i;
const NODE_MODULES = "node_modules/";

/** The licence texts in a package's folder, one after another. */
function licenceOf(folder: string): string | null {
  if (!existsSync(folder)) return null;
  const files = readdirSync(folder).filter((file) => LICENCE_FILE.test(file));
  const texts = files.map((file) => readFileSync(join(folder, file), "utf8").trim());
  return texts.length === 0 ? null : texts.join("\n\n");
}

/** Every package that is installed to serve the program, from its lock file, by name. */
export function notices(root: string = process.cwd()): readonly Notice[] {
  const lock = JSON.parse(readFileSync(join(root, "package-lock.json"), "utf8")) as Lock;
  const found = Object.entries(lock.packages)
    .filter(([path, { dev, optional }]) => path.startsWith(NODE_MODULES) && !dev && !optional)
    .map(([path, { version = "", license = "" }]): Notice => {
      const name = path.slice(path.lastIndexOf(NODE_MODULES) + NODE_MODULES.length);
      return { name, version, licence: license, text: licenceOf(join(root, path)) };
    });
  return found.sort((a, b) => a.name.localeCompare(b.name, "en"));
}
