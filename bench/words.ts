import { writeFileSync } from "node:fs";
import { collectedWords } from "../src/words/collected";

/** Writes down all that the program says, as a list that translators work from. */
const all = collectedWords(process.cwd());
writeFileSync("src/words/en.json", `${JSON.stringify(all, null, 2)}\n`);
console.log(`${all.length} texts, ${all.join("").length} characters`);
