import { readFileSync, writeFileSync } from "node:fs";
import { collectedWords } from "../src/locale/collected";

/**
 * Extraction: writes down all that the program says, as the list that translators work from; puts each language's words in its
 * order, drops what is said no longer, and lists what has no words yet, which is told in English until then.
 */
const LANGUAGES = ["de"] as const;

const all = collectedWords(process.cwd());
const write = (file: string, value: unknown): void =>
  writeFileSync(`src/locale/${file}.json`, `${JSON.stringify(value, null, 2)}\n`);
write("en", all);
console.log(`${all.length} texts, ${all.join("").length} characters`);
for (const tag of LANGUAGES) {
  const known = JSON.parse(readFileSync(`src/locale/${tag}.json`, "utf8")) as Record<string, string>;
  const missing = all.filter((text) => known[text] === undefined);
  write(tag, Object.fromEntries(all.flatMap((text) => (known[text] === undefined ? [] : [[text, known[text]]]))));
  console.log(`${tag}: ${missing.length} without words, told in English`);
  for (const text of missing) console.log(`  ${text}`);
}
